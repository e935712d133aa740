import { backupDueDays } from './backup.ts'

const now = Date.parse('2026-11-23T08:00:00Z')
const daysAgo = (days: number) => now - days * 86_400_000
const iso = (ms: number) => new Date(ms).toISOString()

test('after thirty days without an export it is due, counted from the last one or the first entry', () => {
  expect(backupDueDays(null, null, now)).toBeNull()
  expect(backupDueDays(iso(daysAgo(29.9)), null, now)).toBeNull()
  expect(backupDueDays(iso(daysAgo(30)), null, now)).toBe(30)
  expect(backupDueDays(iso(daysAgo(400)), daysAgo(29), now)).toBeNull()
  expect(backupDueDays(iso(daysAgo(400)), daysAgo(31), now)).toBe(31)
  // An export before the journal was begun afresh says nothing of it.
  expect(backupDueDays(iso(daysAgo(40)), daysAgo(100), now)).toBe(40)
})

test('an export that the clock dates ahead does not count', () => {
  expect(backupDueDays(iso(daysAgo(90)), daysAgo(-300), now)).toBe(90)
})
