import type { Settings } from '../household/settings.ts'
import type { Journal } from '../journal/journal.ts'
import type { CourseClock } from './course-clock.ts'
import type { CopperFacts, KnownLevel } from './copper-facts.ts'
import type { RampState } from './copper-ramp.ts'
import type { RuleState } from './copper-rules.ts'
import type { Watched } from './copper-signs.ts'
import type { Observation } from './observation.ts'
import type { CourseTask } from './tasks.ts'

/** What the tasks of a copper course are worked out from. */
export interface TaskInput {
  journal: Journal
  settings: Settings
  facts: CopperFacts
  known: KnownLevel | null
  ramp: RampState
  clock: CourseClock
  seen: Watched
  rules: readonly RuleState[]
  observation: Observation | null
  living: readonly string[]
}

/** A task before it is held against what was said of it. */
export type Draft = Omit<CourseTask, 'state' | 'postponed'>

/** What all drafts of a course share. */
export const base = ({ facts: { course } }: TaskInput, kind: CourseTask['kind'], occasion: string) => ({
  id: `${course.id}/${kind}/${occasion}`,
  courseId: course.id,
  tankId: course.tankId,
  kind,
})
