import { levelAfter } from '../../concentration/events.ts'
import { productById } from '../../household/shelf.ts'
import type { Journal } from '../../journal/journal.ts'
import { riskOfShelter } from '../../risk/shelter.ts'
import { MS_PER_HOUR } from '../../time/zone.ts'
import { presentTarget } from '../amounts/ramp.ts'
import type { HoldCount } from '../tracks/hold.ts'
import { countLevel } from '../tracks/level.ts'
import type { CoursePlan, DrugPlan } from '../plan.ts'
import { doseToward, type PlannedDose } from '../amounts/planned-dose.ts'

/** What a water change would do, and what would put it right. */
export interface ChangeOutcome {
  afterMgPerL: number
  litres: number
  /** What puts the level back to where the course stands: its target, or the ramp's present step. */
  dose: PlannedDose | null
  /** Whether the level would be under the range until it is put back. */
  breaks: boolean
}

/** "Change a share of the water." */
export function ifChanged(journal: Journal, { facts, known, ramp }: DrugPlan, fraction: number): ChangeOutcome | null {
  const { course, volumeL } = facts
  if (!known || volumeL === null) return null
  const afterMgPerL = levelAfter(known.mgPerL, { at: '', kind: 'water-change', fraction }, volumeL)
  const product = course.productId === null ? null : productById(journal, course.productId)
  return {
    afterMgPerL,
    litres: fraction * volumeL,
    dose: doseToward(afterMgPerL, presentTarget(ramp, course.dose.target, known), course.dose.high, volumeL, product),
    breaks: known.mgPerL >= course.dose.low && afterMgPerL < course.dose.low,
  }
}

/** "The next reading is y": the count as it would be with it, taken now. */
export function ifRead({ facts }: DrugPlan, mgPerL: number): HoldCount {
  const readings = facts.readings.filter(({ ms }) => ms < facts.now)
  return countLevel({ ...facts, readings: [...readings, { ms: facts.now, mgPerL, entryId: 'what-if' }] })
}

/** Risk that a parasite is still there after the course, for one parasite. */
export interface ParasiteRisk {
  parasite: string
  risk: number
}

/** From here on a risk is no small one (EA). */
export const GRAVE_RISK = 0.05

/** The two parasites copper covers, and how many on a lightly infected newcomer: quarantine.md 4.1. */
const COVERED = ['marine-ich', 'marine-velvet'] as const

interface Hours {
  fromHours: number
  toHours: number
}

/** When the water first came into range: what was on the fish then is what the risk is about. */
const firstInRange = ({ stretches }: HoldCount): number | null =>
  stretches.find(({ kind }) => kind === 'proven' || kind === 'superseded')?.from ?? null

/**
 * Times in range in hours since an origin, in the hope that it stays so to the end: what is proven, what stood untested
 * within a run, and what is still to come.
 */
function windowsFrom(origin: number, clock: HoldCount, until: number): Hours[] {
  const counts = (kind: string) =>
    kind === 'proven' || kind === 'superseded' || kind === 'unknown' || (kind === 'expected' && clock.runFrom !== null)
  return clock.stretches
    .filter(({ kind, to }) => counts(kind) && to > origin)
    .map(({ from, to, kind }) => ({
      fromHours: Math.max(0, (from - origin) / MS_PER_HOUR),
      toHours: ((kind === 'expected' ? Math.max(to, until) : to) - origin) / MS_PER_HOUR,
    }))
}

/** Windows that end with an instant, h from the origin. */
function windowsUntil(origin: number, clock: HoldCount, at: number): Hours[] {
  const endHours = Math.max(0, (at - origin) / MS_PER_HOUR)
  return windowsFrom(origin, clock, at)
    .map(({ fromHours, toHours }) => ({ fromHours, toHours: Math.min(toHours, endHours) }))
    .filter(({ fromHours, toHours }) => toHours > fromHours)
}

const movedAt = (origin: number, clock: HoldCount, at: number): ParasiteRisk[] =>
  risksWith(windowsUntil(origin, clock, at), [Math.max(0, (at - origin) / MS_PER_HOUR)])

/**
 * "Move on that day": the risk left if the fish move then, having been in range as far as is known and hoped until then. It
 * counts from the beginning of the run that counts, as the course does: a fish may carry as much then as on the first day.
 * Empty while there is no run.
 */
export function ifMoved({ clock }: DrugPlan, at: number): ParasiteRisk[] {
  return clock.runFrom === null ? [] : movedAt(clock.runFrom, clock, at)
}

/** The risk of going on as if the count had not broken: moving so many days after the water first was in range. Null without a break. */
export function ifNotRestarted({ clock, course }: DrugPlan): { movedAt: number; risks: ParasiteRisk[] } | null {
  const first = firstInRange(clock)
  if (first === null || first === clock.runFrom || clock.runFrom === null) return null
  const at = first + course.requiredDays * 24 * MS_PER_HOUR
  return { movedAt: at, risks: movedAt(first, clock, at) }
}

/** The risk left at the end of a course that stays in one tank. Empty while there is no run. */
export function ifStayed({ facts, clock }: DrugPlan): ParasiteRisk[] {
  return clock.runFrom === null ? [] : risksWith(windowsFrom(clock.runFrom, clock, clock.completesAt ?? facts.now), [])
}

/**
 * "The salinity is brought up on that day": the risk left of each parasite that low salinity is against, if it stays low until then.
 * Empty while the count does not run, and where nothing is modelled.
 * @param at ms, when raising begins
 */
export function ifRaised({ salinity, course }: CoursePlan, at: number): ParasiteRisk[] {
  const clock = salinity?.clock
  return !clock || clock.runFrom === null
    ? []
    : risksWith(windowsUntil(clock.runFrom, clock, at), [], course.definition.treats)
}

function risksWith(
  protectedWindows: Hours[],
  movesHours: number[],
  parasites: readonly string[] = COVERED,
): ParasiteRisk[] {
  return parasites.flatMap((parasite) => {
    const risk = riskOfShelter(parasite, { protectedWindows, movesHours })
    return risk === null ? [] : [{ parasite, risk }]
  })
}
