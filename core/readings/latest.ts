import type { ContentOf } from '../journal/entry.ts'
import { firstAtOrAfter, type Journal, type Line } from '../journal/journal.ts'

export type ReadingLine = Line<ContentOf<'reading'>>

/** The readings of a parameter in a tank that count, in the order they were taken. */
export function readingsOf(journal: Journal, tankId: string, parameter: string): readonly ReadingLine[] {
  const subject = `readings:${tankId}:${parameter}` as const
  return journal.derive(subject, [subject], () =>
    journal.about(subject).filter((line): line is ReadingLine => !line.struck),
  )
}

/** A reading that gave a plain value. */
export interface ValueReading {
  at: number
  value: number
  line: ReadingLine
}

/** The last plain value of a parameter before an instant; null where there is none. Limits and ranges are passed over. */
export function lastValue(journal: Journal, tankId: string, parameter: string, before = Infinity): ValueReading | null {
  const lines = readingsOf(journal, tankId, parameter)
  for (let i = (before === Infinity ? lines.length : firstAtOrAfter(lines, before)) - 1; i >= 0; i--) {
    const line = lines[i]!
    if (line.content.result.kind === 'value') return { at: line.at, value: line.content.result.value, line }
  }
  return null
}
