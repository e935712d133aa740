import { ingredientById } from '../../core/catalogue/ingredient.ts'
import { animalById, animalLabel } from '../../core/household/animals.ts'
import { productById } from '../../core/household/shelf.ts'
import { tankById } from '../../core/household/tanks.ts'
import type { Journal } from '../../core/journal/journal.ts'
import { isolated } from '../../core/words/isolated.ts'

export const tankName = (journal: Journal, id: string): string => tankById(journal, id)?.name ?? 'a tank not on record'

export function animalName(journal: Journal, id: string): string {
  const animal = animalById(journal, id)
  if (animal) return animalLabel(animal)
  // What is still in its bag is called as it was announced.
  const awaited = journal.about(`expected:${id}`).findLast(({ struck }) => !struck)?.content
  return awaited && 'species' in awaited ? newcomerName(awaited) : 'an animal not on record'
}

/** What an animal is called before it has come: its name, else how many of which species. */
export const newcomerName = ({ name, species, count }: { name?: string; species: string; count: number }): string =>
  isolated(name ?? (count > 1 ? `${count} ${species}` : species))

/** How a dosed thing is called: the shelf's own word, else the ingredient. */
export function doseName(journal: Journal, dose: { productId?: string; ingredient: string }): string {
  const product = dose.productId === undefined ? null : productById(journal, dose.productId)
  return product?.name ?? ingredientById(dose.ingredient)?.name ?? dose.ingredient
}
