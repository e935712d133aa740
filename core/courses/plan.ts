import type { Settings } from '../household/settings.ts'
import type { Journal } from '../journal/journal.ts'
import type { Day } from '../time/zone.ts'
import { courseClock, type CourseClock } from './course-clock.ts'
import { runningIn, type Course } from './course.ts'
import { copperFacts, knownLevel, type CopperFacts, type KnownLevel } from './copper-facts.ts'
import { rampState, type RampState } from './copper-ramp.ts'
import { copperRules, type RuleState } from './copper-rules.ts'
import { livingOf, watched } from './copper-signs.ts'
import { copperTasks } from './copper-tasks.ts'
import { copperWarnings, type CourseWarning } from './copper-warnings.ts'
import { observationOf, type Observation } from './observation.ts'
import type { CourseTask } from './tasks.ts'

/** What a course is doing. */
export type Phase = 'ramp' | 'hold' | 'proven' | 'observing' | 'ended'

/** A course as it stands: everything its page and the ledger show, worked out from the journal. */
export interface CoursePlan {
  course: Course
  phase: Phase
  facts: CopperFacts
  known: KnownLevel | null
  ramp: RampState
  clock: CourseClock
  rules: RuleState[]
  warnings: CourseWarning[]
  observation: Observation | null
  /** Living animals of the course. */
  living: readonly string[]
  tasks: CourseTask[]
}

/** Days ahead that are worked out. */
export const HORIZON_DAYS = 21

/**
 * Works a course out: computed anew from the protocol and the journal, never stored.
 * @param now     ms
 * @param horizon last local day whose tasks are wanted; three weeks ahead unless said
 */
export function coursePlan(
  journal: Journal,
  course: Course,
  settings: Settings,
  now: number,
  horizon: Day = settings.clock.dayOf(now) + HORIZON_DAYS,
): CoursePlan {
  const facts = copperFacts(journal, course, now)
  const known = knownLevel(facts)
  const ramp = rampState(facts, known)
  const clock = courseClock(facts)
  const seen = watched(journal, course, facts.now)
  const living = livingOf(journal, course)
  const observation = observationOf(journal, facts, clock, seen, living, settings)
  const rules = copperRules({ journal, settings, facts, known, clock, seen })
  const phase: Phase = course.ended
    ? 'ended'
    : observation
      ? 'observing'
      : clock.state === 'complete'
        ? 'proven'
        : ramp.next !== null && clock.state === 'not-started'
          ? 'ramp'
          : 'hold'
  return {
    course,
    phase,
    facts,
    known,
    ramp,
    clock,
    rules,
    warnings: course.ended ? [] : copperWarnings({ journal, settings, facts, clock, seen, observation }),
    observation,
    living,
    tasks: copperTasks({ journal, settings, facts, known, ramp, clock, seen, rules, observation, living }, horizon),
  }
}

/** The plans of all courses that run in a tank. */
export const plansIn = (journal: Journal, tankId: string, settings: Settings, now: number): CoursePlan[] =>
  runningIn(journal, tankId).map((course) => coursePlan(journal, course, settings, now))
