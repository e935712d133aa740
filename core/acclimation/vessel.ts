import type { AcclimationMethod } from './acclimation.schema.ts'
import { mixed, openFor, type MixedWater, type Surroundings } from './mixing.ts'

/** The open container at a moment: its water and how much of it. */
export interface Vessel {
  /** Minutes since the float began. */
  minute: number
  volumeL: number
  water: MixedWater
}

/** What the container is: how much it holds, and what is left after a pour-off, L. */
export interface Container {
  capacityL: number
  leaveL: number
}

/** A way of mixing that runs by itself: since when, and how many scoops have gone in since. */
export interface Running {
  method: AcclimationMethod
  from: number
  scoops: number
}

/** Moments this close are one: clocks of fractions do not add up exactly. */
export const HAIR = 1e-9

/** The minute of the next scoop; never for a drip. */
export const nextScoopAt = ({ method, from, scoops }: Running): number =>
  method.kind === 'scoop' ? from + (scoops + 1) * method.everyMinutes : Infinity

/** Scoops and pourings-off that are followed one by one: no hand does more. */
const MOST_ACTS_PER_MINUTE = 60
const MOST_ACTS_AT_ONCE = 100

/** Litres a minute that run in of themselves. */
export const flowOf = (method: AcclimationMethod | null): number =>
  method?.kind === 'drip' ? method.mlPerMinute / 1000 : 0

/**
 * Carries an open container on to a minute. When its volume would pass what it holds it is first poured off to what is
 * left; a drip is poured off the instant it is full. Without a way of mixing it only stands.
 */
export function carry(
  start: Vessel,
  running: Running | null,
  until: number,
  { capacityL, leaveL }: Container,
  around: Surroundings,
): { vessel: Vessel; running: Running | null } {
  let { minute, volumeL, water } = start
  let scoops = running?.scoops ?? 0
  let left = MOST_ACTS_AT_ONCE + MOST_ACTS_PER_MINUTE * (until - minute)
  while (minute < until - HAIR) {
    // Mixed so often that nothing of the bag's water is left: it need not be followed scoop by scoop.
    if (--left < 0) return { vessel: { minute: until, volumeL, water: mixed(water, 0, around.tank, volumeL) }, running }
    const begun = running !== null && minute >= running.from - HAIR
    const flow = begun ? flowOf(running.method) : 0
    const scoopAt = running ? nextScoopAt({ ...running, scoops }) : Infinity
    const fullAt = flow > 0 ? minute + Math.max(0, capacityL - volumeL) / flow : Infinity
    const beginsAt = running !== null && !begun ? running.from : Infinity
    const next = Math.min(until, scoopAt, fullAt, beginsAt)
    water = openFor(water, volumeL, flow, next - minute, around)
    volumeL += flow * (next - minute)
    minute = next
    if (fullAt <= next + HAIR) volumeL = leaveL
    if (running?.method.kind === 'scoop' && scoopAt <= next + HAIR) {
      scoops++
      if (volumeL + running.method.scoopL > capacityL + HAIR) volumeL = leaveL
      water = mixed(water, volumeL, around.tank, running.method.scoopL)
      volumeL += running.method.scoopL
    }
  }
  return { vessel: { minute, volumeL, water }, running: running && { ...running, scoops } }
}
