import { styled } from 'styled-components'

/** A native box with its words: yes or no, large enough for a wet finger. */
export const Tick = styled.label`
  display: flex;
  align-items: center;
  gap: 10px;
  min-height: 44px;
  cursor: pointer;
  input {
    width: 20px;
    height: 20px;
    margin: 0;
    accent-color: var(--second);
    flex: none;
  }
`
