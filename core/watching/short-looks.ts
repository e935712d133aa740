import { SHORT_LOOKS, type ShortLook } from '../catalogue/watching.data.ts'
import type { ContentOf } from '../journal/entry.ts'
import { iso } from '../time/zone.ts'

/** Minutes of watching a day, quarantine.md 1 (HP). */
export const WATCH_MINUTES = 30

/** What was seen of some animals in one go. */
export interface Looked {
  at: number
  minutes: number
  /** The short look it was; null for any other: that counts as the whole half hour. */
  session: string | null
}

/** How much of the day's half hour a sighting is. */
export const lookedOf = (at: number, { session, minutes }: ContentOf<'sighting'>): Looked => ({
  at,
  session: session ?? null,
  minutes: minutes ?? (session === undefined ? WATCH_MINUTES : (lookById(session)?.minutes ?? 0)),
})

export const lookById = (id: string): ShortLook | undefined => SHORT_LOOKS.find((look) => look.id === id)

/** The day's watching as it stands: minutes so far, which short looks were done, and the next of them. */
export interface DayOfLooks {
  minutes: number
  done: ReadonlySet<string>
  next: ShortLook | null
}

/** @param looks those of one local day */
export function dayOfLooks(looks: readonly Looked[]): DayOfLooks {
  const done = new Set(looks.flatMap(({ session }) => session ?? []))
  const minutes = Math.min(
    WATCH_MINUTES,
    looks.reduce((sum, look) => sum + look.minutes, 0),
  )
  const last = Math.max(-1, ...SHORT_LOOKS.map(({ id }, i) => (done.has(id) ? i : -1)))
  const open = SHORT_LOOKS.filter(({ id }) => !done.has(id))
  return {
    minutes,
    done,
    next:
      minutes >= WATCH_MINUTES
        ? null
        : (open.find(({ id }) => SHORT_LOOKS.findIndex((look) => look.id === id) > last) ?? open[0] ?? null),
  }
}

/** What was ticked and counted in a short look. */
export interface LookAnswer {
  present: readonly string[]
  breathsPerMinute: number | null
  appetite: number | null
  faeces: ContentOf<'sighting'>['faeces'] | null
  flashes: number | null
}

/** A short look as the journal keeps it: each of its signs seen or not. */
export function shortLookContent(
  look: ShortLook,
  { present, breathsPerMinute, appetite, faeces, flashes }: LookAnswer,
  { at, tankId, animalIds, courseId }: { at: number; tankId: string; animalIds: readonly string[]; courseId: string },
): ContentOf<'sighting'> {
  const seen = new Set(present)
  // What is counted shows the sign too.
  if (flashes !== null && flashes >= FLASHES.warn) seen.add('flashing')
  if (appetite === 0) seen.add('not-eating')
  if (faeces === 'stringy') seen.add('faeces-white-stringy')
  return {
    kind: 'sighting',
    happened: iso(at),
    tankId,
    animalIds: [...animalIds],
    signs: [...new Set([...look.signs, ...seen])].map((sign) => ({ sign, present: seen.has(sign) })),
    session: look.id,
    minutes: look.minutes,
    ...(breathsPerMinute !== null && { breathsPerMinute }),
    ...(appetite !== null && { appetite }),
    ...(faeces != null && { faeces }),
    ...(flashes !== null && { flashes }),
    courseId,
  }
}

/** Scrapes in five minutes: quarantine.md 1, flashing (EA). */
export const FLASHES = { warn: 2, alarm: 5 } as const
