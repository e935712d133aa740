import { introductionTasks } from '../arrivals/introductions/introduction-tasks.ts'
import { doorLookTasks } from '../arrivals/door-looks.ts'
import { arrivalTasks } from '../arrivals/tasks.ts'
import { coursesOf } from '../courses/course.ts'
import { sharedTasks } from '../courses/board/shared-tasks.ts'
import { coursePlan } from '../courses/plan.ts'
import type { Settings } from '../household/settings.ts'
import type { Journal } from '../journal/journal.ts'
import type { Day } from '../time/zone.ts'
import { benchTasks } from '../bench/watch.ts'
import { caseLookTasks } from './case-looks.ts'
import { choreTasks } from './chores.ts'
import { coralLookTasks } from './coral-looks.ts'
import type { Task } from './task.ts'

/**
 * Every task of the household to come, from courses, arrivals, introductions and own chores: one calendar, in time order.
 * @param horizon last local day that is looked at
 */
export function householdTasks(journal: Journal, settings: Settings, now: number, horizon: Day): Task[] {
  const ofArrivals = arrivalTasks(journal, settings, now, horizon)
  return [
    ...sharedTasks(
      coursesOf(journal)
        .filter(({ ended }) => !ended)
        .flatMap((course) => coursePlan(journal, course, settings, now, horizon).tasks),
    ),
    ...ofArrivals,
    ...doorLookTasks(journal, settings, now, horizon, ofArrivals),
    ...introductionTasks(journal, settings, now),
    ...choreTasks(journal, settings, now, horizon),
    ...caseLookTasks(journal, now).filter(({ best }) => settings.clock.dayOf(best) <= horizon),
    ...coralLookTasks(journal, now).filter(({ best }) => settings.clock.dayOf(best) <= horizon),
    ...benchTasks(journal, now).filter(({ best }) => settings.clock.dayOf(best) <= horizon),
  ].sort((a, b) => a.best - b.best)
}
