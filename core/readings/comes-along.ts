import { ingredientById } from '../catalogue/ingredient.ts'
import { PARAMETERS_AS_ASKED } from '../catalogue/parameters-as-asked.ts'
import { broughtPerMgPerL } from '../catalogue/salt-formulas.ts'
import { raisedBy } from './raises.ts'

/** Something that a salt brings besides what it is dosed for. */
export interface Along {
  name: string
  /** In the unit. */
  value: number
  unit: string
}

/**
 * What comes along with a dose besides what it is for: alkalinity, potassium, calcium, and sodium, of which no kit tells.
 * @param mgPerL of what its strength is counted in, in the net volume
 * @param besides what it is dosed for; the ingredient's own where it is left out
 * @example
 * comesAlong('potassium-carbonate', 5.58) // [{ name: 'alkalinity', value: 0.4, unit: 'dKH' }]
 */
export function comesAlong(
  ingredient: string,
  mgPerL: number,
  besides: string | null = ingredientById(ingredient)?.raises ?? null,
): Along[] {
  const tested = PARAMETERS_AS_ASKED.flatMap(({ id, name, unit }): Along[] => {
    const value = id === besides ? 0 : raisedBy(ingredient, id, mgPerL)
    return value > 0 ? [{ name, value, unit }] : []
  })
  const sodium = mgPerL * broughtPerMgPerL(ingredient, 'na')
  return sodium > 0 ? [...tested, { name: 'sodium', value: sodium, unit: 'mg/L' }] : tested
}
