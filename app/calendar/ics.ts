import ICAL from 'ical.js'
import { withoutDirectionMarks } from '../../core/words/isolated.ts'
import type { Alarm } from '../../core/arrivals/run/alarms.ts'

/** A text in one line, without control characters: a bare carriage return would end a line of the file for some calendars, and others refuse the file. */
const oneLine = (text: string): string =>
  withoutDirectionMarks(text)
    .replace(/[\r\n\t\v\f\u0085\u2028\u2029]+/g, ' ')
    .replace(/\p{Cc}/gu, '')

/** Something in a calendar; with an id of its own it is found again when the file is taken in a second time. */
export interface CalendarEvent extends Alarm {
  id?: string
  note?: string
  /** Left out, it rings. */
  rings?: boolean
}

/**
 * A calendar file with an event that rings at each moment; times in UTC, so that any calendar reads them alike.
 * @param zone IANA name of the household’s zone, for calendars that show events in it
 */
export function calendarOf(alarms: readonly CalendarEvent[], name: string, made: number, zone?: string): string {
  const calendar = new ICAL.Component('vcalendar')
  calendar.updatePropertyWithValue('prodid', '-//Brinvo//EN')
  calendar.updatePropertyWithValue('version', '2.0')
  const time = (ms: number) => ICAL.Time.fromJSDate(new Date(Math.round(ms / 1000) * 1000), true)
  if (zone !== undefined) calendar.updatePropertyWithValue('x-wr-timezone', zone)
  for (const [i, { at, title, id, note, rings = true }] of alarms.entries()) {
    const event = new ICAL.Component('vevent')
    event.updatePropertyWithValue(
      'uid',
      `${id === undefined ? `${Math.round(at)}-${i}` : id.replaceAll('/', '-')}@brinvo`,
    )
    event.updatePropertyWithValue('dtstamp', time(made))
    event.updatePropertyWithValue('dtstart', time(at))
    event.updatePropertyWithValue('summary', oneLine(`${title} (${name})`))
    if (note !== undefined) event.updatePropertyWithValue('description', oneLine(note))
    if (rings) {
      const alarm = new ICAL.Component('valarm')
      alarm.updatePropertyWithValue('action', 'DISPLAY')
      alarm.updatePropertyWithValue('description', oneLine(title))
      alarm.updatePropertyWithValue('trigger', ICAL.Duration.fromSeconds(0))
      event.addSubcomponent(alarm)
    }
    calendar.addSubcomponent(event)
  }
  return calendar.toString()
}
