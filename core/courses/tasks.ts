import { byUrgency, type Standing } from '../schedule/task.ts'
import type { PlannedChange, PlannedDose } from './planned-dose.ts'

export type TaskKind =
  'ramp' | 'redose' | 'read' | 'ammonia' | 'dilute' | 'join' | 'watch' | 'move' | 'clear' | 'finish'

/** Something due in a course, worked out from its protocol and the journal. */
export interface CourseTask extends Standing {
  /** Names this occasion, so that what was said of it (skipped, postponed, done) is found again. */
  id: string
  courseId: string
  tankId: string
  kind: TaskKind
  title: string
  /** Why now, in a few words; and what late work has moved. */
  why: string
  dose?: PlannedDose
  change?: PlannedChange
  animalIds?: readonly string[]
  /** Rules that do not hold yet: the task waits for them. */
  waitsFor?: readonly string[]
}

/** What is dosed before what is read before what is watched, when both are due. */
const KIND_RANK: Record<TaskKind, number> = {
  dilute: 0,
  join: 0,
  redose: 1,
  ramp: 1,
  move: 2,
  read: 3,
  ammonia: 3,
  clear: 4,
  watch: 5,
  finish: 6,
}

/** Late first, then due, then ahead; within each what is due sooner. */
export const byKindAndUrgency = (a: CourseTask, b: CourseTask): number =>
  a.state === b.state && a.state !== 'ahead'
    ? KIND_RANK[a.kind] - KIND_RANK[b.kind] || a.best - b.best
    : byUrgency(a, b)
