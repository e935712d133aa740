import { logNormalTail } from '../numbers/normal.ts'
import { ok, type Result } from '../result/result.ts'
import type { FallowRisk, FallowRiskInput } from './risk.schema.ts'

const HOURS_PER_DAY = 24

/** Probability that the last of n cysts is still to hatch after some days: 1 − F(x)ⁿ, exact where it is small. */
const someLeft = (
  days: number,
  cysts: number,
  { medianDays, logSd }: { medianDays: number; logSd: number },
): number => {
  if (cysts === 0) return 0
  if (days <= 0) return 1
  return -Math.expm1(cysts * Math.log1p(-logNormalTail(days, medianDays, logSd)))
}

/**
 * Risk left after days without fish: some cyst of the usual strain, or of a slow one, may not yet have hatched and starved.
 * (1 − share)(1 − F_t(x)ⁿ) + share(1 − F_s(x)ⁿ), x = days − the swimmers' free life.
 */
export function fallowRisk({ cysts, typical, slow, freeLifeHours, days }: FallowRiskInput): Result<FallowRisk> {
  const x = days - freeLifeHours / HOURS_PER_DAY
  return ok({ risk: (1 - slow.share) * someLeft(x, cysts, typical) + slow.share * someLeft(x, cysts, slow) })
}
