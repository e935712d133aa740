import { freeShare } from '../ammonia/ammonia.ts'
import { MAX_MINUTES, MAX_POINTS } from '../numbers/limits.ts'
import { invalid, ok, type Result } from '../result/result.ts'
import type { SimulateInput, Simulation } from './acclimation.schema.ts'
import { carbonateConstants, hydrogenFrom } from './carbonate.ts'
import { waterOf, type MixedWater, type Surroundings } from './mixing.ts'
import { carry, HAIR, type Running, type Vessel } from './vessel.ts'

/** Where the handbook gives no measured figure: standing still, a lived-in room, a small bag (design contract). */
export const ACCLIMATION_DEFAULTS = {
  floatTauMinutes: 12,
  roomTauMinutes: 90,
  gasExchangePerHour: 0.8,
  airCo2Uatm: 600,
} as const

const AT_ONCE_MINUTES = 0.05

export type Point = Simulation['points'][number]

/** A water and its volume as the figures a keeper knows. */
export function pointOf({ minute, volumeL, water }: Vessel): Point {
  const { temperatureC, salinityPsu, tanMgPerL } = water
  const pH = -Math.log10(hydrogenFrom(water.dic, water.alkalinity, carbonateConstants(temperatureC, salinityPsu)))
  return {
    minute,
    volumeL,
    temperatureC,
    salinityPsu,
    pH,
    tanMgPerL,
    freeAmmoniaMgPerL: tanMgPerL * freeShare(pH, temperatureC, salinityPsu),
    bagWaterFraction: Math.min(1, Math.max(0, water.bag)),
  }
}

/** What is wrong between the fields of an input, beyond what each may be. */
export function acclimationFault({ bag, container }: Pick<SimulateInput, 'bag' | 'container'>) {
  if (container.leaveL >= container.capacityL)
    return invalid(
      '/container/leaveL',
      `expected less than the container holds, ${container.capacityL} L; came ${container.leaveL}`,
    )
  if (bag.volumeL > container.capacityL)
    return invalid(
      '/bag/volumeL',
      `expected at most what the container holds, ${container.capacityL} L; came ${bag.volumeL}`,
    )
  return null
}

/** Everything about the bag, the tank and the room that a way of mixing does not change. */
export type Setting = Omit<SimulateInput, 'method' | 'minutes'>

/** What acts on the container of a setting all the time. */
export const surroundingsOf = (setting: Setting): Surroundings => ({
  tank: waterOf(setting.tank, 0),
  roomC: setting.room.temperatureC,
  // Quicker than some seconds is at once: a point a minute tells no difference.
  roomTauMinutes: Math.max(AT_ONCE_MINUTES, setting.room.tauMinutes ?? ACCLIMATION_DEFAULTS.roomTauMinutes),
  gasExchange: (setting.gasExchangePerHour ?? ACCLIMATION_DEFAULTS.gasExchangePerHour) / 60,
  airCo2: (setting.airCo2Uatm ?? ACCLIMATION_DEFAULTS.airCo2Uatm) * 1e-6,
  excretionMgPerMinute: (setting.excretionMgPerHour ?? 0) / 60,
})

/** The sealed bag afloat: temperature goes to the tank's, no gas leaves, what the animal gives off stays in. */
export function sealedAfloat(setting: Setting, around: Surroundings): (minute: number) => Vessel {
  const start = waterOf(setting.bag, 1)
  const tau = setting.float.tauMinutes ?? ACCLIMATION_DEFAULTS.floatTauMinutes
  const { volumeL } = setting.bag
  return (minute) => {
    const water: MixedWater = {
      ...start,
      temperatureC:
        around.tank.temperatureC + (start.temperatureC - around.tank.temperatureC) * Math.exp(-minute / tau),
      tanMgPerL: start.tanMgPerL + (around.excretionMgPerMinute * minute) / volumeL,
    }
    return { minute, volumeL, water }
  }
}

/**
 * Minute by minute, from the start of the float: sealed while it floats, then open and mixed (or only standing open, where
 * no way is given). Ends early when the listener says so.
 * @param wait minutes that the opened bag stands before the mixing begins
 */
export function playOut(
  setting: Setting,
  method: SimulateInput['method'] | null,
  minutes: number,
  { wait = 0, stop }: { wait?: number; stop?: (point: Point) => boolean } = {},
): Point[] {
  const around = surroundingsOf(setting)
  const sealed = sealedAfloat(setting, around)
  const floated = setting.float.minutes
  const end = floated + minutes
  const points: Point[] = []
  const done = (point: Point) => points.push(point) > 0 && stop?.(point) === true
  let minute = 0
  for (; minute <= floated + HAIR && minute <= end + HAIR; minute++) if (done(pointOf(sealed(minute)))) return points
  let vessel = sealed(floated)
  let running: Running | null = method && { method, from: floated + wait, scoops: 0 }
  for (; minute <= end + HAIR; minute++) {
    ;({ vessel, running } = carry(vessel, running, minute, setting.container, around))
    if (done(pointOf({ ...vessel, minute }))) return points
  }
  return points
}

/** What is wrong with a way of mixing in this container; null when nothing is. */
export function methodFault({ container, method, minutes }: Pick<SimulateInput, 'container' | 'method' | 'minutes'>) {
  const room = container.capacityL - container.leaveL
  if (method.kind === 'scoop' && method.scoopL > room + HAIR)
    return invalid(
      '/method/scoopL',
      `expected at most ${room} L, what a pour-off makes room for; came ${method.scoopL}`,
    )
  const acts = method.kind === 'scoop' ? minutes / method.everyMinutes : (method.mlPerMinute / 1000 / room) * minutes
  return acts > MAX_POINTS
    ? invalid('/method', `makes over ${MAX_POINTS} scoops or pour-offs; expected a slower way`)
    : null
}

/**
 * A bag floated sealed and then opened, with tank water brought in by drip or scoop: temperature, salinity, pH, ammonia and
 * the share of bag water, a point a minute. Carbonate alkalinity only; free ammonia after Bell et al. 2008.
 */
export function simulateAcclimation(input: SimulateInput): Result<Simulation> {
  const { method, minutes, ...setting } = input
  const total = setting.float.minutes + minutes
  const fault =
    acclimationFault(input) ??
    (total > MAX_MINUTES ? invalid('/minutes', `expected at most ${MAX_MINUTES} with the float; came ${total}`) : null)
  const refused = fault ?? methodFault(input)
  if (refused) return refused
  const points = playOut(setting, method, minutes)
  let peak = points[0]!
  for (const point of points) if (point.freeAmmoniaMgPerL > peak.freeAmmoniaMgPerL) peak = point
  return ok({ points, peak: { freeAmmoniaMgPerL: peak.freeAmmoniaMgPerL, minute: peak.minute } })
}
