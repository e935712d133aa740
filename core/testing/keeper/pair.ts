import { definitionById } from '../../catalogue/courses/definitions.ts'
import { isActOff } from '../../courses/acts/act-off.ts'
import type { CoursePlan } from '../../courses/plan.ts'
import type { Journal } from '../../journal/journal.ts'
import { USUAL_WAKING } from '../../time/waking.ts'
import { KEEPER_SETTINGS } from './household.ts'
import { Keeper, type DiaryLine, type Trouble } from './keeper.ts'
import { LIFE_STARTS_AT, meet } from './life.ts'
import { TEMPERAMENTS } from './temperaments.ts'

/** One of two courses as it was lived. */
export interface PairLife {
  definitionId: string
  /** When it was closed, ms; null where that was never offered. */
  closedAt: number | null
  atClose: CoursePlan | null
  done: ReadonlyMap<string, number>
}

/** Two courses that ran in one tank. */
export interface Pair {
  journal: Journal
  diary: readonly DiaryLine[]
  troubles: readonly Trouble[]
  first: PairLife
  second: PairLife
}

const { clock } = KEEPER_SETTINGS
const MOST_ROUNDS = 12_000
const PRESS_MS = 1000

/**
 * Lives two courses in one tank by the buttons of their tasks, each task at its best time.
 * @param afterDays day of the first course on which the second is begun, at the same hour
 * @param options choices of both start forms
 * @example
 * livePair('qt-a-cu30', 'qt-add-worm', 6).troubles // []
 */
export function livePair(
  firstId: string,
  secondId: string,
  afterDays: number,
  options: readonly [Readonly<Record<string, string>>, Readonly<Record<string, string>>] = [{}, {}],
): Pair {
  const [one, two] = [firstId, secondId].map((id) => {
    const definition = definitionById(id)
    if (!definition) throw new Error(`no definition is called ${id}`)
    return definition
  }) as [NonNullable<ReturnType<typeof definitionById>>, NonNullable<ReturnType<typeof definitionById>>]
  const keeper = new Keeper(one, options[0], TEMPERAMENTS.steady, 1, LIFE_STARTS_AT, null, secondId)
  const secondAt = clock.instantAt(clock.dayOf(LIFE_STARTS_AT) + afterDays, 9 * 60)
  const lives = new Map<Keeper, PairLife>()
  const running: Keeper[] = []
  const begin = (who: Keeper) => {
    if (who.start()) running.push(who)
    lives.set(who, { definitionId: who.definition.id, closedAt: null, atClose: null, done: who.done })
  }
  begin(keeper)
  const beside = new Keeper(two, options[1], TEMPERAMENTS.steady, 1, secondAt, keeper)
  const met = new Set<string>()
  const lastDay = 2 * Math.max(one.days, afterDays + two.days) + 60
  let now = LIFE_STARTS_AT
  for (let round = 0; round < MOST_ROUNDS && keeper.day(now) <= lastDay; round++) {
    if (!lives.has(beside) && now >= secondAt) begin(beside)
    if (running.length === 0 && lives.has(beside)) break
    const plans = running.map((who) => ({ who, plan: who.plan(now) }))
    for (const { who, plan } of plans) meet(who, plan, now, met)
    if (plans.some(({ who, plan }) => who.answerWaits(plan, now))) continue
    const open = plans.flatMap(({ who, plan }) =>
      plan.tasks.filter((task) => !who.stuck.has(task.id)).map((task) => ({ who, plan, task })),
    )
    const ready = open.find(({ who, task }) => !isActOff(task, now) && who.timeFor(task) <= now)
    if (ready) {
      const { who, plan, task } = ready
      who.do(plan, task, now)
      if (task.act === 'close') {
        lives.set(who, { ...lives.get(who)!, closedAt: now, atClose: plan })
        running.splice(running.indexOf(who), 1)
      }
      now += PRESS_MS
      continue
    }
    const times = [...open.map(({ who, task }) => who.timeFor(task)), ...(lives.has(beside) ? [] : [secondAt])]
    now = Math.min(clock.instantAt(clock.dayOf(now) + 1, USUAL_WAKING.from), ...times.filter((at) => at > now))
  }
  return {
    journal: keeper.journal,
    diary: keeper.diary,
    troubles: keeper.troubles,
    first: lives.get(keeper)!,
    second: lives.get(beside) ?? { definitionId: secondId, closedAt: null, atClose: null, done: beside.done },
  }
}
