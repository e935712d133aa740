import { median } from '../numbers/median.ts'
import { compareArms, untreatedNeeded } from './compare-arms.ts'

const STAGES = { better: 'higher', noise: 1 } as const

describe('treated against untreated', () => {
  test('with one of five untreated a clear result is a hint: chance puts it last 1 time in 5', () => {
    expect(compareArms([4, 4, 5, 4], [0], STAGES)).toEqual({
      treated: 4,
      untreated: 1,
      difference: 4,
      chance: 0.2,
      canBeSure: false,
      verdict: 'hints',
    })
  })
  test('three against three, all apart: 1 of 20', () => {
    const clear = compareArms([3, 4, 5], [0, 1, 1], STAGES)!
    expect(clear.chance).toBeCloseTo(1 / 20, 12)
    expect(clear.verdict).toBe('works')
  })
  test('ties share their rank: by hand, two of four at the top', () => {
    // Ranks 1, 2, 3.5, 3.5; the treated have 2 and 3.5, sum 5.5. Of six pairs sums are 3, 4.5, 4.5, 5.5, 5.5, 7: three are 5.5 or more.
    expect(compareArms([2, 3], [1, 3], STAGES)!.chance).toBeCloseTo(3 / 6, 12)
  })
  test('within the noise it is unclear; no better is said', () => {
    expect(compareArms([2, 2, 3], [1, 1, 1], STAGES)!.verdict).toBe('unclear')
    expect(compareArms([1, 1], [1, 1], STAGES)).toMatchObject({ verdict: 'no-better', chance: 1 })
    expect(compareArms([0, 1], [2], STAGES)!.verdict).toBe('no-better')
  })
  test('fewer pests are better', () => {
    const rocks = compareArms([0.1, 0.2, 0.1], [0.9, 1, 1.2], { better: 'lower', noise: 0.25 })!
    expect(rocks).toMatchObject({ verdict: 'works' })
    expect(rocks.difference).toBeCloseTo(-0.9, 12)
  })
  test('an empty arm is no comparison', () => {
    expect(compareArms([], [1], STAGES)).toBeNull()
    expect(compareArms([1], [], STAGES)).toBeNull()
  })
})

test('how many to leave untreated: 1 in 20 at least', () => {
  expect([4, 6, 7, 20].map(untreatedNeeded)).toEqual([null, 3, 2, 1])
  expect(median([1, 9, 2, 3])).toBe(2.5)
})
