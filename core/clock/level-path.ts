import type { WaterEvent } from '../concentration/concentration.schema.ts'
import { inTimeOrder, levelAfter } from '../concentration/events.ts'

/** A straight piece of the path of a level: from one instant and level to another. */
export interface Piece {
  from: number
  to: number
  a: number
  b: number
}

/** A reading of a level, its instant in ms. */
export interface LevelReading {
  ms: number
  mgPerL: number
  sdMgPerL?: number | undefined
}

/**
 * The path of a level through its readings: between two of them it starts at the first, holds, jumps with each event (those
 * of one instant as one jump), and what is left over at the second reading is spread evenly over the time between.
 * @param readings in time order, no two at one instant
 */
export function levelPath(readings: readonly LevelReading[], events: readonly WaterEvent[], volumeL: number): Piece[] {
  const timed = inTimeOrder(events)
  const pieces: Piece[] = []
  let next = 0
  for (let i = 0; i + 1 < readings.length; i++) {
    const [first, second] = [readings[i]!, readings[i + 1]!]
    while (next < timed.length && timed[next]!.ms < first.ms) next++
    // Held levels from each instant on, before what is left over is spread.
    const held: { ms: number; level: number }[] = [{ ms: first.ms, level: first.mgPerL }]
    // An event at the instant of a reading follows it; one at the second reading's belongs to the next interval.
    for (; next < timed.length && timed[next]!.ms < second.ms; next++) {
      const event = timed[next]!
      const last = held.at(-1)!
      const level = levelAfter(last.level, event, volumeL)
      if (last.ms === event.ms) last.level = level
      else held.push({ ms: event.ms, level })
    }
    const span = second.ms - first.ms
    const left = second.mgPerL - held.at(-1)!.level
    const spread = (ms: number) => (left * (ms - first.ms)) / span
    for (const [j, { ms, level }] of held.entries()) {
      const to = held[j + 1]?.ms ?? second.ms
      pieces.push({ from: ms, to, a: level + spread(ms), b: to === second.ms ? second.mgPerL : level + spread(to) })
    }
  }
  return pieces
}

/** A stretch of time in which the level holds or does not. */
export interface Stretch {
  from: number
  to: number
  below: boolean
  lowest: number
  highest: number
}

/** Levels this near a limit are at it: sums of doses and changes come out a hair off the round number that is meant. */
export const LEVEL_SLACK = 1e-9

/**
 * The path cut where it passes a limit, from the first reading to the last, neighbours of one kind joined. A stretch that
 * only touches the limit in an instant is none.
 */
export function stretches(readings: readonly LevelReading[], pieces: readonly Piece[], limit: number): Stretch[] {
  const floor = limit - LEVEL_SLACK
  const cut: Stretch[] = []
  const add = (from: number, to: number, a: number, b: number, below: boolean) => {
    const [low, high] = a < b ? [a, b] : [b, a]
    const last = cut.at(-1)
    if (last?.below === below) {
      last.to = to
      last.lowest = Math.min(last.lowest, low)
      last.highest = Math.max(last.highest, high)
    } else cut.push({ from, to, below, lowest: low, highest: high })
  }
  for (const { from, to, a, b } of pieces) {
    const [aBelow, bBelow] = [a < floor, b < floor]
    if (aBelow === bBelow) add(from, to, a, b, aBelow)
    else {
      const crossing = from + ((limit - a) / (b - a)) * (to - from)
      const at = Math.min(to, Math.max(from, crossing))
      if (at > from) add(from, at, a, limit, aBelow)
      if (at < to) add(at, to, limit, b, bBelow)
    }
  }
  const last = readings.at(-1)
  if (last) {
    // A level that only comes to the limit with the last reading: a run of no length that counts, for it may go on.
    const below = last.mgPerL < floor
    if (cut.at(-1)?.below !== below) add(last.ms, last.ms, last.mgPerL, last.mgPerL, below)
  }
  return cut
}
