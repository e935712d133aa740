import { bandFor, parameterById } from '../../catalogue/parameter.ts'
import { lifeModelOf } from '../../catalogue/treatments/treatments.ts'
import { trendFit } from '../../evidence/trend.ts'
import { tankById } from '../../household/tanks.ts'
import type { Journal } from '../../journal/journal.ts'
import { valuesOf } from '../../readings/evidence.ts'
import { iso, MS_PER_DAY, type ZoneClock } from '../../time/zone.ts'
import type { CoursePlan } from '../plan.ts'
import { COMPARED_DAYS, fishlessRisk } from './fishless-risk.ts'

/** The curve from the first day on: a point a day. */
export const fallowCurve = (parasite: string, slowShare: number, lastDay: number): { day: number; risk: number }[] =>
  Array.from({ length: lastDay + 1 }, (_, day) => ({ day, risk: fishlessRisk(parasite, day, slowShare) ?? 0 }))

/** Alkalinity readings that say anything of today's slope: as far back as this (EA). */
const TREND_DAYS = 30
/** Corals are kept over this, dKH. */
const CORAL_ALKALINITY_LOW = 7

/** How alkalinity goes on if nothing is added, dKH. */
export interface AlkalinityOutlook {
  now: number
  perDay: number
  bandLow: number
  /** When it leaves its band below; null where it does not. */
  crossesAt: number | null
}

/** The line through the alkalinity of the last month; null with fewer than three readings. */
export function alkalinityOutlook(journal: Journal, tankId: string, now: number): AlkalinityOutlook | null {
  const tank = tankById(journal, tankId)
  const parameter = parameterById('alk-kh')
  if (!tank || !parameter) return null
  // Corals in a small tub: quarantine.md 7.5, coral-chem.
  const low = bandFor(parameter, tank.profile)?.[0] ?? CORAL_ALKALINITY_LOW
  const readings = valuesOf(journal, tankId, 'alk-kh', now - TREND_DAYS * MS_PER_DAY + 1, now).map(({ at, value }) => ({
    at: iso(at),
    value,
  }))
  const fit = trendFit({ readings, targets: [low], now: iso(now) })
  if (!fit.ok) return null
  const [reach] = fit.value.reach
  return {
    now: fit.value.valueNow,
    perDay: fit.value.slopePerDay,
    bandLow: low,
    crossesAt: reach?.at == null || fit.value.slopePerDay >= 0 ? null : Date.parse(reach.at),
  }
}

/** How much of an edge a coral has lost and would lose, mm, by its counts of "edge-mm" since the start. */
function recessionPerDay(journal: Journal, tankId: string, from: number, now: number): number | null {
  const byPart = new Map<string, { at: number; value: number }[]>()
  for (const { at, content } of journal.ofKind('count'))
    if (content.tankId === tankId && content.measure === 'edge-mm' && at >= from && at <= now)
      for (const { partId, value } of content.parts ?? [])
        byPart.set(partId, [...(byPart.get(partId) ?? []), { at, value }])
  const slopes = [...byPart.values()].flatMap((counts) => {
    const [first, last] = [counts[0]!, counts.at(-1)!]
    const days = (last.at - first.at) / MS_PER_DAY
    return days > 0 ? [(last.value - first.value) / days] : []
  })
  return slopes.length === 0 ? null : Math.max(...slopes)
}

/** What waiting until a day costs and buys. */
export interface PriceOfWaiting {
  days: number
  /** The midnight on which those days are full; null for today. */
  at: number | null
  risks: readonly { parasite: string; risk: number }[]
  /** dKH by then if nothing is added; null where it is not known. */
  alkalinity: number | null
  isUnderBand: boolean
  /** mm more of the worst measured coral edge by then; null where none was measured twice. */
  recessionMm: number | null
}

/**
 * The price of waiting side by side: today, and 30, 45, 60 and 76 days (further-schools.md 2).
 * @param slowShares the keeper's word on the slow strain, by parasite; the handbook's where it is left out
 */
export function priceOfWaiting(
  journal: Journal,
  { course, fishless, facts }: CoursePlan,
  clock: ZoneClock,
  slowShares: Readonly<Record<string, number>> = {},
): PriceOfWaiting[] {
  if (!fishless || fishless.begunAt === null) return []
  const { now } = facts
  const begunDay = clock.dayOf(fishless.begunAt)
  const alkalinity = alkalinityOutlook(journal, course.tankId, now)
  const perDayMm = recessionPerDay(journal, course.tankId, course.startedAt, now)
  const parasites = course.definition.treats.filter((one) => lifeModelOf(one) !== undefined)
  const days = [fishless.days, ...COMPARED_DAYS.filter((one) => one > fishless.days)]
  return days.map((day, i) => {
    const at = i === 0 ? now : clock.instantAt(begunDay + day)
    const ahead = (at - now) / MS_PER_DAY
    const value = alkalinity && alkalinity.now + alkalinity.perDay * ahead
    return {
      days: day,
      at: i === 0 ? null : at,
      risks: parasites.map((parasite) => ({
        parasite,
        risk: fishlessRisk(parasite, day, slowShares[parasite]) ?? 0,
      })),
      alkalinity: value === null ? null : Math.max(0, value),
      isUnderBand: value !== null && value < alkalinity!.bandLow,
      recessionMm: perDayMm === null ? null : Math.max(0, perDayMm * ahead),
    }
  })
}
