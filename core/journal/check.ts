import { content as contentCheck, entry as entryCheck, journalFile as fileCheck } from '../generated/journal.js'
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

/** What is wrong with the content of an entry, and where in it; null when nothing is. */
export function contentFault(value: unknown): Explained | null {
  if (!contentCheck(value)) return explain(contentCheck.errors![0]!, value)
  const content = value as Content
  if (content.kind === 'reading') return readingFault(content)
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
