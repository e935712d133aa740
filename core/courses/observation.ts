import { animalById, tankOfAnimal } from '../household/animals.ts'
import type { Settings } from '../household/settings.ts'
import type { Journal } from '../journal/journal.ts'
import { MS_PER_DAY } from '../time/zone.ts'
import { OBSERVATION_DAYS } from './course.ts'
import type { CourseClock } from './course-clock.ts'
import type { CopperFacts } from './copper-facts.ts'
import type { Watched } from './copper-signs.ts'

/** Each local day with an unexplained death, from the course's start on, adds so many to the observation: quarantine.md 7.4. */
const DAYS_PER_DEATH = 14

/** The drug-free time after a course: where, since when, and how long it has to be. */
export interface Observation {
  tankId: string
  /** Begins anew with each sign seen. */
  from: number
  leastDays: number
  preferredDays: number
  /** The sign that began it anew, ms; null when there was none. */
  kickedBackAt: number | null
}

/** When the drug-free time began: the last fish's move after the full count, or carbon in after thirty days. Null before. */
function beganAt(
  journal: Journal,
  { course, now }: CopperFacts,
  clock: CourseClock,
  living: readonly string[],
): { at: number; tankId: string } | null {
  if (clock.state !== 'complete' || clock.completesAt === null) return null
  if (course.length === 'thirty') {
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

/** The observation after a course, or null while the drug is still in the water. */
export function observationOf(
  journal: Journal,
  facts: CopperFacts,
  clock: CourseClock,
  seen: Watched,
  living: readonly string[],
  settings: Settings,
): Observation | null {
  const began = beganAt(journal, facts, clock, living)
  if (!began) return null
  const sign = seen.signs.findLast(({ at }) => at > began.at)
  const deathDays = new Set(seen.unexplainedDeaths.map(({ at }) => settings.clock.dayOf(at)))
  const extra = DAYS_PER_DEATH * deathDays.size
  return {
    tankId: began.tankId,
    from: sign?.at ?? began.at,
    leastDays: OBSERVATION_DAYS.least + extra,
    preferredDays: OBSERVATION_DAYS.preferred + extra,
    kickedBackAt: sign?.at ?? null,
  }
}

/** Whole days of an observation so far. */
export const observedDays = (observation: Observation, now: number): number =>
  Math.floor((now - observation.from) / MS_PER_DAY)
