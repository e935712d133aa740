import type { Settings } from '../../household/settings.ts'
import type { Content } from '../../journal/entry.ts'
import { Journal } from '../../journal/journal.ts'
import { courseById } from '../course.ts'
import { coursePlan, type CoursePlan } from '../plan.ts'

/** A copy of a journal in which some things happened besides: nothing is kept. */
export function withHappenings(journal: Journal, happenings: readonly Content[]): Journal {
  const copy = new Journal()
  copy.add(journal.entries())
  copy.add(happenings.map((content, i) => ({ id: `what-if-${i}`, logged: content.happened, content })))
  return copy
}

/**
 * A course as it would stand if some things happened: worked out on a copy of the journal, nothing is kept.
 * @param at ms; the instant it is looked at
 * @returns null where the journal holds no such course
 * @example
 * // the next move eleven hours late
 * ifHappened(journal, 'c7', [move], settings, lateBy(11))
 */
export function ifHappened(
  journal: Journal,
  courseId: string,
  happenings: readonly Content[],
  settings: Settings,
  at: number,
): CoursePlan | null {
  const copy = withHappenings(journal, happenings)
  const course = courseById(copy, courseId)
  return course && coursePlan(copy, course, settings, at)
}
