import type { Track } from '../../catalogue/courses/definitions.ts'
import type { Part } from '../../household/parts.ts'
import type { ZoneClock } from '../../time/zone.ts'
import type { CourseRecord } from '../record/record.ts'

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

/** A part as the course sees it: one that was treated before it began is treated, one that will be later is still untreated. */
function asInCourse(part: Part, startedAt: number, now: number): Part {
  if (part.releasedAt === null) return part
  if (part.releasedAt < startedAt) return { ...part, releasedAt: null }
  return part.releasedAt > now ? { ...part, control: true, releasedAt: null } : part
}

/** What algae grow on, and is scored where a course names no parts of its own: a coral or a jar of the same tank is not. */
const SCORED: ReadonlySet<Part['what']> = new Set(['patch', 'rock', 'plant'])

/** The scores of each part with what is expected of it by today: outbreaks.md 7. */
export function countSeries(record: CourseRecord, clock: ZoneClock): SeriesState | null {
  const { course, counts, parts, now } = record
  const track = course.definition.tracks.find((one): one is SeriesTrack => one.kind === 'series')
  if (!track) return null
  const scored = course.partIds.length > 0 ? parts : parts.filter(({ what }) => SCORED.has(what))
  const day = clock.dayOf(now) - clock.dayOf(course.startedAt)
  const expectedBy = (treatedDays: number) =>
    track.expected.findLast(({ byDay }) => byDay <= treatedDays)?.value ?? null
  return {
    track,
    day,
    parts: scored.map((one) => {
      const part = asInCourse(one, course.startedAt, now)
      const scores = counts.flatMap(({ at, measure, parts: counted }) =>
        measure === track.measure
          ? counted.filter(({ partId }) => partId === part.id).map(({ value }) => ({ at, value }))
          : [],
      )
      const last = scores.at(-1) ?? null
      // What was left untreated at first is expected to change from its own treatment on.
      const treatedDays = part.releasedAt === null ? day : clock.dayOf(now) - clock.dayOf(part.releasedAt)
      const expected = expectedBy(treatedDays)
      return {
        part,
        scores,
        last,
        expected: part.control ? null : expected,
        verdict:
          last === null || part.control
            ? 'unknown'
            : treatedDays >= track.silentByDay && last.value === 0
              ? 'no-response'
              : expected === null || last.value >= expected
                ? 'on-course'
                : 'behind',
      }
    }),
  }
}

/** Whether a part was left untreated, at first or to this day: it is compared with, and no success waits for it. */
export const isUntreated = ({ part }: Pick<PartSeries, 'part'>): boolean => part.control || part.releasedAt !== null

/** The last scores of the parts treated, or of those left untreated, these only until they were treated themselves. */
export const lastScores = ({ parts }: SeriesState, arm: 'treated' | 'control'): number[] =>
  parts
    .filter((one) => isUntreated(one) === (arm === 'control'))
    .flatMap(({ part: { releasedAt }, scores, last }) => {
      const counted = releasedAt === null ? last : scores.findLast(({ at }) => at < releasedAt)
      return counted ? [counted.value] : []
    })
