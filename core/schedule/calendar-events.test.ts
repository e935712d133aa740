import { calendarEvents } from './calendar-events.ts'

const now = Date.parse('2026-11-23T18:30:00Z')
const task = (id: string, hours: number, title = 'Read copper') => ({
  id,
  best: now + hours * 3_600_000,
  title,
  why: 'daily',
  tankId: 'quar',
})

test('one event a task at its own hour; what is late stands where it was due and does not ring', () => {
  const events = calendarEvents(
    [task('a', -30 * 24), task('b', 2), task('b', 2), task('c', 0, 'Feed')],
    (id) => (id === 'quar' ? 'Quarantine' : null),
    now,
  )
  expect(events).toEqual([
    { id: 'a', at: now - 30 * 86_400_000, title: 'Late: Read copper, Quarantine', note: 'daily', rings: false },
    { id: 'b', at: now + 7_200_000, title: 'Read copper, Quarantine', note: 'daily', rings: true },
    { id: 'c', at: now, title: 'Late: Feed, Quarantine', note: 'daily', rings: false },
  ])
  expect(calendarEvents([task('x', 1)], () => null, now)[0]!.title).toBe('Read copper')
})
