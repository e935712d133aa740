import { meantFraction } from '../catalogue/salt-formulas.ts'
import type { AmountUnit } from './product.schema.ts'

const MG_PER_G = 1000

/** What a dose, a bath or a dip of the journal says of the substance in it. */
interface Measured {
  ingredient: string
  amount: number
  unit: AmountUnit
  massMg?: number
}

/**
 * The mg of a kept dose that count: of what its ingredient's strength is counted in. Older entries counted grams of a pure salt as grams of its
 * ion; they stay as they were written, and are read with the right share.
 * @returns undefined where the entry does not say
 * @example
 * countedMassMg({ ingredient: 'potassium-nitrate', amount: 2, unit: 'g', massMg: 2000 }) // 1227
 */
export function countedMassMg({ ingredient, amount, unit, massMg }: Measured): number | undefined {
  if (massMg === undefined || unit !== 'g' || !(amount > 0)) return massMg
  const kept = massMg / (MG_PER_G * amount)
  const meant = meantFraction(ingredient, kept)
  return meant === kept ? massMg : meant * MG_PER_G * amount
}
