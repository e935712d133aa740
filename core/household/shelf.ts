import { amountUnit, mgPerUnit, meantStrength } from '../dosing/product.ts'
import type { AmountUnit, Product } from '../dosing/product.schema.ts'
import type { ContentOf } from '../journal/entry.ts'
import { isolated } from '../words/isolated.ts'
import { changed } from './changed.ts'
import type { Journal } from '../journal/journal.ts'

/** A product on the shelf as its journal entries leave it. */
export interface ShelfProduct {
  id: string
  name: string
  ingredient: string
  strength: Product
  unit: AmountUnit
  /** mg of the active ingredient in one unit. */
  mgPerUnit: number
  measure: { tool: string; step: number } | null
  /** What should be left, in the unit: what was last counted, less what was dosed since; null where never counted. */
  left: number | null
  useBy: string | null
  solvent: boolean
  retired: boolean
}

function describe(journal: Journal, id: string): ShelfProduct | null {
  let setup: ContentOf<'product-setup'> | null = null
  let left: number | null = null
  for (const { content, struck } of journal.about(`product:${id}`)) {
    if (struck) continue
    if (content.kind === 'product-setup') {
      setup = content
      left = content.left ?? null
    } else if (content.kind === 'product-change' && setup) {
      setup = changed<ContentOf<'product-setup'>>(setup, content.changes)
      if (content.changes.left !== undefined) left = content.changes.left
    } else if (content.kind === 'dose' && setup && left !== null && content.unit === amountUnit(setup.strength))
      left = Math.max(0, left - content.amount)
  }
  const strength = setup && meantStrength(setup.ingredient, setup.strength)
  return (
    setup &&
    strength && {
      id,
      name: isolated(setup.name),
      ingredient: setup.ingredient,
      strength,
      unit: amountUnit(strength),
      mgPerUnit: mgPerUnit(strength),
      measure: setup.measure ?? null,
      left,
      useBy: setup.useBy ?? null,
      solvent: setup.solvent ?? false,
      retired: setup.retired ?? false,
    }
  )
}

/** A product of the shelf; null when the journal holds none of that id. */
export const productById = (journal: Journal, id: string): ShelfProduct | null =>
  journal.derive(`product:${id}`, [`product:${id}`], () => describe(journal, id))

/** The shelf, in the order it was filled; products put away left out. */
export function shelfOf(journal: Journal): ShelfProduct[] {
  const ids = new Set(journal.ofKind('product-setup').map(({ content }) => content.productId))
  return [...ids].flatMap((id) => productById(journal, id) ?? []).filter((product) => !product.retired)
}
