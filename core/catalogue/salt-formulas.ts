/**
 * Salts by their formulas. A product's strength is counted in what is tested (calcium, nitrate), so a gram of the salt in the jar counts by that
 * part of its molar mass, the water of crystallisation with it.
 */

import { DKH_PER_MEQ } from '../units/units.ts'

/** Standard atomic weights, g/mol, abridged to five digits: IUPAC 2021. */
const ATOMS = {
  H: 1.008,
  C: 12.011,
  N: 14.007,
  O: 15.999,
  Na: 22.99,
  Mg: 24.305,
  Si: 28.085,
  P: 30.974,
  S: 32.06,
  Cl: 35.45,
  K: 39.098,
  Ca: 40.078,
  Cu: 63.546,
} as const
type Formula = Partial<Record<keyof typeof ATOMS, number>>

/** g/mol. */
const molarMass = (formula: Formula): number =>
  Object.entries(formula).reduce((sum, [atom, count]) => sum + ATOMS[atom as keyof typeof ATOMS] * count, 0)

interface SaltFormula {
  /** The salt as it is sold, with its water of crystallisation. */
  salt: Formula
  /** What its strength is counted in, from one formula unit. Left out where it is counted as the whole salt. */
  counted?: Formula
  /** The same salt with the least water it is sold with, where that is less. */
  driest?: Formula
  /** The largest share that is still taken for the ion's, where other salts of it are sold under the same name. */
  mostShare?: number
  /** What one formula unit brings to the water. `alk` in equivalents. */
  brings: { alk?: number; ca?: number; mg?: number; k?: number; no3?: number; po4?: number; sio2?: number; na?: number }
}

const WATER = (times: number): Formula => ({ H: 2 * times, O: times })
const plus = (...formulas: Formula[]): Formula => {
  const sum: Record<string, number> = {}
  for (const formula of formulas)
    for (const [atom, count] of Object.entries(formula)) sum[atom] = (sum[atom] ?? 0) + count
  return sum
}

const CALCIUM_CHLORIDE: Formula = { Ca: 1, Cl: 2 }
const MAGNESIUM_CHLORIDE: Formula = { Mg: 1, Cl: 2 }
const SODIUM_SILICATE: Formula = { Na: 2, Si: 1, O: 3 }
const NITRATE: Formula = { N: 1, O: 3 }
const PHOSPHATE: Formula = { P: 1, O: 4 }
const SILICA: Formula = { Si: 1, O: 2 }

const FORMULAS: Readonly<Record<string, SaltFormula>> = {
  'sodium-bicarbonate': { salt: { Na: 1, H: 1, C: 1, O: 3 }, brings: { alk: 1, na: 1 } },
  'sodium-carbonate': { salt: { Na: 2, C: 1, O: 3 }, brings: { alk: 2, na: 2 } },
  kalk: { salt: { Ca: 1, O: 2, H: 2 }, brings: { alk: 2, ca: 1 } },
  'calcium-chloride-dihydrate': {
    salt: plus(CALCIUM_CHLORIDE, WATER(2)),
    counted: { Ca: 1 },
    driest: CALCIUM_CHLORIDE,
    brings: { ca: 1 },
  },
  'magnesium-chloride-hexahydrate': {
    salt: plus(MAGNESIUM_CHLORIDE, WATER(6)),
    counted: { Mg: 1 },
    driest: MAGNESIUM_CHLORIDE,
    brings: { mg: 1 },
  },
  'potassium-chloride': { salt: { K: 1, Cl: 1 }, counted: { K: 1 }, brings: { k: 1 } },
  'potassium-carbonate': { salt: { K: 2, C: 1, O: 3 }, counted: { K: 2 }, brings: { k: 2, alk: 2 } },
  'potassium-bicarbonate': { salt: { K: 1, H: 1, C: 1, O: 3 }, counted: { K: 1 }, brings: { k: 1, alk: 1 } },
  'sodium-nitrate': { salt: plus({ Na: 1 }, NITRATE), counted: NITRATE, brings: { no3: 1, na: 1 } },
  'potassium-nitrate': { salt: plus({ K: 1 }, NITRATE), counted: NITRATE, brings: { no3: 1, k: 1 } },
  'monopotassium-phosphate': {
    salt: plus({ K: 1, H: 2 }, PHOSPHATE),
    counted: PHOSPHATE,
    brings: { po4: 1, k: 1 },
  },
  'sodium-silicate-pentahydrate': {
    salt: plus(SODIUM_SILICATE, WATER(5)),
    counted: SILICA,
    driest: SODIUM_SILICATE,
    brings: { sio2: 1, alk: 2, na: 2 },
  },
  'ammonium-chloride': { salt: { N: 1, H: 4, Cl: 1 }, counted: { N: 1 }, brings: {} },
  'cu-ion': {
    salt: plus({ Cu: 1, S: 1, O: 4 }, WATER(5)),
    counted: { Cu: 1 },
    // Other copper salts hold more: only a pure one is read by the formula, for a strength that is read too low is dosed too high.
    mostShare: 0.99,
    brings: {},
  },
}

/** What one formula unit of each is, g/mol. */
const BROUGHT: Readonly<Record<Exclude<keyof SaltFormula['brings'], 'alk'>, number>> = {
  ca: ATOMS.Ca,
  mg: ATOMS.Mg,
  k: ATOMS.K,
  na: ATOMS.Na,
  no3: molarMass(NITRATE),
  po4: molarMass(PHOSPHATE),
  sio2: molarMass(SILICA),
}

/** A weighed salt may be off by so much (EA). */
const WEIGHED_OFF = 1.01

/** A formula as it is asked for, again and again: worked out once. */
interface SaltFigures {
  countedShare: number
  mostCountedShare: number
  /** See `broughtPerMgPerL`. */
  perMgPerL: Readonly<Record<string, number>>
}
const FIGURES: ReadonlyMap<string, SaltFigures> = new Map(
  Object.entries(FORMULAS).map(([id, { salt, counted, driest, mostShare, brings }]): [string, SaltFigures] => {
    const countedGPerMol = molarMass(counted ?? salt)
    return [
      id,
      {
        countedShare: countedGPerMol / molarMass(salt),
        mostCountedShare: mostShare ?? Math.min(1, (countedGPerMol / molarMass(driest ?? salt)) * WEIGHED_OFF),
        perMgPerL: Object.fromEntries(
          Object.entries(brings).map(([of, units]) => [
            of,
            (units * (of === 'alk' ? DKH_PER_MEQ : BROUGHT[of as keyof typeof BROUGHT])) / countedGPerMol,
          ]),
        ),
      },
    ]
  }),
)

/**
 * The part of a pure salt's mass that its strength is counted in, by molar masses, hydrate included.
 * @returns 1 for what is counted as the whole substance
 * @example
 * countedShare('magnesium-chloride-hexahydrate') // 0.11955: a gram holds 120 mg of magnesium
 */
export const countedShare = (ingredient: string): number => FIGURES.get(ingredient)?.countedShare ?? 1

/**
 * The largest share that a powder of a salt can hold of what it is counted in: that of its driest form.
 * @returns 1 for what is counted as the whole substance
 */
export const mostCountedShare = (ingredient: string): number => FIGURES.get(ingredient)?.mostCountedShare ?? 1

/**
 * The share of a powder that counts, as its keeper meant it. Until products said whether a percentage is of the salt or of its ion, a pure salt
 * was kept as 100 %: more than any of it can hold of its ion, so it is the salt that was meant.
 * @param activeFraction as kept
 * @example
 * meantFraction('potassium-nitrate', 1) // 0.6133
 * meantFraction('potassium-nitrate', 0.6133) // 0.6133
 */
export const meantFraction = (ingredient: string, activeFraction: number): number =>
  activeFraction > mostCountedShare(ingredient) ? activeFraction * countedShare(ingredient) : activeFraction

/**
 * How much one mg/L of what a salt is counted in raises something, by molar masses.
 * @param of a parameter's id without its method (`alk`, `ca`, `k`), or `na`
 * @returns dKH for `alk`, mg/L for the others; 0 where the salt does not bring it
 * @example
 * broughtPerMgPerL('sodium-bicarbonate', 'alk') // 0.03333 dKH
 * broughtPerMgPerL('potassium-nitrate', 'k') // 0.6306 mg/L with each mg/L of nitrate
 */
export const broughtPerMgPerL = (ingredient: string, of: keyof SaltFormula['brings']): number =>
  FIGURES.get(ingredient)?.perMgPerL[of] ?? 0
