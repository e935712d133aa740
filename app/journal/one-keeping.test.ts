import type { Content, Entry } from '../../core/journal/entry.ts'
import { newId } from './opened.ts'
import { oneKeeping } from './one-keeping.ts'

const change = (litres: number, more: Partial<Content> = {}): Entry => ({
  id: newId(),
  logged: new Date().toISOString(),
  content: { kind: 'water-change', happened: new Date().toISOString(), tankId: 'q', litres, ...more } as Content,
})

function setUp() {
  let now = 0
  const written: Entry[][] = []
  const once = oneKeeping(() => now)
  const keep = (entries: Entry[], fails = false) =>
    once(entries, () => {
      if (fails) return Promise.reject(new Error('full'))
      written.push(entries)
      return Promise.resolve(entries)
    })
  return { keep, written, pass: (ms: number) => (now += ms) }
}

test('the same again while it is being kept, or a moment after, is written once and answers with what was kept', async () => {
  const { keep, written, pass } = setUp()
  const [first, second] = await Promise.all([keep([change(10)]), keep([change(10)])])
  expect(second).toBe(first)
  pass(435)
  expect(await keep([change(10)])).toBe(first)
  expect(written).toHaveLength(1)
})

test('something else, the same of another day, or a second later, is written', async () => {
  const { keep, written, pass } = setUp()
  await keep([change(10)])
  await keep([change(12)])
  await keep([change(10, { happened: '2026-01-01T09:00:00Z' })])
  await keep([change(10, { happened: '2026-01-02T09:00:00Z' })])
  pass(1100)
  await keep([change(10)])
  expect(written).toHaveLength(5)
})

test('an id made for the press does not make it another one; an animal that is known does', async () => {
  const { keep, written } = setUp()
  const arrival = (animalId: string): Entry => ({
    ...change(1),
    content: { kind: 'note', happened: '2026-01-01T00:00:00Z', text: 'came', animalIds: [animalId] },
  })
  await keep([arrival(newId())])
  await keep([arrival(newId())])
  await keep([arrival('needle')])
  await keep([arrival('burr')])
  expect(written).toHaveLength(3)
})

test('what was refused may be tried again at once', async () => {
  const { keep, written } = setUp()
  await expect(keep([change(10)], true)).rejects.toThrow('full')
  await keep([change(10)])
  expect(written).toHaveLength(1)
})
