import { Checkbox } from 'react-aria-components'
import { styled } from 'styled-components'

/** Something that is chosen among others, by a touch: filled while it is. */
export const CheckChip = styled(Checkbox)`
  display: inline-flex;
  align-items: center;
  min-height: 44px;
  padding: 0 12px;
  border: 1.5px solid var(--strong-rule);
  cursor: pointer;
  &[data-selected] {
    background: var(--second);
    border-color: var(--second);
    color: var(--on-second);
    font-weight: 700;
  }
  &[data-focus-visible] {
    outline: 2.5px solid var(--second);
    outline-offset: 2px;
  }
`
