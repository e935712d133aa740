import { DEFINITIONS } from '../../catalogue/courses/all-definitions.ts'
import { definitionById, type Definition } from '../../catalogue/courses/definitions.ts'
import { doseById } from '../../catalogue/treatments/treatments.ts'
import type { Settings } from '../../household/settings.ts'
import { shelfOf } from '../../household/shelf.ts'
import { kitFor, tankById, type Tank } from '../../household/tanks.ts'
import type { Content, ContentOf } from '../../journal/entry.ts'
import type { Journal } from '../../journal/journal.ts'
import { concernsOf } from '../../safety/concerns.ts'
import { directDose, type DirectDose } from '../../safety/judge/direct-dose.ts'
import { dayText, iso } from '../../time/zone.ts'
import { drugChoice } from '../amounts/drug-choices.ts'
import { runningIn } from '../course.ts'
import {
  startContent,
  startInstant,
  startProblems,
  type StartContext,
  type StartProblems,
  type StartValues,
} from './start-form.ts'
import { tankFits, whyNotFit } from './tank-fit.ts'
import { coralChoices, fishIn, isFor, isOfCorals, isOfFish, namedCorals, rampChoices } from './who-and-where.ts'

/** Where a start is filled in: the household, the instant, and the case that it answers. */
export interface StartPlace {
  journal: Journal
  settings: Settings
  /** ms */
  now: number
  caseId?: string | undefined
}

/** What the form was opened for. */
export interface StartAsked {
  definitionId?: string | undefined
  tankId?: string | undefined
  /** Choices of options, whatever option they are of. */
  choices?: readonly string[]
}

/** Tanks of the household that a course may begin in, those that suit it best first. */
export const tanksForStart = (journal: Journal, definition: Definition): Tank[] =>
  tankFits(journal, definition, 'main').flatMap(({ tank, why }) => (why === null ? [tank] : []))

const productFor = (journal: Journal, agent: string | undefined): string =>
  shelfOf(journal).find(({ ingredient }) => ingredient === agent)?.id ?? ''

const firstDrug = (journal: Journal, { drugs }: Definition): string =>
  drugs.find((id) => productFor(journal, doseById(id)?.agent) !== '') ?? drugs[0] ?? ''

/** What a definition's own fields stand at in a tank before they are touched: for all of its fish or corals, with what is on the shelf. */
export const definitionDefaults = (
  journal: Journal,
  one: Definition,
  tankId: string,
  choices: readonly string[] = [],
): Pick<
  StartValues,
  'doseId' | 'animalIds' | 'partIds' | 'productId' | 'products' | 'options' | 'rampHours' | 'direct'
> => {
  const doseId = firstDrug(journal, one)
  const agent = doseById(doseId)?.agent
  return {
    doseId,
    animalIds: isOfFish(one) ? fishIn(journal, tankId).map(({ id }) => id) : [],
    partIds: isOfCorals(one) ? coralChoices(journal, tankId).map(({ value }) => value) : [],
    ...drugDefaults(journal, agent),
    products: Object.fromEntries(one.products.map(({ dose, ingredient }) => [dose, productFor(journal, ingredient)])),
    options: Object.fromEntries(
      one.options.map((option) => [
        option.id,
        (option.choices.find(({ id }) => choices.includes(id)) ?? option.choices[0])?.id ?? '',
      ]),
    ),
  }
}

/** What follows from the drug: its product on the shelf, the steps of its ramp. */
export const drugDefaults = (
  journal: Journal,
  agent: string | undefined,
): Pick<StartValues, 'productId' | 'rampHours' | 'direct'> => ({
  productId: productFor(journal, agent),
  rampHours: String(rampChoices(agent ?? '')[0]),
  direct: false,
})

/** The tanks by role of a form that was just opened. */
export const noOtherTanks = (main: string): Record<string, string> => ({ main, other: '', observe: '', tub: '' })

/** The form as it opens. */
export function startDefaults({ journal, settings, now }: StartPlace, asked: StartAsked = {}): StartValues {
  const tank = tankById(journal, asked.tankId ?? '')
  const definition =
    definitionById(asked.definitionId ?? '') ??
    DEFINITIONS.find((one) => (tank ? isFor(one, tank.water) : true)) ??
    DEFINITIONS[0]!
  const tanks = tanksForStart(journal, definition)
  const usual = definition.kind === 'fallow' ? undefined : tanks.find(({ role }) => role === 'quarantine')
  const main = tanks.find(({ id }) => id === asked.tankId) ?? usual ?? tanks[0]
  return {
    definitionId: definition.id,
    tanks: noOtherTanks(main?.id ?? ''),
    readAt: '08:00',
    startOn: dayText(settings.clock.dayOf(now)),
    isLoadAccepted: false,
    answers: {},
    ...definitionDefaults(journal, definition, main?.id ?? '', asked.choices),
  }
}

/** What a filled-in form is judged by. */
export interface StartJudged extends StartContext {
  /** Whether straight to the dose is offered, and why. */
  directly: DirectDose
  /** What would be kept, before anything was said to a concern. */
  draft: ContentOf<'course-start'>
  /** The school that runs in that water. */
  schoolHere: string | undefined
}

/** What speaks for and against a start as it is filled in. */
export function judgeStart(values: StartValues, { journal, settings, now, caseId }: StartPlace): StartJudged {
  const definition = definitionById(values.definitionId) ?? DEFINITIONS[0]!
  const tankId = values.tanks['main'] ?? ''
  const choice = definition.drugs.length > 0 ? drugChoice(definition.id, values.doseId) : undefined
  const directly: DirectDose = choice?.dose
    ? directDose(journal, tankId, choice.dose, now, caseId)
    : { offer: 'no', why: '' }
  const draft = startContent(
    values,
    { definition, concerns: [] },
    { courseId: 'draft', happened: iso(startInstant(values, settings.clock, now) ?? now), kitId: undefined },
  )
  const school = runningIn(journal, tankId).find((course) => course.definition.kind === 'school')
  const misfits = Object.fromEntries(
    definition.roles.flatMap(({ role }) => {
      const chosen = tankById(journal, values.tanks[role] ?? '')
      const why = chosen && whyNotFit(journal, definition, role, chosen)
      return chosen && why !== null ? [[role, `${chosen.name}: ${why}`]] : []
    }),
  )
  return {
    definition,
    misfits,
    tank: tankById(journal, tankId),
    choice,
    product:
      shelfOf(journal).find(({ id, ingredient }) => id === values.productId && ingredient === choice?.dose.agent) ??
      null,
    concerns: concernsOf(journal, draft, { now }).filter(({ rule }) => rule !== 'two-schools'),
    directAllowed: directly.offer !== 'no',
    isTaken: definition.kind === 'school' && school !== undefined,
    directly,
    draft,
    schoolHere: school?.id,
  }
}

/**
 * The entries that a filled-in form of a start writes, or what stands in their way, by field.
 * @param courseId of the course that begins
 * @example
 * readStartForm(startDefaults(place, { definitionId: 'fallow-76' }), place, 'c1') // { contents: [{ kind: 'course-start', … }] }
 */
export function readStartForm(
  values: StartValues,
  place: StartPlace,
  courseId: string,
): { contents: Content[] } | { problems: StartProblems } {
  const { journal, settings, now, caseId } = place
  const judged = judgeStart(values, place)
  const at = startInstant(values, settings.clock, now)
  const problems = {
    ...startProblems(values, judged),
    ...(at === null && { startOn: { message: 'today, or a future day within a year' } }),
  }
  if (at === null || Object.keys(problems).length > 0) return { problems }
  const tankId = values.tanks['main'] ?? ''
  const { setups, partIds } = namedCorals(journal, tankId, values.partIds, at)
  const content = startContent({ ...values, partIds }, judged, {
    courseId,
    happened: iso(at),
    kitId: kitFor(journal, tankId, 'copper')?.id,
    withCourseId: judged.schoolHere,
    caseId,
  })
  return { contents: [...setups, content] }
}
