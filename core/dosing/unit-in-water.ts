import { ingredientById } from '../catalogue/ingredient.ts'
import { parameterById } from '../catalogue/parameter.ts'
import { PEROXIDE_TIERS } from '../catalogue/treatments/peroxide-tiers.data.ts'
import { TANK_LIMITS_MG_PER_L } from '../catalogue/treatments/tank-limits.data.ts'
import { DOSES } from '../catalogue/treatments/treatments.ts'
import type { UnitHabits } from '../household/settings.ts'
import { raisedBy } from '../readings/raises.ts'
import { L_PER_UK_GAL, L_PER_US_GAL } from '../units/units.ts'
import { measureText } from '../words/measure.ts'
import { figures } from '../words/numbers.ts'

/** A round volume to think in, L: 100 L, or 25 gallons. */
const roundVolumeL = ({ volume }: UnitHabits): number =>
  volume === 'us-gal' ? 25 * L_PER_US_GAL : volume === 'uk-gal' ? 25 * L_PER_UK_GAL : 100

/** A product as far as its strength goes. */
interface Measured {
  mgPerUnit: number
  unit: string
}

/**
 * What one unit of a product does to a round volume of water, the plainest check of a strength.
 * @example
 * unitInWater('peroxide', { mgPerUnit: 30.3, unit: 'mL' }, METRIC) // "1 mL in 100 L adds 0.303 mg/L"
 */
export function unitInWater(ingredient: string, { mgPerUnit, unit }: Measured, units: UnitHabits): string {
  const litres = roundVolumeL(units)
  const mgPerL = mgPerUnit / litres
  const parameter = parameterById(ingredientById(ingredient)?.raises ?? '')
  const rise = parameter ? raisedBy(ingredient, parameter.id, mgPerL) : 0
  const adds =
    parameter && parameter.id !== 'copper' && rise > 0
      ? `raises ${parameter.name} by ${measureText(Number(rise.toPrecision(3)), parameter.unit, units, 3)}`
      : `adds ${figures(mgPerL)} ${ingredientById(ingredient)?.amountIs === 'volume' ? 'µL/L' : 'mg/L'}`
  return `1 ${unit} in ${measureText(litres, 'L', units, 3)} ${adds}`
}

/** The level that the handbook usually makes of an ingredient, in mg/L, and in words what it is. */
function usualLevel(ingredient: string): { mgPerL: number; words: string } | null {
  if (ingredient === 'peroxide') {
    const { capMgPerL } = PEROXIDE_TIERS[0]!
    return { mgPerL: capMgPerL, words: `in spots at most ${figures(capMgPerL)} mg/L a day` }
  }
  const rows = DOSES.filter(({ agent, unit }) => agent === ingredient && ['mg/L', 'µL/L', 'g/L'].includes(unit))
  const row = rows.find(({ route }) => route === 'tank') ?? rows[0]
  if (row) {
    const scale = row.unit === 'g/L' ? 1000 : 1
    return {
      mgPerL: row.target * scale,
      words: `the usual ${row.route === 'bath' ? 'bath' : 'dose'} is ${row.target} ${row.unit}`,
    }
  }
  const limit = TANK_LIMITS_MG_PER_L[ingredient]
  return limit === undefined ? null : { mgPerL: limit, words: `at most ${limit} mg/L` }
}

/**
 * A usual figure to hold a product against: what the handbook doses of it, and how much of this product that is in a round volume.
 * @returns null where the handbook doses none
 * @example
 * usualInWater('cu-chelated', { mgPerUnit: 10, unit: 'mL' }, METRIC) // "the usual dose is 2.25 mg/L: 22.5 mL in 100 L"
 */
export function usualInWater(ingredient: string, { mgPerUnit, unit }: Measured, units: UnitHabits): string | null {
  const usual = usualLevel(ingredient)
  if (!usual || !(mgPerUnit > 0)) return null
  const litres = roundVolumeL(units)
  return `${usual.words}: ${figures((usual.mgPerL * litres) / mgPerUnit)} ${unit} in ${measureText(litres, 'L', units, 3)}`
}
