import equal from 'fast-deep-equal'
import { parse, type ParseError } from 'jsonc-parser'
import { invalid, ok, type Result } from '../result/result.ts'
import { boundsFault } from '../schema/bounds.ts'
import { entryFault, fileFault } from './check.ts'
import { checksumOf } from './checksum.ts'
import { FORMAT_NAME, FORMAT_VERSION } from './format.ts'
import { isCorrection, type Entry } from './entry.ts'
import { Journal } from './journal.ts'
import type { JournalReadInput, JournalReadOutput, ReadProblem } from './read.schema.ts'

/** More problems than a person reads; the file is refused from the first. */
const MAX_PROBLEMS = 100

/** The first place at which a text is no JSON: the JSON parser itself does not always name one. */
function lineOfFault(text: string): number {
  const errors: ParseError[] = []
  parse(text, errors, { disallowComments: true, allowTrailingComma: false })
  const offset = Math.min(...errors.map((error) => error.offset), text.length)
  return text.slice(0, offset).split('\n').length
}

interface Frame {
  version: number
  checksum?: string
  entries: unknown[]
}

/** A journal file's frame, or what is wrong with it: `path` is a JSON pointer into the file. */
function readFrame(value: unknown): { frame: Frame } | { problem: ReadProblem } {
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
  // The entries are looked at one by one later; deep ones must not exhaust the check of the frame.
  const { entries, ...rest } = value as { entries?: unknown }
  const fault = boundsFault(rest) ?? fileFault(Array.isArray(entries) ? { ...rest, entries: [] } : value)
  return fault ? { problem: fault } : { frame: value as Frame }
}

function parseText(text: string): { value: unknown } | { problem: ReadProblem } {
  try {
    return { value: JSON.parse(text) as unknown }
  } catch (error) {
    return {
      problem: {
        line: lineOfFault(text),
        message: `not a journal file: the text is not JSON here (${(error as Error).message.slice(0, MAX_MESSAGE)})`,
      },
    }
  }
}

const MAX_MESSAGE = 200

/**
 * Reads an exported journal file's text. A file is taken whole or not at all: with any problem, `entries` is empty and
 * the problems say where in the file they are and what was expected.
 */
export function readJournal({ text }: JournalReadInput): Result<JournalReadOutput> {
  return ok(readJournalText(text))
}

/** The same, with the progress of its checks. */
export function readJournalText(text: string, onProgress?: CheckProgress): JournalReadOutput {
  const parsed = parseText(text)
  return 'problem' in parsed ? refused(parsed.problem) : readJournalValue(parsed.value, onProgress)
}

const refused = (...problems: ReadProblem[]): JournalReadOutput => ({ entries: [], problems, isAltered: false })

/** Told how many of so many entries are checked. */
export type CheckProgress = (checked: number, of: number) => void
const TOLD_EACH = 1000

/** Reads a journal file's content, once it is parsed. */
export function readJournalValue(value: unknown, onProgress?: CheckProgress): JournalReadOutput {
  const read = readFrame(value)
  if ('problem' in read) return refused(read.problem)
  const problems: ReadProblem[] = []
  const byId = new Map<string, Entry>()
  for (const [index, one] of read.frame.entries.entries()) {
    if (index % TOLD_EACH === 0) onProgress?.(index, read.frame.entries.length)
    const at = `/entries/${index}`
    const fault = entryFault(one)
    if (fault) problems.push({ path: at + fault.path, message: fault.message })
    else {
      const entry = one as Entry
      const same = byId.get(entry.id)
      if (same && !equal(same, entry))
        problems.push({ path: `${at}/id`, message: `"${entry.id}" stands twice in this file with different content` })
      byId.set(entry.id, entry)
    }
    if (problems.length >= MAX_PROBLEMS) break
  }
  if (problems.length === 0) problems.push(...correctionProblems(read.frame.entries as Entry[], byId))
  if (problems.length > 0) return refused(...problems)
  const { checksum, entries } = read.frame
  return {
    entries: [...byId.values()],
    problems,
    isAltered: checksum !== undefined && checksum !== checksumOf(entries),
  }
}

/**
 * A journal from a journal file's content, for operations that are asked about one.
 * @returns `invalid-input` with the first problem's path where the import would not take it in
 */
export function journalFrom(value: unknown): Result<Journal> {
  const { entries, problems } = readJournalValue(value)
  const problem = problems[0]
  if (problem) return invalid(problem.path ?? '', problem.message)
  const journal = new Journal()
  journal.add(entries)
  return ok(journal)
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
