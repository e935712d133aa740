import type { AmountUnit } from './product.schema.ts'

/** What a dose or a bath keeps of the product that was measured out for it. */
export interface DrawnAmount {
  ingredient: string
  productId: string
  /** In `unit`, the product's own. */
  amount: number
  unit: AmountUnit
  /** Of the active ingredient, mg. */
  massMg: number
}

/**
 * An amount of a product as entries keep it: the log line, the ledger's forms and the tasks write the same one.
 * @param amount in the product's own unit: mL, g, packs or drops
 * @example
 * drawnAmount({ id: 'cu', ingredient: 'cu-chelated', unit: 'mL', mgPerUnit: 10 }, 2.2).massMg // 22
 */
export const drawnAmount = (
  { id, ingredient, unit, mgPerUnit }: { id: string; ingredient: string; unit: AmountUnit; mgPerUnit: number },
  amount: number,
): DrawnAmount => ({ ingredient, productId: id, amount, unit, massMg: amount * mgPerUnit })
