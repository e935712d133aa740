import { pestClearanceByCounts } from './clearance-by-counts.ts'
import type { PestByCountsInput } from './pests.schema.ts'

const ASKED: PestByCountsInput = {
  cameOff: 1,
  eggsMean: 10,
  hatchHours: { min: 96, max: 240 },
  maturationHours: { min: 336, max: 504 },
  eggsPerAdultPerDay: 2,
  killMobile: 0.8,
  removeEggs: 0.5,
  cleanDipsHours: [120],
  runs: 4000,
  seed: 7,
}
const over = (change: Partial<PestByCountsInput> = {}) => {
  const result = pestClearanceByCounts({ ...ASKED, ...change })
  if (!result.ok) throw new Error(result.error.message)
  return result.value.overShare
}

test('a dip that kills all and leaves no egg is the end of it', () => {
  expect(over({ killMobile: 1, eggsMean: 0, cleanDipsHours: [] })).toBe(1)
  expect(over({ killMobile: 1, removeEggs: 1, cleanDipsHours: [] })).toBe(1)
})

test('by hand: one came off, no eggs: what the dip missed is over with the chance of its kill', () => {
  // Of those missed before one came off none were with the chance 0.8.
  expect(over({ eggsMean: 0, cleanDipsHours: [] })).toBeCloseTo(0.8, 1)
})

test('by hand: a clean dip after it: 0.8 against 0.16 that two were there and one lived through a clean dip, …', () => {
  // Survivors s are geometric, each seen with 0.8: weights 0.8 · (0.2 · 0.2)^s; none with 1 − 0.04.
  expect(over({ eggsMean: 0, cleanDipsHours: [120] })).toBeCloseTo(0.96, 1)
})

test('dips before anything hatched tell nothing of the eggs', () => {
  const eggsOnly = { cameOff: 0, killMobile: 0.99, removeEggs: 0 }
  const early = over({ ...eggsOnly, cleanDipsHours: [24, 48] })
  const late = over({ ...eggsOnly, cleanDipsHours: [24, 48, 260] })
  expect(early).toBeLessThan(0.25)
  expect(late).toBeGreaterThan(0.9)
})

test('each clean dip makes the end likelier; more eggs make it less', () => {
  const shares = [[120], [120, 240], [120, 240, 360]].map((cleanDipsHours) => over({ cleanDipsHours }))
  expect(shares[0]!).toBeLessThan(shares[1]!)
  expect(shares[1]!).toBeLessThan(shares[2]!)
  expect(over({ eggsMean: 30, cleanDipsHours: [120, 240] })).toBeLessThan(shares[1]!)
})

test('the same seed gives the same; a span the wrong way round is refused', () => {
  expect(over()).toBe(over())
  const wrong = pestClearanceByCounts({ ...ASKED, hatchHours: { min: 300, max: 240 } })
  expect(wrong.ok ? null : wrong.error).toMatchObject({ code: 'invalid-input', path: '/hatchHours/min' })
})

test('a kill of all is contradicted by an egg that hatches unseen: no run explains it', () => {
  const none = pestClearanceByCounts({
    ...ASKED,
    cameOff: 0,
    eggsMean: 10_000,
    removeEggs: 0,
    killMobile: 1,
    cleanDipsHours: [300],
    runs: 20,
  })
  expect(none.ok ? null : none.error.code).toBe('no-solution')
})

test('what cannot be worked through is refused, not tried', () => {
  const much = pestClearanceByCounts({ ...ASKED, eggsMean: 10_000, runs: 100_000 })
  expect(much.ok ? null : much.error).toMatchObject({ code: 'invalid-input', path: '/eggsMean' })
})
