import { useId, useState } from 'react'
import { styled } from 'styled-components'
import { typedNumber } from '../../../../core/numbers/typed.ts'
import { GRAVE_RISK, type ParasiteRisk } from '../../../../core/courses/outlook/what-if.ts'
import { dayAs, timeOf } from '../../../../core/time/words.ts'
import { dayFromText, dayText, MS_PER_DAY } from '../../../../core/time/zone.ts'
import { PARASITE_NAMES, riskText } from '../../../courses/words.ts'
import { figureShown, figureTyped } from '../../../fields/figure-text.ts'
import { FIGURE_LETTERS, inputShape } from '../../../fields/shell.tsx'
import { thisInstant } from '../../../frame/now.tsx'
import { useHousehold } from '../../../journal/provider.tsx'
import { Small } from '../../../look/text.ts'

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
        maxLength={FIGURE_LETTERS}
        onChange={(event) => onText(figureTyped(event.target.value))}
        inputMode="decimal"
        {...(name !== undefined && { 'aria-label': name })}
      />
      {after}
    </Ask>
  )
}

/** Risk from which a parasite being left is no small thing. */
const isGrave = (risks: readonly ParasiteRisk[]) => risks.some(({ risk }) => risk >= GRAVE_RISK)

/** No more days after the count is full than these are asked about. */
const MOST_DAYS_AFTER = 400

/**
 * A question with a day in it, answered by the risk that is left: "move on [day]".
 * @param name     of the field
 * @param daysBefore the day that stands there at first, before the count is full
 * @param risksAt  the risk left if it is done at an instant, ms
 */
export function AskDay({
  before,
  name,
  daysBefore,
  runFrom,
  fullAt,
  risksAt,
}: {
  before: string
  name: string
  daysBefore: number
  runFrom: number
  fullAt: number
  risksAt: (at: number) => ParasiteRisk[]
}) {
  const { settings } = useHousehold()
  const { clock } = settings
  const [text, setText] = useState(() =>
    dayText(clock.dayOf(Math.max(thisInstant(), fullAt - daysBefore * MS_PER_DAY))),
  )
  const day = dayFromText(text)
  const at = day === null ? null : clock.instantAt(day, clock.minuteOf(fullAt))
  const isAsked = at !== null && at >= runFrom && at - fullAt < MOST_DAYS_AFTER * MS_PER_DAY
  const risks = isAsked ? risksAt(at) : null
  const isEarly = isAsked && at < fullAt
  return (
    <Question>
      <Ask>
        {before}
        <Short type="date" value={text} onChange={(event) => setText(event.target.value)} aria-label={name} />
      </Ask>
      {risks ? (
        <Answer $tone={isEarly || isGrave(risks) ? 'act' : 'plain'}>
          {isEarly && 'before the count is full, '}left: {risksText(risks)}
        </Answer>
      ) : (
        <Answer $tone="act">a day of this run or after it</Answer>
      )}
      <Small>
        full {dayAs(clock.dayOf(fullAt), 'd MMMM')}, {timeOf(fullAt, clock)}: {risksText(risksAt(fullAt))}, if every
        rule was kept
      </Small>
    </Question>
  )
}
