import type { Definition, Track } from '../../catalogue/courses/definitions.ts'
import type { ContentOf } from '../../journal/entry.ts'
import type { ZoneClock } from '../../time/zone.ts'
import type { Course } from '../course.ts'
import type { CourseRecord } from '../record/record.ts'

export type FishlessTrack = Extract<Track, { by: 'no-fish' }>

/** What ended a count of days without fish. */
export interface FishlessRestart {
  at: number
  why: 'new-fish' | 'cross-contact' | 'new-wet-item'
  /** What touched the water, of a contact. */
  what?: ContentOf<'contact'>['what']
  /** The fish or the other animal that came in. */
  animalId?: string
}

/** Whole days without fish: quarantine.md 7.5. */
export interface FishlessState {
  track: FishlessTrack
  state: 'waiting' | 'running' | 'broken' | 'full'
  /** The local midnight that counts as day 0; null while fish are in. */
  begunAt: number | null
  /** Whole local days since. */
  days: number
  needsDays: number
  fullAt: number | null
  restarts: readonly FishlessRestart[]
}

/** The count of days without fish of a definition; undefined where it has none. */
export const fishlessTrackOf = ({ tracks }: Pick<Definition, 'tracks'>): FishlessTrack | undefined =>
  tracks.find((one): one is FishlessTrack => one.kind === 'hold' && one.by === 'no-fish')

/** Whole days that a track asks for: its own, or those that were chosen at the start. */
export const fishlessDays = ({ days }: FishlessTrack, { requiredDays }: Pick<Course, 'requiredDays'>): number =>
  days === 'option' ? requiredDays : days

/**
 * Days without fish in a course's tank: they begin at the first local midnight after the last fish left, and whatever may carry a
 * parasite in sets them back to the midnight after it. Once full they stay full: fish that come back do not undo them.
 */
export function countFishless(record: CourseRecord, clock: ZoneClock): FishlessState | null {
  const { course, fishIn, wetItems, now } = record
  const track = fishlessTrackOf(course.definition)
  if (!track) return null
  const needsDays = fishlessDays(track, course)
  const midnightAfter = (at: number): number => clock.instantAt(clock.dayOf(at) + 1)
  const firstLeft = Math.min(...fishIn.map(({ to }) => to ?? Infinity))
  const hadFish = fishIn.some(({ from }) => from <= course.startedAt)
  // A tank that held no fish by then counts from the course's own start.
  const points: (Omit<FishlessRestart, 'why'> & { why: FishlessRestart['why'] | null })[] = [
    ...(hadFish ? [] : [{ at: course.startedAt, why: null }]),
    ...fishIn.map(({ to }) => ({ at: to ?? Infinity, why: null })),
    ...wetItems,
  ].sort((a, b) => a.at - b.at)
  const comings = fishIn.map(({ from }) => from)
  const whoCame = (at: number): Pick<FishlessRestart, 'animalId'> => {
    const who = fishIn.find(({ from }) => from === at)?.animalId
    return who === undefined ? {} : { animalId: who }
  }
  const isIn = (at: number): boolean => fishIn.some(({ from, to }) => from <= at && (to === null || to > at))
  const fullAfter = (begun: number): number => clock.instantAt(clock.dayOf(begun) + needsDays)
  const restarts: FishlessRestart[] = []
  let fullAt: number | null = null
  let begun: number | null = null
  for (const { at, why, what, animalId } of points) {
    if (at > now || at === Infinity) continue
    if (why !== null && at < Math.min(firstLeft, course.startedAt)) continue
    if (begun !== null && fullAfter(begun) <= Math.min(at, ...comings.filter((from) => from >= begun!))) break
    if (isIn(at)) {
      begun = null
      continue
    }
    if (why !== null && begun !== null)
      restarts.push({ at, why, ...(what && { what }), ...(animalId !== undefined && { animalId }) })
    begun = midnightAfter(at)
  }
  if (begun !== null) {
    const cameBack = Math.min(...comings.filter((from) => from >= begun!), Infinity)
    const full = fullAfter(begun)
    if (full <= Math.min(now, cameBack)) fullAt = full
    else if (cameBack <= now) {
      restarts.push({ at: cameBack, why: 'new-fish', ...whoCame(cameBack) })
      if (isIn(now)) begun = null
    }
  }
  for (const from of comings)
    if (from > course.startedAt && from <= now && fullAt === null && !restarts.some((one) => one.at === from))
      restarts.push({ at: from, why: 'new-fish', ...whoCame(from) })
  restarts.sort((a, b) => a.at - b.at)
  const days = begun === null ? 0 : Math.max(0, clock.dayOf(now) - clock.dayOf(begun))
  const state = fullAt !== null ? 'full' : begun !== null ? 'running' : restarts.length > 0 ? 'broken' : 'waiting'
  return {
    track,
    state,
    begunAt: begun,
    days: Math.min(needsDays, days),
    needsDays,
    fullAt: fullAt ?? (begun === null ? null : fullAfter(begun)),
    restarts,
  }
}
