import type { Settings } from '../../household/settings.ts'
import type { Content } from '../../journal/entry.ts'
import type { Journal } from '../../journal/journal.ts'
import { coursesOf, courseById, type Course } from '../course.ts'
import { fullCourseName } from '../names.ts'
import { standingOf } from '../standing/standing.ts'
import { withHappenings } from './what-if-entry.ts'
import type { CourseStanding } from '../standing/standing.schema.ts'

type Count = CourseStanding['counts'][number]

/** What something does to a count of a running course. */
export interface CountEffect {
  courseId: string
  course: string
  /** What is counted, by its definition. */
  count: string
  unit: Count['unit']
  before: { has: number; fullAt: number | null }
  after: { has: number; fullAt: number | null }
}

/** Later than this counts as later: a minute of reckoning is nothing. */
const LATER_MS = 60_000

/** Whether a count would be full later than it was to be, both ms; what nobody can say is not later than anything. */
export const isFullLater = (was: number | null, is: number | null): boolean =>
  was !== null && is !== null && is > was + LATER_MS

const asMs = (instant: string | null): number | null => (instant === null ? null : Date.parse(instant))

const isTouched = (before: Count, after: Count): boolean => {
  const [was, is] = [asMs(before.fullAt), asMs(after.fullAt)]
  return after.has < before.has - 1e-6 || after.restarts.length > before.restarts.length || isFullLater(was, is)
}

/**
 * Every count of a running course that something would set back, with how far: quarantine.md 7.4. Worked out on a copy of the journal;
 * nothing is kept.
 * @param now ms
 * @example
 * countEffects(journal, [contact], settings, now) // what a wet tool in the frag tub costs
 */
export function countEffects(
  journal: Journal,
  happenings: readonly Content[],
  settings: Settings,
  now: number,
): CountEffect[] {
  const copy = withHappenings(journal, happenings)
  const running = coursesOf(journal).filter(({ startedAt, ended }) => startedAt <= now && ended === null)
  return running.flatMap((course: Course): CountEffect[] => {
    const changed = courseById(copy, course.id)
    if (!changed) return []
    const before = standingOf(journal, course, settings, now, 1)
    const after = standingOf(copy, changed, settings, now, 1)
    return before.counts.flatMap((count): CountEffect[] => {
      const then = after.counts.find(({ track }) => track === count.track)
      if (!then || !isTouched(count, then)) return []
      return [
        {
          courseId: course.id,
          course: fullCourseName(course),
          count: course.definition.tracks.find(({ id }) => id === count.track)?.name ?? count.track,
          unit: count.unit,
          before: { has: count.has, fullAt: asMs(count.fullAt) },
          after: { has: then.has, fullAt: asMs(then.fullAt) },
        },
      ]
    })
  })
}
