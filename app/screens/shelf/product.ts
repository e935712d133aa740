import { typedNumber } from '../../../core/numbers/typed.ts'
import type { ContentOf } from '../../../core/journal/entry.ts'
import type { Product } from '../../../core/dosing/product.schema.ts'
import type { ShelfProduct } from '../../../core/household/shelf.ts'
import { dayFromText } from '../../../core/time/zone.ts'
import { ingredientById } from '../../../core/catalogue/ingredient.ts'
import { strengthOfRise } from '../../../core/dosing/label.ts'
import type { UnitHabits } from '../../../core/household/settings.ts'
import { toKept } from '../../../core/words/measure.ts'
import { peroxideMgPerMl } from '../../../core/dosing/peroxide.ts'
import type { Problem, Problems } from '../../fields/shell.tsx'
import { figures } from '../../../core/words/numbers.ts'

export type ProductForm = Product['kind']
/** How a label may state a strength. */
type Stated = 'mg-per-ml' | 'wv' | 'by-mass' | 'g-per-l' | 'dose' | 'percent' | 'pure' | 'mg-per-pack'

/** A product's fields as typed. */
export interface ProductValues {
  name: string
  ingredient: string
  form: ProductForm
  stated: Stated
  strength: string
  perAmount: string
  perLitres: string
  dropsPerMl: string
  tool: string
  step: string
  left: string
  useBy: string
}

export const FORMS: readonly { value: ProductForm; label: string; unit: string }[] = [
  { value: 'solution', label: 'solution, measured in mL', unit: 'mL' },
  { value: 'powder', label: 'powder, weighed in g', unit: 'g' },
  { value: 'pack', label: 'packets or tablets, counted', unit: 'pack' },
  { value: 'drops', label: 'solution, counted in drops', unit: 'drop' },
]

interface StatedOption {
  value: Stated
  label: string
  /** The label of the strength's own field. */
  asks: string
}

const RISE: StatedOption = { value: 'dose', label: 'what so much of it adds', asks: 'adds mg/L' }

const IN_SOLUTION: readonly StatedOption[] = [
  { value: 'mg-per-ml', label: 'mg in a mL', asks: 'mg in a mL' },
  { value: 'g-per-l', label: 'g in a litre', asks: 'g in a litre' },
  { value: 'wv', label: 'percent, weight by volume (w/v)', asks: 'percent w/v' },
  { value: 'by-mass', label: 'percent by mass', asks: 'percent by mass' },
  RISE,
]

export const STRENGTHS: Record<ProductForm, readonly StatedOption[]> = {
  solution: IN_SOLUTION,
  drops: IN_SOLUTION,
  powder: [
    { value: 'pure', label: 'pure: all of it is active', asks: '' },
    { value: 'percent', label: 'percent active', asks: 'percent active' },
    RISE,
  ],
  pack: [{ value: 'mg-per-pack', label: 'mg active in a pack', asks: 'mg active in a pack' }, RISE],
}

const MG_PER_ML_PER_WV_PERCENT = 10

export function productValues(product: ShelfProduct | null): ProductValues {
  const empty: ProductValues = {
    name: '',
    ingredient: 'cu-chelated',
    form: 'solution',
    stated: 'mg-per-ml',
    strength: '',
    perAmount: '1',
    perLitres: '10',
    dropsPerMl: '20',
    tool: '',
    step: '',
    left: '',
    useBy: '',
  }
  if (!product) return empty
  const { strength } = product
  return {
    ...empty,
    name: product.name,
    ingredient: product.ingredient,
    form: strength.kind,
    tool: product.measure?.tool ?? '',
    step: product.measure ? String(product.measure.step) : '',
    left: product.left === null ? '' : figures(product.left, 5),
    useBy: product.useBy ?? '',
    ...(strength.kind === 'powder'
      ? strength.activeFraction === 1
        ? { stated: 'pure' as const }
        : { stated: 'percent' as const, strength: figures(strength.activeFraction * 100, 6) }
      : strength.kind === 'pack'
        ? { stated: 'mg-per-pack' as const, strength: String(strength.mgPerPack) }
        : {
            stated: 'mg-per-ml' as const,
            strength: figures(strength.mgPerMl, 6),
            ...(strength.kind === 'drops' && { dropsPerMl: String(strength.dropsPerMl ?? 20) }),
          }),
  }
}

function positive(text: string, what: string): { value: number } | { problem: Problem } {
  const typed = typedNumber(text)
  if ('value' in typed && typed.value > 0) return typed
  return { problem: 'choices' in typed ? typed : { message: `${what}: a number over 0` } }
}

type StrengthRead = { strength: Product } | { problems: Problems }

/** mg of active ingredient in a mL as a label states it. */
function mgPerMl(values: ProductValues): { value: number } | { problems: Problems } {
  const read = positive(values.strength, 'the strength')
  if ('problem' in read) return { problems: { strength: read.problem } }
  switch (values.stated) {
    case 'wv':
      return read.value > 100
        ? { problems: { strength: { message: 'a percentage up to 100' } } }
        : { value: read.value * MG_PER_ML_PER_WV_PERCENT }
    case 'by-mass':
      return byMass(read.value, values.ingredient)
    default:
      return read
  }
}

/** Percent by mass needs the solution's density: known for peroxide; formalin is counted as the product itself. */
function byMass(percent: number, ingredient: string): { value: number } | { problems: Problems } {
  if (ingredient === 'peroxide') {
    const strength = peroxideMgPerMl(percent)
    return strength === null
      ? {
          problems: {
            strength: { message: 'peroxide over 35 % is not for aquariums and not sold for homes; 3 % is usual' },
          },
        }
      : { value: strength }
  }
  return {
    problems: {
      strength: {
        message: `percent by mass needs the density of the solution, which is not known for ${ingredientById(ingredient)?.name ?? 'this'}; look for mg in a mL or w/v on the label`,
      },
    },
  }
}

/** The strength from what a label says so much of the product adds to so much water, the water in the household's unit. */
function risen(values: ProductValues, units: UnitHabits): StrengthRead {
  const rise = positive(values.strength, 'what it adds')
  const amount = positive(values.perAmount, 'the amount')
  const water = positive(values.perLitres, 'the water')
  const drops = values.form === 'drops' ? positive(values.dropsPerMl, 'the drops in a mL') : null
  if ('problem' in rise) return { problems: { strength: rise.problem } }
  if ('problem' in amount) return { problems: { perAmount: amount.problem } }
  if ('problem' in water) return { problems: { perLitres: water.problem } }
  if (drops && 'problem' in drops) return { problems: { dropsPerMl: drops.problem } }
  const strength = strengthOfRise(
    values.form,
    { amount: amount.value, litres: toKept(water.value, 'L', units), mgPerL: rise.value },
    drops?.value,
  )
  return strength
    ? { strength }
    : { problems: { strength: { message: 'a gram cannot hold so much: look at the amount and the water beside it' } } }
}

/** Reads the strength as typed. Formalin is always the 37 % product itself: one mL of it counts as 1000 "mg". */
export function readStrength(values: ProductValues, units: UnitHabits): StrengthRead {
  if (ingredientById(values.ingredient)?.amountIs === 'volume') return { strength: { kind: 'solution', mgPerMl: 1000 } }
  if (values.stated === 'dose') return risen(values, units)
  if (values.form === 'powder') {
    if (values.stated === 'pure') return { strength: { kind: 'powder', activeFraction: 1 } }
    const read = positive(values.strength, 'the percentage')
    if ('problem' in read) return { problems: { strength: read.problem } }
    return read.value > 100
      ? { problems: { strength: { message: 'a percentage up to 100' } } }
      : { strength: { kind: 'powder', activeFraction: read.value / 100 } }
  }
  if (values.form === 'pack') {
    const read = positive(values.strength, 'the milligrams')
    return 'problem' in read
      ? { problems: { strength: read.problem } }
      : { strength: { kind: 'pack', mgPerPack: read.value } }
  }
  const strength = mgPerMl(values)
  if ('problems' in strength) return strength
  if (values.form === 'solution') return { strength: { kind: 'solution', mgPerMl: strength.value } }
  const drops = positive(values.dropsPerMl, 'the drops in a mL')
  return 'problem' in drops
    ? { problems: { dropsPerMl: drops.problem } }
    : { strength: { kind: 'drops', mgPerMl: strength.value, dropsPerMl: drops.value } }
}

type Properties = Omit<ContentOf<'product-setup'>, 'kind' | 'happened' | 'productId' | 'note'>

/** Reads a product's fields, or says what is wrong beside which. */
export function readProduct(
  values: ProductValues,
  takenNames: readonly string[],
  units: UnitHabits,
): { properties: Properties } | { problems: Problems } {
  const problems: Record<string, Problem | undefined> = {}
  const name = values.name.trim()
  if (name === '') problems['name'] = { message: 'a word you know it by' }
  else if (takenNames.some((taken) => taken.toLowerCase() === name.toLowerCase()))
    problems['name'] = { message: 'another product is called this' }
  const strength = readStrength(values, units)
  if ('problems' in strength) Object.assign(problems, strength.problems)
  const hasTool = values.tool.trim() !== '' || values.step.trim() !== ''
  const step = hasTool ? positive(values.step, 'the smallest step it measures') : null
  if (step && 'problem' in step) problems['step'] = step.problem
  if (hasTool && values.tool.trim() === '') problems['tool'] = { message: 'what it is measured with' }
  const left = values.left.trim() === '' ? null : typedNumber(values.left)
  if (left !== null && !('value' in left && left.value >= 0))
    problems['left'] = 'choices' in left ? left : { message: 'how much is left, 0 or more' }
  if (values.useBy !== '' && dayFromText(values.useBy) === null) problems['useBy'] = { message: 'a date that exists' }
  if (Object.values(problems).some(Boolean) || !('strength' in strength)) return { problems }
  return {
    properties: {
      name,
      ingredient: values.ingredient,
      strength: strength.strength,
      ...(step && 'value' in step && { measure: { tool: values.tool.trim(), step: step.value } }),
      ...(left !== null && 'value' in left && { left: left.value }),
      ...(values.useBy !== '' && { useBy: values.useBy }),
    },
  }
}
