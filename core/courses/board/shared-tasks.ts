import { MS_PER_DAY } from '../../time/zone.ts'
import { LESION_STEP } from '../../watching/lesion-words.ts'
import type { CoursePlan } from '../plan.ts'
import type { CourseTask } from '../tasks.ts'

/** Tasks of two courses are one occasion if they are due within so many hours of each other (EA). */
const SAME_OCCASION_MS = MS_PER_DAY / 2

/** What a reading task tests where it names no parameters, by step. */
const TESTS_OF_STEP: Readonly<Record<string, readonly string[]>> = {
  ammonia: ['tan', 'nh3'],
}

/** What a reading task tests; null where only its own course knows. */
export const testsOf = ({ parameters, step }: Pick<CourseTask, 'parameters' | 'step'>): readonly string[] | null =>
  parameters ?? TESTS_OF_STEP[step] ?? null

/** What a reading task of a course tests: what it names, else the level that the course holds. */
export const testsOfTask = (
  task: Pick<CourseTask, 'parameters' | 'step'>,
  { salinity, course }: Pick<CoursePlan, 'salinity' | 'course'>,
): readonly string[] => testsOf(task) ?? (salinity ? ['salinity'] : course.dose ? ['copper'] : [])

const isOneOccasion = (a: CourseTask, b: CourseTask): boolean =>
  a.tankId === b.tankId &&
  a.act === b.act &&
  a.courseId !== b.courseId &&
  Math.abs(a.best - b.best) <= SAME_OCCASION_MS &&
  // What waits has something before it that the other has not.
  a.waitsFor === undefined &&
  b.waitsFor === undefined

/** A look at one sore is no half hour of watching, and the other way round. */
const isOwnLook = ({ step }: CourseTask): boolean => step === LESION_STEP

/** Whether doing one task does the other too: it tests at least as much, doses the same, changes at least as much for nobody’s level. */
function serves(one: CourseTask, other: CourseTask): boolean {
  if (!isOneOccasion(one, other)) return false
  switch (one.act) {
    case 'read': {
      const [own, its] = [testsOf(one), testsOf(other)]
      return own !== null && its !== null && its.every((parameter) => own.includes(parameter))
    }
    case 'look':
      return isOwnLook(one) === isOwnLook(other)
    case 'dose':
      return one.ingredient !== undefined && one.ingredient === other.ingredient && one.dose !== undefined
    case 'change':
      return (
        one.change !== undefined &&
        other.change !== undefined &&
        !one.change.salinity &&
        !other.change.salinity &&
        other.step !== 'dilute' &&
        one.change.litres >= other.change.litres
      )
    default:
      return false
  }
}

/** One task that serves several: with the animals of all, and the earlier window. */
const joined = (one: CourseTask, other: CourseTask): CourseTask => ({
  ...one,
  ...(one.act === 'look' && {
    animalIds: [...new Set([...(one.animalIds ?? []), ...(other.animalIds ?? [])])],
  }),
  alsoFor: [...(one.alsoFor ?? []), other.courseId, ...(other.alsoFor ?? [])],
})

/**
 * One test, one look, one dose and one change for all courses of a tank: of tasks that ask for the same the one that does all of it is left, and names the other courses.
 * @param tasks of any courses and tanks, in the order in which they are shown
 * @returns the same order
 */
export function sharedTasks(tasks: readonly CourseTask[]): CourseTask[] {
  const left: CourseTask[] = []
  for (const task of tasks) {
    const same = left.findIndex((one) => serves(one, task))
    if (same >= 0) {
      left[same] = joined(left[same]!, task)
      continue
    }
    const served = left.findIndex((one) => serves(task, one))
    if (served >= 0) left[served] = joined(task, left[served]!)
    else left.push(task)
  }
  return left
}
