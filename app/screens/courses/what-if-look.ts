import { styled } from 'styled-components'
import { inputShape } from '../../fields/shell.tsx'

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
  width: 76px;
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
