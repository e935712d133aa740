import { css, styled } from 'styled-components'
import { PlainLink } from './buttons.ts'

const Parts = styled.nav`
  display: flex;
  flex-wrap: wrap;
  gap: 0 22px;
  border-bottom: 1.5px solid var(--ink);
  margin-bottom: 20px;
  @media (max-width: 759px) {
    gap: 0 16px;
  }
`

const Part = styled(PlainLink)<{ $isHere: boolean }>`
  display: inline-flex;
  align-items: center;
  min-height: 44px;
  text-decoration: none;
  border-bottom: 4px solid transparent;
  ${({ $isHere }) =>
    $isHere &&
    css`
      font-weight: 700;
      border-color: var(--second);
    `}
`

/** The parts of one screen, each at its own address. */
export function PartLinks({
  label,
  here,
  parts,
}: {
  label: string
  here: string
  parts: readonly { id: string; name: string; href: string }[]
}) {
  return (
    <Parts aria-label={label}>
      {parts.map(({ id, name, href }) => (
        <Part key={id} href={href} $isHere={id === here} aria-current={id === here ? 'page' : undefined}>
          {name}
        </Part>
      ))}
    </Parts>
  )
}
