import { invalid, noSolution, ok, type Result } from '../result/result.ts'
import { iso, MS_PER_DAY } from '../time/zone.ts'
import type { Uptake, UptakeInput } from './evidence.schema.ts'

/**
 * How much of something a tank takes up in a day: each reading is carried forward through what was added and changed, as if
 * nothing were taken up; what the next reading is short of that was.
 */
export function estimateUptake({ readings, additions, waterChanges }: UptakeInput): Result<Uptake> {
  const timed = readings.map(({ at, value }) => ({ ms: Date.parse(at), value })).sort((a, b) => a.ms - b.ms)
  const twice = timed.findIndex(({ ms }, i) => ms === timed[i + 1]?.ms)
  if (twice >= 0) return invalid('/readings', `expected one reading an instant; came two at ${iso(timed[twice]!.ms)}`)
  if (timed.length < 2) return noSolution('/readings', 'expected at least two readings: uptake lies between them')
  // At one instant the water is changed first.
  const events = [
    ...waterChanges.map(({ at, fraction, replacement }) => ({
      ms: Date.parse(at),
      after: (level: number) => level * (1 - fraction) + replacement * fraction,
    })),
    ...additions.map(({ at, value }) => ({ ms: Date.parse(at), after: (level: number) => level + value })),
  ].sort((a, b) => a.ms - b.ms)
  let next = 0
  const intervals = timed.slice(1).map((second, i) => {
    const first = timed[i]!
    while (next < events.length && events[next]!.ms < first.ms) next++
    let level = first.value
    // An event at the instant of a reading follows it.
    for (; next < events.length && events[next]!.ms < second.ms; next++) level = events[next]!.after(level)
    const days = (second.ms - first.ms) / MS_PER_DAY
    return { from: iso(first.ms), to: iso(second.ms), perDay: (level - second.value) / days, days }
  })
  const days = intervals.reduce((sum, interval) => sum + interval.days, 0)
  const taken = intervals.reduce((sum, interval) => sum + interval.perDay * interval.days, 0)
  return ok({
    intervals: intervals.map(({ from, to, perDay }) => ({ from, to, perDay })),
    meanPerDay: taken / days,
  })
}
