import { iso, MS_PER_DAY } from '../time/zone.ts'
import type { Entry } from './entry.ts'
import type { ReadProblem } from './read.schema.ts'

/** A stamp further ahead of the clock than this was written by a clock that was wrong, ms. */
export const STAMP_SLACK_MS = MS_PER_DAY

/** More than a few stamps ahead, and more than this share of all: the clock of this device is behind, the stamps are right. */
const FEW_STAMPS = 3
const CLOCK_BEHIND_SHARE = 0.01

/** Stamp of what cannot be told: before everything, so that whatever was logged later holds against it. */
const LONG_AGO = '2000-01-01T00:00:00.000Z'

/**
 * The latest stamp that entries on this device can have.
 * @param entries those on this device
 * @param now ms, this device's clock
 * @param newestOwn ms, the newest stamp that this device has written: its clock may have been set back since
 * @returns ISO
 */
export function stampBound(entries: readonly Entry[], now: number, newestOwn: number): string {
  const bound = iso(Math.max(now, newestOwn) + STAMP_SLACK_MS)
  const ahead = entries.filter(({ logged }) => logged > bound)
  const isClockBehind = ahead.length > FEW_STAMPS && ahead.length > entries.length * CLOCK_BEHIND_SHARE
  return isClockBehind ? ahead.reduce((newest, { logged }) => (logged > newest ? logged : newest), bound) : bound
}

/**
 * An entry with a stamp that can be: one that is ahead of the bound is taken for its own time of happening. Later entries were logged after
 * it, and their corrections hold.
 * @param bound as `stampBound` gives it
 */
export function withinBound(entry: Entry, bound: string): Entry {
  if (entry.logged <= bound) return entry
  const happened = 'content' in entry && entry.content.happened <= bound ? entry.content.happened : LONG_AGO
  return { ...entry, logged: happened }
}

/**
 * Entries of a file whose stamps are more than a day ahead of this device's clock: every later entry would be stamped after them.
 * @param now ms
 */
export function stampProblems(entries: readonly Entry[], now: number): ReadProblem[] {
  const bound = iso(now + STAMP_SLACK_MS)
  return entries.flatMap(({ logged }, index) =>
    logged > bound
      ? [
          {
            path: `/entries/${index}/logged`,
            message: `expected a time that is not ahead of this device's clock (${iso(now).slice(0, 10)}); came ${logged}. Set the clock right, or the file was written by a device whose clock was wrong`,
          },
        ]
      : [],
  )
}
