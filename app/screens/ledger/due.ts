import type { ArrivalTask } from '../../../core/arrivals/tasks.ts'
import { tanksOf, type Tank } from '../../../core/household/tanks.ts'
import type { Journal } from '../../../core/journal/journal.ts'
import type { Day, ZoneClock } from '../../../core/time/zone.ts'
import { roundOrder } from '../../../core/biosecurity/round-order.ts'
import { byUrgency, type Urgency } from '../../../core/schedule/task.ts'
import { arrivalTasksOn } from '../../arrivals/useArrivalTasks.ts'
import type { CoursePlan } from '../../../core/courses/plan.ts'
import { dueOn, type DueTask } from '../../courses/usePlans.ts'

/** Something due today somewhere in the household. */
export type DueSomewhere = { tank: Tank; urgency: Urgency } & (
  ({ of: 'course' } & DueTask) | { of: 'arrival'; task: ArrivalTask }
)

const STATES = ['late', 'due', 'ahead'] as const

/** Everything due today in the whole household, late first, then in the order of the round: clean tanks before dirty ones. */
export function dueInHousehold(
  journal: Journal,
  plans: readonly CoursePlan[],
  arriving: readonly ArrivalTask[],
  today: Day,
  clock: ZoneClock,
  now: number,
): DueSomewhere[] {
  const order = roundOrder(journal, now).map(({ tank }) => tank.id)
  const place = ({ id }: Tank) => order.indexOf(id)
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
    .sort(
      (a, b) =>
        STATES.indexOf(a.urgency.state) - STATES.indexOf(b.urgency.state) ||
        place(a.tank) - place(b.tank) ||
        byUrgency(a.urgency, b.urgency),
    )
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
