import { whenIdle } from '../frame/when-idle.ts'
import { useEffect, useMemo, useState } from 'react'
import { benchTasks } from '../../core/bench/watch.ts'
import { caseLookTasks } from '../../core/schedule/case-looks.ts'
import { choreTasks } from '../../core/schedule/chores.ts'
import { coralLookTasks } from '../../core/schedule/coral-looks.ts'
import { introductionTasks } from '../../core/arrivals/introductions/introduction-tasks.ts'
import { arrivalTasks, type ArrivalTask } from '../../core/arrivals/tasks.ts'
import type { Day, ZoneClock } from '../../core/time/zone.ts'
import { useNow } from '../frame/now.tsx'
import { useHousehold } from '../journal/provider.tsx'

/** Days ahead that are worked out. */
const HORIZON_DAYS = 21

/** What comes after the first view: its reckoning is large, and hardly ever anything is due. */
interface Late {
  doorLooks: typeof import('../../core/arrivals/door-looks.ts').doorLookTasks
}

/** Loads it once the page is idle. */
const loadLate = async (): Promise<Late['doorLooks']> => {
  await new Promise<void>((resolve) => whenIdle(resolve))
  return (await import('../../core/arrivals/door-looks.ts')).doorLookTasks
}

/** What is due for those who came in or are being brought together, and of the keeper's own chores, as it stands now. */
export function useArrivalTasks(): ArrivalTask[] {
  const { journal, settings, revision } = useHousehold()
  const now = useNow()
  const [late, setLate] = useState<Late | null>(null)
  useEffect(() => void loadLate().then((doorLooks) => setLate({ doorLooks })), [])
  return useMemo(
    () => {
      const today = settings.clock.dayOf(now)
      const ofArrivals = arrivalTasks(journal, settings, now, today + HORIZON_DAYS)
      return [
        ...ofArrivals,
        ...(late?.doorLooks(journal, settings, now, today + HORIZON_DAYS, ofArrivals) ?? []),
        ...introductionTasks(journal, settings, now),
        ...choreTasks(journal, settings, now, today + HORIZON_DAYS).map((task): ArrivalTask => ({
          ...task,
          kind: 'chore',
          animalIds: [],
        })),
        ...caseLookTasks(journal, now).map((task): ArrivalTask => ({ ...task, kind: 'case-look', animalIds: [] })),
        ...benchTasks(journal, now).map((task): ArrivalTask => ({ ...task, kind: 'bench-look', animalIds: [] })),
        ...coralLookTasks(journal, now).map((task): ArrivalTask => ({ ...task, kind: 'coral-look', animalIds: [] })),
      ]
    },
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the revision says when the journal has grown
    [journal, settings, revision, now, late],
  )
}

/** What is due in a tank on a day: today also what is late. */
export const arrivalTasksOn = (
  tasks: readonly ArrivalTask[],
  tankId: string,
  day: Day,
  today: Day,
  clock: ZoneClock,
): ArrivalTask[] =>
  tasks.filter((task) => {
    if (task.tankId !== tankId) return false
    const dueDay = clock.dayOf(task.best)
    return day === today ? task.state !== 'ahead' || dueDay <= day : task.state === 'ahead' && dueDay === day
  })
