import { useMemo } from 'react'
import { courseById, coursesOf } from '../../core/courses/course.ts'
import { coursePlan, type CoursePlan } from '../../core/courses/plan.ts'
import type { CourseTask } from '../../core/courses/tasks.ts'
import type { Day, ZoneClock } from '../../core/time/zone.ts'
import { thisInstant, useNow } from '../frame/now.tsx'
import { useHousehold } from '../journal/provider.tsx'

/** All courses that run, as they stand: worked out again when the journal grows or a minute passes. */
export function useRunningPlans(): CoursePlan[] {
  const { journal, settings, revision } = useHousehold()
  const minute = useNow()
  return useMemo(
    () =>
      coursesOf(journal)
        .filter(({ ended }) => !ended)
        // To the second: what was kept a moment ago counts already.
        .map((course) => coursePlan(journal, course, settings, thisInstant())),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the revision says when the journal has grown
    [journal, settings, revision, minute],
  )
}

/** One course as it stands; null when there is none of that id. */
export function usePlan(courseId: string): CoursePlan | null {
  const { journal, settings, revision } = useHousehold()
  const minute = useNow()
  return useMemo(
    () => {
      const course = courseById(journal, courseId)
      return course && coursePlan(journal, course, settings, thisInstant())
    },
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the revision says when the journal has grown
    [journal, settings, revision, minute, courseId],
  )
}

/** The tank a course is at work in: where its animals are observed, once they are. */
export const tankOfPlan = ({ course, observation, rounds }: CoursePlan): string =>
  observation?.tankId ?? rounds?.tankId ?? course.tankId

/** A task with the course it belongs to. */
export interface DueTask {
  plan: CoursePlan
  task: CourseTask
}

/** What is due in a tank on a day: today also what is late. */
export function dueOn(plans: readonly CoursePlan[], tankId: string, day: Day, today: Day, clock: ZoneClock): DueTask[] {
  return plans.flatMap((plan) =>
    plan.tasks
      .filter((task) => {
        if (task.tankId !== tankId) return false
        const dueDay = clock.dayOf(task.best)
        return day === today ? task.state !== 'ahead' || dueDay <= day : task.state === 'ahead' && dueDay === day
      })
      .map((task) => ({ plan, task })),
  )
}
