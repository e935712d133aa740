import localforage from 'localforage'
import { refusalOf } from './refusal.ts'

/**
 * The pictures of one journal on this device, a JPEG each by its id, in a database of their own: the journal stays small
 * and is read without them. A picture never changes; two tabs that keep different ones do not meet.
 */
export interface PhotoStore {
  /** @throws StorageRefusal when the browser would not keep it */
  put: (id: string, jpeg: Uint8Array) => Promise<void>
  /** Null for a picture that is not on this device. */
  get: (id: string) => Promise<Uint8Array | null>
  ids: () => Promise<string[]>
  remove: (id: string) => Promise<void>
  clear: () => Promise<void>
}

/**
 * @param name of the journal's database, `brinvo-mine`
 * @param of what it holds: short films lie in a store of their own, which no export reads
 */
export function openPhotoStore(name: string, of: 'photos' | 'clips' = 'photos'): PhotoStore {
  const db = localforage.createInstance({
    name: `${name}-${of}`,
    storeName: of,
    driver: localforage.INDEXEDDB,
  })
  return {
    async put(id, jpeg) {
      try {
        await db.setItem(id, jpeg)
      } catch (error) {
        throw refusalOf(error)
      }
    },
    get: (id) => db.getItem<Uint8Array>(id),
    ids: () => db.keys(),
    remove: (id) => db.removeItem(id),
    clear: () => db.clear(),
  }
}
