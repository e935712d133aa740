import { withChosenParts, type Definition } from '../../catalogue/courses/definitions.ts'
import type { Concern } from '../../safety/concern.ts'
import { isAnswered, NO_ANSWER, setAside, type Answer } from '../../safety/answers.ts'
import type { DrugChoice } from '../amounts/drug-choices.ts'
import { handlingLoad, isByVet } from '../../handling/planned.ts'
import { HANDLING_LIMITS } from '../../handling/points.ts'
import type { ShelfProduct } from '../../household/shelf.ts'
import type { Tank } from '../../household/tanks.ts'
import type { ContentOf } from '../../journal/entry.ts'
import { isOfCorals, isOfFish } from './who-and-where.ts'
import { dayFromText, type ZoneClock } from '../../time/zone.ts'

/** What is wrong with a field, in words. */
interface Problem {
  message: string
}

/** What is wrong, by field; empty where nothing is. */
export type StartProblems = Readonly<Record<string, Problem>>

/** What stands in the fields of a course about to start. */
export interface StartValues {
  definitionId: string
  /** Tanks by role of the definition; `main` is where it begins. */
  tanks: Record<string, string>
  doseId: string
  animalIds: string[]
  /** Corals of a course of dips: parts, and corals of the ledger that will be named with its start (NEW_CORAL before their id). */
  partIds: string[]
  /** Product of the drug. */
  productId: string
  /** Products of what else is dosed, by dose of the catalogue. */
  products: Record<string, string>
  options: Record<string, string>
  rampHours: string
  direct: boolean
  readAt: string
  /** The local day it begins on, as a date. */
  startOn: string
  /** The handling load was read and accepted, where it is asked about. */
  isLoadAccepted: boolean
  /** What was said to each concern, by its key. */
  answers: Record<string, Answer>
}

/** A name for a concern that a form field can carry. */
export const concernKey = ({ rule, what }: Concern): string => `${rule}-${what}`.replace(/[^a-z0-9-]+/gi, '_')

export interface StartContext {
  definition: Definition
  tank: Tank | null
  /** Why a chosen tank cannot have its role, by role. */
  misfits: Readonly<Record<string, string>>
  /** The drug as chosen; undefined for a definition without one. */
  choice: DrugChoice | undefined
  product: ShelfProduct | null
  concerns: readonly Concern[]
  /** Whether straight to the dose is allowed. */
  directAllowed: boolean
  /** Whether another school runs in that water. */
  isTaken: boolean
}

/** Whether the handling of a course has to be accepted before it starts: quarantine.md 8. */
export const isLoadAsked = (definition: Definition, options: Record<string, string>): boolean =>
  handlingLoad(definition, options) > HANDLING_LIMITS.asked

function tankProblems(
  { tanks }: StartValues,
  { definition, tank, misfits, isTaken }: StartContext,
): Record<string, Problem> {
  const problems: Record<string, Problem> = {}
  const needsVolume =
    definition.drugs.length > 0 ||
    definition.tracks.some((track) => track.kind === 'series' || (track.kind === 'rounds' && track.of !== 'dip')) ||
    definition.ends === 'raise'
  if (!tank) problems['tanks.main'] = { message: 'which tank' }
  else if (misfits['main'] !== undefined) problems['tanks.main'] = { message: misfits['main'] }
  else if (needsVolume && (tank.volume === null || !(tank.volume.netL > 0)))
    problems['tanks.main'] = { message: `the net volume of ${tank.name} is not worked out: fill in its sheet first` }
  else if (isTaken)
    problems['tanks.main'] = { message: `a course runs in ${tank.name} already: finish or stop it first` }
  for (const { role, must } of definition.roles) {
    if (role === 'main') continue
    const chosen = tanks[role] ?? ''
    if (chosen === '' && must)
      problems[`tanks.${role}`] = {
        message:
          role === 'observe'
            ? 'the sterile tank the fish move to'
            : 'the second tank set: without it nothing can be moved',
      }
    else if (chosen !== '' && misfits[role] !== undefined) problems[`tanks.${role}`] = { message: misfits[role] }
    else if (chosen !== '' && chosen === tanks['main'])
      problems[`tanks.${role}`] = { message: 'another tank than the one it begins in' }
  }
  return problems
}

function drugProblems(
  { direct, productId, readAt }: StartValues,
  { definition, choice, product, directAllowed }: StartContext,
): Record<string, Problem> {
  const problems: Record<string, Problem> = {}
  if (!/^([01]\d|2[0-3]):[0-5]\d$/.test(readAt)) problems['readAt'] = { message: 'a time such as 08:00' }
  if (definition.drugs.length === 0) return problems
  if (!choice?.allowed) problems['doseId'] = { message: choice?.why ?? 'which drug' }
  if (!product)
    problems['productId'] = {
      message: productId === '' ? 'a product from the shelf, with its strength' : 'a product of this form of the drug',
    }
  if (direct && !directAllowed) problems['direct'] = { message: 'not allowed here: the ramp is slow on purpose' }
  return problems
}

/** What a concern still asks for. */
function missingAnswer({ override }: Concern, { why }: Answer): string {
  if (override === 'none') return 'this cannot be overridden'
  if (override === 'confirm') return 'read it, and tick that you have'
  return why.trim() === '' ? 'a reason for continuing anyway' : 'has a veterinarian agreed? Yes or no'
}

const concernProblems = ({ answers }: StartValues, concerns: readonly Concern[]): Record<string, Problem> =>
  Object.fromEntries(
    concerns.flatMap((concern) => {
      const key = concernKey(concern)
      const answer = answers[key] ?? NO_ANSWER
      if (concern.severity === 'note' || isAnswered(concern, answer)) return []
      return [[concern.override === 'none' ? `never-${key}` : key, { message: missingAnswer(concern, answer) }]]
    }),
  )

/** What stands in the way of starting, beside which field; empty when nothing does. */
export function startProblems(values: StartValues, context: StartContext): StartProblems {
  const { definition } = context
  return {
    ...tankProblems(values, context),
    ...(isOfFish(definition) && values.animalIds.length === 0 && { animalIds: { message: 'which fish it is for' } }),
    ...(isOfCorals(definition) &&
      values.partIds.length === 0 && { partIds: { message: 'which corals: all hosts or none' } }),
    ...drugProblems(values, context),
    ...(isLoadAsked(definition, values.options) &&
      !values.isLoadAccepted && {
        isLoadAccepted: {
          message: isByVet(definition)
            ? 'only if a veterinarian asks for so many baths: tick that one has'
            : 'read what it asks of the fish, and tick that you have',
        },
      }),
    ...concernProblems(values, context.concerns),
  }
}

/** What was chosen, without what was left empty. */
const chosen = (values: Record<string, string>, keys: readonly string[]): Record<string, string> =>
  Object.fromEntries(keys.flatMap((key) => (values[key] ? [[key, values[key]]] : [])))

/** The entry that starts the course. */
export function startContent(
  values: StartValues,
  { definition, concerns }: Pick<StartContext, 'definition' | 'concerns'>,
  {
    courseId,
    happened,
    kitId,
    withCourseId,
    caseId,
  }: {
    courseId: string
    happened: string
    kitId: string | undefined
    withCourseId?: string | undefined
    /** The case that it answers. */
    caseId?: string | undefined
  },
): ContentOf<'course-start'> {
  const overrides = concerns
    .filter(({ severity }) => severity !== 'note' && severity !== 'never')
    .map((concern) => setAside(concern, values.answers[concernKey(concern)] ?? NO_ANSWER))
    .filter(({ why }) => why !== '')
  const hasDrug = definition.drugs.length > 0
  const options = {
    ...(hasDrug && { drug: values.doseId }),
    ...Object.fromEntries(
      definition.options.map(({ id, choices }) => [id, values.options[id] || (choices[0]?.id ?? '')]),
    ),
  }
  const parts = withChosenParts(definition, options)
  const products = {
    ...(hasDrug && values.productId !== '' && { [values.doseId]: values.productId }),
    ...chosen(
      values.products,
      parts.products.map(({ dose }) => dose),
    ),
  }
  return {
    kind: 'course-start',
    happened,
    courseId,
    ...(definition.kind === 'add-on' && withCourseId !== undefined && { withCourseId }),
    ...(caseId !== undefined && { caseId }),
    definition: definition.id,
    tanks: chosen(
      values.tanks,
      definition.roles.map(({ role }) => role),
    ),
    animalIds: values.animalIds,
    ...(isOfCorals(definition) && { partIds: values.partIds }),
    options,
    products,
    ...(kitId !== undefined && { kitId }),
    ...(hasDrug && { rampHours: Number(values.rampHours) }),
    ...(hasDrug && values.direct && { direct: true }),
    readAt: values.readAt,
    ...(overrides.length > 0 && { overrides }),
  }
}

/**
 * When a course begins: now where the day is today, else on that day at the hour of what is daily.
 * @returns null for a day that is none, or is over
 */
export function startInstant(
  { startOn, readAt }: Pick<StartValues, 'startOn' | 'readAt'>,
  clock: ZoneClock,
  now: number,
): number | null {
  const day = dayFromText(startOn)
  const today = clock.dayOf(now)
  if (day === null || day < today || day > today + MOST_DAYS_AHEAD) return null
  if (day === today) return now
  const [hours = 8, minutes = 0] = readAt.split(':').map(Number)
  return clock.instantAt(day, hours * 60 + minutes)
}

/** Nobody plans a quarantine further ahead. */
const MOST_DAYS_AHEAD = 366
