/** Water changes are taken as a fifth of the water a week until some were made (EA). */
const USUAL_WEEKLY_SHARE = 0.2
const HOURS_PER_WEEK = 168

/** What the need of a held drug is worked out from. */
export interface DrugNeed {
  targetMgPerL: number
  volumeL: number
  /** In the water now; 0 before the first dose. */
  levelMgPerL: number
  /** Hours that the level has yet to be held. */
  hours: number
  mgPerUnit: number
  /** In which its level halves by itself; null where it stays. */
  halfLifeHours: number | null
  /** Shares of the water that were changed so far, added up, and the hours since the start; left out before the start. */
  changed?: { share: number; overHours: number }
}

/**
 * How much of a held drug's product is still to come: the rest of the climb, what decays, and what water changes take out. The start form and
 * the running course ask the same, so that the number falls from the one to the last day without a jump.
 * @returns in the product's unit
 * @example
 * // 60 L to 2.25 mg/L for 14 days, a fifth changed a week, of a bottle of 10 mg in a mL: 13.5 mL and 5.4 mL
 * drugStillNeeded({ targetMgPerL: 2.25, volumeL: 60, levelMgPerL: 0, hours: 336, mgPerUnit: 10, halfLifeHours: null }) // 18.9
 */
export function drugStillNeeded({
  targetMgPerL,
  volumeL,
  levelMgPerL,
  hours,
  mgPerUnit,
  halfLifeHours,
  changed = { share: 0, overHours: 0 },
}: DrugNeed): number {
  const held = targetMgPerL * volumeL
  const climb = Math.max(0, targetMgPerL - levelMgPerL) * volumeL
  const decay = halfLifeHours === null ? 0 : (Math.LN2 / halfLifeHours) * hours * held
  const sharePerHour =
    changed.share > 0
      ? changed.share / Math.max(changed.overHours, HOURS_PER_WEEK)
      : USUAL_WEEKLY_SHARE / HOURS_PER_WEEK
  return (climb + decay + sharePerHour * hours * held) / mgPerUnit
}
