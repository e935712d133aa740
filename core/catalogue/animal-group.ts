import type { AnimalGroup } from './animal-group.types.ts'
import { ANIMAL_GROUPS } from './animal-groups.data.ts'

export type { AnimalGroup, AnimalKind } from './animal-group.types.ts'
export { ANIMAL_GROUPS }

const byId = new Map<string, AnimalGroup>(ANIMAL_GROUPS.map((group) => [group.id, group]))

/** The species group with this id, or undefined. */
export const animalGroupById = (id: string): AnimalGroup | undefined => byId.get(id)
