import { momentBeside, spanText } from '../../time/words.ts'
import { plural } from '../../words/numbers.ts'
import { gravityOfPsu } from '../../salinity/gravity.ts'
import type { Judged, RuleInput } from './rules.ts'

/** Where the salinity is, or has been, beyond its limits: quarantine.md 7.4; only over the high does it cost the days. */
export function salinityEvent({ salinity }: RuleInput, event: 'salinity-high' | 'salinity-low'): Judged {
  if (!salinity) return { state: 'not-yet', says: '' }
  const { psu, track, clock, limits } = salinity
  const sg = psu === null ? null : gravityOfPsu(psu)
  const is = sg === null ? {} : { is: sg }
  if (event === 'salinity-low')
    return sg !== null && psu! < limits.low - 1e-9
      ? { state: 'holds', says: `${sg.toFixed(4)}; the days go on, raise it gently`, ...is, limit: track.low }
      : { state: 'not-yet', says: 'not under', ...is, limit: track.low }
  const isOver = clock.state !== 'complete' && clock.breaks.at(-1)?.to === null
  return {
    state: isOver ? 'holds' : 'not-yet',
    says: isOver ? 'the days start over once it is back' : 'not over',
    ...is,
    limit: track.high,
  }
}

/** Whether a round of a pair came, or is, over its latest time. */
export function dewormSpacing({ doses, facts, settings }: RuleInput): Judged {
  const state = doses.find(({ track }) => track.missed === 'redo')
  if (!state) return { state: 'not-yet', says: '' }
  const [, apart] = state.track.apart[0]!
  if (state.state === 'broken') return { state: 'holds', says: 'overdue: both are done again', limit: apart }
  const last = state.state === 'full' ? undefined : state.restarts.at(-1)
  return last
    ? {
        state: 'holds',
        says: `${spanText(Math.abs(last.hoursOff))} late ${momentBeside(last.at, facts.now, settings.clock)}: the first of a new pair`,
        is: apart + last.hoursOff,
        limit: apart,
      }
    : { state: 'not-yet', says: 'as it should be', limit: apart }
}

/** Doses that were not given in their time: each ends the count one dose later. */
export function missedRedose({ doses }: RuleInput): Judged {
  const missed = doses.reduce((sum, one) => sum + (one.state === 'full' ? 0 : one.missed), 0)
  return missed > 0
    ? { state: 'holds', says: `${plural(missed, 'dose')} missed: as many more at the end`, is: missed, limit: 0 }
    : { state: 'not-yet', says: 'none' }
}
