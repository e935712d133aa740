import { meantFraction } from '../catalogue/salt-formulas.ts'
import type { AmountUnit, Product } from './product.schema.ts'

/** Drops in a millilitre of water from a usual dropper (design contract). */
export const DEFAULT_DROPS_PER_ML = 20
const MG_PER_G = 1000

const UNITS: Record<Product['kind'], AmountUnit> = { solution: 'mL', powder: 'g', pack: 'pack', drops: 'drop' }

/** The unit a product is measured in. */
export const amountUnit = (product: Product): AmountUnit => UNITS[product.kind]

/** Milligrams of the active ingredient in one unit of the product: in a mL, a gram, a pack or a drop. */
export function mgPerUnit(product: Product): number {
  switch (product.kind) {
    case 'solution':
      return product.mgPerMl
    case 'powder':
      return product.activeFraction * MG_PER_G
    case 'pack':
      return product.mgPerPack
    case 'drops':
      return product.mgPerMl / (product.dropsPerMl ?? DEFAULT_DROPS_PER_ML)
  }
}

/**
 * A product's strength as its keeper meant it: a powder of a pure salt counts by its ion's share.
 * @example
 * meantStrength('potassium-nitrate', { kind: 'powder', activeFraction: 1 }) // activeFraction 0.6133
 */
export const meantStrength = (ingredient: string, strength: Product): Product =>
  strength.kind === 'powder'
    ? { kind: 'powder', activeFraction: meantFraction(ingredient, strength.activeFraction) }
    : strength
