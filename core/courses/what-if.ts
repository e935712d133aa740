import { lifeModelOf } from '../catalogue/treatments/treatments.ts'
import { levelAfter } from '../concentration/events.ts'
import { productById } from '../household/shelf.ts'
import type { Journal } from '../journal/journal.ts'
import { courseRisk } from '../risk/course-risk.ts'
import { MS_PER_HOUR } from '../time/zone.ts'
import { courseClock, type CourseClock } from './course-clock.ts'
import type { CopperFacts } from './copper-facts.ts'
import type { CoursePlan } from './plan.ts'
import { doseToward, type PlannedDose } from './planned-dose.ts'

/** What a water change would do, and what would put it right. */
export interface ChangeOutcome {
  afterMgPerL: number
  litres: number
  /** Put back in the same minute, the count goes on. */
  dose: PlannedDose | null
  /** Whether the level would be under the range until it is put back. */
  breaks: boolean
}

/** "Change a share of the water." */
export function ifChanged(journal: Journal, { facts, known }: CoursePlan, fraction: number): ChangeOutcome | null {
  const { course, volumeL } = facts
  if (!known || volumeL === null) return null
  const afterMgPerL = levelAfter(known.mgPerL, { at: '', kind: 'water-change', fraction }, volumeL)
  const product = course.productId === null ? null : productById(journal, course.productId)
  return {
    afterMgPerL,
    litres: fraction * volumeL,
    dose: doseToward(afterMgPerL, course.dose.target, course.dose.high, volumeL, product),
    breaks: known.mgPerL >= course.dose.low && afterMgPerL < course.dose.low,
  }
}

/** "The next reading is y": the count as it would be with it, taken now. */
export function ifRead({ facts }: CoursePlan, mgPerL: number): CourseClock {
  const readings = facts.readings.filter(({ ms }) => ms < facts.now)
  return courseClock({ ...facts, readings: [...readings, { ms: facts.now, mgPerL, entryId: 'what-if' }] })
}

/** Risk that a parasite is still there after the course, for one parasite. */
export interface ParasiteRisk {
  parasite: string
  risk: number
}

/** The two parasites copper covers, and how many on a lightly infected newcomer: quarantine.md 4.1. */
const COVERED = ['marine-ich', 'marine-velvet'] as const

/** Times in range so far, hours since the course began, and the hope that it stays so to the end. */
function windowsOf(
  { course }: CopperFacts,
  clock: CourseClock,
  until: number,
): { fromHours: number; toHours: number }[] {
  const hours = (ms: number) => Math.max(0, (ms - course.startedAt) / MS_PER_HOUR)
  return clock.stretches
    .filter(
      ({ kind }) =>
        kind === 'proven' ||
        kind === 'superseded' ||
        kind === 'unknown' ||
        (kind === 'expected' && clock.state !== 'broken' && clock.state !== 'not-started'),
    )
    .map(({ from, to, kind }) => ({
      fromHours: hours(from),
      toHours: hours(kind === 'expected' ? Math.max(to, until) : to),
    }))
}

/** "Move on that day": the risk left if the fish move then, having been in range as far as is known and hoped until then. */
export function ifMoved({ facts, clock }: CoursePlan, at: number): ParasiteRisk[] {
  const moveHours = Math.max(0, (at - facts.course.startedAt) / MS_PER_HOUR)
  const protectedWindows = windowsOf(facts, clock, at)
    .map(({ fromHours, toHours }) => ({ fromHours, toHours: Math.min(toHours, moveHours) }))
    .filter(({ fromHours, toHours }) => toHours > fromHours)
  return risksWith(protectedWindows, [moveHours])
}

/** The risk left at the end of a course that stays in one tank. */
export function ifStayed({ facts, clock }: CoursePlan): ParasiteRisk[] {
  return risksWith(windowsOf(facts, clock, clock.completesAt ?? facts.now), [])
}

function risksWith(protectedWindows: { fromHours: number; toHours: number }[], movesHours: number[]): ParasiteRisk[] {
  return COVERED.flatMap((parasite) => {
    const model = lifeModelOf(parasite)!
    const result = courseRisk({
      parasitesOnHost: model.onHostLight,
      onHost: model.onHost,
      cyst: model.cyst,
      infection: model.infection,
      protectedWindows,
      movesHours,
    })
    return result.ok ? [{ parasite, risk: result.value.risk }] : []
  })
}
