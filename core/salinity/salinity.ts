import { ceilQuotient } from '../numbers/rounding.ts'
import { invalid, noSolution, ok, type Result } from '../result/result.ts'
import { MAX_POINTS } from '../numbers/limits.ts'
import type { Salinity, SalinityConvertInput, SalinitySwap, SalinitySwapInput } from './salinity.schema.ts'
import { MAX_PSU, salinityFromGravity, seawaterDensity, specificGravity } from './seawater.ts'

/**
 * Practical salinity, specific gravity and density (kg/m³) from one of the first two.
 * SG = ρ(S, temperatureC) / ρ(0, referenceC), EOS-80; both temperatures 25 °C unless given.
 * @returns `invalid-input` outside 0…50 psu, reached by specific gravity too
 */
export function convertSalinity(input: SalinityConvertInput): Result<Salinity> {
  const { value, unit, temperatureC = 25, referenceC = 25 } = input
  let psu: number | null = value
  if (unit === 'sg') {
    psu = salinityFromGravity(value, temperatureC, referenceC)
    if (psu === null) {
      const [low, high] = [0, MAX_PSU].map((s) => specificGravity(s, temperatureC, referenceC).toFixed(4))
      return invalid(
        '/value',
        `expected a specific gravity from ${low} to ${high} at these temperatures; came ${value}`,
      )
    }
  } else if (psu < 0 || psu > MAX_PSU) return invalid('/value', `expected 0 to ${MAX_PSU} psu; came ${value}`)
  return ok({
    psu,
    sg: specificGravity(psu, temperatureC, referenceC),
    densityKgPerM3: seawaterDensity(psu, temperatureC),
  })
}

/**
 * Litres to swap so that salinity moves in equal steps no larger than allowed, the first at once.
 * n = ceil(|to − from| / maxStep); each step replaces V·(S₍ᵢ₋₁₎ − Sᵢ)/(S₍ᵢ₋₁₎ − S_replacement) litres.
 * @returns `no-solution` for a target beyond the replacement water or on the other side of it
 */
export function swapSalinity(input: SalinitySwapInput): Result<SalinitySwap> {
  const { volumeL, fromPsu, toPsu, replacementPsu, maxStepPsu, hoursBetween } = input
  if (fromPsu === toPsu) return ok({ steps: [], totalL: 0 })
  const towards = Math.sign(toPsu - fromPsu)
  if (Math.sign(replacementPsu - fromPsu) !== towards || towards * (replacementPsu - toPsu) < 0)
    return noSolution(
      '/replacementPsu',
      `water of ${replacementPsu} psu cannot bring ${fromPsu} psu to ${toPsu}: the target must lie between the two`,
    )
  const count = ceilQuotient(Math.abs(toPsu - fromPsu) / maxStepPsu)
  if (count > MAX_POINTS) return invalid('/maxStepPsu', `gives ${count} steps; expected at most ${MAX_POINTS}`)
  const steps: SalinitySwap['steps'] = []
  let totalL = 0
  let before = fromPsu
  for (let i = 1; i <= count; i++) {
    // The last step lands on the target itself, not on a sum of rounded steps.
    const psu = i === count ? toPsu : fromPsu + ((toPsu - fromPsu) * i) / count
    const replaceL = (volumeL * (before - psu)) / (before - replacementPsu)
    steps.push({ afterHours: (i - 1) * hoursBetween, replaceL, psu })
    totalL += replaceL
    before = psu
  }
  return ok({ steps, totalL })
}
