import { animalGroupById } from '../catalogue/animal-group.ts'
import { LOOK_AFTER_MOVE_DAYS } from '../catalogue/corals/condition.ts'
import type { ContentOf } from '../journal/entry.ts'
import type { Journal } from '../journal/journal.ts'
import { iso, MS_PER_DAY } from '../time/zone.ts'
import { animalById, residentsOf, tankOfAnimal, type Animal } from './animals.ts'
import { partById, type Part, type Place } from './parts.ts'
import { tankById } from './tanks.ts'

/** A coral as the animal of the ledger that it is leaves it: gone with it, and in the tank that it was moved to. */
function asItsAnimal(journal: Journal, part: Part): Part {
  const animal = part.animalId === undefined ? null : animalById(journal, part.animalId)
  if (!animal) return part
  return { ...part, tankId: tankOfAnimal(animal) ?? part.tankId, gone: part.gone || animal.end !== null }
}

/** Every coral that was ever named, the lost ones too. */
const allCorals = (journal: Journal): Part[] =>
  [...new Set(journal.ofKind('part-setup').map(({ content }) => content.partId))].flatMap((id) => {
    const part = partById(journal, id)
    return part?.what === 'coral' ? [asItsAnimal(journal, part)] : []
  })

/** The living corals of a tank that are named as parts, in the order they were named. */
export const coralsOf = (journal: Journal, tankId: string): Part[] =>
  allCorals(journal).filter((part) => part.tankId === tankId && !part.gone)

/** Those of some corals that still live, wherever they are. */
export const livingCorals = (journal: Journal, ids: readonly string[]): Part[] =>
  allCorals(journal).filter(({ id, gone }) => ids.includes(id) && !gone)

/** Corals of the ledger that live in a tank and are not named as parts yet. */
export function unnamedCorals(journal: Journal, tankId: string): Animal[] {
  const named = new Set(coralsOf(journal, tankId).map(({ animalId }) => animalId))
  return residentsOf(journal, tankId).filter(
    ({ id, group }) => animalGroupById(group)?.kind === 'coral' && !named.has(id),
  )
}

/** The entry that names a coral of the ledger as a part, with as many pieces as it has. */
export const coralSetup = (animal: Animal, tankId: string, at: number): ContentOf<'part-setup'> => ({
  kind: 'part-setup',
  happened: iso(at),
  partId: `coral-${animal.id}`,
  tankId,
  what: 'coral',
  name: animal.name ?? animal.species,
  pieces: Math.max(1, animal.count),
  group: animal.group,
  animalId: animal.id,
})

/** A coral of one name, wherever its pieces are. */
export interface SpareCopies {
  name: string
  pieces: number
  /** Who else holds one, as it was written. */
  elsewhere: string | null
  where: readonly { tankId: string; tank: string; pieces: number }[]
  /** One piece, and nobody else holds one: what happens to it cannot be undone. */
  isOnly: boolean
  /** It was lost in some tank, and these are what is left. */
  wasLost: boolean
}

/**
 * How many pieces of each coral there are and where: the ones with a single piece first, then those lost somewhere. Corals of one name
 * are one coral, in capitals or not.
 */
export function spareCopies(journal: Journal): SpareCopies[] {
  const byName = new Map<string, Part[]>()
  for (const part of allCorals(journal)) {
    const key = part.name.trim().toLowerCase()
    byName.set(key, [...(byName.get(key) ?? []), part])
  }
  return [...byName.values()]
    .map((parts): SpareCopies => {
      const living = parts.filter(({ gone, pieces }) => !gone && pieces > 0)
      const pieces = living.reduce((sum, part) => sum + part.pieces, 0)
      const elsewhere =
        parts.findLast((part) => part.elsewhere !== undefined && part.elsewhere !== '')?.elsewhere ?? null
      return {
        name: parts[0]!.name,
        pieces,
        elsewhere,
        where: living.map((part) => ({
          tankId: part.tankId,
          tank: tankById(journal, part.tankId)?.name ?? '',
          pieces: part.pieces,
        })),
        isOnly: pieces === 1 && elsewhere === null,
        wasLost: parts.some(({ gone }) => gone),
      }
    })
    .sort((a, b) => Number(b.isOnly) - Number(a.isOnly) || Number(b.wasLost) - Number(a.wasLost) || a.pieces - b.pieces)
}

/** One place of a coral, with how it looked before it was put there and some days after. */
export interface PlaceStay {
  at: number
  place: Place
  /** The last condition before; null where none was written. */
  before: number | null
  /** The first condition at least three days after. */
  after: number | null
  /** When it is to be looked at again: while nothing was written since. */
  lookAt: number | null
}

/** A coral's surveys, in time order: its condition on the scale of core/catalogue/corals/condition.ts. */
export const conditionsOf = (journal: Journal, partId: string): { at: number; value: number }[] =>
  journal
    .ofKind('count')
    .flatMap(({ at, content }) =>
      content.measure === 'survey'
        ? (content.parts ?? []).filter((one) => one.partId === partId).map(({ value }) => ({ at, value }))
        : [],
    )

/** Where a coral stood and how it took it: further-schools.md 8, place log. The newest first. */
export function placeLog(journal: Journal, partId: string): PlaceStay[] {
  const conditions = conditionsOf(journal, partId)
  const stays: PlaceStay[] = []
  let place: Place = {}
  for (const { content, at, struck } of journal.about(`part:${partId}`)) {
    if (struck) continue
    const changed =
      content.kind === 'part-setup' ? content.place : content.kind === 'part-change' ? content.changes.place : undefined
    if (!changed) continue
    place = { ...place, ...changed }
    const lookAt = at + LOOK_AFTER_MOVE_DAYS * MS_PER_DAY
    const after = conditions.find((one) => one.at >= lookAt)?.value ?? null
    stays.push({
      at,
      place,
      before: conditions.findLast((one) => one.at <= at)?.value ?? null,
      after,
      lookAt: after === null ? lookAt : null,
    })
  }
  // Of a place that was left within three days nobody looks again.
  return stays
    .map((stay, i) => (stays[i + 1] && stays[i + 1]!.at < (stay.lookAt ?? 0) ? { ...stay, lookAt: null } : stay))
    .reverse()
}

/**
 * Whether a tank is kept for small-polyp corals: by its profile, the ledger or its named corals. Some of what they live in moves half as fast,
 * whether a pump doses it or a hand.
 */
export const hasSmallPolyps = (journal: Journal, tankId: string): boolean =>
  tankById(journal, tankId)?.profile === 'reef-sps' ||
  [...residentsOf(journal, tankId), ...coralsOf(journal, tankId)].some(({ group }) => group === 'coral-sps')
