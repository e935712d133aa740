import localforage from 'localforage'
import { isEntry } from '../../core/journal/check.ts'
import type { Entry } from '../../core/journal/entry.ts'
import { heldLocks, holdForPage, ifUnlocked, withLock } from './locks.ts'
import { refusalOf, StorageRefusal } from './refusal.ts'

/** Entries in a segment that is still written to: each append rewrites one segment, so it stays small. */
const OPEN_SEGMENT = 64
/** Entries in a segment that is written once. */
const SEALED_SEGMENT = 1000
/** So many small segments of closed tabs are worth packing together. */
const WORTH_PACKING = 24
const EPOCH = 'epoch'

/** What another tab did to the same journal. */
export type Arrival = { kind: 'appended'; entries: Entry[] } | { kind: 'replaced' }

export interface LoadReport {
  /** Stored values that are not entries any more; kept where they are, shown in Records. */
  unreadable: number
}

/**
 * A journal on this device, in segments of IndexedDB: each tab appends to segments of its own, so two tabs never write to
 * the same place, and an append costs the same however long the journal is.
 */
export interface JournalStore {
  readonly name: string
  /** Reads every segment, handing entries over a segment at a time. */
  load(take: (entries: Entry[]) => void): Promise<LoadReport>
  /** @throws StorageRefusal when the browser would not keep them; then nothing was kept. Resolves once they are on disk. */
  append(entries: readonly Entry[]): Promise<void>
  /** Puts these entries in place of everything. @throws StorageRefusal */
  replace(entries: readonly Entry[]): Promise<void>
  /** Hears of what other tabs do. */
  subscribe(hear: (arrival: Arrival) => void): () => void
}

const segmentKey = (writer: string, number: number) => `${writer}.${String(number).padStart(6, '0')}`
const writerOf = (key: string) => key.slice(0, key.lastIndexOf('.'))
const isSegment = (key: string) => key.includes('.')

/**
 * Opens a journal's store.
 * @param name   of the database
 * @param newId  makes ids no other tab makes
 */
export function openJournalStore(name: string, newId: () => string): JournalStore {
  const db = localforage.createInstance({ name, storeName: 'journal', driver: localforage.INDEXEDDB })
  const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel(name)
  const hearers = new Set<(arrival: Arrival) => void>()
  const lockName = `${name}-store`
  const writerLock = (writer: string) => `${name}-writer-${writer}`

  let writer = ''
  let segment = 0
  let tail: Entry[] = []
  let epoch: string | null = null
  let queue: Promise<unknown> = Promise.resolve()

  const freshWriter = () => {
    writer = newId()
    segment = 0
    tail = []
    holdForPage(writerLock(writer))
  }
  freshWriter()

  channel?.addEventListener('message', ({ data }: MessageEvent<Arrival>) => {
    if (data.kind === 'replaced') {
      freshWriter()
      epoch = null
    }
    hearers.forEach((hear) => hear(data))
  })

  /** One write of this tab after the other. */
  const inTurn = <T>(work: () => Promise<T>): Promise<T> => {
    const turn = queue.then(work)
    queue = turn.catch(() => {})
    return turn
  }

  async function readEpoch(): Promise<string> {
    return (await db.getItem<string>(EPOCH)) ?? ''
  }

  async function load(take: (entries: Entry[]) => void): Promise<LoadReport> {
    const report: LoadReport = { unreadable: 0 }
    const read = new Set<string>()
    try {
      epoch = await readEpoch()
      // Another tab may pack segments together meanwhile: look again until nothing new has turned up.
      for (;;) {
        const fresh = (await db.keys()).filter((key) => isSegment(key) && !read.has(key)).sort()
        if (fresh.length === 0) break
        for (const key of fresh) {
          read.add(key)
          const stored = await db.getItem<unknown[]>(key)
          if (!Array.isArray(stored)) continue
          const entries = stored.filter(isEntry)
          report.unreadable += stored.length - entries.length
          take(entries)
        }
      }
    } catch (error) {
      throw refusalOf(error)
    }
    void pack().catch(() => {
      // Packing is only tidying; what could not be packed is still there.
    })
    return report
  }

  function append(entries: readonly Entry[]): Promise<void> {
    return inTurn(() =>
      withLock(lockName, 'shared', async () => {
        try {
          const now = await readEpoch()
          if (epoch !== null && now !== epoch) {
            freshWriter()
            epoch = now
            hearers.forEach((hear) => hear({ kind: 'replaced' }))
            throw new StorageRefusal('replaced')
          }
          epoch = now
          if (tail.length + entries.length > OPEN_SEGMENT && tail.length > 0) {
            segment++
            tail = []
          }
          const next = [...tail, ...entries]
          await db.setItem(segmentKey(writer, segment), next)
          tail = next
        } catch (error) {
          throw refusalOf(error)
        }
        channel?.postMessage({ kind: 'appended', entries: [...entries] } satisfies Arrival)
      }),
    )
  }

  async function writeSealed(entries: readonly Entry[]): Promise<void> {
    const sealed = `sealed-${newId()}`
    for (let i = 0; i * SEALED_SEGMENT < entries.length; i++)
      await db.setItem(segmentKey(sealed, i), entries.slice(i * SEALED_SEGMENT, (i + 1) * SEALED_SEGMENT))
  }

  function replace(entries: readonly Entry[]): Promise<void> {
    return inTurn(() =>
      withLock(lockName, 'exclusive', async () => {
        try {
          const old = (await db.keys()).filter(isSegment)
          await writeSealed(entries)
          epoch = newId()
          await db.setItem(EPOCH, epoch)
          for (const key of old) await db.removeItem(key)
        } catch (error) {
          throw refusalOf(error)
        }
        freshWriter()
        channel?.postMessage({ kind: 'replaced' } satisfies Arrival)
      }),
    )
  }

  /** Packs the small segments of tabs that are gone into large ones. A crash between leaves entries twice, never none. */
  async function pack(): Promise<void> {
    await ifUnlocked(`${name}-pack`, async () => {
      const held = await heldLocks()
      const loose = (await db.keys())
        .filter((key) => isSegment(key) && !key.startsWith('sealed-') && !held.has(writerLock(writerOf(key))))
        .sort()
      if (loose.length < WORTH_PACKING) return
      await withLock(lockName, 'exclusive', async () => {
        const entries: Entry[] = []
        for (const key of loose) entries.push(...((await db.getItem<Entry[]>(key)) ?? []))
        await writeSealed(entries)
        for (const key of loose) await db.removeItem(key)
      })
    })
  }

  return {
    name,
    load,
    append,
    replace,
    subscribe(hear) {
      hearers.add(hear)
      return () => hearers.delete(hear)
    },
  }
}
