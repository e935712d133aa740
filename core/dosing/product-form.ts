import { typedNumber } from '../numbers/typed.ts'
import type { ContentOf } from '../journal/entry.ts'
import type { Product } from './product.schema.ts'
import type { ShelfProduct } from '../household/shelf.ts'
import { dayFromText } from '../time/zone.ts'
import { ingredientById } from '../catalogue/ingredient.ts'
import { countedShare, mostCountedShare } from '../catalogue/salt-formulas.ts'
import { strengthOfRise } from './label.ts'
import type { UnitHabits } from '../household/settings.ts'
import { toKept } from '../words/measure.ts'
import { peroxideMgPerMl } from './peroxide.ts'
import { capital, figures } from '../words/numbers.ts'
import { usualStrengthOf, type Stated } from '../catalogue/usual-strengths.data.ts'

export type ProductForm = Product['kind']

/** What is wrong with a field, and ways to put it right. */
interface Problem {
  message: string
  choices?: readonly { label: string; value: string }[]
}
type Problems = Readonly<Record<string, Problem | undefined>>

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
  /** A strength that is not usual was read twice: the label says so. */
  isSure: boolean
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

const STRENGTHS: Record<ProductForm, readonly StatedOption[]> = {
  solution: IN_SOLUTION,
  drops: IN_SOLUTION,
  powder: [
    { value: 'pure', label: 'pure: all of it is active', asks: '' },
    { value: 'percent', label: 'percent active', asks: 'percent active' },
    RISE,
  ],
  pack: [{ value: 'mg-per-pack', label: 'mg active in a pack', asks: 'mg active in a pack' }, RISE],
}

/**
 * The ways a label may state the strength of an ingredient in some form. Of a salt that is counted by its ion each way says which of the two it
 * means.
 * @example
 * strengthsFor('potassium-nitrate', 'powder')[2].label // 'percent nitrate'
 */
export function strengthsFor(ingredient: string, form: ProductForm): readonly StatedOption[] {
  if (countedShare(ingredient) === 1) return STRENGTHS[form]
  const ion = ingredientById(ingredient)?.strengthOf ?? 'the ion'
  if (form === 'powder')
    return [
      { value: 'pure', label: 'the pure salt', asks: '' },
      { value: 'percent', label: 'percent pure salt', asks: 'percent pure salt' },
      { value: 'ion-percent', label: `percent ${ion}`, asks: `percent ${ion}` },
      RISE,
    ]
  if (form === 'pack')
    return [{ value: 'mg-per-pack', label: `mg of ${ion} in a pack`, asks: `mg of ${ion} in a pack` }, RISE]
  return [
    { value: 'mg-per-ml', label: `mg of ${ion} in a mL`, asks: `mg of ${ion} in a mL` },
    { value: 'g-per-l', label: `g of ${ion} in a litre`, asks: `g of ${ion} in a litre` },
    { value: 'salt-g-per-l', label: 'g of the dry salt in a litre', asks: 'g of the dry salt in a litre' },
    { value: 'wv', label: `percent ${ion}, weight by volume (w/v)`, asks: `percent ${ion}, w/v` },
    RISE,
  ]
}

const MG_PER_ML_PER_WV_PERCENT = 10

/** The ingredient that an empty form opens on. */
const FIRST_INGREDIENT = 'cu-chelated'

/** The form and the way of stating a strength that are usual for an ingredient. */
export function usualValues(ingredient: string): Pick<ProductValues, 'form' | 'stated' | 'strength'> {
  const { form, stated } = usualStrengthOf(ingredient, ingredientById(ingredient)?.kind ?? 'medicine')
  return { form, stated, strength: '' }
}

/**
 * A product's fields: as they are on record, or empty, in the usual form of an ingredient.
 * @example
 * productValues(null, 'peroxide').stated // 'by-mass'
 */
export function productValues(product: ShelfProduct | null, ingredient = FIRST_INGREDIENT): ProductValues {
  const empty: ProductValues = {
    name: '',
    ingredient,
    ...usualValues(ingredient),
    perAmount: '1',
    perLitres: '10',
    dropsPerMl: '20',
    tool: '',
    step: '',
    left: '',
    useBy: '',
    isSure: false,
  }
  if (!product) return empty
  const { strength } = product
  return {
    ...empty,
    name: product.name,
    ingredient: product.ingredient,
    isSure: true,
    form: strength.kind,
    tool: product.measure?.tool ?? '',
    step: product.measure ? String(product.measure.step) : '',
    left: product.left === null ? '' : figures(product.left, 5),
    useBy: product.useBy ?? '',
    ...(strength.kind === 'powder'
      ? isPure(product)
        ? { stated: 'pure' as const }
        : {
            stated: 'percent' as const,
            strength: figures((strength.activeFraction / countedShare(product.ingredient)) * 100, 6),
          }
      : strength.kind === 'pack'
        ? { stated: 'mg-per-pack' as const, strength: String(strength.mgPerPack) }
        : {
            stated: 'mg-per-ml' as const,
            strength: figures(strength.mgPerMl, 6),
            ...(strength.kind === 'drops' && { dropsPerMl: String(strength.dropsPerMl ?? 20) }),
          }),
  }
}

/** Floating numbers that are one and the same share. */
const SAME_SHARE = 1e-9

/**
 * Whether a powder is the pure substance, a salt with its water of crystallisation.
 * @example
 * isPure({ ingredient: 'potassium-chloride', strength: { kind: 'powder', activeFraction: 0.5244 } }) // about: false
 */
export const isPure = ({ ingredient, strength }: Pick<ShelfProduct, 'ingredient' | 'strength'>): boolean =>
  strength.kind === 'powder' && Math.abs(strength.activeFraction / countedShare(ingredient) - 1) < SAME_SHARE

function positive(text: string, what: string): { value: number } | { problem: Problem } {
  const typed = typedNumber(text)
  if ('value' in typed && typed.value > 0) return typed
  return { problem: 'choices' in typed ? typed : { message: `${what}: a number over 0` } }
}

const percentText = (mgPerMl: number): string => `${figures(mgPerMl / MG_PER_ML_PER_WV_PERCENT, 3)} %`

/**
 * What is odd about a strength: far from what such products state. Of a figure that would be right as a percentage both are offered.
 * @returns null where it is plausible
 */
export function strengthDoubt(values: ProductValues, product: Product): Problem | null {
  const ingredient = ingredientById(values.ingredient)
  if (!ingredient || ingredient.amountIs === 'volume') return null
  const usual = usualStrengthOf(ingredient.id, ingredient.kind)
  const [value, range, unit] =
    product.kind === 'powder'
      ? [product.activeFraction, possible(usual.activeFraction, ingredient.id), `percent ${activeWord(ingredient)}`]
      : product.kind === 'pack'
        ? [product.mgPerPack, usual.mgPerPack, 'mg in a pack']
        : [product.mgPerMl, usual.mgPerMl, 'mg in a mL']
  if (!range || (value >= range[0] * (1 - 1e-9) && value <= range[1] * (1 + 1e-9))) return null
  const scale = product.kind === 'powder' ? 100 : 1
  const shown = (one: number) => figures(one * scale, 3)
  const most = `${ingredient.name} usually has ${shown(range[0])} to ${shown(range[1])} ${unit}`
  if (product.kind === 'powder' || product.kind === 'pack')
    return { message: `${shown(value)} ${unit}? ${capital(most)}` }
  // 3 typed as mg in a mL where 3 % is meant.
  const asPercent = value * MG_PER_ML_PER_WV_PERCENT
  if (
    values.stated === 'mg-per-ml' &&
    !PERCENT.test(values.strength.trim()) &&
    asPercent >= range[0] &&
    asPercent <= range[1]
  )
    return {
      message: `${shown(value)} mg in a mL is ${percentText(value)}: ${percentText(asPercent)}, or ${percentText(value)}?`,
      choices: [asPercent, value].map((one) => ({ label: percentText(one), value: percentText(one) })),
    }
  return { message: `${shown(value)} ${unit}, that is ${percentText(value)}? ${capital(most)}` }
}

/** A range of shares, up to what the driest form of the salt can hold. */
const possible = (range: readonly [number, number] | undefined, ingredient: string) =>
  range && ([range[0], Math.min(range[1], mostCountedShare(ingredient))] as const)

const activeWord = ({ id, strengthOf }: { id: string; strengthOf: string }): string =>
  countedShare(id) === 1 ? 'active' : strengthOf

type StrengthRead = { strength: Product } | { problems: Problems }

/** A percentage written with its sign: "3 %". It says how it is stated, whatever was chosen. */
const PERCENT = /^(.*\d)\s*%$/

/** mg of active ingredient in a mL as a label states it. */
function mgPerMl(values: ProductValues): { value: number } | { problems: Problems } {
  const percent = PERCENT.exec(values.strength.trim())
  const read = positive(percent?.[1] ?? values.strength, 'the strength')
  if ('problem' in read) return { problems: { strength: read.problem } }
  const stated = percent ? (values.ingredient === 'peroxide' ? 'by-mass' : 'wv') : values.stated
  switch (stated) {
    case 'wv':
      return read.value > 100
        ? { problems: { strength: { message: 'a percentage up to 100' } } }
        : { value: read.value * MG_PER_ML_PER_WV_PERCENT }
    case 'by-mass':
      return byMass(read.value, values.ingredient)
    case 'salt-g-per-l':
      return { value: read.value * countedShare(values.ingredient) }
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
  return strength && (strength.kind !== 'powder' || strength.activeFraction <= mostCountedShare(values.ingredient))
    ? { strength }
    : { problems: { strength: { message: 'a gram cannot hold so much: look at the amount and the water beside it' } } }
}

/** Reads the strength as typed. Formalin is always the 37 % product itself: one mL of it counts as 1000 "mg". */
export function readStrength(values: ProductValues, units: UnitHabits): StrengthRead {
  if (ingredientById(values.ingredient)?.amountIs === 'volume') return { strength: { kind: 'solution', mgPerMl: 1000 } }
  if (values.stated === 'dose') return risen(values, units)
  if (values.form === 'powder') {
    const pure = countedShare(values.ingredient)
    if (values.stated === 'pure') return { strength: { kind: 'powder', activeFraction: pure } }
    const read = positive(values.strength, 'the percentage')
    if ('problem' in read) return { problems: { strength: read.problem } }
    const isOfIon = values.stated === 'ion-percent'
    const most = isOfIon ? mostCountedShare(values.ingredient) : 1
    return read.value / 100 > most
      ? { problems: { strength: { message: `a percentage up to ${figures(most * 100, 3)}` } } }
      : { strength: { kind: 'powder', activeFraction: (read.value / 100) * (isOfIon ? 1 : pure) } }
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
  else if (!values.isSure) problems['strength'] = strengthDoubt(values, strength.strength) ?? undefined
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
