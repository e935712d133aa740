import { ALKALINITY_PORTION_DKH } from '../../catalogue/daily-caps.data.ts'
import { ceilQuotient } from '../../numbers/rounding.ts'
import { noSolution, ok, type Result } from '../../result/result.ts'
import { raiseCap, type CorrectionSalt, type Pace } from './salts.ts'

export interface RaiseInput {
  salt: CorrectionSalt
  /** Levels in the parameter's unit. */
  now: number
  target: number
  netL: number
  /** What the tank takes up in a day, added to each day's dose; 0 or less adds nothing. */
  uptakePerDay?: number
  pace?: Pace
  hasSmallPolyps?: boolean
  /** What the side effect's parameter is at now, where it was tested. */
  sideNow?: number
}

/** A level raised by a salt over days. Levels in the parameter's unit. */
export interface RaisePlan {
  days: number
  /** Net rise of a day, without what the uptake takes. */
  risePerDay: number
  /** What a day's dose raises, the uptake of a day with it. */
  dosedPerDay: number
  capPerDay: number
  /** Whether the salt's own cap holds, or that of what it brings besides (further-schools.md 8: the smaller of both). */
  capBy: 'own' | 'side'
  gramsPerDay: number
  gramsInAll: number
  /** Portions a day, hours apart. */
  portions: number
  /** Level after each day. */
  levels: readonly number[]
  /** The same of the side effect; null without one. Where it was not tested it counts from 0. */
  side: { parameter: string; perDay: number; inAll: number; levels: readonly number[] } | null
}

/** Magnesium and what a pump doses go in at least four portions: outbreaks.md 5.4 and 5.2, element-correct. */
const PORTIONS = 4
/** Calcium and alkalinity are dosed this far apart: outbreaks.md 5.2, element-correct. */
export const APART_MINUTES = 30

/**
 * How to raise a parameter to a target with a salt, under the daily caps of outbreaks.md 5.4.
 * @returns `no-solution` where the target is not over the level, or no cap is known
 * @example
 * planRaise({ salt: saltsFor('k')[0], now: 350, target: 400, netL: 300 }) // 5 days, 5.72 g a day
 */
export function planRaise({
  salt,
  now,
  target,
  netL,
  uptakePerDay = 0,
  pace = 'careful',
  hasSmallPolyps = false,
  sideNow = 0,
}: RaiseInput): Result<RaisePlan> {
  const missing = target - now
  if (!(missing > 0))
    return noSolution('/target', `under or at the ${now} there is: it comes down with water changes, not with a salt`)
  const own = raiseCap(salt.parameter, pace, hasSmallPolyps)
  if (own === null) return noSolution('/salt', 'no daily cap is known for it')
  // The other parameter is moved unasked: it keeps to its usual cap.
  const sideCap = salt.side && raiseCap(salt.side.parameter, 'usual', hasSmallPolyps)
  const bySide = salt.side && sideCap !== null ? sideCap / salt.side.perUnit : Infinity
  const capPerDay = Math.min(own, bySide)
  const days = ceilQuotient(missing / capPerDay)
  const risePerDay = missing / days
  const dosedPerDay = risePerDay + Math.max(0, uptakePerDay)
  const gramsPerDay = (dosedPerDay * salt.gPer100LPerUnit * netL) / 100
  const sidePerDay = salt.side ? dosedPerDay * salt.side.perUnit : 0
  const alkalinityPerDay =
    salt.parameter === 'alk-kh' ? dosedPerDay : salt.side?.parameter === 'alk-kh' ? sidePerDay : 0
  const eachDay = Array.from({ length: days }, (_, day) => day + 1)
  return ok({
    days,
    risePerDay,
    dosedPerDay,
    capPerDay,
    capBy: bySide < own ? 'side' : 'own',
    gramsPerDay,
    gramsInAll: gramsPerDay * days,
    portions: Math.max(
      salt.parameter === 'mg' || salt.parameter === 'k' ? PORTIONS : 1,
      ceilQuotient(alkalinityPerDay / ALKALINITY_PORTION_DKH),
    ),
    levels: eachDay.map((day) => now + risePerDay * day),
    side: salt.side && {
      parameter: salt.side.parameter,
      perDay: sidePerDay,
      inAll: sidePerDay * days,
      levels: eachDay.map((day) => sideNow + sidePerDay * day),
    },
  })
}
