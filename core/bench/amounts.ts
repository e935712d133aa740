import {
  KALK_PASTE_G_PER_100_L,
  LEATHER_DRIP_ML,
  SALT_G_PER_L_PSU,
  TUB_FILLS,
  TUB_PEROXIDE_ML_PER_L,
} from '../catalogue/procedures/limits.data.ts'
import type { AmountName, Procedure, SessionLimitName } from '../catalogue/procedures/procedure.types.ts'
import { doseById } from '../catalogue/treatments/treatments.ts'
import { peroxideStrength } from '../dosing/peroxide.ts'
import { tierById } from '../catalogue/treatments/peroxide-tiers.data.ts'
import { changeForTarget } from '../water-change/water-change.ts'
import { chosenOption, type BenchStart } from './occasions.ts'

/** What amounts are worked out from. */
export interface AmountInput {
  procedure: Procedure
  start: Pick<BenchStart, 'choices' | 'figures' | 'measuredOut'>
  /** Sums of the figures that were written down so far. */
  totals: ReadonlyMap<string, number>
  /** Net volume of the tank, L; null where it is not known. */
  netL: number | null
  /** Salinity of the tank as last tested, psu; null where it is not known. */
  psu?: number | null
}

/** An amount of a step, and what it is. */
export interface StepAmount {
  value: number
  /** A unit of core/words/measure, or one that is said as it is. */
  unit: string
  /** "at most", "in all". */
  words: string
}

/** A figure that was asked before it began; null where it was not. */
export const askedFigure = ({ figures = [] }: Pick<BenchStart, 'figures'>, id: string): number | null =>
  figures.find((one) => one.id === id)?.value ?? null

/** A share of the tank that a half change takes. */
export const HALF = 0.5

/** What the level of a bath is counted in: a few are dosed by volume. */
export const levelUnitOf = ({ measuredOut }: Pick<Procedure, 'measuredOut'>): string =>
  measuredOut?.for === 'bath' && doseById(measuredOut.dose)?.unit === 'µL/L' ? 'µL/L' : 'mg/L'

/** mg of peroxide in a mL of 3 %. */
const PEROXIDE_3_PERCENT = peroxideStrength({ percentByMass: 3 })
const MG_PER_ML_3_PERCENT = PEROXIDE_3_PERCENT.ok ? PEROXIDE_3_PERCENT.value.mgPerMl : NaN

/** A limit of a figure's sum. */
export interface SessionLimit {
  most: number
  unit: string
  words: string
  /** What is added up: all that the session gave, or what each subject got (a tub is filled afresh for each rock). */
  per: 'session' | 'subject'
}

/**
 * The limit that a figure's sum is held against. Where it is not known (no net volume, no litres of the tub) nothing may be given.
 * @example
 * // 100 L, animals in the water: outbreaks.md 5.3
 * sessionLimit('peroxide-by-tier', input).most // 2.6
 */
export function sessionLimit(name: SessionLimitName, { procedure, start, netL }: AmountInput): SessionLimit {
  switch (name) {
    case 'peroxide-by-tier': {
      const tier = tierById(chosenOption(procedure, start, 'tier'))
      return {
        // As the handbook rounds it: never over the cap.
        most: floorTo((tier.capMgPerL * (netL ?? 0)) / MG_PER_ML_3_PERCENT, 2),
        unit: 'mL',
        words: `of 3 % peroxide in one session, ${tier.label}`,
        per: 'session',
      }
    }
    case 'peroxide-in-tub':
      return {
        most: TUB_PEROXIDE_ML_PER_L * (askedFigure(start, 'tubL') ?? 0),
        unit: 'mL',
        words: 'of 3 % peroxide in this tub',
        per: 'subject',
      }
    case 'leather-drip':
      return {
        most: LEATHER_DRIP_ML,
        unit: 'mL',
        words: 'of 3 % peroxide on a leather coral and its rock',
        per: 'subject',
      }
    case 'kalk-paste':
      return {
        most: (KALK_PASTE_G_PER_100_L * (netL ?? 0)) / 100,
        unit: 'g',
        words: 'of calcium hydroxide in one session',
        per: 'session',
      }
  }
}

/** "drops" and "packs" for more than one; mL and g as they are. */
export const countedUnit = (unit: string, amount: number): string =>
  (unit === 'drop' || unit === 'pack') && amount !== 1 ? `${unit}s` : unit

/** Rounded down to some significant digits. */
function floorTo(value: number, digits: number): number {
  if (!(value > 0)) return 0
  const step = 10 ** (Math.floor(Math.log10(value)) + 1 - digits)
  return Number((Math.floor(value / step + 1e-9) * step).toPrecision(digits))
}

/** Litres that bring what a session has put in under its tier's rest; null where nothing has to be changed. */
function tierChangeL({ procedure, start, totals, netL }: AmountInput): number | null {
  const tier = tierById(chosenOption(procedure, start, 'tier'))
  if (netL === null || tier.leaveMgPerL === null) return null
  const level = ((totals.get('ml') ?? 0) * MG_PER_ML_3_PERCENT) / netL
  if (level <= tier.leaveMgPerL) return null
  const change = changeForTarget({ startMgPerL: level, targetMgPerL: tier.leaveMgPerL, maxFraction: 1 })
  return change.ok ? change.value.singleFraction * netL : null
}

/**
 * The amount that a step asks for.
 * @returns null where it cannot be worked out: no product, no net volume
 */
export function amountOf(name: AmountName, input: AmountInput): StepAmount | null {
  const { procedure, start, netL } = input
  const { measuredOut } = start
  switch (name) {
    case 'measured-out': {
      if (!measuredOut) return null
      const tubL = askedFigure(start, 'tubL')
      const makes =
        measuredOut.massMg === undefined || tubL === null
          ? ''
          : `${Number((measuredOut.massMg / tubL).toPrecision(3))} ${levelUnitOf(procedure)} in the tub`
      return { value: measuredOut.amount, unit: countedUnit(measuredOut.unit, measuredOut.amount), words: makes }
    }
    case 'redose': {
      if (!measuredOut) return null
      const isFull = chosenOption(procedure, start, 'redose') === 'full'
      return {
        value: measuredOut.amount,
        unit: countedUnit(measuredOut.unit, measuredOut.amount),
        words: isFull ? 'in full' : 'for the replaced half',
      }
    }
    case 'session-cap': {
      const { most, unit } = sessionLimit('peroxide-by-tier', input)
      return netL === null ? null : { value: most, unit, words: 'at most, of 3 %, for all together' }
    }
    case 'tub-cap': {
      const { most, unit } = sessionLimit('peroxide-in-tub', input)
      return most > 0 ? { value: most, unit, words: 'at most, of 3 %, in this tub' } : null
    }
    case 'tier-change': {
      const litres = tierChangeL(input)
      return litres === null ? null : { value: litres, unit: 'L', words: 'at least' }
    }
    case 'half-change':
      return netL === null ? null : { value: netL * HALF, unit: 'L', words: 'half of the net volume' }
    case 'salt': {
      const [litres, psu] = [askedFigure(start, 'litres'), askedFigure(start, 'psu')]
      return litres === null || psu === null
        ? null
        : { value: litres * psu * SALT_G_PER_L_PSU, unit: 'g', words: 'of salt' }
    }
    case 'tub-water': {
      const tubL = askedFigure(start, 'tubL')
      if (tubL === null) return null
      const litres = tubL * TUB_FILLS
      const psu = input.psu ?? null
      const grams =
        psu === null ? '' : `, with ${Math.round(litres * psu * SALT_G_PER_L_PSU)} g of salt; the refractometer decides`
      return { value: litres, unit: 'L', words: `mixed before anything is lifted${grams}` }
    }
  }
}
