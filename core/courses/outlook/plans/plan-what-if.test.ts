import { definitionById } from '../../../catalogue/courses/definitions.ts'
import { planCourse } from '../../testing/plans.ts'
import { askedBy, canBePaused, ifEnded, ifFound, ifPaused } from './plan-what-if.ts'

const asked = (plan: string, id: string) => askedBy(definitionById(plan)!).find((one) => one.id === id)!

describe('a next reading or count', () => {
  test('what a plan looks at, each once', () => {
    planCourse('blackout-marine')
    expect(askedBy(definitionById('blackout-marine')!).map(({ id }) => id)).toEqual(['no3', 'po4', 'tan', 'coverage'])
  })
  test('nitrate of 17 after 8 would end the dark, 15 would not', () => {
    const it = planCourse('blackout-marine')
    it.read(0, 'no3', 8)
    it.read(2, 'no3', 9)
    const would = (value: number) =>
      ifFound(it.journal, it.plan(3), asked('blackout-marine', 'no3'), value, it.settings)
        .filter(({ holds }) => holds)
        .map(({ id }) => id)
    expect(would(17)).toEqual(['stop-1'])
    expect(would(15)).toEqual([])
    // Nothing of it is kept.
    expect(it.rule('stop-1', 3).state).toBe('not-yet')
  })
  test('a count that would no longer hold a rule is said too', () => {
    const it = planCourse('anemone-bench')
    it.count(9, 'pest-count', 20)
    const changes = ifFound(it.journal, it.plan(10.5), asked('anemone-bench', 'pest-count'), 2, it.settings)
    expect(changes).toMatchObject([{ id: 'escalate-1', holds: false }])
  })
})

test('ending the dark a day early brings the light ramp a day forward', () => {
  const it = planCourse('blackout-marine')
  const { dates, isReached } = ifEnded(it.journal, it.plan(2), it.settings)!
  expect(isReached).toBe(false)
  const ramp = dates.find(({ step }) => step === 'step-5')!
  expect(ramp.was! - ramp.is!).toBe(24 * 3_600_000)
  expect(ifEnded(it.journal, planCourse('bubble-rock').plan(2), it.settings)).toBeNull()
})

test('a pause: sessions fall away, and what grew goes on growing', () => {
  expect(['anemone-bench', 'coral-rest'].map((id) => canBePaused(definitionById(id)!))).toEqual([true, false])
  const it = planCourse('anemone-bench')
  it.count(3, 'left', 20)
  const quiet = ifPaused(it.journal, it.plan(3.5), 4, it.settings)
  expect(quiet.grows).toBeNull()
  it.count(6, 'left', 40)
  const pause = ifPaused(it.journal, it.plan(6.5), 6, it.settings)
  expect(pause.grows).toMatchObject({ from: 40, doublingDays: 3 })
  expect(pause.grows!.to).toBeCloseTo(160, 9)
  expect(pause.missed[0]).toMatchObject({ times: expect.any(Number) as number })
  expect(pause.missed[0]!.times).toBeGreaterThan(0)
  expect(pause.missed[0]!.times).toBeLessThan(pause.missed[0]!.of)
})
