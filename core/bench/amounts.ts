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
import { sessionCap } from '../courses/amounts/planned-session.ts'
import { figures } from '../words/numbers.ts'
import { chosenOption, type BenchStart } from './occasions.ts'

/** What amounts are worked out from. */
export interface AmountInput {
  procedure: Procedure
  start: Pick<BenchStart, 'choices' | 'figures' | 'measuredOut' | 'bottle'>
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

/** A half change that is measured by the jug is a half, so near (EA). */
const SAME_HALF = 0.02

/** A share of the tank that a half change takes. */
export const HALF = 0.5

/** What the level of a bath is counted in: a few are dosed by volume. */
export const levelUnitOf = ({ measuredOut }: Pick<Procedure, 'measuredOut'>): string =>
  measuredOut?.for === 'bath' && doseById(measuredOut.dose)?.unit === 'µL/L' ? 'µL/L' : 'mg/L'

/** mg of peroxide in a mL of 3 %. */
const PEROXIDE_3_PERCENT = peroxideStrength({ percentByMass: 3 })
const MG_PER_ML_3_PERCENT = PEROXIDE_3_PERCENT.ok ? PEROXIDE_3_PERCENT.value.mgPerMl : NaN

/** 3 % by mass and 3 % in volume differ by a hundredth; a label's rounding by a little more (EA). */
export const SAME_STRENGTH = 0.05

/** mg of peroxide in a mL of what a session's figures count: the bottle's own where it is a 3 % one, else 3 % that was diluted from it. */
const workingMgPerMl = ({ bottle }: Pick<BenchStart, 'bottle'>): number =>
  bottle && Math.abs(bottle.mgPerMl / MG_PER_ML_3_PERCENT - 1) < SAME_STRENGTH ? bottle.mgPerMl : MG_PER_ML_3_PERCENT

/**
 * The cap of a session as the course's card says it (`sessionCap`), by the bottle's own syringe. A stronger bottle is diluted to 3 % first, and both
 * amounts are said; of a weaker one so much as holds the same.
 */
function tierLimit({ start, procedure, netL }: Pick<AmountInput, 'start' | 'procedure' | 'netL'>): SessionLimit {
  const tier = tierById(chosenOption(procedure, start, 'tier'))
  const { bottle } = start
  const mgPerUnit = workingMgPerMl(start)
  const drawn = (mgPerMl: number) =>
    sessionCap(tier, netL ?? 0, {
      id: '',
      unit: 'mL',
      mgPerUnit: mgPerMl,
      measure: bottle?.step === undefined ? null : { tool: '', step: bottle.step },
    }).amount ?? 0
  const diluted =
    bottle && mgPerUnit !== bottle.mgPerMl
      ? `, ${figures(drawn(bottle.mgPerMl), 3)} mL of ${bottle.name} ${bottle.mgPerMl > mgPerUnit ? 'diluted to it' : 'hold as much'}`
      : ''
  return {
    most: drawn(mgPerUnit),
    unit: 'mL',
    words: `of 3 % peroxide in one session, ${tier.label}${diluted}`,
    per: 'session',
  }
}

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
    case 'peroxide-by-tier':
      return tierLimit({ procedure, start, netL })
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

/** Down to a tool's step; without one as it is. */
const flooredTo = (step: number | undefined, value: number): number =>
  step === undefined ? value : Number((Math.floor(value / step + 1e-9) * step).toPrecision(8))

/** "drops" and "packs" for more than one; mL and g as they are. */
export const countedUnit = (unit: string, amount: number): string =>
  (unit === 'drop' || unit === 'pack') && amount !== 1 ? `${unit}s` : unit

/** Litres that bring what a session has put in under its tier's rest; null where nothing has to be changed. */
function tierChangeL({ procedure, start, totals, netL }: AmountInput): number | null {
  const tier = tierById(chosenOption(procedure, start, 'tier'))
  if (netL === null || tier.leaveMgPerL === null) return null
  const level = ((totals.get('ml') ?? 0) * workingMgPerMl(start)) / netL
  if (level <= tier.leaveMgPerL) return null
  const change = changeForTarget({ startMgPerL: level, targetMgPerL: tier.leaveMgPerL, maxFraction: 1 })
  return change.ok ? change.value.singleFraction * netL : null
}

/**
 * The amount that a step asks for.
 * @returns null where it cannot be worked out: no product, no net volume
 */
export function amountOf(name: AmountName, input: AmountInput): StepAmount | null {
  const { procedure, start, netL, totals } = input
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
      const { unit, amount } = measuredOut
      if (chosenOption(procedure, start, 'redose') === 'full')
        return { value: amount, unit: countedUnit(unit, amount), words: 'in full' }
      // It was measured out for a half: what was really changed decides, never over it.
      const changedL = totals.get('changedL')
      const halves = changedL === undefined || netL === null ? 1 : changedL / (netL * HALF)
      const isHalf = Math.abs(halves - 1) < SAME_HALF
      const value = isHalf ? amount : flooredTo(measuredOut.step, amount * halves)
      return {
        value,
        unit: countedUnit(unit, value),
        words: isHalf ? 'for the replaced half' : 'for what was really changed',
      }
    }
    case 'session-cap': {
      const { most, unit, words } = sessionLimit('peroxide-by-tier', input)
      return netL === null ? null : { value: most, unit, words: `at most, for all together: ${words}` }
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
