import { createContext } from 'react'
import type { ArrivalTask } from '../../../core/arrivals/tasks.ts'
import { isDrugPlan, type CoursePlan } from '../../../core/courses/plan.ts'

/** The courses that run in the household, worked out once for the whole ledger. */
export const PlansContext = createContext<readonly CoursePlan[]>([])

/** What is due for those who came in, worked out once for the whole ledger. */
export const ArrivalsContext = createContext<readonly ArrivalTask[]>([])

/** Readings that were under a course's range once it had been reached: they stand out in the past. */
export function lowReadings(plans: readonly CoursePlan[]): ReadonlySet<string> {
  return new Set(
    plans
      .filter(isDrugPlan)
      .flatMap(({ facts, clock }) =>
        facts.readings
          .filter(({ ms }) => clock.breaks.some(({ from, to }) => ms >= from && (to === null || ms < to)))
          .map(({ entryId }) => entryId),
      ),
  )
}
