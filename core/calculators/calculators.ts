import { BATH, FOOD, PEROXIDE } from './baths.ts'
import type { Calculator } from './calculator.ts'
import { AFTER_CHANGE, DOSE, RAMP, WEEK_BOTTLE } from './doses.ts'
import { CHANGE_FOR, CHANGES_LEFT } from './changes.ts'
import { AMMONIA, SALINITY_SWAP } from './chemistry.ts'
import { DOWN, ELEMENT } from './elements.ts'
import { UV } from './equipment.ts'
import { UNITS } from './units.ts'
import { BY_DOSE, GEOMETRY } from './volume.ts'

export type { Answer, AnswerLine, Calculator, Computed, Fault, Field, KnownProduct, Values } from './calculator.ts'
export { computed, fieldsShown } from './calculator.ts'

/** Every calculator, in the order of what a keeper wants to know. */
export const CALCULATORS: readonly Calculator[] = [
  DOSE,
  RAMP,
  WEEK_BOTTLE,
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
