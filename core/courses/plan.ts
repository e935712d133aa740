import type { Settings } from '../household/settings.ts'
import type { Journal } from '../journal/journal.ts'
import type { Day } from '../time/zone.ts'
import { isDrugCourse, runningIn, type Course, type DrugCourse } from './course.ts'
import {
  isDrugRecord,
  knownLevel,
  recordOf,
  type CourseRecord,
  type DrugRecord,
  type KnownLevel,
} from './record/record.ts'
import { rampState, type RampState } from './amounts/ramp.ts'
import { rulesOf, type RuleState } from './rules/rules.ts'
import type { DrugState } from './steps/step-input.ts'
import { tasksOf } from './steps/steps.ts'
import type { CourseTask } from './tasks.ts'
import { countAllDoses, type DosesState } from './tracks/doses.ts'
import type { HoldCount } from './tracks/hold.ts'
import { countFishless, type FishlessState } from './tracks/fishless.ts'
import { countLevel, isTested } from './tracks/level.ts'
import { countRounds, type RoundsState } from './tracks/rounds.ts'
import { countSalinity, type SalinityState } from './tracks/salinity.ts'
import { countMeasures, type MeasureState } from './tracks/measure.ts'
import { countSeries, type SeriesState } from './tracks/series.ts'
import { countDips, type DipsState } from './tracks/dips.ts'
import { countElapsed, type ElapsedState } from './tracks/elapsed.ts'
import { observationOf, watchFromOf, type Observation } from './tracks/watch.ts'
import { warningsOf, type CourseWarning } from './warnings/warnings.ts'
import { livingOf, watched } from './record/watched.ts'

/** What a course is doing. */
export type Phase =
  | 'ahead'
  | 'ramp'
  | 'hold'
  | 'proven'
  | 'moving'
  | 'planned'
  | 'dosing'
  | 'fishless'
  | 'dipping'
  | 'observing'
  | 'ended'

/** A course as it stands: everything its page and the ledger show, worked out from the journal. */
export interface CoursePlan {
  course: Course
  phase: Phase
  facts: CourseRecord
  /** Moves and baths of a transfer; null for other courses. */
  rounds: RoundsState | null
  /** Scores of a plan's parts; null for other courses. */
  series: SeriesState | null
  /** Measures of a plan, in the order of its definition. */
  measures: readonly MeasureState[]
  /** Days without fish; null for other courses. */
  fishless: FishlessState | null
  /** Salinity held low; null for other courses. */
  salinity: SalinityState | null
  /** Counts of doses, in the order of the definition. */
  doses: readonly DosesState[]
  /** Dips of corals; null for other courses. */
  dips: DipsState | null
  /** Days that pass, whatever happens; null for other courses. */
  elapsed: ElapsedState | null
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

/** A level that is held, as its strip shows it. */
export interface HeldLevel {
  clock: HoldCount
  /** By readings; else by what was dosed. */
  isProven: boolean
  /** Which side of its range breaks it. */
  breaks: 'under' | 'over'
}

/** The level that a course holds: its drug's, or the salinity; null for other courses. */
export function heldLevelOf(plan: CoursePlan): HeldLevel | null {
  if (isDrugPlan(plan)) return { clock: plan.clock, isProven: isTested(plan.facts), breaks: 'under' }
  return plan.salinity ? { clock: plan.salinity.clock, isProven: true, breaks: 'over' } : null
}

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
    salinity,
    doses,
    observation,
  }: {
    drug: DrugState | null
    rounds: RoundsState | null
    salinity: SalinityState | null
    doses: readonly DosesState[]
    observation: Observation | null
  },
): Phase {
  if (course.ended) return 'ended'
  if (course.startedAt > now) return 'ahead'
  if (observation) return 'observing'
  if (rounds) return 'moving'
  if (salinity)
    return salinity.clock.state === 'complete' ? 'proven' : salinity.clock.runFrom === null ? 'ramp' : 'hold'
  if (!drug)
    return course.definition.lead === 'fishless'
      ? 'fishless'
      : course.definition.lead === 'dips'
        ? 'dipping'
        : doses.length > 0
          ? 'dosing'
          : 'planned'
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
  const salinity = countSalinity(facts)
  const elapsed = countElapsed(facts, settings.clock)
  const dips = countDips(facts, settings.clock)
  const seen = watched(journal, course, facts.now)
  const living = livingOf(journal, course)
  const clock = drug?.clock ?? null
  const observation = observationOf(journal, facts, { clock, rounds, salinity }, seen, living, settings)
  const doses = countAllDoses(facts, watchFromOf({ observation, clock, rounds, salinity }))
  const counted = { journal, settings, facts, drug, rounds, series, fishless, salinity, doses, dips, elapsed, seen }
  const rules = rulesOf(counted)
  const tasks = tasksOf({ ...counted, rules, observation, living, horizon })
  return {
    course,
    phase: phaseOf(course, now, { drug, rounds, salinity, doses, observation }),
    facts,
    rounds,
    series,
    measures: countMeasures(facts, settings.clock),
    fishless,
    salinity,
    doses,
    dips,
    elapsed,
    rules: rules.filter(({ role }) => role !== 'event'),
    events: rules.filter(({ role }) => role === 'event'),
    warnings: course.ended ? [] : warningsOf({ ...counted, rules, tasks, observation }),
    observation,
    living,
    tasks: course.startedAt > now ? tasks.map((task) => ({ ...task, state: 'ahead' as const })) : tasks,
    ...drug,
  }
}

/** The plans of all courses that run in a tank. */
export const plansIn = (journal: Journal, tankId: string, settings: Settings, now: number): CoursePlan[] =>
  runningIn(journal, tankId).map((course) => coursePlan(journal, course, settings, now))
