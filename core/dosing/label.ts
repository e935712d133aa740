import { DEFAULT_DROPS_PER_ML } from './product.ts'
import type { Product } from './product.schema.ts'

/** What a label says a product does: so many units of it raise so much water by so much. */
export interface StatedRise {
  /** mL, drops, packs or grams of the product. */
  amount: number
  litres: number
  mgPerL: number
}

/**
 * The strength of a product whose label states what it does: "20 drops raise 100 L by 0.5 mg/L", "one packet for 40 L".
 * @param dropsPerMl of the product's own dropper; 20 until they are counted (further-schools.md 9)
 * @returns null where a gram would hold more than a gram
 * @example
 * strengthOfRise('drops', { amount: 20, litres: 100, mgPerL: 0.5 }) // 2.5 mg a drop, 50 mg a mL
 */
export function strengthOfRise(
  kind: Product['kind'],
  { amount, litres, mgPerL }: StatedRise,
  dropsPerMl = DEFAULT_DROPS_PER_ML,
): Product | null {
  const mgPerUnit = (mgPerL * litres) / amount
  switch (kind) {
    case 'solution':
      return { kind, mgPerMl: mgPerUnit }
    case 'drops':
      return { kind, mgPerMl: mgPerUnit * dropsPerMl, dropsPerMl }
    case 'pack':
      return { kind, mgPerPack: mgPerUnit }
    case 'powder':
      return mgPerUnit > 1000 ? null : { kind, activeFraction: mgPerUnit / 1000 }
  }
}
