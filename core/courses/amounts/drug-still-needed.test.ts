import { drugStillNeeded } from './drug-still-needed.ts'

const NEED = { targetMgPerL: 2.25, volumeL: 60, levelMgPerL: 0, hours: 336, mgPerUnit: 10, halfLifeHours: null }

test('the climb and a fifth of the water a week: 13.5 mL and 5.4 mL', () =>
  expect(drugStillNeeded(NEED)).toBeCloseTo(13.5 + 5.4, 9))

test('what decays is given again: by half in 720 h about a third in 14 days', () =>
  expect(drugStillNeeded({ ...NEED, halfLifeHours: 720 }) - drugStillNeeded(NEED)).toBeCloseTo(
    13.5 * ((Math.LN2 * 336) / 720),
    9,
  ))

test('it falls from the set-up to the last day without a jump', () => {
  const ofDay = (day: number) =>
    drugStillNeeded({
      ...NEED,
      levelMgPerL: day === 0 ? 0 : 2.25,
      hours: 336 - 24 * day,
      changed: { share: 0, overHours: 24 * day },
    })
  const left = Array.from({ length: 15 }, (_, day) => ofDay(day))
  // The climb goes at once; then the same each day, down to nothing.
  expect(left[0]! - left[1]!).toBeCloseTo(13.5 + 5.4 / 14, 9)
  for (let day = 2; day <= 14; day++) expect(left[day - 1]! - left[day]!).toBeCloseTo(5.4 / 14, 9)
  expect(left[14]).toBe(0)
})

test('changes that were made decide on those to come, spread over a week at least', () => {
  const changed = (overHours: number) =>
    drugStillNeeded({ ...NEED, levelMgPerL: 2.25, changed: { share: 0.5, overHours } })
  expect(changed(24)).toBeCloseTo(13.5, 9)
  expect(changed(336)).toBeCloseTo(6.75, 9)
})
