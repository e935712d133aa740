import type { ParameterId } from './parameter.types.ts'

/**
 * How much may be raised in a day, outbreaks.md 5.4 (hobby practice in the main): the careful end, for small-polyp corals where it names
 * them, and the usual one. In the parameter's unit.
 */
export const RAISE_A_DAY = {
  'alk-kh': { careful: 0.5, usual: 1 },
  ca: { careful: 20, usual: 25 },
  mg: { careful: 50, usual: 100 },
  k: { careful: 10, usual: 20 },
  no3: { careful: 2, usual: 5 },
  po4: { careful: 0.02, usual: 0.03 },
  salinity: { careful: 1, usual: 1 },
  temp: { careful: 1, usual: 1 },
  sio2: { careful: 1, usual: 1 },
} as const satisfies Partial<Record<ParameterId, { careful: number; usual: number }>>

/** Alkalinity in one portion at most, dKH: outbreaks.md 5.4. */
export const ALKALINITY_PORTION_DKH = 0.25
