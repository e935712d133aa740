import { levelTrend } from './trend.ts'
import { ramped, ward } from '../testing/ward.ts'

test('2.24, 2.20, 2.12, 1.90 spread over two and a half days fall about 0.12 a day', () => {
  const it = ward()
  it.read(3, '08:00', 2.24)
  it.read(4, '04:00', 2.2)
  it.read(5, '00:00', 2.12)
  it.read(5, '20:00', 1.9)
  expect(levelTrend(it.plan(5, '21:00').facts)!.perDay).toBeCloseTo(-0.12, 2)
})

test('what was dosed and changed in between is no fall and no rise', () => {
  const it = ramped()
  it.read(3, '08:00', 2.2)
  it.change(3, '09:00', 12)
  it.dose(3, '09:10', 2.64)
  it.read(4, '08:00', 2.15)
  it.read(5, '08:00', 2.1)
  expect(levelTrend(it.plan(5, '09:00').facts)!.perDay).toBeCloseTo(-0.05, 2)
})

test('two readings say nothing of a trend', () => {
  const it = ward()
  it.read(3, '08:00', 2.24)
  it.read(4, '08:00', 2.2)
  expect(levelTrend(it.plan(4, '09:00').facts)).toBeNull()
})
