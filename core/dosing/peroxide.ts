import { invalid, ok, type Result } from '../result/result.ts'
import type { PeroxideStrength, PeroxideStrengthInput } from './peroxide.schema.ts'

/** Density of hydrogen peroxide solutions at 20 °C: percent by mass, g/mL (design contract). */
const DENSITY: readonly (readonly [percent: number, gPerMl: number])[] = [
  [0, 0.9982],
  [1, 1.0022],
  [2, 1.0058],
  [4, 1.0131],
  [6, 1.0204],
  [8, 1.0277],
  [10, 1.0351],
  [12, 1.0425],
  [14, 1.0499],
  [16, 1.0574],
  [18, 1.0649],
  [20, 1.0725],
  [22, 1.0802],
  [24, 1.088],
  [26, 1.0959],
  [28, 1.104],
  [30, 1.1122],
  [35, 1.1327],
]

/** Strongest peroxide that is reckoned with, percent by mass. */
export const MAX_PEROXIDE_PERCENT = 35
const MG_PER_ML_PER_PERCENT = 10

/** Density of a peroxide solution, g/mL, linear between the table's rows; null over 35 %. */
export function peroxideDensity(percentByMass: number): number | null {
  if (percentByMass > MAX_PEROXIDE_PERCENT || percentByMass < 0) return null
  const above = DENSITY.findIndex(([percent]) => percent >= percentByMass)
  const [p1, d1] = DENSITY[above]!
  const [p0, d0] = DENSITY[Math.max(0, above - 1)]!
  return p1 === p0 ? d1 : d0 + ((d1 - d0) * (percentByMass - p0)) / (p1 - p0)
}

/** Hydrogen peroxide in a mL, mg: 10 · percent · density; null over 35 %. */
export function peroxideMgPerMl(percentByMass: number): number | null {
  const density = peroxideDensity(percentByMass)
  return density === null ? null : MG_PER_ML_PER_PERCENT * percentByMass * density
}

/** What a peroxide solution holds: its density and its hydrogen peroxide in a mL. */
export function peroxideStrength({ percentByMass }: PeroxideStrengthInput): Result<PeroxideStrength> {
  const densityGPerMl = peroxideDensity(percentByMass)
  const mgPerMl = peroxideMgPerMl(percentByMass)
  if (densityGPerMl === null || mgPerMl === null)
    return invalid('/percentByMass', `expected at most ${MAX_PEROXIDE_PERCENT} %; came ${percentByMass}`)
  return ok({ densityGPerMl, mgPerMl })
}
