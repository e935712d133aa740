import { useId } from 'react'
import { styled } from 'styled-components'
import { typedNumber } from '../../../../core/numbers/typed.ts'
import type { ParasiteRisk } from '../../../../core/courses/outlook/what-if.ts'
import { PARASITE_NAMES, riskText } from '../../../courses/words.ts'
import { figureShown, figureTyped } from '../../../fields/figure-text.ts'
import { inputShape } from '../../../fields/shell.tsx'

export const Question = styled.div`
  padding: 10px 0;
  border-bottom: 1px dotted var(--strong-rule);
  font-size: 15px;
  line-height: 1.4;
`

export const Ask = styled.label`
  display: flex;
  align-items: center;
  gap: 8px;
  flex-wrap: wrap;
`

export const Short = styled.input`
  ${inputShape}
  width: 96px;
  font-family: var(--mono);
  &[type='date'] {
    width: 158px;
  }
`

export const Answer = styled.output<{ $tone?: 'act' | 'plain' }>`
  display: block;
  margin-top: 5px;
  font-weight: 600;
  ${({ $tone }) => $tone === 'act' && 'color: var(--act);'}
`

/** More hours late than anybody asks about: by then a course is given up. */
export const MOST_LATE_HOURS = 1000

/** "marine ich 0.4 %, velvet under 0.1 %". */
export const risksText = (risks: readonly ParasiteRisk[]): string =>
  risks.map(({ parasite, risk }) => `${PARASITE_NAMES[parasite] ?? parasite} ${riskText(risk)}`).join(', ')

/** A figure as typed; null where it is none, or below zero. */
export function figureAsked(text: string): number | null {
  const typed = typedNumber(text)
  return 'value' in typed && typed.value >= 0 ? typed.value : null
}

/**
 * A question with one figure in its middle: "nobody works at it for [5] days".
 * @param name of the field where the words before it do not say it alone
 */
export function AskFigure({
  before,
  after = '',
  name,
  text,
  onText,
}: {
  before: string
  after?: string
  name?: string
  text: string
  onText: (text: string) => void
}) {
  const id = useId()
  return (
    <Ask htmlFor={id}>
      {before}
      <Short
        id={id}
        value={figureShown(text)}
        onChange={(event) => onText(figureTyped(event.target.value))}
        inputMode="decimal"
        {...(name !== undefined && { 'aria-label': name })}
      />
      {after}
    </Ask>
  )
}
