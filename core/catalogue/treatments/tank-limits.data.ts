/**
 * The most of what has no tank row among the doses that a tank may hold, mg/L in the net volume. Formalin, salt and what else has a tank row is
 * held to that row.
 */
export const TANK_LIMITS_MG_PER_L: Readonly<Record<string, number>> = {
  // outbreaks.md 5.2: the stronger of the two schools against planaria.
  fenbendazole: 2.6,
  // outbreaks.md 5.2: 20 mg a US gallon.
  fluconazole: 5.3,
  // outbreaks.md 5.4, kalk-paste: 0.5 g in 100 L for a session.
  kalk: 5,
}

/** Dips for corals: never into a tank, outbreaks.md 6.2. */
export const DIPS_ONLY: ReadonlySet<string> = new Set(['iodine-dip', 'essential-oil-dip'])

/**
 * Total ammonia that ammonium chloride may make, mg/L as NH3 and NH4: quarantine.md 7.5 for water without fish and corals; in a tank without
 * anybody as much as a cycle is fed with at most (EA: more stalls the bacteria).
 */
export const AMMONIUM_LIMITS_MG_PER_L = { fallow: 0.5, nobody: 5 } as const

/** Silica in the water at most, mg/L: outbreaks.md 5.4, ceiling. */
export const CEILINGS: Readonly<Record<string, number>> = { sio2: 3 }

/** A dose of a row that is given again counts as another occasion once this share of its hours has passed (EA): earlier, it is the same dose twice. */
export const SAME_OCCASION_SHARE = 0.7
