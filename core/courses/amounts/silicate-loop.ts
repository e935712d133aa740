/** Supply that the loop aims at, mg/L; how fast a dose may grow; and the caps a day: outbreaks.md 5.6. */
const AIM_MG_PER_L = 2
const GROWTH = 1.25
const PLUS_MG_PER_L = 0.2
export const SILICATE_CAP_MG_PER_L = 1
/** Over this the plan stops: outbreaks.md 5.6. */
export const SILICATE_MOST_MG_PER_L = 3
/** The cap after so many daily readings on end under this value. */
const RAISED_CAP_MG_PER_L = 2
const LOW_READINGS = 7
const LOW_MG_PER_L = 0.3

/** What the loop is worked out from: silicate as SiO2, mg/L. */
export interface SilicateInput {
  /** An hour after the last dose. */
  afterDose: number
  /** Now, before the next dose. */
  now: number
  /** Days from the one to the other. */
  days: number
  lastDose: number
  /** The daily readings so far, the last one included. */
  daily: readonly number[]
}

/**
 * The next dose of silicate, mg/L of SiO2: what was taken up in a day and what is missing to the aim, within growth and cap.
 * U = (reading 1 h after the last dose − reading now) ÷ days; next = max(0, min(U × 1 d + (2 − now), 1.25 × last + 0.2, cap)).
 * Source: outbreaks.md 5.6.
 * @example
 * silicateDose({ afterDose: 0.6, now: 0.2, days: 1, lastDose: 0.5, daily: [0.2] }) // 0.825: the handbook's 0.83
 */
export function silicateDose({ afterDose, now, days, lastDose, daily }: SilicateInput): number {
  const uptake = days > 0 ? Math.max(0, (afterDose - now) / days) : 0
  const lately = daily.slice(-LOW_READINGS)
  const isLow = lately.length >= LOW_READINGS && lately.every((value) => value < LOW_MG_PER_L)
  const cap = isLow ? RAISED_CAP_MG_PER_L : SILICATE_CAP_MG_PER_L
  return Math.max(0, Math.min(uptake + (AIM_MG_PER_L - now), GROWTH * lastDose + PLUS_MG_PER_L, cap))
}
