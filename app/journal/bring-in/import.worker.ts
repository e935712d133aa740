import { expose } from 'comlink'
import type { Entry } from '../../../core/journal/entry.ts'
import { newId, photosOf } from '../opened.ts'
import type { Which } from '../which.ts'
import { openJournalStore } from '../../storage/journal-store.ts'
import { makeWritesStrict } from '../../storage/durability.ts'
import { refusalOf, type RefusalReason } from '../../storage/refusal.ts'
import { ImportService, type ReadFile } from './import-service.ts'

/** What became of taking a file in: an error of its own kind does not cross from a worker. */
export type Taken = { added: number; last: string | null } | { refused: RefusalReason }

const service = new ImportService()
makeWritesStrict()

/** The bringing in of a file, in a thread of its own: it reads the journal from the device, and writes there what is taken in. */
const worker = {
  async read(which: Which, bytes: ArrayBuffer, now: number, onProgress: (done: number) => void): Promise<ReadFile> {
    const known: Entry[] = []
    await openJournalStore(`brinvo-${which}`, newId).load((entries) => {
      for (const entry of entries) known.push(entry)
    })
    return service.read(new Uint8Array(bytes), known, now, onProgress)
  },
  workOut: (now: number, onCourse: (name: string) => void) => service.workOut(now, onCourse),
  /** Keeps the pictures and the entries; the page and other tabs hear of these part by part. */
  async take(which: Which, photoIds: readonly string[]): Promise<Taken> {
    try {
      // Pictures first: an entry is never there before its picture.
      for (const id of photoIds) await photosOf(which).put(id, service.photos.get(id)!)
      const store = openJournalStore(`brinvo-${which}`, newId)
      await store.load(() => {})
      const written = await store.merge(service.fresh)
      return { added: written.length, last: written.at(-1)?.id ?? null }
    } catch (error) {
      return { refused: refusalOf(error).reason }
    }
  },
}

export type ImportWorker = typeof worker

expose(worker)
