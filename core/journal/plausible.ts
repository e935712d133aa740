import type { Explained } from '../schema/explain.ts'
import { LIFE_MS, LIFE_YEARS, MS_PER_YEAR } from '../time/life.ts'
import { iso } from '../time/zone.ts'
import type { Entry } from './entry.ts'
import type { ReadProblem } from './read.schema.ts'
import { stampProblems } from './stamps.ts'

/** Least and most that a figure of an aquarium can be; 0 is in where the format takes it. */
type Range = readonly [least: number, most: number]

const LITRES: Range = [1e-6, 1e6]
const CM: Range = [0.001, 1e5]
const MINUTES: Range = [0, 1e6]

/**
 * Bounds of figures by their name in an entry (EA, far beyond what a home holds): a figure outside them is a slip, or was made to
 * keep the app busy for ever. Names that are not here have the bounds of every figure, `FIGURE_LIMITS`.
 */
const RANGES: Readonly<Record<string, Range>> = {
  litres: LITRES,
  learntL: LITRES,
  sumpL: LITRES,
  downL: [0, 1e6],
  otherDisplacementL: LITRES,
  volumeL: LITRES,
  capacityL: LITRES,
  leaveL: LITRES,
  scoopL: [0.001, 1000],
  everyMinutes: [0.1, 10_000],
  mlPerMinute: [0, 1e5],
  minutes: MINUTES,
  maxPsuPerHour: [0.01, 1000],
  matchPsu: [0.01, 100],
  matchC: [0.01, 100],
  matchDkh: [0.01, 100],
  maxFreeAmmoniaMgPerL: [0, 1000],
  salinityPsu: [0, 400],
  temperatureC: [-10, 110],
  alkalinityDkh: [0, 1000],
  tanMgPerL: [0, 1e5],
  heightCm: CM,
  depthCm: CM,
  widthCm: CM,
  lengthCm: CM,
  diameterCm: CM,
  waterHeightCm: CM,
  sideCm: CM,
  sizeCm: CM,
  days: [0.01, 3660],
  bottleMl: [0.01, 1e7],
  residueMl: [0, 1e7],
  mlByHour: [0, 1e5],
  rampHours: [0.1, 2400],
  afterHours: [0.01, 1e5],
  mgPerMl: [1e-6, 1e5],
  mgPerPack: [1e-6, 1e9],
  massMg: [1e-6, 1e12],
  foodG: [1e-6, 1e7],
  saltG: [1e-6, 1e9],
  step: [1e-6, 1e6],
  dropsPerMl: [0.1, 1000],
  tauMinutes: [0.01, 1e6],
  hoursInTransit: [0, 2400],
  shippingHours: [0, 2400],
}

/** Plans and absences reach this far ahead, years. */
const AHEAD_YEARS = 5

const INSTANT = /^[+-]?\d{4,6}-\d\d-\d\dT[\d:.]+Z$/

/**
 * What of a new entry cannot be, though the format can hold it: a time outside the household's life, or a figure beyond any aquarium.
 * What is kept already is read all the same.
 * @param now ms
 * @returns where, and what would be right; null where nothing is wrong
 */
export function implausible(entry: Entry, now: number): Explained | null {
  if (!('content' in entry)) return null
  const [first, last] = [iso(now - LIFE_MS), iso(now + AHEAD_YEARS * MS_PER_YEAR)]
  const fault = (value: unknown, name: string, path: string): Explained | null => {
    if (typeof value === 'number') {
      const [least, most] = RANGES[name] ?? [-Infinity, Infinity]
      const isIn = value === 0 || (value >= least && value <= most)
      return isIn ? null : { path, message: `expected a figure from ${least} to ${most}; came ${value}` }
    }
    if (typeof value === 'string')
      return !INSTANT.test(value) || (value >= first && value <= last)
        ? null
        : {
            path,
            message: `expected a time within the last ${LIFE_YEARS} years and at most ${AHEAD_YEARS} years ahead; came ${value.slice(0, 10)}`,
          }
    if (value === null || typeof value !== 'object') return null
    for (const [key, child] of Object.entries(value)) {
      const found = fault(child, Array.isArray(value) ? name : key, `${path}/${key}`)
      if (found) return found
    }
    return null
  }
  return fault(entry.content, '', '/content')
}

/**
 * What keeps a file's entries from being taken in, though the format can hold them: stamps ahead of the clock, times and figures that cannot be.
 * @param now ms
 */
export const importProblems = (entries: readonly Entry[], now: number): ReadProblem[] => [
  ...stampProblems(entries, now),
  ...entries.flatMap((entry, index): ReadProblem[] => {
    const fault = implausible(entry, now)
    return fault ? [{ path: `/entries/${index}${fault.path}`, message: fault.message }] : []
  }),
]
