import { ceilQuotient } from '../../numbers/rounding.ts'
import { dipPlan } from '../../pests/dip-plan.ts'
import { DIP_PESTS, type DipPest } from './dip-pests.data.ts'

/** How often corals are dipped, and how many clean dips end it. */
export interface DipPace {
  /** Null for the routine dips of corals on which nothing was seen. */
  pest: DipPest | null
  intervalDays: number
  /** Clean dips on end. */
  need: number
  /** Longer than this from dip to dip, and a hatchling may have laid: the clean dips begin again. Null where nobody knows. */
  mostDays: number | null
}

export type PaceChoice = 'by-maturity' | 'by-hatching'

/** By hatching: every third day, further-schools.md 3. */
const BY_HATCHING_DAYS = 3
/** Routine dips on day 0, 7, 14, 21 and 28: quarantine.md 7.5, coral-redip. */
const ROUTINE: DipPace = { pest: null, intervalDays: 7, need: 5, mostDays: null }

const HOURS_PER_DAY = 24

export const dipPestById = (id: string | undefined): DipPest | null => DIP_PESTS.find((pest) => pest.id === id) ?? null

/**
 * Days from dip to dip by `dip.plan`: before the earliest hatchling can lay. Null where the days to its first eggs are not known.
 */
export function plannedIntervalDays({ hatchDays, maturityDays }: DipPest): number | null {
  if (maturityDays === null) return null
  const plan = dipPlan({
    hatchMaxHours: hatchDays[1] * HOURS_PER_DAY,
    maturationMinHours: maturityDays * HOURS_PER_DAY,
  })
  return plan.ok ? plan.value.intervalHours / HOURS_PER_DAY : null
}

/**
 * The pace of the dips against a pest: outbreaks.md 6.1, further-schools.md 3. By maturity the smaller of the table's interval and
 * `dip.plan`'s; by hatching every third day. Clean dips: the longest hatch over the interval, rounded up, and one.
 * @example
 * dipPaceOf(dipPestById('zoa-nudi'), 'by-maturity') // every 5 days, 3 clean dips
 */
export function dipPaceOf(pest: DipPest | null, pace: PaceChoice): DipPace {
  if (!pest) return ROUTINE
  const intervalDays =
    pace === 'by-hatching'
      ? BY_HATCHING_DAYS
      : Math.min(pest.tableIntervalDays, plannedIntervalDays(pest) ?? pest.tableIntervalDays)
  return { pest, intervalDays, need: ceilQuotient(pest.hatchDays[1] / intervalDays) + 1, mostDays: pest.maturityDays }
}
