import { volumeUnit, type UnitHabits } from '../household/settings.ts'
import { convertSalinity } from '../salinity/salinity.ts'
import {
  CACO3_MG_PER_MEQ,
  celsiusFromFahrenheit,
  CM_PER_INCH,
  DKH_PER_MEQ,
  fahrenheitFromCelsius,
  KG_PER_LB,
} from '../units/units.ts'
import { figures, fixed } from './numbers.ts'

/**
 * Units the core reckons in and a household may measure otherwise. `psu apart` and `°C apart` are differences: they have no zero
 * to be moved. Every other unit (mL, mg/L, h …) is said as it is.
 */
export type KeptUnit = 'L' | 'L/h' | 'cm' | 'kg' | '°C' | '°C apart' | 'psu' | 'psu apart' | 'dKH'

interface Habit {
  unit: string
  toShown: (kept: number) => number
  toKept: (shown: number) => number
  text: (shown: number, digits: number) => string
}

const plainText = (shown: number, digits: number) => figures(shown, digits)
const ratio = (unit: string, keptPerShown: number): Habit => ({
  unit,
  toShown: (kept) => kept / keptPerShown,
  toKept: (shown) => shown * keptPerShown,
  text: plainText,
})

/** Specific gravity by one psu near sea water: EOS-80 at 25 °C between 25 and 35 psu. */
const SG_PER_PSU = 0.00075

const toSg = (psu: number): number => {
  const converted = convertSalinity({ value: psu, unit: 'psu' })
  return converted.ok ? converted.value.sg : NaN
}
/** Fresh water reads 1.000 and may come a hair under it. */
const fromSg = (sg: number): number => {
  if (sg <= 1) return sg > 0.99 ? 0 : NaN
  const converted = convertSalinity({ value: sg, unit: 'sg' })
  return converted.ok ? converted.value.psu : NaN
}
const sgText = (sg: number) => fixed(sg, 4)

function habitOf(unit: KeptUnit, units: UnitHabits): Habit {
  switch (unit) {
    case 'L': {
      const { unit: shown, per } = volumeUnit(units)
      return ratio(shown, per)
    }
    case 'L/h': {
      const { unit: shown, per } = volumeUnit(units)
      return ratio(`${shown}/h`, per)
    }
    case 'cm':
      return units.length === 'in' ? ratio('in', CM_PER_INCH) : ratio('cm', 1)
    case 'kg':
      // Who measures in inches weighs in pounds.
      return units.length === 'in' ? ratio('lb', KG_PER_LB) : ratio('kg', 1)
    case '°C':
      return units.temperature === 'F'
        ? { unit: '°F', toShown: fahrenheitFromCelsius, toKept: celsiusFromFahrenheit, text: plainText }
        : ratio('°C', 1)
    case '°C apart':
      return units.temperature === 'F' ? ratio('°F', 1 / 1.8) : ratio('°C', 1)
    case 'psu':
      return units.salinity === 'sg' ? { unit: 'SG', toShown: toSg, toKept: fromSg, text: sgText } : ratio('psu', 1)
    case 'psu apart':
      return units.salinity === 'sg' ? { ...ratio('SG', 1 / SG_PER_PSU), text: sgText } : ratio('psu', 1)
    case 'dKH':
      return units.alkalinity === 'meq'
        ? ratio('meq/L', DKH_PER_MEQ)
        : units.alkalinity === 'ppm'
          ? ratio('ppm', DKH_PER_MEQ / CACO3_MG_PER_MEQ)
          : ratio('dKH', 1)
  }
}

const KEPT: readonly string[] = [
  'L',
  'L/h',
  'cm',
  'kg',
  '°C',
  '°C apart',
  'psu',
  'psu apart',
  'dKH',
] satisfies KeptUnit[]

const isKept = (unit: string): unit is KeptUnit => KEPT.includes(unit)

/** What stands beside a field or figure of a unit in a household: "US gal" for L. */
export const shownUnit = (unit: string, units: UnitHabits): string => (isKept(unit) ? habitOf(unit, units).unit : unit)

/** A kept figure as the household measures it. */
export const toShown = (kept: number, unit: string, units: UnitHabits): number =>
  isKept(unit) ? habitOf(unit, units).toShown(kept) : kept

/** What a figure typed in the household's unit is kept as; NaN where there is no such (a specific gravity of 35). */
export const toKept = (shown: number, unit: string, units: UnitHabits): number =>
  isKept(unit) ? habitOf(unit, units).toKept(shown) : shown

/** A kept figure's number as the household says it, without its unit. */
export const shownFigure = (kept: number, unit: string, units: UnitHabits, digits = 4): string =>
  isKept(unit) ? habitOf(unit, units).text(toShown(kept, unit, units), digits) : figures(kept, digits)

/** A kept figure as the household says it, with its unit: "5.2 US gal". */
export const measureText = (kept: number, unit: string, units: UnitHabits, digits = 4): string =>
  `${shownFigure(kept, unit, units, digits)} ${shownUnit(unit, units)}`

/** A quantity within a sentence, kept in the core's unit. */
export interface Measured {
  value: number
  unit: string
  digits?: number
}

/** A sentence whose quantities are not yet said in anybody's unit. */
export type Sentence = string | readonly (string | Measured)[]

/** A sentence as a household reads it. */
export const sentenceText = (sentence: Sentence, units: UnitHabits): string =>
  typeof sentence === 'string'
    ? sentence
    : sentence
        .map((part) => (typeof part === 'string' ? part : measureText(part.value, part.unit, units, part.digits)))
        .join('')

/** Litres and centimetres in a refusal of the core, which names its limits in its own units, as the household measures them. */
export const refusalInUnits = (message: string, units: UnitHabits): string =>
  message.replace(/(\d+(?:\.\d+)?) (L|cm)\b/g, (_, figure: string, unit: string) =>
    measureText(Number(figure), unit, units),
  )
