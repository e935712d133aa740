import type { ReactNode } from 'react'
import { css, styled } from 'styled-components'

/** Something wrong with a field: what, and what would be right, to be picked. */
export interface Problem {
  message: string
  choices?: readonly { label: string; value: string }[]
}

export type Problems = Readonly<Record<string, Problem | undefined>>

export const inputShape = css`
  width: 100%;
  min-height: 44px;
  padding: 8px 10px;
  border: 1.5px solid var(--strong-rule);
  border-radius: 2px;
  background: var(--sheet);
  color: var(--ink);
  font-size: 16px;
  &:focus-visible,
  &[data-focus-visible] {
    outline: 2.5px solid var(--second);
    outline-offset: 1px;
  }
  &[aria-invalid='true'] {
    border-color: var(--act);
  }
`

const Wrap = styled.div`
  display: flex;
  flex-direction: column;
  gap: 5px;
  min-width: 0;
`

export const labelShape = css`
  font-size: 14.5px;
  font-weight: 600;
`

const Hint = styled.span`
  font-size: 14px;
  color: var(--quiet);
  line-height: 1.35;
`

const Wrong = styled.span`
  font-size: 14.5px;
  font-weight: 600;
  color: var(--act);
  line-height: 1.35;
`

const Instead = styled.button`
  min-height: 40px;
  padding: 4px 12px;
  margin: 2px 8px 0 0;
  border: 1.5px solid var(--second);
  border-radius: 2px;
  background: none;
  color: var(--second);
  font-size: 15px;
  cursor: pointer;
`

/** Letters of a typed figure with its unit: no amount of an aquarium is longer. */
export const FIGURE_LETTERS = 40

/** From this share of a text's letters on it is said how many are left. */
const NEAR_ITS_END = 0.8

/** How many letters of a text are left, once it comes near its end; null before. */
export const lettersLeft = (text: unknown, most: number): number | null => {
  const { length } = typeof text === 'string' ? text : ''
  return length < most * NEAR_ITS_END ? null : Math.max(0, most - length)
}

interface FieldShellProps {
  id: string
  /** Null where the caller draws the label itself. */
  label: ReactNode
  hint?: ReactNode | undefined
  problem?: Problem | undefined
  onPick?: (value: string) => void
  /** Letters that are left of the field's text; null where that need not be said. */
  left?: number | null
  children: ReactNode
}

/** A field with its label above, what is wrong with it below, and ways to put it right. */
export function FieldShell({ id, label, hint, problem, onPick, left = null, children }: FieldShellProps) {
  return (
    <Wrap>
      {label !== null && <Label htmlFor={id}>{label}</Label>}
      {children}
      {left !== null && (
        <Hint role="status">
          {left} {left === 1 ? 'letter' : 'letters'} left
        </Hint>
      )}
      {problem && (
        <Wrong id={`${id}-problem`} role="alert">
          {problem.message}
        </Wrong>
      )}
      {problem?.choices && problem.choices.length > 0 && (
        <div>
          {problem.choices.map(({ label: words, value }) => (
            <Instead key={value} type="button" onClick={() => onPick?.(value)}>
              {words}
            </Instead>
          ))}
        </div>
      )}
      {hint !== undefined && <Hint id={`${id}-hint`}>{hint}</Hint>}
    </Wrap>
  )
}

export const Label = styled.label`
  ${labelShape}
`

/** What a field's own element needs to be tied to its hint and its problem. */
export const described = (id: string, hint: unknown, problem: Problem | undefined) => ({
  id,
  'aria-invalid': problem !== undefined,
  'aria-describedby':
    [problem && `${id}-problem`, hint !== undefined && `${id}-hint`].filter(Boolean).join(' ') || undefined,
})
