import type { Journal } from '../journal/journal.ts'
import type { Course } from './course.ts'
import { isDrugRecord, recordOf } from './record.ts'
import { countLevel, isTested } from './tracks/level.ts'
import { countRounds } from './tracks/rounds.ts'

/** How far a course's leading count is, in a few words: "9 of 14 days proven", "2 of 4 moves made". */
export function progressOf(journal: Journal, course: Course, now: number): string {
  const record = recordOf(journal, course, now)
  if (isDrugRecord(record)) {
    const days = Math.floor(countLevel(record).provenHours / 24)
    return `${days} of ${course.requiredDays} days ${isTested(record) ? 'proven' : 'logged'}`
  }
  if (course.definition.kind === 'fallow') return 'days without fish are counted'
  const rounds = countRounds(record)
  return rounds ? `${rounds.made.length} of ${rounds.needs} moves made` : 'as planned'
}

/** When a course's leading count was or would be full, ms; null where nobody can say. */
export function fullAtOf(journal: Journal, course: Course, now: number): number | null {
  const record = recordOf(journal, course, now)
  return isDrugRecord(record) ? countLevel(record).completesAt : (countRounds(record)?.fullAt ?? null)
}
