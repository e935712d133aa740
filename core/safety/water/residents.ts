import { animalGroupById, type AnimalGroup } from '../../catalogue/animal-group.ts'
import { animalById, animalLabel, animalsOf, type Animal } from '../../household/animals.ts'
import { partAt, type Part } from '../../household/parts.ts'
import type { Journal } from '../../journal/journal.ts'

/** What a resident is, as far as tolerance goes. */
export type ResidentKind = 'fish' | 'invertebrate' | 'coral' | 'plant' | 'unknown'

/** Something that lives in some water: an animal or group of the ledger, or a piece that is named on "Corals and places" alone. */
export interface Resident {
  /** Of the animal, or of the part. */
  id: string
  /** As a sentence names it: "Button, tuxedo urchin". */
  label: string
  kind: ResidentKind
  /** Group of the catalogue; null where it is not told or not known. */
  group: AnimalGroup | null
  /** Row of the sensitivities that holds for it; null for none. */
  sensitivity: string | null
  count: number
  /** The animal of the ledger; null for a piece. */
  animal: Animal | null
}

/** How a sentence names an animal: its name and what it is. */
export const residentLabel = (animal: Animal): string =>
  animal.name ? `${animal.name}, ${animal.species}` : animalLabel(animal)

/** An animal as somebody that lives in a water. */
export function residentOf(animal: Animal): Resident {
  const group = animalGroupById(animal.group) ?? null
  return {
    id: animal.id,
    label: residentLabel(animal),
    kind: group?.kind ?? 'unknown',
    group,
    sensitivity: group?.sensitivity ?? null,
    count: animal.count || animal.firstCount,
    animal,
  }
}

/** Corals whose group nobody told are held to what holds for invertebrates. */
const UNTOLD_CORAL = 'invertebrate'

/** A coral, a clam, an anemone or a plant that is named as a piece; null for what does not live: a rock, a jar, a patch. */
export function residentOfPart(part: Pick<Part, 'id' | 'name' | 'what' | 'group' | 'pieces'>): Resident | null {
  if (part.what !== 'coral' && part.what !== 'plant') return null
  const group = (part.group !== undefined && animalGroupById(part.group)) || null
  const isPlant = part.what === 'plant'
  const what = isPlant ? 'plant' : (group?.name ?? 'coral')
  return {
    id: part.id,
    label: part.name.toLowerCase().includes(what) ? part.name : `${part.name} (${what})`,
    kind: isPlant ? 'plant' : (group?.kind ?? 'coral'),
    group,
    sensitivity: isPlant ? null : (group?.sensitivity ?? UNTOLD_CORAL),
    count: part.pieces,
    animal: null,
  }
}

/** Parts that were ever set up as a coral or a plant: few, however long the journal. */
const livingParts = (journal: Journal): readonly string[] =>
  journal.derive('living-parts', ['kind:part-setup'], () => [
    ...new Set(
      journal
        .ofKind('part-setup')
        .filter(({ content }) => content.what === 'coral' || content.what === 'plant')
        .map(({ content }) => content.partId),
    ),
  ])

/**
 * Who lives in a tank at some time between two instants, both counted: animals and groups of the ledger, and corals, clams, anemones and
 * plants that exist only as named pieces. One that is both counts once, as the animal.
 * @example
 * residentsIn(journal, 'hall', now).some(({ kind }) => kind === 'coral')
 */
export function residentsIn(journal: Journal, tankId: string, from: number, until = from): Resident[] {
  const animals = animalsOf(journal).filter(({ stays }) =>
    stays.some((stay) => stay.tankId === tankId && stay.from <= until && (stay.to === null || stay.to > from)),
  )
  const pieces = livingParts(journal).flatMap((id): Resident[] => {
    const part = partAt(journal, id, until)
    if (!part || part.gone || part.pieces < 1) return []
    // What is an animal of the ledger lives, moves and dies as that animal.
    if (part.animalId !== undefined && animalById(journal, part.animalId)) return []
    return part.tankId === tankId ? [residentOfPart(part) ?? []].flat() : []
  })
  return [...animals.map(residentOf), ...pieces]
}

/** Whether invertebrates or corals are among those that live in a water. */
export const isInvertebrate = ({ kind }: Pick<Resident, 'kind'>): boolean => kind === 'invertebrate' || kind === 'coral'
