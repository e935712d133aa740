import { levelAfter } from '../../concentration/events.ts'
import { trendFit } from '../../evidence/trend.ts'
import { iso, MS_PER_DAY } from '../../time/zone.ts'
import type { CourseRecord } from '../record/record.ts'

/** Readings older than this say little of how the level moves now (EA). */
const RELEVANT_DAYS = 7
const LEAST_READINGS = 3

/**
 * How fast a level moves by itself, by its readings of the last week: the robust line (`trend.fit`) through what is left of
 * each change between two readings once doses and water changes are taken off.
 * @returns mg/L a day, under 0 where it falls; null with fewer than three readings
 */
export function levelTrend({
  readings,
  events,
  volumeL,
  now,
}: Pick<CourseRecord, 'readings' | 'events' | 'volumeL' | 'now'>): { perDay: number } | null {
  const relevant = readings.filter(({ ms }) => now - ms <= RELEVANT_DAYS * MS_PER_DAY)
  if (volumeL === null || relevant.length < LEAST_READINGS) return null
  let drifted = relevant[0]!.mgPerL
  const drift = relevant.map(({ ms, mgPerL }, i) => {
    const before = relevant[i - 1]
    if (before) {
      const held = events
        .filter(({ at }) => at >= before.ms && at < ms)
        .reduce((level, { event }) => levelAfter(level, event, volumeL), before.mgPerL)
      drifted += mgPerL - held
    }
    return { at: iso(ms), value: drifted }
  })
  const fit = trendFit({ readings: drift, now: iso(now) })
  return fit.ok ? { perDay: fit.value.slopePerDay } : null
}
