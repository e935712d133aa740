import { median } from '../numbers/median.ts'
import { expectOk } from '../result/result.ts'
import { microscopyRatio } from './microscopy.ts'
import { trendFit } from './trend.ts'
import { estimateUptake } from './uptake.ts'

const at = (day: number) => new Date(Date.parse('2026-11-01T08:00:00Z') + day * 86_400_000).toISOString()

describe('the trend', () => {
  const line = (values: number[], targets: number[] = [], now = 10) =>
    trendFit({ readings: values.map((value, day) => ({ at: at(day), value })), targets, now: at(now) })

  test('one mistyped reading among many bends nothing and is named', () => {
    const { slopePerDay, suspects } = expectOk(line([8, 7.9, 7.8, 77, 7.6, 7.5, 7.4]))
    expect(slopePerDay).toBeCloseTo(-0.1, 6)
    expect(suspects).toEqual([3])
  })
  test('a level line meets no target, above or below', () => {
    expect(expectOk(line([5, 5, 5], [5, 4, 6])).reach.map(({ at: when }) => when)).toEqual([null, null, null])
  })
  test('a target behind it, or met only after the year 9999, is not promised', () => {
    const { reach } = expectOk(line([10, 9, 8], [9, 0, -1e9], 3))
    expect(reach.map(({ at: when }) => when)).toEqual([null, at(10), null])
  })
  test('readings of one instant have no slope', () => {
    const same = Array.from({ length: 3 }, (_, i) => ({ at: at(0), value: i }))
    expect(trendFit({ readings: same, now: at(1) })).toMatchObject({ error: { code: 'no-solution' } })
  })
})

describe('the median', () => {
  test.each([
    [[3, 1, 2], 2],
    [[4, 1, 3, 2], 2.5],
    [[7], 7],
    [[2, 2, 2, 2], 2],
  ])('of %j is %d, and the list stays as it was', (values, expected) => {
    const copy = [...values]
    expect(median(values)).toBe(expected)
    expect(values).toEqual(copy)
  })
})

describe('slides under the microscope', () => {
  test('in any order; an empty slide says nothing, and no change can be told from it', () => {
    const { points, change } = expectOk(
      microscopyRatio({
        counts: [
          { at: at(5), diatoms: 0, dinos: 0 },
          { at: at(0), diatoms: 1, dinos: 9 },
        ],
      }),
    )
    expect(points.map(({ share }) => share)).toEqual([0.9, null])
    expect(points[1]).toMatchObject({ low: 0, high: 1 })
    expect(change).toBeNull()
  })
})

describe('uptake', () => {
  test('at one instant the water is changed first, then the addition goes in', () => {
    const { intervals } = expectOk(
      estimateUptake({
        readings: [
          { at: at(0), value: 8 },
          { at: at(2), value: 8 },
        ],
        additions: [{ at: at(1), value: 2 }],
        waterChanges: [{ at: at(1), fraction: 0.5, replacement: 8 }],
      }),
    )
    expect(intervals).toEqual([{ from: at(0), to: at(2), perDay: 1 }])
  })
  test('two readings at one instant are a fault of the input; one reading has no answer', () => {
    const reading = { at: at(0), value: 8 }
    expect(estimateUptake({ readings: [reading, reading], additions: [], waterChanges: [] })).toMatchObject({
      error: { code: 'invalid-input' },
    })
    expect(estimateUptake({ readings: [reading], additions: [], waterChanges: [] })).toMatchObject({
      error: { code: 'no-solution' },
    })
  })
})
