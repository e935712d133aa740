import { styled } from 'styled-components'
import type { Answer, AnswerLine } from '../../../core/calculators/calculators.ts'
import { Bar, Facts, Figure, Quiet, Stack } from '../../look/text.ts'
import type { UnitHabits } from '../../../core/household/settings.ts'
import { measureText, sentenceText } from '../../../core/words/measure.ts'
import { figures } from '../../../core/words/numbers.ts'
import { useHousehold } from '../../journal/provider.tsx'

const Lead = styled.div`
  & > span:first-child {
    display: block;
    color: var(--quiet);
    font-size: 15px;
  }
`

function valueText({ value, unit, isPlain }: AnswerLine, units: UnitHabits): string {
  if (typeof value !== 'number') return [sentenceText(value, units), unit].filter(Boolean).join(' ')
  if (unit === undefined) return figures(value, 4)
  return isPlain ? `${figures(value, 4)} ${unit}` : measureText(value, unit, units)
}

/** The number that is acted on, and what it means. */
export function AnswerLead({ answer: { lead, says } }: { answer: Answer }) {
  const { units } = useHousehold().settings
  return (
    <div role="status" aria-label="Answer">
      <Lead>
        <span>{lead.what}</span>
        <Figure $size={44}>{valueText(lead, units)}</Figure>
      </Lead>
      {says && <p style={{ marginTop: 6 }}>{sentenceText(says, units)}</p>}
    </div>
  )
}

/** What belongs to an answer: its caution, before it is done, and what else there is to know. */
export function AnswerRest({ answer: { lines, cautions } }: { answer: Answer }) {
  const { units } = useHousehold().settings
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
                {typeof line.value === 'number' ? (
                  <Figure>{valueText(line, units)}</Figure>
                ) : (
                  <Quiet>{valueText(line, units)}</Quiet>
                )}
              </dd>
            </div>
          ))}
        </Facts>
      )}
    </Stack>
  )
}
