import { IDBObjectStore } from 'fake-indexeddb'
import { dropCountsOf, openPressStore } from './press-store.ts'

let ids = 0
const newId = () => `e${++ids}`
const add = (letter: string) => (before: string) => before + letter

let counts = 0
const freshName = () => `mine-tally-${++counts}`

test('every press is on disk, in its order, under one id', async () => {
  const name = freshName()
  const store = openPressStore(name, newId)
  const { entryId } = await store.change([add('d')])
  await store.change([add('n'), add('d'), (before) => before.slice(0, -1)])
  expect(await openPressStore(name, newId).read()).toEqual({ presses: 'dn', entryId })
  expect(await openPressStore(freshName(), newId).read()).toBeNull()
})

test('what has become an entry is dropped, what was begun after it stays', async () => {
  const store = openPressStore(freshName(), newId)
  const { entryId } = await store.change([add('d')])
  await store.drop(entryId)
  expect(await store.read()).toBeNull()
  await store.change([add('n')])
  await store.drop(entryId)
  expect(await store.read()).toMatchObject({ presses: 'n' })
})

test('a journal that is emptied drops its own counts only', async () => {
  const mine = openPressStore(freshName(), newId)
  await mine.change([add('d')])
  await openPressStore('sample-tally-a', newId).change([add('d')])
  await dropCountsOf('sample')
  expect(await mine.read()).not.toBeNull()
  expect(await openPressStore('sample-tally-a', newId).read()).toBeNull()
})

test('a full disk is said, and the press is not shown as counted', async () => {
  const store = openPressStore(freshName(), newId)
  await store.change([add('d')])
  const put = IDBObjectStore.prototype.put
  IDBObjectStore.prototype.put = () => {
    throw new DOMException('no room', 'QuotaExceededError')
  }
  await expect(store.change([add('n')])).rejects.toMatchObject({ reason: 'full' })
  IDBObjectStore.prototype.put = put
  expect((await store.read())?.presses).toBe('d')
})
