import { format } from 'date-fns'
import { dayText, MS_PER_DAY, MS_PER_HOUR, type Day, type ZoneClock } from './zone.ts'

/** date-fns prints the browser's own calendar; a day is handed to it as that calendar's noon. */
const asDate = (day: Day): Date => {
  const utc = new Date(day * MS_PER_DAY)
  return new Date(utc.getUTCFullYear(), utc.getUTCMonth(), utc.getUTCDate(), 12)
}

/** A day by a date-fns pattern: `EEE d`, `EEEE`, `d MMMM`. */
export const dayAs = (day: Day, pattern: string): string => format(asDate(day), pattern)

const twoDigits = (value: number) => String(value).padStart(2, '0')

/** The wall time of an instant, `21:05`. */
export function timeOf(ms: number, clock: ZoneClock): string {
  const minutes = clock.minuteOf(ms)
  return `${twoDigits(Math.floor(minutes / 60))}:${twoDigits(minutes % 60)}`
}

/** A day beside today: "today", "yesterday", "Sunday", "Sun 8 Nov", "8 Nov 2025". */
export function dayBeside(day: Day, today: Day): string {
  const ago = today - day
  if (ago === 0) return 'today'
  if (ago === 1) return 'yesterday'
  if (ago === -1) return 'tomorrow'
  if (ago > 0 && ago < 7) return dayAs(day, 'EEEE')
  if (Math.abs(ago) < 200) return dayAs(day, 'EEE d MMM')
  return dayAs(day, 'd MMM yyyy')
}

/** An instant beside now: "today 08:10", "Sunday 08:10". */
export const momentBeside = (ms: number, now: number, clock: ZoneClock): string =>
  `${dayBeside(clock.dayOf(ms), clock.dayOf(now))} ${timeOf(ms, clock)}`

/** For a date field. */
export const dateInput = (ms: number, clock: ZoneClock): string => dayText(clock.dayOf(ms))

/** A span of time as a keeper says it: "40 min", "9 h", "3 d 11 h". */
export function spanText(hours: number): string {
  const minutes = Math.round(hours * 60)
  if (minutes < 60) return `${minutes} min`
  const whole = Math.floor(hours + 1e-6)
  if (whole < 24) return `${whole} h`
  const rest = whole % 24
  return rest === 0 ? `${whole / 24} d` : `${Math.floor(whole / 24)} d ${rest} h`
}

/** Hours between two instants. */
export const hoursBetween = (from: number, to: number): number => (to - from) / MS_PER_HOUR
