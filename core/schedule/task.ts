import type { ContentOf } from '../journal/entry.ts'
import type { Journal } from '../journal/journal.ts'
import { iso } from '../time/zone.ts'

/** When a task is due: not before, best, not after; ms. */
export interface TaskWindow {
  notBefore: number
  best: number
  notAfter: number
}

/** Something due, as it stands now. */
export interface Standing extends TaskWindow {
  state: 'late' | 'due' | 'ahead'
  postponed: boolean
}

/** Something to be done: of a course, of an arrival or an introduction, or a chore. One calendar holds them all. */
export interface Task extends Standing {
  /** Names this occasion: what was said of it (done, skipped, put off) is found by it. */
  id: string
  tankId: string
  title: string
  /** Why now, in a few words. */
  why: string
  animalIds?: readonly string[]
  /** The tool it is done with, where one is named. */
  gearId?: string
}

/** How pressing something is. */
export type Urgency = Pick<Standing, 'state' | 'best'>

const URGENCY_RANK = { late: 0, due: 1, ahead: 2 }

/** Late first, then due, then ahead; within each what should have been done sooner. */
export const byUrgency = (a: Urgency, b: Urgency): number =>
  URGENCY_RANK[a.state] - URGENCY_RANK[b.state] || a.best - b.best

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

/**
 * A drafted task as it stands now: done and skipped ones drop out, postponed ones wait. What was said under an id that an earlier
 * version gave the same occasion holds too.
 */
export function asItStands<D extends TaskWindow & { id: string; aliases?: readonly string[] }>(
  journal: Journal,
  draft: D,
  now: number,
): (D & Standing) | null {
  const word = [draft.id, ...(draft.aliases ?? [])].map((id) => wordOn(journal, id)).find((one) => one !== null)
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

/** A word on an occasion: done, skipped or postponed, and why. */
export const wordContent = (
  task: { id: string; tankId: string; courseId?: string },
  state: TaskWord['state'],
  now: number,
  { why, until }: { why?: string; until?: number } = {},
): ContentOf<'task'> => ({
  kind: 'task',
  happened: iso(now),
  taskId: task.id,
  tankId: task.tankId,
  ...(task.courseId !== undefined && { courseId: task.courseId }),
  state,
  ...(why !== undefined && { why }),
  ...(until !== undefined && { until: iso(until) }),
})
