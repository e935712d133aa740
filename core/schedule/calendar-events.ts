import type { Task } from './task.ts'

/** A task as a calendar takes it. */
export interface TaskEvent {
  /** The task's own, so that a file taken in again moves it and does not double it. */
  id: string
  /** ms: the hour that the app shows for it. */
  at: number
  title: string
  note: string
  /** Whether it rings: what was due before now stands where it was due, without an alarm. */
  rings: boolean
}

/**
 * The plan as events: one for each task, at the app's own hour. What is late rings no more: its alarm would go off the moment the file is read.
 * @param tankNameOf of a tank's id; null where it is not on record
 * @param now ms
 * @example
 * calendarEvents(householdTasks(journal, settings, now, horizon), (id) => tankById(journal, id)?.name ?? null, now)
 */
export function calendarEvents(
  tasks: readonly Pick<Task, 'id' | 'best' | 'title' | 'why' | 'tankId'>[],
  tankNameOf: (tankId: string) => string | null,
  now: number,
): TaskEvent[] {
  const byId = new Map<string, TaskEvent>()
  for (const { id, best, title, why, tankId } of tasks) {
    if (byId.has(id)) continue
    const tank = tankNameOf(tankId)
    const rings = best > now
    byId.set(id, {
      id,
      at: best,
      title: `${rings ? '' : 'Late: '}${title}${tank === null ? '' : `, ${tank}`}`,
      note: why,
      rings,
    })
  }
  return [...byId.values()]
}
