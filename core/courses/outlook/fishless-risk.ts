import { lifeModelOf } from '../../catalogue/treatments/treatments.ts'
import { fallowRisk } from '../../risk/fallow-risk.ts'

/** Days that are set side by side, the price of waiting: further-schools.md 2. */
export const COMPARED_DAYS = [30, 45, 60, 76] as const

/**
 * The chance that a parasite is still there after some days without fish, by `fallow.risk` with the defaults of quarantine.md 4.1.
 * @returns 0…1; null where the parasite is not modelled
 * @example
 * fishlessRisk('marine-ich', 45) // about 0.05
 */
export function fishlessRisk(parasite: string, days: number): number | null {
  const model = lifeModelOf(parasite)?.fallow
  const result = model && fallowRisk({ ...model, days })
  return result?.ok ? result.value.risk : null
}
