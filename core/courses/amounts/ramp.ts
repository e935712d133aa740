import { rampOf } from '../../catalogue/treatments/treatments.ts'
import { levelAfter } from '../../concentration/events.ts'
import type { DrugCourse } from '../course.ts'
import type { DrugRecord, KnownLevel } from '../record/record.ts'

/** A level counts as reached a little under it: kits and syringes are not better. */
const REACHED = 0.95

/** The levels of a course's ramp up to its target, quarantine.md 5.5; straight to the dose where that was chosen. */
export function rampLevels({ dose, direct }: Pick<DrugCourse, 'dose' | 'direct'>): number[] {
  const ramp = rampOf(dose.agent)
  const to = ramp.emergency.to
  const levels = direct && to !== null ? [to] : (ramp.levels ?? [])
  const below = levels.filter((level) => level < dose.target - 1e-9)
  return [...below, dose.target]
}

/** The highest level there has been in the course, by reading or by dose. */
function highestLevel({ readings, events, volumeL }: DrugRecord): number {
  if (volumeL === null) return 0
  let highest = 0
  let level = 0
  let next = 0
  for (const moment of [...readings.map(({ ms, mgPerL }) => ({ ms, mgPerL })), { ms: Infinity, mgPerL: null }]) {
    for (; next < events.length && events[next]!.at < moment.ms; next++) {
      level = levelAfter(level, events[next]!.event, volumeL)
      highest = Math.max(highest, level)
    }
    if (moment.mgPerL !== null) {
      level = moment.mgPerL
      highest = Math.max(highest, level)
    }
  }
  return highest
}

/** Where a course stands on its ramp. */
export interface RampState {
  levels: readonly number[]
  /** Index of the next level to dose to; null once the dose has been reached. */
  next: number | null
}

/**
 * The level that whatever is lost now is put back to, mg/L: the step of the ramp that the water is at, the target once the ramp
 * is over. Before the first step it is what the water holds.
 */
export function presentTarget({ levels, next }: RampState, target: number, known: KnownLevel | null): number {
  if (next === null) return target
  return next === 0 ? (known?.mgPerL ?? 0) : levels[next - 1]!
}

/** The step that is next: the first level that the water is not yet at. Once the target has been reached the ramp is over. */
export function rampState(facts: DrugRecord, known: KnownLevel | null): RampState {
  const levels = rampLevels(facts.course)
  if (!known || highestLevel(facts) >= REACHED * facts.course.dose.target) return { levels, next: known ? null : 0 }
  const next = levels.findIndex((level) => known.mgPerL < REACHED * level)
  return { levels, next: next < 0 ? null : next }
}
