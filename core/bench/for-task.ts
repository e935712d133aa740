import type { CourseTask } from '../courses/tasks.ts'

/** Procedures that do a bath, by what is in it. */
const BATHS: Readonly<Record<string, string>> = { peroxide: 'bath-peroxide', formalin: 'bath-formalin' }

/**
 * The procedure of the bench that does a task of a course.
 * @returns null where the bench has none for it, or it cannot be done yet
 * @example
 * benchProcedureFor(task) // 'coral-dip'
 */
export function benchProcedureFor(task: CourseTask): string | null {
  if (task.state === 'ahead' || task.waitsFor !== undefined) return null
  if (task.procedure !== undefined) return task.procedure
  if (task.session) return 'peroxide-spot'
  if (task.dip) return 'coral-dip'
  if (task.bath) return BATHS[task.bath.ingredient] ?? null
  return task.act === 'move' && task.toTankId !== undefined ? 'transfer' : null
}

/** Where a task of a course is begun at the bench. */
export const benchAddress = (procedure: string, { id, tankId, courseId, toTankId }: CourseTask): string =>
  `/bench/begin/${procedure}?${new URLSearchParams({
    tank: tankId,
    course: courseId,
    task: id,
    ...(toTankId !== undefined && { to: toTankId }),
  }).toString()}`
