import type { Reading } from '../../calculators/calculator.ts'
import type { UnitHabits } from '../../household/settings.ts'
import { kitFor, type Tank } from '../../household/tanks.ts'
import type { Journal } from '../../journal/journal.ts'
import { convertSalinity } from '../../salinity/salinity.ts'
import { CACO3_MG_PER_MEQ, celsiusFromFahrenheit, DKH_PER_MEQ, fahrenheitFromCelsius } from '../../units/units.ts'
import { type WaterFigure } from './water.ts'
import { perNitrogen, type TanBasis } from '../../ammonia/basis.ts'

/** What a household types figures in: its habits, and what its kit states total ammonia as. */
export interface FigureHabits extends UnitHabits {
  tan?: TanBasis
}

/** The habits that hold for a tank: total ammonia as the kit on record for it states it, as N where there is none. */
export function figureHabits(journal: Journal, units: UnitHabits, tankId: string): FigureHabits {
  const basis = kitFor(journal, tankId, 'tan')?.basis
  return { ...units, tan: basis === 'NH3' || basis === 'NH4' ? basis : 'N' }
}

/** The figures of a bag, in the order they are asked for. */
export const BAG_FIGURES: readonly WaterFigure[] = ['salinityPsu', 'temperatureC', 'pH', 'tanMgPerL', 'alkalinityDkh']

/** What a keeper calls a figure of some water. */
export function figureLabel(id: WaterFigure, water: Tank['water']): string {
  switch (id) {
    case 'salinityPsu':
      return 'Salinity'
    case 'temperatureC':
      return 'Temperature'
    case 'pH':
      return 'pH'
    case 'tanMgPerL':
      return 'Total ammonia'
    case 'alkalinityDkh':
      return water === 'freshwater' ? 'Hardness (KH)' : 'Alkalinity'
  }
}

/** The unit beside a figure, as the household measures. */
export function figureUnit(id: WaterFigure, units: FigureHabits): string {
  switch (id) {
    case 'temperatureC':
      return units.temperature === 'F' ? '°F' : '°C'
    case 'salinityPsu':
      return units.salinity === 'sg' ? 'SG' : 'psu'
    case 'alkalinityDkh':
      return { dKH: 'dKH', meq: 'meq/L', ppm: 'ppm' }[units.alkalinity]
    case 'tanMgPerL':
      return `mg/L ${units.tan ?? 'N'}`
    case 'pH':
      return ''
  }
}

/** A figure with so many decimals and no trailing nought. */
export const trim = (value: number, decimals: number) => String(Number(value.toFixed(decimals)))

/** A kept figure as it would be typed. */
export function typedFigure(id: WaterFigure, value: number, units: FigureHabits): string {
  switch (id) {
    case 'temperatureC':
      return trim(units.temperature === 'F' ? fahrenheitFromCelsius(value) : value, 1)
    case 'salinityPsu': {
      if (units.salinity !== 'sg') return trim(value, 1)
      const converted = convertSalinity({ value, unit: 'psu' })
      return converted.ok ? converted.value.sg.toFixed(4) : trim(value, 1)
    }
    case 'alkalinityDkh':
      return units.alkalinity === 'dKH'
        ? trim(value, 1)
        : units.alkalinity === 'meq'
          ? trim(value / DKH_PER_MEQ, 2)
          : trim((value / DKH_PER_MEQ) * CACO3_MG_PER_MEQ, 0)
    case 'tanMgPerL':
      return trim(value * perNitrogen(units.tan), 2)
    case 'pH':
      return trim(value, 2)
  }
}

/** What is plausible of a figure, in the unit it is kept in; what lies outside is a slip of the pen. */
const PLAUSIBLE: Record<WaterFigure, readonly [low: number, high: number]> = {
  temperatureC: [5, 36],
  salinityPsu: [0, 45],
  pH: [5.5, 9],
  tanMgPerL: [0, 30],
  alkalinityDkh: [0.1, 25],
}

/** Reads a figure in the household's unit; undefined with its fault beside the field. */
export function readFigure(reading: Reading, field: string, id: WaterFigure, units: FigureHabits): number | undefined {
  const [low, high] = PLAUSIBLE[id]
  const unit = figureUnit(id, units)
  const said = (value: number) => `${typedFigure(id, value, units)}${unit && ` ${unit}`}`
  const typed = reading.number(field, { rather: `${said(low)} to ${said(high)} is plausible` })
  if (typed === undefined) return undefined
  const value = keptFigure(id, typed, units)
  return value < low - 1e-9 || value > high + 1e-9
    ? reading.fault(field, `${said(low)} to ${said(high)} is plausible`)
    : value
}

/** What a typed figure is kept as. */
function keptFigure(id: WaterFigure, typed: number, units: FigureHabits): number {
  switch (id) {
    case 'temperatureC':
      return units.temperature === 'F' ? celsiusFromFahrenheit(typed) : typed
    case 'salinityPsu':
      return units.salinity === 'sg' ? gravity(typed) : typed
    case 'alkalinityDkh':
      return units.alkalinity === 'dKH'
        ? typed
        : (units.alkalinity === 'meq' ? typed : typed / CACO3_MG_PER_MEQ) * DKH_PER_MEQ
    case 'tanMgPerL':
      return typed / perNitrogen(units.tan)
    case 'pH':
      return typed
  }
}

/** psu of a specific gravity; far outside where there is none. */
function gravity(sg: number): number {
  if (sg <= 1) return sg > 0.99 ? 0 : -1
  const converted = convertSalinity({ value: sg, unit: 'sg' })
  return converted.ok ? converted.value.psu : Infinity
}
