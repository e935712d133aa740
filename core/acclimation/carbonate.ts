const KELVIN = 273.15
const DKH_PER_MEQ = 2.8

/** Dissociation constants of carbonic acid and the solubility of carbon dioxide in one water, mol/kg. */
export interface CarbonateConstants {
  k1: number
  k2: number
  /** mol/kg/atm */
  k0: number
}

/**
 * Constants of the carbonate system: K1 and K2 after Millero et al. 2006 (Marine Chemistry 100: 80–94; 0–50 psu), K0 after
 * Weiss 1974 (Marine Chemistry 2: 203–215).
 */
export function carbonateConstants(temperatureC: number, salinityPsu: number): CarbonateConstants {
  const t = temperatureC + KELVIN
  const lnT = Math.log(t)
  const s = salinityPsu
  const rootS = Math.sqrt(s)
  const pK1 =
    -126.34048 +
    6320.813 / t +
    19.568224 * lnT +
    (13.4191 * rootS + 0.0331 * s - 5.33e-5 * s * s) +
    (-530.123 * rootS - 6.103 * s) / t -
    2.0695 * rootS * lnT
  const pK2 =
    -90.18333 +
    5143.692 / t +
    14.613358 * lnT +
    (21.0894 * rootS + 0.1248 * s - 3.687e-4 * s * s) +
    (-772.483 * rootS - 20.051 * s) / t -
    3.3336 * rootS * lnT
  const hundredth = t / 100
  const lnK0 =
    -60.2409 +
    93.4517 / hundredth +
    23.3585 * (lnT - LN_100) +
    s * (0.023517 - 0.023656 * hundredth + 0.0047036 * hundredth * hundredth)
  return { k1: Math.exp(-LN_10 * pK1), k2: Math.exp(-LN_10 * pK2), k0: Math.exp(lnK0) }
}

const LN_100 = Math.log(100)
const LN_10 = Math.LN10

/** Carbonate alkalinity in mol/kg: litres and kilograms are taken as equal (design contract). */
export const alkalinityMol = (dkh: number): number => dkh / DKH_PER_MEQ / 1000

/** Dissolved inorganic carbon of a water whose pH and carbonate alkalinity are known, mol/kg. */
export function dicFromPh(pH: number, alkalinity: number, { k1, k2 }: CarbonateConstants): number {
  const h = 10 ** -pH
  return (alkalinity * (h * h + k1 * h + k1 * k2)) / (k1 * h + 2 * k1 * k2)
}

/** Hydrogen ions of a water whose carbon and carbonate alkalinity are known, mol/kg: the positive root of the quadratic. */
export function hydrogenFrom(dic: number, alkalinity: number, { k1, k2 }: CarbonateConstants): number {
  const b = k1 * (alkalinity - dic)
  const c = k1 * k2 * (alkalinity - 2 * dic)
  const root = Math.sqrt(Math.max(0, b * b - 4 * alkalinity * c))
  // Of the two ways to write the root, the one without a difference of near equals.
  return b > 0 ? (-2 * c) / (b + root) : (-b + root) / (2 * alkalinity)
}

/** Carbon dioxide in solution, mol/kg. */
export function co2From(dic: number, alkalinity: number, constants: CarbonateConstants): number {
  const { k1, k2 } = constants
  const h = hydrogenFrom(dic, alkalinity, constants)
  return dic / (1 + k1 / h + (k1 * k2) / (h * h))
}
