import type { Condition, CountMeasure, Definition, Quantity } from '../../../catalogue/courses/definitions.ts'
import { UNIVERSAL_STOP } from '../../../catalogue/courses/plan-parts.ts'
import { parameterById } from '../../../catalogue/parameter.ts'
import { afterPause } from '../../../evidence/work-left.ts'
import type { Settings } from '../../../household/settings.ts'
import type { Content } from '../../../journal/entry.ts'
import type { Journal } from '../../../journal/journal.ts'
import { iso, MS_PER_DAY } from '../../../time/zone.ts'
import { coursePlan, type CoursePlan } from '../../plan.ts'
import type { RuleState } from '../../rules/rules.ts'
import { courseById } from '../../course.ts'
import { growth } from './work-left.ts'
import { withHappenings } from '../what-if-entry.ts'

/** Something that a plan's rules look at and that may be found otherwise next time. */
export type Asked =
  | { what: 'reading'; id: string; name: string; unit: string }
  | { what: 'count'; id: CountMeasure; name: string; unit: string }

const quantitiesIn = (condition: Condition): Quantity[] => {
  if ('all' in condition) return condition.all.flatMap(quantitiesIn)
  if ('any' in condition) return condition.any.flatMap(quantitiesIn)
  if ('not' in condition) return quantitiesIn(condition.not)
  return 'left' in condition ? [condition.left, condition.right] : []
}

/** The readings and counts that the rules of a plan look at, each once; what every plan looks at comes last. */
export function askedBy({ rules, tracks }: Definition): Asked[] {
  const asked = new Map<string, Asked>()
  const own = rules.filter(({ id }) => id !== UNIVERSAL_STOP.id)
  for (const quantity of [...own, UNIVERSAL_STOP].flatMap(({ when }) => quantitiesIn(when))) {
    if (typeof quantity === 'number') continue
    if ('parameter' in quantity) {
      const parameter = parameterById(quantity.parameter)
      if (parameter)
        asked.set(parameter.id, { what: 'reading', id: parameter.id, name: parameter.name, unit: parameter.unit })
    } else if ('measure' in quantity) {
      const track = tracks.find((one) => one.kind === 'measure' && one.measure === quantity.measure)
      if (track?.kind === 'measure')
        asked.set(track.measure, { what: 'count', id: track.measure, name: track.name, unit: track.unit })
    }
  }
  return [...asked.values()]
}

/** A rule that would hold, or would not hold any more. */
export interface RuleChange extends Pick<RuleState, 'id' | 'role' | 'rule' | 'then'> {
  holds: boolean
}

const holds = ({ state }: RuleState) => state === 'holds'

/** The plan on a copy of the journal in which something happened besides. */
function planWith(
  journal: Journal,
  { course, facts }: CoursePlan,
  happenings: readonly Content[],
  settings: Settings,
  days: number,
): CoursePlan {
  const copy = happenings.length === 0 ? journal : withHappenings(journal, happenings)
  return coursePlan(
    copy,
    courseById(copy, course.id) ?? course,
    settings,
    facts.now,
    settings.clock.dayOf(facts.now) + days,
  )
}

/**
 * "The next test, or count, comes to so much": the rules that would change.
 * @param value in the unit that `asked` names
 * @example
 * ifFound(journal, plan, askedBy(plan.course.definition)[0]!, 17, settings) // [{ id: 'stop-1', holds: true, … }]
 */
export function ifFound(
  journal: Journal,
  plan: CoursePlan,
  asked: Asked,
  value: number,
  settings: Settings,
): RuleChange[] {
  const { course, facts } = plan
  const happened = iso(facts.now)
  const content: Content =
    asked.what === 'reading'
      ? {
          kind: 'reading',
          happened,
          tankId: course.tankId,
          parameter: asked.id,
          result: { kind: 'value', value },
          unit: asked.unit,
        }
      : { kind: 'count', happened, tankId: course.tankId, measure: asked.id, values: [value], courseId: course.id }
  const after = planWith(journal, plan, [content], settings, 1)
  return after.rules.flatMap((rule) => {
    const before = plan.rules.find(({ id }) => id === rule.id)
    return before && holds(before) !== holds(rule)
      ? [
          {
            id: rule.id,
            role: rule.role,
            rule: rule.rule,
            ...(rule.then !== undefined && { then: rule.then }),
            holds: holds(rule),
          },
        ]
      : []
  })
}

/** A step whose next occasion would come at another time. */
interface DateChange {
  step: string
  title: string
  was: number | null
  is: number | null
}

/** Days ahead that are compared: as long as any plan goes on after its end. */
const FAR_DAYS = 200

/** Whether a plan has an end that can still be marked. */
export const canBeEnded = ({ course, facts }: CoursePlan): boolean =>
  course.definition.steps.some(({ act }) => act === 'mark') && !course.ended && facts.endedTreatmentAt === null

/** "The treatment ends now": what would come when, and whether what it is for is reached; null where no end is marked. */
export function ifEnded(
  journal: Journal,
  plan: CoursePlan,
  settings: Settings,
): { dates: DateChange[]; isReached: boolean } | null {
  const { course, facts } = plan
  if (!canBeEnded(plan)) return null
  const before = planWith(journal, plan, [], settings, FAR_DAYS)
  const after = planWith(
    journal,
    plan,
    [{ kind: 'course-mark', happened: iso(facts.now), courseId: course.id, anchor: 'end' }],
    settings,
    FAR_DAYS,
  )
  const first = ({ tasks }: CoursePlan, step: string) => tasks.find((task) => task.step === step) ?? null
  const dates = course.definition.steps.flatMap((step): DateChange[] => {
    const [was, is] = [first(before, step.id), first(after, step.id)]
    return step.act === 'mark' || was?.best === is?.best
      ? []
      : [{ step: step.id, title: step.title, was: was?.best ?? null, is: is?.best ?? null }]
  })
  return { dates, isReached: plan.rules.some((rule) => rule.role === 'success' && holds(rule)) }
}

/** What a pause of some days would cost. */
interface Pause {
  days: number
  /** Occasions of doses and work at the bench that would fall away: they are counted from the start, not put off. */
  missed: readonly { title: string; times: number; of: number }[]
  /** What was counted last, and what it would grow to; null where no two counts say how fast. */
  grows: { name: string; from: number; to: number; doublingDays: number } | null
}

/** Longer than that nobody pauses: it is given up. */
export const MOST_PAUSE_DAYS = 60

/** Measures that double while nobody works at them. */
const GROWING: ReadonlySet<CountMeasure> = new Set(['left', 'pest-count', 'cells', 'coverage'])

/** Whether anybody works at a plan at all, or what it counts may grow: else a pause costs nothing. */
export const canBePaused = ({ steps, tracks }: Definition): boolean =>
  steps.some(({ act }) => act === 'dose' || act === 'bench') ||
  tracks.some((track) => track.kind === 'measure' && GROWING.has(track.measure))

/** "Nobody works at it for so many days": what falls away, and what grows. */
export function ifPaused(journal: Journal, plan: CoursePlan, days: number, settings: Settings): Pause {
  const { facts, course } = plan
  const until = facts.now + days * MS_PER_DAY
  const ahead = planWith(journal, plan, [], settings, FAR_DAYS).tasks.filter(
    ({ act }) => act === 'dose' || act === 'bench',
  )
  const missed = course.definition.steps.flatMap(({ id, title }) => {
    const of = ahead.filter(({ step }) => step === id)
    const times = of.filter(({ notAfter }) => notAfter <= until).length
    return times > 0 ? [{ title, times, of: of.length }] : []
  })
  const growing = plan.measures.find((one) => GROWING.has(one.track.measure) && growth(one.rounds) !== null)
  const doubling = growing ? growth(growing.rounds) : null
  const last = growing?.last?.value
  return {
    days,
    missed,
    grows:
      growing && doubling !== null && last !== undefined
        ? { name: growing.track.name, from: last, to: afterPause(last, doubling, days), doublingDays: doubling }
        : null,
  }
}
