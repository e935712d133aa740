import { animalLabel, residentsOf, tankOfAnimal, type Animal } from '../household/animals.ts'
import type { Tank } from '../household/tanks.ts'
import { tankById } from '../household/tanks.ts'
import { contentFault } from '../journal/check.ts'
import type { Content, ContentOf } from '../journal/entry.ts'
import { faultWords } from '../journal/fault-words.ts'
import { hasDecimalComma } from '../numbers/locale.ts'
import { iso } from '../time/zone.ts'
import { readEquipment } from './equipment.ts'
import { boundsFault } from '../schema/bounds.ts'
import { measureText } from '../words/measure.ts'
import { isGuarded } from '../safety/guarded-kinds.ts'
import { answerAtEnd, guarded, type Asked } from './guarded.ts'
import { candidatesOf, completeName, findName } from './names.ts'
import { looksNumeric } from './numbers.ts'
import { findParameter, parametersBeginning, readReading } from './reading.ts'
import { readLevel } from './level.ts'
import { labelsOf, readSighting, sharedTank } from './sighting.ts'
import { signsBeginning } from './sign-words.ts'
import { replaceToken, tokenize, type Token } from './tokens.ts'
import { choose, isStop, unclear, type Choice, type LogContext, type ReadBack, type Stop } from './types.ts'
import { readCare } from './care.ts'
import { readChange } from './change.ts'
import { readDose } from './water.ts'
import { readWhen } from './when.ts'

interface Kept {
  contents: Content[]
  notices: string[]
  /** What may be asked about it, and how the line would be put right. */
  asked?: Asked
}

const CHANGE_WORDS = new Set(['change', 'wc', 'changed'])
const MOVE_WORDS = new Set(['to', 'into', '>', '->', '→'])
const DEATH_WORDS = new Set(['died', 'dead', 'dies'])
const VERBS = ['change', 'dose', 'note', 'bath', 'count', 'stage', 'top-off', 'feed', 'contact']
const MAX_COMPLETIONS = 6
/** A name is at most so many words less one; `note` comes after it. */
const NOTE_WITHIN = 5
const JOINS = new Set(['and', '&', '+'])

/**
 * Reads one typed line as what the journal would keep: readings, a water change, a dose, a sighting, a move, a death or a
 * note, for the tanks, animals and products there are. Nothing is written here.
 */
export function readLine(line: string, context: LogContext): ReadBack {
  const tokens = tokenize(line, hasDecimalComma(context.locale))
  const completions = completionsOf(line, tokens, context)
  if (tokens.length === 0) return { state: 'empty', completions }
  const read = fitting(readTokens(line, tokens, context))
  if (!isStop(read)) return { state: 'keep', ...read, completions }
  return read.stop === 'choose'
    ? { state: 'choose', question: read.question, choices: read.choices, completions }
    : { state: 'unclear', message: read.message, choices: read.choices, completions }
}

/** What would be kept, once it fits what a journal can hold: a name, a note or a figure may be too long. */
function fitting(read: Kept | Stop): Kept | Stop {
  if (isStop(read)) return read
  for (const content of read.contents) {
    const fault = boundsFault(content) ?? contentFault(content)
    if (fault) return unclear(faultWords(fault))
  }
  return read
}

function readTokens(line: string, all: readonly Token[], context: LogContext): Kept | Stop {
  const read = readWhen(line, all, context)
  // A note keeps all its words: a time that cannot be read is one of them.
  const isNote = all.slice(0, NOTE_WITHIN).some(({ key }) => key === 'note')
  const timed = isStop(read) && isNote ? { at: context.now, rest: [...all], notices: [] } : read
  if (isStop(timed)) return timed
  const { rest, notices } = timed
  const happened = iso(timed.at)
  const first = rest[0]
  if (!first) return unclear('a tank or an animal, then what happened')
  if (first.key === 'note') return note(line, all.slice(1), happened, {})
  const named = findName(line, rest, candidatesOf(context.journal))
  if (named === null) {
    return unclear(`nothing here is called “${first.text}”`, [
      { label: 'keep it as a note', text: `note ${line.trim()}` },
    ])
  }
  if (isStop(named)) return named
  const { found, words } = named
  const tankAt = found.kind === 'tank' ? { from: first.from, to: rest[words - 1]!.to } : undefined
  const about = (tokens: readonly Token[]) =>
    found.kind === 'tank'
      ? aboutTank(line, all, tokens.slice(words), found.tank, happened, context)
      : aboutAnimals(line, all, tokens, happened, context)
  const { body, answer } = answerAtEnd(line, rest)
  const kept = body.length === 0 ? unclear('a tank or an animal, then what happened') : about(body)
  // What was seen keeps all its words: an answer is one to a question of the guard alone.
  if (answer !== null && (isStop(kept) || !kept.contents.some(isGuarded))) {
    const whole = about(rest)
    return isStop(whole) ? (isStop(kept) ? kept : whole) : { ...whole, notices: [...notices, ...whole.notices] }
  }
  if (isStop(kept)) return kept
  const asked = guarded(line, body, kept.contents, answer, context, { ...kept.asked, ...(tankAt && { tankAt }) })
  return isStop(asked) ? asked : { contents: asked.contents, notices: [...notices, ...kept.notices, ...asked.notices] }
}

/** A note keeps all its words, a time among them too. */
function note(
  line: string,
  tokens: readonly Token[],
  happened: string,
  about: { tankId?: string; animalIds?: string[] },
): Kept | Stop {
  if (tokens.length === 0) return unclear('and the note?')
  const text = line.slice(tokens[0]!.from).trim()
  return { contents: [{ kind: 'note', happened, text, ...about }], notices: [] }
}

const after = (all: readonly Token[], token: Token) => all.slice(all.findIndex(({ from }) => from === token.from) + 1)

function aboutTank(
  line: string,
  all: readonly Token[],
  rest: readonly Token[],
  tank: Tank,
  happened: string,
  context: LogContext,
): Kept | Stop {
  const verb = rest[0]
  if (!verb) return unclear(`${tank.name}: a reading (cu 2.1), change 15L, dose …, note …`)
  if (verb.key === 'note') return note(line, after(all, verb), happened, { tankId: tank.id })
  if (verb.key === 'dose' || verb.key === 'dosed') {
    const dose = readDose(line, rest.slice(1), tank, happened, context)
    return isStop(dose) ? dose : { contents: [dose.content], notices: [], asked: { rather: dose.rather } }
  }
  if (CHANGE_WORDS.has(verb.key)) return single(readChange(line, rest.slice(1), tank, happened, context), rest, 1)
  if (verb.key === 'water' && CHANGE_WORDS.has(rest[1]?.key ?? ''))
    return single(readChange(line, rest.slice(2), tank, happened, context), rest, 2)
  const care = readCare(line, rest, tank, happened, context)
  if (care !== null) return care
  const residents = residentsOf(context.journal, tank.id)
  if (verb.key === 'all' && residents.length > 0) return seen(line, rest.slice(1), residents, happened, context)
  const switched = readEquipment(line, rest, tank, happened)
  if (switched !== null) return isStop(switched) ? switched : { contents: switched, notices: [] }
  return readTests(line, rest, tank, residents, happened, context)
}

/** Tests one after another, and how far the level was down when they were taken. */
function readTests(
  line: string,
  rest: readonly Token[],
  tank: Tank,
  residents: readonly Animal[],
  happened: string,
  context: LogContext,
): Kept | Stop {
  const readings: ContentOf<'reading'>[] = []
  const notices: string[] = []
  let downL = 0
  let words = rest
  while (words.length > 0) {
    if (readings.length > 0 && JOINS.has(words[0]!.key) && words.length > 1) words = words.slice(1)
    const level = readLevel(line, words, tank, context)
    if (level !== null) {
      if (isStop(level)) return level
      downL = level.downL
      words = words.slice(level.words)
      continue
    }
    const reading = readReading(line, words, tank, happened, context)
    if (reading === null)
      return readings.length === 0
        ? unknownVerb(line, words, tank, residents, happened, context)
        : strayWord(line, words)
    if (isStop(reading)) return reading
    readings.push(reading.content)
    notices.push(...reading.notices)
    words = words.slice(reading.words)
  }
  if (readings.length === 0)
    return unclear('how far the level is down is kept with a test: salinity 35, level down 2cm. Filled up? top-off 3L')
  if (downL === 0) return { contents: readings, notices }
  return {
    contents: readings.map((reading) => ({ ...reading, downL })),
    notices: [...notices, `with ${measureText(downL, 'L', context.settings.units, 2)} evaporated`],
  }
}

function strayWord(line: string, words: readonly Token[]): Stop {
  const word = words[0]!
  return unclear(
    looksNumeric(word)
      ? `“${word.text}” stands without what was measured`
      : `“${word.text}” is not something that is measured here`,
    [{ label: 'leave it out', text: line.slice(0, word.from).trimEnd() + line.slice(word.to) }],
  )
}

function unknownVerb(
  line: string,
  rest: readonly Token[],
  tank: Tank,
  residents: readonly Animal[],
  happened: string,
  context: LogContext,
): Kept | Stop {
  const word = rest[0]!
  const own = candidatesOf(context.journal).filter(
    ({ named }) => named.kind === 'animal' && residents.some(({ id }) => id === named.animal.id),
  )
  const named = findName(line, rest, own)
  if (named !== null) return isStop(named) ? named : aboutAnimals(line, rest, rest, happened, context, own)
  const asNote = { label: 'keep it as a note', text: replaceToken(line, { from: word.from, to: word.from }, 'note ') }
  const meant = parametersBeginning(word.key)
  if (meant.length > 0)
    return choose(
      `“${word.text}”: which?`,
      meant.map(({ name, aliases }) => ({ label: name, text: replaceToken(line, word, aliases[0]!) })),
    )
  return unclear(`“${word.text}” is not a reading, a change, a dose or an animal of ${tank.name}`, [asNote])
}

function single(read: { content: Content; words: number } | Stop, rest: readonly Token[], taken: number): Kept | Stop {
  if (isStop(read)) return read
  const stray = rest[taken + read.words]
  return stray ? unclear(`“${stray.text}” is left over`) : { contents: [read.content], notices: [] }
}

/** The animals a line begins with, one or several: `needle`, `needle, burr`, `needle and burr`. */
function readAnimals(
  line: string,
  rest: readonly Token[],
  context: LogContext,
  candidates = candidatesOf(context.journal),
): { animals: Animal[]; words: number } | Stop {
  const animals: Animal[] = []
  let words = 0
  for (;;) {
    const named = findName(line, rest.slice(words), candidates)
    if (named !== null && isStop(named)) return named
    if (named === null || named.found.kind !== 'animal') break
    animals.push(named.found.animal)
    words += named.words
    const next = rest[words]
    const joined = next?.key === 'and' || next?.key === '&' || next?.key === '+'
    if (!joined && !rest[words - 1]!.comma) break
    // "needle, scratching": what follows the comma has to be another name, whole.
    const following = findName(line, rest.slice(words + (joined ? 1 : 0)), candidates)
    if (following === null || isStop(following) || following.found.kind !== 'animal') break
    if (joined) words++
  }
  return { animals, words }
}

function aboutAnimals(
  line: string,
  all: readonly Token[],
  rest: readonly Token[],
  happened: string,
  context: LogContext,
  among = candidatesOf(context.journal),
): Kept | Stop {
  const read = readAnimals(line, rest, context, among)
  if (isStop(read)) return read
  const { animals, words } = read
  const verb = rest[words]
  if (!verb) return unclear(`${labelsOf(animals)}: what was seen (ate, scratching), or to which tank`)
  if (verb.key === 'note')
    return note(line, after(all, verb), happened, {
      animalIds: animals.map(({ id }) => id),
      ...tankPart(sharedTank(animals)),
    })
  const moveAt = verb.key === 'moved' || verb.key === 'move' ? 1 : 0
  if (MOVE_WORDS.has(rest[words + moveAt]?.key ?? ''))
    return moved(line, rest.slice(words + moveAt + 1), animals, happened, context)
  const count = /^\d+$/.test(verb.key) ? Number(verb.key) : null
  const deathWord = count === null ? verb : rest[words + 1]
  if (deathWord && DEATH_WORDS.has(deathWord.key)) return died(line, deathWord, rest, animals, count, happened)
  return seen(line, rest.slice(words), animals, happened, context)
}

const tankPart = (tankId: string | null) => (tankId === null ? {} : { tankId })

function seen(
  line: string,
  words: readonly Token[],
  animals: readonly Animal[],
  happened: string,
  { journal }: LogContext,
): Kept | Stop {
  if (words.length === 0) return unclear(`${labelsOf(animals)}: what was seen?`)
  if (animals.some((animal) => !tankById(journal, tankOfAnimal(animal) ?? '')))
    return unclear('their tank is not on record')
  const among = candidatesOf(journal).filter(({ named }) => named.kind === 'animal')
  const sighting = readSighting(line, words, animals, happened, among)
  if (isStop(sighting)) return sighting
  return {
    contents: sighting.contents,
    notices: sighting.unread.map((text) => `“${text}” is kept in your words`),
  }
}

function moved(
  line: string,
  tokens: readonly Token[],
  animals: readonly Animal[],
  happened: string,
  context: LogContext,
): Kept | Stop {
  const { journal } = context
  const words = tokens
  const tanks = candidatesOf(journal).filter(({ named }) => named.kind === 'tank')
  const target = findName(line, words, tanks)
  if (words.length === 0)
    return unclear(
      'to which tank?',
      tanks.map(({ named, plain }) => ({ label: named.label, text: `${line.trimEnd()} ${plain}` })),
    )
  if (target === null) return unclear(`no tank is called “${words[0]!.text}”`)
  if (isStop(target)) return target
  if (words.length > target.words) return unclear(`“${words[target.words]!.text}” is left over`)
  const to = (target.found as { tank: Tank }).tank
  const already = animals.find((animal) => tankOfAnimal(animal) === to.id)
  if (already) return unclear(`${animalLabel(already)} is in ${to.name} already`)
  const moves = animals.map((animal): ContentOf<'move'> => ({
    kind: 'move',
    happened,
    animalId: animal.id,
    fromTankId: tankOfAnimal(animal)!,
    toTankId: to.id,
  }))
  return { contents: moves, notices: [] }
}

function died(
  line: string,
  deathWord: Token,
  rest: readonly Token[],
  animals: readonly Animal[],
  count: number | null,
  happened: string,
): Kept | Stop {
  const several = animals.find((animal) => animal.count > 1)
  if (several && count === null)
    return choose(`how many of the ${animalLabel(several)}?`, [
      { label: 'one', text: replaceToken(line, deathWord, '1 died') },
      { label: `all ${several.count}`, text: replaceToken(line, deathWord, `${several.count} died`) },
    ])
  const short = animals.find((animal) => (count ?? 1) > animal.count)
  if (short) return unclear(`there ${short.count === 1 ? 'is' : 'are'} only ${short.count} of ${animalLabel(short)}`)
  if (count === 0) return unclear('a death of none is no death')
  const cause = line.slice(deathWord.to, rest.at(-1)!.to).replace(/^[\s,;:]+/, '')
  return {
    contents: animals.map((animal) => ({
      kind: 'death',
      happened,
      animalId: animal.id,
      tankId: tankOfAnimal(animal)!,
      ...(count !== null && { count }),
      ...(cause !== '' && { cause }),
    })),
    notices: [],
  }
}

/** Ways to finish the word being typed: a name at the start, then what can be said of it. */
function completionsOf(line: string, tokens: readonly Token[], context: LogContext): Choice[] {
  const candidates = candidatesOf(context.journal)
  const last = tokens.at(-1)
  if (!last || /\s$/.test(line)) return []
  if (tokens.length === 1) return completeName(line, last, candidates).slice(0, MAX_COMPLETIONS)
  const named = findName(line, tokens, candidates)
  if (named === null || isStop(named) || looksNumeric(last)) return []
  if (named.found.kind === 'animal') {
    const isTarget = MOVE_WORDS.has(tokens.at(-2)!.key)
    const further = isTarget
      ? completeName(
          line,
          last,
          candidates.filter((one) => one.named.kind === 'tank'),
        )
      : signsBeginning(last.key).map(({ label, word }) => ({ label, text: replaceToken(line, last, word) }))
    return further.slice(0, MAX_COMPLETIONS)
  }
  const verbs = VERBS.filter((verb) => verb.startsWith(last.key) && verb !== last.key).map((verb) => ({
    label: verb,
    text: `${replaceToken(line, last, verb)} `,
  }))
  const parameters = findParameter(last)
    ? []
    : parametersBeginning(last.key).map(({ name, aliases }) => ({
        label: name,
        text: `${replaceToken(line, last, aliases[0]!)} `,
      }))
  const tank = named.found.tank
  const own = candidates.filter(({ named: one }) => one.kind === 'animal' && tankOfAnimal(one.animal) === tank.id)
  return [...verbs, ...parameters, ...completeName(line, last, own)].slice(0, MAX_COMPLETIONS)
}
