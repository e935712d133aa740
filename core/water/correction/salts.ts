import { RAISE_A_DAY, TENDER_PARAMETERS } from '../../catalogue/daily-caps.data.ts'
import { SALTS } from '../../catalogue/handbook/dosing.data.ts'
import { countedShare } from '../../catalogue/salt-formulas.ts'
import type { ParameterId } from '../../catalogue/parameter.types.ts'
import { raisedBy } from '../../readings/raises.ts'

/** How fast a level is raised within the handbook's range: its careful end, or its usual one. */
export type Pace = 'careful' | 'usual'

/** What a salt brings besides what it is dosed for. */
export interface SideRise {
  parameter: ParameterId
  /** In the parameter's unit, for each unit of what the salt is dosed for. */
  perUnit: number
}

/** A salt that raises a parameter of the water. */
export interface CorrectionSalt {
  id: string
  parameter: ParameterId
  /** g in 100 L for one unit of the parameter. */
  gPer100LPerUnit: number
  side: SideRise | null
  /** The handbook's own words on the side effect. */
  sideEffect: string
}

const ADDS: Readonly<Record<string, ParameterId>> = {
  alk: 'alk-kh',
  ca: 'ca',
  mg: 'mg',
  k: 'k',
  no3: 'no3',
  po4: 'po4',
  sio2: 'sio2',
}

/** A side effect that the handbook counts: "alk +0.72 dKH: book it", "K +0.63 mg/L". */
const SIDE = /^(alk|K) \+\d/i

function sideOf(id: string, sideEffect: string, main: ParameterId): SideRise | null {
  const parameter = ADDS[SIDE.exec(sideEffect)?.[1]?.toLowerCase() ?? '']
  return parameter ? { parameter, perUnit: raisedBy(id, parameter, 1) / raisedBy(id, main, 1) } : null
}

/** mg in 100 L for one mg/L, in grams. */
const G_PER_100_L = 0.1

/** The salts of outbreaks.md 5.3. The table's grams are rounded; here they follow from the formulas, as everywhere (`salt-formulas.ts`). */
export const CORRECTION_SALTS: readonly CorrectionSalt[] = SALTS.rows.flatMap(({ id, adds, sideEffect }) => {
  const parameter = ADDS[adds.toLowerCase()]
  const perMgPerL = parameter ? raisedBy(id, parameter, 1) : 0
  return parameter && perMgPerL > 0
    ? [
        {
          id,
          parameter,
          gPer100LPerUnit: G_PER_100_L / countedShare(id) / perMgPerL,
          side: sideOf(id, sideEffect, parameter),
          sideEffect,
        },
      ]
    : []
})

/** The salts that raise a parameter, the one without side effects first as the handbook has them. */
export const saltsFor = (parameter: string): CorrectionSalt[] =>
  CORRECTION_SALTS.filter((salt) => salt.parameter === parameter)

/**
 * The salt that is taken for a parameter unless another is chosen: one that stands on the shelf, else the handbook's first.
 * @returns undefined where no salt raises it
 */
export function preferredSalt(parameter: string, shelf: readonly { ingredient: string }[]): CorrectionSalt | undefined {
  const salts = saltsFor(parameter)
  return salts.find(({ id }) => shelf.some(({ ingredient }) => ingredient === id)) ?? salts[0]
}

/**
 * How much of a parameter may be raised in a day, outbreaks.md 5.4.
 * @param hasSmallPolyps whether small-polyp corals live in the water: what the table halves for them is halved at any pace
 * @returns in the parameter's unit; null where the table has none
 */
export function raiseCap(parameter: string, pace: Pace, hasSmallPolyps: boolean): number | null {
  const caps = (RAISE_A_DAY as Partial<Record<string, { careful: number; usual: number }>>)[parameter]
  if (!caps) return null
  return caps[hasSmallPolyps && TENDER_PARAMETERS.has(parameter as ParameterId) ? 'careful' : pace]
}
