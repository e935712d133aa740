import type { CourseTask } from '../tasks.ts'

/**
 * Whether a task's own button is out of reach for now: it lies ahead, or waits for a rule that does not hold yet.
 * @param now ms
 */
export function isActOff(task: CourseTask, now: number): boolean {
  const isAhead = task.state === 'ahead'
  const isWaiting = isAhead || task.waitsFor !== undefined
  switch (task.act) {
    case 'look':
    case 'read':
      return false
    case 'close':
      return now < task.notBefore
    case 'switch':
      return task.step !== 'pumps-on' && isWaiting
    case 'change':
      return isAhead || (task.change?.salinity !== undefined && task.waitsFor !== undefined)
    case 'count':
      return task.dip !== undefined || task.measure === 'patch-stage' ? isAhead : isWaiting
    case 'move':
      return isWaiting || task.toTankId === undefined
    default:
      return task.step !== 'join' && isWaiting
  }
}
