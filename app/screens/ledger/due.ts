import type { ArrivalTask } from '../../../core/arrivals/tasks.ts'
import { tanksOf, type Tank } from '../../../core/household/tanks.ts'
import type { Journal } from '../../../core/journal/journal.ts'
import type { Day, ZoneClock } from '../../../core/time/zone.ts'
import { byUrgency, type Urgency } from '../../../core/schedule/task.ts'
import { arrivalTasksOn } from '../../arrivals/useArrivalTasks.ts'
import type { CoursePlan } from '../../../core/courses/plan.ts'
import { dueOn, type DueTask } from '../../courses/usePlans.ts'

/** Something due today somewhere in the household. */
export type DueSomewhere = { tank: Tank; urgency: Urgency } & (
  ({ of: 'course' } & DueTask) | { of: 'arrival'; task: ArrivalTask }
)

/** Everything due today in the whole household, late first, each with its tank. */
export function dueInHousehold(
  journal: Journal,
  plans: readonly CoursePlan[],
  arriving: readonly ArrivalTask[],
  today: Day,
  clock: ZoneClock,
): DueSomewhere[] {
  return tanksOf(journal)
    .flatMap((tank): DueSomewhere[] => [
      ...dueOn(plans, tank.id, today, today, clock).map((one): DueSomewhere => ({
        of: 'course',
        tank,
        urgency: one.task,
        ...one,
      })),
      ...arrivalTasksOn(arriving, tank.id, today, today, clock).map((task): DueSomewhere => ({
        of: 'arrival',
        tank,
        urgency: task,
        task,
      })),
    ])
    .sort((a, b) => byUrgency(a.urgency, b.urgency))
}

/** How many are due and how many of them are late, by tank. */
export function countsByTank(due: readonly DueSomewhere[]): ReadonlyMap<string, { due: number; late: number }> {
  const counts = new Map<string, { due: number; late: number }>()
  for (const { tank, urgency } of due) {
    const count = counts.get(tank.id) ?? { due: 0, late: 0 }
    counts.set(tank.id, { due: count.due + 1, late: count.late + (urgency.state === 'late' ? 1 : 0) })
  }
  return counts
}
