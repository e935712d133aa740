import type { Settings } from '../../household/settings.ts'
import type { Journal } from '../../journal/journal.ts'
import { MS_PER_DAY, MS_PER_HOUR } from '../../time/zone.ts'
import { isDrugPlan, type CoursePlan } from '../plan.ts'
import { isFullLater } from './count-effects.ts'
import { countDips } from '../tracks/dips.ts'
import { countAllDoses, type DosesState } from '../tracks/doses.ts'
import { countSalinity } from '../tracks/salinity.ts'
import { observationOf, watchFromOf, type Observation } from '../tracks/watch.ts'
import { watched } from '../record/watched.ts'

/** What something would do to one count of a course. */
export interface CountOutcome {
  /** Whether the count would begin again. */
  begins: boolean
  /** Whether it would be full later, or nobody could say when any more. */
  isLater: boolean
  /** When it would be full, and when it would be otherwise, ms; null where nobody can say. */
  fullAt: number | null
  wasFullAt: number | null
}

const outcomeOf = (begins: boolean, fullAt: number | null, wasFullAt: number | null): CountOutcome => ({
  begins,
  isLater: (fullAt === null && wasFullAt !== null) || isFullLater(wasFullAt, fullAt),
  fullAt,
  wasFullAt,
})

/** The next salinity is read as this: the count of low salinity as it would be, and the least it would still take. */
export interface SalinityOutcome extends CountOutcome {
  /** Whether the count would run with this reading; else `fullAt` is the earliest that it could be full. */
  runs: boolean
}

/**
 * "The next reading of the salinity is so much", taken now.
 * @param psu of the reading
 * @returns null for a course that does not hold the salinity
 */
export function ifSalinityRead({ facts, salinity }: CoursePlan, psu: number): SalinityOutcome | null {
  if (!salinity) return null
  const before = salinity.clock
  const earlier = facts.salinities.filter(({ ms }) => ms < facts.now)
  const after = countSalinity({
    ...facts,
    salinities: [...earlier, { ms: facts.now, psu, fullPsu: psu, entryId: 'what-if' }],
  })!.clock
  const runs = after.runFrom !== null && (after.state === 'running' || after.state === 'complete')
  return {
    runs,
    ...outcomeOf(
      before.runFrom !== null && after.runFrom !== before.runFrom,
      runs ? after.completesAt : facts.now + after.requiredHours * MS_PER_HOUR,
      before.completesAt,
    ),
  }
}

/** The counts of doses that wait for another dose, in the order of the definition. */
export const dosesToCome = ({ doses }: CoursePlan): DosesState[] =>
  doses.filter(({ ahead, state }) => ahead.length > 0 && state !== 'full')

/**
 * "The next dose comes so late."
 * @param track     id of a count of doses
 * @param lateHours after its best time
 * @returns null where no dose of that count is to come
 * @example
 * ifDosedLate(plan, 'dewormings', 72) // { begins: true, … }: eggs have hatched and grown up in the meantime
 */
export function ifDosedLate(plan: CoursePlan, track: string, lateHours: number): CountOutcome | null {
  const { facts, observation, rounds, salinity } = plan
  const before = plan.doses.find((one) => one.track.id === track)
  const next = before?.ahead[0]
  if (!before || !next) return null
  const at = Math.max(facts.now, next.best + lateHours * MS_PER_HOUR)
  const clock = isDrugPlan(plan) ? plan.clock : null
  const after = countAllDoses(
    { ...facts, now: at, given: [...facts.given, { track, at, isWhole: true }] },
    watchFromOf({ observation, clock, rounds, salinity }),
  ).find((one) => one.track.id === track)!
  return outcomeOf(after.restarts.length > before.restarts.length, after.fullAt, before.fullAt)
}

/**
 * "The next round of dips comes so late, and so many animals come off."
 * @param lateDays after its best time
 * @param cameOff  live animals, of all hosts
 * @returns null for a course without dips, and once they are full
 */
export function ifDipped(
  { facts, dips }: CoursePlan,
  { lateDays = 0, cameOff = 0 }: { lateDays?: number; cameOff?: number },
  settings: Settings,
): (CountOutcome & { has: number; need: number }) | null {
  if (!dips || dips.nextAt === null) return null
  const at = Math.max(facts.now, dips.nextAt + lateDays * MS_PER_DAY)
  const after = countDips(
    {
      ...facts,
      now: at,
      dips: [...facts.dips, { at, partIds: [], isWhole: true, entryId: 'what-if' }],
      counts: [...facts.counts, { at, measure: 'came-off', parts: [], total: cameOff, entryId: 'what-if' }],
    },
    settings.clock,
  )!
  return {
    ...outcomeOf(after.restarts.length > dips.restarts.length, after.fullAt, dips.fullAt),
    has: after.has,
    need: after.pace.need,
  }
}

const watchedUntil = ({ from, leastDays }: Observation): number => from + leastDays * MS_PER_DAY

/**
 * "A sign of disease is seen today", or "one dies and nobody knows of what", while they are watched without medicine.
 * @returns null while they are still treated
 */
export function ifSeenNow(
  journal: Journal,
  plan: CoursePlan,
  what: 'sign' | 'death',
  settings: Settings,
): CountOutcome | null {
  const { course, facts, rounds, salinity, living, observation } = plan
  const [animalId] = living
  if (!observation || animalId === undefined) return null
  const seen = watched(journal, course, facts.now)
  const happened = { at: facts.now, animalId }
  const after = observationOf(
    journal,
    facts,
    { clock: isDrugPlan(plan) ? plan.clock : null, rounds, salinity },
    what === 'sign'
      ? { ...seen, signs: [...seen.signs, { ...happened, sign: 'any' }] }
      : { ...seen, unexplainedDeaths: [...seen.unexplainedDeaths, happened] },
    living,
    settings,
  )
  return (
    after &&
    outcomeOf(after.restarts.length > observation.restarts.length, watchedUntil(after), watchedUntil(observation))
  )
}
