import { LIFE_MS, LIFE_YEARS, MS_PER_YEAR } from '../time/life.ts'
import { timeOfMinute } from '../time/wall-time.ts'
import {
  MS_PER_DAY,
  MS_PER_HOUR,
  MS_PER_MINUTE,
  dayFromText,
  dayText,
  weekdayOf,
  type Day,
  type ZoneClock,
} from '../time/zone.ts'
import { replaceToken, type Token } from './tokens.ts'
import { choose, isStop, unclear, type LogContext, type Stop } from './types.ts'

/** When a line happened, and the words that are left once the time is taken off its end. */
export interface Timed {
  at: number
  rest: Token[]
  notices: string[]
}

const WEEKDAYS = ['sun', 'mon', 'tue', 'wed', 'thu', 'fri', 'sat']
const MONTHS = [
  'January',
  'February',
  'March',
  'April',
  'May',
  'June',
  'July',
  'August',
  'September',
  'October',
  'November',
  'December',
]
const MINUTES_PER_DAY = 1440
/** A clock that runs a little ahead of another device's is not the future. */
const TOLERANCE_MS = 2 * MS_PER_MINUTE

/** Minutes since midnight of `21:00`, `9:30pm` or `9pm`; null for anything else. */
function clockMinutes(key: string): number | null {
  const parts = /^(\d{1,2})(?::(\d{2}))?(am|pm)?$/.exec(key)
  if (!parts || (parts[2] === undefined && parts[3] === undefined)) return null
  let hours = Number(parts[1])
  const minutes = Number(parts[2] ?? 0)
  if (minutes > 59) return null
  if (parts[3] !== undefined) {
    if (hours < 1 || hours > 12) return null
    hours = (hours % 12) + (parts[3] === 'pm' ? 12 : 0)
  }
  return hours > 23 ? null : hours * 60 + minutes
}

interface DayRead {
  day: Day
  words: number
}

/** Whether a word is written like a time of day, whatever its figures. */
const looksLikeClock = (key: string) => /^\d{1,2}(:\d{2})?(am|pm)$|^\d{1,2}:\d{2}$/.test(key)

const twoDigits = (value: number) => String(value).padStart(2, '0')

/** The latest day of a date without its year that is not ahead; null where no such date exists. */
function latestDay(date: number, month: number, today: Day): Day | null {
  const year = Number(dayText(today).slice(0, 4))
  for (const y of [year, year - 1]) {
    const day = dayFromText(`${y}-${twoDigits(month)}-${twoDigits(date)}`)
    if (day !== null && day <= today) return day
  }
  return null
}

/** `11/28`, `28/11`, `11/28/2026`: read where only one of its figures can be the month, else asked about. */
function slashedDay(line: string, token: Token, today: Day): DayRead | Stop | null {
  const parts = /^(\d{1,2})\/(\d{1,2})(?:\/(\d{2}|\d{4}))?$/.exec(token.key)
  if (!parts) return null
  const [a, b] = [Number(parts[1]), Number(parts[2])]
  const yearText = parts[3] === undefined ? null : parts[3].padStart(4, '20')
  const dayOf = (month: number, date: number) =>
    yearText === null
      ? latestDay(date, month, today)
      : dayFromText(`${yearText}-${twoDigits(month)}-${twoDigits(date)}`)
  const days = [...new Set([dayOf(a, b), dayOf(b, a)])].filter((day) => day !== null)
  if (days.length === 0) return unclear(`“${token.text}” is no date`)
  if (days.length === 1) return { day: days[0]!, words: 1 }
  return choose(
    `“${token.text}”: which day?`,
    days.map((day) => ({ label: dateWords(day), text: replaceToken(line, token, dayText(day)) })),
  )
}

const dateWords = (day: Day) => {
  const [year, month, date] = dayText(day).split('-') as [string, string, string]
  return `${Number(date)} ${MONTHS[Number(month) - 1]} ${year}`
}

/** A day at the end of the words: `yesterday`, `mon`, `18 nov`, `nov 18`, `2026-11-18`, `11/28`. */
function dayAtEnd(line: string, tokens: readonly Token[], today: Day): DayRead | Stop | null {
  const last = tokens.at(-1)
  if (!last) return null
  if (last.key === 'today') return { day: today, words: 1 }
  if (last.key === 'yesterday') return { day: today - 1, words: 1 }
  const dated = dayFromText(last.key)
  if (dated !== null) return { day: dated, words: 1 }
  if (/^\d{4}-\d{1,2}-\d{1,2}$/.test(last.key)) return unclear(`“${last.text}” is no date`)
  const slashed = slashedDay(line, last, today)
  if (slashed) return slashed
  const weekday = WEEKDAYS.findIndex(
    (name) => last.key === name || (last.key.startsWith(name) && last.key.endsWith('day')),
  )
  if (weekday >= 0) return { day: today - ((weekdayOf(today) - weekday + 7) % 7), words: 1 }
  const before = tokens.at(-2)
  if (!before) return null
  const month = (key: string) => (key.length < 3 ? -1 : MONTHS.findIndex((name) => name.toLowerCase().startsWith(key)))
  const dayNumber = (key: string) => Number(/^(\d{1,2})(?:st|nd|rd|th|\.)?$/.exec(key)?.[1] ?? NaN)
  const pair =
    month(last.key) >= 0 ? [dayNumber(before.key), month(last.key)] : [dayNumber(last.key), month(before.key)]
  const [date, monthIndex] = pair as [number, number]
  if (Number.isNaN(date) || monthIndex < 0) return null
  const day = latestDay(date, monthIndex + 1, today)
  return day === null
    ? unclear(`“${before.text} ${last.text}” is no date: there was no ${date} ${MONTHS[monthIndex]} this year or last`)
    : { day, words: 2 }
}

function agoAtEnd(tokens: readonly Token[]): { ms: number; words: number } | null {
  if (tokens.at(-1)?.key !== 'ago') return null
  const glued = /^(\d+(?:\.\d+)?)(m|min|mins|h|hr|hrs|d)$/.exec(tokens.at(-2)?.key ?? '')
  const apart = /^(m|min|mins|minutes?|h|hr|hrs|hours?|d|days?)$/.exec(tokens.at(-2)?.key ?? '')
  const [amount, unit, words] = glued
    ? [Number(glued[1]), glued[2]!, 2]
    : apart
      ? [Number(tokens.at(-3)?.key), apart[1]!, 3]
      : [NaN, '', 0]
  if (!Number.isFinite(amount)) return null
  return {
    ms: amount * (unit.startsWith('m') ? MS_PER_MINUTE : unit.startsWith('h') ? MS_PER_HOUR : MS_PER_DAY),
    words,
  }
}

const tooLongAgo = () => unclear(`that is more than ${LIFE_YEARS} years ago: which day is meant`)

/** `3 h ago`; more than a year ago the day itself is asked for, written out it counts as meant. */
function agoTimed(
  line: string,
  tokens: readonly Token[],
  now: number,
  ago: { ms: number; words: number },
  clock: ZoneClock,
): Timed | Stop {
  const at = now - ago.ms
  if (!(ago.ms <= LIFE_MS)) return tooLongAgo()
  const rest = tokens.slice(0, -ago.words)
  if (ago.ms <= MS_PER_YEAR) return { at, rest, notices: [] }
  const [day, minute] = [clock.dayOf(at), clock.minuteOf(at)]
  return choose(`that is ${dateWords(day)}, more than a year ago: is it meant?`, [
    { label: dateWords(day), text: `${line.slice(0, rest.at(-1)?.to ?? 0)} ${dayText(day)} ${timeOfMinute(minute)}` },
  ])
}

/**
 * Takes the time off the end of a line; without one it is now. A day without a time of day, a time that lies ahead and a
 * time the clock skipped are asked about.
 */
export function readWhen(line: string, tokens: readonly Token[], { now, settings }: LogContext): Timed | Stop {
  const { clock } = settings
  const today = clock.dayOf(now)
  const ago = agoAtEnd(tokens)
  if (ago) return agoTimed(line, tokens, now, ago, clock)
  let rest = tokens.slice()
  if (rest.at(-1)?.key === 'now' && rest.length > 1)
    return { at: now, rest: rest.slice(0, rest.at(-2)?.key === 'just' ? -2 : -1), notices: [] }
  let minutes: number | null = null
  const takeClock = () => {
    const read = clockMinutes(rest.at(-1)?.key ?? '')
    if (read === null) return
    minutes = read
    rest = rest.slice(0, rest.at(-2)?.key === 'at' ? -2 : -1)
  }
  takeClock()
  const dayRead = dayAtEnd(line, rest, today)
  if (dayRead && isStop(dayRead)) return dayRead
  if (dayRead) rest = rest.slice(0, -dayRead.words)
  if (dayRead && minutes === null) takeClock()
  const unread = rest.at(-1)
  if (minutes === null && unread && looksLikeClock(unread.key)) return unclear(`“${unread.text}” is no time of day`)
  if (!dayRead && minutes === null) return { at: now, rest, notices: [] }
  const body = line.slice(0, rest.at(-1)?.to ?? 0)
  const day = dayRead?.day ?? today
  const dayWord = day === today ? 'today' : day === today - 1 ? 'yesterday' : dayText(day)
  if (minutes === null) {
    if (day === today) return { at: now, rest, notices: [] }
    return choose(
      `at what time ${dayWord === dayText(day) ? `on ${dayWord}` : dayWord}?`,
      ['08:00', '12:00', '20:00'].map((time) => ({ label: time, text: `${body} ${dayWord} ${time}` })),
    )
  }
  return timed(minutes)

  function timed(minutes: number): Timed | Stop {
    const at = clock.instantAt(day, minutes)
    if (at < now - LIFE_MS) return tooLongAgo()
    if (clock.minuteOf(at) !== minutes % MINUTES_PER_DAY)
      return unclear(`${timeOfMinute(minutes)} did not happen that night: the clocks went forward`, [
        { label: timeOfMinute(clock.minuteOf(at)), text: `${body} ${dayWord} ${timeOfMinute(clock.minuteOf(at))}` },
      ])
    if (at > now + TOLERANCE_MS)
      return choose(`${timeOfMinute(minutes)}${day === today ? '' : ` on ${dayText(day)}`} lies ahead`, [
        { label: `yesterday ${timeOfMinute(minutes)}`, text: `${body} yesterday ${timeOfMinute(minutes)}` },
        { label: 'now', text: body },
      ])
    const again = clock.instantAt(day, minutes) + MS_PER_HOUR
    const twice = clock.minuteOf(again) === minutes && clock.dayOf(again) === day
    return { at, rest, notices: twice ? [`${timeOfMinute(minutes)} came twice that night; the first is meant`] : [] }
  }
}
