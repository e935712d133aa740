import { lifeModelOf } from '../../catalogue/treatments/treatments.ts'
import { fallowRisk } from '../../risk/fallow-risk.ts'

/** Days that are set side by side, the price of waiting: further-schools.md 2. */
export const COMPARED_DAYS = [30, 45, 60, 76] as const

/** The chance that a whole population is of a slow strain, as the handbook assumes it: quarantine.md 4.1 (EA). */
export const usualSlowShare = (parasite: string): number => lifeModelOf(parasite)?.fallow.slow.share ?? 0

/**
 * The chance that a parasite is still there after some days without fish, by `fallow.risk` with the numbers of quarantine.md 4.1.
 * @param slowShare the keeper's own word on the slow strain, 0…1; the handbook's where it is left out
 * @returns 0…1; null where the parasite is not modelled
 * @example
 * fishlessRisk('marine-ich', 45) // about 0.05
 */
export function fishlessRisk(parasite: string, days: number, slowShare = usualSlowShare(parasite)): number | null {
  const model = lifeModelOf(parasite)?.fallow
  if (!model) return null
  const result = fallowRisk({ ...model, slow: { ...model.slow, share: slowShare }, days })
  return result.ok ? result.value.risk : null
}
