import { MS_PER_HOUR } from '../../time/zone.ts'
import type { Fault, Measure, Sample } from '../messages.ts'
import { hashed, normal } from './noise.ts'
import { courseOf, trueLevel, type Brought } from './water-model.ts'

/** A fault that is played, and since when. */
export interface PlayedFault {
  fault: Fault
  since: number
}

/** One value in fifteen is a spike where spikes are played. */
const SPIKE_EACH = 15

/**
 * What a stand-in probe shows at an instant: the true level with noise, or with the fault that is played. The same instant gives the same value.
 * @param at ms; taken to the probe's last value before it
 * @returns null where it gives none (drop-out), or the tank does not know the parameter
 */
export function probeSample(
  deviceId: string,
  { parameter, resolution, everySeconds }: Measure,
  at: number,
  brought: readonly Brought[],
  { fault, since }: PlayedFault,
): Sample | null {
  const course = courseOf(parameter)
  const every = everySeconds * 1000
  const tick = Math.floor(at / every)
  const key = `${deviceId} ${parameter}`
  const isPlayed = fault !== 'none' && at >= since
  if (!course || (isPlayed && fault === 'drop-out')) return null
  const shownAt = isPlayed && fault === 'stuck' ? Math.floor(since / every) : tick
  const level = trueLevel(parameter, shownAt * every, brought)
  if (level === null) return null
  let value = level + course.noise * normal(key, shownAt)
  if (isPlayed && fault === 'drift') value += (course.driftPerHour * (at - since)) / MS_PER_HOUR
  if (isPlayed && fault === 'spike' && hashed(`${key} spike`, tick) < 1 / SPIKE_EACH) value += course.spike
  return {
    deviceId,
    parameter,
    at: new Date(tick * every).toISOString(),
    value: Number((Math.round(value / resolution) * resolution).toFixed(6)),
  }
}
