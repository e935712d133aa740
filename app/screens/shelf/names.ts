import { ingredientById, INGREDIENTS } from '../../../core/catalogue/ingredient.ts'
import { countedShare } from '../../../core/catalogue/salt-formulas.ts'
import { isPure } from '../../../core/dosing/product-form.ts'
import type { Product } from '../../../core/dosing/product.schema.ts'
import type { Option } from '../../fields/fields.tsx'
import { figures } from '../../../core/words/numbers.ts'

const KIND_NAMES = {
  medicine: 'Medicines and treatments',
  salt: 'Salts and elements',
  conditioner: 'Conditioners and bacteria',
} as const

export const INGREDIENT_OPTIONS: readonly Option[] = INGREDIENTS.map(({ id, name, kind }) => ({
  value: id,
  label: name,
  group: KIND_NAMES[kind],
}))

export const groupOf = (ingredient: string): string => KIND_NAMES[ingredientById(ingredient)?.kind ?? 'medicine']
export const GROUPS = Object.values(KIND_NAMES)

/** "10 mg of copper in a mL", "the pure salt, 61.3 % nitrate". */
export function strengthText(ingredient: string, strength: Product): string {
  const of = ingredientById(ingredient)?.strengthOf ?? ingredient
  switch (strength.kind) {
    case 'solution':
      return `${figures(strength.mgPerMl, 4)} mg of ${of} in a mL`
    case 'powder':
      if (!isPure({ ingredient, strength })) return `${figures(strength.activeFraction * 100)} % ${of}`
      return countedShare(ingredient) === 1
        ? `pure ${of}`
        : `the pure salt, ${figures(strength.activeFraction * 100)} % ${of}`
    case 'pack':
      return `${figures(strength.mgPerPack, 4)} mg of ${of} in a pack`
    case 'drops':
      return `${figures(strength.mgPerMl, 4)} mg of ${of} in a mL, ${figures(strength.dropsPerMl ?? 20)} drops a mL`
  }
}
