import { styled } from 'styled-components'

/** A thing to be ticked, with its words beside the box. */
export const Tick = styled.label`
  display: flex;
  gap: 10px;
  align-items: flex-start;
  min-height: 44px;
  padding-top: 8px;
  cursor: pointer;
  line-height: 1.35;
  input {
    width: 20px;
    height: 20px;
    margin: 1px 0 0;
    flex: none;
    accent-color: var(--second);
  }
`
