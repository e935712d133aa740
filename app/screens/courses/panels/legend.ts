import { styled } from 'styled-components'
import { Quiet } from '../../../look/text.ts'

/** How a panel is read; left out on the phone. */
export const Legend = styled(Quiet)`
  font-size: 14px;
  @media (max-width: 759px) {
    display: none;
  }
`
