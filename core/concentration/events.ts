import type { WaterEvent } from './concentration.schema.ts'

/** An event with its instant as milliseconds. */
export type TimedEvent = WaterEvent & { ms: number }

/** Events in time order; those of one instant keep the order they were given in. */
export function inTimeOrder(events: readonly WaterEvent[]): TimedEvent[] {
  return events.map((event) => ({ ...event, ms: Date.parse(event.at) })).sort((a, b) => a.ms - b.ms)
}

/** The level after an event, in a volume that stays the same: a dose adds m/V, a change mixes, a top-off alters nothing. */
export function levelAfter(mgPerL: number, event: WaterEvent, volumeL: number): number {
  switch (event.kind) {
    case 'dose':
      return mgPerL + event.massMg / volumeL
    case 'water-change':
      return mgPerL * (1 - event.fraction) + (event.replacementMgPerL ?? 0) * event.fraction
    case 'top-off':
      return mgPerL
  }
}
