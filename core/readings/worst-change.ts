import { MS_PER_DAY } from '../time/zone.ts'

/** Two tests closer than this tell a kit's error, not a day's change: their change counts as that of a day. */
const LEAST_GAP_DAYS = 1

/** The worst change a day between two tests that follow each other; null with fewer than two. */
export function worstChangePerDay(values: readonly { at: number; value: number }[]): number | null {
  if (values.length < 2) return null
  let worst = 0
  for (let i = 1; i < values.length; i++) {
    const days = Math.max(LEAST_GAP_DAYS, (values[i]!.at - values[i - 1]!.at) / MS_PER_DAY)
    worst = Math.max(worst, Math.abs(values[i]!.value - values[i - 1]!.value) / days)
  }
  return worst
}
