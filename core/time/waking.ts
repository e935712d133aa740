import type { ZoneClock } from './zone.ts'

/** The hours of the day in which somebody is up, minutes since midnight. */
export interface Waking {
  from: number
  until: number
}

/** Where the household does not say: seven to twenty-two. */
export const USUAL_WAKING: Waking = { from: 7 * 60, until: 22 * 60 }

/** Whether somebody is up at an instant. */
export const isAwake = (clock: ZoneClock, { from, until }: Waking, at: number): boolean => {
  const minute = clock.minuteOf(at)
  return minute >= from && minute <= until
}

/**
 * An instant laid into the waking hours of its window: where it falls into the night, the evening before, else the morning after, whichever the
 * window allows; itself where neither does.
 * @param at ms
 * @param notBefore ms
 * @param notAfter ms
 * @example
 * awakeAt(clock, USUAL_WAKING, threeInTheMorning, yesterdayNoon, tomorrowNoon) // 22:00 of the evening before
 */
export function awakeAt(clock: ZoneClock, waking: Waking, at: number, notBefore: number, notAfter: number): number {
  if (isAwake(clock, waking, at)) return at
  const day = clock.dayOf(at)
  const isMorning = clock.minuteOf(at) < waking.from
  const evening = clock.instantAt(isMorning ? day - 1 : day, waking.until)
  if (evening >= notBefore) return evening
  const morning = clock.instantAt(isMorning ? day : day + 1, waking.from)
  return morning <= notAfter ? morning : at
}

/** The waking instant nearest to another within a window; the nearest of all where none is in it. */
export function nearestAwake(
  clock: ZoneClock,
  waking: Waking,
  at: number,
  notBefore: number,
  notAfter: number,
): number {
  const wanted = Math.min(Math.max(at, notBefore), notAfter)
  if (isAwake(clock, waking, wanted)) return wanted
  const day = clock.dayOf(wanted)
  const edges = [day - 1, day, day + 1].flatMap((one) => [
    clock.instantAt(one, waking.from),
    clock.instantAt(one, waking.until),
  ])
  const within = edges.filter((edge) => edge >= notBefore && edge <= notAfter)
  return within.reduce((best, edge) => (Math.abs(edge - at) < Math.abs(best - at) ? edge : best), within[0] ?? wanted)
}
