import { netVolumeAt, tankAt } from '../../household/tanks.ts'
import type { Journal } from '../../journal/journal.ts'
import { fullLineShare } from '../../water/level-line.ts'
import { levelsOf, type Evidence } from '../../readings/evidence.ts'
import { MS_PER_DAY } from '../../time/zone.ts'

/** The salinity of a water, as far as it is known. */
export interface SalinityNow {
  psu: number
  /** The instant that it rests on, ms; null where it is assumed. */
  at: number | null
  /** Nobody has tested it: sea water is taken as such, fresh water as fresh. */
  isAssumed: boolean
}

/** Sea water that nobody tested, psu (EA). */
const USUAL_SEA_PSU = 35
/** A tank is taken to lose at most this share of its water to the air in a day (EA: an open, warm tank loses 1 to 3 %). */
const MOST_EVAPORATION_A_DAY = 0.03
/** More than so many days' evaporation is in no tank that still runs (EA). */
const MOST_EVAPORATION_DAYS = 7

/** One figure for what a reading shows: its value, the middle of a range, the end that is known. */
const figureOf = ({ low, high }: Evidence): number =>
  low === -Infinity ? high : high === Infinity ? low : (low + high) / 2

/**
 * Litres of a top-off that go beyond what can have evaporated since the last one, or the last reading: they dilute the water.
 * @param days since the level was last full
 * @param downL litres that were missing to the line, where somebody measured it: up to the mark no level changes
 */
export const dilutingLitres = (litres: number, netL: number, days: number, downL?: number): number =>
  Math.max(0, litres - (downL ?? netL * MOST_EVAPORATION_A_DAY * Math.min(MOST_EVAPORATION_DAYS, Math.max(1, days))))

/** Psu after a change of a share of the water for water of another salinity. */
export const psuAfterChange = (psu: number, litres: number, netL: number, newPsu: number): number =>
  psu + Math.min(1, litres / netL) * (newPsu - psu)

/** Psu after a top-off: salt adds up, and what is more than evaporated dilutes. */
export const psuAfterTopOff = (
  psu: number,
  litres: number,
  netL: number,
  topOffPsu: number,
  days: number,
  downL?: number,
): number => {
  const more = dilutingLitres(litres, netL, days, downL)
  return (psu * netL + topOffPsu * litres) / (netL + more)
}

/**
 * The salinity of a tank at an instant: its last trusted reading, carried on through the changes and top-offs since whose salinity is on
 * record. A change whose new water nobody described is taken to match the tank.
 * @param except an entry that does not count: the one being corrected
 * @returns null where the journal holds no such tank
 */
export function salinityOf(journal: Journal, tankId: string, at: number, except?: string): SalinityNow | null {
  const tank = tankAt(journal, tankId, at)
  if (!tank) return null
  const reading = levelsOf(journal, tankId, 'salinity').findLast((one) => one.at <= at && one.line.id !== except)
  const readPsu = reading && Math.max(0, figureOf(reading)) * fullLineShare(journal, reading.line.content, reading.at)
  let psu = readPsu ?? (tank.water === 'marine' ? USUAL_SEA_PSU : 0)
  let restsOn = reading?.at ?? null
  let isAssumed = reading === undefined
  let fullAt = reading?.at ?? null
  for (const { content, struck, id, at: when } of journal.about(`water:${tankId}`)) {
    if (struck || id === except || when > at || (reading !== undefined && when < reading.at)) continue
    const netL = netVolumeAt(journal, tankId, when)
    if (netL === null) continue
    if (content.kind === 'water-change' && content.replacement?.salinityPsu !== undefined) {
      psu = psuAfterChange(psu, content.litres, netL, content.replacement.salinityPsu)
      restsOn = when
      if (content.litres >= netL) isAssumed = false
    } else if (content.kind === 'top-off') {
      const days = fullAt === null ? MOST_EVAPORATION_DAYS : (when - fullAt) / MS_PER_DAY
      psu = psuAfterTopOff(psu, content.litres, netL, content.salinityPsu ?? 0, days, content.downL)
      fullAt = when
    }
  }
  return { psu, at: restsOn, isAssumed }
}

/** Days since a tank was last topped off or its salinity last read, up to an instant; as many as are counted where neither is on record. */
export function daysSinceFull(journal: Journal, tankId: string, at: number, except?: string): number {
  const read = levelsOf(journal, tankId, 'salinity').findLast((one) => one.at <= at)?.at ?? -Infinity
  const filled = journal
    .ofKind('top-off')
    .findLast(({ content, at: when, id }) => content.tankId === tankId && when <= at && id !== except)?.at
  const last = Math.max(read, filled ?? -Infinity)
  return Number.isFinite(last) ? (at - last) / MS_PER_DAY : MOST_EVAPORATION_DAYS
}

/**
 * The lowest and highest salinity of a tank in the hours before an instant, and now.
 * @example
 * salinitySpan(journal, 'quar', now, 24).low // what a rise is measured from
 */
export function salinitySpan(
  journal: Journal,
  tankId: string,
  at: number,
  hours: number,
  except?: string,
): { low: number; high: number; highAt: number } | null {
  const from = at - hours * 3_600_000
  const moments = new Set<number>([from, at])
  for (const one of levelsOf(journal, tankId, 'salinity')) if (one.at > from && one.at <= at) moments.add(one.at)
  for (const { content, struck, at: when } of journal.about(`water:${tankId}`))
    if (!struck && when > from && when <= at && (content.kind === 'water-change' || content.kind === 'top-off'))
      for (const moment of [when - 1, when]) moments.add(moment)
  let span: { low: number; high: number; highAt: number } | null = null
  for (const moment of [...moments].sort((a, b) => a - b)) {
    const now = salinityOf(journal, tankId, moment, except)
    if (!now) return null
    if (!span) span = { low: now.psu, high: now.psu, highAt: moment }
    span.low = Math.min(span.low, now.psu)
    if (now.psu >= span.high) {
      span.high = now.psu
      span.highAt = moment
    }
  }
  return span
}
