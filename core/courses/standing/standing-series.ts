import { iso } from '../../time/zone.ts'
import type { CoursePlan } from '../plan.ts'
import type { CourseStanding } from './standing.schema.ts'

/** Scores of a plan's parts, one by one. */
const seriesOf = (plan: CoursePlan): CourseStanding['series'] =>
  (plan.series?.parts ?? []).map(({ part, last, expected, verdict }) => ({
    track: plan.series!.track.id,
    part: part.id,
    control: part.control,
    last: last && { at: iso(last.at), value: last.value },
    expected,
    verdict,
  }))

/** Measures of a plan, all parts together. */
const measuresOf = (plan: CoursePlan): CourseStanding['series'] =>
  plan.measures.map(({ track, last, expected, verdict }) => ({
    track: track.id,
    part: ALL_PARTS,
    control: false,
    last: last && { at: iso(last.at), value: last.value },
    expected,
    verdict,
  }))

/** What a measure of the whole tank says for its part. */
const ALL_PARTS = 'all'

/** What a plan scores and counts, as its standing says it. */
export const seriesStanding = (plan: CoursePlan): CourseStanding['series'] => [...seriesOf(plan), ...measuresOf(plan)]
