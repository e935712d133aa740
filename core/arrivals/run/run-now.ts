import { follow, type Followed } from '../../acclimation/follow.ts'
import { minuteOf, type Run } from './runs.ts'

/** A run that nobody ended is followed so long, minutes: no animal waits for a day, and the reckoning is minute by minute. */
export const LONGEST_RUN_MINUTES = 24 * 60

/** Whether a run was begun over a day ago and never ended. */
export const isForgotten = (run: Run, now: number): boolean => !run.ended && minuteOf(run, now) > LONGEST_RUN_MINUTES

/** A run as it stands now, or stood when it ended; at most a day after its beginning. */
export const runNow = (run: Run, now: number): Followed =>
  follow(
    run.setup,
    run.happenings.filter(({ minute }) => minute <= LONGEST_RUN_MINUTES),
    Math.min(LONGEST_RUN_MINUTES, Math.max(0, minuteOf(run, run.ended ? Math.min(now, run.ended.at) : now))),
  )
