import type { Setting } from '../acclimation/simulate.ts'
import { parameterById } from '../catalogue/parameter.ts'
import type { Tank } from '../household/tanks.ts'
import type { Content, ContentOf } from '../journal/entry.ts'
import type { Journal } from '../journal/journal.ts'
import { readingBy } from '../readings/by-kit.ts'
import { lastValue } from '../readings/evidence.ts'
import { iso } from '../time/zone.ts'

/** What brings a tank to a bag's salinity. */
export interface MatchingSwap {
  /** L of fresh water for as much of the tank's; 0 where the tank has to be raised. */
  litres: number
  withWhat: 'fresh' | 'salt'
  /** psu from the tank to the bag, signed. */
  apart: number
}

/** Nearer than an instrument tells, psu. */
const SAME_PSU = 0.05

/** Litres to swap so that a tank takes a bag's salinity, and with what; null where nothing has to be done. */
export function matchingSwap(
  netL: number | null,
  from: Pick<Setting['tank'], 'salinityPsu'>,
  toPsu: number,
): MatchingSwap | null {
  const apart = toPsu - from.salinityPsu
  if (netL === null || Math.abs(apart) < SAME_PSU) return null
  return apart < 0
    ? { litres: (netL * -apart) / from.salinityPsu, withWhat: 'fresh', apart }
    : // Upwards by water of brine strength there is no one answer: by dry salt, in steps.
      { litres: 0, withWhat: 'salt', apart }
}

/** A swap as it is logged: fresh water for the tank's. */
export const swapContent = (tankId: string, litres: number, now: number): ContentOf<'water-change'> => ({
  kind: 'water-change',
  happened: iso(now),
  tankId,
  litres,
  replacement: { salinityPsu: 0 },
})

/**
 * Water of another salinity that came into a tank since its salinity was last read: nobody knows what it stands at, and the
 * same swap again would go too far. Null where there was none.
 */
export function swappedUnread(journal: Journal, tankId: string): { litres: number; at: number } | null {
  const read = lastValue(journal, tankId, 'salinity')?.at ?? -Infinity
  const swaps = journal
    .about(`water:${tankId}`)
    .flatMap(({ content, at, struck }) =>
      !struck && at > read && content.kind === 'water-change' && content.replacement?.salinityPsu !== undefined
        ? [{ litres: content.litres, at }]
        : [],
    )
  return swaps.length === 0
    ? null
    : { litres: swaps.reduce((sum, { litres }) => sum + litres, 0), at: swaps.at(-1)!.at }
}

/** That a matched tank was measured at the bag's salinity, as the reading it is; nothing in fresh water. */
export const matchedReading = (
  journal: Journal,
  tank: Pick<Tank, 'id' | 'water'>,
  psu: number,
  now: number,
): Content[] =>
  tank.water === 'freshwater'
    ? []
    : [readingBy(journal, tank.id, parameterById('salinity')!, Number(psu.toFixed(1)), iso(now))]
