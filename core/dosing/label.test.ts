import { strengthOfRise } from './label.ts'
import { mgPerUnit } from './product.ts'

const RISE = { amount: 20, litres: 100, mgPerL: 0.5 }

test.each(['solution', 'drops', 'pack', 'powder'] as const)(
  '%s: as many units put back what the label says',
  (kind) => {
    const strength = strengthOfRise(kind, RISE)!
    expect((RISE.amount * mgPerUnit(strength)) / RISE.litres).toBeCloseTo(RISE.mgPerL, 9)
  },
)

test('drops of a larger dropper are as strong each; a mL of them holds less', () => {
  const [usual, large] = [strengthOfRise('drops', RISE)!, strengthOfRise('drops', RISE, 10)!]
  expect(mgPerUnit(large)).toBeCloseTo(mgPerUnit(usual), 9)
  expect(large).toMatchObject({ mgPerMl: 25, dropsPerMl: 10 })
})

test('a gram holds no more than a gram', () => {
  expect(strengthOfRise('powder', { amount: 1, litres: 1000, mgPerL: 1 })).toEqual({
    kind: 'powder',
    activeFraction: 1,
  })
  expect(strengthOfRise('powder', { amount: 1, litres: 1000, mgPerL: 1.1 })).toBeNull()
})
