import type { Answer } from '../catalogue/diagnosis/diagnosis.types.ts'
import type { Content, ContentOf } from '../journal/entry.ts'
import type { Journal, Line } from '../journal/journal.ts'
import { iso, MS_PER_DAY } from '../time/zone.ts'
import type { Answers } from './asking.ts'
import { experimentsOf, type Experiment } from './experiments.ts'
import { tankOfCase } from './open-cases.ts'
import { nightTestOf, type NightTest } from './night-test.ts'
import { askedSigns } from './signs.ts'

const WEEK_MS = 7 * MS_PER_DAY
/** Something seen of an animal shortly before a case was opened belongs to it (EA). */
const SEEN_BEFORE_MS = 2 * MS_PER_DAY

/** One answer to a sign, and when. */
export interface SignAnswer {
  at: number
  sign: string
  answer: Answer
}

/** A cause on the list of a case. */
export interface Cause {
  id: string
  state: 'thought-of' | 'ruled-out' | 'confirmed'
  at: number
  words: string | null
}

/** A case as its entries leave it. */
export interface Case {
  id: string
  /** The entry that opened it: its pictures are about that. */
  entryId: string
  start: ContentOf<'case-start'>
  /** Where its fish live now; where it showed, for what is of a tank. */
  tankId: string
  startedAt: number
  answers: readonly SignAnswer[]
  /** What was written of its animals while it was open, in the keeper's words. */
  remarks: readonly { at: number; words: string }[]
  causes: readonly Cause[]
  experiments: readonly Experiment[]
  /** The jar in the dark that says where dinoflagellates are at night; null without one. */
  nightTest: NightTest | null
  /** Null while it is open. */
  ended: { at: number; outcome: ContentOf<'case-end'>['outcome']; cause: string | null; words: string | null } | null
}

/** What a case or a look is of. */
type Shown = Pick<ContentOf<'case-start'>, 'table' | 'animalIds' | 'tankId'>

/** The signs that were seen of a case's animals, or of the tank where it is of none, whoever wrote them down and where. */
function sightingsOf(journal: Journal, start: Shown, from: number, until: number): SignAnswer[] {
  const known = askedSigns(start.table)
  const own = new Set(start.animalIds)
  const isOf = ({ animalIds, tankId }: ContentOf<'sighting'>) =>
    own.size > 0 ? animalIds.some((id) => own.has(id)) : animalIds.length === 0 && tankId === start.tankId
  return journal.ofKind('sighting').flatMap(({ at, content }) =>
    at >= from && at <= until && isOf(content)
      ? content.signs
          .filter(({ sign }) => known.has(sign))
          .map(({ sign, present }) => ({
            at,
            sign,
            answer: present ? ('present' as const) : ('absent' as const),
          }))
      : [],
  )
}

/** What was written of a case's animals: “white grains 12 left flank”. */
const remarksOf = (
  journal: Journal,
  { animalIds }: ContentOf<'case-start'>,
  from: number,
  until: number,
): Case['remarks'] =>
  journal
    .ofKind('sighting')
    .flatMap(({ at, content }) =>
      content.words !== undefined && at >= from && at <= until && content.animalIds.some((id) => animalIds.includes(id))
        ? [{ at, words: content.words }]
        : [],
    )

/**
 * The signs that somebody wrote down of some animals shortly before they are looked at: a look begins with them.
 * @param at ms
 */
export const seenShortlyBefore = (journal: Journal, shown: Shown, at: number): Answers =>
  Object.fromEntries(sightingsOf(journal, shown, at - SEEN_BEFORE_MS, at).map(({ sign, answer }) => [sign, answer]))

function describe(journal: Journal, id: string): Case | null {
  const lines = journal.about(`case:${id}`).filter((line) => !line.struck)
  const first = lines.find((line): line is Line<ContentOf<'case-start'>> => line.content.kind === 'case-start')
  if (!first) return null
  const marked: SignAnswer[] = []
  const causes = new Map<string, Cause>()
  let ended: Case['ended'] = null
  for (const { at, content } of lines) {
    if (content.kind === 'case-end')
      ended = { at, outcome: content.outcome, cause: content.cause ?? null, words: content.words ?? null }
    if (content.kind !== 'case-mark') continue
    const { mark, cause, words = null } = content
    if (mark === 'signs') marked.push(...(content.signs ?? []).map(({ sign, answer }) => ({ at, sign, answer })))
    else if (mark === 'reopened') {
      ended = null
    } else if (cause !== undefined && (mark === 'thought-of' || mark === 'ruled-out' || mark === 'confirmed')) {
      causes.delete(cause)
      causes.set(cause, { id: cause, state: mark, at, words })
    }
  }
  const start = first.content
  const seen = sightingsOf(journal, start, first.at - SEEN_BEFORE_MS, ended?.at ?? Infinity)
  return {
    id,
    entryId: first.id,
    start,
    tankId: tankOfCase(journal, start),
    startedAt: first.at,
    remarks: remarksOf(journal, start, first.at - SEEN_BEFORE_MS, ended?.at ?? Infinity),
    answers: [...seen, ...marked].sort((a, b) => a.at - b.at),
    causes: [...causes.values()],
    experiments: experimentsOf(lines),
    nightTest: nightTestOf(lines),
    ended,
  }
}

/** A case; null where the journal holds none of that id. */
export const caseById = (journal: Journal, id: string): Case | null =>
  journal.derive(`case:${id}`, [`case:${id}`, 'kind:sighting', 'kind:move', 'kind:death', 'kind:departure'], () =>
    describe(journal, id),
  )

/** All cases, the open ones first, then the latest. */
export function casesOf(journal: Journal): Case[] {
  const ids = new Set(journal.ofKind('case-start').map(({ content }) => content.caseId))
  return [...ids]
    .flatMap((id) => caseById(journal, id) ?? [])
    .sort((a, b) => Number(a.ended !== null) - Number(b.ended !== null) || b.startedAt - a.startedAt)
}

/**
 * The answers of a case as they stand: the last word on each sign.
 * @param until ms; to see how it stood then
 */
export function answersOf({ answers }: Case, until = Infinity): Answers {
  const last: Record<string, Answer> = {}
  for (const { at, sign, answer } of answers) if (at <= until) last[sign] = answer
  return last
}

/** A closed case whose animal shows a sign again. */
export interface CameBack {
  closed: Case
  signs: readonly string[]
  at: number
}

/** Signs of a closed case that were present in it and are seen again within eight weeks of its end: outbreaks.md 1, prevent-relapse. */
export const RELAPSE_WEEKS = 8

/** Closed cases whose signs have come back on the same animals, so that the keeper is asked whether it is open again. */
export function casesThatCameBack(journal: Journal): CameBack[] {
  return casesOf(journal).flatMap((closed): CameBack[] => {
    const { ended, start } = closed
    if (!ended) return []
    const had = answersOf(closed, ended.at)
    const again = sightingsOf(journal, start, ended.at + 1, ended.at + RELAPSE_WEEKS * WEEK_MS).filter(
      ({ sign, answer }) => answer === 'present' && had[sign] === 'present',
    )
    return again.length === 0
      ? []
      : [{ closed, signs: [...new Set(again.map(({ sign }) => sign))], at: again.at(-1)!.at }]
  })
}

/**
 * The entry that opens a closed case again.
 * @param words what was seen, where something was
 */
export const reopenContent = (
  { id, tankId }: Pick<Case, 'id' | 'tankId'>,
  at: number,
  words?: string,
): ContentOf<'case-mark'> => ({
  kind: 'case-mark',
  happened: iso(at),
  caseId: id,
  tankId,
  mark: 'reopened',
  ...(words !== undefined && { words }),
})

/** Entries that open a case with what was answered until then. */
export function caseContents(
  start: Omit<ContentOf<'case-start'>, 'kind' | 'happened'>,
  answers: Answers,
  happened: string,
): Content[] {
  const signs = Object.entries(answers).map(([sign, answer]) => ({ sign, answer }))
  return [
    { kind: 'case-start', happened, ...start },
    ...(signs.length === 0
      ? []
      : [
          {
            kind: 'case-mark' as const,
            happened,
            caseId: start.caseId,
            tankId: start.tankId,
            mark: 'signs' as const,
            signs,
          },
        ]),
  ]
}
