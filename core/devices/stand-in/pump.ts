import type { PumpOrder, Shot } from '../messages.ts'
import { plannedShots } from '../pump-shots.ts'
import type { PlayedFault } from './probe.ts'
import type { Brought } from './water-model.ts'

/** Where missed shots are played every third one does not come. */
const MISS_EACH = 3

/**
 * The shots that a stand-in pump gave up to an instant, with what its fault did to them.
 * @param now ms
 */
export function shotsGiven(deviceId: string, order: PumpOrder, now: number, { fault, since }: PlayedFault): Shot[] {
  let usable = order.bottleMl - order.residueMl
  return plannedShots(order, Date.parse(order.startsAt), now).flatMap(({ at, ml }, i): Shot[] => {
    const isPlayed = at >= since
    if (isPlayed && fault === 'missed-shot' && i % MISS_EACH === 0) return []
    // A dry pump turns and gives air: it reports the shot, with nothing in it.
    const gave = isPlayed && fault === 'run-dry' ? 0 : Math.max(0, Math.min(ml, usable))
    usable -= gave
    return [{ deviceId, at: new Date(at).toISOString(), ml: gave }]
  })
}

/** What a pump's shots have raised in its tank, all together. */
export function broughtBy({ raises }: PumpOrder, givenMl: number): Brought[] {
  return raises.map(({ parameter, perMl }) => ({ parameter, rise: givenMl * perMl }))
}
