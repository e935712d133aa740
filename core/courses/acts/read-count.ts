import { isOnScale, measureScale, scaleWords } from '../../catalogue/measures.ts'
import type { Part } from '../../household/parts.ts'
import type { Content, ContentOf } from '../../journal/entry.ts'
import type { Journal } from '../../journal/journal.ts'
import { iso } from '../../time/zone.ts'
import type { CoursePlan } from '../plan.ts'
import { countedParts } from '../record/counted-parts.ts'
import type { CourseTask } from '../tasks.ts'
import type { ActRead } from './act-read.ts'

/** Stands for the tank where nothing is counted one by one. */
export const WHOLE_TANK = 'all'

/** What was counted, by part or as WHOLE_TANK; what is left out was not counted, null is no number. */
export type Counted = Readonly<Record<string, number | null>>

type CountContent = ContentOf<'count'>

const baseOf = ({ course }: CoursePlan, task: CourseTask, at: number) => ({
  kind: 'count' as const,
  happened: iso(at),
  tankId: course.tankId,
  courseId: course.id,
  taskId: task.id,
})

/** The scores of the patches that were looked at, in one entry. */
export function readPatchScores(plan: CoursePlan, task: CourseTask, scores: Counted, at: number): ActRead {
  const scored = (plan.series?.parts ?? []).flatMap(({ part: { id } }) =>
    scores[id] == null ? [] : [{ partId: id, value: scores[id] }],
  )
  return scored.length === 0
    ? { problems: { parts: { message: 'the stage of each patch' } } }
    : { contents: [{ ...baseOf(plan, task, at), measure: 'patch-stage', parts: scored }] }
}

/** What a count of a plan goes over: its parts one by one, or none for the whole tank. */
export const partsOfCount = (journal: Journal, plan: CoursePlan, task: CourseTask): Part[] =>
  task.each === undefined ? [] : countedParts(journal, plan.course, task.each)

/**
 * One count of a plan, of the whole tank or part by part.
 * @returns with a problem under the part (or WHOLE_TANK) whose figure is not on the measure's scale
 */
export function readMeasure(
  journal: Journal,
  plan: CoursePlan,
  task: CourseTask,
  counted: Counted,
  at: number,
): ActRead {
  const measure = task.measure!
  const parts = partsOfCount(journal, plan, task)
  const unit = plan.measures.find((one) => one.track.measure === measure)?.track.unit ?? ''
  const given = parts.length > 0 ? parts.flatMap(({ id }) => (counted[id] === undefined ? [] : [id])) : [WHOLE_TANK]
  const wrong = given.find((id) => {
    const value = counted[id] ?? null
    return value === null || !isOnScale(measure, value)
  })
  if (wrong !== undefined) return { problems: { [wrong]: { message: `expected ${scaleWords(measure, unit)}` } } }
  if (given.length === 0) return { problems: { parts: { message: 'what was counted' } } }
  return {
    contents: [
      {
        ...baseOf(plan, task, at),
        measure,
        ...(parts.length > 0
          ? { parts: given.map((id) => ({ partId: id, value: counted[id]! })) }
          : { values: [counted[WHOLE_TANK]!] }),
      },
    ],
  }
}

/** Whether a measure is typed as a figure, and not tapped. */
export const isTypedMeasure = (task: CourseTask): boolean => measureScale(task.measure!).entry === 'typed'

/** What came off a coral in a round of dips, or was seen at a look. */
export interface HostCount {
  cameOff: number | null
  eggs: number | null
  brushed: boolean
}

export const NOT_COUNTED: HostCount = { cameOff: null, eggs: null, brushed: false }

/** Whether a count is of what came off in a dip; else it is a look. */
export const isDipCount = ({ measure }: CourseTask): boolean => measure === 'came-off'

/** The corals that a count of dips asks for: of a round those that were not counted yet. */
export const hostsOfCount = (plan: CoursePlan, task: CourseTask): readonly { id: string; name: string }[] =>
  (isDipCount(task) ? plan.dips?.rounds.at(-1)?.uncounted : plan.dips?.hosts) ?? []

/**
 * What came off or was seen, coral by coral.
 * @param counts by coral; null where there was nothing on any
 * @param pest   which pest it was: it sets the pace from this round on; left out where nobody said
 */
export function readDipCount(
  plan: CoursePlan,
  task: CourseTask,
  counts: Readonly<Record<string, HostCount>> | null,
  at: number,
  pest?: string,
): ActRead {
  const hosts = hostsOfCount(plan, task)
  const of = (id: string) => counts?.[id] ?? NOT_COUNTED
  const measured = (measure: CountContent['measure'], value: (one: HostCount) => number | null): Content[] => {
    const parts = hosts.flatMap(({ id }) => {
      const counted = counts === null ? 0 : value(of(id))
      return counted === null ? [] : [{ partId: id, value: counted }]
    })
    return parts.length === 0 ? [] : [{ ...baseOf(plan, task, at), measure, parts }]
  }
  const contents = isDipCount(task)
    ? [
        ...measured('came-off', ({ cameOff }) => cameOff),
        ...(counts === null ? [] : measured('eggs', ({ eggs }) => eggs)),
        ...(counts === null ? [] : measured('brushed', ({ brushed }) => (brushed ? 1 : null))),
      ]
    : measured('pest-count', ({ cameOff, eggs }) => (cameOff ?? 0) + (eggs ?? 0))
  if (contents.length === 0) return { problems: { hosts: { message: 'what was on each coral' } } }
  const { id: courseId, options } = plan.course
  const isFound = hosts.some(({ id }) => (of(id).cameOff ?? 0) > 0 || (of(id).eggs ?? 0) > 0)
  if (pest === undefined || pest === options['pest'] || !isFound) return { contents }
  return {
    contents: [
      ...contents,
      { kind: 'course-change', happened: iso(at), courseId, changes: { options: { ...options, pest } } },
    ],
  }
}
