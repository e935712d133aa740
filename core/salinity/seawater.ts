/**
 * Density of seawater at one atmosphere, kg/m³: the equation of state EOS-80 (UNESCO 1981; Fofonoff & Millard 1983).
 * @param salinityPsu practical salinity, 0…42 as fitted; used here to 50
 * @param temperatureC °C, 0…40
 */
export function seawaterDensity(salinityPsu: number, temperatureC: number): number {
  const s = salinityPsu
  const t = temperatureC
  const pureWater =
    999.842594 + t * (6.793952e-2 + t * (-9.09529e-3 + t * (1.001685e-4 + t * (-1.120083e-6 + t * 6.536332e-9))))
  const linear = 0.824493 + t * (-4.0899e-3 + t * (7.6438e-5 + t * (-8.2467e-7 + t * 5.3875e-9)))
  const root = -5.72466e-3 + t * (1.0227e-4 + t * -1.6546e-6)
  return pureWater + linear * s + root * s ** 1.5 + 4.8314e-4 * s * s
}

/** Highest practical salinity that is worked with, psu. */
export const MAX_PSU = 50

/** Specific gravity: density at the water's temperature over that of fresh water at the reference temperature. */
export const specificGravity = (salinityPsu: number, temperatureC: number, referenceC: number): number =>
  seawaterDensity(salinityPsu, temperatureC) / seawaterDensity(0, referenceC)

/**
 * Practical salinity from a specific gravity, by bisection (density rises strictly with salinity).
 * @returns psu, or null where no salinity from 0 to 50 psu has that specific gravity at that temperature
 */
export function salinityFromGravity(sg: number, temperatureC: number, referenceC: number): number | null {
  // A gravity computed from 0 or 50 psu and printed may be off by its last digit and still means the limit.
  const slack = 1e-12
  let low = 0
  let high = MAX_PSU
  if (sg < specificGravity(low, temperatureC, referenceC) - slack) return null
  if (sg > specificGravity(high, temperatureC, referenceC) + slack) return null
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2
    if (specificGravity(middle, temperatureC, referenceC) < sg) low = middle
    else high = middle
  }
  return (low + high) / 2
}
