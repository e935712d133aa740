import { perNitrogen } from '../ammonia/basis.ts'
import type { Op } from '../catalogue/courses/definition.ts'
import type { ContentOf } from '../journal/entry.ts'
import { firstAtOrAfter, type Journal } from '../journal/journal.ts'
import { NH4_PER_N } from '../units/units.ts'
import { trustedReadingsOf } from './doubtful.ts'
import type { ReadingLine } from './latest.ts'

/** What a comparison with a reading comes to: `open` where the reading leaves it undecided ("< 0.5" against 0.25). */
export type Verdict = 'yes' | 'no' | 'open'

/**
 * What one trusted reading proves of a level, in the parameter's one basis (total ammonia as NH4; nitrate, phosphate and silica are kept in
 * theirs). Both ends are equal for a plain value.
 */
export interface Evidence {
  /** The instant it rests on, ms. */
  at: number
  /** The level is at least this; `-Infinity` for a reading "< x". */
  low: number
  /** The level is at most this; `Infinity` for a reading "> x". */
  high: number
  line: ReadingLine
}

/** mg/L as NH4 for one mg/L of what a total-ammonia reading states; 1 for every other parameter, and where no basis is stated. */
const inBasis = ({ parameter, basis }: ContentOf<'reading'>): number =>
  parameter === 'tan' && basis !== undefined ? NH4_PER_N / perNitrogen(basis) : 1

/** What a reading proves: `> x` at least x, `< x` at most x, a range what its ends prove. */
export function evidenceOf(line: ReadingLine): Evidence {
  const { content, at } = line
  const { result } = content
  const factor = inBasis(content)
  switch (result.kind) {
    case 'value':
      return { at, line, low: result.value * factor, high: result.value * factor }
    case 'below':
      return { at, line, low: -Infinity, high: result.limit * factor }
    case 'above':
      return { at, line, low: result.limit * factor, high: Infinity }
    case 'range':
      return { at, line, low: result.low * factor, high: result.high * factor }
  }
}

const PROVEN: Readonly<Record<Op, (evidence: Pick<Evidence, 'low' | 'high'>, limit: number) => boolean>> = {
  '<': ({ high }, limit) => high < limit,
  '<=': ({ high }, limit) => high <= limit,
  '>': ({ low }, limit) => low > limit,
  '>=': ({ low }, limit) => low >= limit,
}
const OPPOSITE: Readonly<Record<Op, Op>> = { '<': '>=', '<=': '>', '>': '<=', '>=': '<' }

/**
 * Whether a level stands so to a limit, as far as a reading proves it.
 * @example
 * holds({ low: 2, high: Infinity }, '>=', 0.25) // "> 2": 'yes'
 * holds({ low: -Infinity, high: 0.5 }, '>=', 0.25) // "< 0.5": 'open'
 */
export function holds(evidence: Pick<Evidence, 'low' | 'high'>, op: Op, limit: number): Verdict {
  if (PROVEN[op](evidence, limit)) return 'yes'
  return PROVEN[OPPOSITE[op]](evidence, limit) ? 'no' : 'open'
}

/**
 * The trusted readings of a parameter in a tank as evidence, in time order: values, limits and ranges. What doubtful.ts doubts is left out.
 * @example
 * levelsOf(journal, 'quar', 'tan').at(-1)
 */
export function levelsOf(journal: Journal, tankId: string, parameterId: string): readonly Evidence[] {
  const subject = `readings:${tankId}:${parameterId}` as const
  return journal.derive(`evidence:${tankId}:${parameterId}`, [subject], () =>
    trustedReadingsOf(journal, tankId, parameterId).map(evidenceOf),
  )
}

/** The last trusted reading of a parameter up to an instant, whatever its form; null where there is none. */
export function lastEvidence(journal: Journal, tankId: string, parameterId: string, until = Infinity): Evidence | null {
  const lines = trustedReadingsOf(journal, tankId, parameterId)
  const end = until === Infinity ? lines.length : firstAtOrAfter(lines, until + 1)
  return levelsOf(journal, tankId, parameterId)[end - 1] ?? null
}

/** A plain value of a parameter, in its one basis. */
export interface TakenValue {
  at: number
  value: number
}

/**
 * The trusted plain values of a parameter between two instants, both counted, in its one basis and in time order. Limits and ranges are no
 * values: they feed no fit.
 */
export const valuesOf = (
  journal: Journal,
  tankId: string,
  parameterId: string,
  from = -Infinity,
  until = Infinity,
): TakenValue[] =>
  levelsOf(journal, tankId, parameterId).flatMap(({ at, low, high }) =>
    at >= from && at <= until && low === high ? [{ at, value: low }] : [],
  )

/** A reading that gave a plain value, as it was written. */
export interface ValueReading extends TakenValue {
  line: ReadingLine
}

/**
 * The last plain value of a parameter before an instant, as it was written (total ammonia in the basis of its reading); null where there is
 * none. Limits, ranges and doubtful readings are passed over.
 */
export function lastValue(journal: Journal, tankId: string, parameter: string, before = Infinity): ValueReading | null {
  const lines = trustedReadingsOf(journal, tankId, parameter)
  for (let i = (before === Infinity ? lines.length : firstAtOrAfter(lines, before)) - 1; i >= 0; i--) {
    const line = lines[i]!
    if (line.content.result.kind === 'value') return { at: line.at, value: line.content.result.value, line }
  }
  return null
}

/**
 * The one figure that a count of a held level may take a reading for: its value; of a limit or a range the upper or lower end that
 * decides it, when it does. It is never under the true level where the level may have to be raised, so a dose reckoned from it is never too
 * large: "< 0.5" under a range from 2.0 is 0.5, "2.1–2.3" inside it is 2.3.
 * @returns null where the reading leaves open on which side the level was ("> 2.1" may be over the high)
 * @example
 * decisiveLevel({ low: -Infinity, high: 0.5 }, { low: 2, high: 2.5 }) // 0.5
 */
export function decisiveLevel(
  { low, high }: Pick<Evidence, 'low' | 'high'>,
  range: { low: number; high: number },
): number | null {
  if (low === high) return low
  if (low > range.high) return low
  return high < range.low || (low >= range.low && high <= range.high) ? high : null
}
