import type { Condition, Op, Quantity } from '../../catalogue/courses/definitions.ts'
import { MS_PER_DAY, MS_PER_HOUR } from '../../time/zone.ts'
import { holds, levelsOf, type Verdict } from '../../readings/evidence.ts'
import { FALL_A_DAY, RAISE_A_DAY, TENDER_PARAMETERS } from '../../catalogue/daily-caps.data.ts'
import { bandFor, parameterById } from '../../catalogue/parameter.ts'
import { hasSmallPolyps } from '../../household/corals.ts'
import { tankById } from '../../household/tanks.ts'
import { dayBeside } from '../../time/words.ts'
import { intervalOf, isLookedAt, isMeasured, isOfStart, speaksUntil, untestedSince } from './age.ts'
import { roundsOf } from '../tracks/measure.ts'
import { lastScores } from '../tracks/series.ts'
import { sessionDays } from '../tracks/sessions.ts'
import type { Judged, RuleInput } from './rules.ts'

export type Comparison = Extract<Condition, { left: Quantity }>

/** What is known of a quantity at an instant: both ends are equal for a plain value. */
interface Taken {
  at: number
  low: number
  high: number
}

/** A number that has no instant of its own: a limit, or the day of the course. */
const plainly = (value: number, at = -Infinity): Taken => ({ at, low: value, high: value })

/** The trusted readings of a parameter that bear on a course: from the day before its start on. */
function takenReadings({ journal, facts }: RuleInput, parameter: string): Taken[] {
  const { course, now } = facts
  return levelsOf(journal, course.tankId, parameter)
    .filter(({ at }) => at <= now && at >= course.startedAt - BASELINE_DAYS * MS_PER_DAY)
    .map(({ at, low, high }) => ({ at, low, high }))
}

/** A test of the two days before the start is the value of the start: outbreaks.md 5.2, blackout-marine 1. */
const BASELINE_DAYS = 2

/** Between a value and the one of the day before lie so many hours, at least and at most. */
const DAY_APART_HOURS = [12, 36] as const

/** The last of some values and the one of about a day before it; null where either is missing. */
export function dayApart<T extends { at: number }>(values: readonly T[]): { last: T; before: T } | null {
  const last = values.at(-1)
  const before = last && values.findLast(({ at }) => last.at - at >= DAY_APART_HOURS[0] * MS_PER_HOUR)
  return !last || !before || last.at - before.at > DAY_APART_HOURS[1] * MS_PER_HOUR ? null : { last, before }
}

/** How much a parameter has changed since about a day ago. */
function dayChange(values: readonly Taken[]): Taken | null {
  const pair = dayApart(values)
  return pair && { at: pair.last.at, low: pair.last.low - pair.before.high, high: pair.last.high - pair.before.low }
}

/** How much a parameter may change in a day in the tank of a course; of a fall, from the level of the day before. */
function dayCapNow(input: RuleInput, asked: Extract<Quantity, { dayCap: unknown }>): Taken | null {
  const { journal, facts } = input
  const isTender = hasSmallPolyps(journal, facts.course.tankId)
  if (asked.dayCap === 'rise')
    return plainly(RAISE_A_DAY[asked.of][isTender && TENDER_PARAMETERS.has(asked.of) ? 'careful' : 'usual'])
  const before = dayApart(takenReadings(input, asked.of))?.before
  return before ? plainly(-FALL_A_DAY[asked.of][isTender ? 'careful' : 'usual'](nearEnd(before))) : null
}

/** An end of the tank's own band of a parameter; of a reef with small-polyp corals where no band was chosen. */
function bandEndNow({ journal, facts }: RuleInput, asked: Extract<Quantity, { bandEnd: unknown }>): Taken {
  const { tankId } = facts.course
  const profile = tankById(journal, tankId)?.profile ?? (hasSmallPolyps(journal, tankId) ? 'reef-sps' : undefined)
  const parameter = parameterById(asked.of)
  return plainly((parameter && bandFor(parameter, profile))?.[asked.bandEnd === 'low' ? 0 : 1] ?? asked.usual)
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

/** A quantity times a factor that is not negative, and more by so much. */
const scaled = ({ at, low, high }: Taken, times = 1, plus = 0): Taken => ({
  at,
  low: low * times + plus,
  high: high * times + plus,
})

const roundsTaken = (input: RuleInput, measure: Parameters<typeof roundsOf>[1]): Taken[] =>
  roundsIn(input, measure).map(({ at, value }) => plainly(value, at))

/** What a quantity is now; null where it was not measured yet. */
function quantityNow(input: RuleInput, asked: Quantity): Taken | null {
  if (typeof asked === 'number') return plainly(asked)
  if ('day' in asked)
    return plainly(
      input.settings.clock.dayOf(input.facts.now) - input.settings.clock.dayOf(input.facts.course.startedAt),
    )
  if ('parameter' in asked) {
    const values = takenReadings(input, asked.parameter)
    if (asked.at === 'day-change') return dayChange(values)
    const one = asked.at === 'start' ? values[0] : values.at(-1)
    return one === undefined ? null : scaled(one, asked.times)
  }
  if ('measure' in asked) {
    const rounds = roundsTaken(input, asked.measure)
    const one = asked.at === 'start' ? rounds[0] : rounds.at(-1)
    return one === undefined ? null : scaled(one, asked.times, asked.plus)
  }
  if ('dayCap' in asked) return dayCapNow(input, asked)
  if ('bandEnd' in asked) return bandEndNow(input, asked)
  if ('rounds' in asked) return plainly(sessionDays(input.facts, input.settings.clock))
  const scores = input.series ? lastScores(input.series, asked.arm) : []
  if (scores.length === 0) return null
  const at = Math.max(...input.series!.parts.flatMap(({ last }) => last?.at ?? []))
  return plainly(asked.of === 'least' ? Math.min(...scores) : Math.max(...scores), at)
}

/** Every value of a quantity that was ever taken in the course. */
const takenOf = (input: RuleInput, asked: Quantity): readonly Taken[] =>
  typeof asked === 'object' && 'parameter' in asked
    ? takenReadings(input, asked.parameter)
    : typeof asked === 'object' && 'measure' in asked
      ? roundsTaken(input, asked.measure)
      : []

type Holds = (taken: Taken) => boolean

/** Counts those at the end of a list that hold and are at least so many hours apart: weeks in a row. */
function onEnd(values: readonly Taken[], isHeld: Holds, apartHours: number): number {
  let count = 0
  let next = Infinity
  for (let i = values.length - 1; i >= 0; i--) {
    const taken = values[i]!
    if (!isHeld(taken)) break
    if (next - taken.at < apartHours * MS_PER_HOUR) continue
    count++
    next = taken.at
  }
  return count
}

/** Since when every value in a row has held; null where the last one does not. */
function heldSince(values: readonly Taken[], isHeld: Holds): number | null {
  let since: number | null = null
  for (let i = values.length - 1; i >= 0 && isHeld(values[i]!); i--) since = values[i]!.at
  return since
}

/** A comparison of two quantities, each known between two ends. */
function compare(left: Taken, op: Op, right: Taken): Verdict {
  const [atLeast, atMost] = [holds(left, op, right.low), holds(left, op, right.high)]
  return atLeast === atMost ? atLeast : 'open'
}

/** Nothing was measured: blind where a step of the course should have by now. */
function unmeasured(input: RuleInput, asked: Quantity): Judged {
  const since = untestedSince(input, asked)
  return {
    state: 'unknown',
    says: 'not measured yet',
    ...(since !== null && since < input.facts.now && { blindSince: since }),
  }
}

/** Why what is known cannot be used: it is too old, or a value of the start was taken later. Null where it can. */
function blindness(input: RuleInput, sides: readonly (readonly [Quantity, Taken])[], wasHeld: boolean): Judged | null {
  const { facts, settings } = input
  const until = Math.min(...sides.map(([asked, { at }]) => speaksUntil(input, asked, at)))
  if (facts.now > until) {
    const last = Math.min(...sides.flatMap(([asked, { at }]) => (isMeasured(asked) && !isStart(asked) ? [at] : [])))
    const isAsked = sides.some(([asked]) => !isStart(asked) && intervalOf(input, asked) !== null)
    return {
      state: 'unknown',
      says: `not tested since ${dayBeside(settings.clock.dayOf(last), settings.clock.dayOf(facts.now))}`,
      ...(isAsked ? { blindSince: until } : wasHeld && { heldUntil: until }),
    }
  }
  return sides.some(([asked, { at }]) => isStart(asked) && !isOfStart(input, at))
    ? { state: 'unknown', says: 'no value of the start' }
    : null
}

const isStart = (asked: Quantity): boolean => typeof asked === 'object' && 'at' in asked && asked.at === 'start'

/** How a comparison stands: now, on the last rounds, or on every value of some days. */
export function compared(input: RuleInput, condition: Comparison): Judged {
  const { left, op, right, onLast, apartHours = 0, forDays } = condition
  const [is, limit] = [quantityNow(input, left), quantityNow(input, right)]
  if (is === null || limit === null) return unmeasured(input, is === null ? left : right)
  const isHeld = (taken: Taken) => compare(taken, op, limit) === 'yes'
  const asOf = Math.max(is.at, limit.at)
  const when = Number.isFinite(asOf) ? { asOf } : {}
  const blind = blindness(
    input,
    [
      [left, is],
      [right, limit],
    ],
    isHeld(is),
  )
  if (blind) return { ...blind, ...when }
  if (onLast !== undefined) {
    const count = Math.min(onLast, onEnd(takenOf(input, left), isHeld, apartHours))
    return {
      state: count >= onLast ? 'holds' : 'not-yet',
      says: `${count} of ${onLast} in a row`,
      is: count,
      limit: onLast,
      near: count / onLast,
      ...when,
    }
  }
  if (forDays !== undefined) {
    const since = heldSince(takenOf(input, left), isHeld)
    const days = since === null ? 0 : Math.min(forDays, Math.floor((input.facts.now - since) / MS_PER_DAY))
    const looks = takenOf(input, left).map(({ at }) => at)
    const { now } = input.facts
    if (days >= forDays && !isLookedAt(input, left, looks, now - forDays * MS_PER_DAY, now))
      return { state: 'unknown', says: 'too few looks', ...when }
    return {
      state: days >= forDays ? 'holds' : 'not-yet',
      says: `${days} of ${forDays} days`,
      is: days,
      limit: forDays,
      near: days / forDays,
      ...when,
    }
  }
  const verdict = compare(is, op, limit)
  const [isText, limitText] = [spanText(is), spanText(limit)]
  if (verdict === 'open')
    return {
      state: 'unknown',
      says: `${isText} cannot tell: the limit is ${limitText}`,
      limit: nearEnd(limit),
      ...when,
    }
  return {
    state: verdict === 'yes' ? 'holds' : 'not-yet',
    says:
      'day' in Object(left)
        ? `day ${isText} of ${limitText}`
        : `now ${isText}, ${limitWords(input.role, op, limitText)}`,
    is: nearEnd(is),
    limit: nearEnd(limit),
    near: verdict === 'yes' ? 1 : nearness(op, nearEnd(is), nearEnd(limit)),
    ...when,
  }
}

/** What is aimed at by a rule that has to hold, and where one that must not hold would begin to. */
const WANTED: Readonly<Record<Op, (limit: string) => string>> = {
  '<': (limit) => `wanted under ${limit}`,
  '<=': (limit) => (limit === '0' ? 'wanted none' : `wanted ${limit} or less`),
  '>': (limit) => `wanted over ${limit}`,
  '>=': (limit) => `wanted ${limit} or more`,
}
const limitWords = (role: RuleInput['role'], op: Op, limit: string): string =>
  role === 'success' || role === 'gate' || role === 'hard' ? WANTED[op](limit) : `limit ${limit}`

/** The one figure that stands for what is known: the end that is known of a limit, the middle of a range. */
const nearEnd = ({ low, high }: Taken): number =>
  low === -Infinity ? high : high === Infinity ? low : (low + high) / 2

/** How near a value is to its limit, 0 to 1: over it, or under it, as the comparison asks. */
function nearness(op: Op, is: number, limit: number): number {
  const [part, whole] = op === '>' || op === '>=' ? [is, limit] : [limit, is]
  return whole <= 0 ? 1 : Math.min(1, Math.max(0, part / whole))
}

const plain = (value: number) => Number(value.toPrecision(3))

/** What is known in figures: "0.2", "< 0.5", "> 2", "1–2". */
const spanText = ({ low, high }: Taken): string =>
  low === high
    ? `${plain(low)}`
    : low === -Infinity
      ? `< ${plain(high)}`
      : high === Infinity
        ? `> ${plain(low)}`
        : `${plain(low)}–${plain(high)}`
