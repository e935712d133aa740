import { SIGN_WORDS } from '../catalogue/sign-words.data.ts'
import { animalLabel, tankOfAnimal, type Animal } from '../household/animals.ts'
import type { ContentOf } from '../journal/entry.ts'
import type { LesionChange } from '../watching/lesion-words.ts'
import { clausesOf, type Clause } from './clauses.ts'
import type { Candidate } from './names.ts'
import { readPhrase, type PhraseRead, type SaidSign } from './phrase.ts'
import { replaceToken, type Token } from './tokens.ts'
import { choose, isStop, unclear, type Choice, type Stop } from './types.ts'

type Sighting = ContentOf<'sighting'>

/** A clause with what it says. */
interface ReadClause {
  clause: Clause
  read: PhraseRead
}

/** Ways to say a clause so that nothing is left open, with the words as typed kept in brackets. */
function inPlace(line: string, { from, to, text }: Clause, label: string, words: string): Choice {
  const plain = text.replace(/[()]/g, ' ').replace(/\?/g, '')
  return { label, text: replaceToken(line, { from, to }, plain === words ? words : `${words} (${plain})`) }
}

/** What may be typed for a sign. */
const typedFor = (sign: string): string => SIGN_WORDS[sign]![0]!

function askAboutSign(line: string, clause: Clause, said: SaidSign): Stop {
  if (said.signs.length > 1)
    return choose(
      `“${clause.text}” could be ${said.signs.length} signs`,
      said.signs.map(({ id, label }) => inPlace(line, clause, label, typedFor(id))),
    )
  const { id, label } = said.signs[0]!
  const typed = typedFor(id)
  return choose(`“${clause.text}”: ${label}, there now or not?`, [
    inPlace(line, clause, `${label}: seen`, `${typed} present`),
    inPlace(line, clause, `not: ${label}`, `no ${typed}`),
  ])
}

/** Rewrites one clause's line so that several of its signs are each said outright. */
function askAboutSigns(line: string, clause: Clause, read: PhraseRead): Stop | null {
  const open = read.signs.find(({ polarity, signs }) => polarity === 'ask' || signs.length > 1)
  if (!open) return null
  if (read.signs.length === 1) return askAboutSign(line, clause, open)
  const others = read.signs
    .filter((one) => one !== open)
    .map(
      ({ signs, polarity }) =>
        `${polarity === 'absent' ? 'no ' : ''}${typedFor(signs[0]!.id)}${polarity === 'present' ? ' present' : ''}`,
    )
  const { id, label } = open.signs[0]!
  const said = (word: string) => [...others, word].join(', but ')
  return choose(`“${clause.text}”: ${label}, there now or not?`, [
    inPlace(line, clause, `${label}: seen`, said(`${typedFor(id)} present`)),
    inPlace(line, clause, `not: ${label}`, said(`no ${typedFor(id)}`)),
  ])
}

function askAboutAppetite(line: string, clause: Clause): Stop {
  return choose(`“${clause.text}”: how did it eat?`, [
    inPlace(line, clause, 'ate some', 'ate some'),
    inPlace(line, clause, 'did not eat', 'not eating'),
    inPlace(line, clause, 'ate all', 'ate all'),
  ])
}

/** Signs of one kind in a list share a denial more easily than a sign of the skin and something the animal does. */
const kindOf = (read: PhraseRead) => read.signs[0]?.signs[0]?.kind

const isDeniedBefore = (read: PhraseRead) => read.signs.some(({ denied }) => denied === 'before')
const isDeniedAfter = (read: PhraseRead) => read.signs.some(({ denied }) => denied === 'after')
const isBare = (read: PhraseRead) =>
  read.signs.length > 0 && read.signs.every(({ denied, outright }) => denied === null && !outright)
const deny = (read: PhraseRead): PhraseRead => ({
  ...read,
  signs: read.signs.map((sign) => ({ ...sign, polarity: 'absent', denied: 'before' })),
})
const leaveOpen = (read: PhraseRead): PhraseRead => ({
  ...read,
  signs: read.signs.map((sign) => ({ ...sign, polarity: 'ask' })),
})

/**
 * Carries denials over a list: "no white spots, dust or slime" denies all three; "no white spots and scratching" leaves the
 * second open; "no white spots, scratching" denies the first alone.
 */
function carryDenials(clauses: readonly ReadClause[]): ReadClause[] {
  const out = clauses.map((one) => ({ ...one }))
  for (let i = 1; i < out.length; i++) {
    const before = out[i - 1]!.read
    const { clause, read } = out[i]!
    if (clause.isNamed || clause.joint === 'but' || !isBare(read)) continue
    if (!isDeniedBefore(before)) {
      // "white spots or dust": one of the two.
      if (
        clause.joint === 'or' &&
        before.signs.length > 0 &&
        before.signs.every(({ polarity }) => polarity === 'present')
      )
        out[i]!.read = leaveOpen(read)
      continue
    }
    const orAhead = () => {
      for (let j = i + 1; j < out.length && !out[j]!.clause.isNamed && isBare(out[j]!.read); j++)
        if (out[j]!.clause.joint === 'or') return true
      return false
    }
    if (clause.joint === 'or' || orAhead()) out[i]!.read = deny(read)
    else if (clause.joint === 'and' || kindOf(before) === kindOf(read)) out[i]!.read = leaveOpen(read)
  }
  // "white spots and dust gone": whether the first is gone too is not said.
  for (let i = out.length - 2; i >= 0; i--) {
    const { clause, read } = out[i + 1]!
    const before = out[i]!.read
    if (clause.isNamed || clause.joint === 'but' || !isDeniedAfter(read) || !isBare(before)) continue
    if (/\b(both|all)\b/i.test(clause.text))
      out[i]!.read = { ...deny(before), signs: deny(before).signs.map((sign) => ({ ...sign, denied: 'after' })) }
    else if (clause.joint === 'and' || kindOf(before) === kindOf(read)) out[i]!.read = leaveOpen(before)
  }
  return out
}

/**
 * What was seen of some animals, from the words after their names. A sign that is denied, gone or healed is kept as absent;
 * where the words leave it open it is asked. Each clause belongs to the animals named nearest before it. The words are kept
 * as written, whatever of them was understood.
 * @param tokens the words after the names; none is no sighting
 * @param among  the names that may stand within the words
 */
export function readSighting(
  line: string,
  tokens: readonly Token[],
  animals: readonly Animal[],
  happened: string,
  among: readonly Candidate[],
): { contents: Sighting[]; unread: string[] } | Stop {
  const clauses = clausesOf(line, tokens, animals, among)
  if (isStop(clauses)) return clauses
  const read = carryDenials(clauses.map((clause) => ({ clause, read: readPhrase(clause.text) })))
  for (const { clause, read: said } of read) {
    const open = askAboutSigns(line, clause, said) ?? (said.appetiteUnclear ? askAboutAppetite(line, clause) : null)
    if (open) return open
  }
  const contents: Sighting[] = []
  for (const part of byAnimals(read)) {
    const content = sightingOf(part, happened)
    if (isStop(content)) return content
    contents.push(content)
  }
  const unread = read
    .filter(({ read: { signs, appetite, seen } }) => signs.length === 0 && appetite === null && seen === null)
    .map(({ clause }) => clause.text)
  return { contents, unread }
}

const keyOf = ({ clause }: ReadClause) =>
  clause.animals
    .map(({ id }) => id)
    .sort()
    .join(' ')

/** The clauses, those of the same animals together, in the order the animals were first named. */
function byAnimals(clauses: readonly ReadClause[]): ReadClause[][] {
  const parts = new Map<string, ReadClause[]>()
  for (const one of clauses) parts.set(keyOf(one), [...(parts.get(keyOf(one)) ?? []), one])
  return [...parts.values()]
}

/** “2 of 5”, “2 of them”: how many of one group show it; a sentence where that cannot be. */
function affectedOf(part: readonly ReadClause[], animals: readonly Animal[]): number | string | null {
  const said = part.flatMap(({ clause }) => /\b(\d{1,3}) of (?:the )?(\d{1,3}|them)\b/i.exec(clause.text) ?? [])
  if (said.length === 0) return null
  const [, some = '', all = ''] = said
  const [animal] = animals
  if (animals.length !== 1 || !animal) return 'how many of how many is said of one group at a time'
  if (Number(some) > animal.count || (all !== 'them' && Number(all) !== animal.count))
    return `${animalLabel(animal)}: there are ${animal.count} of them`
  return Number(some)
}

const SORE = /\b(sore|ulcer|lesion|wound)\b/i
const CHANGE = /\b(worse|same|better|healed)\b/i
const CHANGE_ALONE = /^(?:a (?:bit|little) |the |looks |much )?(worse|same|better|healed)$/i

/** “sore 8 mm, worse”: how wide a sore is, and how it is against the last look. */
function lesionOf(part: readonly ReadClause[]): Sighting['lesion'] | null {
  const texts = part.map(({ clause }) => clause.text.trim())
  const at = texts.findIndex((text) => SORE.test(text))
  if (at < 0) return null
  const mm = /(\d+(?:[.,]\d+)?) ?mm\b/i.exec(texts[at]!)?.[1]
  const word = (CHANGE.exec(texts[at]!) ?? CHANGE_ALONE.exec(texts[at + 1] ?? ''))?.[1]
  const change = word?.toLowerCase() as LesionChange | undefined
  return mm === undefined && change === undefined
    ? null
    : { ...(mm !== undefined && { mm: Number(mm.replace(',', '.')) }), ...(change !== undefined && { change }) }
}

function sightingOf(part: readonly ReadClause[], happened: string): Sighting | Stop {
  const { animals } = part[0]!.clause
  const tankId = sharedTank(animals)
  if (tankId === null) return unclear(`${labelsOf(animals)} are in different tanks: write a line for each`)
  const signs = new Map<string, boolean>()
  let appetite: number | null = null
  let seen: boolean | null = null
  for (const { read } of part) {
    for (const { signs: named, polarity } of read.signs) {
      const { id, label } = named[0]!
      const present = polarity === 'present'
      if (signs.has(id) && signs.get(id) !== present)
        return unclear(`${label} is said to be there and not to be there: write which`)
      signs.set(id, present)
    }
    appetite = read.appetite ?? appetite
    seen = read.seen ?? seen
  }
  const affected = affectedOf(part, animals)
  if (typeof affected === 'string') return unclear(affected)
  const lesion = lesionOf(part)
  return {
    kind: 'sighting',
    happened,
    tankId,
    animalIds: animals.map(({ id }) => id),
    signs: [...signs].map(([sign, present]) => ({ sign, present })),
    ...(appetite !== null && { appetite }),
    ...(seen !== null && { seen }),
    ...(affected !== null && { affected }),
    ...(lesion !== null && { lesion }),
    words: part.map(({ clause }) => clause.text).join(', '),
  }
}

/** Animals of one line must share a tank; otherwise the line could not say where. */
export const sharedTank = (animals: readonly Animal[]): string | null => {
  const tanks = new Set(animals.map(tankOfAnimal))
  return tanks.size === 1 ? [...tanks][0]! : null
}

export const labelsOf = (animals: readonly Animal[]): string => animals.map(animalLabel).join(' and ')
