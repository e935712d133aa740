import { pumpPlanOf } from '../household/devices.ts'
import { productById, type ShelfProduct } from '../household/shelf.ts'
import type { Tank } from '../household/tanks.ts'
import type { Journal } from '../journal/journal.ts'
import { iso } from '../time/zone.ts'
import { dayRises, type DayRise } from './pump-check.ts'
import { orderOf } from './pump-doses.ts'
import { plannedShots, pumpState } from './pump-shots.ts'

/** A pump that doses a tank by its plan, as the journal alone says: what the device itself reports is not asked. */
interface PumpInTank {
  deviceId: string
  product: ShelfProduct
  mlByHour: readonly number[]
  mlPerDay: number
  since: number
  /** What a day's mL raise, held against the caps. */
  rises: readonly DayRise[]
  /** When its bottle is empty if every shot comes, ms; null where it lasts. */
  dryAt: number | null
  endsAt: number | null
}

/**
 * The pumps whose plan runs in a tank.
 * @param now ms
 * @example
 * pumpsInTank(journal, hall, 'Europe/London', Date.now())[0]?.dryAt // when to mix the next bottle
 */
export function pumpsInTank(journal: Journal, tank: Tank, timeZone: string, now: number): PumpInTank[] {
  const devices = new Set(journal.ofKind('pump-plan').map(({ content }) => content.deviceId))
  return [...devices].flatMap((deviceId): PumpInTank[] => {
    const plan = pumpPlanOf(journal, deviceId)
    const product = plan && productById(journal, plan.content.productId)
    if (!plan || !product || plan.content.tankId !== tank.id || plan.at > now) return []
    const order = orderOf(journal, plan, timeZone)
    const shots = plannedShots(order, plan.at, now).map(({ at, ml }) => ({ at: iso(at), ml }))
    const state = pumpState(order, shots, now)
    if (state.isEnded) return []
    return [
      {
        deviceId,
        product,
        mlByHour: order.mlByHour,
        mlPerDay: state.mlPerDay,
        since: plan.at,
        rises: dayRises(journal, tank, product, state.mlPerDay, now),
        dryAt: state.dryAt,
        endsAt: state.endsAt,
      },
    ]
  })
}
