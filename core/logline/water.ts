import { ingredientById } from '../catalogue/ingredient.ts'
import { drawnAmount } from '../dosing/drawn-amount.ts'
import { shelfOf, type ShelfProduct } from '../household/shelf.ts'
import type { Tank } from '../household/tanks.ts'
import type { ContentOf } from '../journal/entry.ts'
import { L_PER_UK_GAL, L_PER_US_GAL } from '../units/units.ts'
import { readFigure } from './numbers.ts'
import type { Concern } from '../safety/concern.ts'
import { measureText } from '../words/measure.ts'
import { replaceToken, type Token } from './tokens.ts'
import { choose, isStop, unclear, type Choice, type LogContext, type Stop } from './types.ts'

const LITRES = new Set(['l', 'lt', 'ltr', 'litre', 'litres', 'liter', 'liters'])
const GALLONS = new Set(['gal', 'gals', 'gallon', 'gallons'])

/** A plain number with the unit written on it or after it. */
function amountAt(
  line: string,
  tokens: readonly Token[],
  what: string,
): { value: number; unit: string; token: Token; words: number } | Stop {
  const token = tokens[0]
  if (!token) return unclear(`${what}: how much?`)
  const figure = readFigure(line, token)
  if (!figure) return unclear(`“${token.text}” is no amount`)
  if (isStop(figure)) return figure
  if (figure.kind !== 'value') return unclear(`“${token.text}”: ${what} needs one plain number`)
  if (!(figure.value > 0)) return unclear(`${what} of nothing: the amount has to be over 0`)
  const next = tokens[1]
  const apart = figure.unit === '' && !token.comma && next !== undefined && /^[a-z%µ]+$/i.test(next.key)
  return { value: figure.value, unit: apart ? next.key : figure.unit, token, words: apart ? 2 : 1 }
}

/** Litres of a water change from its words: `15L`, `4 gal`, `20%`. */
export function readWaterChange(
  line: string,
  tokens: readonly Token[],
  tank: Tank,
  happened: string,
  { settings }: LogContext,
): { content: ContentOf<'water-change'>; words: number } | Stop {
  const amount = amountAt(line, tokens, 'a water change')
  if (isStop(amount)) return amount
  const { value, unit, token, words } = amount
  const withUnit = (label: string, text: string) => ({ label, text: replaceToken(line, token, text) })
  const keep = (litres: number) => {
    const net = tank.volume?.netL
    if (net !== undefined && litres > net)
      return unclear(`${tank.name} holds ${measureText(net, 'L', settings.units, 3)} net: a change cannot be more`)
    return { content: { kind: 'water-change' as const, happened, tankId: tank.id, litres }, words }
  }
  if (LITRES.has(unit)) return keep(value)
  if (unit === 'ml') return keep(value / 1000)
  if (unit === 'usgal' || (GALLONS.has(unit) && settings.units.volume === 'us-gal')) return keep(value * L_PER_US_GAL)
  if (unit === 'ukgal' || (GALLONS.has(unit) && settings.units.volume === 'uk-gal')) return keep(value * L_PER_UK_GAL)
  if (GALLONS.has(unit))
    return choose(
      'which gallon?',
      [withUnit('US gallons', `${value}usgal`), withUnit('UK gallons', `${value}ukgal`)].map(dropGallon),
    )
  if (unit === '%') {
    if (value > 100) return unclear('a change of more than 100 % is not one change')
    if (!tank.volume) return unclear(`the net volume of ${tank.name} is not worked out yet: give the litres`)
    return keep((tank.volume.netL * value) / 100)
  }
  if (unit === '')
    return choose(`${value} of what?`, [
      ...(settings.units.volume === 'L'
        ? [withUnit(`${value} L`, `${value}L`)]
        : [withUnit(`${value} gal`, `${value}gal`)]),
      withUnit(`${value} %`, `${value}%`),
    ])
  return unclear(`a water change is not measured in “${unit}”; use L, gal or %`)

  function dropGallon({ label, text }: { label: string; text: string }) {
    // "4 gal" was two words: the second goes.
    return { label, text: words === 2 ? text.replace(new RegExp(`(gal)\\s+${tokens[1]!.text}`), '$1') : text }
  }
}

const MG_PER_G = 1000
const ML_PER_L = 1000
const UNIT_WORDS: Record<string, { unit: ShelfProduct['unit']; factor: number }> = {
  ml: { unit: 'mL', factor: 1 },
  l: { unit: 'mL', factor: ML_PER_L },
  g: { unit: 'g', factor: 1 },
  mg: { unit: 'g', factor: 1 / MG_PER_G },
  pack: { unit: 'pack', factor: 1 },
  packs: { unit: 'pack', factor: 1 },
  packet: { unit: 'pack', factor: 1 },
  packets: { unit: 'pack', factor: 1 },
  drop: { unit: 'drop', factor: 1 },
  drops: { unit: 'drop', factor: 1 },
}

/** Products that some words begin with, by their own name or their ingredient's. */
function productsNamed(key: string, shelf: readonly ShelfProduct[]): ShelfProduct[] {
  const words = (product: ShelfProduct) => [
    ...product.name.toLowerCase().split(/[\s-]+/),
    ...(ingredientById(product.ingredient)?.words ?? []),
  ]
  const exact = shelf.filter((product) => words(product).includes(key))
  return exact.length > 0 ? exact : shelf.filter((product) => words(product).some((word) => word.startsWith(key)))
}

/**
 * A product of the shelf and how much of it, from its words: its name or ingredient, then the amount in its own unit.
 * @param what what it is for, in questions: "a dose", "a bath"
 */
export function readProductAmount(
  line: string,
  tokens: readonly Token[],
  { journal }: LogContext,
  what: string,
): { product: ShelfProduct; measured: number; words: number; amount: Token } | Stop {
  const shelf = shelfOf(journal)
  const first = tokens[0]
  if (!first) return unclear(`${what} of what, and how much?`)
  let products = productsNamed(first.key, shelf)
  if (products.length === 0) {
    const amountFirst = /^[.\d]/.test(first.key)
    return unclear(
      amountFirst
        ? `${what} of what? Name the product, then the amount`
        : `nothing on the shelf is called “${first.text}”; put it there first, with its strength`,
      shelf.slice(0, 4).map(({ name }) => ({
        label: name,
        text: amountFirst
          ? replaceToken(line, { from: first.from, to: first.from }, `${name} `)
          : replaceToken(line, first, name),
      })),
    )
  }
  let words = 1
  while (tokens[words] && !/^[.\d]/.test(tokens[words]!.key)) {
    const narrowed = products.filter((product) => productsNamed(tokens[words]!.key, [product]).length > 0)
    if (narrowed.length === 0) return unclear(`“${tokens[words]!.text}” does not belong to ${products[0]!.name}`)
    products = narrowed
    words++
  }
  const namedFully = products.filter(
    ({ name }) => name.toLowerCase() === line.slice(first.from, tokens[words - 1]!.to).toLowerCase(),
  )
  if (namedFully.length === 1) products = namedFully
  if (products.length > 1)
    return choose(
      `which “${line.slice(first.from, tokens[words - 1]!.to)}”?`,
      products.map(({ name }) => ({
        label: name,
        text: replaceToken(line, { from: first.from, to: tokens[words - 1]!.to }, name),
      })),
    )
  const product = products[0]!
  const amount = amountAt(line, tokens.slice(words), `${what} of ${product.name}`)
  if (isStop(amount)) return amount
  if (amount.unit === '')
    return choose(`${amount.value} of what? ${product.name} is measured in ${product.unit}`, [
      {
        label: `${amount.value} ${product.unit}`,
        text: replaceToken(line, amount.token, `${amount.value}${product.unit}`),
      },
    ])
  const unit = UNIT_WORDS[amount.unit]
  if (!unit || unit.unit !== product.unit)
    return unclear(`${product.name} is measured in ${product.unit}, not in “${amount.unit}”`)
  const measured = amount.value * unit.factor
  return { product, measured, words: words + amount.words, amount: amount.token }
}

/** A dose from its words. */
function plainDose(
  line: string,
  tokens: readonly Token[],
  tank: Tank,
  happened: string,
  context: LogContext,
): { content: ContentOf<'dose'>; words: number; amount: Token } | Stop {
  const read = readProductAmount(line, tokens, context, 'a dose')
  if (isStop(read)) return read
  const { product, measured, words, amount } = read
  return {
    content: {
      kind: 'dose',
      happened,
      tankId: tank.id,
      ...drawnAmount(product, measured),
    },
    words,
    amount,
  }
}

/**
 * A volume from its words: `1L`, `400ml`, `2 gal` in the household's own gallon.
 * @returns litres; null where the word is no volume
 */
export function readLitres(
  line: string,
  tokens: readonly Token[],
  { settings }: LogContext,
): { litres: number; words: number } | Stop | null {
  const token = tokens[0]
  if (!token || !/^[.\d]/.test(token.key)) return null
  const amount = amountAt(line, tokens, 'the water')
  if (isStop(amount)) return amount
  const { value, unit, words } = amount
  if (LITRES.has(unit)) return { litres: value, words }
  if (unit === 'ml') return { litres: value / ML_PER_L, words }
  if (unit === 'usgal' || (GALLONS.has(unit) && settings.units.volume === 'us-gal'))
    return { litres: value * L_PER_US_GAL, words }
  if (unit === 'ukgal' || (GALLONS.has(unit) && settings.units.volume === 'uk-gal'))
    return { litres: value * L_PER_UK_GAL, words }
  return null
}

/** A dose, with the line as it would be for the amount that is right. */
export function readDose(
  line: string,
  tokens: readonly Token[],
  tank: Tank,
  happened: string,
  context: LogContext,
): { content: ContentOf<'dose'>; rather: (concern: Concern) => Choice | null } | Stop {
  const read = plainDose(line, tokens, tank, happened, context)
  if (isStop(read)) return read
  if (read.words < tokens.length) return unclear(`“${tokens[read.words]!.text}” is left over`)
  const product = read.content.unit
  const span = { from: read.amount.from, to: tokens.at(-1)!.to }
  return {
    content: read.content,
    rather: ({ rather }) => {
      if (!rather) return null
      const amount = Number(rather.amount.toPrecision(6))
      return {
        label: `${amount} ${product}, makes ${rather.makesMgPerL.toFixed(2)}`,
        text: replaceToken(line, span, `${amount}${product}`),
      }
    },
  }
}
