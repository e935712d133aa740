import type { Setting } from '../../../../core/acclimation/simulate.ts'
import type { Point } from '../../../../core/acclimation/simulate.ts'
import type { Limits } from '../../../../core/acclimation/trials.ts'
import { mindsSalinity } from '../../../../core/acclimation/limits.ts'
import { figureUnit } from '../../../../core/arrivals/run/figures.ts'
import type { UnitHabits } from '../../../../core/household/settings.ts'
import { parameterValue } from '../../../../core/words/quantities.ts'

/** A figure that is drawn over the minutes of an acclimation. */
export interface Quantity {
  id: 'salinityPsu' | 'temperatureC' | 'pH' | 'freeAmmoniaMgPerL' | 'bagWaterFraction'
  name: string
  unit: string
  of: (point: Point) => number
  /** As it is printed. */
  text: (value: number) => string
  /** The least span worth drawing: less is a flat line. */
  leastSpan: number
  /** What has to be reached, or not passed; null where nothing is asked. */
  band: readonly [low: number, high: number] | null
  /** The tank's own figure. */
  tank: number | null
}

/** What is drawn, in the order it is judged; in fresh water salinity is left out. */
export function quantitiesOf(target: Pick<Setting, 'tank'>, limits: Limits, units: UnitHabits): Quantity[] {
  const { tank } = target
  const printed = (parameter: string) => (value: number) => parameterValue(parameter, value, units).value
  const all: (Quantity | null)[] = [
    mindsSalinity(limits)
      ? {
          id: 'salinityPsu',
          name: 'Salinity',
          unit: figureUnit('salinityPsu', units),
          of: (point) => point.salinityPsu,
          text: printed('salinity'),
          leastSpan: 2,
          band: [tank.salinityPsu - limits.matchPsu, tank.salinityPsu + limits.matchPsu],
          tank: tank.salinityPsu,
        }
      : null,
    {
      id: 'temperatureC',
      name: 'Temperature',
      unit: figureUnit('temperatureC', units),
      of: (point) => point.temperatureC,
      text: printed('temp'),
      leastSpan: 2,
      band: [tank.temperatureC - limits.matchC, tank.temperatureC + limits.matchC],
      tank: tank.temperatureC,
    },
    {
      id: 'pH',
      name: 'pH',
      unit: '',
      of: (point) => point.pH,
      text: (value) => value.toFixed(2),
      leastSpan: 0.5,
      band: null,
      tank: tank.pH,
    },
    {
      id: 'freeAmmoniaMgPerL',
      name: 'Free ammonia',
      unit: 'mg/L N',
      of: (point) => point.freeAmmoniaMgPerL,
      text: (value) => value.toFixed(3),
      leastSpan: limits.maxFreeAmmoniaMgPerL,
      band: [0, limits.maxFreeAmmoniaMgPerL],
      tank: null,
    },
    {
      id: 'bagWaterFraction',
      name: 'Bag water left',
      unit: '%',
      of: (point) => point.bagWaterFraction,
      text: (value) => `${Math.round(value * 100)}`,
      leastSpan: 1,
      band: null,
      tank: null,
    },
  ]
  return all.filter((quantity) => quantity !== null)
}

/** The range a row is drawn over: every value in it, its band, and at least its own span. */
export function domainOf(quantity: Quantity, series: readonly (readonly Point[])[]): readonly [number, number] {
  if (quantity.id === 'bagWaterFraction') return [0, 1]
  const values = series.flatMap((points) => points.map(quantity.of))
  const edges = [...values, ...(quantity.band ?? []), ...(quantity.tank === null ? [] : [quantity.tank])]
  let low = Math.min(...edges)
  let high = Math.max(...edges)
  const lacking = quantity.leastSpan - (high - low)
  if (lacking > 0) {
    low -= lacking / 2
    high += lacking / 2
  }
  const air = (high - low) * 0.06
  // Nothing here goes under nothing.
  return [quantity.id === 'freeAmmoniaMgPerL' ? 0 : low - air, high + air]
}

/** To a tenth of a px; thousands a key, and cheaper than printing them with toFixed. */
const tenth = (px: number) => Math.round(px * 10) / 10

/** A line through points as an SVG path, every so many px at most one. */
export function pathOf(
  points: readonly Point[],
  of: (point: Point) => number,
  x: (minute: number) => number,
  y: (value: number) => number,
): string {
  let path = ''
  let last = -Infinity
  for (const [i, point] of points.entries()) {
    const at = x(point.minute)
    if (at - last < 1 && i < points.length - 1) continue
    path += `${path ? 'L' : 'M'}${tenth(at)} ${tenth(y(of(point)))}`
    last = at
  }
  return path
}

/** Minutes marked on an axis: few enough to be read. */
export function minuteTicks(until: number, width: number): number[] {
  const step = [5, 10, 15, 30, 60, 120].find((one) => (until / one) * 46 <= width) ?? 240
  return Array.from({ length: Math.floor(until / step) + 1 }, (_, i) => i * step)
}
