import { DOSES, rampOf } from '../../catalogue/treatments/treatments.ts'
import { SENSITIVITIES } from '../../catalogue/treatments/sensitivities.data.ts'
import type { Intolerance, Sensitivity } from '../../catalogue/treatments/treatment.types.ts'
import { concern, type Concern } from '../concern.ts'
import { isNamedBy } from '../water/agents.ts'
import type { Resident } from '../water/residents.ts'
import type { Treatment } from './treatment.ts'

/** Steps closer than this are a fast ramp for those who do not tolerate one (EA, the slower end of 12–24 h). */
const FAST_RAMP_HOURS = 24
/** A syringe is no better than this: a step this little over the handbook's is the handbook's. */
const STEP_SLACK = 1.05
/** Salt that fish without scales tolerate, mg/L: quarantine.md 5.6, over 1 to 2 g/L. */
const SALT_MG_PER_L = { caution: 1000, avoid: 2000 } as const
/** Half of the full dose is what fish without scales get of malachite green: quarantine.md 5.6 and its row of the doses. */
const HALF_SHARE = 0.5

/** The tank rows of an agent, the gentle one among them. */
const tankRows = (agent: string) => DOSES.filter((row) => row.agent === agent && row.route === 'tank')

/** Whether a treatment is in the high band: over the gentle row where one exists, else in the standard one. */
function isHighBand({ agent, dose, makesMgPerL }: Treatment): boolean {
  const rows = tankRows(agent)
  const gentle = rows.find(({ id }) => id.endsWith('-gentle'))
  if (makesMgPerL == null) return dose !== undefined && !dose.id.endsWith('-gentle')
  const least = gentle ? gentle.high : Math.min(...rows.map(({ low }) => low))
  return gentle ? makesMgPerL > least + 1e-6 : makesMgPerL >= least - 1e-6
}

/** Whether the level goes up faster than a step of the handbook's ramp in a day. */
function isFastRamp({ agent, direct, rampHours, makesMgPerL, dayBeforeMgPerL = 0 }: Treatment): boolean {
  if (makesMgPerL == null) return direct === true || (rampHours ?? FAST_RAMP_HOURS) < FAST_RAMP_HOURS
  const levels = rampOf(agent).levels
  const next = levels?.find((level) => level > dayBeforeMgPerL * STEP_SLACK)
  return next !== undefined && makesMgPerL > next * STEP_SLACK
}

/** Whether a narrowed intolerance speaks, and how: where it grows with the level, a caution before the block. */
function narrowed(only: NonNullable<Intolerance['only']>, treatment: Treatment): 'avoid' | 'caution' | null {
  const { agent, dose, makesMgPerL } = treatment
  switch (only) {
    case 'high-band':
      return isHighBand(treatment) ? 'avoid' : null
    case 'fast-ramp':
      return isFastRamp(treatment) ? 'avoid' : null
    case 'full-dose': {
      const full = dose?.target ?? tankRows(agent)[0]?.target
      if (full === undefined) return null
      return (makesMgPerL ?? full) > full * HALF_SHARE * STEP_SLACK ? 'avoid' : null
    }
    case 'over-1-to-2-g-per-l': {
      const level = makesMgPerL ?? (dose === undefined ? null : dose.target * 1000)
      if (level === null) return null
      if (level > SALT_MG_PER_L.avoid * STEP_SLACK) return 'avoid'
      return level > SALT_MG_PER_L.caution * STEP_SLACK ? 'caution' : null
    }
  }
}

const isMeant = ({ agents }: Intolerance, { agent, dose }: Treatment): boolean =>
  agents.some((id) => id === dose?.id || isNamedBy(agent, id))

const ONLY_WORDS: Record<NonNullable<Intolerance['only']>, string> = {
  'high-band': 'does not tolerate the high range; the gentle one is for it',
  'fast-ramp': 'does not tolerate a fast rise: one step of the ramp a day, never straight to the dose',
  'full-dose': 'does not tolerate the full dose: half of it at most',
  'over-1-to-2-g-per-l': 'does not tolerate more than 1 to 2 g/L of salt',
}

function concernsFor(resident: Resident, row: Sensitivity, treatment: Treatment): Concern[] {
  const prefer = row.instead === undefined ? '' : ` Preferred: ${row.instead}.`
  const speaks = row.avoid
    .filter((one) => isMeant(one, treatment))
    .flatMap((one) => {
      const how = one.only === undefined ? 'avoid' : narrowed(one.only, treatment)
      return how === null ? [] : [{ how, words: one.only ? ONLY_WORDS[one.only] : 'does not tolerate it' }]
    })
  if (speaks.length > 0)
    return speaks.map(({ how, words }) =>
      concern(row.id, how === 'avoid' ? 'block' : 'caution', resident.label, `${words}.${prefer}`),
    )
  return row.caution
    .filter((one) => isMeant(one, treatment))
    .map(({ words }) =>
      concern(row.id, 'caution', resident.label, `${words ?? 'with care: watch appetite and breathing'}.${prefer}`),
    )
}

/** The row of the sensitivities that holds for a resident. */
export const sensitivityOf = ({ sensitivity }: Pick<Resident, 'sensitivity'>): Sensitivity | undefined =>
  sensitivity === null ? undefined : SENSITIVITIES.find(({ id }) => id === sensitivity)

/**
 * What some of those in the water do not tolerate of a treatment: quarantine.md 5.6. Dosed to a tank, invertebrates are a row of the
 * interactions; in a bath this is the only place that speaks of them.
 */
export const sensitivityConcerns = (residents: readonly Resident[], treatment: Treatment): Concern[] =>
  residents.flatMap((resident): Concern[] => {
    const row = sensitivityOf(resident)
    if (!row || (resident.kind !== 'fish' && treatment.isBath !== true)) return []
    return concernsFor(resident, row, treatment)
  })

/** Those whose group nobody knows: what they tolerate cannot be judged. */
export const unknownConcerns = (residents: readonly Resident[], of: string): Concern[] =>
  residents
    .filter(({ kind }) => kind === 'unknown')
    .map(({ label }) =>
      concern(
        'cannot-judge',
        'ask',
        `${label} is of no group that Brinvo knows`,
        `whether it tolerates ${of} cannot be judged: choose its group first`,
      ),
    )
