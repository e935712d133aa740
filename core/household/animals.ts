import { animalGroupById } from '../catalogue/animal-group.ts'
import type { ContentOf } from '../journal/entry.ts'
import type { Journal, Line } from '../journal/journal.ts'
import { isolated } from '../words/isolated.ts'
import type { Subject } from '../journal/subjects.ts'

/** A time an animal, or a group counted as one, spent in one tank. */
export interface Stay {
  tankId: string
  from: number
  /** Null while it is there. */
  to: number | null
}

/** A change of a group's number. */
export interface CountChange {
  at: number
  by: number
  why: 'died' | 'left' | 'split'
  cause?: string
}

/** An animal, or a group counted as one ("9 ember tetras"), as its journal entries leave it. */
export interface Animal {
  id: string
  name: string | null
  species: string
  group: string
  /** A fish’s length, cm; null where it was never written. */
  sizeCm: number | null
  /** How many there are now; 0 after its end. */
  count: number
  arrivedAt: number
  firstCount: number
  stays: readonly Stay[]
  changes: readonly CountChange[]
  end: { at: number; how: 'died' | 'left'; cause?: string } | null
}

/** Whether an animal is a fish. */
export const isFish = ({ group }: Pick<Animal, 'group'>): boolean => animalGroupById(group)?.kind === 'fish'

/** What to call an animal: its name, else how many of which species. */
export const animalLabel = ({ name, species, count, firstCount }: Animal): string =>
  name ?? ((count || firstCount) === 1 ? species : `${count || firstCount} ${species}`)

interface Start {
  at: number
  tankId: string
  count: number
  name: string | undefined
  species: string
  group: string
  sizeCm?: number | undefined
}

function startOf(journal: Journal, id: string, line: Line): Start | null {
  const { content, at } = line
  if (content.kind === 'arrival')
    return {
      at,
      tankId: content.tankId,
      count: content.count,
      name: content.name,
      species: content.species,
      group: content.group,
      sizeCm: content.sizeCm,
    }
  if (content.kind !== 'move' || content.newAnimalId !== id || content.animalId === id) return null
  const parent = journal.about(`life:${content.animalId}`).find((other) => other.content.kind === 'arrival')
    ?.content as ContentOf<'arrival'> | undefined
  return parent
    ? {
        at,
        tankId: content.toTankId,
        count: content.count ?? 1,
        name: undefined,
        species: parent.species,
        group: parent.group,
        sizeCm: parent.sizeCm,
      }
    : null
}

function describe(journal: Journal, id: string): Animal | null {
  const lines = journal.about(`life:${id}`).filter((line) => !line.struck)
  let animal: (Animal & { stays: Stay[]; changes: CountChange[] }) | null = null
  for (const line of lines) {
    const { content, at } = line
    if (!animal) {
      const start = startOf(journal, id, line)
      if (start)
        animal = {
          id,
          name: start.name === undefined ? null : isolated(start.name),
          species: isolated(start.species),
          group: start.group,
          sizeCm: start.sizeCm ?? null,
          count: start.count,
          arrivedAt: start.at,
          firstCount: start.count,
          stays: [{ tankId: start.tankId, from: start.at, to: null }],
          changes: [],
          end: null,
        }
      continue
    }
    if (content.kind === 'animal-change' && content.animalId === id) {
      const { name, species, group, sizeCm } = content.changes
      if (name !== undefined) animal.name = isolated(name)
      if (species !== undefined) animal.species = isolated(species)
      if (group !== undefined) animal.group = group
      if (sizeCm !== undefined) animal.sizeCm = sizeCm
    }
    if (animal.end) continue
    const lose = (by: number, why: CountChange['why'], cause?: string) => {
      const lost = Math.min(by, animal!.count)
      animal!.count -= lost
      animal!.changes.push({ at, by: -lost, why, ...(cause !== undefined && { cause }) })
      if (animal!.count > 0) return
      animal!.stays.at(-1)!.to = at
      if (why !== 'split') animal!.end = { at, how: why, ...(cause !== undefined && { cause }) }
      else animal!.end = { at, how: 'left' }
    }
    if (content.kind === 'move' && content.animalId === id) {
      if (content.newAnimalId !== undefined && content.newAnimalId !== id) lose(content.count ?? 1, 'split')
      else {
        animal.stays.at(-1)!.to = at
        animal.stays.push({ tankId: content.toTankId, from: at, to: null })
      }
    } else if (content.kind === 'death' && content.animalId === id) lose(content.count ?? 1, 'died', content.cause)
    else if (content.kind === 'departure' && content.animalId === id)
      lose(content.count ?? animal.count, 'left', content.to)
  }
  return animal
}

/** An animal or group; null when the journal holds none of that id. */
export function animalById(journal: Journal, id: string): Animal | null {
  // A group that split off reads its species from the group it came from.
  const parents = journal
    .about(`life:${id}`)
    .flatMap(({ content }): Subject[] =>
      content.kind === 'move' && content.newAnimalId === id ? [`life:${content.animalId}`] : [],
    )
  return journal.derive(`animal:${id}`, [`life:${id}`, ...parents], () => describe(journal, id))
}

/** Every animal there ever was, in the order they came. */
export function animalsOf(journal: Journal): Animal[] {
  return journal.derive(
    'animals',
    ['kind:arrival', 'kind:animal-change', 'kind:move', 'kind:death', 'kind:departure'],
    () => {
      const ids = new Set<string>()
      for (const { content } of journal.ofKind('arrival')) ids.add(content.animalId)
      for (const { content } of journal.ofKind('move'))
        if (content.newAnimalId !== undefined) ids.add(content.newAnimalId)
      return [...ids]
        .flatMap((id) => animalById(journal, id) ?? [])
        .sort((a, b) => a.arrivedAt - b.arrivedAt || (a.id < b.id ? -1 : 1))
    },
  )
}

/** The tank an animal is in now, or null when it is gone. */
export const tankOfAnimal = (animal: Animal): string | null => {
  const last = animal.stays.at(-1)
  return last && last.to === null ? last.tankId : null
}

/** Who lives in a tank now. */
export function residentsOf(journal: Journal, tankId: string): Animal[] {
  return animalsOf(journal).filter((animal) => tankOfAnimal(animal) === tankId)
}

/** Who lived in a tank at some time between two instants, both counted. */
export const residentsBetween = (journal: Journal, tankId: string, from: number, until: number): Animal[] =>
  animalsOf(journal).filter(({ stays }) =>
    stays.some((stay) => stay.tankId === tankId && stay.from <= until && (stay.to === null || stay.to > from)),
  )

/** How many of a group there were at an instant. */
export const countAt = (animal: Animal, at: number): number =>
  animal.changes.reduce((count, change) => (change.at <= at ? count + change.by : count), animal.firstCount)
