import { drawnAmount } from '../dosing/drawn-amount.ts'
import { CORAL_DIPS } from '../catalogue/corals/coral-dips.data.ts'
import { coralsOf } from '../household/corals.ts'
import { HIGHEST_PATCH_STAGE } from '../catalogue/patch-stage.ts'
import { animalLabel, residentsOf } from '../household/animals.ts'
import { partsOf, type Part } from '../household/parts.ts'
import { ingredientById } from '../catalogue/ingredient.ts'
import { INGREDIENTS } from '../catalogue/ingredients.data.ts'
import { tanksOf, type Tank } from '../household/tanks.ts'
import type { Content, ContentOf } from '../journal/entry.ts'
import { readFigure } from './numbers.ts'
import { replaceToken, type Token } from './tokens.ts'
import { choose, isStop, unclear, type LogContext, type Stop } from './types.ts'
import { readLitres, readProductAmount } from './water.ts'

interface Kept {
  contents: Content[]
  notices: string[]
}

const BATH_WORDS = new Set(['bath', 'dip', 'dipped', 'bathed'])
const FEED_WORDS = new Set(['feed', 'fed'])
const TOP_OFF_WORDS = new Set(['top-off', 'topoff', 'top-up', 'topup'])
const CONTACT_WORDS = new Set(['contact', 'touched'])
const WHAT_TOUCHED: ReadonlySet<string> = new Set([
  'fish',
  'water',
  'tool',
  'hand',
  'snail',
  'plug',
  'media',
  'suspect',
])

/** What is counted, by the words it may be called. */
const MEASURES: Readonly<Record<string, NonNullable<ContentOf<'count'>['measure']>>> = {
  dip: 'came-off',
  'came-off': 'came-off',
  eggs: 'eggs',
  jar: 'alive',
  alive: 'alive',
  cells: 'cells',
  coverage: 'coverage',
  pests: 'pest-count',
  pest: 'pest-count',
  removed: 'removed',
  left: 'left',
  edge: 'edge-mm',
  heads: 'head-count',
  visibility: 'visibility-cm',
}

/** A number with its unit written on it or after it: `8min`, `8 min`, `2g`. */
function withUnit(
  line: string,
  tokens: readonly Token[],
  units: ReadonlySet<string>,
): { value: number; words: number } | Stop | null {
  const token = tokens[0]
  const figure = token && readFigure(line, token)
  if (!figure) return null
  if (isStop(figure)) return figure
  if (figure.kind !== 'value') return null
  if (units.has(figure.unit)) return { value: figure.value, words: 1 }
  return figure.unit === '' && units.has(tokens[1]?.key ?? '') ? { value: figure.value, words: 2 } : null
}

const MINUTES = new Set(['min', 'mins', 'minutes', 'minute', 'm'])
const GRAMS = new Set(['g', 'gram', 'grams'])
const MG_PER_G = new Set(['mg/g'])

/**
 * What is done with animals and water beside dosing and testing: baths, counts, scores of patches, top-offs, food, contacts.
 * @param rest the words after the tank's name
 * @returns null where the first word is none of these
 */
export function readCare(
  line: string,
  rest: readonly Token[],
  tank: Tank,
  happened: string,
  context: LogContext,
): Kept | Stop | null {
  const verb = rest[0]
  if (!verb) return null
  const words = rest.slice(1)
  if (BATH_WORDS.has(verb.key)) return readBath(line, words, tank, happened, context)
  if (verb.key === 'count') return readCount(line, words, tank, happened)
  if (verb.key === 'stage' || verb.key === 'stages') return readStages(line, words, tank, happened, context)
  if (TOP_OFF_WORDS.has(verb.key)) return readTopOff(line, words, tank, happened, context)
  if (FEED_WORDS.has(verb.key)) return readFeed(line, words, tank, happened)
  if (CONTACT_WORDS.has(verb.key)) return readContact(words, tank, happened, context)
  return null
}

/** Whether corals are dipped in something. */
const isCoralDip = (ingredient: string): boolean => CORAL_DIPS.some((dip) => dip.ingredient === ingredient)

const leftOver = (token: Token): Stop => unclear(`“${token.text}” is left over`)

/** `bath iodine 0.4ml 1L 8min`: what of the product, in how much water, for how long; of all that live in that tank. */
function readBath(
  line: string,
  tokens: readonly Token[],
  tank: Tank,
  happened: string,
  context: LogContext,
): Kept | Stop {
  const read = readProductAmount(line, tokens, context, 'a bath')
  if (isStop(read)) return read
  const { product, measured } = read
  let rest = tokens.slice(read.words)
  if (rest[0]?.key === 'in') rest = rest.slice(1)
  const water = readLitres(line, rest, context)
  if (water === null) return unclear('a bath in how much water? As in: 1L')
  if (isStop(water)) return water
  rest = rest.slice(water.words)
  const minutes = withUnit(line, rest, MINUTES)
  if (minutes === null) return unclear('for how many minutes? As in: 8min')
  if (isStop(minutes)) return minutes
  if (!(minutes.value > 0)) return unclear('a bath of no time is none')
  const stray = rest[minutes.words]
  if (stray) return leftOver(stray)
  const residents = residentsOf(context.journal, tank.id)
  const pieces = isCoralDip(product.ingredient) ? coralsOf(context.journal, tank.id) : []
  const own = pieces.filter(({ animalId }) => !residents.some(({ id }) => id === animalId))
  if (residents.length + own.length === 0) return unclear(`nobody lives in ${tank.name} who could be bathed`)
  const content: ContentOf<'bath'> = {
    kind: 'bath',
    happened,
    tankId: tank.id,
    animalIds: residents.map(({ id }) => id),
    ...(own.length > 0 && { partIds: own.map(({ id }) => id) }),
    ...drawnAmount(product, measured),
    litres: water.litres,
    minutes: minutes.value,
  }
  const names = [...residents.map(animalLabel), ...own.map(({ name }) => name)]
  const who = names.length > 1 ? [`all of them: ${names.join(', ')}`] : []
  return { contents: [content], notices: who }
}

/** `count dip 9`, `count eggs 0`, `count coverage 12%`. */
function readCount(line: string, tokens: readonly Token[], tank: Tank, happened: string): Kept | Stop {
  const [what, number, stray] = tokens
  const ways = ['dip', 'eggs', 'jar', 'cells', 'coverage', 'pests', 'removed', 'left']
  const measure = what && MEASURES[what.key]
  if (!what || !measure)
    return choose(
      what ? `“${what.text}”: a count of what?` : 'a count of what?',
      ways.map((word) => ({
        label: word,
        text: what ? replaceToken(line, what, word) : `${line.trimEnd()} ${word} `,
      })),
    )
  const figure = number && readFigure(line, number)
  if (!figure) return unclear(`how many? As in: count ${what.key} 9`)
  if (isStop(figure)) return figure
  if (figure.kind !== 'value' || (figure.unit !== '' && figure.unit !== '%'))
    return unclear(`“${number.text}”: a count is one plain number`)
  if (stray) return leftOver(stray)
  return {
    contents: [{ kind: 'count', happened, tankId: tank.id, measure, values: [figure.value] }],
    notices: [],
  }
}

/** The part a word names: by its id, its whole name, or the only word it begins with. */
function partNamed(word: string, parts: readonly Part[]): Part | null {
  const key = word.toLowerCase()
  const exact = parts.filter(({ id, name }) => id.toLowerCase() === key || name.toLowerCase() === key)
  if (exact.length === 1) return exact[0]!
  const controls = parts.filter(({ control }) => control)
  if (key === 'control' && controls.length === 1) return controls[0]!
  const beginning = parts.filter(({ name }) =>
    name
      .toLowerCase()
      .split(/[\s,]+/)
      .some((one) => one.startsWith(key)),
  )
  return beginning.length === 1 ? beginning[0]! : null
}

const SCORE = /^(.*?\D)(\d+)$/

/** `stage A2 B1 control0`: the stage of each patch, 0 living colour to 5 detached. */
function readStages(
  line: string,
  tokens: readonly Token[],
  tank: Tank,
  happened: string,
  { journal }: LogContext,
): Kept | Stop {
  const parts = partsOf(journal, tank.id)
  if (parts.length === 0)
    return unclear(`${tank.name} has no patches on record: name them on the page of its course first`)
  if (tokens.length === 0) return unclear(`which patch, at what stage? As in: stage ${parts[0]!.id}2`)
  const scores = new Map<string, number>()
  for (let i = 0; i < tokens.length; i++) {
    const token = tokens[i]!
    const glued = SCORE.exec(token.key)
    const apart = !glued && /^\d+$/.test(tokens[i + 1]?.key ?? '') ? tokens[i + 1]! : null
    const [word, digits] = glued ? [glued[1]!.replace(/-$/, ''), glued[2]!] : [token.key, apart?.key ?? '']
    const part = partNamed(word, parts)
    if (!part)
      return choose(
        `“${token.text}”: which patch?`,
        parts.map(({ id, name }) => ({ label: name, text: replaceToken(line, token, `${id}${digits}`) })),
      )
    const stage = Number(digits)
    if (digits === '' || stage > HIGHEST_PATCH_STAGE)
      return unclear(
        `${part.name}: a stage from 0, living colour, to ${HIGHEST_PATCH_STAGE}, detached${digits === '' ? '' : `; came ${digits}`}`,
      )
    scores.set(part.id, stage)
    if (apart) i++
  }
  const missing = parts.filter(({ id }) => !scores.has(id))
  return {
    contents: [
      {
        kind: 'count',
        happened,
        tankId: tank.id,
        measure: 'patch-stage',
        parts: [...scores].map(([partId, value]) => ({ partId, value })),
      },
    ],
    notices: missing.length > 0 ? [`not scored: ${missing.map(({ name }) => name).join(', ')}`] : [],
  }
}

/** `top-off 3L`: fresh water unless a salinity is said elsewhere. */
function readTopOff(
  line: string,
  tokens: readonly Token[],
  tank: Tank,
  happened: string,
  context: LogContext,
): Kept | Stop {
  const water = readLitres(line, tokens, context)
  if (water === null) return unclear('a top-off of how much? As in: top-off 3L')
  if (isStop(water)) return water
  const stray = tokens[water.words]
  if (stray) return leftOver(stray)
  const net = tank.volume?.netL
  if (net !== undefined && water.litres > net) return unclear(`${tank.name} does not hold so much`)
  return {
    contents: [{ kind: 'top-off', happened, tankId: tank.id, litres: water.litres, salinityPsu: 0 }],
    notices: ['fresh water'],
  }
}

/** `feed 2g`, `feed 2g metronidazole 5mg/g`. */
function readFeed(line: string, tokens: readonly Token[], tank: Tank, happened: string): Kept | Stop {
  const food = withUnit(line, tokens, GRAMS)
  if (food === null) return unclear('how much food? As in: feed 2g')
  if (isStop(food)) return food
  if (!(food.value > 0)) return unclear('no food is no feeding')
  const shared = { kind: 'feed' as const, happened, tankId: tank.id, foodG: food.value }
  const rest = tokens.slice(food.words).filter(({ key }) => key !== 'with')
  const word = rest[0]
  if (!word) return { contents: [shared], notices: [] }
  const named = INGREDIENTS.filter(
    ({ id, name, words }) =>
      [id, name.toLowerCase(), ...words].includes(word.key) || (word.key.length >= 4 && id.startsWith(word.key)),
  )
  if (named.length !== 1)
    return named.length === 0
      ? unclear(`“${word.text}” is no medicine that Brinvo knows`)
      : choose(
          `“${word.text}”: which?`,
          named.map(({ id, name }) => ({ label: name, text: replaceToken(line, word, id) })),
        )
  const strength = withUnit(line, rest.slice(1), MG_PER_G)
  if (strength === null) return unclear(`how much ${ingredientById(named[0]!.id)!.name} in the food? As in: 5mg/g`)
  if (isStop(strength)) return strength
  const stray = rest[1 + strength.words]
  if (stray) return leftOver(stray)
  return { contents: [{ ...shared, ingredient: named[0]!.id, mgPerG: strength.value }], notices: [] }
}

/** `contact tool`, `contact water hall`: something wet of another system touched this water. */
function readContact(tokens: readonly Token[], tank: Tank, happened: string, { journal }: LogContext): Kept | Stop {
  const words = tokens.filter(({ key }) => !['by', 'from', 'of', 'a', 'wet'].includes(key))
  const what = words[0]
  if (!what || !WHAT_TOUCHED.has(what.key))
    return unclear('touched by what? fish, water, tool, hand, snail, plug or suspect')
  const named = words[1]
  const from =
    named && tanksOf(journal).find(({ short, name }) => [short, name].some((one) => one.toLowerCase() === named.key))
  if (named && !from) return unclear(`no tank is called “${named.text}”`)
  if (words[2]) return leftOver(words[2])
  return {
    contents: [
      {
        kind: 'contact',
        happened,
        tankId: tank.id,
        what: what.key as ContentOf<'contact'>['what'],
        ...(from && { from: from.id }),
      },
    ],
    notices: ['counts of this water start over'],
  }
}
