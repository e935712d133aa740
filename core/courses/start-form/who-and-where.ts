import type { Definition } from '../../catalogue/courses/definitions.ts'
import { animalGroupById } from '../../catalogue/animal-group.ts'
import { rampOf } from '../../catalogue/treatments/treatments.ts'
import { coralSetup, coralsOf, unnamedCorals } from '../../household/corals.ts'
import { animalLabel, residentsOf, type Animal } from '../../household/animals.ts'
import type { ContentOf } from '../../journal/entry.ts'
import type { Journal } from '../../journal/journal.ts'

/** Whether a definition is for a kind of water: sea water, unless it says otherwise. */
export const isFor = ({ water: own }: Definition, water: 'marine' | 'freshwater'): boolean =>
  own === 'any' || water === (own ?? 'marine')

/** Whether a course is for fish that are named at its start. */
export const isOfFish = ({ kind, steps }: Definition): boolean =>
  kind === 'school' || kind === 'add-on' || (kind !== 'fallow' && steps.some(({ act }) => act === 'look'))

/** Whether a course is for corals that are named at its start. */
export const isOfCorals = ({ kind }: Definition): boolean => kind === 'coral'

/** Before the id of a coral of the ledger that is not named as a part yet. */
const NEW_CORAL = 'new:'

/** The corals of a tank that a course of dips may be for. */
export const coralChoices = (journal: Journal, tankId: string): { value: string; label: string }[] => [
  ...coralsOf(journal, tankId).map(({ id, name }) => ({ value: id, label: name })),
  ...unnamedCorals(journal, tankId).map((animal) => ({
    value: `${NEW_CORAL}${animal.id}`,
    label: animalLabel(animal),
  })),
]

/** The entries that name the chosen corals of the ledger as parts, and the ids of all that were chosen. */
export function namedCorals(
  journal: Journal,
  tankId: string,
  chosen: readonly string[],
  at: number,
): { setups: ContentOf<'part-setup'>[]; partIds: string[] } {
  const setups = unnamedCorals(journal, tankId)
    .filter(({ id }) => chosen.includes(`${NEW_CORAL}${id}`))
    .map((animal) => coralSetup(animal, tankId, at))
  return {
    setups,
    partIds: [...chosen.filter((id) => !id.startsWith(NEW_CORAL)), ...setups.map(({ partId }) => partId)],
  }
}

/** The fish of a tank: what a school is for. */
export const fishIn = (journal: Journal, tankId: string): Animal[] =>
  residentsOf(journal, tankId).filter(({ group }) => animalGroupById(group)?.kind === 'fish')

/** Steps of the ramp that may be chosen: the handbook's least and most hours between two. */
export function rampChoices(agent: string): number[] {
  const [least, most] = rampOf(agent).intervalHours ?? [24, 24]
  return [...new Set([most, least])]
}
