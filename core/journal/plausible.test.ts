import type { Content } from './entry.ts'
import { implausible, importProblems } from './plausible.ts'
import { bareTank, copper, note, scribe } from './testing.ts'

const { record, strike } = scribe()
const NOW = Date.parse('2026-11-23T10:00:00Z')
const faultOf = (content: object) => implausible(record(content as Content), NOW)

const plan = {
  kind: 'pump-plan',
  happened: '2026-11-23T10:00:00.000Z',
  deviceId: 'd',
  tankId: 'q',
  productId: 'p',
  mlByHour: Array.from({ length: 24 }, () => 1),
  bottleMl: 500,
  residueMl: 20,
}

test('what a household writes is plausible', () => {
  for (const content of [
    bareTank('q', 'Quarantine'),
    copper('q', 1, 2.1),
    note('q', 2, '1000-01-01 was long ago'),
    plan,
  ])
    expect(faultOf(content)).toBeNull()
  expect(implausible(strike(record(note('q', 1, 'x'))), NOW)).toBeNull()
  // Fifteen years of an old spreadsheet, and leave that is planned.
  expect(faultOf({ ...note('q', 1, 'old'), happened: '2011-05-02T10:00:00.000Z' })).toBeNull()
})

test.each([
  [
    'a pump plan of the year 1000',
    { ...plan, happened: '1000-01-01T00:00:00.000Z' },
    '/content/happened',
    /within the last 30 years/,
  ],
  [
    'a year far ahead',
    { ...note('q', 1, 'x'), happened: '9999-01-01T00:00:00.000Z' },
    '/content/happened',
    /at most 5 years ahead/,
  ],
  [
    'scoops of a billionth',
    { kind: 'x', method: { kind: 'scoop', scoopL: 1e-9, everyMinutes: 5 } },
    '/content/method/scoopL',
    /from 0.001 to 1000/,
  ],
  [
    'limits without end',
    { kind: 'x', limits: { maxPsuPerHour: 1e12 } },
    '/content/limits/maxPsuPerHour',
    /from 0.01 to 1000/,
  ],
  [
    'a drop every nanosecond',
    { kind: 'x', method: { everyMinutes: 1e-9 } },
    '/content/method/everyMinutes',
    /from 0.1/,
  ],
  ['an hour of a pump', { ...plan, mlByHour: [1, 1e9] }, '/content/mlByHour/1', /to 100000/],
  ['a sea', { kind: 'water-change', litres: 1e9 }, '/content/litres', /came 1000000000/],
])('%s is refused with what would be right', (_what, content, path, words) => {
  expect(faultOf(content)).toEqual({ path, message: expect.stringMatching(words) as string })
})

test('a file says each of them with its place', () => {
  const entries = [
    record(bareTank('q', 'Quarantine')),
    record({ ...plan, happened: '1000-01-01T00:00:00.000Z' } as Content),
  ]
  expect(importProblems(entries, NOW).map(({ path }) => path)).toEqual(['/entries/1/content/happened'])
})
