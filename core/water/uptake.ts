import { typicalUncertainty, type Parameter, type ParameterId } from '../catalogue/parameter.ts'
import { estimateUptake } from '../evidence/uptake.ts'
import type { Journal } from '../journal/journal.ts'
import { iso, MS_PER_DAY } from '../time/zone.ts'
import { balanceEvents, usualNewWater, type BalanceEvent } from './balance.ts'
import { testPoints } from './points.ts'

/** Tests that say anything of today's uptake: as far back as this (EA). */
export const UPTAKE_DAYS = 30
/** Tests closer together tell their own errors and no uptake (EA). */
const LEAST_DAYS = 3

/** What is taken up, used or given off by what lives in the water. */
export const TAKEN_UP: readonly ParameterId[] = ['alk-kh', 'ca', 'mg', 'k', 'no3', 'po4', 'sio2', 'gh']

/** What a tank takes up of something in a day, by its tests, doses and changes. In the parameter's unit. */
export interface TankUptake {
  /** Negative where it rises by itself: food, leaching rock, evaporation. */
  perDay: number
  /** 95 % half-width. */
  error: number
  /** Days between the first and the last test, and how many tests there were. */
  days: number
  tests: readonly { at: number; value: number; halfWidth: number }[]
  intervals: readonly { from: number; to: number; perDay: number }[]
  events: readonly BalanceEvent[]
  /** Water changes whose water nobody described, and what each was taken to hold. */
  assumed: { changes: number; value: number } | null
}

/**
 * The uptake of a parameter in a tank over the last month: `uptake.estimate` on the household's own tests, suspects left out.
 * @param now ms
 * @returns null with tests that span less than three days, or where a change brought nobody knows what
 * @example
 * uptakeOf(journal, 'frag', alkalinity, Date.now())?.perDay // 0.18 dKH
 */
export function uptakeOf(journal: Journal, tankId: string, parameter: Parameter, now: number): TankUptake | null {
  const tests = testPoints(journal, tankId, parameter.id, now - UPTAKE_DAYS * MS_PER_DAY, now)
    // A lab reads otherwise than a kit: the gap between the two is no uptake.
    .filter(({ isSuspect, isByLab }) => !isSuspect && !isByLab)
    .map(({ at, value, halfWidth }) => ({
      at,
      value,
      halfWidth: halfWidth > 0 ? halfWidth : typicalUncertainty(parameter, value),
    }))
  const [first, last] = [tests[0], tests.at(-1)]
  if (!first || !last || last.at - first.at < LEAST_DAYS * MS_PER_DAY) return null
  const usual = usualNewWater(journal, tankId, parameter.id)
  const written = balanceEvents(journal, tankId, parameter.id, first.at, now)
  const untold = written.filter(({ fraction, replacement }) => fraction > 0 && replacement === null).length
  if (usual === null && untold > 0) return null
  const events = written.map((event) => ({ ...event, replacement: event.replacement ?? usual }))
  const uptake = estimateUptake({
    readings: tests.map(({ at, value }) => ({ at: iso(at), value })),
    additions: events.filter(({ add }) => add > 0).map(({ at, add }) => ({ at: iso(at), value: add })),
    waterChanges: events
      .filter(({ fraction }) => fraction > 0)
      .map(({ at, fraction, replacement }) => ({ at: iso(at), fraction, replacement: replacement! })),
  })
  if (!uptake.ok) return null
  const { meanPerDay, intervals } = uptake.value
  const days = (last.at - first.at) / MS_PER_DAY
  // Two tests' errors over their span; or how far the stretches between the tests differ, whichever is larger.
  const byKit = (Math.SQRT2 * last.halfWidth) / days
  const spread =
    intervals.length < 2
      ? 0
      : Math.sqrt(
          intervals.reduce((sum, { perDay }) => sum + (perDay - meanPerDay) ** 2, 0) /
            (intervals.length - 1) /
            intervals.length,
        )
  return {
    perDay: meanPerDay,
    error: Math.max(byKit, 1.96 * spread),
    days,
    tests,
    intervals: intervals.map(({ from, to, perDay }) => ({ from: Date.parse(from), to: Date.parse(to), perDay })),
    events,
    assumed: usual !== null && untold > 0 ? { changes: untold, value: usual } : null,
  }
}

/** Whether an uptake is known well enough to be dosed for: its error is at most half of the uptake (EA). */
export const isUptakeCertain = ({ perDay, error }: Pick<TankUptake, 'perDay' | 'error'>): boolean =>
  Math.abs(perDay) > 2 * error
