import { animalLabel, animalsOf, tankOfAnimal, type Animal } from '../household/animals.ts'
import { tanksOf, type Tank } from '../household/tanks.ts'
import type { Journal } from '../journal/journal.ts'
import { withoutDirectionMarks } from '../words/isolated.ts'
import { replaceToken, type Token } from './tokens.ts'
import { choose, type Choice, type Stop } from './types.ts'

/** Something a line can be about. */
export type Named = { kind: 'tank'; tank: Tank; label: string } | { kind: 'animal'; animal: Animal; label: string }

export interface Candidate {
  named: Named
  /** Whole names, lower case, words apart: an exact match of one settles it. */
  names: string[][]
  /** Single words a beginning of which will do, if it is the only one. */
  words: string[]
  /** How the line would name it without doubt. */
  plain: string
}

const wordsOf = (text: string): string[] =>
  withoutDirectionMarks(text)
    .toLowerCase()
    .split(/[\s-]+/)
    .filter(Boolean)

/** Everything that can be named at the start of a line: the tanks in use and the animals alive. */
export function candidatesOf(journal: Journal): Candidate[] {
  return journal.derive(
    'log-line-names',
    [
      'kind:tank-setup',
      'kind:tank-change',
      'kind:arrival',
      'kind:animal-change',
      'kind:move',
      'kind:death',
      'kind:departure',
    ],
    () => {
      const tanks = tanksOf(journal).map((tank): Candidate => ({
        named: { kind: 'tank', tank, label: tank.name },
        // A short name that was only derived from the name is a word of it like the others: "reef" may be two tanks.
        names: [wordsOf(tank.name), ...(tank.hasOwnShort ? [[tank.short.toLowerCase()]] : [])],
        words: [...new Set([tank.short.toLowerCase(), ...wordsOf(tank.name)])],
        plain: withoutDirectionMarks(tank.name).toLowerCase(),
      }))
      const animals = animalsOf(journal)
        .filter((animal) => tankOfAnimal(animal) !== null)
        .map((animal): Candidate => {
          const label = animalLabel(animal)
          const names =
            animal.name === null ? [wordsOf(animal.species)] : [wordsOf(animal.name), wordsOf(animal.species)]
          return {
            named: { kind: 'animal', animal, label },
            names,
            words: [...new Set(names.flat())],
            plain: withoutDirectionMarks(animal.name ?? animal.species).toLowerCase(),
          }
        })
      return [...tanks, ...animals]
    },
  )
}

/** What was found at the start of some words, and how many of them it took. */
export interface Found {
  found: Named
  words: number
}

const keysOf = (tokens: readonly Token[]) => tokens.map(({ key }) => key.replace(/'s$/, ''))

/**
 * The one thing that the words begin with. A whole name goes before a beginning of one; the longest whole name first.
 * @returns null when nothing begins so; a stop when two things do
 */
export function findName(
  line: string,
  tokens: readonly Token[],
  candidates: readonly Candidate[],
): Found | Stop | null {
  const keys = keysOf(tokens)
  const first = tokens[0]
  if (!first) return null
  const whole = candidates
    .flatMap((candidate) => candidate.names.map((name) => ({ candidate, name })))
    .filter(({ name }) => name.every((word, i) => keys[i] === word && !(i < name.length - 1 && tokens[i]!.comma)))
  const longest = Math.max(0, ...whole.map(({ name }) => name.length))
  const exact = [...new Set(whole.filter(({ name }) => name.length === longest).map(({ candidate }) => candidate))]
  if (exact.length === 1) return { found: exact[0]!.named, words: longest }
  const byWord = candidates.filter(({ words }) => words.includes(keys[0]!))
  const matches =
    exact.length > 1
      ? exact
      : byWord.length > 0
        ? byWord
        : candidates.filter(({ words }) => words.some((word) => word.startsWith(keys[0]!)))
  if (matches.length === 0) return null
  if (matches.length === 1) return { found: matches[0]!.named, words: wordsTaken(keys, matches[0]!) }
  const taken = { from: first.from, to: tokens[Math.max(0, longest - 1)]!.to }
  return choose(
    `which “${line.slice(taken.from, taken.to)}”?`,
    matches.map(({ named, plain }) => ({ label: named.label, text: replaceToken(line, taken, plain) })),
  )
}

/**
 * The animal or tank that some words within a line begin with, by its whole name; at the beginning of a clause one whole word
 * of a name will do. Unlike at the start of a line no beginning of a word is taken for a name: it could be any word.
 * @returns null when no name begins so; a stop when two do
 */
export function wholeNameAt(
  line: string,
  tokens: readonly Token[],
  candidates: readonly Candidate[],
  byOneWord: boolean,
): Found | Stop | null {
  const keys = keysOf(tokens)
  const isWhole = candidates.some(({ names }) => names.some((name) => name.every((word, i) => keys[i] === word)))
  const isWord = byOneWord && candidates.some(({ words }) => words.includes(keys[0]!))
  return isWhole || isWord ? findName(line, tokens, candidates) : null
}

/** A beginning of a name may be followed by more words of the same name: `hall reef`, `side t`. */
function wordsTaken(keys: readonly string[], { names }: Candidate): number {
  let most = 1
  for (const name of names) {
    let taken = 0
    while (taken < name.length && taken < keys.length && name[taken]!.startsWith(keys[taken]!)) taken++
    // A last word counts only when it is more than a letter that could be something else.
    while (taken > 1 && keys[taken - 1]!.length < 2 && keys[taken - 1] !== name[taken - 1]) taken--
    most = Math.max(most, taken)
  }
  return most
}

/** Whole lines that begin as the last word does: what Tab can complete it to. */
export function completeName(line: string, token: Token, candidates: readonly Candidate[]): Choice[] {
  return candidates
    .filter(
      ({ words, plain }) =>
        plain !== token.key && (plain.startsWith(token.key) || words.some((word) => word.startsWith(token.key))),
    )
    .map(({ named, plain }) => ({ label: named.label, text: `${replaceToken(line, token, plain)} ` }))
}
