import { useMemo } from 'react'
import { courseById, coursesOf, type Course } from '../../core/courses/course.ts'
import { sharedTasks } from '../../core/courses/board/shared-tasks.ts'
import { coursePlan, type CoursePlan } from '../../core/courses/plan.ts'
import type { CourseTask } from '../../core/courses/tasks.ts'
import type { Settings } from '../../core/household/settings.ts'
import type { Journal } from '../../core/journal/journal.ts'
import type { Day, ZoneClock } from '../../core/time/zone.ts'
import { thisInstant, useNow } from '../frame/now.tsx'
import { useHousehold } from '../journal/provider.tsx'

/** The running courses as they stand. */
export interface Running {
  plans: CoursePlan[]
  /** Courses that what the journal holds keeps from being worked out: no other course waits for them. */
  broken: { course: Course; why: string }[]
}

function workOut(journal: Journal, settings: Settings): Running {
  const running: Running = { plans: [], broken: [] }
  for (const course of coursesOf(journal)) {
    if (course.ended) continue
    try {
      // To the second: what was kept a moment ago counts already.
      running.plans.push(coursePlan(journal, course, settings, thisInstant()))
    } catch (error) {
      running.broken.push({ course, why: error instanceof Error ? error.message : String(error) })
    }
  }
  return running
}

/** All courses that run: worked out again when the journal grows or a minute passes. */
export function useRunningCourses(): Running {
  const { journal, settings, revision } = useHousehold()
  const minute = useNow()
  return useMemo(
    () => workOut(journal, settings),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the revision says when the journal has grown
    [journal, settings, revision, minute],
  )
}

/** The plans of all courses that run and can be worked out. */
export const useRunningPlans = (): CoursePlan[] => useRunningCourses().plans

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
  const due = plans.flatMap(({ tasks }) =>
    tasks.filter((task) => {
      if (task.tankId !== tankId) return false
      const dueDay = clock.dayOf(task.best)
      return day === today ? task.state !== 'ahead' || dueDay <= day : task.state === 'ahead' && dueDay === day
    }),
  )
  return sharedTasks(due).map((task) => ({ plan: plans.find(({ course }) => course.id === task.courseId)!, task }))
}
