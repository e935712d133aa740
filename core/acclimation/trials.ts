import type { AcclimationMethod, PlanInput, Simulation, WayLimits } from './acclimation.schema.ts'
import { methodFault, playOut, type Point, type Setting } from './simulate.ts'
import { HAIR } from './vessel.ts'

/** What an animal bears on the way. Hardness decides only in fresh water, where salinity says nothing. */
export type Limits = WayLimits

/** Drips that are tried, as a share of the bag's water a minute: from hours to minutes for a mixture. */
const DRIPS = { slowest: 0.0008, fastest: 0.25, count: 38 }
/** Scoops that are tried, as a share of the bag's water, at the handbook's five minutes and at twice that. */
const SCOOP_SHARES = [0.02, 0.035, 0.06, 0.1, 0.16, 0.25, 0.4]
const SCOOP_MINUTES = [5, 10]
/** Salinity's pace is judged over so many minutes. */
export const WINDOW_MINUTES = 15

/** What can be set at a tap: two figures. */
const practical = (value: number) => Number(value.toPrecision(2))
/** What can be dipped with a cup: whole tens of mL, or two figures of what is less than fifty. */
const cupful = (litres: number) => (litres < 0.05 ? practical(litres) : Number(litres.toFixed(2)))

/** The drips and scoops that are tried for a bag in its container over so many minutes. */
export function candidates(
  { bag, container }: Pick<Setting, 'bag' | 'container'>,
  minutes: number,
): AcclimationMethod[] {
  const { slowest, fastest, count } = DRIPS
  const drips = new Set<number>()
  for (let i = 0; i < count; i++)
    drips.add(practical(1000 * bag.volumeL * slowest * (fastest / slowest) ** (i / (count - 1))))
  const room = container.capacityL - container.leaveL
  const scoops = [...new Set(SCOOP_SHARES.map((share) => cupful(share * bag.volumeL)))].filter(
    (scoopL) => scoopL <= room,
  )
  return [
    ...[...drips].map((mlPerMinute) => ({ kind: 'drip' as const, mlPerMinute })),
    ...SCOOP_MINUTES.flatMap((everyMinutes) =>
      scoops.map((scoopL) => ({ kind: 'scoop' as const, scoopL, everyMinutes })),
    ),
  ].filter((method) => methodFault({ container, method, minutes }) === null)
}

/** How a way of mixing went, up to the minute at which the animal could move, or to the end if it never could. */
export interface Trial {
  method: AcclimationMethod
  /** Null where the water never came within reach. */
  readyAt: number | null
  peakPsuPerHour: number
  peakFree: number
  peakFreeAt: number
  /** What was still off at its last minute; empty when it was ready. */
  off: Off[]
}

type Against = Pick<Setting, 'tank' | 'float' | 'bag'>

/** A figure that is too far from the tank's: by how much, and how near it has to be; psu, °C or dKH. */
export interface Off {
  what: 'salinity' | 'temperature' | 'hardness'
  by: number
  within: number
}

/** What still keeps an animal out of the tank, by a water as it stands; empty when it may go. */
export function offBy(
  point: Pick<Point, 'salinityPsu' | 'temperatureC' | 'bagWaterFraction'>,
  { tank, bag }: Pick<Setting, 'tank' | 'bag'>,
  limits: Limits,
): Off[] {
  const off: Off[] = []
  const add = (what: Off['what'], by: number, within: number) => {
    if (Math.abs(by) > within + HAIR) off.push({ what, by, within })
  }
  add('salinity', point.salinityPsu - tank.salinityPsu, limits.matchPsu)
  add('temperature', point.temperatureC - tank.temperatureC, limits.matchC)
  // Alkalinity mixes by volume and nothing else changes it: the bag's share tells it.
  if (limits.matchDkh !== undefined)
    add('hardness', (bag.alkalinityDkh - tank.alkalinityDkh) * point.bagWaterFraction, limits.matchDkh)
  return off
}

/** Judges a way of mixing point by point, against an animal's limits. */
function judging(method: AcclimationMethod, against: Against, limits: Limits) {
  const points: Point[] = []
  const trial: Trial = { method, readyAt: null, peakPsuPerHour: 0, peakFree: 0, peakFreeAt: 0, off: [] }
  /** Takes the next point; true when the animal could move. */
  const take = (point: Point): boolean => {
    points.push(point)
    const before = points[Math.max(0, points.length - 1 - WINDOW_MINUTES)]!
    trial.peakPsuPerHour = Math.max(
      trial.peakPsuPerHour,
      (Math.abs(point.salinityPsu - before.salinityPsu) * 60) / WINDOW_MINUTES,
    )
    if (point.freeAmmoniaMgPerL > trial.peakFree) {
      trial.peakFree = point.freeAmmoniaMgPerL
      trial.peakFreeAt = point.minute
    }
    trial.off = offBy(point, against, limits)
    if (point.minute < against.float.minutes - HAIR || trial.off.length > 0) return false
    trial.readyAt = point.minute
    return true
  }
  return { trial, take }
}

/** Judges a simulation by an animal's limits. */
export function judge(
  { points }: Pick<Simulation, 'points'>,
  method: AcclimationMethod,
  { animal, ...against }: Against & Pick<PlanInput, 'animal'>,
): Trial {
  const { trial, take } = judging(method, against, animal)
  points.some((point) => take(point))
  return trial
}

export const keepsPace = ({ peakPsuPerHour }: Trial, { maxPsuPerHour }: Limits): boolean =>
  peakPsuPerHour <= maxPsuPerHour + HAIR
export const keepsAmmonia = ({ peakFree }: Trial, { maxFreeAmmoniaMgPerL }: Limits): boolean =>
  peakFree <= maxFreeAmmoniaMgPerL + HAIR
export const keepsAll = (trial: Trial, limits: Limits): boolean =>
  trial.readyAt !== null &&
  trial.readyAt <= limits.maxMinutes + HAIR &&
  keepsPace(trial, limits) &&
  keepsAmmonia(trial, limits)

/** The gentler of two ways: the slower salinity, then less free ammonia, then the shorter, then a drip. */
export function gentler(a: Trial, b: Trial): Trial {
  const order =
    a.peakPsuPerHour - b.peakPsuPerHour ||
    a.peakFree - b.peakFree ||
    a.readyAt! - b.readyAt! ||
    (a.method.kind === b.method.kind ? 0 : a.method.kind === 'drip' ? -1 : 1)
  return order <= 0 ? a : b
}

/** One way of mixing, played out until the animal could move or the minutes are over. */
export function tryOut(setting: Setting, limits: Limits, method: AcclimationMethod, minutes: number): Trial {
  const { trial, take } = judging(method, setting, limits)
  playOut(setting, method, minutes, { stop: take })
  return trial
}

/**
 * Every way that is tried, as it went within the animal's minutes. Salinity and temperature are looked at first, without
 * the chemistry: most ways fall there. Where none keeps all limits and `why` is wanted, each is played to its end, so that
 * it can be said what stands in its way.
 */
export function tryAll(
  setting: Setting,
  limits: Limits,
  { why = false, progress }: { why?: boolean; progress?: ((done: number) => void) | undefined } = {},
): Trial[] {
  const minutes = limits.maxMinutes - setting.float.minutes
  const methods = candidates(setting, minutes)
  const still = { ...setting, gasExchangePerHour: 0 }
  const quick = methods.flatMap((method, i) => {
    progress?.(i / (why ? 2 : 1) / methods.length)
    const dry = tryOut(still, limits, method, minutes)
    return dry.readyAt !== null && keepsPace(dry, limits) ? tryOut(setting, limits, method, minutes) : []
  })
  if (!why || quick.some((trial) => keepsAll(trial, limits))) return quick
  return methods.map((method, i) => {
    progress?.(0.5 + i / 2 / methods.length)
    return tryOut(setting, limits, method, minutes)
  })
}

/** The gentlest way that keeps every limit; null where none does. */
export function gentlest(trials: readonly Trial[], limits: Limits): Trial | null {
  const kept = trials.filter((trial) => keepsAll(trial, limits))
  return kept.length > 0 ? kept.reduce(gentler) : null
}
