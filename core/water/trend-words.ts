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
/** 95 % half-widths to one standard deviation. */
const TO_SD = 1 / 1.96
/** From so many tests on they show themselves how far a kit scatters (EA). */
const LEAST_FOR_SCATTER = 5
/** A kit never scatters less than this share of what it may be off, and no smaller part of that is a change (EA). */
const LEAST_SCATTER = 0.25
const LEAST_CHANGE = 0.5
/** A trend is carried on for at most so many days after its last test, or as long as it was watched where that is less, but for three days always (EA). */
const CARRIES_DAYS = { most: 14, least: 3 }
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

/** What one test may be off, as its kit says. */
const errorOf = ({ halfWidth, value }: TestPoint, parameter: Parameter): number =>
  halfWidth > 0 ? halfWidth : typicalUncertainty(parameter, value)

/**
 * Whether a trend is more than the error of its series: many tests tell a smaller change than two can. Of three tests, spread evenly, it is the
 * handbook's 1.4 of a kit's errors.
 * @param used the tests that it rests on, not empty
 */
export function isRealTrend(used: readonly TestPoint[], fit: TrendFit, parameter: Parameter): boolean {
  const last = used.at(-1)!
  const daysOf = ({ at }: TestPoint) => (at - used[0]!.at) / MS_PER_DAY
  const days = daysOf(last)
  const error = errorOf(last, parameter)
  const mean = used.reduce((sum, point) => sum + daysOf(point), 0) / used.length
  const spread = Math.sqrt(used.reduce((sum, point) => sum + (daysOf(point) - mean) ** 2, 0))
  const scatter = Math.sqrt(
    used.reduce((sum, point) => sum + (point.value - fit.valueNow - fit.slopePerDay * (daysOf(point) - days)) ** 2, 0) /
      Math.max(1, used.length - 2),
  )
  const kitSd = error * TO_SD
  const sd = used.length >= LEAST_FOR_SCATTER ? Math.max(LEAST_SCATTER * kitSd, scatter) : kitSd
  const change = Math.abs(fit.slopePerDay) * days
  return change > Math.max((sd / TO_SD) * (days / spread), LEAST_CHANGE * error)
}

/** Whether the last test is young enough for the trend to be carried on from it. @param used not empty */
export function isTrendYoung(used: readonly TestPoint[], now: number): boolean {
  const last = used.at(-1)!
  const watched = (last.at - used[0]!.at) / MS_PER_DAY
  const { least, most } = CARRIES_DAYS
  return (now - last.at) / MS_PER_DAY <= Math.min(most, Math.max(least, watched))
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
  const error = errorOf(last, parameter)
  if (!isTrendYoung(since, now))
    return {
      fit: null,
      words: `${say(last.value)} ${dayBeside(clock.dayOf(last.at), today)}: too long ago to carry its trend on. Test again.`,
      leaves: null,
    }
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
