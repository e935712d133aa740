import { invalid, ok, type Result } from '../result/result.ts'
import type { AmmoniaComparison, CompareAmmoniaInput, FreeAmmonia, FreeAmmoniaInput } from './ammonia.schema.ts'

/**
 * pKa of ammonium in sea and fresh water: 10.0423 − 0.0315536·t + 0.003071·S (Bell et al. 2008).
 * @param temperatureC °C
 * @param salinityPsu practical salinity
 */
export const ammoniumPKa = (temperatureC: number, salinityPsu: number): number =>
  10.0423 - 0.0315536 * temperatureC + 0.003071 * salinityPsu

/** Share of total ammonia that is free NH3 at a pH: 1/(1 + 10^(pKa − pH)). */
export const freeShare = (pH: number, temperatureC: number, salinityPsu: number): number =>
  1 / (1 + 10 ** (ammoniumPKa(temperatureC, salinityPsu) - pH))

/** Free ammonia from a total; all mg/L as N. */
export function freeAmmonia({ tanMgPerL, pH, temperatureC, salinityPsu }: FreeAmmoniaInput): Result<FreeAmmonia> {
  const fraction = freeShare(pH, temperatureC, salinityPsu)
  return ok({ pKa: ammoniumPKa(temperatureC, salinityPsu), fraction, freeMgPerL: fraction * tanMgPerL })
}

/**
 * Whether a total-ammonia kit and a free-ammonia card contradict each other. The kit's range is TAN ∓ 2 sd, not under
 * zero; ranges that overlap or touch agree. All mg/L as N.
 */
export function compareAmmonia(input: CompareAmmoniaInput): Result<AmmoniaComparison> {
  const { kit, indicator, pH, temperatureC, salinityPsu } = input
  if (indicator.lowMgPerL > indicator.highMgPerL)
    return invalid(
      '/indicator/lowMgPerL',
      `expected at most the card’s upper value, ${indicator.highMgPerL}; came ${indicator.lowMgPerL}`,
    )
  const share = freeShare(pH, temperatureC, salinityPsu)
  const fromMgPerL = share * Math.max(0, kit.tanMgPerL - 2 * kit.sdMgPerL)
  const toMgPerL = share * (kit.tanMgPerL + 2 * kit.sdMgPerL)
  const verdict =
    indicator.highMgPerL < fromMgPerL ? 'indicator-low' : indicator.lowMgPerL > toMgPerL ? 'indicator-high' : 'agree'
  return ok({ expectedFreeMgPerL: share * kit.tanMgPerL, fromMgPerL, toMgPerL, verdict })
}
