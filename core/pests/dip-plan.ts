import { MAX_POINTS } from '../numbers/limits.ts'
import { ceilQuotient } from '../numbers/rounding.ts'
import { invalid, ok, type Result } from '../result/result.ts'
import type { DipPlan, DipPlanInput } from './pests.schema.ts'

const SAFETY_HOURS = 12
/** Dips are never closer than a day. */
const LEAST_HOURS = 24

/**
 * How often and how many times to dip for a pest whose eggs survive the dip: each hatchling is met before it can lay, until
 * the slowest egg has hatched, and then to make sure.
 */
export function dipPlan({
  hatchMaxHours,
  maturationMinHours,
  safetyHours = SAFETY_HOURS,
  confirmRounds = 1,
}: DipPlanInput): Result<DipPlan> {
  const intervalHours = Math.max(LEAST_HOURS, maturationMinHours - safetyHours)
  const rounds = ceilQuotient(hatchMaxHours / intervalHours) + 1 + confirmRounds
  if (!(rounds <= MAX_POINTS)) return invalid('/hatchMaxHours', `gives over ${MAX_POINTS} dips; expected fewer hours`)
  return ok({
    intervalHours,
    rounds,
    lastAtHours: (rounds - 1) * intervalHours,
    safe: intervalHours < maturationMinHours,
  })
}
