import { animalGroupById } from '../catalogue/animal-group.ts'
import type { Content, ContentOf } from '../journal/entry.ts'
import type { Journal } from '../journal/journal.ts'
import { iso } from '../time/zone.ts'
import { animalById, residentsOf } from './animals.ts'

/** Who was seen at a head count, by name. */
export interface Heads {
  seen: readonly string[]
  /** Of a group: how many were seen, where not all were. */
  seenCounts: Readonly<Record<string, number>>
}

/** Who has a head to be counted in a tank: all that live in it but corals, which are surveyed. */
export const headsIn = (journal: Journal, tankId: string): string[] =>
  residentsOf(journal, tankId).flatMap(({ id, group }) => (animalGroupById(group)?.kind === 'coral' ? [] : [id]))

/**
 * The sightings of a head count: who was seen, who in part, and who was not.
 * @param animalIds all that were looked for
 * @param at ms
 * @example
 * headSightings('reef', ['plum', 'saffron'], { seen: ['plum'], seenCounts: {} }, now) // Plum seen, Saffron not
 */
export function headSightings(
  tankId: string,
  animalIds: readonly string[],
  { seen, seenCounts }: Heads,
  at: number,
): ContentOf<'sighting'>[] {
  const there = new Set(seen)
  const sighting = (ids: readonly string[], rest: Partial<ContentOf<'sighting'>>): ContentOf<'sighting'> => ({
    kind: 'sighting',
    happened: iso(at),
    tankId,
    animalIds: [...ids],
    signs: [],
    ...rest,
  })
  const missing = animalIds.filter((id) => !there.has(id))
  const whole = [...there].filter((id) => seenCounts[id] === undefined)
  const inPart = [...there].filter((id) => seenCounts[id] !== undefined)
  return [
    ...(whole.length > 0 ? [sighting(whole, { seen: true })] : []),
    ...inPart.map((id) => sighting([id], { seen: true, seenCount: seenCounts[id]! })),
    ...(missing.length > 0 ? [sighting(missing, { seen: false })] : []),
  ]
}

/**
 * A head count of a course: its sightings by name, and how many heads that are as a count to hold the next one against.
 * @param occasion the task that it was done for
 */
export function headCountContents(
  journal: Journal,
  occasion: { tankId: string; courseId: string; taskId: string },
  animalIds: readonly string[],
  heads: Heads,
  at: number,
): Content[] {
  const total = heads.seen.reduce((sum, id) => sum + (heads.seenCounts[id] ?? animalById(journal, id)?.count ?? 1), 0)
  return [
    ...headSightings(occasion.tankId, animalIds, heads, at),
    { kind: 'count', happened: iso(at), measure: 'head-count', values: [total], ...occasion },
  ]
}
