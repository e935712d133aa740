import { median } from '../../numbers/median.ts'
import type { ZoneClock } from '../../time/zone.ts'
import { isUntreated, type SeriesState } from './series.ts'

/** A day on which an arm of a plan was scored. */
interface ArmDay {
  day: number
  /** Median of its parts. */
  value: number
}

/**
 * The median stage of an arm by day of the course: of the parts treated, or of those left untreated until they were treated themselves.
 * @param startDay local day of the course's start
 */
export function armDays(
  { parts }: SeriesState,
  arm: 'treated' | 'control',
  clock: ZoneClock,
  startDay: number,
): ArmDay[] {
  const byDay = new Map<number, Map<string, number>>()
  for (const one of parts) {
    const { part, scores } = one
    if (isUntreated(one) !== (arm === 'control')) continue
    for (const { at, value } of scores) {
      if (part.releasedAt !== null && at >= part.releasedAt) continue
      const day = clock.dayOf(at) - startDay
      byDay.set(day, (byDay.get(day) ?? new Map<string, number>()).set(part.id, value))
    }
  }
  return [...byDay].sort(([a], [b]) => a - b).map(([day, values]) => ({ day, value: median([...values.values()]) }))
}
