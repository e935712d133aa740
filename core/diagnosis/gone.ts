import { animalById, type Animal } from '../household/animals.ts'
import type { ContentOf } from '../journal/entry.ts'
import type { Journal } from '../journal/journal.ts'

/**
 * The animals of a case when none of them is alive and in the household any more: nothing of it can be looked at again.
 * @returns null while one is, and for a case that is about no animal
 * @example
 * goneAnimals(journal, start)?.[0]?.end // { at: 1793520000000, how: 'died' }
 */
export function goneAnimals(
  journal: Journal,
  { animalIds }: Pick<ContentOf<'case-start'>, 'animalIds'>,
): Animal[] | null {
  const animals = animalIds.flatMap((id) => animalById(journal, id) ?? [])
  return animals.length > 0 && animals.every(({ end }) => end !== null) ? animals : null
}
