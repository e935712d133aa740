import type { Condition, Op, Quantity } from '../../catalogue/courses/definitions.ts'
import { MS_PER_DAY, MS_PER_HOUR } from '../../time/zone.ts'
import { readingsOf } from '../../readings/latest.ts'
import { roundsOf } from '../tracks/measure.ts'
import { lastScores } from '../tracks/series.ts'
import { sessionDays } from '../tracks/sessions.ts'
import type { Judged, RuleInput } from './rules.ts'

export type Comparison = Extract<Condition, { left: Quantity }>

const COMPARE: Record<Op, (left: number, right: number) => boolean> = {
  '<': (left, right) => left < right,
  '<=': (left, right) => left <= right,
  '>': (left, right) => left > right,
  '>=': (left, right) => left >= right,
}

interface Taken {
  at: number
  value: number
}

/** The plain values of a parameter that bear on a course: from the day before its start on. */
function valuesOf({ journal, facts }: RuleInput, parameter: string): Taken[] {
  const { course, now } = facts
  return readingsOf(journal, course.tankId, parameter).flatMap(({ at, content }) =>
    at <= now && at >= course.startedAt - BASELINE_DAYS * MS_PER_DAY && content.result.kind === 'value'
      ? [{ at, value: content.result.value }]
      : [],
  )
}

/** A test of the two days before the start is the value of the start: outbreaks.md 5.2, blackout-marine 1. */
const BASELINE_DAYS = 2

/** Between a value and the one of the day before lie so many hours, at least and at most. */
const DAY_APART_HOURS = [12, 36] as const

/** How much a parameter has changed since about a day ago. */
function dayChange(values: readonly Taken[]): number | null {
  const last = values.at(-1)
  const before = last && values.findLast(({ at }) => last.at - at >= DAY_APART_HOURS[0] * MS_PER_HOUR)
  return !last || !before || last.at - before.at > DAY_APART_HOURS[1] * MS_PER_HOUR ? null : last.value - before.value
}

/** How the parts of a round make one figure, where no track of the course says so. */
const HOW = 'sum'

/** The rounds of a measure as the course's own track puts them together. */
const roundsIn = (
  { facts, settings }: RuleInput,
  measure: Parameters<typeof roundsOf>[1],
): ReturnType<typeof roundsOf> => {
  const track = facts.course.definition.tracks.find((one) => one.kind === 'measure' && one.measure === measure)
  return roundsOf(facts, measure, track?.kind === 'measure' ? track.of : HOW, settings.clock)
}

/** What a quantity is now; null where it was not measured yet. */
function quantityNow(input: RuleInput, asked: Quantity): number | null {
  if (typeof asked === 'number') return asked
  if ('day' in asked)
    return input.settings.clock.dayOf(input.facts.now) - input.settings.clock.dayOf(input.facts.course.startedAt)
  if ('parameter' in asked) {
    const values = valuesOf(input, asked.parameter)
    if (asked.at === 'day-change') return dayChange(values)
    const one = asked.at === 'start' ? values[0] : values.at(-1)
    return one === undefined ? null : one.value * (asked.times ?? 1)
  }
  if ('measure' in asked) {
    const rounds = roundsIn(input, asked.measure)
    const one = asked.at === 'start' ? rounds[0] : rounds.at(-1)
    return one === undefined ? null : one.value * (asked.times ?? 1) + (asked.plus ?? 0)
  }
  if ('rounds' in asked) return sessionDays(input.facts, input.settings.clock)
  const scores = input.series ? lastScores(input.series, asked.arm) : []
  if (scores.length === 0) return null
  return asked.of === 'least' ? Math.min(...scores) : Math.max(...scores)
}

/** Every value of a quantity that was ever taken in the course. */
const takenOf = (input: RuleInput, asked: Quantity): readonly Taken[] =>
  typeof asked === 'object' && 'parameter' in asked
    ? valuesOf(input, asked.parameter)
    : typeof asked === 'object' && 'measure' in asked
      ? roundsIn(input, asked.measure)
      : []

/** Those at the end of a list that hold and are so many hours apart: how many weeks on end. */
function onEnd(values: readonly Taken[], holds: (value: number) => boolean, apartHours: number): number {
  let count = 0
  let next = Infinity
  for (let i = values.length - 1; i >= 0; i--) {
    const { at, value } = values[i]!
    if (!holds(value)) break
    if (next - at < apartHours * MS_PER_HOUR) continue
    count++
    next = at
  }
  return count
}

/** Since when, on end, every value has held; null where the last one does not. */
function heldSince(values: readonly Taken[], holds: (value: number) => boolean): number | null {
  let since: number | null = null
  for (let i = values.length - 1; i >= 0 && holds(values[i]!.value); i--) since = values[i]!.at
  return since
}

/** How a comparison stands: now, on the last rounds, or on every value of some days. */
export function compared(input: RuleInput, condition: Comparison): Judged {
  const { left, op, right, onLast, apartHours = 0, forDays } = condition
  const [is, limit] = [quantityNow(input, left), quantityNow(input, right)]
  if (is === null || limit === null) return { state: 'not-yet', says: 'not measured yet' }
  const holds = (value: number) => COMPARE[op](value, limit)
  if (onLast !== undefined) {
    const count = Math.min(onLast, onEnd(takenOf(input, left), holds, apartHours))
    return {
      state: count >= onLast ? 'holds' : 'not-yet',
      says: `${count} of ${onLast} on end`,
      is: count,
      limit: onLast,
      near: count / onLast,
    }
  }
  if (forDays !== undefined) {
    const since = heldSince(takenOf(input, left), holds)
    const days = since === null ? 0 : Math.min(forDays, Math.floor((input.facts.now - since) / MS_PER_DAY))
    return {
      state: days >= forDays ? 'holds' : 'not-yet',
      says: `${days} of ${forDays} days`,
      is: days,
      limit: forDays,
      near: days / forDays,
    }
  }
  return {
    state: holds(is) ? 'holds' : 'not-yet',
    says: `${plain(is)} of ${plain(limit)}`,
    is,
    limit,
    near: nearness(op, is, limit),
  }
}

/** How near a value is to its limit, 0 to 1: over it, or under it, as the comparison asks. */
function nearness(op: Op, is: number, limit: number): number {
  const [part, whole] = op === '>' || op === '>=' ? [is, limit] : [limit, is]
  return whole <= 0 ? 1 : Math.min(1, Math.max(0, part / whole))
}

const plain = (value: number) => Number(value.toPrecision(3))
