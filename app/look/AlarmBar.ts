import { styled } from 'styled-components'

/** What has to be seen to, at the top of every screen: each line leads to its place. A link with the tone "soon" is less urgent. */
export const AlarmBar = styled.div`
  display: flex;
  flex-direction: column;
  padding: 0 16px;
  background: var(--sheet);
  border-bottom: 2px solid var(--act);
  a {
    display: flex;
    align-items: center;
    min-height: 44px;
    color: var(--act);
    font-weight: 600;
    text-decoration-color: var(--strong-rule);
  }
  a[data-tone='soon'] {
    color: var(--soon);
  }
`
