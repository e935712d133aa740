import { isCopper } from '../catalogue/treatments/groups.ts'
import type { Dose } from '../catalogue/treatments/treatments.ts'
import type { ContentOf } from '../journal/entry.ts'
import type { Journal } from '../journal/journal.ts'
import { fullLineShare } from '../water/level-line.ts'
import { coursesOf } from './course.ts'

export type RangeVerdict = 'in' | 'probably-in' | 'under' | 'over'

/**
 * Whether a reading is in a dose's range: "in" only if it is with its whole uncertainty, "probably in" if the value itself
 * is (quarantine.md 5.4).
 * @param uncertainty 95 % half-width, mg/L
 */
export function rangeVerdict(
  mgPerL: number,
  uncertainty: number,
  { low, high }: Pick<Dose, 'low' | 'high'>,
): RangeVerdict {
  if (mgPerL < low) return 'under'
  if (mgPerL > high) return 'over'
  return mgPerL - uncertainty >= low && mgPerL + uncertainty <= high ? 'in' : 'probably-in'
}

export const VERDICT_WORDS: Record<RangeVerdict, string> = {
  in: 'in range',
  'probably-in': 'in range, probably',
  under: 'under range',
  over: 'over range',
}

/** Whether no single reading of such a kit can be sure in such a band: then three are averaged (quarantine.md 5.4). */
export const needsThreeReadings = (uncertainty: number, { low, high }: Pick<Dose, 'low' | 'high'>): boolean =>
  high - low < 2 * uncertainty

/**
 * What a copper reading means to the course that runs in its tank at its time, at the full line where the level was down; null where there is
 * no course.
 */
export function courseVerdict(
  journal: Journal,
  {
    tankId,
    parameter,
    result,
    uncertainty,
    happened,
    downL,
  }: Pick<ContentOf<'reading'>, 'tankId' | 'parameter' | 'result' | 'uncertainty' | 'happened' | 'downL'>,
): RangeVerdict | null {
  if (parameter !== 'copper' || result.kind !== 'value') return null
  const at = Date.parse(happened)
  const course = coursesOf(journal).find(
    (one) =>
      one.dose !== null &&
      isCopper(one.dose.agent) &&
      one.tankId === tankId &&
      one.startedAt <= at &&
      (one.ended === null || at <= one.ended.at),
  )
  const share = fullLineShare(journal, { tankId, ...(downL !== undefined && { downL }) }, at)
  return course?.dose ? rangeVerdict(result.value * share, uncertainty ?? 0, course.dose) : null
}
