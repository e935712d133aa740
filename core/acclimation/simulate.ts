import { freeShare } from '../ammonia/ammonia.ts'
import { MAX_MINUTES, MAX_POINTS } from '../numbers/limits.ts'
import { invalid, ok, type Result } from '../result/result.ts'
import type { SimulateInput, Simulation } from './acclimation.schema.ts'
import { carbonateConstants, hydrogenFrom } from './carbonate.ts'
import { mixed, openFor, waterOf, type MixedWater, type Surroundings } from './mixing.ts'

/** Where the handbook gives no measured figure: standing still, a lived-in room, a small bag (design contract). */
export const ACCLIMATION_DEFAULTS = {
  floatTauMinutes: 12,
  roomTauMinutes: 90,
  gasExchangePerHour: 0.8,
  airCo2Uatm: 600,
} as const

const AT_ONCE_MINUTES = 0.05

type Point = Simulation['points'][number]

function pointOf(minute: number, volumeL: number, water: MixedWater): Point {
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

/** Moments within a minute that count as its end: clocks of fractions do not add up exactly. */
const HAIR = 1e-9

/**
 * A bag floated sealed and then opened, with tank water brought in by drip or scoop: temperature, salinity, pH, ammonia and
 * the share of bag water, a point a minute. Carbonate alkalinity only; free ammonia after Bell et al. 2008.
 */
export function simulateAcclimation(input: SimulateInput): Result<Simulation> {
  const { container, float, method } = input
  const fault = acclimationFault(input)
  if (fault) return fault
  if (float.minutes + input.minutes > MAX_MINUTES)
    return invalid('/minutes', `expected at most ${MAX_MINUTES} with the float; came ${float.minutes + input.minutes}`)
  const room = container.capacityL - container.leaveL
  if (method.kind === 'scoop' && method.scoopL > room + HAIR)
    return invalid(
      '/method/scoopL',
      `expected at most ${room} L, what a pour-off makes room for; came ${method.scoopL}`,
    )
  const acts =
    method.kind === 'scoop' ? input.minutes / method.everyMinutes : (method.mlPerMinute / 1000 / room) * input.minutes
  if (acts > MAX_POINTS)
    return invalid('/method', `makes over ${MAX_POINTS} scoops or pour-offs; expected a slower way`)

  const tank = waterOf(input.tank, 0)
  const start = waterOf(input.bag, 1)
  const around: Surroundings = {
    tank,
    roomC: input.room.temperatureC,
    // Quicker than some seconds is at once: a point a minute tells no difference.
    roomTauMinutes: Math.max(AT_ONCE_MINUTES, input.room.tauMinutes ?? ACCLIMATION_DEFAULTS.roomTauMinutes),
    gasExchange: (input.gasExchangePerHour ?? ACCLIMATION_DEFAULTS.gasExchangePerHour) / 60,
    airCo2: (input.airCo2Uatm ?? ACCLIMATION_DEFAULTS.airCo2Uatm) * 1e-6,
    excretionMgPerMinute: (input.excretionMgPerHour ?? 0) / 60,
  }
  const tau = float.tauMinutes ?? ACCLIMATION_DEFAULTS.floatTauMinutes
  const end = float.minutes + input.minutes
  const points: Point[] = []
  const sealed = (minute: number): MixedWater => ({
    ...start,
    temperatureC: tank.temperatureC + (start.temperatureC - tank.temperatureC) * Math.exp(-minute / tau),
    tanMgPerL: start.tanMgPerL + (around.excretionMgPerMinute * minute) / input.bag.volumeL,
  })
  let minute = 0
  for (; minute <= float.minutes + HAIR && minute <= end + HAIR; minute++)
    points.push(pointOf(minute, input.bag.volumeL, sealed(minute)))

  let water = sealed(float.minutes)
  let volume = input.bag.volumeL
  let at = float.minutes
  const flow = method.kind === 'drip' ? method.mlPerMinute / 1000 : 0
  let scoops = 0
  for (; minute <= end + HAIR; minute++) {
    while (at < minute - HAIR) {
      const scoopAt = method.kind === 'scoop' ? float.minutes + (scoops + 1) * method.everyMinutes : Infinity
      const fullAt = flow > 0 ? at + (container.capacityL - volume) / flow : Infinity
      const until = Math.min(minute, scoopAt, fullAt)
      water = openFor(water, volume, flow, until - at, around)
      volume += flow * (until - at)
      at = until
      if (fullAt <= until + HAIR) volume = container.leaveL
      if (method.kind === 'scoop' && scoopAt <= until + HAIR) {
        scoops++
        if (volume + method.scoopL > container.capacityL + HAIR) volume = container.leaveL
        water = mixed(water, volume, tank, method.scoopL)
        volume += method.scoopL
      }
    }
    points.push(pointOf(minute, volume, water))
  }
  let peak = points[0]!
  for (const point of points) if (point.freeAmmoniaMgPerL > peak.freeAmmoniaMgPerL) peak = point
  return ok({ points, peak: { freeAmmoniaMgPerL: peak.freeAmmoniaMgPerL, minute: peak.minute } })
}
