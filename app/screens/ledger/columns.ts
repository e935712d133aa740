import { expectedOf } from '../../../core/household/expected.ts'
import { residentsOf } from '../../../core/household/animals.ts'
import { tanksOf, type Tank } from '../../../core/household/tanks.ts'
import type { Journal } from '../../../core/journal/journal.ts'
import { threadsOf } from '../../../core/ledger/threads.ts'

/** A tank's column in the ledger. */
export interface Column {
  tank: Tank
  /** Folded to a narrow strip: nobody lives there and nobody asked for it. */
  folded: boolean
  left: number
  width: number
  /** Where words begin, right of the threads. */
  gutter: number
}

export const RULER = 80
export const PHONE_RULER = 68
const FOLDED = 46
const LEAST = 240
export const LANE_STEP = 8
export const FIRST_LANE = 14
const GUTTER_AFTER = 12

/** What a tank waits for that is due by an instant. */
export const awaitedBy = (journal: Journal, tankId: string, by: number) =>
  expectedIn(journal, tankId).filter(({ dueAt }) => dueAt <= by)

/** Whether a tank has nobody in it. */
export const isIdle = (journal: Journal, tank: Tank): boolean => residentsOf(journal, tank.id).length === 0

/**
 * The columns from left to right: tanks in use, then idle ones folded.
 * @param room   px there are for columns
 * @param opened idle tanks the keeper has unfolded
 * @param endOfToday a tank whose box is due by then is not idle
 * @param waiting tanks in which something is due: they are not folded either
 */
export function columnsOf(
  journal: Journal,
  room: number,
  opened: ReadonlySet<string>,
  endOfToday = -Infinity,
  waiting: ReadonlySet<string> = new Set(),
): Column[] {
  const { lanes } = threadsOf(journal)
  const tanks = tanksOf(journal)
  const busy = tanks.filter((tank) => !isIdle(journal, tank))
  const idle = tanks.filter((tank) => isIdle(journal, tank))
  // A household whose every tank is idle is just starting: nothing is folded.
  const folds = (tank: Tank) =>
    busy.length > 0 &&
    idle.includes(tank) &&
    !opened.has(tank.id) &&
    !waiting.has(tank.id) &&
    awaitedBy(journal, tank.id, endOfToday).length === 0
  const ordered = [...busy, ...idle]
  const foldedCount = ordered.filter(folds).length
  const wide = Math.max(LEAST, Math.floor((room - foldedCount * FOLDED) / Math.max(1, ordered.length - foldedCount)))
  let left = 0
  return ordered.map((tank) => {
    const folded = folds(tank)
    const width = folded ? FOLDED : wide
    const column = {
      tank,
      folded,
      left,
      width,
      gutter: FIRST_LANE + Math.max(1, lanes.get(tank.id) ?? 0) * LANE_STEP + GUTTER_AFTER - LANE_STEP,
    }
    left += width
    return column
  })
}

/** The one column of the phone. */
export function phoneColumn(journal: Journal, tank: Tank, width: number): Column {
  const lanes = threadsOf(journal).lanes.get(tank.id) ?? 0
  return {
    tank,
    folded: false,
    left: 0,
    width,
    gutter: FIRST_LANE + Math.max(1, lanes) * LANE_STEP + GUTTER_AFTER - LANE_STEP,
  }
}

export const laneX = (column: Column, lane: number): number =>
  column.left + (column.folded ? column.width / 2 : FIRST_LANE + lane * LANE_STEP)

/** Expected arrivals of a tank. */
export const expectedIn = (journal: Journal, tankId: string) =>
  expectedOf(journal).filter((expected) => expected.tankId === tankId)
