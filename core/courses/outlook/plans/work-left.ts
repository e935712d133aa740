import { afterPause, doublingDays, sessionsLeft } from '../../../evidence/work-left.ts'
import type { Journal } from '../../../journal/journal.ts'
import { MS_PER_DAY, MS_PER_HOUR } from '../../../time/zone.ts'
import type { CoursePlan } from '../../plan.ts'
import type { MeasureRound } from '../../tracks/measure.ts'

/** A session at the bench that is reckoned with where none was timed, hours (EA). */
const SESSION_HOURS = 1
/** The pause whose price is said, days. */
const PAUSE_DAYS = 7

/** What is left of a plan that takes pests out rock by rock. */
export interface WorkLeft {
  left: number
  removed: number
  /** Hours at the bench for it; null where no run was timed. */
  hours: number | null
  sessions: number | null
  /** Days in which they double, by the last two counts that grew; null where they do not. */
  doublingDays: number | null
  /** What a pause of some days would make of what is left; null where they do not double. */
  pause: { days: number; makes: number } | null
}

/** Hours of the course's runs at the bench that were closed. */
function benchHours(journal: Journal, courseId: string, until: number): number {
  return journal.ofKind('bench-start').reduce((sum, { content, at }) => {
    if (content.courseId !== courseId) return sum
    const end = journal
      .about(`bench:${content.benchId}`)
      .find((line) => line.content.kind === 'bench-end' && !line.struck)
    return end && end.at <= until ? sum + (end.at - at) / MS_PER_HOUR : sum
  }, 0)
}

/** Days in which a measure doubles, by its last two rounds; null where the later one is not higher. */
export function growth(rounds: readonly MeasureRound[]): number | null {
  const last = rounds.at(-1)
  const before = rounds.at(-2)
  return last && before ? doublingDays(before.value, last.value, (last.at - before.at) / MS_PER_DAY) : null
}

/**
 * What is left to do of a plan that counts what is left and what was taken out.
 * @returns null for other plans, and before anything was counted
 */
export function workLeftOf(journal: Journal, plan: CoursePlan): WorkLeft | null {
  const rounds = (measure: string) => plan.measures.find(({ track }) => track.measure === measure)?.rounds ?? []
  const [left, removed, seen] = [rounds('left'), rounds('removed'), rounds('pest-count')]
  const last = left.at(-1)
  if (!last || removed.length === 0) return null
  const out = removed.reduce((sum, { value }) => sum + value, 0)
  const hours = benchHours(journal, plan.course.id, plan.facts.now)
  const doubling = growth(seen) ?? growth(left)
  return {
    left: last.value,
    removed: out,
    hours: hours > 0 ? hours : null,
    sessions: sessionsLeft({ left: last.value, removed: out, hours, sessionHours: SESSION_HOURS }),
    doublingDays: doubling,
    pause: doubling === null ? null : { days: PAUSE_DAYS, makes: afterPause(last.value, doubling, PAUSE_DAYS) },
  }
}
