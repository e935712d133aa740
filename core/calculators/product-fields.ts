import { ingredientById } from '../catalogue/ingredient.ts'
import { strengthOfRise } from '../dosing/label.ts'
import { peroxideMgPerMl } from '../dosing/peroxide.ts'
import { DEFAULT_DROPS_PER_ML } from '../dosing/product.ts'
import type { Product } from '../dosing/product.schema.ts'
import type { Field, KnownProduct, Reading, Values } from './calculator.ts'

const TYPED = 'typed'
const WV_MG_PER_ML = 10

const FORMS = [
  { value: 'mg-per-ml', label: 'solution, mg in a mL' },
  { value: 'wv', label: 'solution, percent w/v' },
  { value: 'by-mass', label: 'peroxide, percent by mass' },
  { value: 'adds', label: 'solution, a mL adds mg/L to 10 L' },
  { value: 'ml-raise', label: 'solution, so many mL raise so much water' },
  { value: 'drops-raise', label: 'drops, so many raise so much water' },
  { value: 'packs-raise', label: 'packets or tablets, so many for so much water' },
  { value: 'powder', label: 'powder, percent active' },
  { value: 'spoon', label: 'salt, soda or Epsom salt, by a teaspoon levelled off and weighed' },
  { value: 'pack', label: 'packets or tablets, mg active in one' },
  { value: 'drops', label: 'drops, mg in a mL' },
]

const ASKS: Record<string, { label: string; unit: string }> = {
  'mg-per-ml': { label: 'Strength', unit: 'mg in a mL' },
  wv: { label: 'Strength', unit: '% w/v' },
  'by-mass': { label: 'Strength', unit: '% by mass' },
  adds: { label: 'A mL adds to 10 L', unit: 'mg/L' },
  'ml-raise': { label: 'It raises the level by', unit: 'mg/L' },
  'drops-raise': { label: 'It raises the level by', unit: 'mg/L' },
  'packs-raise': { label: 'It makes', unit: 'mg/L' },
  powder: { label: 'Active', unit: '%' },
  spoon: { label: 'Active', unit: '%' },
  pack: { label: 'Active in one', unit: 'mg' },
  drops: { label: 'Strength', unit: 'mg in a mL' },
}

/** What a label that states a rise counts in. */
const RISES: Readonly<Record<string, { kind: Product['kind']; unit: string }>> = {
  'ml-raise': { kind: 'solution', unit: 'mL' },
  'drops-raise': { kind: 'drops', unit: 'drops' },
  'packs-raise': { kind: 'pack', unit: 'packs' },
}

/** What may be measured by the spoon: further-schools.md 9, never a drug. */
const SPOONED = [
  { value: 'salt', label: 'salt, for fresh water' },
  { value: 'sodium-bicarbonate', label: 'baking soda' },
  { value: 'epsom-salt', label: 'Epsom salt' },
]

/** Spoons of a set come in halves and quarters: the least that one measures, of a level teaspoon (EA). */
const SPOON_STEP = 0.25

const UNITS: Record<Product['kind'], string> = { solution: 'mL', drops: 'drops', powder: 'g', pack: 'packs' }

const formOf = (values: Values) => values['form'] ?? 'mg-per-ml'
const picked = (values: Values, products: readonly KnownProduct[]) =>
  products.find(({ id }) => id === (values['product'] ?? products[0]?.id))

/**
 * What a level of the chosen product is counted in: formalin by the volume of the 37 % product.
 * @example
 * levelUnitOf({ product: 'formalin bottle' }, shelf) // 'µL/L'
 */
export const levelUnitOf = (values: Values, products: readonly KnownProduct[]): 'mg/L' | 'µL/L' =>
  ingredientById(picked(values, products)?.ingredient ?? '')?.amountIs === 'volume' ? 'µL/L' : 'mg/L'

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
  const form = formOf(values)
  const asks = ASKS[form] ?? ASKS['mg-per-ml']!
  const rise = RISES[form]
  const kind = rise?.unit ?? (form === 'powder' ? 'g' : form === 'pack' ? 'packs' : form === 'drops' ? 'drops' : 'mL')
  const labelled: Field[] = [
    choice,
    { id: 'form', label: 'The label states', choices: FORMS, start: 'mg-per-ml' },
    ...(rise
      ? [
          { id: 'labelAmount', label: 'So many', unit: rise.unit, start: '1' },
          { id: 'labelL', label: 'in so much water', unit: 'L' },
        ]
      : []),
    { id: 'strength', ...asks, ...(form === 'spoon' && { start: '100' }) },
    ...(form === 'drops' || form === 'drops-raise'
      ? [{ id: 'dropsPerMl', label: 'Drops in a mL', start: '20', hint: 'of its own dropper, once counted' }]
      : []),
  ]
  if (form === 'pack' || form === 'packs-raise') return labelled
  if (form === 'spoon')
    return [
      ...labelled,
      { id: 'spoonOf', label: 'It is', choices: SPOONED, start: 'salt' },
      { id: 'spoonG', label: 'A teaspoon, levelled off, weighs', unit: 'g', hint: 'of this powder, weighed' },
    ]
  return [
    ...labelled,
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
  /** What its level in the water is counted in. */
  levelUnit: 'mg/L' | 'µL/L'
  cautions: string[]
  /** What a level teaspoon of it weighs, g, where that was weighed. */
  teaspoonG?: number
}

function typedProduct(reading: Reading): Product | undefined {
  const form = reading.text('form')
  const most = form === 'wv' || form === 'powder' || form === 'spoon' ? 100 : form === 'by-mass' ? 35 : undefined
  const rather = form === 'by-mass' ? 'over 35 % is not sold for homes; 3 % is usual' : undefined
  const strength = reading.number('strength', {
    over: 0,
    ...(most !== undefined && { most }),
    ...(rather && { rather }),
  })
  const dropsPerMl =
    form === 'drops' || form === 'drops-raise' ? reading.number('dropsPerMl', { over: 0 }) : DEFAULT_DROPS_PER_ML
  const rise = RISES[form]
  const amount = rise ? reading.number('labelAmount', { over: 0 }) : 1
  const litres = rise ? reading.number('labelL', { over: 0 }) : 1
  if (strength === undefined || dropsPerMl === undefined || amount === undefined || litres === undefined)
    return undefined
  if (rise) return strengthOfRise(rise.kind, { amount, litres, mgPerL: strength }, dropsPerMl) ?? undefined
  switch (form) {
    case 'spoon':
    case 'powder':
      return { kind: 'powder', activeFraction: strength / 100 }
    case 'pack':
      return { kind: 'pack', mgPerPack: strength }
    case 'drops':
      return { kind: 'drops', mgPerMl: strength, dropsPerMl }
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
      levelUnit: ingredient?.amountIs === 'volume' ? 'µL/L' : 'mg/L',
      cautions: [[ingredient?.caution, ingredient?.law].filter(Boolean).join(' ')].filter(Boolean),
    }
  }
  const product = typedProduct(reading)
  const isSpoon = reading.text('form') === 'spoon'
  const teaspoonG = isSpoon
    ? reading.number('spoonG', { over: 0, most: 20, rather: 'level, 3 to 7 g are usual' })
    : null
  const hasStep = product?.kind !== 'pack'
  const step = !hasStep
    ? null
    : teaspoonG === null
      ? reading.maybe('step', { over: 0 })
      : teaspoonG && SPOON_STEP * teaspoonG
  if (!product || step === undefined || teaspoonG === undefined) return undefined
  return {
    product,
    ingredient: isSpoon ? reading.text('spoonOf') : null,
    step: step ?? undefined,
    unit: UNITS[product.kind],
    levelUnit: 'mg/L',
    ...(teaspoonG !== null && { teaspoonG }),
    cautions: ['Gloves; read the label first. Prescription and sale rules differ from place to place.'],
  }
}
