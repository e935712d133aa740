import { changed } from './changed.ts'
import type { ContentOf } from '../journal/entry.ts'
import type { Journal } from '../journal/journal.ts'
import { isolated } from '../words/isolated.ts'

/** Something in a tank that is measured by itself: a patch of algae, a rock, a coral, a plant, a jar. */
export interface Part {
  id: string
  tankId: string
  what: ContentOf<'part-setup'>['what']
  name: string
  /** Left untreated, to compare with. */
  control: boolean
  /** When one that was left untreated was treated after all, ms: from then on nothing is compared with it. Null for all others. */
  releasedAt: number | null
  pieces: number
  gone: boolean
  /** Animal group of a coral; undefined where it is not said. */
  group: string | undefined
  /** The animal of the ledger that it is. */
  animalId: string | undefined
  place: Place
  /** Where it is drawn on the tank seen from the front, as shares of its length and height; null where it was not put. */
  spot: { x: number; y: number } | null
  /** Who else holds a piece of a coral, as it was written. */
  elsewhere: string | undefined
  /** When it was set up, ms. */
  since: number
}

/** Where a coral stands: what is not known is left out. */
export type Place = NonNullable<ContentOf<'part-setup'>['place']>

type Setup = Omit<ContentOf<'part-setup'>, 'note'> & { gone?: boolean | undefined }

/** A part as its journal entries leave it; null when the journal holds none of that id. */
export const partById = (journal: Journal, id: string): Part | null =>
  journal.derive(`part:${id}`, [`part:${id}`], () => partAt(journal, id))

/**
 * A part as it was described at an instant.
 * @param instant ms; left out, as it is now
 * @returns null where it was not set up by then
 */
export function partAt(journal: Journal, id: string, instant = Infinity): Part | null {
  let setup: Setup | null = null
  let since = 0
  let releasedAt: number | null = null
  for (const { content, struck, at } of journal.about(`part:${id}`)) {
    if (struck || at > instant) continue
    if (content.kind === 'part-setup') {
      setup = content
      since = at
    }
    // Of a place what is not said again stays.
    if (content.kind === 'part-change' && setup) {
      if (content.changes.control !== undefined)
        releasedAt = content.changes.control ? null : setup.control ? at : releasedAt
      setup = changed<Setup>(setup, {
        ...content.changes,
        ...(content.changes.place && { place: { ...setup.place, ...content.changes.place } }),
      })
    }
  }
  return (
    setup && {
      id,
      tankId: setup.tankId,
      what: setup.what,
      name: isolated(setup.name),
      control: setup.control ?? false,
      releasedAt,
      pieces: setup.pieces ?? 1,
      gone: setup.gone ?? false,
      group: setup.group,
      animalId: setup.animalId,
      place: setup.place ?? {},
      spot: setup.x === undefined || setup.y === undefined ? null : { x: setup.x, y: setup.y },
      elsewhere: setup.elsewhere,
      since,
    }
  )
}

/**
 * The parts of a tank that are still there, in the order they were set up.
 * @param only ids; all where it is empty
 */
export function partsOf(journal: Journal, tankId: string, only: readonly string[] = []): Part[] {
  const ids = new Set(journal.ofKind('part-setup').map(({ content }) => content.partId))
  return [...ids]
    .flatMap((id) => partById(journal, id) ?? [])
    .filter((part) => part.tankId === tankId && !part.gone && (only.length === 0 || only.includes(part.id)))
}
