import { parameterById, type Parameter } from '../../catalogue/parameter.ts'
import { RAISE_A_DAY } from '../../catalogue/daily-caps.data.ts'
import { coursesOf } from '../../courses/course.ts'
import { pumpsInTank } from '../../devices/pumps-in-tank.ts'
import { hasSmallPolyps } from '../../household/corals.ts'
import { DEFAULT_SETTINGS, settingsOf } from '../../household/settings.ts'
import { netVolumeAt } from '../../household/tanks.ts'
import type { ContentOf } from '../../journal/entry.ts'
import type { Journal } from '../../journal/journal.ts'
import { raisedBy } from '../../readings/raises.ts'
import { raiseCap } from '../../water/correction/salts.ts'
import { isUptakeCertain, uptakeOf } from '../../water/uptake.ts'
import { measureText } from '../../words/measure.ts'
import { concern, type Concern } from '../concern.ts'
import type { WaterState } from '../water/state.ts'
import { countedMassMg } from '../../dosing/counted-mass.ts'

/** A syringe is no better than this: so little over a cap is the cap. */
const SLACK = 1.02
/** What a dose of a salt may raise, besides salinity and temperature, which no salt of the shelf is dosed for. */
const CAPPED = (Object.keys(RAISE_A_DAY) as (keyof typeof RAISE_A_DAY)[]).filter(
  (id) => id !== 'salinity' && id !== 'temp',
)
/** A first +2 mg/L of silica at once is a school of its own, on the plan that doses it: further-schools.md 5. */
const SILICATE_PLAN = 'dino-sand'
const SILICATE_START = { mgPerL: 2 } as const

/** How much a parameter may be raised in a day in this water; null where nobody lives in it or the handbook has no cap. */
function capFor(journal: Journal, { tank, residents, from }: WaterState, parameter: Parameter): number | null {
  if (residents.length === 0) return null
  const cap = raiseCap(parameter.id, 'usual', hasSmallPolyps(journal, tank.id))
  if (cap === null || parameter.id !== 'sio2') return cap
  const isPlanned = coursesOf(journal).some(
    ({ definition, tankId, startedAt, ended }) =>
      definition.id === SILICATE_PLAN && tankId === tank.id && startedAt <= from && (ended === null || ended.at > from),
  )
  return isPlanned ? Math.max(cap, SILICATE_START.mgPerL) : cap
}

type Dose = ContentOf<'dose'>

/** The doses into a tank on the local day of an instant. */
function dosesOfDay(journal: Journal, tankId: string, at: number, except?: string): Dose[] {
  const { clock } = settingsOf(journal) ?? DEFAULT_SETTINGS
  const day = clock.dayOf(at)
  const [from, until] = [clock.instantAt(day), clock.instantAt(day + 1)]
  return journal
    .about(`water:${tankId}`)
    .flatMap(({ content, struck, id, at: when }) =>
      !struck && id !== except && when >= from && when < until && content.kind === 'dose' ? [content] : [],
    )
}

/** What doses raised a parameter, in its unit. */
const raisedByAll = (doses: readonly Dose[], parameter: string, netL: number): number =>
  doses.reduce((sum, dose) => sum + raisedBy(dose.ingredient, parameter, (countedMassMg(dose) ?? 0) / netL), 0)

/**
 * What the running pumps of a tank raise a parameter by in a day, in its unit.
 * @param written devices whose day is written down as a dose already: it counts as one
 */
function pumpedPerDay(
  journal: Journal,
  { tank }: WaterState,
  parameter: string,
  at: number,
  written: ReadonlySet<string | undefined>,
): number {
  const { timeZone } = settingsOf(journal) ?? DEFAULT_SETTINGS
  return pumpsInTank(journal, tank, timeZone, at)
    .filter(({ deviceId }) => !written.has(deviceId))
    .flatMap(({ rises }) => rises)
    .reduce((sum, rise) => sum + (rise.parameter.id === parameter ? rise.dosed : 0), 0)
}

/**
 * What a dose raises beyond the caps of a day, with what was dosed that day already and what pumps dose: outbreaks.md 5.4, by the corals of
 * the tank. Carbonates and bicarbonates, of sodium or potassium, count together as alkalinity.
 * @param mgPerL of what the product's strength is counted in, that go in on that day
 */
export function dayCapConcerns(
  journal: Journal,
  { tankId, ingredient, deviceId }: Pick<Dose, 'tankId' | 'ingredient' | 'deviceId'>,
  mgPerL: number,
  water: WaterState,
  at: number,
  except?: string,
): Concern[] {
  const { units } = settingsOf(journal) ?? DEFAULT_SETTINGS
  const sameDay = dosesOfDay(journal, tankId, at, except)
  const written = new Set([deviceId, ...sameDay.map((dose) => dose.deviceId)])
  const netL = netVolumeAt(journal, tankId, at)
  return CAPPED.flatMap((id): Concern[] => {
    const adds = raisedBy(ingredient, id, mgPerL)
    const parameter = parameterById(id)
    const cap = parameter && adds > 0 ? capFor(journal, water, parameter) : null
    if (!parameter || cap === null) return []
    const before = netL === null ? 0 : raisedByAll(sameDay, id, netL)
    const pumped = pumpedPerDay(journal, water, id, at, written)
    const sum = before + pumped + adds
    if (sum <= cap * SLACK) return []
    // What the tank uses in a day does not raise it.
    const found = uptakeOf(journal, tankId, parameter, at)
    if (found && isUptakeCertain(found) && sum - Math.max(0, found.perDay) <= cap * SLACK) return []
    const text = (value: number) => measureText(value, parameter.unit, units, 3)
    return [
      concern(
        'day-cap',
        'block',
        `That raises ${parameter.name} by ${text(sum)} today${before > 0 ? `, ${text(before)} of it already` : ''}${pumped > 0 ? `, ${text(pumped)} by the pump` : ''}`,
        `at most ${text(cap)} a day${hasSmallPolyps(journal, water.tank.id) ? ' with small-polyp corals' : ''}: split it over days`,
        'reason',
      ),
    ]
  })
}
