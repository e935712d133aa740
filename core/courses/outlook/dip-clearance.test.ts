import { fragTub } from '../testing/corals.ts'
import { pestClearanceByCounts } from '../../pests/clearance-by-counts.ts'
import { runOperation } from '../../operations/run.ts'
import { believedShare, restsOnText, chancesText, clearanceInput, dipAssumptions } from './dip-clearance.ts'

function dipped(...offs: readonly number[]) {
  const it = fragTub()
  offs.forEach((off, i) => {
    it.dip(5 * i, '08:30')
    it.count(5 * i, '08:50', 'came-off', [off, 0])
  })
  const plan = it.plan(5 * (offs.length - 1), '12:00')
  return { it, dips: plan.dips!, now: plan.facts.now }
}

test('what the counts fall by is what a dip kills, within reason; the usual where nothing was counted', () => {
  expect(dipAssumptions(dipped(10, 2, 0).dips).killMobile).toBeCloseTo(1 - 2 / 12, 9)
  expect(dipAssumptions(dipped(9, 0).dips).killMobile).toBe(0.98)
  expect(dipAssumptions(dipped(3, 4).dips).killMobile).toBe(0.5)
  expect(dipAssumptions(dipped(0).dips).killMobile).toBe(0.9)
})

test('asked from the last round that brought something off, with the clean ones since and those to come', () => {
  const { dips, now } = dipped(9, 4, 1, 0)
  const asked = clearanceInput(dips, dipAssumptions(dips), 2, now)!
  expect(asked).toMatchObject({
    cameOff: 1,
    cleanDipsHours: [120, 240 - 0.5, 360 - 0.5],
    hatchHours: { min: 96, max: 240 },
    maturationHours: { min: 336, max: 504 },
    runs: 4000,
  })
})

test('nothing is asked while nothing came off, nor of routine dips', () => {
  const { dips, now } = dipped(0, 0)
  expect(clearanceInput(dips, dipAssumptions(dips), 1, now)).toBeNull()
})

test('what the panel shows is what the command line answers, and the same each time', () => {
  const { dips, now } = dipped(9, 4, 1, 0)
  const input = clearanceInput(dips, dipAssumptions(dips), 1, now)!
  const asked = runOperation('pest.clearanceByCounts', { ...input })
  expect(asked).toEqual(pestClearanceByCounts(input))
})

test('one more clean dip makes the end likelier', () => {
  const { dips, now } = dipped(9, 4, 1, 0)
  const share = (extra: number) => {
    const result = pestClearanceByCounts(clearanceInput(dips, dipAssumptions(dips), extra, now)!)
    return result.ok ? result.value.overShare : NaN
  }
  const shares = [0, 1, 2, 3].map(share)
  expect([...shares].sort((a, b) => a - b)).toEqual(shares)
  expect(shares.at(-1)!).toBeGreaterThan(0.9)
})

test.each([
  [0.03, 'hardly a chance'],
  [0.12, 'one chance in ten'],
  [0.88, 'nine chances in ten'],
  [0.97, '97 chances in a hundred'],
  [0.999, 'as good as certain'],
])('%d is %s', (share, words) => {
  expect(chancesText(share)).toBe(words)
})

test('six runs that agree are no certainty: what an answer rests on bounds it, and is said', () => {
  expect(chancesText(believedShare({ overShare: 1, effectiveRuns: 6 }))).toBe('five chances in ten')
  expect(chancesText(believedShare({ overShare: 1, effectiveRuns: 4000 }))).toBe('as good as certain')
  expect(believedShare({ overShare: 0.4, effectiveRuns: 4000 })).toBe(0.4)
  expect(believedShare({ overShare: 1, effectiveRuns: 1 })).toBe(0)
  expect(restsOnText({ effectiveRuns: 6.2 })).toBe(
    'Only 6 runs of 4000 of the model agree with your counts: a hint, no more.',
  )
  expect(restsOnText({ effectiveRuns: 812 })).toBe('812 runs of 4000 of the model agree with your counts.')
})
