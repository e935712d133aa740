import { animalGroupById } from '../catalogue/animal-group.ts'
import type { Animal } from '../household/animals.ts'
import { expectedOf } from '../household/expected.ts'
import type { Journal } from '../journal/journal.ts'

/** Awaited fish as animals that are not in any tank yet: schools are compared for them before they come. */
export const awaitedAsAnimals = (journal: Journal): Animal[] =>
  expectedOf(journal)
    .filter(({ group }) => animalGroupById(group)?.kind === 'fish')
    .map(({ expectedId, name, species, group, count, dueAt }) => ({
      id: expectedId,
      name: name ?? null,
      species,
      group,
      count,
      firstCount: count,
      sizeCm: null,
      arrivedAt: dueAt,
      stays: [],
      changes: [],
      end: null,
    }))
