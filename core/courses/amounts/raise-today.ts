import type { RaiseStep } from '../../catalogue/courses/definitions.ts'
import { countedMassMg } from '../../dosing/counted-mass.ts'
import { ingredientById } from '../../catalogue/ingredient.ts'
import { bandFor, parameterById, type Parameter } from '../../catalogue/parameter.ts'
import { pumpsInTank } from '../../devices/pumps-in-tank.ts'
import type { Settings } from '../../household/settings.ts'
import { shelfOf, type ShelfProduct } from '../../household/shelf.ts'
import type { Tank } from '../../household/tanks.ts'
import type { ContentOf } from '../../journal/entry.ts'
import { firstAtOrAfter, type Journal, type Line } from '../../journal/journal.ts'
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
  /**
   * Today's reading with the portions that went in since, and what this portion makes of it before the tank uses any; in the
   * parameter's unit.
   */
  from: number
  to: number
  /** What it is raised to over the days. */
  aim: number
  plan: RaisePlan
  /** One portion of the product on the shelf; without one, in grams of the dry salt. */
  dose: PlannedDose
  /** Which of the day's portions it is, from 1, and how many there are. */
  portion: { number: number; of: number }
  /** The portion must not go in before this instant, ms. */
  notBefore: number
  /** The salt that would have been taken, and what it must not raise as well today; null where the usual one is. */
  insteadOf: { salt: CorrectionSalt; why: 'over-band' | 'rising' | 'not-tested'; side: Parameter } | null
}

/**
 * A day's dose spans this many hours (EA): all portions of one day's cap go in within any 20 h, and nothing else that raises the same. A dose
 * of last evening and one of this morning would otherwise be two days' caps in one night.
 */
const APART_HOURS = 20

/** Hours between two portions of one day (EA: the handbook says four and more a day). */
const PORTION_GAP_HOURS = 2

/** What is left of a day's dose below this share is no portion of its own: a syringe is no better. */
const LEAST_SHARE = 0.02

type DoseLine = Line<ContentOf<'dose'>>

/** What raised a parameter in a tank between two instants, in time order. */
const raisingDoses = (
  journal: Journal,
  tankId: string,
  parameterId: string,
  since: number,
  now: number,
): DoseLine[] => {
  const lines = journal.ofKind('dose')
  return lines
    .slice(firstAtOrAfter(lines, since))
    .filter(
      ({ at, content }) => content.tankId === tankId && at <= now && raisedBy(content.ingredient, parameterId, 1) > 0,
    )
}

/**
 * The next portion of a salt by hand, from today's test and under the caps of a day: outbreaks.md 5.3, 5.4 and 5.2, element-correct and
 * nutrient-raise. The day's dose follows from the test before its first portion; each portion is an equal share of what is left.
 * @param now ms
 * @param ownTasks what the ids of the step's own tasks begin with: doses logged by them are portions of this dose, every other one is
 * another dose
 * @returns null without a net volume or a test of today, less than 20 h after another dose that raises it or what the salt brings
 * besides, once the day's portions are in, at the target, and where a pump raises it
 * @example
 * raiseToday(journal, hall, { parameter: 'k', middleOf: [370, 430] }, settings, now, 'c1/step-2-dose/')?.dose.amount // mL of a portion
 */
export function raiseToday(
  journal: Journal,
  tank: Tank,
  { parameter: parameterId, middleOf, perDay, until }: RaiseStep,
  settings: Settings,
  now: number,
  ownTasks: string,
): RaiseToday | null {
  const parameter = parameterById(parameterId)
  if (!parameter) return null
  const { netL, middle, uptake, hasSmallPolyps, levelOf } = correctionStart(journal, tank, parameter, now)
  const { clock } = settings
  if (netL === null) return null
  const midnight = clock.instantAt(clock.dayOf(now))
  const since = Math.min(midnight, now - APART_HOURS * MS_PER_HOUR)
  const isOwn = ({ content }: DoseLine): boolean => content.taskId?.startsWith(ownTasks) ?? false
  const isRaisedByOthers = (id: string): boolean =>
    raisingDoses(journal, tank.id, id, since, now).some((dose) => !isOwn(dose))
  const own = raisingDoses(journal, tank.id, parameterId, since, now).filter(isOwn)
  const given = own.filter(({ at }) => at >= midnight)
  const tests = valuesOf(journal, tank.id, parameterId, midnight, now)
  // The day's dose stays what it was when its first portion went in.
  const test = given[0] ? tests.findLast(({ at }) => at <= given[0]!.at) : tests.at(-1)
  if (!test || isRaisedByOthers(parameterId)) return null
  const isByPump = pumpsInTank(journal, tank, settings.timeZone, now).some(({ rises }) =>
    rises.some((rise) => rise.parameter.id === parameterId && rise.dosed > 0),
  )
  if (isByPump) return null
  const aim = until ?? middle ?? (middleOf ? (middleOf[0] + middleOf[1]) / 2 : null)
  if (aim === null || test.value >= aim || tests.at(-1)!.value >= aim) return null
  const shelf = shelfOf(journal)
  const usual = preferredSalt(parameterId, shelf)
  const insteadOf = usual?.side ? sideForbids(journal, tank, usual, hasSmallPolyps, now) : null
  const salt = insteadOf ? (plainSalts(parameterId, shelf)[0] ?? usual) : usual
  // Never two carbonates together: what a salt brings besides may not have been raised either.
  if (!salt || (salt.side && isRaisedByOthers(salt.side.parameter))) return null
  const product = shelf.find(({ ingredient }) => ingredient === salt.id) ?? null
  const sideNow = salt.side ? levelOf(salt.side.parameter) : undefined
  const planned = planRaise({
    salt,
    now: test.value,
    target: perDay === undefined ? aim : Math.min(aim, test.value + perDay),
    netL,
    uptakePerDay: uptake && isUptakeCertain(uptake) ? uptake.perDay : 0,
    hasSmallPolyps,
    ...(sideNow !== undefined && { sideNow }),
  })
  if (!planned.ok || (insteadOf && salt.side)) return null
  const { dosedPerDay, portions } = planned.value
  const perMgPerL = raisedBy(salt.id, parameterId, 1)
  const raised = given.reduce(
    (sum, { content }) => sum + raisedBy(content.ingredient, parameterId, (countedMassMg(content) ?? 0) / netL),
    0,
  )
  const left = dosedPerDay - raised
  if (given.length >= portions || left <= dosedPerDay * LEAST_SHARE) return null
  // Fewer and larger portions where the tool cannot measure one of as many; alkalinity's size of a portion is a limit of its own.
  const isLimited = parameterId === 'alk-kh' || salt.side?.parameter === 'alk-kh'
  const shares = Array.from({ length: portions - given.length }, (_, i) => i + 1).reverse()
  const share =
    shares.find((parts) => isLimited || !doseToLevel(left / parts / perMgPerL, netL, product)?.belowMeasurable) ?? 1
  const rise = left / share
  const measured = doseToLevel(rise / perMgPerL, netL, product)
  // Without a product: grams of the dry salt, not of what it is counted in.
  const dose =
    measured && product === null
      ? { ...measured, amount: (planned.value.gramsPerDay * rise) / dosedPerDay, unit: 'g' as const }
      : measured
  const lastOwn = own.at(-1)
  const wholeDayAgo = own.at(-portions)
  // What no tool can measure after the first portions is rounding.
  if (dose?.belowMeasurable && given.length > 0) return null
  return (
    dose && {
      parameter,
      salt,
      product,
      testedAt: test.at,
      from: test.value + raised,
      to: test.value + raised + rise,
      aim,
      plan: planned.value,
      dose,
      portion: { number: given.length + 1, of: given.length + share },
      notBefore: Math.max(
        midnight,
        lastOwn ? lastOwn.at + PORTION_GAP_HOURS * MS_PER_HOUR : 0,
        wholeDayAgo ? wholeDayAgo.at + APART_HOURS * MS_PER_HOUR : 0,
      ),
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
