import { definitionById, type Definition } from '../../catalogue/courses/definitions.ts'
import { isActOff } from '../../courses/acts/act-off.ts'
import type { CoursePlan } from '../../courses/plan.ts'
import type { RuleState } from '../../courses/rules/rules.ts'
import type { Journal } from '../../journal/journal.ts'
import { USUAL_WAKING } from '../../time/waking.ts'
import { MS_PER_DAY } from '../../time/zone.ts'
import { KEEPER_SETTINGS } from './household.ts'
import { Keeper, type DiaryLine, type SeenDay, type Trouble } from './keeper.ts'
import { TEMPERAMENTS, type Temperament, type TemperamentId } from './temperaments.ts'

/** A course as it was lived from its start form to its close. */
export interface Life {
  definition: Definition
  /** Who lived it: a later life goes on in the same household. */
  keeper: Keeper
  diary: readonly DiaryLine[]
  troubles: readonly Trouble[]
  journal: Journal
  startedAt: number
  /** When it was closed, ms; null where its close was never offered within twice its days and 60. */
  closedAt: number | null
  /** The course as it stood before its close was pressed, and a day after. */
  atClose: CoursePlan | null
  after: CoursePlan | null
  /** What the course said at each look of a blind or unlucky keeper. */
  seen: readonly SeenDay[]
  /** How often each step was done. */
  done: ReadonlyMap<string, number>
}

const { clock } = KEEPER_SETTINGS
/** A life that takes more than this goes in circles. */
const MOST_ROUNDS = 6000
/** From one press to the next, ms. */
const PRESS_MS = 1000
/** A Monday morning of late summer in Lisbon, before the clock changes. */
export const LIFE_STARTS_AT = Date.parse('2026-09-07T08:00:00Z')

/**
 * Lives a course from its start form to its close, by the buttons of its tasks.
 * @param options choices of the start form; its defaults where they are left out
 * @param isFailing what is counted gets worse; else it follows the plan's expected path
 * @param happens what befalls this life besides its temperament's; says whether anything was written
 * @param after   the life before it, in whose household it begins, and how many days later
 * @example
 * liveCourse('fallow-76', 'steady').closedAt // 77 days later
 */
export function liveCourse(
  definitionId: string,
  temperamentId: TemperamentId,
  {
    seed = 1,
    options = {},
    isFailing = false,
    happens,
    after,
  }: {
    seed?: number
    options?: Readonly<Record<string, string>>
    isFailing?: boolean
    happens?: Temperament['happens']
    after?: { life: Life; days: number }
  } = {},
): Life {
  const definition = definitionById(definitionId)
  if (!definition) throw new Error(`no definition is called ${definitionId}`)
  const temperament = { ...TEMPERAMENTS[temperamentId], isFailing, ...(happens && { happens }) }
  const startsAt = after ? after.life.closedAt! + after.days * MS_PER_DAY : LIFE_STARTS_AT
  const keeper = new Keeper(definition, options, temperament, seed, startsAt, after?.life.keeper ?? null)
  const { diary, troubles, journal, done, startedAt, seen } = keeper
  const life = { definition, keeper, diary, troubles, journal, startedAt, done, seen }
  const unclosed: Life = { ...life, closedAt: null, atClose: null, after: null }
  if (!keeper.start()) return unclosed
  const lastDay = temperament.untilDay ?? definition.days * 2 + 60
  const met = new Set<string>()
  let now = startedAt
  for (let round = 0; round < MOST_ROUNDS && keeper.day(now) <= lastDay; round++) {
    const plan = keeper.plan(now)
    meet(keeper, plan, now, met)
    if (temperament.happens?.(keeper, plan, now) || keeper.answerWaits(plan, now)) continue
    const open = plan.tasks.filter((task) => !keeper.stuck.has(task.id) && !temperament.skips?.(task, keeper.day(now)))
    const ready = open.find((task) => !isActOff(task, now) && keeper.timeFor(task) <= now)
    if (ready) {
      keeper.do(plan, ready, now)
      if (ready.act === 'close')
        return { ...life, closedAt: now, atClose: plan, after: keeper.plan(now + MS_PER_DAY, 60) }
      now += PRESS_MS
      continue
    }
    const times = open.map((task) => keeper.timeFor(task)).filter((at) => at > now)
    now = Math.min(clock.instantAt(clock.dayOf(now) + 1, USUAL_WAKING.from), ...times)
  }
  return unclosed
}

/** Writes down what a keeper should not meet: what is late, a rule that says that something went wrong. Each once. */
export function meet(keeper: Keeper, plan: CoursePlan, now: number, met: Set<string>): void {
  const once = (key: string, law: Trouble['law'], words: string) => {
    if (met.has(key)) return
    met.add(key)
    keeper.trouble(now, law, words)
  }
  for (const task of plan.tasks)
    if (task.state === 'late')
      once(`late:${task.id}`, 'late', `${task.id}: ${task.title}, until ${new Date(task.notAfter).toISOString()}`)
  for (const rule of [...plan.rules, ...plan.events])
    if (isWrong(rule)) once(`rule:${rule.id}`, 'rule', `${rule.id} ${rule.state}: ${rule.rule}; ${rule.says}`)
}

/** Whether a rule says that something went wrong; a gate that is shut for now is none of it. */
const isWrong = ({ role, state }: RuleState): boolean =>
  role === 'stop' || role === 'event' || role === 'escalate' ? state === 'holds' : role !== 'gate' && state === 'broken'
