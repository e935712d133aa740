import { dayFromText, type Day, type ZoneClock } from '../time/zone.ts'

/** In which order a table writes day, month and year. */
export type DayOrder = 'ymd' | 'dmy' | 'mdy'

const ISO = /^(\d{4})[-/.](\d{1,2})[-/.](\d{1,2})/
const SHORT = /^(\d{1,2})[-/.](\d{1,2})[-/.](\d{4}|\d{2})/
const TIME = /(?:^|[T\s])(\d{1,2})[:.](\d{2})(?::\d{2}(?:\.\d+)?)?\s*(am|pm)?(Z|[+-]\d{2}:?\d{2})?$/i
/** A day without a time is taken as noon: neither the day before nor the one after in any zone nearby. */
const NOON_MINUTES = 12 * 60

const two = (figure: string) => figure.padStart(2, '0')

/** The local day at the beginning of a cell; null where there is none. */
function dayOf(cell: string, order: DayOrder): Day | null {
  const whole = ISO.exec(cell)
  if (whole) return dayFromText(`${whole[1]}-${two(whole[2]!)}-${two(whole[3]!)}`)
  const short = SHORT.exec(cell)
  if (!short || order === 'ymd') return null
  const [day, month] = order === 'mdy' ? [short[2]!, short[1]!] : [short[1]!, short[2]!]
  const year = short[3]!.length === 2 ? `20${short[3]}` : short[3]!
  return dayFromText(`${year}-${two(month)}-${two(day)}`)
}

function minutesOf(cell: string): number | null {
  const found = TIME.exec(cell.trim())
  if (!found) return null
  const [hours, minutes] = [Number(found[1]), Number(found[2])]
  const half = found[3]?.toLowerCase()
  const hour = half === undefined ? hours : (hours % 12) + (half === 'pm' ? 12 : 0)
  return hour > 23 || minutes > 59 ? null : hour * 60 + minutes
}

/**
 * The instant that a table's date and time mean.
 * @param date a cell with a day, and perhaps a time: "2026-03-01", "1.3.2026 18:30", "3/1/26 6:30 pm", an ISO instant
 * @param time another cell with the time; empty where there is none
 * @returns ms, noon where no time is said; null where it is no date
 * @example
 * instantFromCells('1.3.2026', '18:30', 'dmy', clock)
 */
export function instantFromCells(date: string, time: string, order: DayOrder, clock: ZoneClock): number | null {
  if (/T.*(Z|[+-]\d{2}:?\d{2})$/.test(date)) {
    const instant = Date.parse(date)
    return Number.isNaN(instant) ? null : instant
  }
  const day = dayOf(date.trim(), order)
  if (day === null) return null
  const minutes = time.trim() === '' ? minutesOf(date) : minutesOf(time)
  if (time.trim() !== '' && minutes === null) return null
  return clock.instantAt(day, minutes ?? NOON_MINUTES)
}

/** Whether a cell can be read as a date at all. */
export const isDateCell = (cell: string): boolean => ISO.test(cell.trim()) || SHORT.test(cell.trim())

/**
 * The order that a column of dates is written in, where only one fits.
 * @returns null where day and month could be exchanged in every row: the keeper is asked
 */
export function guessDayOrder(cells: readonly string[]): DayOrder | null {
  const dates = cells.map((cell) => cell.trim()).filter((cell) => cell !== '')
  if (dates.length === 0 || dates.every((cell) => ISO.test(cell))) return 'ymd'
  const pairs = dates.flatMap((cell) => {
    const found = SHORT.exec(cell)
    return found ? [[Number(found[1]), Number(found[2])] as const] : []
  })
  const isDmy = pairs.every(([, month]) => month <= 12)
  const isMdy = pairs.every(([month]) => month <= 12)
  if (isDmy && !isMdy) return 'dmy'
  if (isMdy && !isDmy) return 'mdy'
  // Points are written with the day first wherever they are written.
  return dates.every((cell) => /^\d{1,2}\./.test(cell)) ? 'dmy' : null
}
