import type { Entry } from './entry.ts'
import { Journal } from './journal.ts'
import { stampBound, stampProblems, withinBound } from './stamps.ts'

const NOW = Date.parse('2026-11-02T12:00:00.000Z')
const note = (id: string, logged: string, text = id): Entry => ({
  id,
  logged,
  content: { kind: 'note', happened: '2026-11-01T12:00:00.000Z', text },
})
const TODAY = note('a', '2026-11-02T10:00:00.000Z')
const FAR = note('far', '9999-01-01T00:00:00.000Z')

test('a stamp of another age is bounded, and a later correction holds against it', () => {
  const correction = (id: string, logged: string, text: string): Entry => ({
    ...note(id, logged, text),
    corrects: 'a',
  })
  const entries = [TODAY, correction('wrong', '9999-01-01T00:00:00.000Z', 'wrong'), FAR]
  const bound = stampBound(entries, NOW, 0)
  const journal = new Journal()
  journal.add(entries.map((entry) => withinBound(entry, bound)))
  expect(journal.newestLogged).toBe('2026-11-02T10:00:00.000Z')
  journal.add([correction('right', '2026-11-02T11:00:00.000Z', 'right')])
  expect(journal.line('a')?.content).toMatchObject({ text: 'right' })
})

test('under a clock that was set back, what this device has written stays in its order', () => {
  const own = [note('x', '2026-11-02T10:00:00.000Z'), note('y', '2026-11-02T11:00:00.000Z')]
  const setBack = Date.parse('2020-01-01T00:00:00Z')
  const bound = stampBound([...own, FAR], setBack, Date.parse('2026-11-02T11:00:00Z'))
  expect([...own, FAR].map((entry) => withinBound(entry, bound).logged)).toEqual([
    '2026-11-02T10:00:00.000Z',
    '2026-11-02T11:00:00.000Z',
    '2026-11-01T12:00:00.000Z',
  ])
})

test('where nothing is known of the device and most stamps are ahead, its clock is behind', () => {
  const many = Array.from({ length: 40 }, (_, i) => note(`n${i}`, `2026-11-02T10:00:${10 + i}.000Z`))
  const bound = stampBound(many, Date.parse('2020-01-01T00:00:00Z'), 0)
  expect(many.every((entry) => withinBound(entry, bound) === entry)).toBe(true)
})

test('a strike-out has no time of its own: a correction logged after it holds', () => {
  const strike: Entry = { id: 's', logged: '9999-01-01T00:00:00.000Z', strikes: 'a' }
  expect(withinBound(strike, stampBound([TODAY, strike], NOW, 0)).logged < TODAY.logged).toBe(true)
})

test('a file with a stamp of tomorrow night is refused with its place; today’s and a few hours ahead are not', () => {
  expect(stampProblems([TODAY, note('b', '2026-11-03T10:00:00.000Z')], NOW)).toEqual([])
  expect(stampProblems([TODAY, note('b', '2026-11-04T10:00:00.000Z'), FAR], NOW).map(({ path }) => path)).toEqual([
    '/entries/1/logged',
    '/entries/2/logged',
  ])
})
