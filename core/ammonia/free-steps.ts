/** How grave a level of free ammonia is, and what is done about it at once. */
export interface FreeAmmoniaStep {
  /** From this on, mg/L as N. */
  fromMgPerL: number
  /** What it does, and what to do. */
  words: string
}

/** Free ammonia that alarms, mg/L N: quarantine.md 1. */
export const FREE_AMMONIA_ALARM = 0.02

/** Alarm and urgent: quarantine.md 1 (harm from 0.05 on, FA16); deadly within hours from 0.25 on (EA). The gravest first. */
const STEPS: readonly FreeAmmoniaStep[] = [
  {
    fromMgPerL: 0.25,
    words:
      'Over 0.25 mg/L free ammonia kills within hours. Now: half of the water, matched, and air; the animals into clean matched water if there is any. Test again in an hour, change again until it is under 0.05.',
  },
  {
    fromMgPerL: 0.05,
    words:
      'Over 0.05 mg/L free ammonia burns gills today: change half of the water now, matched, add air, feed nothing. Test again in four hours.',
  },
  {
    fromMgPerL: FREE_AMMONIA_ALARM,
    words:
      'Over 0.02 mg/L free ammonia harms fish within days: change water, add air, feed nothing. Test again tomorrow.',
  },
]

/**
 * What a level of free ammonia asks for.
 * @param mgPerL as N, the higher of two methods where there are two
 * @returns null under the alarm
 * @example
 * freeAmmoniaStep(0.26)?.fromMgPerL // 0.25
 */
export const freeAmmoniaStep = (mgPerL: number): FreeAmmoniaStep | null =>
  STEPS.find(({ fromMgPerL }) => mgPerL >= fromMgPerL) ?? null
