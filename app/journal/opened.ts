import { v7 as uuid } from 'uuid'
import { loadDefinitions } from '../../core/catalogue/courses/load-definitions.ts'
import { startInWords } from '../../core/courses/course.ts'
import type { Content, Entry } from '../../core/journal/entry.ts'
import { Journal } from '../../core/journal/journal.ts'
import { stampBound, withinBound } from '../../core/journal/stamps.ts'
import { checkEntries } from '../storage/check-thread.ts'
import { openJournalStore, type JournalStore, type Recovered } from '../storage/journal-store.ts'
import type { Unreadable } from '../storage/read-segments.ts'
import { dropCountsOf } from '../storage/press-store.ts'
import { openPhotoStore, type PhotoStore } from '../storage/photo-store.ts'
import type { Ports } from '../ports.ts'
import type { Which } from './which.ts'

/** A journal that is open in this tab: in memory and on disk. */
export interface Opened {
  which: Which
  journal: Journal
  store: JournalStore
  /** Stored values that could not be read as entries. */
  unreadable: readonly Unreadable[]
  /** What was half done when the browser was closed, and what became of it; null where nothing was. */
  recovered: Recovered | null
  /** How many entries were here when the journal was last open and are gone: the browser has cleared them. */
  clearedEntries: number
}

const stores = new Map<Which, JournalStore>()

export const newId = (): string => uuid()

function storeOf(which: Which): JournalStore {
  let store = stores.get(which)
  if (!store) stores.set(which, (store = openJournalStore(`brinvo-${which}`, newId, checkEntries)))
  return store
}

const photoStores = new Map<Which, PhotoStore>()

/** The pictures of a journal on this device. */
export function photosOf(which: Which): PhotoStore {
  let store = photoStores.get(which)
  if (!store) photoStores.set(which, (store = openPhotoStore(`brinvo-${which}`)))
  return store
}

const clipStores = new Map<Which, PhotoStore>()

/** The short films of a journal on this device: they stay here, no export holds them. */
export function clipsOf(which: Which): PhotoStore {
  let store = clipStores.get(which)
  if (!store) clipStores.set(which, (store = openPhotoStore(`brinvo-${which}`, 'clips')))
  return store
}

const present = () => ({ now: Date.now(), timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC' })

/** Loads the definitions of the courses that some entries start: before the journal holds them, or the course would be unknown. */
export const loadDefinitionsOf = (entries: readonly Entry[]): Promise<void> =>
  loadDefinitions(
    entries.flatMap((entry) =>
      'content' in entry && entry.content.kind === 'course-start' ? [startInWords(entry.content).definition] : [],
    ),
  )

/** What a tab hears of while a journal is open in it; only the last opening of each hears. */
const listening = new Map<Which, () => void>()

/**
 * Reads a journal from the device; the sample is written there first when it is not there yet. What other tabs write while
 * it is read is heard and taken in too.
 */
export async function openJournal(which: Which, ports: Ports): Promise<Opened> {
  const store = storeOf(which)
  const journal = new Journal()
  listening.get(which)?.()
  listening.set(
    which,
    store.subscribe((arrival) => {
      if (arrival.kind === 'appended')
        void loadDefinitionsOf(arrival.entries)
          .catch(() => {
            // What another tab kept is shown all the same: a course whose file cannot be fetched counts as one of a later version.
          })
          .then(() => journal.add(arrival.entries))
    }),
  )
  const heldLast = which === 'mine' ? heldBefore() : 0
  const loading: Promise<void>[] = []
  const stored: Entry[] = []
  const { unreadable, recovered } = await store.load((entries) => {
    loading.push(loadDefinitionsOf(entries))
    for (const entry of entries) stored.push(entry)
  })
  const bound = stampBound(stored, Date.now(), newestOwn(which))
  journal.add(stored.map((entry) => withinBound(entry, bound)))
  await Promise.all(loading)
  if (which === 'sample' && journal.size === 0) {
    const entries = await ports.buildSample(present())
    await store.replace(() => entries)
    await loadDefinitionsOf(entries)
    journal.add(entries)
  }
  if (which === 'mine' && journal.size > 0) rememberHeld(journal.size)
  return { which, journal, store, unreadable, recovered, clearedEntries: journal.size === 0 ? heldLast : 0 }
}

/** Puts a fresh sample, relative to now, in place of the one on the device. */
export async function loadSampleAfresh(ports: Ports): Promise<void> {
  const entries = await ports.buildSample(present())
  await storeOf('sample').replace(() => entries)
  // What was photographed in the old sample belongs to nothing any more.
  await photosOf('sample').clear()
  await clipsOf('sample').clear()
  await dropCountsOf('sample')
}

const MS = 1

/**
 * A stamp for a new entry. Corrections and strike-outs are ordered by when they were logged, so a new entry is never logged
 * before the newest there is, though this device's clock may have been set back.
 */
function stamp(journal: Journal): { id: string; logged: string } {
  const newest = journal.newestLogged === null ? -Infinity : Date.parse(journal.newestLogged)
  return { id: newId(), logged: new Date(Math.max(Date.now(), newest + MS)).toISOString() }
}

/** Entries of contents, stamped now: several at one go keep their order. */
export const entriesOf = (journal: Journal, contents: readonly Content[]): Entry[] => {
  const { logged } = stamp(journal)
  return contents.map((content) => ({ id: newId(), logged, content }))
}
export const correctionOf = (journal: Journal, id: string, content: Content): Entry => ({
  ...stamp(journal),
  corrects: id,
  content,
})
export const strikeOf = (journal: Journal, id: string, why?: string): Entry => ({
  ...stamp(journal),
  strikes: id,
  ...(why && { why }),
})

/** On disk first, then in memory: what is shown as kept is kept. @throws StorageRefusal */
export async function append({ which, journal, store }: Opened, entries: readonly Entry[]): Promise<void> {
  await loadDefinitionsOf(entries)
  await store.append(entries, () => journal.entries())
  journal.add(entries)
  rememberOwn(which, journal)
  if (which === 'mine') rememberHeld(journal.size)
}

/** Takes an import in: what is on disk already is left out. @throws StorageRefusal */
export async function merge({ which, journal, store }: Opened, entries: readonly Entry[]): Promise<Entry[]> {
  await loadDefinitionsOf(entries)
  const written = await store.merge(entries, () => journal.entries())
  journal.add(written)
  if (which === 'mine') rememberHeld(journal.size)
  return written
}

const ownKey = (which: Which) => `brinvo-${which}-newest`

/** The newest stamp that this device has written, ms; 0 where nothing is known. */
function newestOwn(which: Which): number {
  try {
    return Date.parse(localStorage.getItem(ownKey(which)) ?? '') || 0
  } catch {
    return 0
  }
}

function rememberOwn(which: Which, journal: Journal): void {
  try {
    localStorage.setItem(ownKey(which), journal.newestLogged ?? '')
  } catch {
    // Then a clock that was set back is told by the entries themselves.
  }
}

const HELD = 'brinvo-mine-entries'

/** How many entries the own journal held, kept apart from it: tells a browser's clearing from a new household. */
export function rememberHeld(count: number): void {
  try {
    localStorage.setItem(HELD, String(count))
  } catch {
    // Then a cleared journal cannot be told from a new one.
  }
}

/** How many entries the own journal held when it was last open on this device; 0 where nothing is known. */
function heldBefore(): number {
  try {
    return Number(localStorage.getItem(HELD)) || 0
  } catch {
    return 0
  }
}
