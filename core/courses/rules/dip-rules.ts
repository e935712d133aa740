import { momentBeside } from '../../time/words.ts'
import type { Judged, RuleInput } from './rules.ts'

const NONE: Judged = { state: 'not-yet', says: 'none' }

/** Whether an animal or eggs were seen and cost clean dips, or are not over: courses.md, "a pest seen resets dips". */
export function pestSeen({ dips, facts, settings }: RuleInput): Judged {
  if (!dips || dips.seenAt === null) return NONE
  const when = momentBeside(dips.seenAt, facts.now, settings.clock)
  return dips.has === 0
    ? { state: 'holds', says: `last ${when}: the clean dips count from here` }
    : { state: 'not-yet', says: `last ${when}` }
}

/** Whether a dip came, or is, so late that a hatchling may have laid. */
export function lateDip({ dips }: RuleInput): Judged {
  const most = dips?.pace.mostDays
  if (!dips || most == null) return { state: 'not-yet', says: 'how soon it lays is not known: keep the pace' }
  const isLate = dips.state === 'broken' || dips.restarts.at(-1)?.why === 'late-dip'
  return {
    state: isLate ? 'holds' : 'not-yet',
    says: isLate ? 'what hatched may have laid: the clean dips begin again' : 'every dip in time',
    limit: most,
  }
}

/** From the third dip on a count that rises: outbreaks.md 5.1, coral-dip-cycle. */
export function dipsRising({ dips }: RuleInput): Judged {
  const counted = (dips?.rounds ?? []).flatMap(({ cameOff }, i) => (cameOff === null ? [] : [{ i, cameOff }]))
  const [before, last] = counted.slice(-2)
  if (!before || !last || last.i < 2) return { state: 'not-yet', says: 'judged from the third dip on' }
  const isRising = last.cameOff > before.cameOff
  return {
    state: isRising ? 'holds' : 'not-yet',
    says: `${before.cameOff}, then ${last.cameOff}`,
    is: last.cameOff,
    limit: before.cameOff,
  }
}
