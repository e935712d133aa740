import { NIGHT_HABITS, type NightHabit } from '../catalogue/microscope/night-habits.data.ts'
import type { NightPlace } from '../diagnosis/night-test.ts'

/** What follows from a dinoflagellate and its dark jar. */
export interface Following {
  habit: NightHabit
  /** Plans of outbreaks.md 5, the one to begin with first. */
  plans: readonly string[]
  /** Whether the jar should settle it before a plan is begun. */
  wantsJar: boolean
  /** Null without a jar; false where the jar speaks against the kind. */
  fits: boolean | null
}

/** Where a habit says the cells are, against where the jar found them. */
function fitsJar(habit: NightHabit, place: NightPlace): boolean {
  if (habit.at === 'water') return place !== 'sand'
  if (habit.at === 'sand') return place !== 'water'
  return true
}

const PLAN_OF: Readonly<Record<NightPlace, readonly string[]>> = {
  water: ['dino-uv'],
  sand: ['dino-sand'],
  between: ['dino-uv', 'dino-sand'],
}

/**
 * Which plan follows: by what is known of the kind at night, and by the dark jar where one was looked at. What the jar showed goes before
 * the habit: it is this tank's own.
 * @returns null for a condition that is no dinoflagellate
 */
export function followingOf(condition: string, jar: NightPlace | null): Following | null {
  const habit = NIGHT_HABITS.find((one) => one.condition === condition)
  if (!habit) return null
  if (jar === null) return { habit, plans: habit.plans, wantsJar: true, fits: null }
  const fits = fitsJar(habit, jar)
  const byJar = PLAN_OF[jar]
  // What sits on algae is taken out with them, wherever loosened cells drift to.
  const plans =
    habit.at === 'attached' ? habit.plans : [...byJar, ...habit.plans.filter((plan) => !byJar.includes(plan))]
  return { habit, plans, wantsJar: !fits, fits }
}
