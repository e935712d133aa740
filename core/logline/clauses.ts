import type { Animal } from '../household/animals.ts'
import { wholeNameAt, type Candidate } from './names.ts'
import { signsNamed } from './sign-words.ts'
import { plainWords } from './phrase.ts'
import { replaceToken, type Token } from './tokens.ts'
import { choose, isStop, unclear, type Stop } from './types.ts'

/** How a clause hangs on the one before it. */
export type Joint = 'start' | 'comma' | 'and' | 'or' | 'but'

/** A part of a sighting that says something of some animals. */
export interface Clause {
  animals: readonly Animal[]
  joint: Joint
  /** Its words as typed, and where they stand in the line. */
  text: string
  from: number
  to: number
  /** Whether its animals were named in it; else they are those of the clause before. */
  isNamed: boolean
}

const JOINTS: Readonly<Record<string, Joint>> = {
  and: 'and',
  '&': 'and',
  '+': 'and',
  plus: 'and',
  then: 'comma',
  or: 'or',
  nor: 'or',
  but: 'but',
  yet: 'but',
  though: 'but',
  although: 'but',
  however: 'but',
  while: 'but',
  whereas: 'but',
  '·': 'comma',
  '-': 'comma',
  '–': 'comma',
  '—': 'comma',
}
/** After these a name is what the clause speaks of, not whom it is about: "chased by burr". */
const BEFORE_OBJECT = new Set('by from with behind near at to of under beside like than toward towards at'.split(' '))
const OTHERS = new Set(['others', 'rest', 'other'])
const DEATH = new Set(['died', 'dead', 'dies'])

interface Draft {
  joint: Joint
  animals: Animal[]
  tokens: Token[]
  isNamed: boolean
}

/** Words of a sign that joints are part of: "spots come and go", "eats but thin". */
function isInsideSign(tokens: readonly Token[], at: number): boolean {
  const around = tokens.slice(Math.max(0, at - 2), at + 3).map(({ key }) => key)
  const place = Math.min(2, at)
  return signsNamed(around).some(([match]) => match!.from < place && match!.to > place)
}

/** Whether the words from a place on name a sign at once: a fish called Dusty beside a dusty fish. */
const beginsSign = (tokens: readonly Token[], at: number): boolean =>
  signsNamed(tokens.slice(at, at + 3).map(({ key }) => plainWords(key)[0] ?? '')).some(([match]) => match!.from === 0)

/**
 * Parts the words of a sighting into clauses, each with the animals it is about: those named nearest before it.
 * @param first the animals the line began with
 * @param among what may be named in it
 */
export function clausesOf(
  line: string,
  tokens: readonly Token[],
  first: readonly Animal[],
  among: readonly Candidate[],
): Clause[] | Stop {
  const drafts: Draft[] = [{ joint: 'start', animals: [...first], tokens: [], isNamed: true }]
  const open = () => drafts.at(-1)!
  const begin = (joint: Joint) => drafts.push({ joint, animals: open().animals, tokens: [], isNamed: false })
  for (let i = 0; i < tokens.length;) {
    const token = tokens[i]!
    const joint = JOINTS[token.key]
    if (joint && !isInsideSign(tokens, i)) {
      if (open().tokens.length > 0 || open().isNamed) begin(joint)
      else open().joint = open().joint === 'comma' ? joint : open().joint
      i++
      continue
    }
    const isFresh = open().tokens.length === 0
    const named = beginsSign(tokens, i) ? null : wholeNameAt(line, tokens.slice(i), among, isFresh)
    if (named !== null && isStop(named)) return named
    if (named?.found.kind === 'animal') {
      const { animal } = named.found
      const before = tokens[i - 1]
      const after = tokens[i + named.words]
      if (isFresh) {
        const previous = drafts.at(-2)
        if (previous && previous.tokens.length === 0 && previous.isNamed && !open().isNamed) {
          // "lemon and needle hiding": one clause about both.
          drafts.pop()
          previous.animals = [...previous.animals, animal]
        } else if (open().isNamed) {
          const both = { from: token.from, to: token.from }
          return choose(`${nameOf(open().animals.at(-1)!)} and ${nameOf(animal)}: both?`, [
            { label: 'both', text: replaceToken(line, both, 'and ') },
          ])
        } else {
          open().animals = [animal]
          open().isNamed = true
        }
        i += named.words
        if (tokens[i - 1]!.comma) begin('comma')
        continue
      }
      if (!before || !BEFORE_OBJECT.has(before.key)) {
        if (!after || JOINTS[after.key] !== undefined || tokens[i + named.words - 1]!.comma)
          return unclear(
            `“${tokens[i]!.text}” stands at the end: write first of which animal it is, then what was seen`,
            [{ label: 'keep it as a note', text: `note ${line.trim()}` }],
          )
        begin('comma')
        open().animals = [animal]
        open().isNamed = true
        i += named.words
        continue
      }
      open().tokens.push(...tokens.slice(i, i + named.words))
      i += named.words
    } else {
      open().tokens.push(token)
      i++
    }
    if (tokens[i - 1]!.comma) begin('comma')
  }
  const said = drafts.filter(({ tokens: words }, i) => words.length > 0 || (drafts[i]!.isNamed && i > 0))
  if (said.length === 0) return unclear(`${first.map(nameOf).join(' and ')}: what was seen?`)
  const bare = said.find(({ tokens: words }) => words.length === 0)
  if (bare) return unclear(`${bare.animals.map(nameOf).join(' and ')}: and what was seen?`)
  return checked(line, said)
}

function checked(line: string, drafts: readonly Draft[]): Clause[] | Stop {
  const clauses: Clause[] = []
  for (const { joint, animals, tokens, isNamed } of drafts) {
    const [first, last] = [tokens[0]!, tokens.at(-1)!]
    const text = line.slice(first.from, last.to)
    if (OTHERS.has(first.key) || (first.key === 'the' && OTHERS.has(tokens[1]?.key ?? '')))
      return unclear(`“${text}”: name the animals it is about`)
    if (tokens.some(({ key }) => DEATH.has(key)) && animals.length > 0 && isNamed && drafts.length > 1) {
      const who = nameOf(animals[0]!)
      return choose(`a death is a line of its own: “${who} ${text}”`, [
        { label: `only the death`, text: `${who.toLowerCase()} ${text}` },
        {
          label: 'only the rest',
          text: line.replace(new RegExp(`[,;]?\\s*(and\\s+)?${escaped(who)}\\s+${escaped(text)}`, 'i'), ''),
        },
      ])
    }
    clauses.push({ animals, joint, text, from: first.from, to: last.to, isNamed })
  }
  return clauses
}

const nameOf = ({ name, species }: Animal) => name ?? species

const escaped = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')
