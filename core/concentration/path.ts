import { MAX_POINTS } from '../numbers/limits.ts'
import { ceilQuotient } from '../numbers/rounding.ts'
import { invalid, ok, type Result } from '../result/result.ts'
import { iso, MS_PER_DAY, MS_PER_HOUR } from '../time/zone.ts'
import type { ConcentrationPath, ConcentrationPathInput } from './concentration.schema.ts'
import { inTimeOrder } from './events.ts'

/** Water never falls under this share of the volume, however long it evaporates (design contract). */
const LEAST_SHARE = 0.01

/**
 * The level of a drug over time: its mass decays first order, the volume falls by evaporation until a top-off restores it,
 * a dose adds mass, a water change swaps its share of the present volume. A point at every step from the start, at the end,
 * and at every event between, just after all of that instant.
 */
export function concentrationPath(input: ConcentrationPathInput): Result<ConcentrationPath> {
  const { volumeL, startMgPerL, stepHours, halfLifeHours = null, evaporationLPerDay = 0 } = input
  const [start, until] = [Date.parse(input.start), Date.parse(input.until)]
  if (start > until) return invalid('/until', `expected at or after the start, ${input.start}; came ${input.until}`)
  const stepMs = stepHours * MS_PER_HOUR
  const steps = ceilQuotient((until - start) / stepMs)
  const events = inTimeOrder(input.events).filter(({ ms }) => ms >= start && ms <= until)
  if (steps + events.length > MAX_POINTS)
    return invalid('/stepHours', `gives over ${MAX_POINTS} points; expected larger steps`)
  const times = new Set<number>(events.map(({ ms }) => ms))
  for (let i = 0; i < steps; i++) times.add(Math.round(start + i * stepMs))
  times.add(until)

  const decayPerMs = halfLifeHours === null ? 0 : Math.LN2 / (halfLifeHours * MS_PER_HOUR)
  let at = start
  let volume = volumeL
  let mass = startMgPerL * volumeL
  let next = 0
  const points = [...times]
    .sort((a, b) => a - b)
    .map((time) => {
      mass *= Math.exp(-decayPerMs * (time - at))
      volume = Math.max(LEAST_SHARE * volumeL, volume - (evaporationLPerDay * (time - at)) / MS_PER_DAY)
      at = time
      for (; next < events.length && events[next]!.ms === time; next++) {
        const event = events[next]!
        if (event.kind === 'dose') mass += event.massMg
        else if (event.kind === 'top-off') volume = volumeL
        else mass = mass * (1 - event.fraction) + (event.replacementMgPerL ?? 0) * event.fraction * volume
      }
      return { at: iso(time), mgPerL: mass / volume, volumeL: volume }
    })
  return ok({ points })
}
