import { PARAMETERS, type Parameter } from '../catalogue/parameter.ts'
import { hasSmallPolyps } from '../household/corals.ts'
import type { ShelfProduct } from '../household/shelf.ts'
import type { Tank } from '../household/tanks.ts'
import type { Journal } from '../journal/journal.ts'
import { raisedBy } from '../readings/raises.ts'
import { raiseCap } from '../water/correction/salts.ts'
import { isUptakeCertain, uptakeOf } from '../water/uptake.ts'

/** What a pump's day does to a parameter. In the parameter's unit. */
export interface DayRise {
  parameter: Parameter
  /** What a day's mL raise. */
  dosed: number
  /** What the tank takes up in a day, where the tests tell; else 0. */
  uptake: number
  cap: number | null
  /** The net rise is over the daily cap. */
  isOver: boolean
}

/**
 * What so many mL a day of a product raise in a tank, held against the daily caps of outbreaks.md 5.4, uptake taken off.
 * @param now ms
 * @example
 * dayRises(journal, hall, stock, 20, Date.now()).some(({ isOver }) => isOver)
 */
export function dayRises(
  journal: Journal,
  tank: Tank,
  product: ShelfProduct,
  mlPerDay: number,
  now: number,
): DayRise[] {
  const netL = tank.volume?.netL
  if (netL === undefined) return []
  return PARAMETERS.flatMap((parameter): DayRise[] => {
    const dosed = raisedBy(product.ingredient, parameter.id, (mlPerDay * product.mgPerUnit) / netL)
    if (!(dosed > 0)) return []
    const found = uptakeOf(journal, tank.id, parameter, now)
    const uptake = found && isUptakeCertain(found) ? Math.max(0, found.perDay) : 0
    const cap = raiseCap(parameter.id, 'usual', hasSmallPolyps(journal, tank.id))
    return [{ parameter, dosed, uptake, cap, isOver: cap !== null && dosed - uptake > cap * (1 + 1e-9) }]
  })
}
