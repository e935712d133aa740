import type { ReactNode } from 'react'
import { Link } from 'react-aria-components'
import { styled } from 'styled-components'

const Quiet = styled(Link)`
  color: inherit;
  text-underline-offset: 3px;
  text-decoration-color: var(--strong-rule);
  &[data-hovered] {
    color: var(--second);
  }
`

/** Leads from where a number is used to where the handbook says it, with its source. @param to chapter and row: "doses#cu-ion-std" */
export const HandbookLink = ({ to, children }: { to: string; children: ReactNode }) => (
  <Quiet href={`/handbook/${to}`}>{children}</Quiet>
)
