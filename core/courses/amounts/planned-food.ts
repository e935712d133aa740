import type { Dose } from '../../catalogue/treatments/treatments.ts'
import type { ShelfProduct } from '../../household/shelf.ts'

/** A meal where nobody has said how much: what a handful of small fish eat in a day, g (EA). */
export const USUAL_MEAL_G = 2

/** Medicine bound to food, worked out for a gram of it. */
export interface PlannedFood {
  ingredient: string
  mgPerG: number
  lowMgPerG: number
  highMgPerG: number
  productId: string | null
  unit: ShelfProduct['unit'] | null
  /** Of the product in a gram of food; null without one. */
  amountPerG: number | null
}

/** Food by its row of the doses, quarantine.md 5.2 and 5.3. */
export const plannedFood = (dose: Dose, product: ShelfProduct | null): PlannedFood => ({
  ingredient: dose.agent,
  mgPerG: dose.target,
  lowMgPerG: dose.low,
  highMgPerG: dose.high,
  productId: product?.id ?? null,
  unit: product?.unit ?? null,
  amountPerG: product ? dose.target / product.mgPerUnit : null,
})
