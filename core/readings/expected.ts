import type { Journal } from '../journal/journal.ts'
import { MS_PER_DAY } from '../time/zone.ts'
import { balanceEvents, type BalanceEvent } from '../water/balance.ts'
import { lastValue, type ValueReading } from './evidence.ts'

/** What a reading should be about, by the last one and what was logged since. */
export interface ExpectedReading {
  last: ValueReading
  low: number
  high: number
  /** The doses and changes since, that it was reckoned through. */
  since: readonly BalanceEvent[]
  /** Reckoned through doses and changes of known water within days: the two sides meet, and a gap says something. */
  isPredicted: boolean
}

/** Days that a prediction holds: after that, what the tank took up blurs it (EA). */
const PREDICTED_DAYS = 3

/**
 * Where a value should lie by the last reading, the doses that raise it and the water changes since. Of a change whose new
 * water is not described it is not known what it brought: then the range is wide. After a change of known water it is
 * (1 − f)·C + f·Cnew, further-schools.md 5.
 * @returns null where nothing was read before
 */
export function expectedReading(
  journal: Journal,
  tankId: string,
  parameter: string,
  at: number,
): ExpectedReading | null {
  const last = lastValue(journal, tankId, parameter, at)
  if (!last) return null
  let [low, high] = [last.value, last.value]
  const since = balanceEvents(journal, tankId, parameter, last.at, at - 1)
  for (const { add, fraction, replacement } of since) {
    const mixed = (value: number, other: number) => value * (1 - fraction) + other * fraction
    // New water without a word on it holds something between nothing and as much as the tank.
    low = mixed(low, replacement ?? 0) + add
    high = mixed(high, replacement ?? high) + add
  }
  const isKnown = since.every(({ fraction, replacement }) => fraction === 0 || replacement !== null)
  return {
    last,
    low,
    high,
    since,
    isPredicted: since.length > 0 && isKnown && at - last.at <= PREDICTED_DAYS * MS_PER_DAY,
  }
}

/** How far two readings may lie apart, as a multiple of how far both may be off together, before the test is repeated (EA). */
const APART = 1.5
/** The same where it was predicted: two standard deviations, further-schools.md 5. */
const APART_PREDICTED = 2 / 1.96

/**
 * Whether a new value is so far from where it should lie that the test is worth repeating.
 * @param uncertainty 95 % half-width of the new value
 */
export function isFarFrom(
  { last, low, high, isPredicted }: ExpectedReading,
  value: number,
  uncertainty: number,
): boolean {
  const before = last.line.content.uncertainty ?? uncertainty
  const most = (isPredicted ? APART_PREDICTED : APART) * Math.hypot(before, uncertainty)
  return value < low - most || value > high + most
}
