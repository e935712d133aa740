import type { Dose } from '../../catalogue/treatments/treatments.ts'
import type { ShelfProduct } from '../../household/shelf.ts'

/** A bath worked out: how much of the product a litre of its water takes, and how long it lasts. */
export interface PlannedBath {
  ingredient: string
  /** In `levelUnit`. */
  mgPerL: number
  /** What is dosed by volume is counted in µL of it a litre. */
  levelUnit: 'mg/L' | 'µL/L'
  /** Under this it is no treatment. */
  lowMgPerL: number
  /** mg/L that must not be passed. */
  highMgPerL: number
  minutes: readonly [number, number]
  productId: string | null
  unit: ShelfProduct['unit'] | null
  /** Of the product in a litre of bath water; null without one. */
  amountPerL: number | null
  /** Smallest amount its tool measures. */
  step: number | null
  /** Litres of the tub, where one is named and its volume known. */
  litres: number | null
}

/** A bath by its row of the doses, quarantine.md 5.2, in some litres of water. */
export const plannedBath = (
  dose: Pick<Dose, 'agent' | 'unit' | 'low' | 'target' | 'high' | 'bathMinutes'>,
  product: ShelfProduct | null,
  litres: number | null,
): PlannedBath => ({
  ingredient: dose.agent,
  mgPerL: dose.target,
  levelUnit: dose.unit === 'µL/L' ? 'µL/L' : 'mg/L',
  lowMgPerL: dose.low,
  highMgPerL: dose.high,
  minutes: dose.bathMinutes ?? [0, 0],
  productId: product?.id ?? null,
  unit: product?.unit ?? null,
  amountPerL: product ? dose.target / product.mgPerUnit : null,
  step: product?.measure?.step ?? null,
  litres,
})

/**
 * How much of the product a bath of some litres takes, as its tool measures it.
 * @returns the amount and the mg/L it makes; null without a product
 * @example
 * // 75 mg/L of 3 % peroxide (30 mg in a mL) in 4 L
 * bathAmount(bath, 4) // { amount: 10, makesMgPerL: 75 }
 */
export function bathAmount(
  { amountPerL, step, mgPerL, lowMgPerL, highMgPerL }: PlannedBath,
  litres: number,
): { amount: number; makesMgPerL: number } | null {
  if (amountPerL === null || !(litres > 0)) return null
  const exact = amountPerL * litres
  const perUnit = mgPerL / exact
  let amount = step === null ? exact : Math.round(exact / step) * step
  // As the tool measures it: never under the least that treats, and never over its high.
  if (step !== null && amount * perUnit < lowMgPerL - 1e-9) amount += step
  if (step !== null && amount * perUnit > highMgPerL + 1e-9) amount -= step
  return { amount: Number(amount.toPrecision(8)), makesMgPerL: amount * perUnit }
}
