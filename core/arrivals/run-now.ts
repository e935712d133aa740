import { follow, type Followed } from '../acclimation/follow.ts'
import { minuteOf, type Run } from './runs.ts'

/** A run as it stands now, or stood when it ended. */
export const runNow = (run: Run, now: number): Followed =>
  follow(run.setup, run.happenings, Math.max(0, minuteOf(run, run.ended ? Math.min(now, run.ended.at) : now)))
