/** A product as it is measured out. */
interface Measured {
  /** mg of the active ingredient in one unit. */
  mgPerUnit: number
  measure: { step: number } | null
}

/**
 * So many mg of a product as its tool measures them: rounded down to the tool's step, so that no cap is passed.
 * @returns the amount in the product's unit and what it holds; null where the tool cannot measure so little
 */
export function measuredDown(
  massMg: number,
  { mgPerUnit, measure }: Measured,
): { amount: number; massMg: number } | null {
  const exact = massMg / mgPerUnit
  const amount = measure === null ? exact : Math.floor(exact / measure.step + 1e-9) * measure.step
  return amount > 0 ? { amount: Number(amount.toPrecision(8)), massMg: amount * mgPerUnit } : null
}
