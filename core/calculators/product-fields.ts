import { ingredientById } from '../catalogue/ingredient.ts'
import { peroxideMgPerMl } from '../dosing/peroxide.ts'
import type { Product } from '../dosing/product.schema.ts'
import type { Field, KnownProduct, Reading, Values } from './calculator.ts'

const TYPED = 'typed'
const WV_MG_PER_ML = 10

const FORMS = [
  { value: 'mg-per-ml', label: 'solution, mg in a mL' },
  { value: 'wv', label: 'solution, percent w/v' },
  { value: 'by-mass', label: 'peroxide, percent by mass' },
  { value: 'adds', label: 'solution, a mL adds mg/L to 10 L' },
  { value: 'powder', label: 'powder, percent active' },
  { value: 'pack', label: 'packets or tablets, mg active in one' },
  { value: 'drops', label: 'drops, mg in a mL (20 drops)' },
]

const ASKS: Record<string, { label: string; unit: string }> = {
  'mg-per-ml': { label: 'Strength', unit: 'mg in a mL' },
  wv: { label: 'Strength', unit: '% w/v' },
  'by-mass': { label: 'Strength', unit: '% by mass' },
  adds: { label: 'A mL adds to 10 L', unit: 'mg/L' },
  powder: { label: 'Active', unit: '%' },
  pack: { label: 'Active in one', unit: 'mg' },
  drops: { label: 'Strength', unit: 'mg in a mL' },
}

const UNITS: Record<Product['kind'], string> = { solution: 'mL', drops: 'drops', powder: 'g', pack: 'packs' }

const formOf = (values: Values) => values['form'] ?? 'mg-per-ml'
const picked = (values: Values, products: readonly KnownProduct[]) =>
  products.find(({ id }) => id === (values['product'] ?? products[0]?.id))

/** The fields that say what is dosed: one of the shelf, or typed from a label. */
export function productFields(values: Values, products: readonly KnownProduct[]): Field[] {
  const product = picked(values, products)
  const choice: Field = {
    id: 'product',
    label: 'Product',
    choices: [...products.map(({ id, name }) => ({ value: id, label: name })), { value: TYPED, label: 'from a label' }],
    start: products[0]?.id ?? TYPED,
  }
  if (product) return [choice]
  const asks = ASKS[formOf(values)] ?? ASKS['mg-per-ml']!
  const kind =
    formOf(values) === 'powder'
      ? 'g'
      : formOf(values) === 'pack'
        ? 'packs'
        : formOf(values) === 'drops'
          ? 'drops'
          : 'mL'
  return [
    choice,
    { id: 'form', label: 'The label states', choices: FORMS, start: 'mg-per-ml' },
    { id: 'strength', ...asks },
    {
      id: 'step',
      label: 'Measured in steps of',
      unit: kind,
      start: kind === 'mL' ? '0.1' : kind === 'g' ? '0.01' : '1',
    },
  ]
}

/**
 * A measured amount that stays at or under a limit: where rounding to the tool's step went over, one step less.
 * @param most the amount that is exactly the limit, in the product's unit
 */
export const notOver = (amount: number, step: number | undefined, most: number): number =>
  step !== undefined && amount > most * (1 + 1e-9) ? Math.max(0, amount - step) : amount

export interface ReadProduct {
  product: Product
  ingredient: string | null
  step: number | undefined
  unit: string
  cautions: string[]
}

function typedProduct(reading: Reading): Product | undefined {
  const form = reading.text('form')
  const most = form === 'wv' || form === 'powder' ? 100 : form === 'by-mass' ? 35 : undefined
  const rather = form === 'by-mass' ? 'over 35 % is not sold for homes; 3 % is usual' : undefined
  const strength = reading.number('strength', {
    over: 0,
    ...(most !== undefined && { most }),
    ...(rather && { rather }),
  })
  if (strength === undefined) return undefined
  switch (form) {
    case 'powder':
      return { kind: 'powder', activeFraction: strength / 100 }
    case 'pack':
      return { kind: 'pack', mgPerPack: strength }
    case 'drops':
      return { kind: 'drops', mgPerMl: strength }
    case 'wv':
      return { kind: 'solution', mgPerMl: strength * WV_MG_PER_ML }
    case 'by-mass':
      return { kind: 'solution', mgPerMl: peroxideMgPerMl(strength)! }
    case 'adds':
      return { kind: 'solution', mgPerMl: strength * 10 }
    default:
      return { kind: 'solution', mgPerMl: strength }
  }
}

/** What was said to be dosed, with the caution that belongs to it. */
export function readProduct(reading: Reading): ReadProduct | undefined {
  const known = reading.products.find(({ id }) => id === reading.text('product'))
  if (known) {
    const ingredient = ingredientById(known.ingredient)
    return {
      product: known.strength,
      ingredient: known.ingredient,
      step: known.step,
      unit: UNITS[known.strength.kind],
      cautions: [[ingredient?.caution, ingredient?.law].filter(Boolean).join(' ')].filter(Boolean),
    }
  }
  const product = typedProduct(reading)
  const step = reading.maybe('step', { over: 0 })
  if (!product || step === undefined) return undefined
  return {
    product,
    ingredient: null,
    step: step ?? undefined,
    unit: UNITS[product.kind],
    cautions: ['Gloves; read the label first. Prescription and sale rules differ from place to place.'],
  }
}
