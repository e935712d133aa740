import type { CourseTask } from '../../courses/tasks.ts'
import type { RandomStream } from '../../numbers/random.ts'

/** How a simulated keeper goes about a course. */
export interface Temperament {
  id: 'steady'
  /** When a task is done, ms. */
  timeFor: (task: CourseTask, random: RandomStream) => number
  /** Tasks that are never done. @param day of the course */
  skips?: (task: CourseTask, day: number) => boolean
  /** What is counted does not get better. */
  isFailing?: boolean
}

export const TEMPERAMENTS: Readonly<Record<Temperament['id'], Temperament>> = {
  steady: { id: 'steady', timeFor: ({ notBefore, best }) => Math.max(notBefore, best) },
}
