import type { Track } from '../../catalogue/courses/definitions.ts'
import type { Part } from '../../household/parts.ts'
import type { ZoneClock } from '../../time/zone.ts'
import type { CourseRecord } from '../record.ts'

export type SeriesTrack = Extract<Track, { kind: 'series' }>

/** One part’s scores, and how they stand against what is expected. */
export interface PartSeries {
  part: Part
  scores: readonly { at: number; value: number }[]
  last: { at: number; value: number } | null
  /** What a treated part should be at by now; null before the first mark, and for a control. */
  expected: number | null
  verdict: 'on-course' | 'behind' | 'no-response' | 'unknown'
}

/** The scores of a plan’s parts. */
export interface SeriesState {
  track: SeriesTrack
  parts: readonly PartSeries[]
  /** Day of the course, 0 on its first. */
  day: number
}

/** The scores of each part with what is expected of it by today: outbreaks.md 7. */
export function countSeries(record: CourseRecord, clock: ZoneClock): SeriesState | null {
  const { course, counts, parts, now } = record
  const track = course.definition.tracks.find((one): one is SeriesTrack => one.kind === 'series')
  if (!track) return null
  const day = clock.dayOf(now) - clock.dayOf(course.startedAt)
  const expected = track.expected.findLast(({ byDay }) => byDay <= day)?.value ?? null
  return {
    track,
    day,
    parts: parts.map((part) => {
      const scores = counts.flatMap(({ at, measure, parts: scored }) =>
        measure === track.measure
          ? scored.filter(({ partId }) => partId === part.id).map(({ value }) => ({ at, value }))
          : [],
      )
      const last = scores.at(-1) ?? null
      return {
        part,
        scores,
        last,
        expected: part.control ? null : expected,
        verdict:
          last === null || part.control
            ? 'unknown'
            : day >= track.silentByDay && last.value === 0
              ? 'no-response'
              : expected === null || last.value >= expected
                ? 'on-course'
                : 'behind',
      }
    }),
  }
}

/** The last scores of the parts treated, or of those left as control. */
export const lastScores = ({ parts }: SeriesState, arm: 'treated' | 'control'): number[] =>
  parts.filter(({ part }) => part.control === (arm === 'control')).flatMap(({ last }) => (last ? [last.value] : []))
