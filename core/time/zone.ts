import { tzOffset } from '@date-fns/tz'

/** A calendar day without a zone: whole days since 1970-01-01. */
export type Day = number

export const MS_PER_MINUTE = 60_000
export const MS_PER_HOUR = 3_600_000
export const MS_PER_DAY = 86_400_000
/** Every zone's offset has changed on a quarter of an hour, so one look-up serves the whole quarter. */
const MS_PER_QUARTER = 900_000

/** What the clock on the wall of one time zone shows. */
export interface ZoneClock {
  readonly zone: string
  /** The local day of an instant (ms since the epoch). */
  dayOf(ms: number): Day
  /** Minutes since local midnight as the wall clock shows them, 0…1439. */
  minuteOf(ms: number): number
  /**
   * The instant at which the wall clock shows a day and minute. Where the clock springs over that time, the next minute
   * that it does show; where it shows it twice, the first.
   */
  instantAt(day: Day, minute?: number): number
}

const clocks = new Map<string, ZoneClock>()

/** Whether the machine knows a time zone by this IANA name. */
export function isZone(zone: string): boolean {
  return zone.length > 0 && !Number.isNaN(tzOffset(zone, new Date(0)))
}

/**
 * The wall clock of a time zone.
 * @param zone IANA name, `Europe/Lisbon`; a name the machine does not know is read as UTC, so that a journal stays legible
 */
export function zoneClock(zone: string): ZoneClock {
  const existing = clocks.get(zone)
  if (existing) return existing
  const known = isZone(zone)
  const offsets = new Map<number, number>()
  const offsetMs = (ms: number): number => {
    if (!known) return 0
    const quarter = Math.floor(ms / MS_PER_QUARTER)
    let offset = offsets.get(quarter)
    if (offset === undefined) {
      offset = tzOffset(zone, new Date(quarter * MS_PER_QUARTER)) * MS_PER_MINUTE
      offsets.set(quarter, offset)
    }
    return offset
  }
  const local = (ms: number) => ms + offsetMs(ms)
  const clock: ZoneClock = {
    zone,
    dayOf: (ms) => Math.floor(local(ms) / MS_PER_DAY),
    minuteOf: (ms) => Math.floor((((local(ms) % MS_PER_DAY) + MS_PER_DAY) % MS_PER_DAY) / MS_PER_MINUTE),
    instantAt(day, minute = 0) {
      const wall = day * MS_PER_DAY + minute * MS_PER_MINUTE
      // The offset before the wall time is tried first: it gives the first of two, and the later side of a gap.
      const before = wall - offsetMs(wall - MS_PER_DAY)
      if (local(before) === wall) return before
      const after = wall - offsetMs(wall + MS_PER_DAY)
      if (local(after) === wall) return after
      // A time that does not exist: the jump itself, before which the old offset still held.
      let jump = Math.floor(before / MS_PER_QUARTER) * MS_PER_QUARTER
      while (offsetMs(jump - 1) === offsetMs(before)) jump -= MS_PER_QUARTER
      return jump
    },
  }
  clocks.set(zone, clock)
  return clock
}

/** `2026-11-23` of a day. */
export const dayText = (day: Day): string => new Date(day * MS_PER_DAY).toISOString().slice(0, 10)

/** The day that `2026-11-23` names; null when there is none. */
export function dayFromText(text: string): Day | null {
  const ms = /^\d{4}-\d{2}-\d{2}$/.test(text) ? Date.parse(`${text}T00:00:00Z`) : NaN
  return Number.isNaN(ms) || dayText(ms / MS_PER_DAY) !== text ? null : ms / MS_PER_DAY
}

/** 0 Sunday … 6 Saturday. */
export const weekdayOf = (day: Day): number => (((day + 4) % 7) + 7) % 7

/** The instant as Brinvo keeps it: ISO 8601 in UTC. */
export const iso = (ms: number): string => new Date(ms).toISOString()

const LAST_INSTANT = Date.UTC(9999, 11, 31, 23, 59, 59, 999)

/** Whether a number of ms is an instant that can be written down: before the year 10000. */
export const isInstantMs = (ms: number): boolean =>
  Number.isFinite(ms) && ms >= -62_167_219_200_000 && ms <= LAST_INSTANT

/**
 * Minutes since midnight of a time on the wall clock.
 * @param time HH:MM
 * @example minuteOfTime('21:30') // 1290
 */
export function minuteOfTime(time: string): number {
  const [hours, minutes] = time.split(':').map(Number) as [number, number]
  return hours * 60 + minutes
}
