import { styled } from 'styled-components'

/** A file field that a button of ours opens. */
export const HiddenInput = styled.input`
  position: absolute;
  opacity: 0;
  width: 1px;
  height: 1px;
`
