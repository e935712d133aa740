import { content as contentCheck, entry as entryCheck, journalFile as fileCheck } from '../generated/journal.js'
import { HIGHEST_PATCH_STAGE } from '../catalogue/patch-stage.ts'
import { parameterById } from '../catalogue/parameter.ts'
import { boundsFault } from '../schema/bounds.ts'
import { explain, type Explained } from '../schema/explain.ts'
import type { Content, ContentOf, Entry } from './entry.ts'

/** Faults that a schema cannot see: a reading's parameter, its unit and its ranges. */
function readingFault(reading: ContentOf<'reading'>): Explained | null {
  const parameter = parameterById(reading.parameter)
  if (!parameter) return { path: '/parameter', message: `"${reading.parameter}" is not a parameter Brinvo knows` }
  if (reading.unit !== parameter.unit)
    return {
      path: '/unit',
      message: `expected ${parameter.unit}, the unit ${parameter.name} is kept in; came "${reading.unit}"`,
    }
  if (parameter.kept === null && reading.basis === undefined)
    return { path: '/basis', message: `expected NH3, NH4 or N: a ${parameter.name} reading keeps what its kit states` }
  if (parameter.kept !== null && reading.basis !== undefined)
    return { path: '/basis', message: `${parameter.name} is kept as one basis only; leave this out` }
  if (reading.result.kind === 'range' && reading.result.low > reading.result.high)
    return {
      path: '/result/low',
      message: `expected at most the upper value, ${reading.result.high}; came ${reading.result.low}`,
    }
  return null
}

/** A course says what it is in the words of format 2, or of format 1. */
function courseStartFault(start: ContentOf<'course-start'>): Explained | null {
  if (start.definition !== undefined)
    return start.tanks?.['main'] === undefined
      ? { path: '/tanks/main', message: 'expected the tank that the course runs in; it is missing' }
      : null
  for (const property of ['protocol', 'tankId', 'doseId'] as const)
    if (start[property] === undefined)
      return { path: `/${property}`, message: 'expected a value here, or a definition with tanks; it is missing' }
  return null
}

/** A count says what and how many in the words of format 2 (measure, parts), or of format 1 (what, values). */
function countFault(count: ContentOf<'count'>): Explained | null {
  if (count.measure === undefined && count.what === undefined)
    return { path: '/measure', message: 'expected what was counted; it is missing' }
  if (count.parts === undefined && count.values === undefined)
    return { path: '/parts', message: 'expected what each part came to; it is missing' }
  const over =
    count.measure === 'patch-stage'
      ? (count.parts ?? []).findIndex(({ value }) => value > HIGHEST_PATCH_STAGE || !Number.isInteger(value))
      : -1
  return over < 0
    ? null
    : {
        path: `/parts/${over}/value`,
        message: `expected a stage from 0, living colour, to ${HIGHEST_PATCH_STAGE}, detached; came ${count.parts![over]!.value}`,
      }
}

/** What is wrong with the content of an entry, and where in it; null when nothing is. */
export function contentFault(value: unknown): Explained | null {
  if (!contentCheck(value)) return explain(contentCheck.errors![0]!, value)
  const content = value as Content
  if (content.kind === 'reading') return readingFault(content)
  if (content.kind === 'course-start') return courseStartFault(content)
  if (content.kind === 'count') return countFault(content)
  if (content.kind === 'away' && content.until <= content.from)
    return { path: '/until', message: 'expected a time after the leaving' }
  if (content.kind === 'tank-change' && Object.keys(content.changes).length === 0)
    return { path: '/changes', message: 'expected at least one change' }
  return null
}

/** What is wrong with a journal entry, and where in it; null when nothing is. */
export function entryFault(value: unknown): Explained | null {
  const unbounded = boundsFault(value)
  if (unbounded) return unbounded
  if (!entryCheck(value)) return explain(entryCheck.errors![0]!, value)
  const { content, corrects, strikes } = value as { content?: unknown; corrects?: string; strikes?: string }
  if (strikes !== undefined) {
    if (content !== undefined || corrects !== undefined)
      return { path: '/strikes', message: 'a strike-out names the entry it strikes and holds nothing else' }
    return null
  }
  if (content === undefined) return { path: '/content', message: 'expected a value here; it is missing' }
  const fault = contentFault(content)
  return fault && { path: `/content${fault.path}`, message: fault.message }
}

/** Whether a value is an entry as this version keeps them. */
export const isEntry = (value: unknown): value is Entry => entryFault(value) === null

/** What is wrong with the frame of a journal file; null when nothing is. */
export function fileFault(value: unknown): Explained | null {
  return fileCheck(value) ? null : explain(fileCheck.errors![0]!, value)
}
