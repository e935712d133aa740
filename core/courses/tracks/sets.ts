import type { CourseRecord } from '../record/record.ts'
import type { RoundsState } from './rounds.ts'

/** The tank that the fish go to next: the set they are not in; null where no second set is named. */
export function nextTankId({ course }: CourseRecord, { tankId }: Pick<RoundsState, 'tankId'>): string | null {
  const { main, other } = course.tanks
  if (main === undefined || other === undefined) return null
  return tankId === main ? other : main
}

/** When the fish left a set last, and from when it may be used again; null each where that is not on record. */
export function setState(record: CourseRecord, tankId: string): { usedAt: number | null; readyAt: number | null } {
  const left = record.moves.filter(({ from }) => from === tankId).at(-1)?.at ?? null
  const cleaned = record.cleaned.findLast((one) => one.tankId === tankId && (left === null || one.at >= left))
  return { usedAt: left, readyAt: cleaned?.readyAt ?? null }
}
