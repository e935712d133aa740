import { ingredientById } from '../catalogue/ingredient.ts'
import { broughtPerMgPerL } from '../catalogue/salt-formulas.ts'
import { isCopper } from '../catalogue/treatments/groups.ts'

/** What the salts of the shelf bring, by the parameter that tests it. */
const BROUGHT_AS = { 'alk-kh': 'alk', ca: 'ca', mg: 'mg', k: 'k', no3: 'no3', po4: 'po4', sio2: 'sio2' } as const

/**
 * How much a dose raises a parameter, in the parameter's unit. Each salt counts by its molar mass (`salt-formulas.ts`), what comes along with it
 * too: the potassium of potassium nitrate, the alkalinity of a carbonate.
 * @param mgPerL of what the product's strength is counted in, in the net volume
 * @returns 0 where the ingredient does not raise it, or nobody can say by how much
 * @example
 * raisedBy('sodium-bicarbonate', 'alk-kh', 15) // 0.5 dKH
 */
export function raisedBy(ingredient: string, parameter: string, mgPerL: number): number {
  if (parameter === 'copper') return isCopper(ingredient) ? mgPerL : 0
  if (parameter in BROUGHT_AS)
    return mgPerL * broughtPerMgPerL(ingredient, BROUGHT_AS[parameter as keyof typeof BROUGHT_AS])
  return ingredientById(ingredient)?.raises === parameter ? mgPerL : 0
}

/** mg of sodium bicarbonate in a litre for one degree of alkalinity: 30.0. */
export const BICARBONATE_MG_PER_DEGREE = 1 / broughtPerMgPerL('sodium-bicarbonate', 'alk')
