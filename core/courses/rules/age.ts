import type { Quantity, Step } from '../../catalogue/courses/definitions.ts'
import { MS_PER_DAY, MS_PER_HOUR } from '../../time/zone.ts'
import type { RuleInput } from './rules.ts'

/** Evidence may be so many intervals of its test old: courses.md, evidence. */
const INTERVALS = 1.5
/** Where no step tests it again and again, so many hours. */
const ELSE_HOURS = 48
/** Whether a step tests or counts a quantity. */
function brings({ act, parameters, measure }: Step, asked: Quantity): boolean {
  if (typeof asked === 'number') return false
  if ('parameter' in asked) return act === 'read' && (parameters ?? []).includes(asked.parameter)
  if ('measure' in asked) return act === 'count' && measure === asked.measure
  return 'series' in asked && act === 'count' && measure === 'patch-stage'
}

/** When a quantity is tested by its course. */
export interface Interval {
  days: number
  /** From when on, ms. */
  from: number
}

/**
 * How often a course tests a quantity at an instant.
 * @returns null where no step of that time does so again and again
 */
export function intervalOf(
  { facts, settings }: Pick<RuleInput, 'facts' | 'settings'>,
  asked: Quantity,
): Interval | null {
  const { clock } = settings
  const { course, now, endedTreatmentAt } = facts
  const today = clock.dayOf(now)
  const found = course.definition.steps.flatMap((step): Interval[] => {
    const { due } = step
    if ('by' in due || !due.every || !brings(step, asked)) return []
    const isAfter = due.of === 'end'
    if (isAfter !== (endedTreatmentAt !== null) && (isAfter || due.until === 'end')) return []
    const anchor = clock.dayOf(isAfter ? endedTreatmentAt! : course.startedAt)
    const last = due.until === 'end' ? Infinity : (due.until ?? due.day)
    // The last one still stands for its own time.
    return today >= anchor + due.day && today <= anchor + last + due.every * INTERVALS
      ? [{ days: due.every, from: clock.instantAt(anchor + Math.floor(due.day)) }]
      : []
  })
  return found.reduce<Interval | null>((least, one) => (least && least.days <= one.days ? least : one), null)
}

/** A number that is measured again and again: a limit, a day and rounds that were done have no age. */
export const isMeasured = (asked: Quantity): boolean =>
  typeof asked === 'object' && ('parameter' in asked || 'measure' in asked || 'series' in asked)

/**
 * Until when a measured value speaks: one and a half intervals of its test, 48 h where none is named.
 * @param at when it was taken, ms; `-Infinity` where it never was
 * @returns ms; `Infinity` for what has no age
 */
export function speaksUntil(input: RuleInput, asked: Quantity, at: number): number {
  if (!isMeasured(asked) || (typeof asked === 'object' && 'at' in asked && asked.at === 'start')) return Infinity
  const interval = intervalOf(input, asked)
  // What was counted to the end of its days stands: a dead jar stays dead.
  if (!interval && hasBeenCounted(input, asked)) return Infinity
  return at + (interval ? interval.days * INTERVALS * 24 : ELSE_HOURS) * MS_PER_HOUR
}

/** Whether a step counted it again and again, and its days are over. */
const hasBeenCounted = ({ facts, settings: { clock } }: RuleInput, asked: Quantity): boolean =>
  typeof asked === 'object' &&
  !('parameter' in asked) &&
  facts.course.definition.steps.some(
    (step) =>
      !('by' in step.due) &&
      step.due.of !== 'end' &&
      step.due.every !== undefined &&
      typeof step.due.until === 'number' &&
      brings(step, asked) &&
      clock.dayOf(facts.now) > clock.dayOf(facts.course.startedAt) + step.due.until,
  )

/** Since when nobody has tested what a step of the course tests: null where no step does. */
export function untestedSince(input: RuleInput, asked: Quantity): number | null {
  const interval = isMeasured(asked) ? intervalOf(input, asked) : null
  return interval && interval.from + interval.days * INTERVALS * MS_PER_DAY
}

/** Whether a value of the start is one: from before it, or from its first local day. */
export const isOfStart = ({ facts, settings: { clock } }: RuleInput, at: number): boolean =>
  at < clock.instantAt(clock.dayOf(facts.course.startedAt) + 1)

/** Days between two looks of a stretch at most: counts once a week, tests every three days (with a window's leeway, EA). */
const GAP_DAYS = { counted: 8, tested: 3.5 } as const
/** Tests that a stretch rests on at least. */
const LEAST_TESTS = 3

/** Whether the looks of a stretch are many enough to say that something held all of it. */
export function isLookedAt(
  input: RuleInput,
  asked: Quantity,
  looks: readonly number[],
  from: number,
  until: number,
): boolean {
  const isTest = typeof asked === 'object' && 'parameter' in asked
  // A plan that looks less often has its own reason: a trap on day 14 and 28.
  const own = isTest ? 0 : (intervalOf(input, asked)?.days ?? 0) + 1
  const most = Math.max(own, isTest ? GAP_DAYS.tested : GAP_DAYS.counted) * MS_PER_DAY
  const within = looks.filter((at) => at >= from && at <= until)
  const marks = [from, ...within, until]
  return (!isTest || within.length >= LEAST_TESTS) && marks.every((at, i) => i === 0 || at - marks[i - 1]! <= most)
}
