import { styled } from 'styled-components'
import type { Answer, AnswerLine } from '../../../core/calculators/calculators.ts'
import { Bar, Facts, Figure, Quiet, Stack } from '../../look/text.ts'
import { figures } from '../../../core/words/numbers.ts'

const Lead = styled.div`
  & > span:first-child {
    display: block;
    color: var(--quiet);
    font-size: 15px;
  }
`

const valueText = ({ value, unit }: AnswerLine) =>
  [typeof value === 'number' ? figures(value, 4) : value, unit].filter(Boolean).join(' ')

/** The number that is acted on, and what it means. */
export function AnswerLead({ answer: { lead, says } }: { answer: Answer }) {
  return (
    <div role="status" aria-label="Answer">
      <Lead>
        <span>{lead.what}</span>
        <Figure $size={44}>{valueText(lead)}</Figure>
      </Lead>
      {says && <p style={{ marginTop: 6 }}>{says}</p>}
    </div>
  )
}

/** What belongs to an answer: its caution, before it is done, and what else there is to know. */
export function AnswerRest({ answer: { lines, cautions } }: { answer: Answer }) {
  return (
    <Stack $gap={14}>
      {cautions.map((caution) => (
        <Bar key={caution} $tone="soon">
          {caution}
        </Bar>
      ))}
      {lines.length > 0 && (
        <Facts>
          {lines.map((line, i) => (
            <div key={i}>
              <dt>{line.what}</dt>
              <dd>
                {typeof line.value === 'number' ? <Figure>{valueText(line)}</Figure> : <Quiet>{valueText(line)}</Quiet>}
              </dd>
            </div>
          ))}
        </Facts>
      )}
    </Stack>
  )
}
