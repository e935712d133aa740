import { limitsFor, mindsSalinity } from '../../acclimation/limits.ts'
import { DEFAULT_SETTINGS, settingsOf } from '../../household/settings.ts'
import type { Tank } from '../../household/tanks.ts'
import type { Journal } from '../../journal/journal.ts'
import { lastValue } from '../../readings/evidence.ts'
import { gravityOfPsu } from '../../salinity/gravity.ts'
import { MS_PER_DAY } from '../../time/zone.ts'
import { measureText } from '../../words/measure.ts'
import { concern, type Concern } from '../concern.ts'
import { HYPOSALINE_PSU, TEST_DAYS } from '../water/agents.ts'
import { salinityOf, type SalinityNow } from '../water/salinity.ts'
import type { Resident } from '../water/residents.ts'

/** Up by more than this takes days, SG: quarantine.md 5.5. */
const RISE_OF_A_DAY_SG = 0.002
const SG_SLACK = 0.0002
/** Two waters are apart in pH beyond this: what two usual kits may be off together (EA; acclimation.md names no figure but for a dip). */
const PH_APART = 0.3
/** Of a freshwater dip: quarantine.md 5.2, ± 1 °C and pH ± 0.2. */
export const DIP_MATCH = { celsius: 1, pH: 0.2 } as const
const SLACK = 0.05

/** A water that something comes from, as far as it is known. */
export interface OtherWater {
  psu: number | null
  temperatureC: number | null
  pH: number | null
}

/** What recent tests say of a tank, for comparing it with another. */
export function waterToCompare(
  journal: Journal,
  tankId: string,
  at: number,
): OtherWater & { salinity: SalinityNow | null } {
  const recent = (parameter: string) => {
    const last = lastValue(journal, tankId, parameter, at + 1)
    return last && at - last.at < TEST_DAYS * MS_PER_DAY ? last.value : null
  }
  const salinity = salinityOf(journal, tankId, at)
  return {
    salinity,
    psu: salinity && !salinity.isAssumed ? salinity.psu : null,
    temperatureC: recent('temp'),
    pH: recent('ph'),
  }
}

/** Groups that live in fresh water and in the sea: mollies among the livebearers. */
const BOTH_WATERS: ReadonlySet<string> = new Set(['fw-livebearer'])

/** An animal of the sea in fresh water, or the other way round. */
export function wrongWaterConcerns(resident: Resident, tank: Tank): Concern[] {
  const { group, label } = resident
  if (!group || group.water === tank.water) return []
  const isMolly = BOTH_WATERS.has(group.id)
  return [
    concern(
      'wrong-water',
      isMolly ? 'caution' : 'block',
      `${label} lives in ${group.water === 'marine' ? 'the sea' : 'fresh water'}, ${tank.name} is ${tank.water === 'marine' ? 'sea water' : 'fresh water'}`,
      isMolly
        ? 'mollies are brought over by a slow drip in 6 to 24 hours; other livebearers are not'
        : 'it dies in the wrong water',
    ),
  ]
}

/**
 * How far the salinity, the temperature and the pH of two waters may be apart for somebody who goes from one to the other, by
 * acclimation.md: beyond one acclimation it takes days.
 * @param from what it comes from; null figures are not known
 */
export function matchConcerns(
  journal: Journal,
  resident: Resident,
  from: OtherWater & { salinity?: SalinityNow | null },
  tank: Tank,
  at: number,
): Concern[] {
  if (!resident.group || resident.group.water !== tank.water) return []
  const settings = settingsOf(journal) ?? DEFAULT_SETTINGS
  const to = waterToCompare(journal, tank.id, at)
  return [
    ...salinityApart(resident, from, to, tank, settings.units),
    ...apart(
      'temp-apart',
      from.temperatureC,
      to.temperatureC,
      matchOf(resident).matchC,
      (value) => measureText(value, '°C', settings.units, 3),
      tank,
      'match the temperatures first: float it, or warm the water slowly',
    ),
    ...apart(
      'ph-apart',
      from.pH,
      to.pH,
      PH_APART,
      (value) => `pH ${value.toFixed(1)}`,
      tank,
      'bring the new water in slowly',
    ),
  ]
}

const matchOf = ({ group }: Resident) => limitsFor(group!.id, 35, 34)!.limits

function apart(
  rule: string,
  from: number | null,
  to: number | null,
  most: number,
  text: (value: number) => string,
  tank: Tank,
  reason: string,
): Concern[] {
  if (from === null || to === null || Math.abs(from - to) <= most + 1e-9) return []
  return [concern(rule, 'caution', `${tank.name} is at ${text(to)}, the other water at ${text(from)}`, reason)]
}

function salinityApart(
  resident: Resident,
  from: OtherWater & { salinity?: SalinityNow | null },
  to: ReturnType<typeof waterToCompare>,
  tank: Tank,
  units: Parameters<typeof measureText>[2],
): Concern[] {
  const text = (psu: number) => measureText(psu, 'psu', units, 3)
  const known = from.psu ?? (to.psu !== null ? from.salinity?.psu : undefined) ?? null
  const there = to.psu ?? (from.psu !== null ? (to.salinity?.psu ?? null) : null)
  if (there === null) return []
  if (known === null)
    return there <= HYPOSALINE_PSU && resident.kind === 'fish'
      ? [
          concern(
            'salinity-apart',
            'caution',
            `${tank.name} is at ${text(there)}, and the salinity ${resident.label} comes from is not on record`,
            'measure its water first: more than an hour’s way down has to be made in steps',
          ),
        ]
      : []
  const { limits } = limitsFor(resident.group!.id, known, there)!
  const difference = Math.abs(there - known)
  if (!mindsSalinity(limits) || difference <= limits.matchPsu + SLACK) return []
  const reach = (limits.maxPsuPerHour * limits.maxMinutes) / 60 + limits.matchPsu
  const isRise = there > known
  const isOverADay = isRise && gravityOfPsu(there) - gravityOfPsu(known) > RISE_OF_A_DAY_SG + SG_SLACK
  const takesDays = difference > reach + SLACK || (isOverADay && resident.kind === 'fish')
  // What nobody tested is taken as usual: that is enough to warn of days, not to ask about an hour.
  if (!takesDays && (from.psu === null || to.psu === null)) return []
  const what = `${resident.label} goes from ${text(known)} to ${text(there)}`
  return [
    takesDays
      ? concern(
          'salinity-apart',
          'block',
          what,
          isRise
            ? 'up by at most 0.002 SG a day: raise the water it is in over days first'
            : 'further than one acclimation goes: lower the water it is in in steps first, or match the new water',
        )
      : concern(
          'salinity-apart',
          'caution',
          what,
          `acclimate it: at most ${measureText(limits.maxPsuPerHour, 'psu apart', units, 2)} an hour, to within ${measureText(limits.matchPsu, 'psu apart', units, 2)}`,
        ),
  ]
}
