import type { ContentOf } from '../journal/entry.ts'
import type { Journal, Line } from '../journal/journal.ts'

export type ReadingLine = Line<ContentOf<'reading'>>

/** The readings of a parameter in a tank that count, in the order they were taken. */
export function readingsOf(journal: Journal, tankId: string, parameter: string): readonly ReadingLine[] {
  const subject = `readings:${tankId}:${parameter}` as const
  return journal.derive(subject, [subject], () =>
    journal.about(subject).filter((line): line is ReadingLine => !line.struck),
  )
}
