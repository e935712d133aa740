import type { RowProblem } from './read-rows.ts'

/** Problems of several rows that are one fault. */
export interface Fault {
  /** The first line that has it. */
  line: number
  /** Lines that have it. */
  count: number
  /** Of the first line. */
  message: string
}

/** What a message is about, whatever figure or word of the row stands in it. */
const kindOf = (message: string): string => message.replace(/“[^”]*”/g, '“”').replace(/[\d.,:/-]+/g, '#')

/** The problems of a table, those that are one fault told once. */
export function faultsOf(problems: readonly RowProblem[]): Fault[] {
  const faults = new Map<string, Fault>()
  for (const { line, message } of problems) {
    const kind = kindOf(message)
    const known = faults.get(kind)
    faults.set(kind, known ? { ...known, count: known.count + 1 } : { line, count: 1, message })
  }
  return [...faults.values()]
}
