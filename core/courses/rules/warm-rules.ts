import { holds, levelsOf } from '../../readings/evidence.ts'
import { dayBeside } from '../../time/words.ts'
import { MS_PER_DAY } from '../../time/zone.ts'
import { parameterValue, quantityText } from '../../words/quantities.ts'
import type { Judged, RuleInput } from './rules.ts'

/** Days between two readings at most: once a week, with a day's leeway (EA). */
const GAP_DAYS = 8
/** What a thermometer may be off by, °C (EA): a reading so little under the limit is none. */
const THERMOMETER_C = 0.5

/**
 * Whether the water was as warm all the days as a short count without fish asks: quarantine.md 7.5, fallow-45 and fallow-fw. With days enough
 * for any temperature it is not asked for.
 */
export function keptWarm({ journal, facts, fishless, settings: { clock, units } }: RuleInput): Judged {
  const { leastC, elseDays } = fishless?.track ?? {}
  if (!fishless || leastC === undefined || elseDays === undefined || fishless.begunAt === null)
    return { state: 'not-yet', says: 'the days have not begun' }
  const { begunAt } = fishless
  const { now, course } = facts
  const today = clock.dayOf(now)
  if (today - clock.dayOf(begunAt) >= elseDays)
    return { state: 'holds', says: `${elseDays} days are enough at any temperature` }
  const until = Math.min(now, fishless.fullAt ?? now)
  const taken = levelsOf(journal, course.tankId, 'temp').filter(
    ({ at }) => at >= begunAt - GAP_DAYS * MS_PER_DAY && at <= now,
  )
  const cold = taken.findLast(
    (one) => one.at >= begunAt && one.at <= until && holds(one, '<', leastC - THERMOMETER_C) === 'yes',
  )
  if (cold)
    return {
      state: 'broken',
      says: `${quantityText(parameterValue('temp', cold.low === -Infinity ? cold.high : cold.low, units))} ${dayBeside(clock.dayOf(cold.at), today)}: it takes ${elseDays} days`,
      asOf: cold.at,
    }
  const marks = [begunAt, ...taken.map(({ at }) => at).filter((at) => at > begunAt && at <= until), until]
  const isSeen = taken.length > 0 && marks.every((at, i) => i === 0 || at - marks[i - 1]! <= GAP_DAYS * MS_PER_DAY)
  return isSeen
    ? { state: 'holds', says: 'warm at every reading', asOf: taken.at(-1)!.at }
    : {
        state: 'ask',
        says: taken.length === 0 ? 'no temperature on record' : 'over a week without a temperature',
        canBeSaid: true,
      }
}
