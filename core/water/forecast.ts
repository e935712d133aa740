import type { Parameter } from '../catalogue/parameter.ts'
import type { Journal } from '../journal/journal.ts'
import { MS_PER_DAY } from '../time/zone.ts'
import { dosedSince, testPoints, testsInTrend, TREND_DAYS, trendOf } from './points.ts'
import { FORECAST_DAYS, isRealTrend, isTrendYoung } from './trend-words.ts'

/**
 * When a parameter reaches a target at the pace of its last weeks.
 * @param target in the parameter's unit
 * @param now ms
 * @returns ms; null where it is steady, moves away from it, takes longer than a forecast is believed, or was not tested lately
 * @example
 * reachedAt(journal, 'hall', nitrate, 5, Date.now())
 */
export function reachedAt(
  journal: Journal,
  tankId: string,
  parameter: Parameter,
  target: number,
  now: number,
): number | null {
  const points = testPoints(journal, tankId, parameter.id, now - TREND_DAYS * MS_PER_DAY, now)
  const used = testsInTrend(points, now, dosedSince(journal, tankId, parameter.id, now))
  const fit = trendOf(used, now, [target])
  const at = fit?.reach[0]?.at
  if (!fit || !at || !isTrendYoung(used, now) || !isRealTrend(used, fit, parameter)) return null
  const reached = Date.parse(at)
  return reached <= now + FORECAST_DAYS * MS_PER_DAY ? reached : null
}
