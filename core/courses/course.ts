import { doseById, type Dose } from '../catalogue/treatments/treatments.ts'
import { changed } from '../household/changed.ts'
import type { ContentOf } from '../journal/entry.ts'
import type { Journal } from '../journal/journal.ts'

export type CourseLength = 'fourteen-then-move' | 'thirty'

/** The lengths of a copper course, by the schools of quarantine.md 7.1 and 7.2. */
export const COURSE_LENGTHS: readonly { id: CourseLength; protocol: string; days: number; name: string }[] = [
  { id: 'fourteen-then-move', protocol: 'qt-b-drug14', days: 14, name: 'fourteen days, then move' },
  { id: 'thirty', protocol: 'qt-a-cu30', days: 30, name: 'thirty days in one tank' },
]

/** Drug-free observation after a course, quarantine.md 7.2: 14 days at least, 28 preferred (HP). */
export const OBSERVATION_DAYS = { least: 14, preferred: 28 } as const

/** A treatment over days as its journal entries leave it. */
export interface Course {
  id: string
  tankId: string
  protocol: string
  length: CourseLength
  requiredDays: number
  dose: Dose
  animalIds: readonly string[]
  productId: string | null
  kitId: string | null
  /** Hours between two steps of the ramp. */
  rampHours: number
  direct: boolean
  /** Minutes since local midnight at which the daily reading is due. */
  readAtMinute: number
  moveToTankId: string | null
  overrides: readonly { rule: string; why: string; vetAgreed: boolean }[]
  startedAt: number
  ended: { at: number; outcome: 'finished' | 'stopped'; why?: string } | null
}

const DEFAULT_READ_AT = '08:00'
/** Where a course does not say: once a day, the slower end of the handbook's 12–24 h. */
const DEFAULT_RAMP_HOURS = 24

function minuteOf(time: string): number {
  const [hours, minutes] = time.split(':').map(Number) as [number, number]
  return hours * 60 + minutes
}

function describe(journal: Journal, id: string): Course | null {
  let start: ContentOf<'course-start'> | null = null
  let startedAt = 0
  let ended: Course['ended'] = null
  for (const { content, at, struck } of journal.about(`course:${id}`)) {
    if (struck) continue
    if (content.kind === 'course-start') {
      start = content
      startedAt = at
    } else if (content.kind === 'course-change' && start)
      start = changed<ContentOf<'course-start'>>(start, content.changes)
    else if (content.kind === 'course-end')
      ended = { at, outcome: content.outcome, ...(content.why !== undefined && { why: content.why }) }
  }
  const dose = start && doseById(start.doseId)
  const length = start && COURSE_LENGTHS.find(({ protocol }) => protocol === start.protocol)
  if (!start || !dose || !length) return null
  return {
    id,
    tankId: start.tankId,
    protocol: start.protocol,
    length: length.id,
    requiredDays: length.days,
    dose,
    animalIds: start.animalIds,
    productId: start.productId ?? null,
    kitId: start.kitId ?? null,
    rampHours: start.rampHours ?? DEFAULT_RAMP_HOURS,
    direct: start.direct ?? false,
    readAtMinute: minuteOf(start.readAt ?? DEFAULT_READ_AT),
    moveToTankId: start.moveToTankId ?? null,
    overrides: start.overrides ?? [],
    startedAt,
    ended,
  }
}

/** A course; null when the journal holds none of that id, or one of a protocol this version does not run. */
export const courseById = (journal: Journal, id: string): Course | null =>
  journal.derive(`course:${id}`, [`course:${id}`], () => describe(journal, id))

/** All courses, latest first. */
export function coursesOf(journal: Journal): Course[] {
  const ids = new Set(journal.ofKind('course-start').map(({ content }) => content.courseId))
  return [...ids].flatMap((id) => courseById(journal, id) ?? []).sort((a, b) => b.startedAt - a.startedAt)
}

/** The courses that run in a tank, in the order they began. */
export const runningIn = (journal: Journal, tankId: string): Course[] =>
  coursesOf(journal)
    .filter((course) => course.tankId === tankId && !course.ended)
    .reverse()
