import { parameterById } from '../catalogue/parameter.ts'
import { volumeUnit, type UnitHabits } from '../household/settings.ts'
import type { ContentOf } from '../journal/entry.ts'
import { convertSalinity } from '../salinity/salinity.ts'
import { CACO3_MG_PER_MEQ, CM_PER_INCH, DKH_PER_MEQ, fahrenheitFromCelsius } from '../units/units.ts'
import { figures, fixed } from './numbers.ts'

/** A number and its unit as they are printed. */
export interface Quantity {
  value: string
  unit: string
}

export const quantityText = ({ value, unit }: Quantity): string => (unit === '' ? value : `${value} ${unit}`)

/** Litres in the household's unit: one decimal up to 100, none above. */
export function volume(litres: number, units: UnitHabits): Quantity {
  const { per, unit } = volumeUnit(units)
  const value = litres / per
  return { value: fixed(value, value < 100 ? 1 : 0), unit }
}

/** Litres of a water change: as short as they can be said. */
export function changeVolume(litres: number, units: UnitHabits): Quantity {
  const { per, unit } = volumeUnit(units)
  return { value: figures(litres / per), unit }
}

export const litresFrom = (value: number, units: UnitHabits): number => value * volumeUnit(units).per

export function length(cm: number, units: UnitHabits): Quantity {
  return units.length === 'in' ? { value: figures(cm / CM_PER_INCH), unit: 'in' } : { value: figures(cm), unit: 'cm' }
}

export const cmFrom = (value: number, units: UnitHabits): number =>
  units.length === 'in' ? value * CM_PER_INCH : value

/** A kept value of a parameter in the household's unit. */
export function parameterValue(parameterId: string, value: number, units: UnitHabits): Quantity {
  const parameter = parameterById(parameterId)
  if (!parameter) return { value: figures(value), unit: '' }
  if (parameter.id === 'temp' && units.temperature === 'F')
    return { value: fixed(fahrenheitFromCelsius(value), 1), unit: '°F' }
  if (parameter.id === 'salinity' && units.salinity === 'sg') {
    const converted = convertSalinity({ value, unit: 'psu' })
    if (converted.ok) return { value: fixed(converted.value.sg, 4), unit: 'SG' }
  }
  if (parameter.id === 'alk-kh' && units.alkalinity === 'meq')
    return { value: fixed(value / DKH_PER_MEQ, 2), unit: 'meq/L' }
  if (parameter.id === 'alk-kh' && units.alkalinity === 'ppm')
    return { value: fixed((value / DKH_PER_MEQ) * CACO3_MG_PER_MEQ, 0), unit: 'ppm' }
  return { value: fixed(value, parameter.decimals), unit: parameter.unit === 'pH' ? '' : parameter.unit }
}

/** A reading's result: "2.10", "< 0.05", "1.0–2.0". */
export function readingResult(
  reading: Pick<ContentOf<'reading'>, 'parameter' | 'result'>,
  units: UnitHabits,
): Quantity {
  const { parameter, result } = reading
  const of = (value: number) => parameterValue(parameter, value, units)
  switch (result.kind) {
    case 'value':
      return of(result.value)
    case 'below':
      return { ...of(result.limit), value: `< ${of(result.limit).value}` }
    case 'above':
      return { ...of(result.limit), value: `> ${of(result.limit).value}` }
    case 'range':
      return { ...of(result.high), value: `${of(result.low).value}–${of(result.high).value}` }
  }
}

/**
 * A difference of two values of a parameter in the household's unit: a width, so an offset of the unit does not count.
 * @param value near which it lies: specific gravity is no straight line
 */
export function parameterDifference(parameterId: string, value: number, difference: number, units: UnitHabits): number {
  if (parameterId === 'temp' && units.temperature === 'F') return difference * 1.8
  if (parameterId === 'salinity' && units.salinity === 'sg') {
    const [low, high] = [Math.max(0, value - difference), value + difference].map((psu) =>
      convertSalinity({ value: psu, unit: 'psu' }),
    )
    if (low?.ok && high?.ok) return (high.value.sg - low.value.sg) / 2
  }
  if (parameterId === 'alk-kh' && units.alkalinity !== 'dKH') {
    const meq = difference / DKH_PER_MEQ
    return units.alkalinity === 'meq' ? meq : meq * CACO3_MG_PER_MEQ
  }
  return difference
}

/** An uncertainty beside a value, as precise as its unit is written. */
export function parameterWidth(parameterId: string, value: number, width: number, units: UnitHabits): string {
  const shown = parameterDifference(parameterId, value, width, units)
  if (parameterId === 'temp' && units.temperature === 'F') return fixed(shown, 1)
  if (parameterId === 'salinity' && units.salinity === 'sg') return fixed(shown, 4)
  if (parameterId === 'alk-kh' && units.alkalinity !== 'dKH') return fixed(shown, units.alkalinity === 'meq' ? 2 : 0)
  return figures(shown, 2)
}
