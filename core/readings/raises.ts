import { ingredientById } from '../catalogue/ingredient.ts'
import { isCopper } from '../catalogue/treatments/groups.ts'

/** mg of a salt in a litre for one degree of alkalinity, outbreaks.md 5.3: 3.0 and 1.89 g in 100 L. */
const MG_PER_DEGREE: Readonly<Record<string, number>> = {
  'sodium-bicarbonate': 30,
  'sodium-carbonate': 18.9,
  // Counted as potassium: 0.072 dKH comes with each mg/L of it, further-schools.md 8.
  'potassium-carbonate': 1 / 0.072,
  'potassium-bicarbonate': 1 / 0.072,
  // Counted as silica: 0.09 dKH comes with each mg/L of it, outbreaks.md 5.3.
  'sodium-silicate-pentahydrate': 1 / 0.09,
}

/** mg/L of potassium that come with each mg/L of nitrate, outbreaks.md 5.3. */
const POTASSIUM_BY_NITRATE = 0.63

/**
 * How much a dose raises a parameter, in the parameter's unit.
 * @param mgPerL of what the product's strength is counted in, in the net volume
 * @returns 0 where the ingredient does not raise it, or nobody can say by how much
 * @example
 * raisedBy('sodium-bicarbonate', 'alk-kh', 15) // 0.5 dKH
 */
export function raisedBy(ingredient: string, parameter: string, mgPerL: number): number {
  if (parameter === 'copper') return isCopper(ingredient) ? mgPerL : 0
  if (parameter === 'k' && ingredient === 'potassium-nitrate') return mgPerL * POTASSIUM_BY_NITRATE
  if (parameter !== 'alk-kh') return ingredientById(ingredient)?.raises === parameter ? mgPerL : 0
  const perDegree = MG_PER_DEGREE[ingredient]
  return perDegree === undefined ? 0 : mgPerL / perDegree
}

/** mg of sodium bicarbonate in a litre for one degree of alkalinity. */
export const BICARBONATE_MG_PER_DEGREE = MG_PER_DEGREE['sodium-bicarbonate']!
