import { MS_PER_DAY, MS_PER_HOUR, zoneClock } from '../time/zone.ts'
import type { PumpOrder } from './messages.ts'

/** A shot that an order asks for. */
export interface PlannedShot {
  at: number
  ml: number
}

/** No more of an order is looked at than so many days before the end of the time that is asked for. */
const LOOK_BACK_DAYS = 400

/**
 * The shots that an order asks for over some time, at most its last 400 days, at the beginning of each local hour that has any. An hour that the clocks skip has no shot; one that
 * they repeat has one.
 * @param from ms, exclusive
 * @param until ms, inclusive
 * @example
 * plannedShots(order, Date.parse(order.startsAt), Date.now()).reduce((sum, { ml }) => sum + ml, 0)
 */
export function plannedShots(order: PumpOrder, from: number, until: number): PlannedShot[] {
  const clock = zoneClock(order.timeZone)
  const starts = Date.parse(order.startsAt)
  const ends = order.days === null ? Infinity : starts + order.days * MS_PER_DAY
  const last = Math.min(until, ends)
  const first = Math.max(from, starts, last - LOOK_BACK_DAYS * MS_PER_DAY)
  const shots: PlannedShot[] = []
  for (let day = clock.dayOf(first); day <= clock.dayOf(last); day++)
    for (const [hour, ml] of order.mlByHour.entries()) {
      const at = clock.instantAt(day, hour * 60)
      if (ml > 0 && at > first && at <= last && clock.minuteOf(at) === hour * 60) shots.push({ at, ml })
    }
  return shots
}

/** A shot is missed when it has not come a quarter of an hour after its time (EA). */
const MISSED_AFTER_MS = 0.25 * MS_PER_HOUR
/** A shot that gave less than this share of its mL counts as missed too (EA). */
const SHORT_SHARE = 0.8

/** How a pump stands against its order. */
export interface PumpState {
  mlPerDay: number
  givenMl: number
  /** Shots that did not come, or came short, the newest last. */
  missed: readonly (PlannedShot & { gaveMl: number })[]
  /** By the order's own reckoning, less what was given. */
  leftMl: number
  /** The shot at which it runs dry, ms; null where it lasts to the order's end, or for a year. */
  dryAt: number | null
  isDry: boolean
  endsAt: number | null
  isEnded: boolean
}

/** A run-dry further ahead than that is not looked for. */
const LOOK_AHEAD_DAYS = 366

/**
 * How a pump stands: what it gave, what is missing, and when its bottle is empty.
 * @param shots of the device since the order started, in any order
 * @param now ms
 * @example
 * pumpState(order, report.shots, Date.now()).missed.length // shots to see to
 */
export function pumpState(order: PumpOrder, shots: readonly { at: string; ml: number }[], now: number): PumpState {
  const starts = Date.parse(order.startsAt)
  const given = shots.map(({ at, ml }) => ({ at: Date.parse(at), ml })).filter(({ at }) => at >= starts && at <= now)
  const givenMl = given.reduce((sum, { ml }) => sum + ml, 0)
  const missed = plannedShots(order, starts, now - MISSED_AFTER_MS).flatMap(({ at, ml }) => {
    const gaveMl = given.filter((one) => Math.abs(one.at - at) < MISSED_AFTER_MS).reduce((sum, one) => sum + one.ml, 0)
    return gaveMl < SHORT_SHARE * ml ? [{ at, ml, gaveMl }] : []
  })
  const leftMl = Math.max(0, order.bottleMl - givenMl)
  const endsAt = order.days === null ? null : starts + order.days * MS_PER_DAY
  let usable = leftMl - order.residueMl
  let dryAt: number | null = null
  const horizon = Math.min(endsAt ?? Infinity, now + LOOK_AHEAD_DAYS * MS_PER_DAY)
  for (const { at, ml } of plannedShots(order, now, horizon)) {
    usable -= ml
    if (usable < -1e-9) {
      dryAt = at
      break
    }
  }
  return {
    mlPerDay: order.mlByHour.reduce((sum, ml) => sum + ml, 0),
    givenMl,
    missed,
    leftMl,
    dryAt,
    isDry: leftMl - order.residueMl <= 1e-9 || (given.at(-1)?.ml === 0 && missed.length > 0),
    endsAt,
    isEnded: endsAt !== null && now >= endsAt,
  }
}

/**
 * A day's mL as equal shots, hours apart, by the hour of the day.
 * @param portions 1 to 24; what does not divide the day is put as evenly as hours allow
 * @example
 * shotsByHour(12, 4) // 3 mL at 0, 6, 12 and 18 h
 */
export function shotsByHour(mlPerDay: number, portions: number): number[] {
  const count = Math.max(1, Math.min(24, Math.round(portions)))
  const hours = new Set(Array.from({ length: count }, (_, i) => Math.floor((i * 24) / count)))
  return Array.from({ length: 24 }, (_, hour) => (hours.has(hour) ? mlPerDay / hours.size : 0))
}
