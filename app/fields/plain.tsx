import { useId, type ReactNode } from 'react'
import { styled } from 'styled-components'
import { figureShown, figureTyped } from './figure-text.ts'
import { described, FIGURE_LETTERS, FieldShell, inputShape, type Problem } from './shell.tsx'

const Input = styled.input`
  ${inputShape}
  font-family: var(--mono);
  font-size: 17px;
`

const Beside = styled.div`
  display: flex;
  align-items: center;
  gap: 9px;
  & > span {
    color: var(--quiet);
    font-size: 15px;
    white-space: nowrap;
  }
`

/** A figure on its own, outside any form library: for what stands on the first screen. Kept as typed. */
export function FigureField({
  label,
  value,
  onChange,
  after,
  hint,
  problem,
}: {
  label: ReactNode
  value: string
  onChange: (value: string) => void
  after: string
  hint?: ReactNode | undefined
  problem?: Problem | undefined
}) {
  const id = useId()
  return (
    <FieldShell id={id} label={label} hint={hint} problem={problem} onPick={onChange}>
      <Beside>
        <Input
          {...described(id, hint, problem)}
          value={figureShown(value)}
          maxLength={FIGURE_LETTERS}
          onChange={(event) => onChange(figureTyped(event.target.value))}
          inputMode="decimal"
          autoComplete="off"
        />
        <span>{after}</span>
      </Beside>
    </FieldShell>
  )
}
