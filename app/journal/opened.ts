import { v7 as uuid } from 'uuid'
import type { Content, Entry } from '../../core/journal/entry.ts'
import { Journal } from '../../core/journal/journal.ts'
import { openJournalStore, type JournalStore } from '../storage/journal-store.ts'
import { openPhotoStore, type PhotoStore } from '../storage/photo-store.ts'
import type { Ports } from '../ports.ts'
import type { Which } from './which.ts'

/** A journal that is open in this tab: in memory and on disk. */
export interface Opened {
  which: Which
  journal: Journal
  store: JournalStore
  /** Stored values that could not be read as entries. */
  unreadable: number
}

const stores = new Map<Which, JournalStore>()

export const newId = (): string => uuid()

function storeOf(which: Which): JournalStore {
  let store = stores.get(which)
  if (!store) stores.set(which, (store = openJournalStore(`brinvo-${which}`, newId)))
  return store
}

const photoStores = new Map<Which, PhotoStore>()

/** The pictures of a journal on this device. */
export function photosOf(which: Which): PhotoStore {
  let store = photoStores.get(which)
  if (!store) photoStores.set(which, (store = openPhotoStore(`brinvo-${which}`)))
  return store
}

const present = () => ({ now: Date.now(), timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC' })

/** Reads a journal from the device; the sample is written there first when it is not there yet. */
export async function openJournal(which: Which, ports: Ports): Promise<Opened> {
  const store = storeOf(which)
  const journal = new Journal()
  const { unreadable } = await store.load((entries) => journal.add(entries))
  if (which === 'sample' && journal.size === 0) {
    const entries = await ports.buildSample(present())
    await store.replace(entries)
    journal.add(entries)
  }
  return { which, journal, store, unreadable }
}

/** Puts a fresh sample, relative to now, in place of the one on the device. */
export async function loadSampleAfresh(ports: Ports): Promise<void> {
  await storeOf('sample').replace(await ports.buildSample(present()))
  // What was photographed in the old sample belongs to nothing any more.
  await photosOf('sample').clear()
}

const stamp = () => ({ id: newId(), logged: new Date().toISOString() })

/** Entries of contents, stamped now: several at one go keep their order. */
export const entriesOf = (contents: readonly Content[]): Entry[] => contents.map((content) => ({ ...stamp(), content }))
export const correctionOf = (id: string, content: Content): Entry => ({ ...stamp(), corrects: id, content })
export const strikeOf = (id: string, why?: string): Entry => ({ ...stamp(), strikes: id, ...(why && { why }) })

/** On disk first, then in memory: what is shown as kept is kept. @throws StorageRefusal */
export async function append({ journal, store }: Opened, entries: readonly Entry[]): Promise<void> {
  await store.append(entries)
  journal.add(entries)
}
