import type { ScheduleName } from '../../catalogue/courses/definitions.ts'
import { asItStands } from '../../schedule/task.ts'
import { MS_PER_DAY } from '../../time/zone.ts'
import { byActAndUrgency, type CourseTask } from '../tasks.ts'
import { carriedInto, carriedWords } from '../amounts/carried-drugs.ts'
import { besideAway } from './away.ts'
import { ammoniaTasks, joinTasks, lookTasks, lookTwiceTasks } from './care-steps.ts'
import {
  cleanLookTasks,
  closeDipsTask,
  darkLookTasks,
  dipCountTasks,
  dipTasks,
  lightTasks,
  pumpsOnTasks,
} from './coral-steps.ts'
import { doseTasks } from './dose-steps.ts'
import { carbonOutTask, clearTask, closeDosesTask, closeTask, moveTask } from './end-steps.ts'
import { closeCountTask, ghostFeedTasks } from './fallow-steps.ts'
import { diluteTask, rampTask, readAfterCarbon, readTasks, redoseTask } from './level-steps.ts'
import { closePlanTask, endMarkTask, planTasks, tierChangeTasks } from './plan-steps.ts'
import { lateSchedule, lateScheduleOr, type LateScheduleName, type Schedule } from './late-schedules.ts'
import type { Draft, DrugInput, TaskInput } from './step-input.ts'

/** A schedule that only a held drug has. */
const ofDrug =
  (schedule: (...args: [DrugInput, Parameters<Schedule>[1]]) => ReturnType<Schedule>): Schedule =>
  (input, step) =>
    input.drug ? schedule({ ...input, ...input.drug }, step) : null

const SCHEDULES: Record<Exclude<ScheduleName, LateScheduleName>, Schedule> = {
  ramp: ofDrug(rampTask),
  redose: ofDrug(redoseTask),
  dilute: ofDrug(diluteTask),
  read: ofDrug(readTasks),
  'read-after-carbon': ofDrug(readAfterCarbon),
  ammonia: ammoniaTasks,
  join: joinTasks,
  look: lookTasks,
  'move-once': ofDrug(moveTask),
  clear: ofDrug(clearTask),
  'carbon-out': carbonOutTask,
  close: closeTask,
  'close-plan': closePlanTask,
  'end-mark': endMarkTask,
  'tier-change': tierChangeTasks,
  'ghost-feed': ghostFeedTasks,
  'close-count': closeCountTask,
  doses: doseTasks,
  'look-twice': lookTwiceTasks,
  'close-doses': closeDosesTask,
  dips: dipTasks,
  'dip-counts': dipCountTasks,
  'clean-looks': cleanLookTasks,
  'dark-looks': darkLookTasks,
  'light-ramp': lightTasks,
  'pumps-on': pumpsOnTasks,
  'close-dips': closeDipsTask,
}

/** A step that changes water to lower a drug: the only one whose new water brings none. */
const LOWERS: ReadonlySet<string> = new Set(['dilute'])

/** New water brings every drug that is held in the tank. */
function withCarried({ journal, facts }: TaskInput, draft: Draft): Draft {
  const { change } = draft
  if (!change || change.salinity || LOWERS.has(draft.step)) return draft
  const carried = carriedInto(journal, draft.tankId, change.litres, facts.now)
  return carried.length === 0
    ? draft
    : {
        ...draft,
        change: { ...change, carried },
        how: [`The new water ${carriedWords(carried)}.`, draft.how].filter(Boolean).join(' '),
      }
}

/** What stands in for a schedule of the coming back until the page was idle and it is loaded. */
const IN_THE_MEANTIME: Readonly<Partial<Record<ScheduleName, (name: LateScheduleName) => Schedule>>> = {
  'bring-back': (name) => lateScheduleOr(name, () => null),
  'back-looks': (name) => lateScheduleOr(name, () => null),
  'back-ammonia': (name) => lateScheduleOr(name, () => null),
  'close-back': (name) => lateScheduleOr(name, closeCountTask),
}

const scheduleOf = (name: ScheduleName): Schedule =>
  name in SCHEDULES
    ? SCHEDULES[name as keyof typeof SCHEDULES]
    : (IN_THE_MEANTIME[name] ?? lateSchedule)(name as LateScheduleName)

/**
 * Everything due in a course up to its horizon, as it stands now: what is done is gone, late work has moved what depends on it,
 * days away have moved what may move.
 */
export function tasksOf(input: TaskInput): CourseTask[] {
  const { journal, facts, drug, observation, settings, horizon } = input
  if (facts.course.ended) return []
  const drafts = facts.course.definition.steps.flatMap((step) => {
    const made = 'by' in step.due ? scheduleOf(step.due.by)(input, step) : planTasks(input, step)
    return made === null ? [] : Array.isArray(made) ? made : [made]
  })
  const end = settings.clock.instantAt(horizon + 1)
  // What belongs to the treatment ends with it.
  const full = drug?.clock.completesAt ?? input.rounds?.fullAt ?? null
  const until = observation || full === null ? Infinity : Math.max(full, facts.now + MS_PER_DAY)
  return drafts
    .map((draft) => withCarried(input, draft))
    .filter(({ act, best, notBefore }) => Math.min(best, notBefore) < end && (act !== 'read' || best <= until))
    .flatMap((draft) => asItStands(journal, besideAway(draft, facts.away), facts.now) ?? [])
    .sort(byActAndUrgency)
}
