import { netVolumeAt } from '../household/tanks.ts'
import type { ContentOf } from '../journal/entry.ts'
import type { Journal } from '../journal/journal.ts'
import { MS_PER_DAY } from '../time/zone.ts'

/** Top-offs of so many days tell how much a tank loses in a day (EA: a week of them at least, two at most, as the weather changes). */
const LEARNT_FROM_DAYS = { least: 7, most: 14 } as const
const LEAST_TOP_OFFS = 3

/**
 * What a value that was tested with the level down comes to at the full line: salt and medicine stay when water evaporates, so the test reads high by
 * full ÷ present litres.
 * @param downL litres that were missing
 * @example
 * atFullLine(13.6, 3, 60) // 12.92
 */
export const atFullLine = (value: number, downL: number, netL: number): number =>
  downL > 0 && downL < netL ? (value * (netL - downL)) / netL : value

/** The litres that were missing when a reading was taken, as a share of the value that is too high; 1 where the level was full. */
export function fullLineShare(
  journal: Journal,
  { tankId, downL = 0 }: Pick<ContentOf<'reading'>, 'tankId' | 'downL'>,
  at: number,
): number {
  if (downL <= 0) return 1
  const netL = netVolumeAt(journal, tankId, at)
  return netL === null ? 1 : atFullLine(1, downL, netL)
}

/** What a tank loses to the air. */
export interface Evaporation {
  litresADay: number
  /** Days and top-offs that it is learnt from. */
  days: number
  topOffs: number
}

/**
 * What a tank loses to the air in a day, learnt from its top-offs with fresh water of the last two weeks.
 * @param now ms
 * @returns null before a week of them is on record
 */
export function evaporationOf(journal: Journal, tankId: string, now: number): Evaporation | null {
  const filled = journal
    .ofKind('top-off')
    .filter(
      ({ at, content }) =>
        content.tankId === tankId &&
        at <= now &&
        at >= now - LEARNT_FROM_DAYS.most * MS_PER_DAY &&
        (content.salinityPsu ?? 0) === 0,
    )
  const first = filled[0]
  const last = filled.at(-1)
  if (!first || !last || filled.length < LEAST_TOP_OFFS) return null
  const days = (last.at - first.at) / MS_PER_DAY
  if (days < LEARNT_FROM_DAYS.least) return null
  // What the first one filled up evaporated before it.
  const litres = filled
    .slice(1)
    .reduce((sum, { content }) => sum + Math.min(content.litres, content.downL ?? Infinity), 0)
  return { litresADay: litres / days, days, topOffs: filled.length }
}

/**
 * When salinity would cross a limit if nobody fills up, ms; null where nothing evaporates or it is over it already.
 * @param psu at the full line
 * @param from ms: the level is full then
 */
export function crossesAt(
  { litresADay }: Pick<Evaporation, 'litresADay'>,
  netL: number,
  psu: number,
  limitPsu: number,
  from: number,
): number | null {
  if (litresADay <= 0 || psu <= 0 || psu >= limitPsu) return null
  return from + ((netL * (1 - psu / limitPsu)) / litresADay) * MS_PER_DAY
}

/** The last top-off of a tank up to an instant, ms; null where there is none. */
export const lastTopOffAt = (journal: Journal, tankId: string, now: number): number | null =>
  journal.ofKind('top-off').findLast(({ at, content }) => content.tankId === tankId && at <= now)?.at ?? null
