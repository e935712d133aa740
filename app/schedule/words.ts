import type { Standing } from '../../core/schedule/task.ts'
import { dayBeside, momentBeside, timeOf } from '../../core/time/words.ts'
import type { ZoneClock } from '../../core/time/zone.ts'

/** When a task is due, beside now. */
export function dueWords(
  { state, best, notAfter, notBefore, postponed }: Standing,
  now: number,
  clock: ZoneClock,
): string {
  const today = clock.dayOf(now)
  const moment = (ms: number) => (clock.dayOf(ms) === today ? timeOf(ms, clock) : momentBeside(ms, now, clock))
  const later = postponed ? ', put off' : ''
  if (state === 'late') return `late, was due ${moment(best)}${later}`
  if (state === 'ahead')
    return clock.dayOf(best) === today
      ? `at ${timeOf(best, clock)}${later}`
      : `${dayBeside(clock.dayOf(best), today)}${later}`
  if (notAfter - notBefore > 20 * 3_600_000 && clock.dayOf(notAfter) === today) return `today${later}`
  return `due, by ${moment(notAfter)}${later}`
}
