import { bandFor, type Parameter } from '../catalogue/parameter.ts'
import { PARAMETERS_AS_ASKED } from '../catalogue/parameters-as-asked.ts'
import { QUARANTINE_TEST_EVERY_DAYS, TEST_EVERY_DAYS } from '../catalogue/test-intervals.data.ts'
import { coursesOf } from '../courses/course.ts'
import { testsOfTask } from '../courses/board/shared-tasks.ts'
import { shortCourseName } from '../courses/names.ts'
import { coursePlan } from '../courses/plan.ts'
import { kitFor, type Kit, type Tank } from '../household/tanks.ts'
import type { Settings } from '../household/settings.ts'
import type { Journal } from '../journal/journal.ts'
import { lastEvidence, lastValue, type ValueReading } from '../readings/evidence.ts'
import { readingsOf } from '../readings/latest.ts'

/** Where a value lies against a band. */
export type BandState = 'low' | 'in' | 'high' | 'no-band'

/** Where a value lies against the comfort band of a kind of tank. @param value in the parameter's unit */
export function bandState(parameter: Parameter, profile: Tank['profile'], value: number): BandState {
  const band = bandFor(parameter, profile)
  if (!band) return 'no-band'
  const [low, high] = band
  if (low !== null && value < low) return 'low'
  return high !== null && value > high ? 'high' : 'in'
}

/** A test of a tank: what it tests with, what it last said, and whether it is due. */
export interface TankTest {
  parameter: Parameter
  kit: Kit | null
  last: ValueReading | null
  state: BandState
  /** Null for a test that nothing asks for. */
  due: { at: number; why: string; isLate: boolean } | null
}

/**
 * The parameters a keeper of a tank tests: those with a comfort band, those a kit of its own is for, those tested there before; copper in
 * quarantine.
 * @param asked by a course that runs there: tested before or not
 */
export const testedIn = (journal: Journal, tank: Tank, asked: ReadonlySet<string> = new Set()): Parameter[] =>
  PARAMETERS_AS_ASKED.filter(
    (parameter) =>
      asked.has(parameter.id) ||
      bandFor(parameter, tank.profile) !== null ||
      (parameter.id === 'copper' && tank.role === 'quarantine') ||
      kitFor(journal, tank.id, parameter.id)?.tankId === tank.id ||
      readingsOf(journal, tank.id, parameter.id).length > 0,
  )

/** What the running courses ask to be tested in a tank: the first instant for each parameter, and the names of all courses that ask. */
function askedByCourses(journal: Journal, tankId: string, settings: Settings, now: number) {
  const asked = new Map<string, { at: number; by: Set<string>; isLate: boolean }>()
  for (const course of coursesOf(journal)) {
    if (course.ended) continue
    const plan = coursePlan(journal, course, settings, now)
    for (const task of plan.tasks) {
      if (task.act !== 'read' || task.tankId !== tankId || task.state === 'ahead') continue
      const parameters = testsOfTask(task, plan)
      for (const parameter of parameters) {
        // Of a task that asks for several what was tested already is done.
        const last = lastEvidence(journal, tankId, parameter, now)
        if (last && last.at >= task.notBefore) continue
        const before = asked.get(parameter)
        asked.set(parameter, {
          at: Math.min(task.best, before?.at ?? Infinity),
          by: new Set([...(before?.by ?? []), shortCourseName(course)]),
          isLate: task.state === 'late' || (before?.isLate ?? false),
        })
      }
    }
  }
  return asked
}

/**
 * What is tested in a tank, in the order in which they are asked for, with what is due: what a course asks for, and what was tested there before and not for
 * its days. A test that was never done there is offered, not asked for.
 * @param now ms
 */
export function testsOf(journal: Journal, tank: Tank, settings: Settings, now: number): TankTest[] {
  const asked = askedByCourses(journal, tank.id, settings, now)
  const today = settings.clock.dayOf(now)
  return testedIn(journal, tank, new Set(asked.keys())).map((parameter) => {
    const last = lastValue(journal, tank.id, parameter.id, now + 1)
    const every = (tank.role === 'display' ? TEST_EVERY_DAYS : QUARANTINE_TEST_EVERY_DAYS)[parameter.id]
    const byHabit = last && every !== undefined ? settings.clock.dayOf(last.at) + every : null
    const course = asked.get(parameter.id)
    return {
      parameter,
      kit: kitFor(journal, tank.id, parameter.id),
      last,
      state: last ? bandState(parameter, tank.profile, last.value) : 'no-band',
      due: course
        ? { at: course.at, why: [...course.by].join(' and '), isLate: course.isLate }
        : byHabit !== null && byHabit <= today
          ? {
              at: settings.clock.instantAt(byHabit),
              why: `every ${every === 1 ? 'day' : `${every} days`}`,
              isLate: byHabit < today - every!,
            }
          : null,
    }
  })
}

/** Whether the last value of a test lies outside its band: it is never folded away. */
export const isOutOfBand = ({ state }: Pick<TankTest, 'state'>): boolean => state === 'low' || state === 'high'

/** Tests that are due come first, the late before the others; then as the catalogue has them. */
export const dueFirst = (a: TankTest, b: TankTest): number =>
  Number(b.due !== null) - Number(a.due !== null) || Number(b.due?.isLate ?? false) - Number(a.due?.isLate ?? false)
