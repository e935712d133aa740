import { ingredientById } from '../catalogue/ingredient.ts'
import { countedShare } from '../catalogue/salt-formulas.ts'
import { countedMassMg } from '../dosing/counted-mass.ts'
import type { Journal } from '../journal/journal.ts'

/** Doses of a salt whose mass is read otherwise than it was kept. */
export interface Recounted {
  ingredient: string
  name: string
  /** What it is counted in: "nitrate". */
  of: string
  /** The part of the pure salt that counts. */
  share: number
  doses: number
  /** ms, the first of them. */
  since: number
  /** mg of what it is counted in, as kept and as read now. */
  keptMg: number
  countedMg: number
}

/**
 * The salts whose older doses were kept as if all of the salt were the ion, and are read by the formula now.
 * @example
 * recountedDoses(journal)[0] // { ingredient: 'potassium-nitrate', doses: 3, keptMg: 6000, countedMg: 3680, … }
 */
export function recountedDoses(journal: Journal): Recounted[] {
  const found = new Map<string, Recounted>()
  for (const { at, content } of journal.ofKind('dose')) {
    const counted = countedMassMg(content)
    if (counted === undefined || counted === content.massMg) continue
    const { ingredient } = content
    const row = found.get(ingredient) ?? {
      ingredient,
      name: ingredientById(ingredient)?.name ?? ingredient,
      of: ingredientById(ingredient)?.strengthOf ?? ingredient,
      share: countedShare(ingredient),
      doses: 0,
      since: at,
      keptMg: 0,
      countedMg: 0,
    }
    found.set(ingredient, {
      ...row,
      doses: row.doses + 1,
      since: Math.min(row.since, at),
      keptMg: row.keptMg + content.massMg!,
      countedMg: row.countedMg + counted,
    })
  }
  return [...found.values()]
}
