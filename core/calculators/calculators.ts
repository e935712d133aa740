import { BATH, FOOD, PEROXIDE } from './baths.ts'
import type { Calculator, Values } from './calculator.ts'
import { METRIC } from '../household/settings.ts'
import { AFTER_CHANGE, DOSE, RAMP, WEEK_BOTTLE } from './doses.ts'
import { CHANGE_FOR, CHANGES_LEFT } from './changes.ts'
import { AMMONIA, SALINITY_SWAP } from './chemistry.ts'
import { DOWN, ELEMENT } from './elements.ts'
import { UV } from './equipment.ts'
import { PUMP_DAY } from './pump-day.ts'
import { UNITS } from './units.ts'
import { BY_DOSE, GEOMETRY } from './volume.ts'

export type { Answer, AnswerLine, Calculator, Computed, Fault, Field, KnownProduct, Values } from './calculator.ts'
export { computed, fieldsShown } from './calculator.ts'

/** Every calculator, in the order of what a keeper wants to know. */
export const CALCULATORS: readonly Calculator[] = [
  DOSE,
  RAMP,
  WEEK_BOTTLE,
  PUMP_DAY,
  AFTER_CHANGE,
  CHANGES_LEFT,
  CHANGE_FOR,
  PEROXIDE,
  BATH,
  FOOD,
  SALINITY_SWAP,
  AMMONIA,
  GEOMETRY,
  BY_DOSE,
  ELEMENT,
  DOWN,
  UV,
  UNITS,
]

/**
 * The calculator that has the fields of a link: the first of those that have most of them.
 * @param values of the link, by field
 * @example
 * calculatorWith({ flow: '800', watts: '18' }).id // 'uv'
 */
export function calculatorWith(values: Values): Calculator {
  const names = Object.keys(values)
  const known = (calculator: Calculator) => {
    const ids = new Set(calculator.fields(values, [], METRIC).map(({ id }) => id))
    return names.filter((name) => ids.has(name)).length
  }
  return CALCULATORS.reduce((best, one) => (known(one) > known(best) ? one : best))
}
