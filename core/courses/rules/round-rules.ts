import { momentBeside, spanText } from '../../time/words.ts'
import { nextTankId, setState } from '../tracks/sets.ts'
import type { Judged, RuleInput } from './rules.ts'

/** Whether a move came, or is, over the longest interval. */
export function lateMove({ rounds }: RuleInput): Judged {
  if (!rounds) return { state: 'not-yet', says: '' }
  const limit = rounds.track.rule.maxIntervalHours
  // Once the chain is full it is history.
  const past = rounds.doneAt === null ? rounds.restarts.findLast(({ why }) => why === 'late-move') : undefined
  const is =
    rounds.overdueHours === null
      ? past?.hoursOff === undefined
        ? undefined
        : limit + past.hoursOff
      : limit + rounds.overdueHours
  const over = is === undefined ? null : is - limit
  return {
    state: over === null ? 'not-yet' : 'holds',
    says: over === null ? 'every move in time' : `${spanText(over)} over ${limit} h`,
    ...(is !== undefined && { is }),
    limit,
  }
}

/** Whether a bath was off its spacing, or no move followed it. */
export function bathEvent({ rounds }: RuleInput, why: 'bath-spacing' | 'bath-without-move'): Judged {
  const baths = rounds?.baths
  if (!baths) return { state: 'not-yet', says: '' }
  const last = rounds.doneAt === null ? baths.restarts.findLast((one) => one.why === why) : undefined
  const isOverdue = why === 'bath-spacing' && baths.state === 'broken'
  const [, apart] = baths.track.apartHours
  return {
    state: last || isOverdue ? 'holds' : 'not-yet',
    says: isOverdue
      ? 'the second bath is overdue: the pair is done again'
      : last
        ? last.hoursOff === undefined
          ? 'it does not count'
          : `${spanText(Math.abs(last.hoursOff))} ${last.hoursOff > 0 ? 'late' : 'early'}: the pair is done again`
        : 'as it should be',
    ...(why === 'bath-spacing' && { limit: apart, ...(last?.hoursOff !== undefined && { is: apart + last.hoursOff }) }),
  }
}

/** Whether the set that the fish go to next has been made sterile since they left it, and has stood long enough. */
export function setsDry({ facts, rounds, settings }: RuleInput): Judged {
  const next = rounds && nextTankId(facts, rounds)
  if (!rounds || next === null) return { state: 'ask', says: 'which tank is the second set?' }
  const state = setState(facts, next)
  if (state.readyAt !== null)
    return state.readyAt <= facts.now
      ? { state: 'holds', says: 'ready' }
      : { state: 'broken', says: `wet until ${momentBeside(state.readyAt, facts.now, settings.clock)}` }
  return state.usedAt === null
    ? { state: 'ask', says: 'not used yet: new and clean?' }
    : { state: 'not-yet', says: 'not logged as sterile since they left it' }
}
