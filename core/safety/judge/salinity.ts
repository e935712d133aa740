import { DEFAULT_SETTINGS, settingsOf } from '../../household/settings.ts'
import type { Journal } from '../../journal/journal.ts'
import { gravityOfPsu, psuOfGravity } from '../../salinity/gravity.ts'
import { measureText } from '../../words/measure.ts'
import { concern, type Concern } from '../concern.ts'
import { salinitySpan } from '../water/salinity.ts'
import { isInvertebrate, type Resident } from '../water/residents.ts'
import type { WaterState } from '../water/state.ts'

/** The salinity of those in the water goes up by at most so much specific gravity in a day: quarantine.md 5.5 and 7.2. */
const RAISE_SG_A_DAY = 0.002
/** Half the last digit of a refractometer: a step this little over is that step. */
const SG_SLACK = 0.0002
/** Corals and invertebrates go down by at most so much in a day: outbreaks.md 5.4, psu. */
const LOWER_PSU_A_DAY = 2
/** A reef is never under this: help-now.md and outbreaks.md 8, the lowest band of marine tanks, psu. */
const REEF_LEAST_PSU = 30
/** Fish go down in at least four steps from 1.026 to 1.009: quarantine.md 5.5; the largest of them, SG. */
const FISH_STEP_SG = (1.026 - 1.009) / 4
/** Low salinity ends at this: quarantine.md 5.2, SG. */
const LEAST_SG = 1.008
/** Fresh water that holds more than this is brackish, psu (EA: 1 g/L is what sensitive fish tolerate, 3 g/L the strongest tank dose). */
const FRESH_PSU = { caution: 1, block: 3 } as const
const DAY_HOURS = 24
const SLACK_PSU = 0.05

/** Fresh water that ran in is put right at once, and only then: help-now.md, "Fresh water ran in". */
const RUN_IN = { withinHours: 12, fellPsu: 1, psuPerHour: 1, toWithinPsu: 2, strongestPsu: 40 } as const

/** What is about to happen to the salinity. */
export interface SalinityStep {
  before: number
  after: number
  /** Of the water that goes in, psu; null where it is no water. */
  withPsu: number | null
}

/**
 * Whether raising is the one exception: invertebrates or corals whose water was thinned within the last twelve hours get it back at one psu an
 * hour, to within two psu of what it was.
 */
function isPuttingBack(
  journal: Journal,
  { tank, residents }: WaterState,
  step: SalinityStep,
  at: number,
  except?: string,
): boolean {
  if (!residents.some(isInvertebrate)) return false
  const span = salinitySpan(journal, tank.id, at, RUN_IN.withinHours, except)
  const hour = salinitySpan(journal, tank.id, at, 1, except)
  if (!span || !hour || span.high - step.before < RUN_IN.fellPsu) return false
  const isSlow = step.after - Math.min(step.before, hour.low) <= RUN_IN.psuPerHour + SLACK_PSU
  return (
    isSlow && step.after <= span.high - RUN_IN.toWithinPsu + SLACK_PSU && (step.withPsu ?? 0) <= RUN_IN.strongestPsu
  )
}

const sharks = (residents: readonly Resident[]) => residents.filter(({ sensitivity }) => sensitivity === 'elasmobranch')

/** "Button, tuxedo urchin; Zoa (coral)", at most three by name. */
const named = (residents: readonly Resident[]): string =>
  residents.length <= 3
    ? residents.map(({ label }) => label).join('; ')
    : `${residents
        .slice(0, 3)
        .map(({ label }) => label)
        .join('; ')} and ${residents.length - 3} more`

/**
 * What speaks against moving the salinity of a tank's water: up by more than 0.002 SG in a day for anybody in it, a reef under 30 psu, faster
 * down than corals and invertebrates tolerate, under 1.008 for fish, salt in fresh water.
 */
export function salinityConcerns(
  journal: Journal,
  water: WaterState,
  step: SalinityStep,
  at: number,
  except?: string,
): Concern[] {
  const { tank, residents } = water
  const { before, after } = step
  const settings = settingsOf(journal) ?? DEFAULT_SETTINGS
  const text = (psu: number) => measureText(Math.max(0, psu), 'psu', settings.units, 3)
  const animals = residents.filter(({ kind }) => kind !== 'plant')
  if (animals.length === 0 || Math.abs(after - before) < SLACK_PSU) return []
  const span = salinitySpan(journal, tank.id, at, DAY_HOURS, except)
  const what = `Salinity goes from ${text(before)} to ${text(after)}`
  if (tank.water === 'freshwater') {
    if (after <= FRESH_PSU.caution || after <= before) return []
    return [
      concern(
        'salinity-fresh',
        after > FRESH_PSU.block ? 'block' : 'caution',
        what,
        'that is brackish: most freshwater animals and plants do not tolerate it',
        after > FRESH_PSU.block ? 'reason' : 'confirm',
      ),
    ]
  }
  const spineless = residents.filter(isInvertebrate)
  const tender = [...spineless, ...sharks(residents)]
  const concerns: Concern[] = []
  if (after > before) {
    const low = Math.min(before, span?.low ?? before)
    const rise = gravityOfPsu(Math.min(50, after)) - gravityOfPsu(low)
    if (rise > RAISE_SG_A_DAY + SG_SLACK) {
      if (isPuttingBack(journal, water, step, at, except))
        concerns.push(
          concern(
            'salinity-rise',
            'note',
            what,
            'fresh water ran in: back at most 1 psu an hour, to within 2 psu, the rest over a day',
          ),
        )
      else {
        const most = psuOfGravity(gravityOfPsu(low) + RAISE_SG_A_DAY)
        concerns.push(
          concern(
            'salinity-rise',
            'block',
            `${what}${low < before - SLACK_PSU ? `; it was ${text(low)} within the last day` : ''}`,
            `up by at most 0.002 SG a day, here to ${text(most)}: faster harms gills and kidneys`,
            'reason',
          ),
        )
      }
    }
    return concerns
  }
  const high = Math.max(before, span?.high ?? before)
  if (spineless.length > 0 && after < REEF_LEAST_PSU - SLACK_PSU)
    concerns.push(
      concern(
        'salinity-reef',
        'block',
        `${what}, with ${named(spineless)}`,
        `corals and invertebrates need at least ${text(REEF_LEAST_PSU)}`,
        'reason-and-vet',
      ),
    )
  else if (tender.length > 0 && high - after > LOWER_PSU_A_DAY + SLACK_PSU)
    concerns.push(
      concern(
        'salinity-fall',
        'block',
        `${what}, with ${named(tender)}`,
        `down by at most ${measureText(LOWER_PSU_A_DAY, 'psu apart', settings.units, 2)} a day`,
        'reason',
      ),
    )
  const fish = animals.filter(({ kind }) => kind === 'fish')
  if (fish.length === 0) return concerns
  if (sharks(residents).length > 0 && after < REEF_LEAST_PSU - SLACK_PSU && spineless.length === 0)
    concerns.push(
      concern(
        'drug-elasmobranch',
        'block',
        `${what}, with ${named(sharks(residents))}`,
        'sharks and rays do not tolerate low salinity: a veterinarian first',
        'reason-and-vet',
      ),
    )
  if (gravityOfPsu(after) < LEAST_SG - SG_SLACK)
    concerns.push(
      concern(
        'salinity-low',
        'block',
        what,
        `under ${text(psuOfGravity(LEAST_SG))} marine fish suffer: add salt water, not more fresh`,
        'reason',
      ),
    )
  else if (gravityOfPsu(high) - gravityOfPsu(after) > FISH_STEP_SG + SG_SLACK && isOneStep(before, after))
    concerns.push(
      concern(
        'salinity-fall',
        'caution',
        what,
        'fish are brought down in four to eight steps, six to twelve hours apart',
      ),
    )
  return concerns
}

/** Whether one step alone is larger than the largest of the handbook's. */
const isOneStep = (before: number, after: number): boolean =>
  gravityOfPsu(before) - gravityOfPsu(after) > FISH_STEP_SG + SG_SLACK
