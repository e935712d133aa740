import type { Settings } from '../../household/settings.ts'
import type { ContentOf } from '../../journal/entry.ts'
import type { Journal } from '../../journal/journal.ts'
import { iso, MS_PER_DAY, MS_PER_HOUR, type Day, minuteOfTime } from '../../time/zone.ts'
import { courseFrom } from '../course.ts'
import { coursePlan } from '../plan.ts'
import type { CourseTask } from '../tasks.ts'
import { GAP_HOURS } from '../tracks/hold.ts'

/** Days ahead of a start that are looked at: a school and its watch. */
const LOOK_AHEAD_DAYS = 60
/** A start is put off by so many days at most. */
const MOST_SHIFT_DAYS = 30
/** What cannot be left to the next day, by act. */
const HARD_ACTS: ReadonlySet<CourseTask['act']> = new Set(['move', 'bath', 'dose', 'change', 'switch'])

/** A rule that cannot be kept because nobody is at home. */
export interface Unkept {
  taskId: string | null
  words: string
  at: number
}

/** When a course would best begin beside days away. */
export interface Fit {
  /** Whole days later than it was meant to begin. */
  shiftDays: number
  startAt: number
  /** Empty where every hard rule can be kept. */
  unkept: readonly Unkept[]
}

/**
 * What of a course cannot be kept if it begins at a time: moves, baths and doses whose whole window falls on days away, and days away
 * longer than a level may stand unread.
 */
export function unkeptBeside(
  journal: Journal,
  start: ContentOf<'course-start'>,
  settings: Settings,
  startAt: number,
): Unkept[] {
  const course = courseFrom({ ...start, happened: iso(startAt) }, startAt)
  if (!course) return []
  const horizon: Day = settings.clock.dayOf(startAt) + LOOK_AHEAD_DAYS
  const plan = coursePlan(journal, course, settings, startAt, horizon)
  const tasks = plan.tasks
    .filter(({ act, isAway }) => isAway === true && HARD_ACTS.has(act))
    .map(({ id, title, best }): Unkept => ({ taskId: id, words: title, at: best }))
  const isRead = course.definition.tracks.some(
    (track) => track.kind === 'hold' && (track.by === 'drug' || track.by === 'salinity'),
  )
  const until = startAt + course.requiredDays * MS_PER_DAY
  const unread = isRead
    ? plan.facts.away
        .filter((away) => away.until - away.from > GAP_HOURS.proven * MS_PER_HOUR)
        .filter((away) => away.from < until && away.until > startAt)
        .map(({ from }): Unkept => ({ taskId: null, words: `over ${GAP_HOURS.proven} h without a reading`, at: from }))
    : []
  return [...tasks, ...unread].sort((a, b) => a.at - b.at)
}

/**
 * The first start, from the one that is meant, with which every hard rule can be kept beside the days away; else the one that breaks
 * the fewest.
 * @param startAt ms; when it is meant to begin
 */
export function fitStart(journal: Journal, start: ContentOf<'course-start'>, settings: Settings, startAt: number): Fit {
  const { clock } = settings
  const day = clock.dayOf(startAt)
  // A course that begins on another day than today begins at the hour of what is daily, as its form has it.
  const minute = start.readAt === undefined ? clock.minuteOf(startAt) : minuteOfTime(start.readAt)
  let best: Fit | null = null
  for (let shiftDays = 0; shiftDays <= MOST_SHIFT_DAYS; shiftDays++) {
    const at = shiftDays === 0 ? startAt : clock.instantAt(day + shiftDays, minute)
    const isAtHome = !journal
      .ofKind('away')
      .some(({ content }) => Date.parse(content.from) <= at && at < Date.parse(content.until))
    const unkept = unkeptBeside(journal, start, settings, at)
    if (isAtHome && unkept.length === 0) return { shiftDays, startAt: at, unkept }
    if (isAtHome && (best === null || unkept.length < best.unkept.length)) best = { shiftDays, startAt: at, unkept }
  }
  return best ?? { shiftDays: 0, startAt, unkept: unkeptBeside(journal, start, settings, startAt) }
}
