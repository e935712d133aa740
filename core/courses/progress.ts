import type { Journal } from '../journal/journal.ts'
import { courseById, type Course } from './course.ts'
import { isDrugRecord, recordOf } from './record/record.ts'
import { countLevel, isTested } from './tracks/level.ts'
import { countAllDoses } from './tracks/doses.ts'
import { countRounds } from './tracks/rounds.ts'
import { countSalinity } from './tracks/salinity.ts'

/** How far a course's leading count is, in a few words: "9 of 14 days proven", "2 of 4 moves made". */
export function progressOf(journal: Journal, course: Course, now: number): string {
  const record = recordOf(journal, course, now)
  if (isDrugRecord(record)) {
    const days = Math.floor(countLevel(record).provenHours / 24)
    return `${days} of ${course.requiredDays} days ${isTested(record) ? 'proven' : 'logged'}`
  }
  if (course.definition.lead === 'fishless') return 'days without fish are counted'
  if (course.definition.lead === 'dips') return 'clean dips are counted'
  const salinity = countSalinity(record)
  if (salinity) return `${Math.floor(salinity.clock.provenHours / 24)} of ${course.requiredDays} days proven`
  const [doses] = countAllDoses(record, null).filter(({ track }) => track.id === course.definition.lead)
  if (doses) return `${doses.done.length} of ${doses.track.need} doses given`
  const rounds = countRounds(record)
  return rounds ? `${rounds.made.length} of ${rounds.needs} moves made` : 'as planned'
}

/** When a course's leading count was or would be full, ms; null where nobody can say. */
export function fullAtOf(journal: Journal, course: Course, now: number): number | null {
  const record = recordOf(journal, course, now)
  if (isDrugRecord(record)) return countLevel(record).completesAt
  return countRounds(record)?.fullAt ?? countSalinity(record)?.clock.completesAt ?? null
}

/** Whether the count of a course is complete: what is in its water has done its work. */
export function isCountFull(journal: Journal, courseId: string | undefined, at: number): boolean {
  const course = courseId === undefined ? null : courseById(journal, courseId)
  if (!course) return false
  const record = recordOf(journal, course, at)
  if (isDrugRecord(record)) return countLevel(record).state === 'complete'
  const doses = countAllDoses(record, null)
  if (doses.some(({ track }) => track.id === course.definition.lead))
    return doses.every(({ state }) => state === 'full')
  const salinity = countSalinity(record)
  return salinity ? salinity.clock.state === 'complete' : countRounds(record)?.doneAt != null
}
