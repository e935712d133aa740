import { Fragment } from 'react'
import { styled } from 'styled-components'
import type { ContentKind } from '../../../core/journal/entry.ts'
import type { Line } from '../../../core/journal/journal.ts'
import { contentMarks, marksText, type Mark, type Wording } from '../../words/entries.ts'

const Strong = styled.strong<{ $tone?: 'act' | 'soon' }>`
  font-weight: 700;
  ${({ $tone }) => $tone && `color: var(--${$tone});`}
`

export const Marks = ({ marks }: { marks: readonly Mark[] }) =>
  marks.map(({ text, strong, tone }, i) =>
    strong || tone ? (
      <Strong key={i} {...(tone && { $tone: tone })}>
        {text}
      </Strong>
    ) : (
      <Fragment key={i}>{text}</Fragment>
    ),
  )

/** Kinds that are the household's business, not the day's: they stand in the day's page and not in its line. */
const QUIET_KINDS = new Set(['kit-setup', 'kit-change'])

/** What matters most in a glance at a past day comes first; a line has room for little. */
const FIRST: readonly ContentKind[] = [
  'death',
  'departure',
  'arrival',
  'move',
  'reading',
  'water-change',
  'dose',
  'bath',
  'count',
  'sighting',
]

const rank = ({ content }: Line): number => {
  const place = FIRST.indexOf(content.kind)
  return place < 0 ? FIRST.length : place
}

/** The lines of a day in the order its row shows them. */
export const shownInLine = (lines: readonly Line[]): Line[] =>
  lines.filter(({ content }) => !QUIET_KINDS.has(content.kind)).sort((a, b) => rank(a) - rank(b))

/** A day's lines as one row of small marks. */
export function LineOfMarks({
  lines,
  wording,
  tankId,
  low,
}: {
  lines: readonly Line[]
  wording: Wording
  tankId: string
  /** Readings that were under a course's range. */
  low?: ReadonlySet<string>
}) {
  return shownInLine(lines).map((line, i) => {
    const plain = contentMarks(line.content, wording, tankId)
    const marks = low?.has(line.id) ? plain.map((mark) => ({ ...mark, tone: 'act' as const })) : plain
    return (
      <Fragment key={line.id}>
        {i > 0 && ' · '}
        {line.struck ? <s>{marksText(marks)}</s> : <Marks marks={marks} />}
      </Fragment>
    )
  })
}

/** The same in words alone, for a cell's name. */
export const lineText = (lines: readonly Line[], wording: Wording, tankId: string): string =>
  shownInLine(lines)
    .map((line) => `${line.struck ? 'struck out: ' : ''}${marksText(contentMarks(line.content, wording, tankId))}`)
    .join(', ')
