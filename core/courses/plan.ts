import type { Settings } from '../household/settings.ts'
import type { Journal } from '../journal/journal.ts'
import type { Day } from '../time/zone.ts'
import { isDrugCourse, runningIn, type Course, type DrugCourse } from './course.ts'
import { isDrugRecord, knownLevel, recordOf, type CourseRecord, type DrugRecord, type KnownLevel } from './record.ts'
import { rampState, type RampState } from './amounts/ramp.ts'
import { rulesOf, type RuleState } from './rules/rules.ts'
import type { DrugState } from './steps/step-input.ts'
import { tasksOf } from './steps/steps.ts'
import type { CourseTask } from './tasks.ts'
import type { HoldCount } from './tracks/hold.ts'
import { countFishless, type FishlessState } from './tracks/fishless.ts'
import { countLevel } from './tracks/level.ts'
import { countRounds, type RoundsState } from './tracks/rounds.ts'
import { countSeries, type SeriesState } from './tracks/series.ts'
import { observationOf, type Observation } from './tracks/watch.ts'
import { warningsOf, type CourseWarning } from './warnings.ts'
import { livingOf, watched } from './watched.ts'

/** What a course is doing. */
export type Phase = 'ahead' | 'ramp' | 'hold' | 'proven' | 'moving' | 'planned' | 'fishless' | 'observing' | 'ended'

/** A course as it stands: everything its page and the ledger show, worked out from the journal. */
export interface CoursePlan {
  course: Course
  phase: Phase
  facts: CourseRecord
  /** Moves and baths of a transfer; null for other courses. */
  rounds: RoundsState | null
  /** Scores of a plan's parts; null for other courses. */
  series: SeriesState | null
  /** Days without fish; null for other courses. */
  fishless: FishlessState | null
  /** Rules that hold or do not; what has merely happened is in `events`. */
  rules: RuleState[]
  events: RuleState[]
  warnings: CourseWarning[]
  observation: Observation | null
  /** Living animals of the course. */
  living: readonly string[]
  tasks: CourseTask[]
}

/** The same for a course whose drug is held in the water. */
export interface DrugPlan extends CoursePlan, DrugState {
  course: DrugCourse
  facts: DrugRecord
  known: KnownLevel | null
  ramp: RampState
  clock: HoldCount
}

export const isDrugPlan = (plan: CoursePlan): plan is DrugPlan => 'clock' in plan && isDrugCourse(plan.course)

/** Days ahead that are worked out. */
export const HORIZON_DAYS = 21

function drugStateOf(facts: CourseRecord): DrugState | null {
  if (!isDrugRecord(facts)) return null
  const known = knownLevel(facts)
  return { facts, known, ramp: rampState(facts, known), clock: countLevel(facts) }
}

function phaseOf(
  course: Course,
  now: number,
  {
    drug,
    rounds,
    observation,
  }: { drug: DrugState | null; rounds: RoundsState | null; observation: Observation | null },
): Phase {
  if (course.ended) return 'ended'
  if (course.startedAt > now) return 'ahead'
  if (observation) return 'observing'
  if (rounds) return 'moving'
  if (!drug) return course.definition.kind === 'fallow' ? 'fishless' : 'planned'
  if (drug.clock.state === 'complete') return 'proven'
  return drug.ramp.next !== null && drug.clock.state === 'not-started' ? 'ramp' : 'hold'
}

/**
 * Works a course out: computed from its definition and the journal each time, never stored.
 * @param now     ms; a course that lies ahead is worked out as of its start
 * @param horizon last local day whose tasks are wanted; three weeks ahead unless said
 * @example
 * coursePlan(journal, courseById(journal, 'c7')!, settings, Date.now()).tasks[0] // what is due first
 */
export function coursePlan(
  journal: Journal,
  course: Course,
  settings: Settings,
  now: number,
  horizon: Day = settings.clock.dayOf(now) + HORIZON_DAYS,
): CoursePlan {
  const facts = recordOf(journal, course, Math.max(now, course.startedAt))
  const drug = drugStateOf(facts)
  const rounds = countRounds(facts)
  const series = countSeries(facts, settings.clock)
  const fishless = countFishless(facts, settings.clock)
  const seen = watched(journal, course, facts.now)
  const living = livingOf(journal, course)
  const observation = observationOf(journal, facts, { clock: drug?.clock ?? null, rounds }, seen, living, settings)
  const rules = rulesOf({ journal, settings, facts, drug, rounds, series, fishless, seen })
  const tasks = tasksOf({
    journal,
    settings,
    facts,
    drug,
    rounds,
    series,
    fishless,
    seen,
    rules,
    observation,
    living,
    horizon,
  })
  return {
    course,
    phase: phaseOf(course, now, { drug, rounds, observation }),
    facts,
    rounds,
    series,
    fishless,
    rules: rules.filter(({ role }) => role !== 'event'),
    events: rules.filter(({ role }) => role === 'event'),
    warnings: course.ended
      ? []
      : warningsOf({ journal, settings, facts, drug, rounds, rules, tasks, seen, observation }),
    observation,
    living,
    tasks: course.startedAt > now ? tasks.map((task) => ({ ...task, state: 'ahead' as const })) : tasks,
    ...drug,
  }
}

/** The plans of all courses that run in a tank. */
export const plansIn = (journal: Journal, tankId: string, settings: Settings, now: number): CoursePlan[] =>
  runningIn(journal, tankId).map((course) => coursePlan(journal, course, settings, now))
