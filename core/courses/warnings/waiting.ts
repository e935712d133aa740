import type { CourseTask } from '../tasks.ts'

/** Steps that are not put off by a word: they are done, or the course says what follows. */
const MUST = new Set(['move', 'close', 'dilute', 'join', 'bath'])
/** A step up that is left out would leave the course without its dose: it can only wait. */
const NEVER_SKIPPED = new Set(['ramp', 'clear', 'sterilise'])

/** Whether a task may be put off or skipped with a word why. */
export function waitingOf({ step }: CourseTask): { canWait: boolean; canSkip: boolean } {
  const canWait = !MUST.has(step)
  return { canWait, canSkip: canWait && !NEVER_SKIPPED.has(step) }
}
