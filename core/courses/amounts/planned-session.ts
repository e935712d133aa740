import { tierById, type PeroxideTier } from '../../catalogue/treatments/peroxide-tiers.data.ts'
import type { ShelfProduct } from '../../household/shelf.ts'
import { floorToDigits } from '../../numbers/rounding.ts'

/** A session with the syringe: the most that all patches together may get. */
export interface PlannedSession {
  tier: PeroxideTier
  /** mg/L in the net volume that are not passed. */
  capMgPerL: number
  capMg: number
  productId: string | null
  unit: ShelfProduct['unit'] | null
  /** Of the product, as its tool measures it, never over the cap; null without one. */
  amount: number | null
  makesMgPerL: number | null
}

const TIER_OF_OPTION: Readonly<Record<string, string>> = {
  'animals-in': 'spot',
  changed: 'spot-changed',
  bare: 'bare-tank',
}

/** The tier that a course chose; the lowest where it chose none. */
export const tierOf = (option: string | undefined): PeroxideTier => tierById(TIER_OF_OPTION[option ?? ''])

/**
 * The cap of a session in some net volume: further-schools.md 4.
 * @example
 * // 84 L, animals in, 3 % peroxide by a syringe of 0.1 mL: 0.79 mg/L × 84 L ÷ 30 mg/mL
 * sessionCap(tierOf('animals-in'), 84, peroxide).amount // 2.2
 */
export function sessionCap(
  tier: PeroxideTier,
  volumeL: number,
  product: Pick<ShelfProduct, 'id' | 'unit' | 'mgPerUnit' | 'measure'> | null,
): PlannedSession {
  const capMg = tier.capMgPerL * volumeL
  const exact = product ? capMg / product.mgPerUnit : null
  const step = product?.measure?.step ?? null
  // Rounded down: a cap is not passed. Without a syringe on record to two digits, as the handbook has it.
  const amount =
    exact === null ? null : step === null ? floorToDigits(exact, 2) : Math.floor(exact / step + 1e-9) * step
  return {
    tier,
    capMgPerL: tier.capMgPerL,
    capMg,
    productId: product?.id ?? null,
    unit: product?.unit ?? null,
    amount: amount === null ? null : Number(amount.toPrecision(8)),
    makesMgPerL: amount === null || !product ? null : (amount * product.mgPerUnit) / volumeL,
  }
}
