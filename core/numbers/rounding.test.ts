import { ceilQuotient, roundHalfUp, withinLimit } from './rounding.ts'

describe('quotients of measured numbers', () => {
  test('0.3 ÷ 0.1 is three steps, not four', () => {
    expect(0.3 / 0.1).not.toBe(3)
    expect(ceilQuotient(0.3 / 0.1)).toBe(3)
    expect(ceilQuotient(3.0000001)).toBe(4)
    expect(ceilQuotient(2.2)).toBe(3)
  })

  test('halves go up, also when binary arithmetic leaves them a hair short', () => {
    expect(roundHalfUp(2.5)).toBe(3)
    expect(1.005 / 0.01).toBeLessThan(100.5)
    expect(roundHalfUp(1.005 / 0.01)).toBe(101)
    expect(roundHalfUp(2.4999)).toBe(2)
    expect(roundHalfUp(0.5 - 1e-6)).toBe(0)
  })

  test('a limit is kept to within the same hair', () => {
    expect(withinLimit(0.1 + 0.2, 0.3)).toBe(true)
    expect(withinLimit(0.3001, 0.3)).toBe(false)
  })
})
