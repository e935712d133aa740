import { ALKALINITY_PORTION_DKH, RAISE_A_DAY } from '../catalogue/daily-caps.data.ts'
import { bandFor, parameterById } from '../catalogue/parameter.ts'
import { measuredDown } from '../dosing/measured-down.ts'
import type { ShelfProduct } from '../household/shelf.ts'
import { netVolumeAt, tankById } from '../household/tanks.ts'
import type { ContentOf } from '../journal/entry.ts'
import type { Journal } from '../journal/journal.ts'
import { iso, MS_PER_DAY } from '../time/zone.ts'
import { hasSmallPolyps } from '../household/corals.ts'
import { uptakeOf } from '../water/uptake.ts'
import { BICARBONATE_MG_PER_DEGREE } from './raises.ts'

const PARAMETER = 'alk-kh'
/** How far ahead the guess is followed. */
const AHEAD_DAYS = 60
/** Corals in a small tub, quarantine.md 7.5, coral-chem: 7–9 dKH (HP). */
const CORAL_BAND = [7, 9] as const

/** An alkalinity that is guessed from the uptake, with its interval; dKH. */
export interface GuessedAlkalinity {
  at: number
  value: number
  low: number
  high: number
}

/**
 * What is not known of a tank's alkalinity since the last test: further-schools.md 2, testing debt. The days untested, times what vanishes
 * a day, give or take its error.
 */
export interface TestingDebt {
  /** The readings that it rests on, in time order. */
  readings: readonly { at: number; value: number }[]
  last: { at: number; value: number }
  daysUntested: number
  /** dKH that the tank takes up in a day; negative where it rises by itself. */
  uptakePerDay: number
  /** 95 % half-width of the uptake. */
  uptakeError: number
  now: GuessedAlkalinity
  /** A guess a day, from the last test on. */
  path: readonly GuessedAlkalinity[]
  band: readonly [number, number]
  /** When the interval of the guess reaches the end of the band: it has to be tested before; null within two months. */
  alarmAt: number | null
}

/**
 * The testing debt of a tank's alkalinity.
 * @param now ms
 * @returns null with fewer than two readings within a month, or without a tank
 * @example
 * testingDebt(journal, 'frag', Date.now())?.alarmAt // test before then
 */
export function testingDebt(journal: Journal, tankId: string, now: number): TestingDebt | null {
  const tank = tankById(journal, tankId)
  const parameter = parameterById(PARAMETER)
  if (!tank || !parameter) return null
  const uptake = uptakeOf(journal, tankId, parameter, now)
  const last = uptake?.tests.at(-1)
  if (!uptake || !last) return null
  const [low, high] = bandFor(parameter, tank.profile) ?? CORAL_BAND
  const band = [low ?? CORAL_BAND[0], high ?? CORAL_BAND[1]] as const
  const since = uptake.events.filter(({ at }) => at >= last.at)
  const guessAt = (at: number): GuessedAlkalinity => {
    const days = (at - last.at) / MS_PER_DAY
    let value = last.value
    let from = last.at
    for (const change of since) {
      if (change.at > at) break
      value -= (uptake.perDay * (change.at - from)) / MS_PER_DAY
      value = value * (1 - change.fraction) + (change.replacement ?? value) * change.fraction + change.add
      from = change.at
    }
    value -= (uptake.perDay * (at - from)) / MS_PER_DAY
    const error = Math.hypot(last.halfWidth, uptake.error * days)
    return { at, value, low: value - error, high: value + error }
  }
  const leaves = ({ low, high }: GuessedAlkalinity) => low <= band[0] || high >= band[1]
  let alarmAt: number | null = null
  for (let day = 0; day <= AHEAD_DAYS && alarmAt === null; day += 0.25)
    if (leaves(guessAt(last.at + day * MS_PER_DAY))) alarmAt = last.at + day * MS_PER_DAY
  const until = Math.max(now, Math.min(alarmAt ?? now, now + AHEAD_DAYS * MS_PER_DAY)) + 2 * MS_PER_DAY
  const path: GuessedAlkalinity[] = []
  for (let at = last.at; at <= until; at += MS_PER_DAY) path.push(guessAt(at))
  return {
    readings: uptake.tests.map(({ at, value }) => ({ at, value })),
    last: { at: last.at, value: last.value },
    daysUntested: (now - last.at) / MS_PER_DAY,
    uptakePerDay: uptake.perDay,
    uptakeError: uptake.error,
    now: guessAt(now),
    path,
    band,
    alarmAt,
  }
}

/** A correction of the alkalinity with sodium bicarbonate, under its daily cap. */
export interface AlkalinityCorrection {
  /** dKH that are missing to the middle of the band. */
  missing: number
  /** dKH for today, the uptake of a day counted in. */
  today: number
  gramsToday: number
  /** Portions of at most 0.25 dKH, hours apart. */
  portions: number
  days: number
  capPerDay: number
}

/**
 * How to bring the alkalinity back to the middle of its band: today's share under the daily cap of outbreaks.md 5.4, half of it where
 * small-polyp corals live, plus what a day takes up, in portions.
 * @returns null while the guess is not under the middle, or without a net volume
 */
export function alkalinityCorrection(
  journal: Journal,
  tankId: string,
  { now, uptakePerDay, band }: TestingDebt,
): AlkalinityCorrection | null {
  const missing = (band[0] + band[1]) / 2 - now.value
  const netL = netVolumeAt(journal, tankId, now.at)
  if (!(missing > 0) || netL === null || !(netL > 0)) return null
  const capPerDay = RAISE_A_DAY['alk-kh'][hasSmallPolyps(journal, tankId) ? 'careful' : 'usual']
  const today = Math.min(missing, capPerDay) + Math.max(0, uptakePerDay)
  return {
    missing,
    today,
    gramsToday: (today * BICARBONATE_MG_PER_DEGREE * netL) / 1000,
    portions: Math.ceil(today / ALKALINITY_PORTION_DKH - 1e-9),
    days: Math.ceil(missing / capPerDay - 1e-9),
    capPerDay,
  }
}

/**
 * One portion of a correction as the journal keeps it, as the product's tool measures it: rounded down, so that no portion passes its cap.
 * @returns null where the tool cannot measure so little
 */
export function correctionPortion(
  { gramsToday, portions }: AlkalinityCorrection,
  product: ShelfProduct,
  { tankId, courseId, at }: { tankId: string; courseId: string; at: number },
): ContentOf<'dose'> | null {
  const portion = measuredDown((1000 * gramsToday) / portions, product)
  if (portion === null) return null
  return {
    kind: 'dose',
    happened: iso(at),
    tankId,
    ingredient: product.ingredient,
    productId: product.id,
    unit: product.unit,
    ...portion,
    courseId,
  }
}
