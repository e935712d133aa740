import { IDBFactory, IDBObjectStore } from 'fake-indexeddb'
import localforage from 'localforage'
import type { Entry } from '../../core/journal/entry.ts'
import { note, scribe } from '../../core/journal/testing.ts'
import { openJournalStore, type Arrival, type JournalStore } from './journal-store.ts'
import { StorageRefusal } from './refusal.ts'

let ids = 0
const newId = () => `w${++ids}`
let database = 0
const open = (name: string) => openJournalStore(name, newId)
const freshName = () => `test-${++database}`

async function loaded(store: JournalStore): Promise<Entry[]> {
  const entries: Entry[] = []
  await store.load((part) => entries.push(...part))
  return entries.sort((a, b) => (a.id < b.id ? -1 : 1))
}

beforeEach(() => {
  globalThis.indexedDB = new IDBFactory()
})

const { record } = scribe()
const some = (count: number) => Array.from({ length: count }, (_, i) => record(note('q', i % 50, `note ${i}`)))

describe('a journal on this device', () => {
  test('what was appended is there when it is opened again, over many segments', async () => {
    const name = freshName()
    const entries = some(300)
    const store = open(name)
    for (let i = 0; i < entries.length; i += 7) await store.append(entries.slice(i, i + 7))
    expect(await loaded(open(name))).toEqual(entries)
  })

  test('two tabs append to the same journal and both end with everything', async () => {
    const name = freshName()
    const [one, other] = [open(name), open(name)]
    const heard: Entry[] = []
    other.subscribe((arrival) => arrival.kind === 'appended' && heard.push(...arrival.entries))
    const entries = some(120)
    await Promise.all(entries.map((entry, i) => (i % 2 ? one : other).append([entry])))
    expect(await loaded(open(name))).toEqual(entries)
    await new Promise((resolve) => setTimeout(resolve, 20))
    expect(heard).toHaveLength(60)
  })

  test('a full disk is said, keeps nothing, and the next append works when there is room', async () => {
    const name = freshName()
    const store = open(name)
    const [first, second] = some(2) as [Entry, Entry]
    await store.append([first])
    const put = IDBObjectStore.prototype.put
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('no room', 'QuotaExceededError')
    }
    await expect(store.append([second])).rejects.toMatchObject({ name: 'StorageRefusal', reason: 'full' })
    IDBObjectStore.prototype.put = put
    expect(await loaded(open(name))).toEqual([first])
    await store.append([second])
    expect(await loaded(open(name))).toEqual([first, second])
  })

  test('replacing leaves only the new entries, and an old tab does not bring the old ones back', async () => {
    const name = freshName()
    const [one, other] = [open(name), open(name)]
    const [old, fresh, late] = some(3) as [Entry, Entry, Entry]
    await loaded(one)
    await one.append([old])
    await loaded(other)
    await other.replace(() => [fresh])
    // The old tab learns of it by the message or by its own next write; either way its segment starts empty.
    await one.append([late]).catch((error: unknown) => {
      expect(error).toBeInstanceOf(StorageRefusal)
      return one.append([late])
    })
    expect(await loaded(open(name))).toEqual([fresh, late])
  })

  test('something stored that is no entry is counted, and the rest is read', async () => {
    const name = freshName()
    const [entry] = some(1) as [Entry]
    await open(name).append([entry])
    const raw = localforage.createInstance({ name, storeName: 'journal' })
    await raw.setItem('old.000000', [{ id: 'x' }, 5])
    const entries: Entry[] = []
    await raw.setItem('odd.000000', 'no list')
    const store = open(name)
    const { unreadable } = await store.load((part) => entries.push(...part))
    expect(unreadable.map(({ value }) => value)).toEqual(['no list', { id: 'x' }, 5])
    expect(unreadable[1]!.fault).toEqual({ path: '/logged', message: 'expected a value here; it is missing' })
    expect(entries).toEqual([entry])

    // Each is mended: what it becomes is there, and it is gone, whatever else its segment holds.
    const [instead] = some(1) as [Entry]
    await store.mend(unreadable[0]!, [])
    await store.mend(unreadable[1]!, [instead])
    const after = await open(name).load(() => {})
    expect(after.unreadable.map(({ value }) => value)).toEqual([5])
    expect(await loaded(open(name))).toEqual([entry, instead])
  })

  test('what could not be read again is never written: where and what would be right is said', async () => {
    const name = freshName()
    const store = open(name)
    const [good, other] = some(2) as [Entry, Entry]
    const unfit = { ...other, content: { ...note('q', 1, 'x'), note: 'y'.repeat(4001) } } as Entry
    await expect(store.append([good, unfit])).rejects.toMatchObject({
      name: 'UnfitEntry',
      reason: 'unfit',
      fault: { path: '/content/note' },
      message: expect.stringContaining('The note: expected at most 4000 letters; came 4001 letters') as string,
    })
    await expect(store.merge([unfit])).rejects.toMatchObject({ reason: 'unfit' })
    expect(await loaded(open(name))).toEqual([])
    await store.append([good])
    expect(await loaded(open(name))).toEqual([good])
  })
})

describe('what must not be lost', () => {
  test('starting empty puts aside what another tab kept, though this tab has not heard of it', async () => {
    const name = freshName()
    const [one, other] = [open(name), open(name)]
    const entries = some(5)
    for (const entry of entries) await other.append([entry])
    let aside: Entry[] = []
    await one.replace((onDisk) => {
      aside = onDisk
      return []
    })
    expect(aside.map(({ id }) => id).sort()).toEqual(entries.map(({ id }) => id).sort())
    expect(await loaded(open(name))).toEqual([])
  })

  test('entries appended without locks while another tab starts empty are refused or put aside, never lost', async () => {
    const name = freshName()
    const [one, other] = [open(name), open(name)]
    await loaded(one)
    await loaded(other)
    const entries = some(40)
    const aside = new Set<string>()
    const kept: string[] = []
    const emptying = one.replace((onDisk) => {
      for (const { id } of onDisk) aside.add(id)
      return new Promise((settle) => setTimeout(() => settle([]), 5))
    })
    for (const entry of entries)
      await other.append([entry]).then(
        () => kept.push(entry.id),
        () => undefined,
      )
    await emptying
    const onDisk = new Set((await loaded(open(name))).map(({ id }) => id))
    expect(kept.filter((id) => !onDisk.has(id) && !aside.has(id))).toEqual([])
    expect(kept.length).toBeGreaterThan(0)
  })

  test('a start that was refused leaves the journal as it was, and the next entry is kept', async () => {
    const name = freshName()
    const store = open(name)
    const [first, second] = some(2) as [Entry, Entry]
    await store.append([first])
    const put = IDBObjectStore.prototype.put
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('no room', 'QuotaExceededError')
    }
    await expect(store.replace(() => some(3))).rejects.toMatchObject({ reason: 'full' })
    IDBObjectStore.prototype.put = put
    await store.append([second])
    expect(await loaded(open(name))).toEqual([first, second])
    await expect(
      store.replace(() => {
        throw new StorageRefusal('full')
      }),
    ).rejects.toMatchObject({ reason: 'full' })
    expect(await loaded(open(name))).toEqual([first, second])
  })

  test('a browser that clears the database meanwhile: what the tab holds is written again, and that is told', async () => {
    const name = freshName()
    const store = open(name)
    const told: Arrival[] = []
    store.subscribe((arrival) => told.push(arrival))
    const entries = some(4)
    await store.append(entries.slice(0, 3))
    await localforage.createInstance({ name, storeName: 'journal' }).clear()
    await store.append([entries[3]!], () => entries.slice(0, 3))
    expect(await loaded(open(name))).toEqual(entries)
    expect(told).toEqual([{ kind: 'restored', count: 3 }])
  })

  test('an import leaves out what another tab has taken in meanwhile', async () => {
    const name = freshName()
    const [one, other] = [open(name), open(name)]
    const entries = some(6)
    await other.append(entries.slice(0, 2))
    expect(await one.merge(entries)).toEqual(entries.slice(2))
    expect(await loaded(open(name))).toEqual(entries)
  })
})

describe('a browser that is closed half way', () => {
  /** Stops the page for good after so many writes to the disk: what is left is what a kill leaves. */
  async function killedAfter(writes: number, work: () => Promise<unknown>): Promise<void> {
    const { put } = IDBObjectStore.prototype
    const remove = IDBObjectStore.prototype.delete
    let left = writes
    const dead = () => {
      throw new DOMException('gone', 'AbortError')
    }
    IDBObjectStore.prototype.put = function (this: IDBObjectStore, ...args: Parameters<typeof put>) {
      return left-- > 0 ? put.apply(this, args) : dead()
    }
    IDBObjectStore.prototype.delete = function (this: IDBObjectStore, ...args: Parameters<typeof remove>) {
      return left-- > 0 ? remove.apply(this, args) : dead()
    }
    await work().catch(() => {})
    IDBObjectStore.prototype.put = put
    IDBObjectStore.prototype.delete = remove
  }
  const openAgain = async (name: string) => {
    const entries: Entry[] = []
    const { recovered } = await open(name).load((part) => entries.push(...part))
    return { ids: new Set(entries.map(({ id }) => id)), recovered }
  }
  const many = some(2500)
  const [first] = some(1) as [Entry]

  test.each([0, 1, 2, 3, 4, 5])(
    'an import cut off after %i writes is whole or not there, and that is told',
    async (writes) => {
      const name = freshName()
      await open(name).append([first])
      const store = open(name)
      await loaded(store)
      await killedAfter(writes, () => store.merge(many))
      const { ids, recovered } = await openAgain(name)
      expect(ids.has(first.id)).toBe(true)
      const isWhole = many.every(({ id }) => ids.has(id))
      expect(isWhole || many.every(({ id }) => !ids.has(id))).toBe(true)
      // Begun and not whole: the keeper hears of it, once.
      expect(recovered).toEqual(
        writes > 0 && !isWhole ? { what: 'import', outcome: 'taken-back', entries: many.length } : null,
      )
      expect((await openAgain(name)).recovered).toBeNull()
    },
  )

  test.each([0, 1, 2, 3, 4, 5, 6, 7])(
    'a journal replaced, cut off after %i writes, is the old one or the new one',
    async (writes) => {
      const name = freshName()
      const old = some(5)
      for (const entry of old) await open(name).append([entry])
      const store = open(name)
      await loaded(store)
      await killedAfter(writes, () => store.replace(() => many))
      const { ids } = await openAgain(name)
      const has = (entries: readonly Entry[]) => entries.filter(({ id }) => ids.has(id)).length
      expect([`${old.length} old, 0 new`, `0 old, ${many.length} new`]).toContain(`${has(old)} old, ${has(many)} new`)
      expect((await openAgain(name)).recovered).toBeNull()
    },
  )
})
