import { partById, type Part } from '../../household/parts.ts'
import { animalById, tankOfAnimal } from '../../household/animals.ts'
import type { ContentOf } from '../../journal/entry.ts'
import type { Journal } from '../../journal/journal.ts'
import type { Asking, Concern } from '../concern.ts'
import { newcomerWaterConcerns } from '../judge/newcomer.ts'
import { wrongWaterConcerns } from '../judge/water-match.ts'
import { residentOfPart } from '../water/residents.ts'
import { waterBetween } from '../water/state.ts'

type Described = Pick<Part, 'id' | 'name' | 'what' | 'group' | 'pieces' | 'animalId' | 'tankId'>

/** Whether a part is an animal of the ledger that lives in that tank: who lives there already was asked about when it came. */
const isKnownThere = (journal: Journal, { animalId, tankId }: Described): boolean => {
  const animal = animalId === undefined ? null : animalById(journal, animalId)
  return animal !== null && tankOfAnimal(animal) === tankId
}

function concernsFor(journal: Journal, part: Described, at: number, { now, except }: Asking): Concern[] {
  const resident = residentOfPart(part)
  if (!resident || isKnownThere(journal, part)) return []
  const water = waterBetween(journal, part.tankId, at, Math.max(at, now), except)
  return water ? [...wrongWaterConcerns(resident, water.tank), ...newcomerWaterConcerns(journal, resident, water)] : []
}

/** What the water speaks against a coral, a clam, an anemone or a plant that is named in a tank. */
export const partSetupConcerns = (journal: Journal, setup: ContentOf<'part-setup'>, asking: Asking): Concern[] =>
  concernsFor(
    journal,
    {
      id: setup.partId,
      name: setup.name,
      what: setup.what,
      group: setup.group,
      pieces: setup.pieces ?? 1,
      animalId: setup.animalId,
      tankId: setup.tankId,
    },
    Date.parse(setup.happened),
    asking,
  )

/** What it speaks against one that is described anew: as another group, there again, or no animal of the ledger any more. */
export function partChangeConcerns(
  journal: Journal,
  { partId, changes, happened }: ContentOf<'part-change'>,
  asking: Asking,
): Concern[] {
  const part = partById(journal, partId)
  if (!part || changes.gone === true) return []
  const isBack = part.gone && changes.gone === false
  const isOther = changes.group !== undefined && changes.group !== part.group
  const isMore = changes.pieces !== undefined && changes.pieces > part.pieces
  if (!isBack && !isOther && !isMore) return []
  return concernsFor(
    journal,
    {
      ...part,
      group: changes.group ?? part.group,
      name: changes.name ?? part.name,
      pieces: changes.pieces ?? part.pieces,
    },
    Date.parse(happened),
    asking,
  )
}
