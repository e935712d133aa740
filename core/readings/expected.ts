import { netVolumeAt } from '../household/tanks.ts'
import type { Journal } from '../journal/journal.ts'
import { raisedBy } from './raises.ts'
import { lastValue, type ValueReading } from './latest.ts'

/** What a reading should be about, by the last one and what was logged since. */
export interface ExpectedReading {
  last: ValueReading
  low: number
  high: number
}

/**
 * Where a value should lie by the last reading, the doses that raise it and the water changes since. Of a change whose new
 * water is not described it is not known what it brought: then the range is wide.
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
  for (const { content, struck, at: when } of journal.about(`water:${tankId}`)) {
    if (struck || when < last.at || when >= at) continue
    const netL = netVolumeAt(journal, tankId, when)
    if (netL === null) continue
    if (content.kind === 'dose' && content.massMg !== undefined) {
      const raised = raisedBy(content.ingredient, parameter, content.massMg / netL)
      low += raised
      high += raised
    } else if (content.kind === 'water-change') {
      const share = Math.min(1, content.litres / netL)
      const brings =
        parameter === 'copper'
          ? (content.replacement?.copperMgPerL ?? 0)
          : parameter === 'salinity'
            ? content.replacement?.salinityPsu
            : parameter === 'temp'
              ? content.replacement?.temperatureC
              : undefined
      const mixed = (value: number, other: number) => value * (1 - share) + other * share
      // New water without a word on it holds something between nothing and as much as the tank.
      low = mixed(low, brings ?? 0)
      high = mixed(high, brings ?? high)
    }
  }
  return { last, low, high }
}

/** How far two readings may lie apart, as a multiple of how far both may be off together, before the test is repeated (EA). */
const APART = 1.5

/**
 * Whether a new value is so far from where it should lie that the test is worth repeating.
 * @param uncertainty 95 % half-width of the new value
 */
export function isFarFrom({ last, low, high }: ExpectedReading, value: number, uncertainty: number): boolean {
  const before = last.line.content.uncertainty ?? uncertainty
  const most = APART * Math.hypot(before, uncertainty)
  return value < low - most || value > high + most
}
