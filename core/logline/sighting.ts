import { animalLabel, tankOfAnimal, type Animal } from '../household/animals.ts'
import type { ContentOf } from '../journal/entry.ts'
import { SIGNS } from '../catalogue/sign.ts'
import type { Token } from './tokens.ts'
import { choose, type Stop } from './types.ts'

const APPETITE: [RegExp, number][] = [
  [/^(ate|eats|eating|eaten) (all|everything|well)$/, 4],
  [/^(ate|eats|eating|eaten|feeds|fed)( some| a bit)?$/, 3],
  [/^(spits|spat|spitting)( food| it out)?$/, 2],
  [/^(looks|looked) at (the )?food$/, 1],
  [
    /^(ignores|ignored) (the )?food$|^(did not|didnt|not|no) (eat|eating|feed|feeding)$|^(refused|refuses)( food)?$|^off food$/,
    0,
  ],
]

const bare = (text: string) => text.toLowerCase().replace(/[’']/g, '').replace(/\s+/g, ' ').trim()

interface PhraseRead {
  sign?: { sign: string; present: boolean }
  appetite?: number
}

/** What one phrase says. A sign's own words win over "no" before another sign: "not eating" is a sign. */
function readPhrase(phrase: string): PhraseRead | 'several' | null {
  const appetite = APPETITE.find(([pattern]) => pattern.test(phrase))
  const matches = (text: string) => {
    const found = SIGNS.flatMap((sign) =>
      sign.words.filter((word) => ` ${text} `.includes(` ${word} `)).map((word) => ({ sign, word })),
    )
    const longest = Math.max(0, ...found.map(({ word }) => word.length))
    return [...new Set(found.filter(({ word }) => word.length === longest).map(({ sign }) => sign.id))]
  }
  const denied = /^(no|not|without|stopped) (.+)$/.exec(phrase)
  const own = matches(phrase)
  const ownCoversAll =
    denied && own.some((id) => SIGNS.find((sign) => sign.id === id)!.words.some((word) => phrase.startsWith(word)))
  const signs = denied && !ownCoversAll ? matches(denied[2]!) : own
  if (signs.length > 1) return 'several'
  if (signs.length === 0 && !appetite) return null
  return {
    ...(signs[0] !== undefined && { sign: { sign: signs[0], present: !(denied && !ownCoversAll) } }),
    ...(appetite && { appetite: appetite[1] }),
  }
}

/**
 * What was seen of some animals, from the words after their names. Known signs and appetite are told out; the words are
 * kept as written, whatever of them was understood.
 * @param tokens the words after the names; none is no sighting
 */
export function readSighting(
  line: string,
  tokens: readonly Token[],
  animals: readonly Animal[],
  tankId: string,
  happened: string,
): { content: ContentOf<'sighting'>; unread: string[] } | Stop {
  const text = line.slice(tokens[0]!.from, tokens.at(-1)!.to)
  const phrases: string[] = []
  let phrase: string[] = []
  for (const token of tokens) {
    if (token.key !== 'and' && token.key !== '&') phrase.push(token.key)
    if (token.comma || token.key === 'and' || token.key === '&' || token === tokens.at(-1)) {
      if (phrase.length > 0) phrases.push(bare(phrase.join(' ')))
      phrase = []
    }
  }
  const signs = new Map<string, boolean>()
  let appetite: number | undefined
  const unread: string[] = []
  for (const one of phrases) {
    const read = readPhrase(one)
    if (read === null) unread.push(one)
    if (read === 'several') {
      const options = SIGNS.filter((sign) => sign.words.some((word) => ` ${one} `.includes(` ${word} `)))
      return choose(
        `“${one}” could be two signs`,
        options.map(({ label, words }) => ({ label, text: line.replace(text, text.replace(one, words[0]!)) })),
      )
    }
    if (read?.sign) signs.set(read.sign.sign, read.sign.present)
    if (read?.appetite !== undefined) appetite = read.appetite
  }
  const content: ContentOf<'sighting'> = {
    kind: 'sighting',
    happened,
    tankId,
    animalIds: animals.map(({ id }) => id),
    signs: [...signs].map(([sign, present]) => ({ sign, present })),
    ...(appetite !== undefined && { appetite }),
    words: text,
  }
  return { content, unread }
}

/** Signs that a word being typed could become. */
export const signsBeginning = (key: string): { label: string; word: string }[] =>
  key.length < 2
    ? []
    : SIGNS.flatMap(({ label, words }) =>
        words
          .filter((word) => word.startsWith(key) && word !== key)
          .slice(0, 1)
          .map((word) => ({ label, word })),
      )

/** Animals of one line must share a tank; otherwise the line could not say where. */
export const sharedTank = (animals: readonly Animal[]): string | null => {
  const tanks = new Set(animals.map(tankOfAnimal))
  return tanks.size === 1 ? [...tanks][0]! : null
}

export const labelsOf = (animals: readonly Animal[]): string => animals.map(animalLabel).join(' and ')
