import { breathsFrom, breathsWords, tapsAfter } from './breaths.ts'

const tapping = (perMinute: number, count: number, from = 0) =>
  Array.from({ length: count }, (_, i) => from + (i * 60_000) / perMinute)

test('a tap a beat gives the rate, once there are six', () => {
  expect(breathsFrom(tapping(90, 5))).toBeNull()
  expect(breathsFrom(tapping(90, 6))).toBeCloseTo(90, 9)
  expect(breathsFrom(tapping(132, 20))).toBeCloseTo(132, 9)
  expect(breathsFrom([5, 5, 5, 5, 5, 5])).toBeNull()
})

test('after a pause the count begins again; of a long count the last fifteen seconds hold', () => {
  expect(tapsAfter(tapping(60, 8), 7000 + 4001)).toEqual([11_001])
  const long = tapping(60, 30).reduce<number[]>((taps, at) => tapsAfter(taps, at), [])
  expect(long).toHaveLength(16)
  expect(breathsFrom(long)).toBeCloseTo(60, 9)
})

test('fast and alarming by the handbook’s marks', () => {
  expect([80, 81, 120, 121].map((rate) => breathsWords(rate).tone)).toEqual(['calm', 'warn', 'warn', 'alarm'])
})
