import type { CourseTask } from '../tasks.ts'

/**
 * Whether a task's own button is out of reach for now: it lies ahead, or waits for a rule that does not hold yet.
 * @param now ms
 */
export function isActOff(task: CourseTask, now: number): boolean {
  const { act, step, state, waitsFor } = task
  if (act === 'close') return now < task.notBefore || waitsFor !== undefined
  // What is always open: a look, a test, pumps that have to go on again, whether a fish joins.
  if (act === 'look' || act === 'read' || step === 'pumps-on' || step === 'join') return false
  if (act === 'move' && task.toTankId === undefined) return true
  // A change that no rule waits for, and a score, is only held off by its time.
  const isByTime = (act === 'change' && !task.change?.salinity) || task.measure === 'patch-stage'
  return state === 'ahead' || (waitsFor !== undefined && !isByTime)
}
