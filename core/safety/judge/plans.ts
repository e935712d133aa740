import type { Definition } from '../../catalogue/courses/definitions.ts'
import { coursesOf, type Course } from '../../courses/course.ts'
import { fullCourseName } from '../../courses/names.ts'
import { endMarkOf } from '../../courses/record/record-parts.ts'
import { residentsIn } from '../water/residents.ts'
import type { ContentOf } from '../../journal/entry.ts'
import type { Journal } from '../../journal/journal.ts'
import { MS_PER_DAY } from '../../time/zone.ts'
import type { Concern } from '../concern.ts'

/** Between two plans that treat a tank so many days pass: outbreaks.md 1, two-plans-at-once. */
const GAP_DAYS = 7

/** Procedures that put a chemical on what they treat. */
const CHEMICAL_PROCEDURES: ReadonlySet<string> = new Set(['peroxide-emersed', 'peroxide-bench', 'cyano-peroxide'])

/** Whether a plan treats with a chemical: the wrong one feeds the real pest. */
export const isChemicalPlan = ({ isTreatment, steps }: Definition): boolean =>
  isTreatment === true && steps.some(({ act, procedure }) => act === 'dose' || CHEMICAL_PROCEDURES.has(procedure ?? ''))

/** Other plans that treat the tank, or did within the last days. */
function twoTreatments(journal: Journal, courseId: string, tankId: string, at: number): Concern[] {
  // The treatment is over with its mark, before what follows is.
  const overAt = (course: Course): number | null => endMarkOf(journal, course, at) ?? course.ended?.at ?? null
  const isNear = (course: Course) => {
    const over = overAt(course)
    return (
      course.id !== courseId &&
      course.tankId === tankId &&
      course.definition.isTreatment === true &&
      course.startedAt <= at &&
      (over === null || at - over < GAP_DAYS * MS_PER_DAY)
    )
  }
  return coursesOf(journal)
    .filter(isNear)
    .map((course) => ({
      rule: 'two-treatments',
      severity: 'block' as const,
      what:
        overAt(course) === null
          ? `${fullCourseName(course)} treats the same tank`
          : `${fullCourseName(course)} ended less than ${GAP_DAYS} days ago`,
      reason: 'nobody knows what worked, and what each does to oxygen and animals adds up: one at a time, a week apart',
      override: 'reason' as const,
    }))
}

/** A cause that was confirmed in a case of the tank, which the plan is for. */
const isConfirmed = (journal: Journal, tankId: string, treats: readonly string[]): boolean =>
  journal
    .ofKind('case-start')
    .some(
      ({ content }) =>
        content.tankId === tankId &&
        journal
          .about(`case:${content.caseId}`)
          .some(
            ({ content: mark, struck }) =>
              !struck && mark.kind === 'case-mark' && mark.mark === 'confirmed' && treats.includes(mark.cause ?? ''),
          ),
    )

/** A coral whose group nobody told may be of the most sensitive one. */
const UNTOLD_CORAL = 'coral-sps'

/** A choice that is not for some of those who live in the tank: nine days in the dark with anemones. */
function choiceConcerns(
  journal: Journal,
  { options }: Definition,
  start: ContentOf<'course-start'>,
  tankId: string,
): Concern[] {
  const residents = residentsIn(journal, tankId, Date.parse(start.happened))
  return options.flatMap(({ id, choices }): Concern[] => {
    const choice = choices.find((one) => one.id === start.options?.[id])
    const suffer = residents.filter(({ group, kind }) =>
      choice?.notWith?.includes(group?.id ?? (kind === 'coral' ? UNTOLD_CORAL : '')),
    )
    return suffer.length === 0
      ? []
      : [
          {
            rule: 'choice-not-with',
            severity: 'block',
            what: `${choice!.label} with ${suffer.map(({ label }) => label).join(', ')}`,
            reason: choice!.notWithWhy ?? 'not for them',
            override: 'reason',
          },
        ]
  })
}

/**
 * What speaks against a plan for an outbreak: another one that treats the same tank, a chemical before anything was confirmed, a
 * choice that those in the tank do not tolerate. Emergencies are no treatment plans and wait for nothing.
 */
export function planConcerns(
  journal: Journal,
  definition: Definition,
  start: ContentOf<'course-start'>,
  tankId: string,
  at: number,
): Concern[] {
  return [
    ...(definition.isTreatment === true ? twoTreatments(journal, start.courseId, tankId, at) : []),
    ...(isChemicalPlan(definition) && !isConfirmed(journal, tankId, definition.treats)
      ? [
          {
            rule: 'confirm-first',
            severity: 'block' as const,
            what: 'Nothing was confirmed yet',
            reason: 'one check first, by microscope, touch or test: a treatment of the wrong thing feeds the real pest',
            override: 'reason' as const,
          },
        ]
      : []),
    ...choiceConcerns(journal, definition, start, tankId),
  ]
}
