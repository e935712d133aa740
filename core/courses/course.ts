import { definitionById, withChosenParts, type Definition, type Role } from '../catalogue/courses/definitions.ts'
import { doseById, type Dose } from '../catalogue/treatments/treatments.ts'
import { changed } from '../household/changed.ts'
import type { ContentOf } from '../journal/entry.ts'
import type { Journal } from '../journal/journal.ts'
import { minuteOfTime } from '../time/zone.ts'

/** Drug-free observation after a course, quarantine.md 7.2: 14 days at least, 28 preferred (HP). */
export const OBSERVATION_DAYS = { least: 14, preferred: 28 } as const

/** A course that was started, as its journal entries leave it. */
export interface Course {
  id: string
  definition: Definition
  /** Where it began, and where its drug is. */
  tankId: string
  tanks: Readonly<Partial<Record<Role, string>>>
  options: Readonly<Record<string, string>>
  /** What is held in the water; null for a course without a drug. */
  dose: Dose | null
  /** Days of its core, as its definition counts them. */
  requiredDays: number
  animalIds: readonly string[]
  partIds: readonly string[]
  /** What the drug is dosed with. */
  productId: string | null
  /** What else is dosed, by dose of the catalogue. */
  products: Readonly<Record<string, string>>
  kitId: string | null
  /** Hours between two steps of the ramp. */
  rampHours: number
  direct: boolean
  /** Minutes since local midnight at which what is daily is due. */
  readAtMinute: number
  /** The sterile tank that the fish go to at the end. */
  moveToTankId: string | null
  overrides: readonly { rule: string; why: string; vetAgreed: boolean }[]
  /** What was chosen before it was changed: in effect until that instant, ms; in time order. */
  earlierOptions: readonly { until: number; options: Readonly<Record<string, string>> }[]
  /** The case that it was begun from; null for none. */
  caseId: string | null
  startedAt: number
  ended: { at: number; outcome: 'finished' | 'stopped'; why?: string } | null
}

/** A course whose drug is held in the water. */
export type DrugCourse = Course & { dose: Dose }

export const isDrugCourse = (course: Course): course is DrugCourse => course.dose !== null

const DEFAULT_READ_AT = '08:00'
/** Where a course does not say: once a day, the slower end of the handbook's 12–24 h. */
const DEFAULT_RAMP_HOURS = 24

type Start = ContentOf<'course-start'>

/** A start in the words of format 2: what format 1 calls protocol, tankId, doseId, productId and moveToTankId is brought forward. */
export function startInWords(start: Start): {
  definition: string
  tanks: Partial<Record<string, string>>
  doseId: string | undefined
  products: Record<string, string>
} {
  const doseId = start.options?.['drug'] ?? start.doseId
  const tanks = {
    ...(start.tankId !== undefined && { main: start.tankId }),
    ...(start.moveToTankId !== undefined && { observe: start.moveToTankId }),
    ...start.tanks,
  }
  return {
    definition: start.definition ?? start.protocol ?? '',
    tanks,
    doseId,
    products: {
      ...(doseId !== undefined && start.productId !== undefined && { [doseId]: start.productId }),
      ...start.products,
    },
  }
}

function describe(journal: Journal, id: string): Course | null {
  let start: Start | null = null
  let startedAt = 0
  let ended: Course['ended'] = null
  const earlierOptions: { until: number; options: Record<string, string> }[] = []
  for (const { content, at, struck } of journal.about(`course:${id}`)) {
    if (struck) continue
    if (content.kind === 'course-start') {
      start = content
      startedAt = at
    } else if (content.kind === 'course-change' && start) {
      if (content.changes.options) earlierOptions.push({ until: at, options: start.options ?? {} })
      start = changed<Start>(start, content.changes)
    }
    if (content.kind === 'course-end')
      ended = { at, outcome: content.outcome, ...(content.why !== undefined && { why: content.why }) }
  }
  return start && courseFrom(start, startedAt, ended, earlierOptions)
}

/**
 * A course from its start, as it would be once it is in the journal.
 * @returns null where this version does not know the definition or its dose
 */
export function courseFrom(
  start: Start,
  startedAt: number,
  ended: Course['ended'] = null,
  earlierOptions: Course['earlierOptions'] = [],
): Course | null {
  const { definition: definitionId, tanks, doseId, products } = startInWords(start)
  const definition = definitionById(definitionId)
  const dose = doseId === undefined ? definition && doseById(definition.drugs[0] ?? '') : doseById(doseId)
  if (!definition || tanks.main === undefined) return null
  if (definition.drugs.length > 0 ? !dose || !isDrugOf(definition, dose) : doseId !== undefined && !dose) return null
  const drug = definition.drugs.length > 0 ? dose! : null
  return {
    id: start.courseId,
    definition: withChosenParts(definition, start.options ?? {}),
    tankId: tanks.main,
    tanks,
    options: start.options ?? {},
    dose: drug,
    requiredDays: plannedDays(definition, start.options),
    animalIds: start.animalIds,
    partIds: start.partIds ?? [],
    productId: (drug && products[drug.id]) ?? start.productId ?? null,
    products,
    kitId: start.kitId ?? null,
    rampHours: start.rampHours ?? DEFAULT_RAMP_HOURS,
    direct: start.direct ?? false,
    readAtMinute: minuteOfTime(start.readAt ?? DEFAULT_READ_AT),
    moveToTankId: tanks.observe ?? null,
    caseId: start.caseId ?? null,
    overrides: start.overrides ?? [],
    earlierOptions,
    startedAt,
    ended,
  }
}

/** The planned length of a course: as its definition says, or as was chosen. */
function plannedDays({ days, daysOption, options }: Definition, chosen: Start['options']): number {
  if (daysOption === undefined) return days
  const choice = chosen?.[daysOption] ?? options.find(({ id }) => id === daysOption)?.choices[0]?.id
  const number = Number(choice)
  return Number.isFinite(number) && number > 0 ? number : days
}

/**
 * Whether a dose may be a definition's drug. A dose that the definition does not list but of the same route reads on: what a
 * keeper once began is not hidden from them.
 */
const isDrugOf = (definition: Definition, dose: Dose): boolean =>
  definition.drugs.includes(dose.id) || (dose.route === 'tank' && dose.unit === 'mg/L')

/** A course; null when the journal holds none of that id, or one of a definition this version does not run. */
export const courseById = (journal: Journal, id: string): Course | null =>
  journal.derive(`course:${id}`, [`course:${id}`], () => describe(journal, id))

/** All courses, latest first. */
export function coursesOf(journal: Journal): Course[] {
  const ids = new Set(journal.ofKind('course-start').map(({ content }) => content.courseId))
  return [...ids].flatMap((id) => courseById(journal, id) ?? []).sort((a, b) => b.startedAt - a.startedAt)
}

/** The courses that run in a tank, or may move their fish into it, in the order they began. */
export const runningIn = (journal: Journal, tankId: string): Course[] =>
  coursesOf(journal)
    .filter((course) => !course.ended && (course.tankId === tankId || course.tanks.other === tankId))
    .reverse()

/** A course of a definition that this version does not know: shown, and not worked out. */
export interface UnknownCourse {
  id: string
  definition: string
  tankId: string
  startedAt: number
}

/** The courses that this version cannot work out. */
export const unknownCoursesOf = (journal: Journal): UnknownCourse[] =>
  journal
    .ofKind('course-start')
    .filter(({ content }) => courseById(journal, content.courseId) === null)
    .map(({ content, at }) => {
      const { definition, tanks } = startInWords(content)
      return { id: content.courseId, definition, tankId: tanks.main ?? '', startedAt: at }
    })
