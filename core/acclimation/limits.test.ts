import { ANIMAL_GROUPS } from '../catalogue/animal-group.ts'
import { limitsFor, mindsSalinity, strictest } from './limits.ts'

describe('what a group bears', () => {
  test('every group of the catalogue has limits that a plan can keep', () => {
    for (const { id, water } of ANIMAL_GROUPS) {
      const found = limitsFor(id, 33, 35)
      expect([id, found && mindsSalinity(found.limits)]).toEqual([id, water === 'marine'])
      const { maxPsuPerHour, matchC, maxFreeAmmoniaMgPerL, maxMinutes } = found!.limits
      for (const limit of [maxPsuPerHour, matchC, maxFreeAmmoniaMgPerL, maxMinutes]) expect(limit).toBeGreaterThan(0)
      // No limit is wider than the widest row of the handbook.
      expect(maxFreeAmmoniaMgPerL).toBeLessThanOrEqual(0.05)
      expect(matchC).toBeLessThanOrEqual(2)
    }
  })

  test('fish bear a fall in salinity better than a rise: the direction chooses the row', () => {
    const [up, down] = [limitsFor('hawkfish', 30, 35)!, limitsFor('hawkfish', 35, 30)!]
    expect([up.row, down.row]).toEqual(['marine-fish-up', 'marine-fish-down'])
    expect(up.limits.maxPsuPerHour).toBeLessThan(down.limits.maxPsuPerHour)
  })

  test('delicate fish are slower than others, stars and urchins the slowest', () => {
    const pace = (id: string) => limitsFor(id, 30, 35)!.limits.maxPsuPerHour
    expect(pace('wrasse')).toBeLessThan(pace('hawkfish'))
    expect(pace('star-urchin')).toBeLessThanOrEqual(pace('anemone'))
    expect(pace('star-urchin')).toBe(1)
  })

  test('fresh water is matched by hardness, and shrimp mind it more than fish', () => {
    const of = (id: string) => limitsFor(id, 0.2, 0.2)!.limits.matchDkh!
    expect(of('fw-cichlid')).toBe(4)
    expect(ANIMAL_GROUPS.some(({ acclimation }) => acclimation === 'freshwater-shrimp')).toBe(true)
    const shrimp = ANIMAL_GROUPS.find(({ acclimation }) => acclimation === 'freshwater-shrimp')!
    expect(of(shrimp.id)).toBe(2)
    expect(limitsFor('hawkfish', 30, 35)!.limits.matchDkh).toBeUndefined()
  })

  test('a group the catalogue does not hold has none', () => {
    expect(limitsFor('dragon', 30, 35)).toBeUndefined()
  })
})

test('the strictest of several is each least limit, hardness where any minds it', () => {
  const fish = limitsFor('hawkfish', 30, 35)!.limits
  const urchin = limitsFor('star-urchin', 30, 35)!.limits
  const shared = strictest([fish, urchin])
  expect(shared).toEqual({
    maxPsuPerHour: urchin.maxPsuPerHour,
    matchPsu: Math.min(fish.matchPsu, urchin.matchPsu),
    matchC: Math.min(fish.matchC, urchin.matchC),
    maxFreeAmmoniaMgPerL: Math.min(fish.maxFreeAmmoniaMgPerL, urchin.maxFreeAmmoniaMgPerL),
    maxMinutes: fish.maxMinutes,
  })
  expect(strictest([fish, { ...fish, matchDkh: 3 }]).matchDkh).toBe(3)
})
