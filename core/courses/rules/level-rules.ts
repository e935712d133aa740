import { bindersAt } from '../../household/tanks.ts'
import { dayBeside, spanText } from '../../time/words.ts'
import { MS_PER_HOUR } from '../../time/zone.ts'
import { GAP_HOURS, type HoldCount } from '../tracks/hold.ts'
import { isTested } from '../tracks/level.ts'
import type { Judged, RuleInput } from './rules.ts'

/** Readings in range this far apart are needed before the hold: quarantine.md 7.2 (EA). */
const GATE_HOURS = 12
/** A change this recent, not put back, lowers the level before a move. */
const LOWERED_HOURS = 24

/** Two readings in range at least twelve hours apart. */
export function twoInRange({ drug, settings }: RuleInput): Judged {
  if (!drug) return { state: 'ask', says: 'no level is held' }
  const { facts } = drug
  if (!isTested(facts))
    return drug.clock.runFrom === null
      ? { state: 'not-yet', says: 'the full dose is not in yet' }
      : { state: 'holds', says: 'by what was dosed: no test exists' }
  const { low, high } = facts.course.dose
  const inRange = facts.readings.filter(({ mgPerL }) => mgPerL >= low && mgPerL <= high)
  const first = inRange[0]
  const second = first && inRange.find(({ ms }) => ms - first.ms >= GATE_HOURS * MS_PER_HOUR)
  if (second)
    return {
      state: 'holds',
      says: `since ${dayBeside(settings.clock.dayOf(second.ms), settings.clock.dayOf(facts.now))}`,
    }
  return { state: 'not-yet', says: first ? 'one so far' : 'none yet' }
}

/** tr-2: nothing has lowered the level on the way to the move. */
export function levelKept({ journal, drug }: RuleInput): Judged {
  if (!drug) return { state: 'holds', says: 'no level is held' }
  const { facts, known } = drug
  const [carbon] = bindersAt(journal, facts.course.tankId, facts.now)
  if (carbon) return { state: 'broken', says: `${carbon.item} is running` }
  const lowered =
    known?.since.some(
      ({ event, at }) => event.kind === 'water-change' && facts.now - at < LOWERED_HOURS * MS_PER_HOUR,
    ) && known.mgPerL < facts.course.dose.low
  return lowered ? { state: 'broken', says: 'redose after the change first' } : { state: 'holds', says: 'held' }
}

function gapJudged({ gaps, state }: HoldCount): Judged {
  // A full count is not broken by what comes after it.
  if (state === 'complete') return { state: 'not-yet', says: 'the count is full' }
  const gap = gaps.at(-1)
  return gap?.open === true
    ? { state: 'holds', says: `${spanText(gap.hours)} without a reading`, is: gap.hours, limit: GAP_HOURS.proven }
    : { state: 'not-yet', says: 'read in time' }
}

/** Where the level is by now, or has been: quarantine.md 7.4. */
export function levelEvent({ drug, salinity }: RuleInput, event: 'level-low' | 'level-unknown' | 'level-high'): Judged {
  if (event === 'level-unknown' && salinity) return gapJudged(salinity.clock)
  if (!drug) return { state: 'not-yet', says: '' }
  const { facts, known, clock } = drug
  const { low, high } = facts.course.dose
  const is = known === null ? {} : { is: known.mgPerL }
  if (event === 'level-unknown') return gapJudged(clock)
  if (event === 'level-high')
    return known !== null && known.mgPerL > high + 1e-9
      ? {
          state: 'holds',
          says: `${known.mgPerL.toFixed(2)} over ${high.toFixed(2)}; the count goes on`,
          ...is,
          limit: high,
        }
      : { state: 'not-yet', says: 'not over', ...is, limit: high }
  const last = clock.breaks.at(-1)
  return {
    state: clock.state !== 'complete' && last?.to === null ? 'holds' : 'not-yet',
    says: last?.to === null ? 'the count starts over once it is back' : 'not under',
    ...is,
    limit: low,
  }
}
