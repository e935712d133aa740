import { coursesOf, type Course } from '../courses/course.ts'
import { microscopyRatio } from '../evidence/microscopy.ts'
import type { Journal } from '../journal/journal.ts'
import { Z_95 } from '../numbers/normal.ts'
import { iso } from '../time/zone.ts'
import { counted, HALF, type Counted } from './tally.ts'

/** A tally of the journal. */
export interface KeptTally extends Counted {
  id: string
  at: number
  caseId: string | null
  /** Null where the entry did not say. */
  objective: number | null
  lengthsUm: readonly number[]
}

/** What a plain count of the two was called before tallies had an entry of their own. */
const BOTH = 'diatoms and dinos'

/**
 * The tallies of a tank, the earliest first; plain counts of “diatoms and dinos” among them.
 * @example
 * talliesOf(journal, 'hall').at(-1)?.share
 */
export const talliesOf = (journal: Journal, tankId: string): KeptTally[] =>
  journal.derive(`tallies:${tankId}`, ['kind:tally', 'kind:count'], () => {
    const own = journal
      .ofKind('tally')
      .filter(({ content }) => content.tankId === tankId)
      .map(({ id, at, content }): KeptTally => ({
        id,
        at,
        caseId: content.caseId ?? null,
        objective: content.objective,
        lengthsUm: content.lengthsUm ?? [],
        ...counted(content.spots),
      }))
    const plain = journal.ofKind('count').flatMap(({ id, at, content }): KeptTally[] => {
      const [diatoms, dinos] = content.values ?? []
      return content.tankId === tankId && content.of === BOTH && diatoms !== undefined && dinos !== undefined
        ? [
            {
              id,
              at,
              caseId: null,
              objective: null,
              lengthsUm: [],
              ...counted([{ diatoms, dinos, other: 0, fields: null }]),
            },
          ]
        : []
    })
    return [...own, ...plain].sort((a, b) => a.at - b.at)
  })

/** The running course that answers a case: a tally of the case belongs to it as well. Null without one. */
export const courseForCase = (journal: Journal, caseId: string): Course | null => {
  const answers = new Set(
    journal.ofKind('course-start').flatMap(({ content }) => (content.caseId === caseId ? [content.courseId] : [])),
  )
  return coursesOf(journal).findLast(({ id, ended }) => answers.has(id) && ended === null) ?? null
}

/** How two tallies differ. */
export interface Change {
  from: KeptTally
  to: KeptTally
  /** Of the share of diatoms, points of 1. */
  by: number
  /** More than chance: the intervals lie apart, or the difference is beyond 1.96 standard errors (outbreaks.md 4). */
  isReal: boolean
}

/** Compares the shares of two tallies; null where one of them counted nothing. */
export function compareShares(from: KeptTally, to: KeptTally): Change | null {
  if (from.share === null || to.share === null) return null
  const error = Math.sqrt(
    (from.share * (1 - from.share)) / (from.diatoms + from.dinos) +
      (to.share * (1 - to.share)) / (to.diatoms + to.dinos),
  )
  const by = to.share - from.share
  const isApart = from.high < to.low || to.high < from.low
  return { from, to, by, isReal: by !== 0 && (isApart || Math.abs(by) > Z_95 * error) }
}

/** A count differs by more than chance when it differs by more than two of its errors: outbreaks.md 7. */
const COUNT_ERRORS = 2

/**
 * Compares the dinoflagellates a field of two tallies; null where the fields are not known or were seen at another power.
 * @returns the later as a share of the earlier; `isReal` by outbreaks.md 7: 2 × √(n1 + n2) on totals, for counts a field
 */
export function compareDinosPerField(from: KeptTally, to: KeptTally): { share: number; isReal: boolean } | null {
  if (from.objective === null || from.objective !== to.objective) return null
  if (from.dinosPerField === null || to.dinosPerField === null || from.dinosPerField === 0) return null
  const error = Math.sqrt(from.dinos / from.fields! ** 2 + to.dinos / to.fields! ** 2)
  return {
    share: to.dinosPerField / from.dinosPerField,
    isReal: Math.abs(to.dinosPerField - from.dinosPerField) > COUNT_ERRORS * error,
  }
}

/** Diatoms have won for good: that share on so many weekly counts, outbreaks.md 4. */
export const WON = { share: 0.9, counts: 3, everyDays: 7 } as const

/** Where the diatoms stand. */
export type Standing = 'nothing' | 'dinos' | 'open' | 'diatoms' | 'won'

/**
 * Where the diatoms stand by the tallies: at 90 % on three weekly counts they have won; above or below a half with the whole
 * interval; or open.
 * @param tallies the earliest first
 */
export function standingOf(tallies: readonly KeptTally[], daysApart: (from: number, to: number) => number): Standing {
  const said = tallies.filter(({ share }) => share !== null)
  const last = said.at(-1)
  if (!last) return 'nothing'
  // Walks back from the last: each one counted must lie about a week before the one counted after it.
  let weekly = 0
  let after: number | null = null
  for (const { share, at } of [...said].reverse()) {
    if (share! < WON.share) break
    if (after !== null && daysApart(at, after) < WON.everyDays - 1) continue
    weekly++
    after = at
  }
  if (weekly >= WON.counts) return 'won'
  if (last.low > HALF) return 'diatoms'
  return last.high < HALF ? 'dinos' : 'open'
}

/** The share of dinoflagellates over time by `microscopy.ratio`, and whether the last differs from the first. */
export function ratioOf(tallies: readonly KeptTally[]) {
  const result = microscopyRatio({
    counts: tallies.map(({ at, diatoms, dinos }) => ({ at: iso(at), diatoms, dinos })),
  })
  return result.ok ? result.value : { points: [], change: null }
}
