import { RandomStream } from '../numbers/random.ts'
import { expectOk } from '../result/result.ts'
import { pestClearance } from './clearance.ts'
import { dipPlan } from './dip-plan.ts'

const base = {
  adults: 10,
  eggs: 20,
  hatchHours: { min: 120, max: 240 },
  maturationHours: { min: 168, max: 240 },
  eggsPerAdultPerDay: 2,
  dipsHours: [0, 144, 288],
  killMobile: 0.95,
  removeEggs: 0.1,
  horizonHours: 700,
  runs: 500,
  seed: 11,
}
const clear = (changes: object) => expectOk(pestClearance({ ...base, ...changes }))

describe('a course of dips', () => {
  test('the same seed gives the same result, another seed another', () => {
    expect(clear({})).toEqual(clear({}))
    expect(clear({ seed: 12 }).meanMobileBeforeDip).not.toEqual(clear({}).meanMobileBeforeDip)
  })
  test('more dips clear more', () => {
    const few = clear({ dipsHours: [0, 144] }).clearedShare
    const many = clear({ dipsHours: [0, 144, 288, 432, 576] }).clearedShare
    expect(many).toBeGreaterThan(few)
  })
  test('before the first dip the mobile ones are those that were there', () => {
    expect(clear({}).meanMobileBeforeDip[0]).toBe(10)
    expect(clear({}).meanMobileBeforeDip).toHaveLength(3)
  })
  test('a dip after the horizon does not count', () => {
    expect(clear({ dipsHours: [0, 144, 288, 900] }).meanMobileBeforeDip).toHaveLength(3)
  })
  test('over the cap it is over: not cleared, and no longer counted', () => {
    const { clearedShare, meanMobileBeforeDip } = clear({ cap: 20, dipsHours: [0, 600] })
    expect(clearedShare).toBe(0)
    expect(meanMobileBeforeDip).toEqual([0, 0])
  })
  test('hatchlings that die make room under the cap again', () => {
    // None survives the hatch: the living are the adults and the eggs of the last ten days at most.
    const { clearedShare } = clear({
      juvenileSurvival: 0,
      adults: 1,
      eggs: 0,
      cap: 80,
      eggsPerAdultPerDay: 2,
      dipsHours: [400],
      killMobile: 1,
      removeEggs: 1,
      horizonHours: 401,
    })
    expect(clearedShare).toBe(1)
  })
  test('more than can be worked through is refused, not waited for', () => {
    const flood = {
      ...base,
      juvenileSurvival: 0,
      hatchHours: { min: 0, max: 0.001 },
      eggsPerAdultPerDay: 1e7,
      dipsHours: [],
      cap: 100_000,
    }
    expect(pestClearance(flood)).toMatchObject({ error: { code: 'invalid-input', path: '/eggsPerAdultPerDay' } })
  })
  test('a span the wrong way round is told', () => {
    expect(pestClearance({ ...base, hatchHours: { min: 5, max: 4 } })).toMatchObject({
      error: { path: '/hatchHours/min' },
    })
  })
})

test('a plan whose dips are a day apart but maturation is quicker is not safe', () => {
  expect(expectOk(dipPlan({ hatchMaxHours: 240, maturationMinHours: 24 })).safe).toBe(false)
  expect(expectOk(dipPlan({ hatchMaxHours: 240, maturationMinHours: 132 })).safe).toBe(true)
})

test('random numbers are even, and the same for the same seed', () => {
  const of = (seed: number) => {
    const stream = new RandomStream(seed)
    return Array.from({ length: 10_000 }, () => stream.next())
  }
  expect(of(3)).toEqual(of(3))
  const numbers = of(5)
  const tenths = new Array<number>(10).fill(0)
  for (const number of numbers) tenths[Math.floor(number * 10)]!++
  for (const count of tenths) expect(Math.abs(count - 1000)).toBeLessThan(150)
  expect(Math.min(...numbers)).toBeGreaterThanOrEqual(0)
  expect(Math.max(...numbers)).toBeLessThan(1)
})
