import { AGAINST, PLAN_WANTS, type Want } from '../../catalogue/courses/wants.data.ts'
import { doseById } from '../../catalogue/treatments/treatments.ts'
import { isCopper } from '../../catalogue/treatments/groups.ts'
import type { Settings } from '../../household/settings.ts'
import type { Journal } from '../../journal/journal.ts'
import { gravityOfPsu } from '../../salinity/gravity.ts'
import { levelOf } from '../../safety/water/level.ts'
import { runningIn, type Course } from '../course.ts'
import { shortCourseName } from '../names.ts'
import { coursePlan, isDrugPlan, type CoursePlan } from '../plan.ts'
import { drugWord } from '../steps/step-input.ts'
import type { CourseTask } from '../tasks.ts'
import { fishlessTrackOf } from '../tracks/fishless.ts'
import { sharedTasks, testsOfTask } from './shared-tasks.ts'

/** What is held in the water, with where it is now. */
export interface HeldOnBoard {
  courseId: string
  word: string
  unit: 'mg/L' | 'SG'
  low: number
  high: number
  target: number
  /** Null where nobody can say. */
  now: number | null
}

/** An order of one course to the water. */
export interface BoardOrder extends Want {
  courseId: string
  course: string
}

/** Two orders that cannot both be followed: the first is to be followed. */
export interface BoardConflict {
  follow: BoardOrder
  wait: BoardOrder
}

/** What all courses of one tank want of its water. */
export interface TankBoard {
  tankId: string
  courses: readonly { id: string; name: string }[]
  held: readonly HeldOnBoard[]
  /** Orders that nothing speaks against, each once, with the courses that give it. */
  orders: readonly (Want & { courses: readonly string[] })[]
  conflicts: readonly BoardConflict[]
  /** Parameters that are still to be tested today, each once. */
  testsToday: readonly string[]
  /** What is changed today for all of them, litres; null for nothing. */
  changeToday: CourseTask | null
}

/** Whose order comes first where two cannot both be followed: what keeps animals alive before what looks better. */
const RANK: Readonly<Record<Course['definition']['kind'], number>> = {
  school: 0,
  'add-on': 0,
  fallow: 1,
  coral: 2,
  plan: 3,
}

/** What a course asks of its water by what it holds, doses and counts. */
function wantsOf(plan: CoursePlan): Want[] {
  const { course, observation, doses } = plan
  const { definition } = course
  // Before its first dose is given nothing is in the water yet.
  const dosed = doses.filter(
    ({ track, state, done }) =>
      state !== 'full' && (done.length > 0 || track.first.after === 'start') && doseById(track.dose)?.route === 'tank',
  )
  const isHeld = isDrugPlan(plan) && !observation
  const medicine = isHeld ? drugWord(plan.course) : dosed.length > 0 ? 'the medicine' : null
  return [
    ...(medicine === null
      ? []
      : [
          { thing: 'carbon', wanted: 'off', why: `it takes ${medicine} out` } as const,
          { thing: 'uv', wanted: 'off', why: `it takes ${medicine} apart: off for the whole course` } as const,
        ]),
    ...(isHeld && isCopper(plan.course.dose.agent)
      ? [
          { thing: 'invertebrates', wanted: 'none', why: 'copper kills them' } as const,
          { thing: 'grazers', wanted: 'none', why: 'copper kills snails, crabs and shrimp' } as const,
        ]
      : []),
    ...(plan.salinity && !observation
      ? [
          { thing: 'auto-top-off', wanted: 'off', why: 'it is topped up by hand after a reading' } as const,
          { thing: 'invertebrates', wanted: 'none', why: 'they die at a low salinity' } as const,
        ]
      : []),
    ...(fishlessTrackOf(definition) && plan.fishless?.state !== 'full'
      ? [{ thing: 'fish', wanted: 'none', why: 'its days without fish are counted' } as const]
      : []),
    ...(PLAN_WANTS[definition.id] ?? []),
  ]
}

function heldOf(journal: Journal, plan: CoursePlan, now: number): HeldOnBoard[] {
  const { course, observation, salinity } = plan
  if (observation) return []
  if (isDrugPlan(plan)) {
    const { dose } = plan.course
    return [
      {
        courseId: course.id,
        word: drugWord(plan.course),
        unit: 'mg/L',
        low: dose.low,
        high: dose.high,
        target: dose.target,
        now: levelOf(journal, course.tankId, dose.agent, now, { isHeld: true }).mgPerL,
      },
    ]
  }
  const track = course.definition.tracks.find((one) => one.kind === 'hold' && one.by === 'salinity')
  if (!salinity || track?.kind !== 'hold' || track.by !== 'salinity') return []
  const last = plan.facts.salinities.at(-1)
  return [
    {
      courseId: course.id,
      word: 'salinity',
      unit: 'SG',
      low: track.low,
      high: track.high,
      target: track.target,
      now: last ? gravityOfPsu(last.psu) : null,
    },
  ]
}

const isAgainst = (a: Want, b: Want): boolean =>
  a.thing === b.thing &&
  AGAINST.some(([x, y]) => (a.wanted === x && b.wanted === y) || (a.wanted === y && b.wanted === x))

/** Every two orders that cannot both be followed, the one to follow first. */
function conflictsOf(orders: readonly (BoardOrder & { rank: number })[]): BoardConflict[] {
  return orders.flatMap((one, i) =>
    orders
      .slice(i + 1)
      .filter((other) => isAgainst(one, other))
      .map((other) => (one.rank <= other.rank ? { follow: one, wait: other } : { follow: other, wait: one })),
  )
}

/**
 * What all courses that run in a tank want of its one water, settled: what is held, what is off, what is tested and changed once for all of
 * them, and which orders cannot both be followed.
 * @param now ms
 * @returns null where no course runs there
 * @example
 * boardOf(journal, 'quar', settings, now)?.held // [{ word: 'copper', low: 2, high: 2.5, target: 2.25, now: 2.1, … }]
 */
export function boardOf(journal: Journal, tankId: string, settings: Settings, now: number): TankBoard | null {
  const today = settings.clock.dayOf(now)
  const plans = runningIn(journal, tankId)
    .filter((course) => course.tankId === tankId && course.startedAt <= now)
    .map((course) => coursePlan(journal, course, settings, now, today))
  if (plans.length === 0) return null
  const orders = plans.flatMap((plan) =>
    wantsOf(plan).map((want) => ({
      ...want,
      courseId: plan.course.id,
      course: shortCourseName(plan.course),
      rank: RANK[plan.course.definition.kind],
    })),
  )
  const conflicts = conflictsOf(orders)
  const waiting = new Set(conflicts.map(({ wait }) => wait))
  const settled = new Map<string, Want & { courses: string[] }>()
  for (const order of orders) {
    if (waiting.has(order)) continue
    const key = `${order.thing}/${order.wanted}`
    const same = settled.get(key)
    if (same) {
      if (!same.courses.includes(order.course)) same.courses.push(order.course)
    } else settled.set(key, { thing: order.thing, wanted: order.wanted, why: order.why, courses: [order.course] })
  }
  const due = sharedTasks(plans.flatMap(({ tasks }) => tasks)).filter(
    (task) => task.tankId === tankId && (task.state !== 'ahead' || settings.clock.dayOf(task.best) <= today),
  )
  const tests = due.flatMap((task) => {
    const plan = plans.find(({ course }) => course.id === task.courseId)
    return task.act === 'read' && plan ? testsOfTask(task, plan) : []
  })
  return {
    tankId,
    courses: plans.map(({ course }) => ({ id: course.id, name: shortCourseName(course) })),
    held: plans.flatMap((plan) => heldOf(journal, plan, now)),
    orders: [...settled.values()],
    conflicts,
    testsToday: [...new Set(tests)],
    changeToday: due.find(({ change }) => change !== undefined) ?? null,
  }
}
