import { doseAmount } from '../../dosing/dosing.ts'
import type { ShelfProduct } from '../../household/shelf.ts'
import type { CarriedDrug } from './carried-drugs.ts'
import { changeForTarget } from '../../water-change/water-change.ts'

/** A dose worked out: how much of the product, and the level it makes. */
export interface PlannedDose {
  productId: string | null
  massMg: number
  /** Net litres it goes into. */
  volumeL: number
  fromMgPerL: number
  toMgPerL: number
  /** In the product's unit, as it can be measured; null without a product. */
  amount: number | null
  unit: ShelfProduct['unit'] | null
  /** What the measured amount really makes. */
  makesMgPerL: number
  /** The tool cannot measure so little. */
  belowMeasurable: boolean
}

/**
 * The dose from a level to a target in some water, measured with the product's own tool. Where rounding up would pass the
 * band's high, the next smaller measurable amount is taken.
 * @returns null when the level is at the target already
 */
export function doseToward(
  fromMgPerL: number,
  toMgPerL: number,
  highMgPerL: number,
  volumeL: number,
  product: ShelfProduct | null,
): PlannedDose | null {
  if (toMgPerL <= fromMgPerL) return null
  if (!product)
    return {
      productId: null,
      massMg: (toMgPerL - fromMgPerL) * volumeL,
      volumeL,
      fromMgPerL,
      toMgPerL,
      amount: null,
      unit: null,
      makesMgPerL: toMgPerL,
      belowMeasurable: false,
    }
  const step = product.measure?.step
  const result = doseAmount({
    volumeL,
    currentMgPerL: fromMgPerL,
    targetMgPerL: toMgPerL,
    product: product.strength,
    ...(step !== undefined && { measureStep: step }),
  })
  if (!result.ok) return null
  const { massMg, exact, measured } = result.value
  let amount = measured?.amount ?? exact.amount
  const makes = (units: number) => fromMgPerL + (units * product.mgPerUnit) / volumeL
  if (step !== undefined && makes(amount) > highMgPerL) amount = Math.max(0, amount - step)
  return {
    productId: product.id,
    massMg,
    volumeL,
    fromMgPerL,
    toMgPerL,
    amount,
    unit: product.unit,
    makesMgPerL: makes(amount),
    belowMeasurable: amount === 0,
  }
}

/**
 * The dose that brings water without the ingredient to a level, and never over it: where the tool would round up, the next smaller
 * amount is taken.
 */
export const doseToLevel = (mgPerL: number, volumeL: number, product: ShelfProduct | null): PlannedDose | null =>
  doseToward(0, mgPerL, mgPerL * (1 + ROUNDING), volumeL, product)

/** What a sum of floating numbers may be off. */
const ROUNDING = 1e-9

/** A water change that brings a level down, worked out. */
export interface PlannedChange {
  litres: number
  /** How many such changes, when one would be too large. */
  times: number
  fromMgPerL: number
  toMgPerL: number
  /** Where it moves the salinity: from what, to what, with water of which; psu. */
  salinity?: { fromPsu: number; toPsu: number; replacementPsu: number }
  /** Drugs that the new water brings, so that it lowers none that is held. */
  carried?: readonly CarriedDrug[]
}

/** Largest share of the water changed at once when a level is brought down: quarantine.md `act-water-change`, 30–50 %, matched. */
export const LARGEST_CHANGE = 0.5

/** The matched water change that brings a level down to a target; null when it is there already. */
export function dilute(fromMgPerL: number, toMgPerL: number, volumeL: number): PlannedChange | null {
  const result = changeForTarget({ startMgPerL: fromMgPerL, targetMgPerL: toMgPerL, maxFraction: LARGEST_CHANGE })
  return result.ok
    ? { litres: result.value.equalFraction * volumeL, times: result.value.changes, fromMgPerL, toMgPerL }
    : null
}
