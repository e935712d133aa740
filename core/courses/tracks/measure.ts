import type { CountMeasure, Track } from '../../catalogue/courses/definitions.ts'
import type { ZoneClock } from '../../time/zone.ts'
import type { CourseRecord, LoggedCount } from '../record/record.ts'

export type MeasureTrack = Extract<Track, { kind: 'measure' }>

/** A round of a measure: its figure, and those of its parts where it was counted one by one. */
export interface MeasureRound {
  at: number
  value: number
  parts: readonly { partId: string; value: number }[]
}

/** A measure of a plan, and how it stands against what is expected of it: outbreaks.md 7. */
export interface MeasureState {
  track: MeasureTrack
  rounds: readonly MeasureRound[]
  first: MeasureRound | null
  last: MeasureRound | null
  /** Day of the course, 0 on its first. */
  day: number
  /** What it should be at by now; null before the first mark, or without a first round. */
  expected: number | null
  /** What is expected by which day of the course, in order; those that need a first round are missing without one. */
  marks: readonly { day: number; value: number }[]
  verdict: 'on-course' | 'behind' | 'no-response' | 'unknown'
}

type Of = MeasureTrack['of']

/** One figure of a count: its total, or that of its parts together. */
function figureOf({ parts, total }: Pick<LoggedCount, 'parts' | 'total'>, of: Of): number {
  if (total !== undefined) return total
  const values = parts.map(({ value }) => value)
  const sum = values.reduce((all, value) => all + value, 0)
  return of === 'sum' ? sum : of === 'mean' ? sum / values.length : Math.max(...values)
}

/**
 * The rounds of a measure: what was counted on one local day is one round, a part that was counted twice by its later count.
 * @param of how the parts of a round make one figure
 */
export function roundsOf(
  { counts }: Pick<CourseRecord, 'counts'>,
  measure: CountMeasure,
  of: Of,
  clock: ZoneClock,
): MeasureRound[] {
  const days = new Map<number, { at: number; parts: Map<string, number>; total?: number }>()
  for (const { at, measure: counted, parts, total } of counts) {
    if (counted !== measure || (total === undefined && parts.length === 0)) continue
    const day = clock.dayOf(at)
    const round = days.get(day) ?? { at, parts: new Map<string, number>() }
    round.at = at
    for (const { partId, value } of parts) round.parts.set(partId, value)
    if (total !== undefined) round.total = total
    days.set(day, round)
  }
  return [...days.values()].map(({ at, parts, total }) => {
    const list = [...parts].map(([partId, value]) => ({ partId, value }))
    return { at, parts: list, value: figureOf({ parts: list, ...(total !== undefined && { total }) }, of) }
  })
}

/** By how much two values of a measure have to differ to be more than chance: counts by 2 × √(n₁ + n₂), coverage by 14 points: outbreaks.md 7. */
export function leastRealChange(measure: CountMeasure, first: number, last: number): number {
  if (measure === 'coverage') return COVERAGE_POINTS
  if (measure === 'edge-mm') return EDGE_MM
  return COUNTED.has(measure) ? 2 * Math.sqrt(Math.max(0, first + last)) : 0
}

const isRealChange = (measure: CountMeasure, first: number, last: number): boolean =>
  Math.abs(last - first) > leastRealChange(measure, first, last)

/** How far a single round may be off, for its bar: outbreaks.md 7. */
export const measureNoise = (measure: CountMeasure, value: number): number =>
  measure === 'coverage'
    ? COVERAGE_NOISE
    : measure === 'edge-mm'
      ? EDGE_MM
      : COUNTED.has(measure)
        ? Math.sqrt(Math.max(0, value))
        : 0

const COVERAGE_NOISE = 10
const COVERAGE_POINTS = 14
const EDGE_MM = 0.5
const COUNTED: ReadonlySet<CountMeasure> = new Set(['pest-count', 'left', 'removed', 'came-off', 'cells'])

/** The measures of a course, in the order of its definition. */
export function countMeasures(record: CourseRecord, clock: ZoneClock): MeasureState[] {
  const { course, now } = record
  const day = clock.dayOf(now) - clock.dayOf(course.startedAt)
  return course.definition.tracks.flatMap((track): MeasureState[] => {
    if (track.kind !== 'measure') return []
    const rounds = roundsOf(record, track.measure, track.of, clock)
    const [first, last] = [rounds[0] ?? null, rounds.at(-1) ?? null]
    const marks = track.expected.flatMap((mark) => {
      const value = expectedValue(mark, first)
      return value === null ? [] : [{ day: mark.byDay, value }]
    })
    const expected = marks.findLast((mark) => mark.day <= day)?.value ?? null
    return [{ track, rounds, first, last, day, expected, marks, verdict: verdictOf(track, first, last, day, expected) }]
  })
}

/** What a mark of the expectation comes to; null where it needs a first round and there is none. */
function expectedValue(
  { value, share, plus }: MeasureTrack['expected'][number],
  first: MeasureRound | null,
): number | null {
  if (value !== undefined) return value
  if (!first) return null
  return share !== undefined ? first.value * share : plus !== undefined ? first.value + plus : null
}

function verdictOf(
  { better, measure, silentByDay, expected: wanted }: MeasureTrack,
  first: MeasureRound | null,
  last: MeasureRound | null,
  day: number,
  expected: number | null,
): MeasureState['verdict'] {
  if (!first || !last || first === last) return 'unknown'
  const isBetter = better === 'lower' ? last.value < first.value : last.value > first.value
  if (silentByDay !== null && day >= silentByDay && !(isBetter && isRealChange(measure, first.value, last.value)))
    return 'no-response'
  if (wanted.length === 0) return 'unknown'
  if (expected === null) return 'on-course'
  return (better === 'lower' ? last.value <= expected : last.value >= expected) ? 'on-course' : 'behind'
}
