import { assumedBag, assumedContainer, assumedFloat, excretionFrom, sharedPsu } from './assumed.ts'

describe('what is assumed of a bag nobody measured', () => {
  test('scene S2: two days on the way are pH 6.6 and 6 mg/L beside a fish', () => {
    expect(assumedBag(48, 'fish', 'marine')).toMatchObject({ pH: 6.6, tanMgPerL: 6 })
  })
  test('the longer the way the lower the pH and the more ammonia, and never beyond three days’', () => {
    const hours = [0, 6, 12, 18, 24, 30, 36, 42, 48, 60, 72, 96]
    const bags = hours.map((one) => assumedBag(one, 'fish', 'marine'))
    for (let i = 1; i < bags.length; i++) {
      expect(bags[i]!.pH).toBeLessThanOrEqual(bags[i - 1]!.pH)
      expect(bags[i]!.tanMgPerL).toBeGreaterThanOrEqual(bags[i - 1]!.tanMgPerL)
    }
    expect(bags.at(-1)).toEqual(bags.at(-2))
  })
  test('a coral or a shrimp gives off a third; fresh water holds no salt', () => {
    expect(assumedBag(48, 'coral', 'marine').tanMgPerL).toBe(2)
    expect(assumedBag(48, 'invertebrate', 'marine').salinityPsu).toBe(34)
    expect(assumedBag(48, 'fish', 'freshwater')).toMatchObject({ salinityPsu: 0.2, pH: 6.4 })
  })
})

test('a container is assumed that holds the bag, after a pour-off too', () => {
  for (const bagL of [0.2, 0.7, 1.2, 3, 8]) {
    const { capacityL, leaveL } = assumedContainer(bagL)
    expect(capacityL).toBeGreaterThanOrEqual(3 * bagL)
    expect(leaveL).toBeGreaterThanOrEqual(bagL)
    expect(leaveL).toBeLessThan(capacityL)
  }
})

test('bigger bags float longer, a quarter of an hour to half', () => {
  expect([0.5, 1, 2, 2.5, 6].map((bagL) => assumedFloat(bagL))).toEqual([15, 15, 20, 20, 30])
})

test('what it gives off an hour follows from what has gathered; of an unknown way nothing is made up', () => {
  expect(excretionFrom(6, 1.2, 48)).toBeCloseTo(0.15, 9)
  expect(excretionFrom(6, 1.2, 0)).toBe(0)
})

test('what is dangerous in the sealed bag floats five minutes, however big', () =>
  expect([0.5, 6].map((bagL) => assumedFloat(bagL, true))).toEqual([5, 5]))

test('one seller’s bags share one salinity: what was announced, else by who is in the box', () => {
  expect(sharedPsu(['coral', 'fish'], [undefined, undefined])).toBe(30)
  expect(sharedPsu(['coral', 'invertebrate'], [undefined, undefined])).toBe(34)
  expect(sharedPsu(['fish', 'coral'], [undefined, 33])).toBe(33)
  expect(sharedPsu([], [])).toBe(30)
})
