import type { Dose } from '../catalogue/treatments/treatments.ts'

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
