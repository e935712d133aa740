import { IDBFactory, IDBObjectStore } from 'fake-indexeddb'
import { openPhotoStore } from './photo-store.ts'

beforeEach(() => {
  globalThis.indexedDB = new IDBFactory()
})

const jpeg = (...bytes: number[]) => Uint8Array.from([0xff, 0xd8, ...bytes])

test('a picture is kept by its id, in the store of its own journal', async () => {
  const mine = openPhotoStore('p-mine')
  await mine.put('a', jpeg(1, 2, 3))
  expect([...(await openPhotoStore('p-mine').get('a'))!]).toEqual([0xff, 0xd8, 1, 2, 3])
  expect(await openPhotoStore('p-sample').get('a')).toBeNull()
  expect(await mine.ids()).toEqual(['a'])
  await mine.remove('a')
  expect(await mine.ids()).toEqual([])
})

test('a full disk is said', async () => {
  const store = openPhotoStore('p-full')
  await store.put('a', jpeg(1))
  const put = IDBObjectStore.prototype.put
  IDBObjectStore.prototype.put = () => {
    throw new DOMException('no room', 'QuotaExceededError')
  }
  await expect(store.put('b', jpeg(2))).rejects.toMatchObject({ name: 'StorageRefusal', reason: 'full' })
  IDBObjectStore.prototype.put = put
  expect(await store.ids()).toEqual(['a'])
})
