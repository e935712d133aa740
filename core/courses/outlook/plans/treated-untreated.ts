import { compareArms, untreatedNeeded, type ArmComparison } from '../../../evidence/compare-arms.ts'
import type { CoursePlan } from '../../plan.ts'
import { isUntreated, type PartSeries } from '../../tracks/series.ts'

/** Two observers, or one on two days, may differ by so many stages: outbreaks.md 7, patch-stage. */
export const STAGE_NOISE = 1

/** What was treated against what was left untreated, and since when. */
export interface TreatedUntreated extends ArmComparison {
  /** The last score that both arms have before an untreated part was treated, ms. */
  at: number
  /** When the first dose of the course was, ms. */
  treatedSince: number
  /** When an untreated part was treated after all, ms: no score after it is compared. */
  endedAt: number | null
  /** How many of so many parts to leave untreated the next time; null where enough are, or there are too few for any. */
  wanted: number | null
}

/**
 * The comparison of a plan that scores its parts. Scores count from the day after the first dose on, and only until an untreated
 * part is treated itself.
 * @returns null without a dose, or without a score of both arms after it
 */
export function treatedUntreatedOf({ series, facts }: CoursePlan): TreatedUntreated | null {
  const treatedSince = facts.sessions[0]?.at ?? null
  if (!series || treatedSince === null) return null
  const endedAt = series.parts.reduce<number | null>(
    (first, { part: { releasedAt } }) => (releasedAt === null ? first : Math.min(first ?? Infinity, releasedAt)),
    null,
  )
  const lastBefore = ({ scores }: PartSeries) =>
    scores.findLast(({ at }) => at > treatedSince && (endedAt === null || at < endedAt)) ?? null
  const scored = series.parts.flatMap((one) => {
    const last = lastBefore(one)
    return last ? [{ isUntreated: isUntreated(one), ...last }] : []
  })
  const values = (untreated: boolean) => scored.filter((one) => one.isUntreated === untreated).map(({ value }) => value)
  const compared = compareArms(values(false), values(true), { better: 'higher', noise: STAGE_NOISE })
  if (!compared) return null
  const wanted = untreatedNeeded(scored.length)
  return {
    ...compared,
    at: Math.max(...scored.map(({ at }) => at)),
    treatedSince,
    endedAt,
    wanted: wanted !== null && wanted > compared.untreated ? wanted : null,
  }
}
