import localforage from 'localforage'
import type { Entry } from '../../core/journal/entry.ts'
import { checkEntries, type CheckEntries } from './check-here.ts'
import { hasLocks, heldLocks, holdForPage, ifUnlocked, withLock } from './locks.ts'
import { isSegment, readNewSegments, type Unreadable } from './read-segments.ts'
import { refusalOf, StorageRefusal } from './refusal.ts'

/** Entries in a segment that is still written to: each append rewrites one segment, so it stays small. */
const OPEN_SEGMENT = 64
/** Entries in a segment that is written once. */
const SEALED_SEGMENT = 1000
/** So many small segments of closed tabs are worth packing together. */
const WORTH_PACKING = 24
/** Changes when the journal is replaced: a tab that knows another one has an old journal in memory. */
const EPOCH = 'epoch'
/** Is there as long as the database is: gone when the browser has cleared it. */
const FOUNDED = 'founded'
/** Stands while many segments are written or removed: what a browser that was closed meanwhile has left half done. */
const UNDER_WAY = 'under-way'
/** Without locks a tab may append while another replaces: so many looks for what came meanwhile. */
const LOOKS_WITHOUT_LOCKS = 5

/** What happened to the same journal without this tab's doing. */
export type Arrival =
  | { kind: 'appended'; entries: Entry[] }
  | { kind: 'replaced' }
  /** The browser had cleared the database; what this tab held in memory was written again. */
  | { kind: 'restored'; count: number }

/** Segments that are being written for an import, or in place of the whole journal. */
interface UnderWay {
  what: 'import' | 'replace'
  /** Of the new segments. */
  writer: string
  entries: number
  /** Of the journal once the new segments stand; the old ones are removed after it. */
  epoch?: string
  old?: string[]
}

/** What was half done when the browser was closed, and what became of it. */
export interface Recovered {
  what: 'import' | 'replace'
  /** Finished, or taken back so that everything stands as before. */
  outcome: 'finished' | 'taken-back'
  entries: number
}

export interface LoadReport {
  /** Something was cut off half done when the journal was last open; null where nothing was. */
  recovered: Recovered | null
  /** Stored values that are not entries, or not any more; kept where they are, listed in Records. */
  unreadable: Unreadable[]
}

/**
 * A journal on this device, in segments of IndexedDB: each tab appends to segments of its own, so two tabs never write to
 * the same place, and an append costs the same however long the journal is.
 */
export interface JournalStore {
  readonly name: string
  /** Reads every segment, handing entries over a segment at a time. */
  load(take: (entries: Entry[]) => void): Promise<LoadReport>
  /**
   * Adds entries. Resolves once they are on disk.
   * @param held everything this tab holds: written again where the browser has cleared the database meanwhile
   * @throws UnfitEntry where one of them could not be read again, StorageRefusal when the browser would not keep them; then nothing was kept
   */
  append(entries: readonly Entry[], held?: () => readonly Entry[]): Promise<void>
  /**
   * Adds many entries at once, an import: those whose id is on disk already are left out.
   * @returns those that were written
   * @throws StorageRefusal
   */
  merge(entries: readonly Entry[], held?: () => readonly Entry[]): Promise<Entry[]>
  /**
   * Puts other entries in place of everything, while no tab can append.
   * @param make given what is on disk, another tab's entries too, answers what is to stand there instead; may be asked again
   *   with more where the browser has no locks
   * @throws StorageRefusal, or what `make` threw; then everything stands as before
   */
  replace(make: (onDisk: Entry[]) => readonly Entry[] | Promise<readonly Entry[]>): Promise<void>
  /**
   * Takes a stored value that is no entry out of its segment, and puts entries in its place: what was mended of it.
   * @throws StorageRefusal, and then everything stands as before
   */
  mend(unreadable: Unreadable, instead: readonly Entry[]): Promise<void>
  /** Hears of what other tabs do. */
  subscribe(hear: (arrival: Arrival) => void): () => void
}

/** Whether two values read from the same place are one: their text is. */
const isSame = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b)

const segmentKey = (writer: string, number: number) => `${writer}.${String(number).padStart(6, '0')}`
const writerOf = (key: string) => key.slice(0, key.lastIndexOf('.'))

/**
 * Opens a journal's store.
 * @param name   of the database
 * @param newId  makes ids no other tab makes
 * @param check  checks what is read; on a thread of its own where the app gives one
 */
export function openJournalStore(name: string, newId: () => string, check: CheckEntries = checkEntries): JournalStore {
  const db = localforage.createInstance({ name, storeName: 'journal', driver: localforage.INDEXEDDB })
  const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel(name)
  const hearers = new Set<(arrival: Arrival) => void>()
  const lockName = `${name}-store`
  const writerLock = (writer: string) => `${name}-writer-${writer}`

  let writer = ''
  let segment = 0
  let tail: Entry[] = []
  let epoch: string | null = null
  /** The mark of the database this tab has read or begun; null before either. */
  let founded: string | null = null
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
    // Nobody hears yet while a journal is being opened: its opener subscribes before it reads.
    hearers.forEach((hear) => hear(data))
  })

  /** One write of this tab after the other. */
  const inTurn = <T>(work: () => Promise<T>): Promise<T> => {
    const turn = queue.then(work)
    queue = turn.catch(() => {})
    return turn
  }

  const readEpoch = async (): Promise<string> => (await db.getItem<string>(EPOCH)) ?? ''

  const readSegments = (read: Set<string>, take: (entries: Entry[]) => void) => readNewSegments(db, check, read, take)

  async function load(take: (entries: Entry[]) => void): Promise<LoadReport> {
    const report: LoadReport = { recovered: null, unreadable: [] }
    try {
      report.recovered = await recover()
      epoch = await readEpoch()
      founded = await db.getItem<string>(FOUNDED)
      report.unreadable = await readSegments(new Set(), take)
    } catch (error) {
      throw refusalOf(error)
    }
    void pack().catch(() => {
      // Packing is only tidying; what could not be packed is still there.
    })
    return report
  }

  /** Marks a new database as begun; puts back what this tab holds where the browser has cleared an old one. */
  async function makeSureOfDatabase(held: () => readonly Entry[]): Promise<void> {
    const found = await db.getItem<string>(FOUNDED)
    if (found !== null) {
      founded = found
      return
    }
    const wasCleared = founded !== null
    const entries = wasCleared ? held() : []
    if (wasCleared) {
      freshWriter()
      await writeSealed(entries)
      if (epoch !== null && epoch !== '') await db.setItem(EPOCH, epoch)
    }
    const mark = newId()
    await db.setItem(FOUNDED, mark)
    founded = mark
    if (wasCleared) hearers.forEach((hear) => hear({ kind: 'restored', count: entries.length }))
  }

  /** @throws StorageRefusal when another tab has replaced the journal since this tab read it */
  async function makeSureOfEpoch(): Promise<void> {
    const now = await readEpoch()
    if (epoch !== null && now !== epoch) {
      freshWriter()
      epoch = now
      hearers.forEach((hear) => hear({ kind: 'replaced' }))
      throw new StorageRefusal('replaced')
    }
    epoch = now
  }

  const tell = (arrival: Arrival) => channel?.postMessage(arrival)

  /**
   * @param areNew they were just made, and not brought back from a copy
   * @throws UnfitEntry: what is written can be read again, and what is new keeps nothing busy for ever
   */
  async function makeSureOf(entries: readonly Entry[], areNew = false): Promise<void> {
    const { entryFault } = await import('../../core/journal/check.ts')
    const { implausible } = await import('../../core/journal/plausible.ts')
    for (const entry of entries) {
      const fault = entryFault(entry) ?? (areNew ? implausible(entry, Date.now()) : null)
      if (!fault) continue
      const { UnfitEntry } = await import('./unfit.ts')
      throw new UnfitEntry(fault)
    }
  }

  function append(entries: readonly Entry[], held: () => readonly Entry[] = () => []): Promise<void> {
    return inTurn(() =>
      withLock(lockName, 'shared', async () => {
        try {
          await makeSureOf(entries, true)
          await makeSureOfDatabase(held)
          await makeSureOfEpoch()
          if (tail.length + entries.length > OPEN_SEGMENT && tail.length > 0) {
            segment++
            tail = []
          }
          const next = [...tail, ...entries]
          await db.setItem(segmentKey(writer, segment), next)
          // Without locks the journal may have been replaced while this was written, and this with it.
          if (!hasLocks()) await makeSureOfEpoch()
          tail = next
        } catch (error) {
          throw refusalOf(error)
        }
        tell({ kind: 'appended', entries: [...entries] })
      }),
    )
  }

  /** Finishes what was half done when the browser was closed, or takes it back. A tab that is at it holds the lock: it is waited for. */
  async function recover(): Promise<Recovered | null> {
    if ((await db.getItem<UnderWay>(UNDER_WAY)) === null) return null
    return withLock(lockName, 'exclusive', async () => {
      const mark = await db.getItem<UnderWay>(UNDER_WAY)
      if (mark === null) return null
      const { what, entries } = mark
      const isWritten = mark.epoch !== undefined && (await readEpoch()) === mark.epoch
      const written = (await db.keys()).filter((key) => isSegment(key) && writerOf(key) === mark.writer)
      await removeAll(isWritten ? (mark.old ?? []) : written)
      await db.removeItem(UNDER_WAY)
      return { what, outcome: isWritten ? ('finished' as const) : ('taken-back' as const), entries }
    })
  }

  /**
   * Writes entries to segments of their own; where one is refused, those before it are taken back.
   * @param sealed the writer of the segments
   */
  async function writeSealed(entries: readonly Entry[], sealed = `sealed-${newId()}`): Promise<string[]> {
    const written: string[] = []
    try {
      for (let i = 0; i * SEALED_SEGMENT < entries.length; i++) {
        const key = segmentKey(sealed, i)
        await db.setItem(key, entries.slice(i * SEALED_SEGMENT, (i + 1) * SEALED_SEGMENT))
        written.push(key)
      }
    } catch (error) {
      await removeAll(written)
      throw error
    }
    return written
  }

  async function removeAll(keys: readonly string[]): Promise<void> {
    for (const key of keys) await db.removeItem(key).catch(() => {})
  }

  function merge(entries: readonly Entry[], held: () => readonly Entry[] = () => []): Promise<Entry[]> {
    return inTurn(() =>
      withLock(lockName, 'exclusive', async () => {
        const known = new Set<string>()
        let fresh: Entry[]
        try {
          await makeSureOfDatabase(held)
          await makeSureOfEpoch()
          await makeSureOf(entries)
          await readSegments(new Set(), (stored) => stored.forEach(({ id }) => known.add(id)))
          fresh = entries.filter(({ id }) => !known.has(id))
          const sealed = `sealed-${newId()}`
          await db.setItem<UnderWay>(UNDER_WAY, { what: 'import', writer: sealed, entries: fresh.length })
          await writeSealed(fresh, sealed)
          await db.removeItem(UNDER_WAY)
        } catch (error) {
          await db.removeItem(UNDER_WAY).catch(() => {})
          throw refusalOf(error)
        }
        // In parts: one message of a hundred thousand entries would hold up every tab that hears it.
        for (let i = 0; i < fresh.length; i += SEALED_SEGMENT)
          tell({ kind: 'appended', entries: fresh.slice(i, i + SEALED_SEGMENT) })
        return fresh
      }),
    )
  }

  function replace(make: (onDisk: Entry[]) => readonly Entry[] | Promise<readonly Entry[]>): Promise<void> {
    return inTurn(() =>
      withLock(lockName, 'exclusive', async () => {
        const onDisk = new Map<string, Entry>()
        const old = new Set<string>()
        const readAll = async () => {
          old.clear()
          await readSegments(old, (stored) => stored.forEach((entry) => onDisk.set(entry.id, entry)))
        }
        let written: string[] = []
        try {
          await readAll()
          const next = newId()
          for (let look = 1; ; look++) {
            const before = onDisk.size
            const entries = await make([...onDisk.values()])
            const sealed = `sealed-${newId()}`
            await db.setItem<UnderWay>(UNDER_WAY, {
              what: 'replace',
              writer: sealed,
              entries: entries.length,
              epoch: next,
              old: [...old],
            })
            written = await writeSealed(entries, sealed)
            await db.setItem(EPOCH, next)
            if (hasLocks() || look === LOOKS_WITHOUT_LOCKS) break
            for (const key of old) (await db.getItem<Entry[]>(key))?.forEach((entry) => onDisk.set(entry.id, entry))
            if (onDisk.size === before) break
            await removeAll(written)
          }
          epoch = next
        } catch (error) {
          await removeAll(written)
          await db.removeItem(UNDER_WAY).catch(() => {})
          throw error instanceof StorageRefusal ? error : refusalOf(error)
        }
        await removeAll([...old])
        await db.removeItem(UNDER_WAY).catch(() => {})
        freshWriter()
        tell({ kind: 'replaced' })
      }),
    )
  }

  function mend({ key, value }: Unreadable, instead: readonly Entry[]): Promise<void> {
    return inTurn(() =>
      withLock(lockName, 'exclusive', async () => {
        try {
          await makeSureOf(instead)
          const stored = await db.getItem<unknown>(key)
          const place = Array.isArray(stored) ? stored.findIndex((one) => isSame(one, value)) : -1
          if (place < 0 && !isSame(stored, value)) return
          // First what it becomes, in a segment of its own: a crash between leaves both, never none.
          await writeSealed(instead)
          if (Array.isArray(stored))
            await db.setItem(
              key,
              stored.filter((_, i) => i !== place),
            )
          else await db.removeItem(key)
        } catch (error) {
          throw refusalOf(error)
        }
        tell({ kind: 'appended', entries: [...instead] })
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
    merge,
    replace,
    mend,
    subscribe(hear) {
      hearers.add(hear)
      return () => hearers.delete(hear)
    },
  }
}
