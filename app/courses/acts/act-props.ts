import type { CoursePlan } from '../../../core/courses/plan.ts'
import type { CourseTask } from '../../../core/courses/tasks.ts'

/** Forms of the ledger that a card may open. */
export type FormName = 'dose' | 'sighting' | 'water-change' | 'reading' | 'move'

export interface ActProps {
  plan: CoursePlan
  task: CourseTask
  /** Whether it is the one to do next: its button stands out. */
  next: boolean
  onForm: (form: FormName) => void
}
