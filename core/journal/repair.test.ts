import { entryFault } from './check.ts'
import { noteOfUnreadable, repairedEntry } from './repair.ts'

const NOW = '2026-11-02T12:00:00.000Z'
const entry = (content: object) => ({ id: 'a', logged: NOW, content })
const arrival = (species: string, more: object = {}) => ({
  kind: 'arrival',
  happened: '2026-10-01T12:00:00.000Z',
  animalId: 'n',
  tankId: 'q',
  species,
  group: 'hawkfish',
  count: 1,
  ...more,
})
const LONG = 'x'.repeat(86)

test('a name that is too long is cut, and stands whole in the note', () => {
  const mended = repairedEntry(entry(arrival(LONG, { note: 'from a friend' })))!
  expect(entryFault(mended)).toBeNull()
  expect(mended).toMatchObject({ id: 'a', content: { species: 'x'.repeat(80), note: `from a friend\n${LONG}` } })
})

test('a property of another version is dropped, its value stays in the note', () => {
  const mended = repairedEntry(entry(arrival('fish', { colour: 'red' })))!
  expect(mended).toMatchObject({ content: { species: 'fish', note: 'colour: "red"' } })
  expect('colour' in mended).toBe(false)
})

test.each([
  ['a figure beyond any measure', entry(arrival('fish', { count: 1e15 }))],
  ['no content', { id: 'a', logged: NOW }],
  ['no object', 5],
  ['nothing', null],
])('%s is not mended; it becomes a note that holds its text', (_, value) => {
  expect(repairedEntry(value)).toBeNull()
  const note = noteOfUnreadable(value, NOW)
  expect(entryFault({ id: 'b', logged: NOW, content: note })).toBeNull()
  expect(note.text).toContain(JSON.stringify(value).slice(0, 40))
})

test('the note has the time and the tank of what it was', () => {
  const value = entry(arrival('fish', { count: -1 }))
  expect(noteOfUnreadable(value, NOW)).toMatchObject({ happened: '2026-10-01T12:00:00.000Z', tankId: 'q' })
  const bad = entry(arrival('fish', { count: -1, happened: '-000164-01-01T00:00:00Z', tankId: '' }))
  expect(noteOfUnreadable(bad, NOW)).toEqual({ kind: 'note', happened: NOW, text: expect.any(String) as string })
})

test('a text of 5,000 letters fills the note and no more', () => {
  const mended = repairedEntry(entry({ kind: 'note', happened: NOW, text: 'y'.repeat(5000) }))!
  expect(entryFault(mended)).toBeNull()
})
