import { freeAmmoniaStep } from './free-steps.ts'

test.each([
  [0, null],
  [0.0199, null],
  [0.02, 0.02],
  [0.021, 0.02],
  [0.0499, 0.02],
  [0.05, 0.05],
  [0.2499, 0.05],
  [0.25, 0.25],
  [0.26, 0.25],
  [3, 0.25],
])('%d mg/L free ammonia is in the step from %p', (mgPerL, from) =>
  expect(freeAmmoniaStep(mgPerL)?.fromMgPerL ?? null).toBe(from),
)

test('each step says something else to do', () => {
  const words = [0.02, 0.05, 0.25].map((mgPerL) => freeAmmoniaStep(mgPerL)!.words)
  expect(new Set(words).size).toBe(3)
  expect(words[2]).toMatch(/kills within hours/)
})
