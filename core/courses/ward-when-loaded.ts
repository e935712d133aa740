import type { Condition } from '../watching/affected.ts'
import type { Journal } from '../journal/journal.ts'
import type { CourseWarning, WarningInput } from './warnings/warnings.ts'

/** How sick fish are judged: loaded with the courses that need it, and with all others once the page is idle. */
export interface Ward {
  conditionsOf: (journal: Journal, animalIds: readonly string[], now: number) => Condition[]
  takesFood: (conditions: readonly Condition[]) => Condition[]
  wardSentences: (input: WarningInput) => CourseWarning[]
  /** Doses that came too late, too early or too weak. */
  doseSentences: (input: WarningInput) => CourseWarning[]
}

let ward: Ward | null = null

/** Makes it known to the engine. */
export const provideWard = (loaded: Ward): void => {
  ward = loaded
}

/** How sick fish are judged; null before it is loaded: the first view goes without. */
export const wardNow = (): Ward | null => ward
