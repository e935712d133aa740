import { bandFor, typicalUncertainty, type Parameter } from '../catalogue/parameter.ts'
import type { TrendFit } from '../evidence/evidence.schema.ts'
import type { Settings } from '../household/settings.ts'
import type { Tank } from '../household/tanks.ts'
import { median } from '../numbers/median.ts'
import { dayBeside } from '../time/words.ts'
import { MS_PER_DAY } from '../time/zone.ts'
import { figures } from '../words/numbers.ts'
import { parameterDifference, parameterValue, quantityText } from '../words/quantities.ts'
import { testsInTrend, TREND_DAYS, trendOf, type TestPoint } from './points.ts'

/** A difference is real when it beats 1.4 of a kit's errors: outbreaks.md 7, `reading`. */
const REAL_ERRORS = 1.4
/** Forecasts further ahead than that nobody believes (EA). */
export const FORECAST_DAYS = 60
/** How far a chart draws ahead, as a share of the time it shows (EA). */
export const AHEAD_SHARE = 0.15

/** What the last weeks of a parameter say. */
export interface TrendSaid {
  /** Level where the change is within the kit's error; null under three tests. */
  fit: TrendFit | null
  words: string
  /** When it leaves the band, or reaches a target, at this pace; null where it does not within two months. */
  leaves: { at: number; value: number } | null
}

/** Whether a trend is more than the kit's error over the time of its tests. @param used the tests that it rests on, not empty */
export function isRealTrend(used: readonly TestPoint[], fit: TrendFit, parameter: Parameter): boolean {
  const last = used.at(-1)!
  const days = (last.at - used[0]!.at) / MS_PER_DAY
  const error = last.halfWidth > 0 ? last.halfWidth : typicalUncertainty(parameter, last.value)
  return Math.abs(fit.slopePerDay) * days > REAL_ERRORS * error
}

/** The change of a day in the household's unit. */
function perDayText(parameter: Parameter, fit: TrendFit, { units }: Settings): string {
  const change = parameterDifference(parameter.id, fit.valueNow, Math.abs(fit.slopePerDay), units)
  const { unit } = parameterValue(parameter.id, fit.valueNow, units)
  return quantityText({ value: figures(change, 2), unit })
}

/**
 * A trend in words: “Falling 0.04 mg/L a day; under its band about Thursday.” A change within the kit's error over the weeks is steady.
 * @param points the tests, the earliest first
 * @param now ms
 * @param ledSince since when it is dosed as it is now: once there are enough tests since, the trend begins there
 */
export function sayTrend(
  points: readonly TestPoint[],
  parameter: Parameter,
  tank: Pick<Tank, 'profile'>,
  settings: Settings,
  now: number,
  ledSince: number | null = null,
): TrendSaid {
  const last = points.findLast(({ isSuspect }) => !isSuspect)
  if (!last) return { fit: null, words: 'No test in this time.', leaves: null }
  const { clock } = settings
  const today = clock.dayOf(now)
  const say = (value: number) => quantityText(parameterValue(parameter.id, value, settings.units))
  const band = bandFor(parameter, tank.profile)
  const edges = [band?.[0], band?.[1]].filter((edge): edge is number => edge !== null && edge !== undefined)
  const since = testsInTrend(points, now, ledSince)
  const fit = trendOf(since, now, edges)
  if (!fit)
    return {
      fit: null,
      words: `${say(last.value)} ${dayBeside(clock.dayOf(last.at), today)}; fewer than three tests in ${TREND_DAYS} days tell no trend.`,
      leaves: null,
    }
  const days = (last.at - since[0]!.at) / MS_PER_DAY
  const error = last.halfWidth > 0 ? last.halfWidth : typicalUncertainty(parameter, last.value)
  if (!isRealTrend(since, fit, parameter)) {
    const values = since.map(({ value }) => value)
    const level = median(values)
    // A dip and back again is no trend, and no steady level either.
    const swings = values.some((value) => Math.abs(value - level) > REAL_ERRORS * error)
    const isLed = ledSince !== null && since[0]!.at >= ledSince
    return {
      fit: { ...fit, slopePerDay: 0, valueNow: level, reach: [] },
      words: isLed
        ? `${say(since[0]!.value)} → ${say(last.value)} in ${Math.round(days)} days of dosing: less than the kit can tell for sure.`
        : swings
          ? `No trend over ${Math.round(days)} days, and not steady: between ${say(Math.min(...values))} and ${say(Math.max(...values))}.`
          : `Steady near ${say(level)} over ${Math.round(days)} days, within what the kit can tell.`,
      leaves: null,
    }
  }
  const next = fit.reach
    .flatMap(({ target, at }) => (at === null ? [] : [{ at: Date.parse(at), value: target }]))
    .filter(({ at }) => at <= now + FORECAST_DAYS * MS_PER_DAY)
    .sort((a, b) => a.at - b.at)[0]
  const pace = `${fit.slopePerDay < 0 ? 'Falling' : 'Rising'} ${perDayText(parameter, fit, settings)} a day`
  const where = next ? `; at this pace ${say(next.value)} about ${dayBeside(clock.dayOf(next.at), today)}` : ''
  return { fit, words: `${pace}${where}.`, leaves: next ?? null }
}

/** A forecast for a chart: straight on at the pace of the trend, its fan as wide as the tests lie off it and growing (EA). */
export interface ForecastPoint {
  at: number
  value: number
  low: number
  high: number
}

/**
 * The trend carried on, for some days.
 * @param used the tests that the trend rests on
 * @returns nothing without a trend
 */
export function forecastOf(
  used: readonly TestPoint[],
  fit: TrendFit | null,
  now: number,
  days: number,
): ForecastPoint[] {
  if (!fit) return []
  const off = used
    .map(({ at, value }) => Math.abs(value - (fit.valueNow + (fit.slopePerDay * (at - now)) / MS_PER_DAY)))
    .sort((a, b) => a - b)
  const usual = 2 * (off[Math.floor(off.length / 2)] ?? 0)
  return [0, days / 2, days].map((ahead) => {
    const value = Math.max(0, fit.valueNow + fit.slopePerDay * ahead)
    const wide = usual * (1 + ahead / TREND_DAYS)
    return { at: now + ahead * MS_PER_DAY, value, low: Math.max(0, value - wide), high: value + wide }
  })
}
