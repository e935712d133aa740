import { coralDipById } from '../catalogue/corals/coral-dips.data.ts'
import type { Procedure } from '../catalogue/procedures/procedure.types.ts'
import { dipForbidden } from '../courses/amounts/planned-dip.ts'
import { animalById, animalLabel, residentsOf } from '../household/animals.ts'
import { coralsOf } from '../household/corals.ts'
import { partById, partsOf, type Part } from '../household/parts.ts'
import type { Journal } from '../journal/journal.ts'

/** Something that a procedure may be done to. */
export interface Subject {
  id: string
  name: string
  kind: 'part' | 'animal'
  /** Why it must not be done to it; null where it may. */
  mustNot: string | null
}

const asSubject = (part: Part, mustNot: string | null): Subject => ({
  id: part.id,
  name: part.name,
  kind: 'part',
  mustNot,
})

/**
 * What a procedure may be done to in a tank: its parts of the right kind, the untreated control apart, or its animals.
 * @param dip the dip that was chosen, where it is one
 */
export function subjectsOf(journal: Journal, tankId: string, { subjects }: Procedure, dip?: string): Subject[] {
  const parts = partsOf(journal, tankId).filter(
    ({ what, control, gone }) => subjects.includes(what) && what !== 'coral' && !control && !gone,
  )
  const corals = subjects.includes('coral') ? coralsOf(journal, tankId) : []
  const animals = subjects.includes('animal') ? residentsOf(journal, tankId) : []
  return [
    ...parts.map((part) => asSubject(part, null)),
    ...corals.map((part) => asSubject(part, dip === undefined ? null : dipForbidden(coralDipById(dip), part))),
    ...animals.map((animal): Subject => ({ id: animal.id, name: animalLabel(animal), kind: 'animal', mustNot: null })),
  ]
}

/** What a part or an animal of a run is called; its id where it is not on record any more. */
export const subjectNameOf =
  (journal: Journal) =>
  (id: string): string => {
    const animal = animalById(journal, id)
    return partById(journal, id)?.name ?? (animal ? animalLabel(animal) : id)
  }
