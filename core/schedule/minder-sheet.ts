import type { Settings } from '../household/settings.ts'
import { tankById } from '../household/tanks.ts'
import type { Journal } from '../journal/journal.ts'
import { TOTAL_AMMONIA_WARN_MG_PER_L } from '../ammonia/basis.ts'
import { courseById } from '../courses/course.ts'
import type { CourseTask } from '../courses/tasks.ts'
import { choresOf } from './chores.ts'
import { householdTasks } from './household-tasks.ts'
import type { Task } from './task.ts'
import { MS_PER_HOUR, type Day } from '../time/zone.ts'

/** One thing to do for whoever minds the tanks. */
export interface MinderLine {
  task: Task | CourseTask
  tank: string
  /** When it is done at best, and until when it still counts, ms. */
  at: number
  until: number
  /** Between what a reading should lie, in words; null for all else. */
  expects: string | null
  /** What to do if it cannot be done, or something is amiss. */
  ifNot: string
}

export interface MinderDay {
  day: Day
  lines: readonly MinderLine[]
}

/** Days in a row on which the same is done at the same hours. */
export interface MinderSpan {
  from: Day
  until: Day
  lines: readonly MinderLine[]
}

/** What is left to the keeper alone: it can wait, or asks for judgement that a stand-in should not have to give. */
const KEEPERS_OWN: ReadonlySet<string> = new Set(['close', 'join', 'mark'])

/** In plain words, by act: further-schools.md and quarantine.md 1 and 7. */
const IF_NOT: Readonly<Record<string, string>> = {
  move: 'Too late or in doubt: call. Do not catch up by guessing; nothing wet goes with the fish.',
  bath: 'A fish lies over or gasps: out at once, into its tank, and call. In doubt give none.',
  dose: 'Only the portion that is measured and labelled; in doubt give none, and call.',
  change: 'No matched water ready: skip it and call.',
  read: 'Write the number down. Out of its range: call.',
  feed: 'Less rather than more; take out what is left after ten minutes.',
  look: 'A fish gasps, lies or is missing: call. More air never harms.',
  switch: 'In doubt leave it as it is, and call.',
}
const IN_DOUBT = 'In doubt leave it, and call.'

const isOfCourse = (task: Task | CourseTask): task is CourseTask => 'step' in task
const actOf = (task: Task | CourseTask): string => (isOfCourse(task) ? task.act : 'chore')

/** The range that a reading of a course is held in. */
function expectedReading(journal: Journal, task: Task | CourseTask): string | null {
  if (!isOfCourse(task) || task.act !== 'read') return null
  const course = courseById(journal, task.courseId)
  if (task.step === 'ammonia') return `under ${TOTAL_AMMONIA_WARN_MG_PER_L} mg/L`
  if (course?.dose && task.step === 'read')
    return `${course.dose.low.toFixed(2)} to ${course.dose.high.toFixed(2)} mg/L`
  const salinity = course?.definition.tracks.find((track) => track.kind === 'hold' && track.by === 'salinity')
  return salinity?.kind === 'hold' && salinity.by === 'salinity'
    ? `${salinity.low.toFixed(3)} to ${salinity.high.toFixed(3)}`
    : null
}

/**
 * The days that a time away covers, both whole: the day of leaving and the last one before the return.
 * @param from  ms
 * @param until ms, when the keeper is back
 */
export const daysAway = (
  { from, until }: { from: number; until: number },
  { clock }: Pick<Settings, 'clock'>,
): { from: Day; until: Day } => ({
  from: clock.dayOf(from),
  until: Math.max(clock.dayOf(from), clock.dayOf(until - 1)),
})

/** The same work within these hours is done once; a reading of the morning and one of the evening are two (EA). */
const SAME_MS = 4 * MS_PER_HOUR

const sameWork = ({ task, tank, expects }: MinderLine): string => [tank, task.title, expects].join('|')

/**
 * Days in a row with the same work put together, so that a fortnight fits two pages.
 * @param detailOf what else has to be the same: the amount and the hour as they are shown
 */
export function minderSpans(days: readonly MinderDay[], detailOf: (line: MinderLine) => string): MinderSpan[] {
  const spans: { from: Day; until: Day; lines: readonly MinderLine[] }[] = []
  const worded = (lines: readonly MinderLine[]) => lines.map((line) => `${sameWork(line)}|${detailOf(line)}`).join('\n')
  for (const { day, lines } of days) {
    if (lines.length === 0) continue
    const last = spans.at(-1)
    if (last?.until === day - 1 && worded(last.lines) === worded(lines)) last.until = day
    else spans.push({ from: day, until: day, lines })
  }
  return spans
}

/** A chore on each of its days, as if it were done whenever it falls due; every other task as it is. */
function again(journal: Journal, { clock }: Settings, task: Task | CourseTask, until: Day): (Task | CourseTask)[] {
  const chore = choresOf(journal).find(({ id }) => task.id.startsWith(`chore/${id}/`))
  if (!chore) return [task]
  const first = clock.dayOf(task.best)
  const times = Math.floor((until - first) / chore.everyDays) + 1
  return Array.from({ length: Math.max(1, times) }, (_, i) => {
    const later = clock.instantAt(first + i * chore.everyDays) - clock.instantAt(first)
    return {
      ...task,
      id: i === 0 ? task.id : `${task.id}+${i}`,
      notBefore: task.notBefore + later,
      best: task.best + later,
      notAfter: task.notAfter + later,
    }
  })
}

/**
 * What somebody who minds the tanks has to do, day by day: each thing once a day, and nothing that the keeper still does before leaving.
 * @param from  first local day
 * @param until last local day, the whole of it
 */
export function minderSheet(
  journal: Journal,
  settings: Settings,
  { from, until, now }: { from: Day; until: Day; now: number },
): MinderDay[] {
  const { clock } = settings
  const lines = householdTasks(journal, settings, now, until)
    .flatMap((task) => again(journal, settings, task, until))
    .filter((task) => !KEEPERS_OWN.has(actOf(task)) && !(isOfCourse(task) && KEEPERS_OWN.has(task.step)))
    .flatMap((task): (MinderLine & { day: Day })[] => {
      const at = Math.max(task.best, clock.instantAt(from))
      const day = clock.dayOf(at)
      if (day < from || day > until) return []
      // Before the first day the keeper is there: what is due until then is the keeper's, and what is over is nobody's.
      const leaves = Math.max(now, clock.instantAt(from))
      if (task.best < clock.instantAt(from) && now < clock.instantAt(from)) return []
      if (task.notAfter < leaves) return []
      return [
        {
          task,
          day,
          tank: tankById(journal, task.tankId)?.name ?? '',
          at,
          until: task.notAfter,
          expects: expectedReading(journal, task),
          ifNot: IF_NOT[actOf(task)] ?? IN_DOUBT,
        },
      ]
    })
    .sort((a, b) => a.at - b.at)
  const once = lines.filter(
    (line, i) =>
      !lines
        .slice(0, i)
        .some(
          (before) => before.day === line.day && sameWork(before) === sameWork(line) && line.at - before.at < SAME_MS,
        ),
  )
  return Array.from({ length: until - from + 1 }, (_, i) => from + i).map((day) => ({
    day,
    lines: once.filter((line) => line.day === day).map(({ day: _day, ...line }) => line),
  }))
}
