import { tankById } from '../../household/tanks.ts'
import { home } from '../testing.ts'
import { plainWater, waterOfTank } from './water.ts'
import { tanAsN } from '../../ammonia/basis.ts'

const water = (it: ReturnType<typeof home>, tankId = 'side') =>
  waterOfTank(it.journal, tankById(it.journal, tankId)!, it.ms(0, '12:00'))

test('a tank of which nothing was read is assumed, and every figure says so', () => {
  const assumed = water(home())
  expect(Object.values(assumed).every(({ readAt }) => readAt === null)).toBe(true)
  expect(plainWater(assumed)).toEqual({
    temperatureC: 25,
    salinityPsu: 35,
    pH: 8.1,
    alkalinityDkh: 8,
    tanMgPerL: 0,
  })
})

test('the latest reading counts, with when; one of three weeks ago does not', () => {
  const it = home()
  it.read(-2, '09:00', 'side', 'salinity', 34)
  it.read(-1, '09:00', 'side', 'salinity', 33.2)
  it.read(-21, '09:00', 'side', 'temp', 19)
  const { salinityPsu, temperatureC } = water(it)
  expect(salinityPsu).toEqual({ value: 33.2, readAt: it.ms(-1, '09:00') })
  expect(temperatureC).toEqual({ value: 25, readAt: null })
})

test('total ammonia is taken as nitrogen, whatever its kit states', () => {
  expect(tanAsN({ basis: 'N' }, 1)).toBe(1)
  // 14.007 of 18.039, and of 17.031.
  expect(tanAsN({ basis: 'NH4' }, 1.288)).toBeCloseTo(1, 3)
  expect(tanAsN({ basis: 'NH3' }, 1.216)).toBeCloseTo(1, 3)
  const it = home()
  it.read(-1, '09:00', 'side', 'tan', 0.5)
  expect(water(it).tanMgPerL.value).toBeCloseTo(0.388, 3)
})

test('a kit that reads no alkalinity at all does not stop the reckoning', () => {
  const it = home()
  it.read(-1, '09:00', 'side', 'alk-kh', 0)
  expect(plainWater(water(it)).alkalinityDkh).toBe(0.1)
})
