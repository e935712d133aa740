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

test('no text of it breaks a line, whatever an animal is called', () => {
  const text = calendarOf([{ at: 0, title: 'Open\rBEGIN:VEVENT' }], 'Or\r\nchid\u2028', 0)
  expect(text.replaceAll('\r\n', '')).not.toMatch(/[\r\n\u2028]/)
  expect(new ICAL.Component(ICAL.parse(text) as unknown[]).getAllSubcomponents('vevent')).toHaveLength(1)
})
