import { styled } from 'styled-components'
import { Quiet } from '../../../look/text.ts'

/** How a panel is read; left out on the phone. */
export const Legend = styled(Quiet)`
  font-size: 14px;
  @media (max-width: 759px) {
    display: none;
  }
`

/** A round of a course as a row: which, when, and where or until when; what is to come is quiet. */
export const RoundRow = styled.div<{ $isAhead: boolean }>`
  display: grid;
  grid-template-columns: 84px minmax(0, 1fr) auto;
  gap: 12px;
  font-size: 15px;
  ${({ $isAhead }) => $isAhead && 'color: var(--quiet);'}
`

/** An assumption that is slid: its words, its number, and the slider under both. */
export const Slide = styled.label`
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 2px 12px;
  font-size: 15px;
  input {
    grid-column: 1 / -1;
    width: 100%;
    min-height: 44px;
    accent-color: var(--second);
  }
`
