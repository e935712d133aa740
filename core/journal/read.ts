import equal from 'fast-deep-equal'
import { ok, type Result } from '../result/result.ts'
import { entryFault, fileFault } from './check.ts'
import { FORMAT_NAME, FORMAT_VERSION } from './format.ts'
import { isCorrection, type Entry } from './entry.ts'
import type { JournalReadInput, JournalReadOutput, ReadProblem } from './read.schema.ts'

/** More problems than a person reads; the file is refused from the first. */
const MAX_PROBLEMS = 100

/** Line of a text at which the JSON parser stopped: it names a position, or the text ended too soon. */
function lineOfFault(text: string, message: string): number {
  const position = /position (\d+)/.exec(message)?.[1]
  const before = position === undefined ? text : text.slice(0, Number(position))
  return before.split('\n').length
}

function parseFrame(text: string): { frame: { version: number; entries: unknown[] } } | { problem: ReadProblem } {
  let value: unknown
  try {
    value = JSON.parse(text) as unknown
  } catch (error) {
    const { message } = error as Error
    return {
      problem: {
        line: lineOfFault(text, message),
        message: `not a journal file: the text is not JSON here (${message})`,
      },
    }
  }
  const { format, version } = (value ?? {}) as { format?: unknown; version?: unknown }
  if (format !== FORMAT_NAME)
    return {
      problem: { path: '/format', message: `expected a file with "format": "${FORMAT_NAME}"; this is something else` },
    }
  if (typeof version === 'number' && version > FORMAT_VERSION)
    return {
      problem: {
        path: '/version',
        message: `written by a newer Brinvo (format ${version}); this one reads up to format ${FORMAT_VERSION}. Update Brinvo, then import it again`,
      },
    }
  const fault = fileFault(value)
  return fault ? { problem: fault } : { frame: value as { version: number; entries: unknown[] } }
}

/**
 * Reads an exported journal file's text. A file is taken whole or not at all: with any problem, `entries` is empty and
 * the problems say where in the file they are and what was expected.
 */
export function readJournal({ text }: JournalReadInput): Result<JournalReadOutput> {
  const parsed = parseFrame(text)
  if ('problem' in parsed) return ok({ entries: [], problems: [parsed.problem] })
  const problems: ReadProblem[] = []
  const byId = new Map<string, Entry>()
  for (const [index, value] of parsed.frame.entries.entries()) {
    const at = `/entries/${index}`
    const fault = entryFault(value)
    if (fault) problems.push({ path: at + fault.path, message: fault.message })
    else {
      const entry = value as Entry
      const same = byId.get(entry.id)
      if (same && !equal(same, entry))
        problems.push({ path: `${at}/id`, message: `"${entry.id}" stands twice in this file with different content` })
      byId.set(entry.id, entry)
    }
    if (problems.length >= MAX_PROBLEMS) break
  }
  if (problems.length === 0) problems.push(...correctionProblems(parsed.frame.entries as Entry[], byId))
  return ok(problems.length > 0 ? { entries: [], problems } : { entries: [...byId.values()], problems })
}

/** A correction must be of the same kind as what it corrects, where the file holds both. */
function correctionProblems(entries: readonly Entry[], byId: ReadonlyMap<string, Entry>): ReadProblem[] {
  const problems: ReadProblem[] = []
  for (const [index, entry] of entries.entries()) {
    if (!isCorrection(entry)) continue
    const target = byId.get(entry.corrects)
    if (!target) continue
    const path = `/entries/${index}/corrects`
    if (!('content' in target) || isCorrection(target))
      problems.push({
        path,
        message: `expected the id of a first entry; "${entry.corrects}" is itself a correction or a strike-out`,
      })
    else if (target.content.kind !== entry.content.kind)
      problems.push({
        path,
        message: `expected a correction of kind "${target.content.kind}"; came "${entry.content.kind}"`,
      })
  }
  return problems
}
