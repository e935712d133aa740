import { SIGN_WORDS } from '../catalogue/sign-words.data.ts'
import { SIGNS, type Sign } from '../catalogue/sign.ts'

/** A sign named by some words of a phrase. */
export interface SignMatch {
  sign: Sign
  /** Indices of the first and the last word of the name, and of those between them that are no part of it. */
  from: number
  to: number
  between: readonly number[]
}

/** Words that may stand inside a turned name: "eye is no longer cloudy". */
const FILLERS = new Set(
  'is are was were looks look seems not no longer isnt arent wasnt werent still very quite a bit now more less all slightly also'.split(
    ' ',
  ),
)
const LONGEST_BETWEEN = 4
const LEAST_STEM = 3

/** A name's word without its plural: spots → spot. */
const singular = (word: string): string =>
  word.length > LEAST_STEM && word.endsWith('s') && !word.endsWith('ss') ? word.slice(0, -1) : word

/** A verb without its ending: hiding, hides, hide → hid; spitting → spit. */
function verbStem(word: string): string {
  const stem = word.replace(/(ing|ed|es|e|s)$/, '')
  if (stem.length < LEAST_STEM) return word
  return /([b-df-hj-np-tv-z])\1$/.test(stem) ? stem.slice(0, -1) : stem
}

type Alike = (typed: string, word: string) => boolean

/** Ways a typed word may stand for a word of a sign, the closest first. */
const ALIKE: readonly { of: readonly Sign['kind'][]; alike: Alike }[] = [
  { of: ['physical', 'behaviour'], alike: (typed, word) => typed === word },
  { of: ['physical', 'behaviour'], alike: (typed, word) => singular(typed) === singular(word) },
  { of: ['behaviour'], alike: (typed, word) => verbStem(typed) === verbStem(word) },
]

/** Where a name stands in some words, in its order. */
function inOrder(words: readonly string[], at: number, name: readonly string[], alike: Alike): SignSpan | null {
  return name.every((word, i) => words[at + i] !== undefined && alike(words[at + i]!, word))
    ? { from: at, to: at + name.length - 1, between: [] }
    : null
}

/** Where a name of two words stands turned round: "eyes not cloudy". */
function turned(words: readonly string[], at: number, name: readonly string[], alike: Alike): SignSpan | null {
  if (name.length !== 2 || !alike(words[at]!, name[1]!)) return null
  for (let to = at + 1; to <= at + 1 + LONGEST_BETWEEN && to < words.length; to++) {
    if (alike(words[to]!, name[0]!))
      return { from: at, to, between: Array.from({ length: to - at - 1 }, (_, i) => at + 1 + i) }
    if (!FILLERS.has(words[to]!)) return null
  }
  return null
}

type SignSpan = Omit<SignMatch, 'sign'>

const NAMES = SIGNS.flatMap((sign) => SIGN_WORDS[sign.id]!.map((words) => ({ sign, name: words.split(' ') })))

/** The signs whose name begins at a word: only the longest names, and of those only the most exactly written. */
function matchesAt(words: readonly string[], at: number): SignMatch[] {
  for (const { of, alike } of ALIKE) {
    const found = NAMES.filter(({ sign }) => of.includes(sign.kind)).flatMap(({ sign, name }) => {
      const span = inOrder(words, at, name, alike) ?? turned(words, at, name, alike)
      return span ? [{ sign, ...span, length: name.length }] : []
    })
    const longest = Math.max(0, ...found.map(({ length }) => length))
    if (longest > 0) return found.filter(({ length }) => length === longest)
  }
  return []
}

/**
 * The signs named in a phrase, from its first word to its last; names do not share words.
 * @param words lower case, without punctuation and apostrophes
 * @returns at each place the signs it could name: several where the words are those of more than one
 */
export function signsNamed(words: readonly string[]): SignMatch[][] {
  const found: SignMatch[][] = []
  for (let at = 0; at < words.length;) {
    const matches = matchesAt(words, at)
    const apart = matches.filter(({ sign }, i) => matches.findIndex((one) => one.sign === sign) === i)
    const last = found.at(-1)
    // "cotton tuft": two names of one sign, one after the other.
    if (apart.length === 1 && last?.length === 1 && last[0]!.sign === apart[0]!.sign && last[0]!.to === at - 1)
      found[found.length - 1] = [{ ...last[0]!, to: apart[0]!.to }]
    else if (apart.length > 0) found.push(apart)
    at = apart.length > 0 ? Math.max(...apart.map(({ to }) => to)) + 1 : at + 1
  }
  return found
}

/** Signs that a word being typed could become. */
export const signsBeginning = (key: string): { label: string; word: string }[] =>
  key.length < 2
    ? []
    : SIGNS.flatMap(({ id, label }) =>
        SIGN_WORDS[id]!.filter((word) => word.startsWith(key) && word !== key)
          .slice(0, 1)
          .map((word) => ({ label, word })),
      )
