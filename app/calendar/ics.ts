import ICAL from 'ical.js'
import type { Alarm } from '../../core/arrivals/alarms.ts'

/** A calendar file with an event that rings at each moment; times in UTC, so that any calendar reads them alike. */
export function calendarOf(alarms: readonly Alarm[], name: string, made: number): string {
  const calendar = new ICAL.Component('vcalendar')
  calendar.updatePropertyWithValue('prodid', '-//Brinvo//EN')
  calendar.updatePropertyWithValue('version', '2.0')
  const time = (ms: number) => ICAL.Time.fromJSDate(new Date(Math.round(ms / 1000) * 1000), true)
  for (const [i, { at, title }] of alarms.entries()) {
    const event = new ICAL.Component('vevent')
    event.updatePropertyWithValue('uid', `${Math.round(at)}-${i}@brinvo`)
    event.updatePropertyWithValue('dtstamp', time(made))
    event.updatePropertyWithValue('dtstart', time(at))
    event.updatePropertyWithValue('summary', `${title} (${name})`)
    const alarm = new ICAL.Component('valarm')
    alarm.updatePropertyWithValue('action', 'DISPLAY')
    alarm.updatePropertyWithValue('description', title)
    alarm.updatePropertyWithValue('trigger', ICAL.Duration.fromSeconds(0))
    event.addSubcomponent(alarm)
    calendar.addSubcomponent(event)
  }
  return calendar.toString()
}
