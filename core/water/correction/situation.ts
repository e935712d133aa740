import { bandFor, parameterById, type Parameter } from '../../catalogue/parameter.ts'
import { PARAMETERS_AS_ASKED } from '../../catalogue/parameters-as-asked.ts'
import { DAILY_CAPS } from '../../catalogue/handbook/dosing.data.ts'
import { casesOf } from '../../diagnosis/cases.ts'
import { hasSmallPolyps } from '../../household/corals.ts'
import type { Tank } from '../../household/tanks.ts'
import type { Journal } from '../../journal/journal.ts'
import { lastValue, type ValueReading } from '../../readings/evidence.ts'
import { mixedWaterHeld, usualNewWater } from '../balance.ts'
import { uptakeOf, type TankUptake } from '../uptake.ts'
import { DINO_FLOORS, FLOORS, LOWER_CAPS } from './lower.ts'
import { saltsFor } from './salts.ts'

/** Whether dinoflagellates are confirmed in a tank, by a case that is open. */
const hasDinoflagellates = (journal: Journal, tankId: string): boolean =>
  casesOf(journal).some(
    ({ start, ended, causes }) =>
      start.tankId === tankId &&
      ended === null &&
      causes.some(({ id, state }) => state === 'confirmed' && id.startsWith('dino-')),
  )

/** The level that a nutrient is kept over in a tank, higher while dinoflagellates last; null for what has none. */
export const floorOf = (journal: Journal, tankId: string, parameterId: string): number | null =>
  (hasDinoflagellates(journal, tankId) ? DINO_FLOORS : FLOORS)[parameterId] ?? null

/** Parameters that salts raise or water changes bring down, in the order in which they are asked for. */
export const CORRECTABLE: readonly Parameter[] = PARAMETERS_AS_ASKED.filter(
  ({ id }) => saltsFor(id).length > 0 || LOWER_CAPS.some(({ parameter }) => parameter === id),
)

/** What a correction of a parameter starts from. Levels in the parameter's unit. */
export interface CorrectionStart {
  parameter: Parameter
  netL: number | null
  last: ValueReading | null
  /** The middle of the tank's band; null without one. */
  middle: number | null
  uptake: TankUptake | null
  hasSmallPolyps: boolean
  /** What new water holds: by its record, else as usual; `isTested` says which. */
  newWater: { value: number | null; isTested: boolean }
  /** The last level of a parameter, for what comes along with a salt. */
  levelOf: (parameterId: string) => number | undefined
  /** The level it is kept over; null for what has none. */
  floor: number | null
  /** The handbook's note on the daily cap. */
  note: string | null
}

const capRow = (parameterId: string) => DAILY_CAPS.rows.find(({ id }) => id === parameterId.replace('alk-kh', 'alk'))

/**
 * What is known before a parameter of a tank is corrected.
 * @param now ms
 * @example
 * correctionStart(journal, hall, potassium, Date.now()).hasSmallPolyps // half the pace for alkalinity
 */
export function correctionStart(journal: Journal, tank: Tank, parameter: Parameter, now: number): CorrectionStart {
  const band = bandFor(parameter, tank.profile)
  const mixed = mixedWaterHeld(journal, parameter.id, now)
  return {
    parameter,
    netL: tank.volume?.netL ?? null,
    last: lastValue(journal, tank.id, parameter.id, now + 1),
    middle: band && band[0] !== null && band[1] !== null ? (band[0] + band[1]) / 2 : null,
    uptake: uptakeOf(journal, tank.id, parameter, now),
    hasSmallPolyps: hasSmallPolyps(journal, tank.id),
    newWater: { value: mixed ?? usualNewWater(journal, tank.id, parameter.id), isTested: mixed !== null },
    levelOf: (id) => (parameterById(id) ? lastValue(journal, tank.id, id, now + 1)?.value : undefined),
    floor: floorOf(journal, tank.id, parameter.id),
    note: capRow(parameter.id)?.note?.replace('<=', '≤') ?? null,
  }
}
