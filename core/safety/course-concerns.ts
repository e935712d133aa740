import { definitionById, withChosenParts, type Definition } from '../catalogue/courses/definitions.ts'
import { doseById } from '../catalogue/treatments/treatments.ts'
import { coursesOf, startInWords } from '../courses/course.ts'
import { tierOf } from '../courses/amounts/planned-session.ts'
import { fullCourseName } from '../courses/names.ts'
import { animalById } from '../household/animals.ts'
import type { ContentOf } from '../journal/entry.ts'
import type { Journal } from '../journal/journal.ts'
import { planConcerns } from './plan-concerns.ts'
import { nearConcerns } from './crossing.ts'
import { sensitivityConcerns, treatmentConcerns, type Asking, type Concern } from './concerns.ts'

/** Kinds of course that what comes from another tank would set back. */
const ISOLATED: ReadonlySet<string> = new Set(['school', 'fallow', 'coral'])

/** What speaks against a course: its drug in that water, and another school for the same fish. */
export function startConcerns(
  journal: Journal,
  start: ContentOf<'course-start'>,
  at: number,
  { now, except }: Asking,
): Concern[] {
  const { definition: definitionId, tanks, doseId } = startInWords(start)
  const definition = definitionById(definitionId)
  const tankId = tanks.main
  if (tankId === undefined) return []
  const drug = doseId ?? definition?.drugs[0]
  const dose = drug === undefined ? undefined : doseById(drug)
  const until = { until: Math.max(at, now), ...(except !== undefined && { except }) }
  // What a plan puts into the water, at the cap of its tier.
  const chosen = definition && withChosenParts(definition, start.options ?? {})
  const levelOf = (ingredient: string) =>
    chosen?.steps.find(({ amount }) => amount === 'to-level')?.mgPerL ??
    (ingredient === 'peroxide' ? tierOf(start.options?.['tier']).capMgPerL : null)
  const syringed =
    definition?.kind === 'plan'
      ? definition.products.flatMap(({ ingredient }) =>
          treatmentConcerns(
            journal,
            tankId,
            { agent: ingredient, addsMgPerL: levelOf(ingredient), courseId: start.courseId },
            at,
            until,
          ),
        )
      : []
  const others = [
    ...sameFishConcerns(journal, start, tankId, at),
    ...(definition && ISOLATED.has(definition.kind) ? nearConcerns(journal, tankId) : []),
    ...syringed,
    ...(definition ? planConcerns(journal, definition, start, tankId, at) : []),
    ...(chosen ? roundConcerns(journal, chosen, start, { at, until, tankId }) : []),
  ]
  if (!dose || definition?.drugs.length === 0) return others
  return [
    ...others,
    ...treatmentConcerns(
      journal,
      tankId,
      {
        agent: dose.agent,
        dose,
        courseId: start.courseId,
        ...(start.direct !== undefined && { direct: start.direct }),
        ...(start.rampHours !== undefined && { rampHours: start.rampHours }),
      },
      at,
      until,
    ),
  ]
}

/** Another school that runs for the same fish: their moves and counts would cut across each other. */
function sameFishConcerns(
  journal: Journal,
  { courseId, animalIds, definition, protocol }: ContentOf<'course-start'>,
  tankId: string,
  at: number,
): Concern[] {
  if (definitionById(definition ?? protocol ?? '')?.kind !== 'school') return []
  return coursesOf(journal)
    .filter(
      (course) =>
        course.id !== courseId &&
        course.definition.kind === 'school' &&
        course.startedAt <= at &&
        (course.ended === null || course.ended.at > at) &&
        (course.tankId === tankId || course.animalIds.some((id) => animalIds.includes(id))),
    )
    .map((course) => ({
      rule: 'two-schools',
      severity: 'block' as const,
      what: `${fullCourseName(course)} runs for the same fish or in the same water`,
      reason: 'two schools cut across each other’s moves and counts: finish or stop the first',
      override: 'reason-and-vet' as const,
    }))
}

/**
 * What speaks against a course's counts of doses and its low salinity, as the water stands. Baths are apart from the water: of
 * them only what the fish do not tolerate counts.
 */
function roundConcerns(
  journal: Journal,
  { tracks }: Definition,
  { courseId, animalIds }: ContentOf<'course-start'>,
  { at, until, tankId }: { at: number; until: { until: number; except?: string }; tankId: string },
): Concern[] {
  return tracks.flatMap((track) => {
    if (track.kind === 'hold' && track.by === 'salinity')
      return treatmentConcerns(journal, tankId, { agent: 'hyposalinity', courseId }, at, until)
    // What is dosed after the treatment goes into other water, and is asked about then.
    if (track.kind !== 'rounds' || track.of !== 'dose' || track.first.after === 'watch') return []
    const dose = doseById(track.dose)
    if (!dose) return []
    if (dose.route !== 'bath')
      return treatmentConcerns(journal, tankId, { agent: dose.agent, dose, courseId }, at, until)
    const fish = animalIds.flatMap((id) => animalById(journal, id) ?? [])
    return sensitivityConcerns(fish, { agent: dose.agent, dose })
  })
}
