import { Journal } from '../journal/journal.ts'
import { scribe } from '../journal/testing.ts'
import type { ContentOf } from '../journal/entry.ts'
import { decisiveLevel, holds, lastEvidence, lastValue, levelsOf, valuesOf } from './evidence.ts'

type Result = ContentOf<'reading'>['result']
const value = (of: number): Result => ({ kind: 'value', value: of })
const above = (limit: number): Result => ({ kind: 'above', limit })
const below = (limit: number): Result => ({ kind: 'below', limit })
const range = (low: number, high: number): Result => ({ kind: 'range', low, high })

const at = (hours: number) => Date.parse('2026-11-01T00:00:00Z') + hours * 3_600_000
function read(parameter: string, ...readings: [hours: number, result: Result, more?: Partial<ContentOf<'reading'>>][]) {
  const journal = new Journal()
  const { record } = scribe()
  journal.add(
    readings.map(([hours, result, more]) =>
      record({
        kind: 'reading',
        happened: new Date(at(hours)).toISOString(),
        tankId: 'reef',
        parameter,
        result,
        unit: 'mg/L',
        ...more,
      }),
    ),
  )
  return journal
}

test.each([
  [value(0.25), '>=', 0.25, 'yes'],
  [value(0.24), '>=', 0.25, 'no'],
  [above(2), '>=', 0.25, 'yes'],
  [above(0.1), '>=', 0.25, 'open'],
  [above(0.25), '>', 0.25, 'open'],
  [below(0.5), '>=', 0.25, 'open'],
  [below(0.1), '>=', 0.25, 'no'],
  [below(0.1), '<=', 0.1, 'yes'],
  [below(0.1), '<', 0.1, 'open'],
  [range(0.2, 0.4), '>=', 0.25, 'open'],
  [range(0.3, 0.4), '>=', 0.25, 'yes'],
  [range(0.1, 0.2), '>=', 0.25, 'no'],
  [range(1, 2), '<', 2, 'open'],
  [range(1, 1.9), '<', 2, 'yes'],
] as const)('%j %s %d: %s', (result, op, limit, verdict) => {
  expect(holds(lastEvidence(read('no3', [0, result]), 'reef', 'no3')!, op, limit)).toBe(verdict)
})

test('total ammonia is compared in one basis, as NH4; without a basis as it stands', () => {
  const journal = read(
    'tan',
    [0, value(0.22), { basis: 'N' }],
    [1, value(0.22), { basis: 'NH3' }],
    [2, value(0.22), { basis: 'NH4' }],
    [3, value(0.22)],
    [4, range(0.2, 0.3), { basis: 'N' }],
  )
  const shown = levelsOf(journal, 'reef', 'tan').map(({ low, high }) => [
    Number(low.toFixed(3)),
    Number(high.toFixed(3)),
  ])
  expect(shown).toEqual([
    [0.283, 0.283],
    [0.233, 0.233],
    [0.22, 0.22],
    [0.22, 0.22],
    [0.258, 0.386],
  ])
  // As it was written, for a screen.
  expect(lastValue(journal, 'reef', 'tan', at(1))).toMatchObject({ value: 0.22, line: { content: { basis: 'N' } } })
})

test('a probe that stood still is no evidence, but for its first value; the evidence says when it was taken', () => {
  const probe = { origin: 'probe', deviceId: 'p' } as const
  const journal = read('salinity', [-9, value(35)], [1, value(12), probe], [3, value(12), probe], [5, value(12), probe])
  expect(valuesOf(journal, 'reef', 'salinity')).toEqual([
    { at: at(-9), value: 35 },
    { at: at(1), value: 12 },
  ])
  expect(lastEvidence(journal, 'reef', 'salinity')?.at).toBe(at(1))
  expect(lastEvidence(journal, 'reef', 'salinity', at(0.5))?.low).toBe(35)
  expect(lastEvidence(journal, 'reef', 'salinity', at(-10))).toBeNull()
  expect(lastValue(journal, 'reef', 'salinity')?.value).toBe(12)
})

test('limits and ranges are no values', () => {
  const journal = read('no3', [0, value(4)], [1, above(50)], [2, below(1)], [3, range(2, 5)])
  expect(valuesOf(journal, 'reef', 'no3')).toEqual([{ at: at(0), value: 4 }])
  expect(lastValue(journal, 'reef', 'no3')?.value).toBe(4)
  expect(lastEvidence(journal, 'reef', 'no3')).toMatchObject({ low: 2, high: 5 })
})

test.each([
  [value(2.2), 2.2],
  [value(1), 1],
  [below(0.5), 0.5],
  [below(2), null],
  [below(2.3), null],
  [above(3), 3],
  [above(2.1), null],
  [above(1.8), null],
  [range(2.1, 2.3), 2.3],
  [range(1.5, 1.9), 1.9],
  [range(2.6, 3), 2.6],
  [range(1.9, 2.1), null],
] as const)('a count of 2.00 to 2.50 takes %j for %s', (result, level) => {
  const evidence = lastEvidence(read('copper', [0, result]), 'reef', 'copper')!
  expect(decisiveLevel(evidence, { low: 2, high: 2.5 })).toBe(level)
})
