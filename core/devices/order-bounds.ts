import { MS_PER_DAY } from '../time/zone.ts'
import type { PumpOrder } from './messages.ts'

/** An order starts within a year, and lasts no longer than one, days. */
const YEAR_DAYS = 366
/** A head of a home's pump gives no more in an hour, mL (EA). */
const MOST_ML_PER_HOUR = 5000

/**
 * What of an order a pump does not take: what would run for ever, or empty any bottle in an hour.
 * @param now ms, the device's clock
 * @returns in words, with what would be right; null where nothing is wrong
 */
export function orderFault({ startsAt, days, mlByHour }: PumpOrder, now: number): string | null {
  const offDays = (Date.parse(startsAt) - now) / MS_PER_DAY
  if (!(Math.abs(offDays) <= YEAR_DAYS))
    return `startsAt: expected a time within a year of ${new Date(now).toISOString()}`
  if (days !== null && !(days <= YEAR_DAYS)) return `days: expected at most ${YEAR_DAYS}, or null until it is stopped`
  const over = mlByHour.findIndex((ml) => !(ml <= MOST_ML_PER_HOUR))
  return over < 0 ? null : `mlByHour/${over}: expected at most ${MOST_ML_PER_HOUR} mL in an hour`
}
