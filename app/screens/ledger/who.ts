import { styled } from 'styled-components'

/** A quiet line in the head of a tank’s column. */
export const Who = styled.div`
  margin-top: 3px;
  font-size: 14px;
  line-height: 1.3;
  color: var(--quiet);
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
`
