import { MS_PER_HOUR } from '../../time/zone.ts'
import type { PestByCounts, PestByCountsInput } from '../../pests/pests.schema.ts'
import type { DipsState } from '../tracks/dips.ts'

/** What nobody counts: assumed (EA), and open to the keeper. */
export interface DipAssumptions {
  /** Share of the animals out of the egg that a dip kills. */
  killMobile: number
  /** Share of the eggs that are scraped off at a dip. */
  removeEggs: number
  eggsPerAdultPerDay: number
}

/** The kill is at least and at most this whatever the counts say: a few animals are chance. */
const KILL_LIMITS = [0.5, 0.98] as const
const USUAL: DipAssumptions = { killMobile: 0.9, removeEggs: 0.5, eggsPerAdultPerDay: 2 }
/** Where nobody knows when it lays, a week is taken: the shorter, the worse. */
const UNKNOWN_MATURITY_DAYS = 7
const RUNS = 4000
const HOURS_PER_DAY = 24

/**
 * The assumptions that a keeper's own counts speak for: where the counts fall from dip to dip, the share that each dip took is what is
 * missing of the count before; else the usual ones.
 */
export function dipAssumptions({ rounds }: DipsState): DipAssumptions {
  const counts = rounds.flatMap(({ cameOff }) => (cameOff === null ? [] : [cameOff]))
  const before = counts.slice(0, -1).reduce((sum, count) => sum + count, 0)
  const after = counts.slice(1).reduce((sum, count) => sum + count, 0)
  if (before === 0) return USUAL
  return { ...USUAL, killMobile: Math.min(KILL_LIMITS[1], Math.max(KILL_LIMITS[0], 1 - after / before)) }
}

/**
 * What to ask of `pest.clearanceByCounts` for a course of dips: from the last round in which something came off, with the eggs laid since
 * the dip before it, and the clean rounds since.
 * @param extra clean rounds still to come, at the course's interval
 * @param now   ms; rounds to come begin at the next one's best time, not before now
 * @returns null while nothing was counted, or no whole round followed
 * @example
 * clearanceInput(plan.dips, dipAssumptions(plan.dips), 1, now) // if one more clean dip is made
 */
export function clearanceInput(
  dips: DipsState,
  assumed: DipAssumptions,
  extra: number,
  now: number,
): PestByCountsInput | null {
  const { pace, rounds } = dips
  if (!pace.pest) return null
  const start = rounds.findLast(({ cameOff, eggs }) => (cameOff ?? 0) > 0 || eggs > 0)
  if (!start) return null
  const hours = (at: number) => (at - start.at) / MS_PER_HOUR
  const cameOff = start.cameOff ?? 0
  const adults = Math.max(1, cameOff / assumed.killMobile)
  const intervalHours = pace.intervalDays * HOURS_PER_DAY
  const clean = rounds.filter(({ at, state }) => at > start.at && (state === 'clean' || state === 'too-soon'))
  const first = Math.max(dips.nextAt ?? now, now)
  const [least, most] = pace.pest.hatchDays
  const maturity = (pace.pest.maturityDays ?? UNKNOWN_MATURITY_DAYS) * HOURS_PER_DAY
  return {
    cameOff,
    eggsMean: start.eggs + adults * assumed.eggsPerAdultPerDay * pace.intervalDays,
    hatchHours: { min: least * HOURS_PER_DAY, max: most * HOURS_PER_DAY },
    maturationHours: { min: maturity, max: 1.5 * maturity },
    eggsPerAdultPerDay: assumed.eggsPerAdultPerDay,
    killMobile: assumed.killMobile,
    removeEggs: assumed.removeEggs,
    cleanDipsHours: [
      ...clean.map(({ at }) => hours(at)),
      ...Array.from({ length: extra }, (_, i) => hours(first) + i * intervalHours),
    ],
    runs: RUNS,
    seed: 76,
  }
}

/** Under so many runs an answer is a hint (EA). */
const FEW_RUNS = 100

/**
 * What a number of runs that all agree can say at most: three in so many may still be otherwise (the rule of three, 95 %).
 * @example
 * believedShare({ overShare: 1, effectiveRuns: 6 }) // 0.5
 */
export const believedShare = ({
  overShare,
  effectiveRuns,
}: Pick<PestByCounts, 'overShare' | 'effectiveRuns'>): number => Math.min(overShare, Math.max(0, 1 - 3 / effectiveRuns))

/** How much an answer rests on, in a sentence. */
export function restsOnText({ effectiveRuns }: Pick<PestByCounts, 'effectiveRuns'>): string {
  const runs = Math.max(1, Math.round(effectiveRuns))
  const agree = `${runs} ${runs === 1 ? 'run' : 'runs'} of ${RUNS} of the model agree with your counts`
  return effectiveRuns < FEW_RUNS ? `Only ${agree}: a hint, no more.` : `${agree}.`
}

/** A share in words that are easily said: "nine chances in ten". */
export function chancesText(share: number): string {
  if (share >= 0.995) return 'as good as certain'
  if (share >= 0.95) return `${Math.round(share * 100)} chances in a hundred`
  const tenths = Math.round(share * 10)
  const words = ['no', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten']
  return tenths === 0 ? 'hardly a chance' : `${words[tenths]} ${tenths === 1 ? 'chance' : 'chances'} in ten`
}
