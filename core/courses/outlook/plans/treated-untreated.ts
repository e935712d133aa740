import type { CountMeasure } from '../../../catalogue/courses/definitions.ts'
import { compareArms, untreatedNeeded, type ArmComparison } from '../../../evidence/compare-arms.ts'
import type { Part } from '../../../household/parts.ts'
import { median } from '../../../numbers/median.ts'
import type { CoursePlan } from '../../plan.ts'
import { leastRealChange, type MeasureState } from '../../tracks/measure.ts'
import { isUntreated } from '../../tracks/series.ts'

/** Two observers, or one on two days, may differ by so many stages: outbreaks.md 7, patch-stage. */
export const STAGE_NOISE = 1

/** What was treated against what was left untreated, and since when. */
export interface TreatedUntreated extends ArmComparison {
  /** What the difference is in: stages, or the unit of the count. */
  unit: string
  what: Part['what']
  /** Whether the parts are compared by how much each has changed since before the treatment. */
  isByChange: boolean
  /** The last score that both arms have before an untreated part was treated, ms. */
  at: number
  /** When the first dose or the first work at the bench of the course was, ms. */
  treatedSince: number
  /** When an untreated part was treated after all, ms: no score after it is compared. */
  endedAt: number | null
  /** How many of so many parts to leave untreated the next time; null where enough are, or there are too few for any. */
  wanted: number | null
}

/** What is worked on by itself: corals share their water, and none of them is without what is done to it. */
const WORKED_ON: ReadonlySet<Part['what']> = new Set(['patch', 'rock', 'plant'])

/**
 * What may still be chosen of a part: to leave it untreated, before anything was done to it, or to treat it from now on.
 * @returns null where there is no choice left
 */
export function untreatedChoice(plan: CoursePlan, part: Part): 'leave' | 'treat' | null {
  const { course, facts } = plan
  if (course.ended || part.releasedAt !== null) return null
  if (part.control) return 'treat'
  const isTouched = facts.sessions.length > 0 || workedOnAt(plan, part.id) !== null
  return WORKED_ON.has(part.what) && !isTouched ? 'leave' : null
}

interface Score {
  at: number
  value: number
}

/** A part with everything that was scored or counted of it, in time order. */
interface Followed {
  part: Part
  scores: readonly Score[]
  /** When its own treatment began, where that was not with the others', ms. */
  since?: number | null
}

/** Counts that are the work itself, not what comes of it. */
const OF_WORK: ReadonlySet<string> = new Set<CountMeasure>(['removed', 'came-off', 'left'])
const isOfWork = (measure: string): boolean => OF_WORK.has(measure)

/** When something was first taken off a part; null for one that nobody has worked on. */
const workedOnAt = ({ facts }: CoursePlan, partId: string): number | null =>
  facts.counts.find(({ measure, parts }) => isOfWork(measure) && parts.some((counted) => counted.partId === partId))
    ?.at ?? null

const endOf = (followed: readonly Followed[]): number | null =>
  followed.reduce<number | null>(
    (first, { part: { releasedAt } }) => (releasedAt === null ? first : Math.min(first ?? Infinity, releasedAt)),
    null,
  )

/** The parts of a measure that is counted one by one. */
const followedBy = (
  { rounds }: MeasureState,
  parts: readonly Part[],
  since: ReadonlyMap<string, number | null>,
): Followed[] =>
  parts.map((part) => ({
    part,
    since: isUntreated({ part }) ? null : (since.get(part.id) ?? null),
    scores: rounds.flatMap((round) =>
      round.parts.filter(({ partId }) => partId === part.id).map(({ value }) => ({ at: round.at, value })),
    ),
  }))

/** The last score of each part after the treatment began and before an untreated one was treated, with the one before it began. */
function scoredIn(followed: readonly Followed[], treatedSince: number, endedAt: number | null) {
  return followed.flatMap(({ part, scores, since }) => {
    const begun = since ?? treatedSince
    const last = scores.findLast(({ at }) => at > begun && (endedAt === null || at < endedAt))
    const before = scores.findLast(({ at }) => at <= begun)
    return last ? [{ isUntreated: isUntreated({ part }), what: part.what, last, before: before ?? null }] : []
  })
}

/**
 * The comparison of a plan that scores its parts, or counts on them. Scores count from the day after the treatment began on, and only
 * until an untreated part is treated itself.
 * @returns null without a treatment, or without a score of both arms after it
 * @example
 * treatedUntreatedOf(plan)?.verdict // 'hints': three rocks worked on, one left alone
 */
export function treatedUntreatedOf(plan: CoursePlan): TreatedUntreated | null {
  const { series, measures, facts } = plan
  const dosedSince = facts.sessions[0]?.at ?? null
  if (series)
    return dosedSince === null
      ? null
      : compared(series.parts, {
          treatedSince: dosedSince,
          better: 'higher',
          unit: 'stages',
          noise: () => STAGE_NOISE,
        })
  // Without a dose the work is the treatment, of those parts that were worked on; what waits for its turn is in neither arm.
  const since = new Map(facts.parts.map((part) => [part.id, dosedSince ?? workedOnAt(plan, part.id)]))
  const begun = [...since.values()].filter((at) => at !== null)
  if (begun.length === 0) return null
  const parts = facts.parts.filter((part) => isUntreated({ part }) || since.get(part.id) !== null)
  for (const measure of measures) {
    if (isOfWork(measure.track.measure)) continue
    const found = compared(followedBy(measure, parts, since), {
      treatedSince: Math.min(...begun),
      better: measure.track.better,
      unit: measure.track.unit,
      noise: (treated, untreated) => leastRealChange(measure.track.measure, treated, untreated),
    })
    if (found) return found
  }
  return null
}

function compared(
  followed: readonly Followed[],
  {
    treatedSince,
    better,
    unit,
    noise,
  }: {
    treatedSince: number
    better: 'higher' | 'lower'
    unit: string
    /** By how much two values may differ for no reason. */
    noise: (treated: number, untreated: number) => number
  },
): TreatedUntreated | null {
  const endedAt = endOf(followed)
  const scored = scoredIn(followed, treatedSince, endedAt)
  const arm = (untreated: boolean) => scored.filter((one) => one.isUntreated === untreated)
  if (arm(false).length === 0 || arm(true).length === 0) return null
  // Stages all begin at nought; counts do not, and are compared by what became of them, where each was counted before.
  const isByChange = unit !== 'stages' && scored.every(({ before }) => before !== null)
  const valuesOf = (untreated: boolean) =>
    arm(untreated).map(({ last, before }) => (isByChange ? last.value - before!.value : last.value))
  const levels = (untreated: boolean) => median(arm(untreated).map(({ last }) => last.value))
  const result = compareArms(valuesOf(false), valuesOf(true), { better, noise: noise(levels(false), levels(true)) })
  if (!result) return null
  const wanted = untreatedNeeded(scored.length)
  return {
    ...result,
    unit,
    what: scored[0]!.what,
    isByChange,
    at: Math.max(...scored.map(({ last }) => last.at)),
    treatedSince,
    endedAt,
    wanted: wanted !== null && wanted > result.untreated ? wanted : null,
  }
}
