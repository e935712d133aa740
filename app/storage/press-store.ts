import localforage from 'localforage'
import { withLock } from './locks.ts'
import { refusalOf } from './refusal.ts'

/** What was pressed at one place, one letter a press, and the id of the entry that it becomes when it is kept. */
export interface Pressed {
  presses: string
  entryId: string
}

/**
 * Presses of a count that is under way: each is on disk before it is shown, as each mark of a bench run is an entry. Local storage does
 * without that: a browser that is killed loses its last seconds.
 */
export interface PressStore {
  read: () => Promise<Pressed | null>
  /**
   * Changes what was pressed: two tabs at the same count both add to it.
   * @returns what is on disk now
   * @throws StorageRefusal
   */
  change: (changes: readonly ((before: string) => string)[]) => Promise<Pressed>
  /** Drops a count that has become an entry; another one that was begun meanwhile stays. */
  drop: (entryId: string) => Promise<void>
}

const open = () =>
  localforage.createInstance({ name: 'brinvo-counts', storeName: 'counts', driver: localforage.INDEXEDDB })

/** Drops every count of a journal that is emptied or loaded afresh. */
export async function dropCountsOf(which: string): Promise<void> {
  const db = open()
  for (const key of await db.keys()) if (key.startsWith(`${which}-`)) await db.removeItem(key)
}

/**
 * @param name of the count, with what it is about: `mine-tally-hall-k`
 * @param newId makes ids no other tab makes
 */
export function openPressStore(name: string, newId: () => string): PressStore {
  const db = open()
  const inTurn = <T>(work: () => Promise<T>) => withLock(`brinvo-count-${name}`, 'exclusive', work)
  const read = () => db.getItem<Pressed>(name)
  return {
    read,
    change: (changes) =>
      inTurn(async () => {
        try {
          const before = await read()
          const presses = changes.reduce((text, change) => change(text), before?.presses ?? '')
          return await db.setItem(name, { presses, entryId: before?.entryId ?? newId() })
        } catch (error) {
          throw refusalOf(error)
        }
      }),
    drop: (entryId) =>
      inTurn(async () => {
        if ((await read())?.entryId === entryId) await db.removeItem(name)
      }),
  }
}
