import { typicalUncertainty, type Parameter } from '../catalogue/parameter.ts'
import { MS_PER_HOUR, MS_PER_MINUTE } from '../time/zone.ts'
import type { ProbeWatch } from './probe-watch.ts'

/** One value an hour is written down (EA): enough for a chart of a year, few enough to be read. */
const EVERY_MS = MS_PER_HOUR
/** Sooner where it has moved by half of a kit's error, and never under ten minutes apart (EA). */
const LEAST_MS = 10 * MS_PER_MINUTE
const MOVED_SHARE = 0.5
/** What is written down is the middle of the last ten minutes (EA). */
const WINDOW_MS = 10 * MS_PER_MINUTE

/** A value of a probe that is to be written down. */
export interface AutoValue {
  at: number
  value: number
}

/**
 * The value of a probe that is due to be written down, of a stream thinned to what says something. Nothing of a probe that is stuck, silent or has just
 * jumped: it waits until the probe is good.
 * @param last what was written down before of this probe; null for the first
 * @param now ms
 * @example
 * dueValue(watch, ph, lastKept, Date.now())
 */
export function dueValue(
  watch: ProbeWatch,
  parameter: Parameter,
  last: AutoValue | null,
  now: number,
): AutoValue | null {
  if (watch.stateAt(now) !== 'good') return null
  const value = watch.trustedMedian(now - WINDOW_MS, now)
  if (value === null) return null
  const since = last === null ? Infinity : now - last.at
  const hasMoved = last !== null && Math.abs(value - last.value) >= MOVED_SHARE * typicalUncertainty(parameter, value)
  return since >= EVERY_MS || (hasMoved && since >= LEAST_MS) ? { at: now, value: Number(value.toPrecision(6)) } : null
}
