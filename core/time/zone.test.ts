import fc from 'fast-check'
import { dayFromText, dayText, iso, isZone, MS_PER_HOUR, weekdayOf, zoneClock } from './zone.ts'

const at = (text: string) => Date.parse(text)

describe('the wall clock of a zone', () => {
  const lisbon = zoneClock('Europe/Lisbon')
  const auckland = zoneClock('Pacific/Auckland')

  test('a late evening belongs to the day on the wall, not to the day in UTC', () => {
    expect(dayText(auckland.dayOf(at('2026-11-22T23:30:00Z')))).toBe('2026-11-23')
    expect(auckland.minuteOf(at('2026-11-22T23:30:00Z'))).toBe(12 * 60 + 30)
  })

  test('a summer-time night has 23 or 25 hours', () => {
    const spring = dayFromText('2026-03-29')!
    const autumn = dayFromText('2026-10-25')!
    expect((lisbon.instantAt(spring + 1) - lisbon.instantAt(spring)) / MS_PER_HOUR).toBe(23)
    expect((lisbon.instantAt(autumn + 1) - lisbon.instantAt(autumn)) / MS_PER_HOUR).toBe(25)
  })

  test('a wall time shown twice is the first of the two; one that is skipped is the next that exists', () => {
    expect(iso(lisbon.instantAt(dayFromText('2026-10-25')!, 90))).toBe('2026-10-25T00:30:00.000Z')
    // From one to two o'clock there is no time that night: every minute of it is two o'clock.
    for (const minute of [60, 61, 90, 119])
      expect(iso(lisbon.instantAt(dayFromText('2026-03-29')!, minute))).toBe('2026-03-29T01:00:00.000Z')
    expect(lisbon.minuteOf(lisbon.instantAt(dayFromText('2026-03-29')!, 90))).toBe(120)
    expect(iso(lisbon.instantAt(dayFromText('2026-03-29')!, 120))).toBe('2026-03-29T01:00:00.000Z')
    // Half an hour forward, and a midnight that is skipped.
    const howe = zoneClock('Australia/Lord_Howe')
    const day = dayFromText('2026-10-04')!
    expect(howe.minuteOf(howe.instantAt(day, 125))).toBe(150)
    const beirut = zoneClock('Asia/Beirut')
    expect(beirut.minuteOf(beirut.instantAt(dayFromText('2026-03-29')!, 0))).toBe(60)
  })

  test('every existing wall time comes back from its instant', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('Europe/Lisbon', 'America/St_Johns', 'Asia/Kathmandu', 'Australia/Lord_Howe', 'UTC'),
        fc.integer({ min: at('1990-01-01T00:00:00Z'), max: at('2037-12-31T00:00:00Z') }),
        (zone, ms) => {
          const clock = zoneClock(zone)
          const minuteStart = ms - (ms % 60_000)
          const back = clock.instantAt(clock.dayOf(minuteStart), clock.minuteOf(minuteStart))
          // A time in the repeated hour comes back as its first occurrence.
          expect([0, -MS_PER_HOUR, -MS_PER_HOUR / 2]).toContain(back - minuteStart)
        },
      ),
    )
  })

  test('an unknown zone is said to be unknown and read as UTC', () => {
    expect(isZone('Mars/Olympus')).toBe(false)
    expect(isZone('Europe/Lisbon')).toBe(true)
    expect(zoneClock('Mars/Olympus').minuteOf(at('2026-01-01T05:00:00Z'))).toBe(300)
  })
})

describe('days', () => {
  test('text and number agree; days that do not exist are refused', () => {
    expect(dayText(dayFromText('2024-02-29')!)).toBe('2024-02-29')
    expect(dayFromText('2026-02-29')).toBeNull()
    expect(dayFromText('26-2-2')).toBeNull()
  })

  test('the 23rd of November 2026 is a Monday, the first of January 1970 a Thursday', () => {
    expect(weekdayOf(dayFromText('2026-11-23')!)).toBe(1)
    expect(weekdayOf(0)).toBe(4)
    expect(weekdayOf(-1)).toBe(3)
  })
})
