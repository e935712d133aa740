import { courseById } from '../../courses/course.ts'
import { isDrugRecord, recordOf } from '../../courses/record/record.ts'
import { countLevel } from '../../courses/tracks/level.ts'
import { countRounds } from '../../courses/tracks/rounds.ts'
import { countSalinity } from '../../courses/tracks/salinity.ts'
import type { Journal } from '../../journal/journal.ts'

/** Whether the count of a course is complete: what is in its water has done its work. */
export function isCountFull(journal: Journal, courseId: string | undefined, at: number): boolean {
  const course = courseId === undefined ? null : courseById(journal, courseId)
  if (!course) return false
  const record = recordOf(journal, course, at)
  if (isDrugRecord(record)) return countLevel(record).state === 'complete'
  const salinity = countSalinity(record)
  return salinity ? salinity.clock.state === 'complete' : countRounds(record)?.doneAt != null
}
