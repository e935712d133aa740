import type { ContentOf } from '../journal/entry.ts'
import { wilson95 } from '../numbers/normal.ts'

/** What was counted at one spot. */
export type Spot = ContentOf<'tally'>['spots'][number]

/** A press at the eyepiece: a diatom, a dinoflagellate, another cell, the next field, the next spot. */
export type Press = 'd' | 'n' | 'o' | 'f' | 's'

/** Presses in their order, a letter each: a tally that is being counted, so that the last one can always be taken back. */
export type Presses = string

/**
 * The spots of a row of presses. A field counts when the next was begun after it, or when something was counted in it; a spot counts
 * when a field of it does.
 * @returns the spots, and how many fields of the present one are behind
 */
export function spotsOf(presses: Presses): { spots: Spot[]; fieldsDone: number } {
  const spots: Spot[] = []
  let fieldsDone = 0
  for (const part of presses.split('s')) {
    const of = (press: Press) => [...part].filter((one) => one === press).length
    fieldsDone = of('f')
    const isOpen = part !== '' && !part.endsWith('f')
    const fields = fieldsDone + (isOpen ? 1 : 0)
    if (fields > 0) spots.push({ diatoms: of('d'), dinos: of('n'), other: of('o'), fields })
  }
  return { spots, fieldsDone }
}

/** Counting may stop at a hundred cells, or after ten fields: outbreaks.md 4. */
export const ENOUGH = { cells: 100, fields: 10 } as const
/** Spots that differ by more than that are shown apart, as the pooled share would hide it: outbreaks.md 4. */
export const SPREAD_SHARE = 0.3
/** Diatoms have won when the whole interval lies above a half: outbreaks.md 4. */
export const HALF = 0.5
/** More cells than that nobody counts to tell a share from a half (EA). */
const MOST_TO_COUNT = 400

/** What a tally comes to. Shares are of diatoms among diatoms and dinoflagellates. */
export interface Counted {
  diatoms: number
  dinos: number
  other: number
  /** Null where nobody said how many fields were counted. */
  fields: number | null
  /** Null while nothing is counted. */
  share: number | null
  low: number
  high: number
  /** Cells a field; null without fields. */
  dinosPerField: number | null
  cellsPerField: number | null
  /** Least and greatest share of the spots, where they differ by more than 30 points; else null. */
  spread: { least: number; most: number } | null
}

const sum = (values: readonly number[]) => values.reduce((total, value) => total + value, 0)

/** Spots with fewer counted cells than that say nothing of a spread (EA). */
const SPOT_CELLS = 10

/**
 * Pools the spots: cells clump, so that three spots together say more than one (outbreaks.md 4).
 * @param spots each with what was counted; `fields` null for entries that did not say
 */
export function counted(spots: readonly (Omit<Spot, 'fields'> & { fields: number | null })[]): Counted {
  const diatoms = sum(spots.map((spot) => spot.diatoms))
  const dinos = sum(spots.map((spot) => spot.dinos))
  const other = sum(spots.map((spot) => spot.other))
  const fields = spots.some((spot) => spot.fields === null) ? null : sum(spots.map((spot) => spot.fields!))
  const total = diatoms + dinos
  const shares = spots
    .filter((spot) => spot.diatoms + spot.dinos >= SPOT_CELLS)
    .map((spot) => spot.diatoms / (spot.diatoms + spot.dinos))
  const least = Math.min(...shares)
  const most = Math.max(...shares)
  const perField = (cells: number) => (fields === null || fields === 0 ? null : cells / fields)
  return {
    diatoms,
    dinos,
    other,
    fields,
    share: total === 0 ? null : diatoms / total,
    ...wilson95(diatoms, total),
    dinosPerField: perField(dinos),
    cellsPerField: perField(total + other),
    spread: shares.length > 1 && most - least > SPREAD_SHARE ? { least, most } : null,
  }
}

/** How many more cells are wanted, and for what. */
export type More =
  | { cells: number; for: 'enough' | 'half' }
  /** Too close to a half for counting to tell. */
  | { cells: null }

/**
 * How many more cells to count: up to a hundred or ten fields, and on until the interval leaves a half behind, as long as that is
 * within what a keeper counts.
 * @returns null when it is enough
 */
export function moreToCount({ diatoms, dinos, share, fields }: Counted): More | null {
  const total = diatoms + dinos
  const toEnough = fields !== null && fields >= ENOUGH.fields ? 0 : Math.max(0, ENOUGH.cells - total)
  if (share === null) return toEnough === 0 ? null : { cells: toEnough, for: 'enough' }
  const leavesHalf = (cells: number) => {
    const { low, high } = wilson95(share * cells, cells)
    return low > HALF || high < HALF
  }
  let needed = total
  while (needed <= total + MOST_TO_COUNT && !leavesHalf(needed)) needed++
  const toHalf = needed - total
  if (toHalf > MOST_TO_COUNT) return toEnough > 0 ? { cells: toEnough, for: 'enough' } : { cells: null }
  const cells = Math.max(toEnough, toHalf)
  return cells === 0 ? null : { cells, for: toHalf > toEnough ? 'half' : 'enough' }
}
