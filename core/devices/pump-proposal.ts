import type { ShelfProduct } from '../household/shelf.ts'
import { raisedBy } from '../readings/raises.ts'

/** What a pump has to give in a day so that a level rises, of a stock that stands on the shelf; to three figures. */
export interface PumpProposal {
  mlPerDay: number
  /** For the whole plan, the residue with it: what the bottle has to hold. */
  bottleMl: number
}

/**
 * @param risePerDay of the parameter, in its unit, uptake included
 * @param product a solution
 * @returns null for a product that is no solution, or does not raise the parameter
 * @example
 * proposePump({ parameter: 'k', risePerDay: 10, netL: 300, days: 5, residueMl: 20 }, stock)
 */
export function proposePump(
  {
    parameter,
    risePerDay,
    netL,
    days,
    residueMl,
  }: { parameter: string; risePerDay: number; netL: number; days: number; residueMl: number },
  product: Pick<ShelfProduct, 'unit' | 'ingredient' | 'mgPerUnit'>,
): PumpProposal | null {
  const perMl = product.unit === 'mL' ? raisedBy(product.ingredient, parameter, product.mgPerUnit / netL) : 0
  if (!(perMl > 0)) return null
  // Rounded down, so that no cap is passed; the bottle up, so that it lasts.
  const exact = risePerDay / perMl
  const place = 10 ** (Math.floor(Math.log10(exact)) - 2)
  const mlPerDay = Number((Math.floor(exact / place + 1e-9) * place).toPrecision(3))
  return { mlPerDay, bottleMl: Math.ceil(mlPerDay * days + residueMl) }
}
