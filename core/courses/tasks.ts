import type { Journal } from '../journal/journal.ts'
import type { PlannedChange, PlannedDose } from './planned-dose.ts'

/** When something is due: not before, best, not after; ms. */
export interface TaskWindow {
  notBefore: number
  best: number
  notAfter: number
}

export type TaskKind = 'ramp' | 'redose' | 'read' | 'dilute' | 'watch' | 'move' | 'clear' | 'finish'

/** Something due in a course, worked out from its protocol and the journal. */
export interface CourseTask extends TaskWindow {
  /** Names this occasion, so that what was said of it (skipped, postponed, done) is found again. */
  id: string
  courseId: string
  tankId: string
  kind: TaskKind
  title: string
  /** Why now, in a few words; and what late work has moved. */
  why: string
  state: 'late' | 'due' | 'ahead'
  postponed: boolean
  dose?: PlannedDose
  change?: PlannedChange
  animalIds?: readonly string[]
  /** Rules that do not hold yet: the task waits for them. */
  waitsFor?: readonly string[]
}

/** What was said of an occasion of a task. */
export interface TaskWord {
  state: 'done' | 'skipped' | 'postponed'
  at: number
  until: number | null
}

/** The last word on an occasion; null when nothing was said. */
export function wordOn(journal: Journal, taskId: string): TaskWord | null {
  const lines = journal.about(`task:${taskId}`)
  for (let i = lines.length - 1; i >= 0; i--) {
    const { content, struck, at } = lines[i]!
    if (!struck && content.kind === 'task')
      return { state: content.state, at, until: content.until === undefined ? null : Date.parse(content.until) }
  }
  return null
}

type Draft = Omit<CourseTask, 'state' | 'postponed'>

/** A drafted task as it stands now: done and skipped ones drop out, postponed ones wait. */
export function asItStands(journal: Journal, draft: Draft, now: number): CourseTask | null {
  const word = wordOn(journal, draft.id)
  if (word?.state === 'done' || word?.state === 'skipped') return null
  const until = word?.state === 'postponed' ? word.until : null
  // Put off, it has as much grace after its new time as it had after its own.
  const window =
    until === null ? draft : { notBefore: until, best: until, notAfter: until + draft.notAfter - draft.best }
  const state = now > window.notAfter ? 'late' : now >= window.notBefore ? 'due' : 'ahead'
  return {
    ...draft,
    notBefore: window.notBefore,
    best: window.best,
    notAfter: window.notAfter,
    state,
    postponed: until !== null,
  }
}

const RANK = { late: 0, due: 1, ahead: 2 }
/** What is dosed before what is read before what is watched, when both are due. */
const KIND_RANK: Record<TaskKind, number> = {
  dilute: 0,
  redose: 1,
  ramp: 1,
  move: 2,
  read: 3,
  clear: 4,
  watch: 5,
  finish: 6,
}

/** Late first, then due, then ahead; within each what is due sooner. */
export const byUrgency = (a: CourseTask, b: CourseTask): number =>
  RANK[a.state] - RANK[b.state] ||
  (a.state === 'ahead' ? a.best - b.best : KIND_RANK[a.kind] - KIND_RANK[b.kind] || a.best - b.best)
