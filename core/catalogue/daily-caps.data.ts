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

/** Parameters that small-polyp corals tolerate half as fast, outbreaks.md 5.4. */
export const TENDER_PARAMETERS: ReadonlySet<ParameterId> = new Set(['alk-kh', 'no3'])

/** Alkalinity in one portion at most, dKH: outbreaks.md 5.4. */
export const ALKALINITY_PORTION_DKH = 0.25

/** A cap of what may come down in a day, which may depend on the level. */
interface FallCap {
  careful: (level: number) => number
  usual: (level: number) => number
}
const same = (cap: (level: number) => number): FallCap => ({ careful: cap, usual: cap })

/** How much may come down in a day at a level, outbreaks.md 5.4, its careful and its usual end. In the parameter's unit. */
export const FALL_A_DAY = {
  no3: same((level) => Math.min(5, level / 4)),
  po4: {
    careful: (level) => (level < 0.2 ? 0.02 : level / 5),
    usual: (level) => (level < 0.2 ? 0.05 : level / 5),
  },
  'alk-kh': same(() => 0.5),
  salinity: same(() => 2),
} as const satisfies Partial<Record<ParameterId, FallCap>>
