import { caseById, type Case } from '../../../diagnosis/cases.ts'
import type { Journal } from '../../../journal/journal.ts'
import type { Definition } from '../../../catalogue/courses/definitions.ts'
import { coursesOf, type Course } from '../../course.ts'
import { fullCourseName } from '../../names.ts'
import type { CoursePlan } from '../../plan.ts'

/** The definition of what follows an outbreak. */
export const AFTERCARE_ID = 'aftercare'

/** Plans that leave more to bring back than the looks: what to choose for them. */
const LEFT_BY: Readonly<Record<string, readonly string[]>> = {
  'cyano-fresh-blackout': ['was-dark'],
  'water-clear': ['was-dark'],
  'planaria-fenbendazole': ['crew-out'],
  'dino-uv': ['uv-on', 'crew-out'],
}

/** Measures by which a film or an alga is judged, and those of a pest. */
const FILM_MEASURES: ReadonlySet<string> = new Set(['coverage', 'patch-stage', 'cells', 'diatom-share', 'wet-g'])
const PEST_MEASURES: ReadonlySet<string> = new Set(['pest-count', 'left', 'removed', 'alive', 'came-off'])

/**
 * What to choose for the aftercare of a plan: ids of choices of its options.
 * @returns null for a plan that is not against an outbreak: it has no relapse to look for
 * @example aftercareChoices(definitionById('planaria-fenbendazole')!) // ['pest-count', 'crew-out']
 */
export function aftercareChoices({ id, kind, tracks }: Definition): readonly string[] | null {
  if (id === AFTERCARE_ID || (kind !== 'plan' && kind !== 'coral')) return null
  const measures = tracks.flatMap((track) =>
    track.kind === 'measure' || track.kind === 'series' ? [track.measure] : [],
  )
  const isCells = measures.some((measure) => measure === 'cells' || measure === 'diatom-share')
  const isPest = kind === 'coral' || measures.some((measure) => PEST_MEASURES.has(measure))
  if (!isPest && !measures.some((measure) => FILM_MEASURES.has(measure))) return null
  return [isPest ? 'pest-count' : isCells ? 'cells' : 'coverage', ...(LEFT_BY[id] ?? [])]
}

/** The course after a plan: what to choose for it, and the one that was begun already. */
interface AftercareOffer {
  choices: readonly string[]
  begunId: string | null
}

/** What is offered once a plan against an outbreak is finished, or what it is for is reached; null before. */
export function aftercareOffer(
  journal: Journal,
  { course, rules }: Pick<CoursePlan, 'course' | 'rules'>,
): AftercareOffer | null {
  const choices = aftercareChoices(course.definition)
  const isOver = course.ended
    ? course.ended.outcome === 'finished'
    : rules.some(({ role, state }) => role === 'success' && state === 'holds')
  if (choices === null || !isOver) return null
  const begun = coursesOf(journal).find(
    ({ definition, tankId, startedAt }) =>
      definition.id === AFTERCARE_ID && tankId === course.tankId && startedAt >= (course.ended?.at ?? course.startedAt),
  )
  return { choices, begunId: begun?.id ?? null }
}

/** What an outbreak that came back has to do with a case. */
interface Relapse {
  courseId: string
  /** What was seen: "one is seen again". */
  what: string
  /** The closed case that it belongs to; null where the course was begun without one, or the case is open. */
  closed: Case | null
  /** The plan that had ended it: it is offered again with what was chosen for it. */
  again: { definitionId: string; name: string; choices: readonly string[] } | null
}

/** The plan against the outbreak that an aftercare followed: of the same case, else the last that ended in its tank. */
function planBefore(journal: Journal, after: Course): Relapse['again'] {
  const before = coursesOf(journal)
    .filter(
      ({ definition, ended, tankId }) =>
        aftercareChoices(definition) !== null &&
        tankId === after.tankId &&
        ended !== null &&
        ended.at <= after.startedAt,
    )
    .sort((a, b) => a.ended!.at - b.ended!.at)
  const plan = before.findLast(({ caseId }) => caseId !== null && caseId === after.caseId) ?? before.at(-1)
  return plan
    ? { definitionId: plan.definition.id, name: fullCourseName(plan), choices: Object.values(plan.options) }
    : null
}

/** Whether what a course looks for is back; null while it is not, and once the course is over. */
export function relapseOf(journal: Journal, { course, rules }: Pick<CoursePlan, 'course' | 'rules'>): Relapse | null {
  if (course.definition.id !== AFTERCARE_ID || course.ended) return null
  const back = rules.find(({ role, state }) => role === 'escalate' && state === 'holds')
  if (!back) return null
  const found = course.caseId === null ? null : caseById(journal, course.caseId)
  return {
    courseId: course.id,
    what: back.rule,
    closed: found?.ended ? found : null,
    again: planBefore(journal, course),
  }
}
