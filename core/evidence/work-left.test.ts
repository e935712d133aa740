import { afterPause, doublingDays, sessionsLeft } from './work-left.ts'

test('sessions that are left follow from what an hour takes out', () => {
  expect(sessionsLeft({ left: 60, removed: 40, hours: 2, sessionHours: 1 })).toBe(3)
  expect(sessionsLeft({ left: 0, removed: 40, hours: 2, sessionHours: 1 })).toBe(0)
  expect(sessionsLeft({ left: 60, removed: 0, hours: 2, sessionHours: 1 })).toBeNull()
})

test('two counts give the doubling time, and a pause its price: further-schools.md 7', () => {
  expect(doublingDays(10, 40, 14)).toBeCloseTo(7, 9)
  expect(doublingDays(10, 10, 14)).toBeNull()
  expect(doublingDays(0, 10, 14)).toBeNull()
  expect(afterPause(20, 7, 14)).toBeCloseTo(80, 9)
  expect(afterPause(20, 7, 0)).toBe(20)
})
