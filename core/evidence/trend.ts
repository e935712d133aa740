import { median } from '../numbers/median.ts'
import { noSolution, ok, type Result } from '../result/result.ts'
import { isInstantMs, iso, MS_PER_DAY } from '../time/zone.ts'
import type { TrendFit, TrendFitInput } from './evidence.schema.ts'

const LEAST_READINGS = 3
/** Turns a median absolute deviation into the sd of a normal. */
const MAD_TO_SD = 1.4826
const SUSPECT_SDS = 3
const OWN_SDS = 2
/** A residual this small against the values is arithmetic, not a fault. */
const ROUNDING = 1e-9

/**
 * The line through readings that one bad reading does not bend: Theil–Sen slope, the readings it makes suspect, and when it
 * would meet a target.
 */
export function trendFit({ readings, targets = [], now }: TrendFitInput): Result<TrendFit> {
  if (readings.length < LEAST_READINGS)
    return noSolution('/readings', `${readings.length} readings are no trend; expected at least ${LEAST_READINGS}`)
  const times = readings.map(({ at }) => Date.parse(at))
  const origin = Math.min(...times)
  const days = times.map((ms) => (ms - origin) / MS_PER_DAY)
  const values = readings.map(({ value }) => value)
  const slopes = new Float64Array((readings.length * (readings.length - 1)) / 2)
  let pairs = 0
  for (let i = 0; i < readings.length; i++)
    for (let j = i + 1; j < readings.length; j++)
      if (times[i] !== times[j]) slopes[pairs++] = (values[j]! - values[i]!) / (days[j]! - days[i]!)
  if (pairs === 0) return noSolution('/readings', 'all readings are of one instant; expected different times')
  const slopePerDay = median(slopes.subarray(0, pairs))
  const intercept = median(values.map((value, i) => value - slopePerDay * days[i]!))
  const residuals = values.map((value, i) => Math.abs(value - (intercept + slopePerDay * days[i]!)))
  const spread = SUSPECT_SDS * MAD_TO_SD * median(residuals)
  const floor = ROUNDING * values.reduce((most, value) => Math.max(most, Math.abs(value)), 0)
  const nowMs = Date.parse(now)
  const meets = (target: number): string | null => {
    const ms = Math.round(origin + ((target - intercept) / slopePerDay) * MS_PER_DAY)
    return slopePerDay !== 0 && ms > nowMs && isInstantMs(ms) ? iso(ms) : null
  }
  return ok({
    slopePerDay,
    valueNow: intercept + (slopePerDay * (nowMs - origin)) / MS_PER_DAY,
    suspects: residuals.flatMap((residual, i) =>
      residual > Math.max(spread, OWN_SDS * (readings[i]!.sd ?? 0), floor) ? [i] : [],
    ),
    reach: targets.map((target) => ({ target, at: meets(target) })),
  })
}
