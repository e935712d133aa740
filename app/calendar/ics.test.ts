import ICAL from 'ical.js'
import { calendarOf } from './ics.ts'

test('a calendar reads it: an event that rings at each moment, in UTC', () => {
  const at = Date.parse('2026-11-25T10:55:00Z')
  const text = calendarOf(
    [
      { at, title: 'Open the bag: floating, sealed' },
      { at: at + 300_000, title: '120 mL: a scoop; of tank water, in' },
    ],
    'Orchid',
    at - 60_000,
  )
  const events = new ICAL.Component(ICAL.parse(text) as unknown[]).getAllSubcomponents('vevent')
  expect(events).toHaveLength(2)
  const [first, second] = events.map((component) => new ICAL.Event(component))
  expect(first!.startDate.toJSDate().getTime()).toBe(at)
  expect(second!.summary).toBe('120 mL: a scoop; of tank water, in (Orchid)')
  expect(events[0]!.getFirstSubcomponent('valarm')!.getFirstPropertyValue('action')).toBe('DISPLAY')
  expect(text).toContain('DTSTART:20261125T105500Z')
  expect(new Set(events.map((component) => component.getFirstPropertyValue('uid'))).size).toBe(2)
})

test('a task keeps its id when the plan is taken out a second time; the zone and what is to know stand with it', () => {
  const event = { at: Date.parse('2026-11-25T08:00:00Z'), title: 'Read copper', id: 'c/read/5', note: 'daily' }
  const uid = (made: number, at: number) => {
    const calendar = new ICAL.Component(
      ICAL.parse(calendarOf([{ ...event, at }], 'Quarantine', made, 'Europe/Lisbon')) as unknown[],
    )
    expect(calendar.getFirstPropertyValue('x-wr-timezone')).toBe('Europe/Lisbon')
    const [one] = calendar.getAllSubcomponents('vevent')
    expect(one!.getFirstPropertyValue('description')).toBe('daily')
    return one!.getFirstPropertyValue('uid')
  }
  expect(uid(0, event.at)).toBe(uid(86_400_000, event.at + 3_600_000))
})

test('no text of it breaks a line, whatever an animal is called', () => {
  const text = calendarOf([{ at: 0, title: 'Open\rBEGIN:VEVENT' }], 'Or\r\nchid\u2028', 0)
  expect(text.replaceAll('\r\n', '')).not.toMatch(/[\r\n\u2028]/)
  expect(new ICAL.Component(ICAL.parse(text) as unknown[]).getAllSubcomponents('vevent')).toHaveLength(1)
})

test('what is late has no alarm', () => {
  const text = calendarOf([{ at: 0, title: 'Late: Feed', rings: false }], 'Brinvo', 86_400_000)
  const [event] = new ICAL.Component(ICAL.parse(text) as unknown[]).getAllSubcomponents('vevent')
  expect(event!.getFirstSubcomponent('valarm')).toBeNull()
})
