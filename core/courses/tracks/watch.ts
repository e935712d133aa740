import { animalById, tankOfAnimal } from '../../household/animals.ts'
import type { Settings } from '../../household/settings.ts'
import type { Journal } from '../../journal/journal.ts'
import { MS_PER_DAY } from '../../time/zone.ts'
import { OBSERVATION_DAYS, type Course } from '../course.ts'
import type { HoldCount } from './hold.ts'
import type { RoundsState } from './rounds.ts'
import { expectedRaisedAt, raisedAt, type SalinityState } from './salinity.ts'
import type { CourseRecord } from '../record/record.ts'
import type { Watched } from '../record/watched.ts'

/** Each local day with an unexplained death, from the course's start on, adds so many to the observation: quarantine.md 7.4. */
const DAYS_PER_DEATH = 14

/** What set an observation to zero. */
interface WatchRestart {
  at: number
  why: 'sign-seen' | 'new-fish' | 'cross-contact'
}

/** The drug-free time after a course: where, since when, and how long it has to be. */
export interface Observation {
  tankId: string
  /** Begins again with each sign, newcomer and contact. */
  from: number
  leastDays: number
  preferredDays: number
  /** The last sign that set it to zero, ms; null when there was none. */
  kickedBackAt: number | null
  /** What set it to zero, in time order. */
  restarts: readonly WatchRestart[]
}

/** How long a course is watched at least, and better. */
export function watchDays({ definition }: Pick<Course, 'definition'>): {
  days: number
  preferredDays: number
  afterSignDays?: number
} {
  const track = definition.tracks.find((one) => one.kind === 'hold' && one.by === 'no-signs')
  return track?.kind === 'hold' && track.by === 'no-signs'
    ? track
    : { days: OBSERVATION_DAYS.least, preferredDays: OBSERVATION_DAYS.preferred }
}

/** The counts whose end begins the watch. */
interface Counted {
  clock: HoldCount | null
  rounds: RoundsState | null
  salinity: SalinityState | null
}

/** When the drug-free time began: the last fish's move after the full count, carbon in after thirty days, or the last transfer. Null before. */
function beganAt(
  journal: Journal,
  facts: CourseRecord,
  { clock, rounds, salinity }: Counted,
  living: readonly string[],
): { at: number; tankId: string } | null {
  const { course, now } = facts
  if (course.definition.ends === 'watch') return { at: course.startedAt, tankId: course.tankId }
  if (salinity) {
    const at = raisedAt(facts, salinity)
    return at === null ? null : { at, tankId: course.tankId }
  }
  if (rounds) return rounds.doneAt === null ? null : { at: rounds.doneAt, tankId: rounds.tankId }
  if (!clock || clock.state !== 'complete' || clock.completesAt === null) return null
  if (course.definition.ends === 'clear') {
    const carbon = journal
      .ofKind('equipment')
      .find(
        ({ content, at }) =>
          content.tankId === course.tankId &&
          (content.item === 'carbon' || content.item === 'resin') &&
          content.running &&
          at >= clock.completesAt! &&
          at <= now,
      )
    return carbon ? { at: carbon.at, tankId: course.tankId } : null
  }
  const moves = living
    .map((id) => animalById(journal, id)!)
    .map((animal) => ({ tankId: tankOfAnimal(animal), from: animal.stays.at(-1)!.from }))
  const away = moves.filter(
    ({ tankId, from }) => tankId !== null && tankId !== course.tankId && from >= clock.completesAt!,
  )
  if (living.length === 0 || away.length < living.length) return null
  return { at: Math.max(...away.map(({ from }) => from)), tankId: away[0]!.tankId! }
}

/** The observation after a course, or null while it is still treated; a plan has none. */
export function observationOf(
  journal: Journal,
  facts: CourseRecord,
  counted: Counted,
  seen: Watched,
  living: readonly string[],
  settings: Settings,
): Observation | null {
  const began = beganAt(journal, facts, counted, living)
  if (!began) return null
  const deathDays = new Set(seen.unexplainedDeaths.map(({ at }) => settings.clock.dayOf(at)))
  const extra = DAYS_PER_DEATH * deathDays.size
  const restarts = [
    ...seen.signs.map(({ at }): WatchRestart => ({ at, why: 'sign-seen' })),
    ...facts.restarts.flatMap(({ at, event }): WatchRestart[] =>
      event === 'carbon-left-in' ? [] : [{ at, why: event === 'new-fish-added' ? 'new-fish' : 'cross-contact' }],
    ),
  ]
    .filter(({ at }) => at > began.at)
    .sort((a, b) => a.at - b.at)
  const sign = seen.signs.findLast(({ at }) => at > began.at)
  const from = restarts.at(-1)?.at ?? began.at
  const { days, preferredDays, afterSignDays } = watchDays(facts.course)
  // Where a sign costs fewer days than the whole: those, or what was still missing, whichever is more.
  const passed = afterSignDays === undefined ? 0 : (from - began.at) / MS_PER_DAY
  return {
    tankId: began.tankId,
    from,
    leastDays: Math.max(passed > 0 ? afterSignDays! : 0, days - passed) + extra,
    preferredDays: Math.max(passed > 0 ? afterSignDays! : 0, preferredDays - passed) + extra,
    kickedBackAt: sign?.at ?? null,
    restarts,
  }
}

/** Whole days of an observation so far. */
export const observedDays = (observation: Observation, now: number): number =>
  Math.floor((now - observation.from) / MS_PER_DAY)

/** When the drug-free time began, or would begin if all goes on by the book; null where nobody can say. */
export const watchFromOf = ({
  observation,
  rounds,
  clock,
  salinity,
}: Counted & { observation: Observation | null }): number | null =>
  observation?.from ?? rounds?.fullAt ?? (salinity ? expectedRaisedAt(salinity) : null) ?? clock?.completesAt ?? null
