import { styled } from 'styled-components'
import { inputShape } from '../../../fields/shell.tsx'

/** Things to pick from, as large keys. */
export const Chips = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  button {
    min-height: 44px;
    padding: 4px 14px;
    border: 1.5px solid var(--strong-rule);
    border-radius: 2px;
    background: none;
    cursor: pointer;
    text-align: start;
    line-height: 1.2;
  }
  button[aria-pressed='true'] {
    border-color: var(--second);
    background: var(--second);
    color: var(--on-second);
    font-weight: 600;
  }
`

export const Select = styled.select`
  ${inputShape}
  width: auto;
  min-width: 180px;
`

export const Text = styled.input`
  ${inputShape}
`
