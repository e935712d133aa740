import { dayText, MS_PER_DAY, MS_PER_HOUR, type Day, type ZoneClock } from './zone.ts'

/** A day's parts by their tokens, as the platform prints them. American short months have three letters throughout. */
const PARTS = {
  EEEE: { weekday: 'long' },
  EEE: { weekday: 'short' },
  MMMM: { month: 'long' },
  MMM: { month: 'short' },
  yyyy: { year: 'numeric' },
  d: { day: 'numeric' },
} as const satisfies Record<string, Intl.DateTimeFormatOptions>

const printers = new Map(
  Object.entries(PARTS).map(([token, options]) => [
    token,
    new Intl.DateTimeFormat('en-US', { ...options, timeZone: 'UTC' }),
  ]),
)

/** A day by a pattern of these tokens: `EEE d`, `EEEE`, `d MMMM yyyy`. */
export const dayAs = (day: Day, pattern: string): string =>
  pattern.replace(/EEEE|EEE|MMMM|MMM|yyyy|d/g, (token) => printers.get(token)!.format(day * MS_PER_DAY))

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

/** A countdown to the minute: "26 h 05 min", "40 min"; no more days than two are told in hours. */
export function countdownText(hours: number): string {
  const minutes = Math.max(0, Math.round(Math.abs(hours) * 60))
  const [whole, rest] = [Math.floor(minutes / 60), minutes % 60]
  return whole === 0 ? `${rest} min` : `${whole} h ${twoDigits(rest)} min`
}

/** A clock that is watched, mm:ss or h:mm:ss, without a sign. @param ms */
export function clockText(ms: number): string {
  const seconds = Math.floor(Math.abs(ms) / 1000)
  const [h, m, s] = [Math.floor(seconds / 3600), Math.floor(seconds / 60) % 60, seconds % 60]
  return h > 0 ? `${h}:${twoDigits(m)}:${twoDigits(s)}` : `${twoDigits(m)}:${twoDigits(s)}`
}

/** Hours between two instants. */
export const hoursBetween = (from: number, to: number): number => (to - from) / MS_PER_HOUR
