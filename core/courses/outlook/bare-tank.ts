import { TOTAL_AMMONIA_WARN_MG_PER_L } from '../../ammonia/basis.ts'
import { netVolumeAt } from '../../household/tanks.ts'
import { countAt, animalById } from '../../household/animals.ts'
import type { Journal } from '../../journal/journal.ts'
import { valuesOf } from '../../readings/evidence.ts'
import { MS_PER_DAY } from '../../time/zone.ts'
import { NH4_PER_N } from '../../units/units.ts'
import type { CoursePlan } from '../plan.ts'

/**
 * Ammonia of one fish a day, mg as NH4: nitrogen is food × protein × 0.092 (a usual figure of fish farming), with a fish of 8 g
 * that eats 2 % of its weight of food with 45 % protein (EA). A reading in the bare tank tells better.
 */
const ASSUMED_MG_PER_FISH_A_DAY = 8 * 0.02 * 0.45 * 0.092 * 1000 * NH4_PER_N
/** Total ammonia, mg/L of NH3 and NH4: quarantine.md 1. */
export const TAN_LIMITS = { warn: TOTAL_AMMONIA_WARN_MG_PER_L, alarm: 0.5 } as const
/** A reading so soon after new water says too little of the rate. */
const LEAST_DAYS = 0.25

/** Total ammonia in a bare tank between two moves, by reckoning. */
export interface AmmoniaAhead {
  tankId: string
  /** When the fish came into it: fresh water then, ms. */
  since: number
  perDayMgPerL: number
  /** From readings in this water, or in the set before it; else assumed. */
  basis: 'read' | 'assumed'
  nowMgPerL: number
  /** When the next move has to be made, and what it would be by then. */
  moveBy: number
  atMoveMgPerL: number
  /** When it would pass the limits; null where it does not before the move. */
  warnAt: number | null
  alarmAt: number | null
}

interface Change {
  at: number
  keeps: number
}

const changesOf = (journal: Journal, tankId: string, netL: number): Change[] =>
  journal
    .ofKind('water-change')
    .flatMap(({ at, content }) =>
      content.tankId === tankId ? [{ at, keeps: 1 - Math.min(1, content.litres / netL) }] : [],
    )

/** The level at an instant: nothing at first, a steady rate, and each change thins it. */
function levelAt(since: number, at: number, perDay: number, changes: readonly Change[]): number {
  let level = 0
  let from = since
  for (const change of changes) {
    if (change.at <= since || change.at > at) continue
    level = (level + (perDay * (change.at - from)) / MS_PER_DAY) * change.keeps
    from = change.at
  }
  return level + (perDay * (at - from)) / MS_PER_DAY
}

/** How fast ammonia rises in a tank by its own readings, mg/L a day; null where none tells. */
function readRate(
  journal: Journal,
  tankId: string,
  since: number,
  until: number,
  changes: readonly Change[],
): number | null {
  const last = valuesOf(journal, tankId, 'tan', since + LEAST_DAYS * MS_PER_DAY + 1, until).at(-1)
  if (!last) return null
  const { value } = last
  const unit = levelAt(since, last.at, 1, changes)
  // A kit that still shows nothing says only that it is less than its first colour: no rate to go by.
  return unit > 0 && value > 0 ? value / unit : null
}

/**
 * What the ammonia of a bare tank comes to by the next move: a transfer tank has no filter that would take it.
 * @returns null for other courses, without a volume, or once the chain is full
 */
export function ammoniaAhead(journal: Journal, plan: CoursePlan): AmmoniaAhead | null {
  const { rounds, living, facts } = plan
  if (!rounds || rounds.dueBy === null || living.length === 0 || plan.course.ended) return null
  const { tankId } = rounds
  const { now } = facts
  const netL = netVolumeAt(journal, tankId, now)
  if (netL === null || !(netL > 0)) return null
  const since = Math.max(rounds.everMade.at(-1)?.at ?? plan.course.startedAt, plan.course.startedAt)
  const changes = changesOf(journal, tankId, netL)
  const here = readRate(journal, tankId, since, now, changes)
  const before = rounds.everMade.at(-2)?.at ?? plan.course.startedAt
  const lastMove = rounds.everMade.at(-1)
  const from = facts.moves.findLast(({ at }) => lastMove !== undefined && at <= lastMove.at)?.from
  const fromL = from === undefined ? null : netVolumeAt(journal, from, since)
  const learnt =
    here === null && from !== undefined && fromL !== null && fromL > 0
      ? readRate(journal, from, before, since, changesOf(journal, from, fromL))
      : null
  const fish = living.reduce((sum, id) => sum + (countAt(animalById(journal, id)!, now) || 0), 0)
  const perDay = here ?? (learnt === null ? ASSUMED_MG_PER_FISH_A_DAY * fish : learnt * fromL!) / netL
  const crosses = (limit: number): number | null => {
    const level = levelAt(since, now, perDay, changes)
    if (level >= limit) return now
    const at = perDay > 0 ? now + ((limit - level) / perDay) * MS_PER_DAY : Infinity
    return at <= rounds.dueBy! ? at : null
  }
  return {
    tankId,
    since,
    perDayMgPerL: perDay,
    basis: here === null && learnt === null ? 'assumed' : 'read',
    nowMgPerL: levelAt(since, now, perDay, changes),
    moveBy: rounds.dueBy,
    atMoveMgPerL: levelAt(since, Math.max(now, rounds.dueBy), perDay, changes),
    warnAt: crosses(TAN_LIMITS.warn),
    alarmAt: crosses(TAN_LIMITS.alarm),
  }
}
