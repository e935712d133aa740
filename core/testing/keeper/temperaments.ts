import type { CoursePlan } from '../../courses/plan.ts'
import type { CourseTask } from '../../courses/tasks.ts'
import { RandomStream } from '../../numbers/random.ts'
import { MS_PER_DAY, MS_PER_MINUTE } from '../../time/zone.ts'
import type { Keeper } from './keeper.ts'

export type TemperamentId = 'steady' | 'latest' | 'a-day-late' | 'twice' | 'blind' | 'unlucky'

/** How a simulated keeper goes about a course. */
export interface Temperament {
  id: TemperamentId
  /** When a task is done, ms. */
  timeFor: (task: CourseTask, seed: number) => number
  /** Tasks that are never done. @param day of the course */
  skips?: (task: CourseTask, day: number) => boolean
  /** Whether its button is pressed a second time at once. */
  pressesTwice?: (task: CourseTask) => boolean
  /** What is counted does not get better. */
  isFailing?: boolean
  /** Something that befalls the course. @returns whether anything was written */
  happens?: (keeper: Keeper, plan: CoursePlan, now: number) => boolean
  /** The last day that is lived; twice the course's days and 60 where it is left out. */
  untilDay?: number
}

const bestOf = ({ notBefore, best }: CourseTask): number => Math.max(notBefore, best)

/** One task in five is a day late, the same ones for the same seed. */
const LATE_SHARE = 0.2
const isForgotten = (taskId: string, seed: number): boolean =>
  new RandomStream([...taskId].reduce((sum, letter) => (sum * 31 + letter.charCodeAt(0)) % 1e9, seed)).next() <
  LATE_SHARE

/** What a second press adds nothing to: a test that is logged twice, a word, a look, a mark. What goes into the water goes in twice. */
const ADDS_NOTHING: ReadonlySet<CourseTask['act']> = new Set([
  'read',
  'count',
  'look',
  'tick',
  'bench',
  'mark',
  'switch',
])

/** Days on which a blind keeper still tests. */
const SEEING_DAYS = 1

export const TEMPERAMENTS: Readonly<Record<TemperamentId, Temperament>> = {
  steady: { id: 'steady', timeFor: bestOf },
  latest: {
    id: 'latest',
    timeFor: (task) =>
      Number.isFinite(task.notAfter) ? Math.max(bestOf(task), task.notAfter - MS_PER_MINUTE) : bestOf(task),
  },
  'a-day-late': {
    id: 'a-day-late',
    timeFor: (task, seed) => bestOf(task) + (isForgotten(task.id, seed) ? MS_PER_DAY : 0),
  },
  twice: { id: 'twice', timeFor: bestOf, pressesTwice: ({ act }) => ADDS_NOTHING.has(act) },
  blind: {
    id: 'blind',
    timeFor: bestOf,
    skips: ({ act }, day) => day > SEEING_DAYS && (act === 'read' || act === 'count'),
    untilDay: 14,
  },
  unlucky: { id: 'unlucky', timeFor: bestOf, untilDay: 8 },
}
