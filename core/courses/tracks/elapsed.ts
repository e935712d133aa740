import type { Track } from '../../catalogue/courses/definitions.ts'
import type { ZoneClock } from '../../time/zone.ts'
import type { CourseRecord } from '../record/record.ts'

/** Days that pass, whatever happens: whole local days from the start. */
export interface ElapsedState {
  track: Extract<Track, { by: 'elapsed' }>
  days: number
  needsDays: number
  fullAt: number
}

export function countElapsed({ course, now }: CourseRecord, clock: ZoneClock): ElapsedState | null {
  const track = course.definition.tracks.find(
    (one): one is ElapsedState['track'] => one.kind === 'hold' && one.by === 'elapsed',
  )
  if (!track) return null
  const startDay = clock.dayOf(course.startedAt)
  return {
    track,
    days: Math.min(track.days, Math.max(0, clock.dayOf(now) - startDay)),
    needsDays: track.days,
    fullAt: clock.instantAt(startDay + track.days),
  }
}
