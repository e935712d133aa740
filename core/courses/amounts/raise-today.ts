import type { RaiseStep } from '../../catalogue/courses/definitions.ts'
import { ingredientById } from '../../catalogue/ingredient.ts'
import { bandFor, parameterById, type Parameter } from '../../catalogue/parameter.ts'
import { pumpsInTank } from '../../devices/pumps-in-tank.ts'
import type { Settings } from '../../household/settings.ts'
import { shelfOf, type ShelfProduct } from '../../household/shelf.ts'
import type { Tank } from '../../household/tanks.ts'
import type { Journal } from '../../journal/journal.ts'
import { holds, levelsOf, valuesOf } from '../../readings/evidence.ts'
import { raisedBy } from '../../readings/raises.ts'
import { dayApart } from '../rules/quantities.ts'
import { planRaise, type RaisePlan } from '../../water/correction/raise.ts'
import { MS_PER_HOUR } from '../../time/zone.ts'
import { preferredSalt, raiseCap, saltsFor, type CorrectionSalt } from '../../water/correction/salts.ts'
import { correctionStart } from '../../water/correction/situation.ts'
import { isUptakeCertain } from '../../water/uptake.ts'
import { doseToLevel, type PlannedDose } from './planned-dose.ts'

/** What raises a value today, and by how much. */
export interface RaiseToday {
  parameter: Parameter
  salt: CorrectionSalt
  product: ShelfProduct | null
  testedAt: number
  /** Today's reading, and what the whole dose makes of it before anything is taken up; in the parameter's unit. */
  from: number
  to: number
  /** What it is raised to over the days. */
  aim: number
  plan: RaisePlan
  /** Of the product on the shelf; without one, in grams of the dry salt. */
  dose: PlannedDose
  /** The salt that would have been taken, and what it must not raise as well today; null where the usual one is. */
  insteadOf: { salt: CorrectionSalt; why: 'over-band' | 'rising' | 'not-tested'; side: Parameter } | null
}

/**
 * So long before a dose none that raises the same may have gone in, hours (EA): a dose of last evening and one of this morning would be two
 * days' caps in one night.
 */
const APART_HOURS = 20

/** Whether something that raises a parameter went into a tank since an instant. */
const isRaisedSince = (journal: Journal, tankId: string, parameterId: string, since: number, now: number): boolean =>
  journal
    .ofKind('dose')
    .some(
      ({ at, content }) =>
        content.tankId === tankId && at >= since && at <= now && raisedBy(content.ingredient, parameterId, 1) > 0,
    )

/**
 * Today's dose of a salt by hand, from today's test and under the caps of a day: outbreaks.md 5.3, 5.4 and 5.2, element-correct and
 * nutrient-raise.
 * @param now ms
 * @returns null without a net volume or a test of today, less than 20 h after a dose that raises it or what the salt brings besides, at
 * the target, and where a pump raises it
 * @example
 * raiseToday(journal, hall, { parameter: 'k', middleOf: [370, 430] }, settings, now)?.dose.amount // mL of the stock on the shelf
 */
export function raiseToday(
  journal: Journal,
  tank: Tank,
  { parameter: parameterId, middleOf, perDay, until }: RaiseStep,
  settings: Settings,
  now: number,
): RaiseToday | null {
  const parameter = parameterById(parameterId)
  if (!parameter) return null
  const { netL, middle, uptake, hasSmallPolyps, levelOf } = correctionStart(journal, tank, parameter, now)
  const { clock } = settings
  const last = valuesOf(journal, tank.id, parameterId, -Infinity, now).at(-1)
  if (netL === null || !last || clock.dayOf(last.at) !== clock.dayOf(now)) return null
  const since = Math.min(clock.instantAt(clock.dayOf(now)), now - APART_HOURS * MS_PER_HOUR)
  if (isRaisedSince(journal, tank.id, parameterId, since, now)) return null
  const isByPump = pumpsInTank(journal, tank, settings.timeZone, now).some(({ rises }) =>
    rises.some((rise) => rise.parameter.id === parameterId && rise.dosed > 0),
  )
  if (isByPump) return null
  const aim = until ?? middle ?? (middleOf ? (middleOf[0] + middleOf[1]) / 2 : null)
  if (aim === null || last.value >= aim) return null
  const shelf = shelfOf(journal)
  const usual = preferredSalt(parameterId, shelf)
  const insteadOf = usual?.side ? sideForbids(journal, tank, usual, hasSmallPolyps, now) : null
  const salt = insteadOf ? (plainSalts(parameterId, shelf)[0] ?? usual) : usual
  // Never two carbonates together: what a salt brings besides may not have been raised either.
  if (!salt || (salt.side && isRaisedSince(journal, tank.id, salt.side.parameter, since, now))) return null
  const product = shelf.find(({ ingredient }) => ingredient === salt.id) ?? null
  const sideNow = salt.side ? levelOf(salt.side.parameter) : undefined
  const planned = planRaise({
    salt,
    now: last.value,
    target: perDay === undefined ? aim : Math.min(aim, last.value + perDay),
    netL,
    uptakePerDay: uptake && isUptakeCertain(uptake) ? uptake.perDay : 0,
    hasSmallPolyps,
    ...(sideNow !== undefined && { sideNow }),
  })
  if (!planned.ok || (insteadOf && salt.side)) return null
  const { dosedPerDay } = planned.value
  const measured = doseToLevel(dosedPerDay / raisedBy(salt.id, parameterId, 1), netL, product)
  // Without a product: grams of the dry salt, not of what it is counted in.
  const dose =
    measured && product === null ? { ...measured, amount: planned.value.gramsPerDay, unit: 'g' as const } : measured
  return (
    dose && {
      parameter,
      salt,
      product,
      testedAt: last.at,
      from: last.value,
      to: last.value + dosedPerDay,
      aim,
      plan: planned.value,
      dose,
      insteadOf: insteadOf && usual ? { salt: usual, ...insteadOf } : null,
    }
  )
}

/** Salts that raise a parameter and nothing besides, those on the shelf first. */
const plainSalts = (parameterId: string, shelf: readonly ShelfProduct[]): CorrectionSalt[] => {
  const isHeld = ({ id }: CorrectionSalt) => shelf.some(({ ingredient }) => ingredient === id)
  return saltsFor(parameterId)
    .filter(({ side }) => side === null)
    .sort((a, b) => Number(isHeld(b)) - Number(isHeld(a)))
}

/** A test of what comes along with a salt may be so old, hours: courses.md, evidence. */
const SIDE_TEST_HOURS = 48

/**
 * Why a salt must not be dosed today for what it raises besides: that is over the tank's band, rises over its cap of a day already, or was not
 * tested.
 */
function sideForbids(
  journal: Journal,
  tank: Tank,
  { side }: CorrectionSalt,
  hasSmallPolyps: boolean,
  now: number,
): { why: 'over-band' | 'rising' | 'not-tested'; side: Parameter } | null {
  const parameter = side && parameterById(side.parameter)
  if (!parameter) return null
  const levels = levelsOf(journal, tank.id, parameter.id).filter(({ at }) => at <= now)
  const last = levels.at(-1)
  if (!last || now - last.at > SIDE_TEST_HOURS * MS_PER_HOUR) return { why: 'not-tested', side: parameter }
  const high = bandFor(parameter, tank.profile ?? (hasSmallPolyps ? 'reef-sps' : 'reef-lps'))?.[1]
  if (high != null && holds(last, '>', high) !== 'no') return { why: 'over-band', side: parameter }
  const before = dayApart(levels)?.before
  const cap = raiseCap(parameter.id, 'usual', hasSmallPolyps)
  return before && cap !== null && last.high - before.low > cap ? { why: 'rising', side: parameter } : null
}

/** The salt in a sentence. */
export const saltName = ({ id }: CorrectionSalt): string => ingredientById(id)?.name ?? id
