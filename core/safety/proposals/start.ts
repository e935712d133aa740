import { definitionById, withChosenParts, type Definition } from '../../catalogue/courses/definitions.ts'
import { isCopper } from '../../catalogue/treatments/groups.ts'
import { doseById, type Dose } from '../../catalogue/treatments/treatments.ts'
import { coursesOf, startInWords } from '../../courses/course.ts'
import { tierOf } from '../../courses/amounts/planned-session.ts'
import { fullCourseName } from '../../courses/names.ts'
import { animalById } from '../../household/animals.ts'
import { tankById } from '../../household/tanks.ts'
import { listed } from '../../words/numbers.ts'
import { changed } from '../../household/changed.ts'
import type { ContentOf } from '../../journal/entry.ts'
import type { Journal } from '../../journal/journal.ts'
import { directDose } from '../judge/direct-dose.ts'
import { planConcerns } from '../judge/plans.ts'
import { nearConcerns } from '../judge/crossing.ts'
import { concern, type Asking, type Concern } from '../concern.ts'
import { agentConcerns } from '../judge/interactions.ts'
import { treatmentConcerns } from '../judge/treat-water.ts'
import { sensitivityConcerns } from '../judge/sensitivities.ts'
import { agentName } from '../water/agents.ts'
import { waterBetween } from '../water/state.ts'
import { residentOf, residentsIn, type Resident } from '../water/residents.ts'

/** A course's start as it was written and as a change would leave it; null where the journal holds no such course. */
export function changedStart(
  journal: Journal,
  { courseId, changes }: ContentOf<'course-change'>,
): { before: ContentOf<'course-start'>; after: ContentOf<'course-start'> } | null {
  let start: ContentOf<'course-start'> | null = null
  for (const { content, struck } of journal.about(`course:${courseId}`)) {
    if (struck) continue
    if (content.kind === 'course-start') start = content
    else if (content.kind === 'course-change' && start)
      start = changed<ContentOf<'course-start'>>(start, content.changes)
  }
  return start && { before: start, after: changed<ContentOf<'course-start'>>(start, changes) }
}

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
            { agent: ingredient, makesMgPerL: levelOf(ingredient), courseId: start.courseId },
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
    ...(definition ? fullRedoseConcerns(definition, start) : []),
    ...tubConcerns(journal, tanks.tub, at),
  ]
  if (!dose || definition?.drugs.length === 0) return others
  const treatment = {
    agent: dose.agent,
    dose,
    courseId: start.courseId,
    ...(start.direct !== undefined && { direct: start.direct }),
    ...(start.rampHours !== undefined && { rampHours: start.rampHours }),
  }
  return [
    ...others,
    ...treatmentConcerns(journal, tankId, treatment, at, until),
    ...sensitivityConcerns(comingFish(journal, start, tankId, at), treatment),
    ...directConcerns(journal, start, dose, tankId, at),
  ]
}

/** A tub for baths in which animals live, or which is a display: the bath would be a dose into their water. */
function tubConcerns(journal: Journal, tubId: string | undefined, at: number): Concern[] {
  const tub = tubId === undefined ? null : tankById(journal, tubId)
  if (!tub) return []
  const living = residentsIn(journal, tub.id, at)
  if (living.length === 0 && tub.role !== 'display') return []
  const who = living.slice(0, 2).map(({ label }) => label)
  return [
    concern(
      'bath-tub',
      'never',
      `${tub.name} as the tub for a bath`,
      `${living.length === 0 ? 'it is a display' : `${listed(who)} ${living.length === 1 ? 'lives' : 'live'} in it`}: a bath is given in a tub, jar or bucket that holds nothing else`,
    ),
  ]
}

/** Fish of a course that do not live in its tank yet. */
const comingFish = (
  journal: Journal,
  { animalIds }: ContentOf<'course-start'>,
  tankId: string,
  at: number,
): Resident[] => {
  const here = new Set(residentsIn(journal, tankId, at).map(({ id }) => id))
  return animalIds
    .filter((id) => !here.has(id))
    .flatMap((id) => animalById(journal, id) ?? [])
    .map(residentOf)
}

/** Straight to the dose: where it is not offered, or only by a written reason. */
function directConcerns(
  journal: Journal,
  { direct, caseId }: ContentOf<'course-start'>,
  dose: Dose,
  tankId: string,
  at: number,
): Concern[] {
  if (direct !== true || !isCopper(dose.agent)) return []
  const { offer, why } = directDose(journal, tankId, dose, at, caseId)
  if (offer === 'default') return []
  return [
    concern(
      'direct-dose',
      'block',
      `${agentName(dose.agent)} straight to the dose`,
      why,
      offer === 'by-reason' ? 'reason' : 'reason-and-vet',
    ),
  ]
}

/** The stronger school against planaria is redosed for the replaced half alone: further-schools.md 6. */
function fullRedoseConcerns({ options }: Definition, start: ContentOf<'course-start'>): Concern[] {
  const chosen = (id: string) => start.options?.[id] ?? options.find((one) => one.id === id)?.choices[0]?.id
  return chosen('dose') === 'high' && chosen('redose') === 'full'
    ? [
        concern(
          'full-redose',
          'never',
          '2.6 mg/L redosed in full after each half change',
          'that comes to almost twice the stronger dose: redose the replaced half alone, or take the lower dose',
        ),
      ]
    : []
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

/** What speaks against an agent in bath water that is made like the tank's: its salt or its hardness. */
function bathWaterConcerns(journal: Journal, tankId: string, agent: string, at: number): Concern[] {
  const tank = waterBetween(journal, tankId, at)
  if (!tank) return []
  const contexts = tank.contexts.filter(({ id }) => id === 'ctx-hard-or-sea-water')
  return agentConcerns({ agent, isBath: true }, { ...tank, residents: [], contexts, agents: [] })
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
    const fish = animalIds.flatMap((id) => animalById(journal, id) ?? []).map(residentOf)
    return [
      ...sensitivityConcerns(fish, { agent: dose.agent, dose, isBath: true }),
      ...bathWaterConcerns(journal, tankId, dose.agent, at),
    ]
  })
}
