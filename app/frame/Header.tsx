import { Link } from 'react-aria-components'
import { useLocation } from 'react-router'
import { styled } from 'styled-components'
import { useHousehold, useShown } from '../journal/provider.tsx'
import { WHICH_NAMES } from '../journal/which.ts'
import { dayAs } from '../../core/time/words.ts'
import { SCREENS } from './screens.ts'
import { LookChoice } from './LookChoice.tsx'
import { useNow } from './now.tsx'

const Bar = styled.header`
  display: flex;
  align-items: stretch;
  gap: 4px;
  height: 46px;
  padding: 0 16px;
  background: var(--sheet);
  border-bottom: 1px solid var(--strong-rule);
  @media (max-width: 759px) {
    height: 48px;
    background: var(--ground);
  }
`

const Name = styled(Link)`
  display: flex;
  align-items: center;
  margin-right: 14px;
  font-size: 20px;
  font-weight: 750;
  letter-spacing: -0.01em;
  color: var(--ink);
  text-decoration: none;
`

const Nav = styled.nav`
  display: flex;
  @media (max-width: 759px) {
    display: none;
  }
`

const NavLink = styled(Link)`
  display: flex;
  align-items: center;
  padding: 3px 9px 0;
  border-bottom: 3px solid transparent;
  color: var(--quiet);
  text-decoration: none;
  font-size: 16px;
  &[aria-current='page'] {
    color: var(--ink);
    font-weight: 700;
    border-bottom-color: var(--second);
  }
  &[data-hovered] {
    color: var(--ink);
  }
`

const Right = styled.div`
  margin-left: auto;
  display: flex;
  align-items: center;
  gap: 18px;
  font-size: 15px;
`

const Desk = styled.div`
  display: contents;
  @media (max-width: 759px) {
    display: none;
  }
`

const Phone = styled.div`
  display: none;
  @media (max-width: 759px) {
    display: flex;
    align-items: center;
    gap: 16px;
  }
`

const WhichLink = styled(Link)`
  display: flex;
  align-items: center;
  min-height: 44px;
  color: var(--ink);
  font-weight: 600;
  text-decoration-color: var(--strong-rule);
  &[data-sample='true'] {
    color: var(--soon);
  }
`

const Day = styled.span`
  color: var(--quiet);
  font-size: 15px;
`

export function Header() {
  const { pathname } = useLocation()
  const { which } = useShown()
  const { settings } = useHousehold()
  const today = settings.clock.dayOf(useNow())
  const isHere = (path: string) => (path === '/' ? pathname === '/' : pathname.startsWith(path))
  return (
    <Bar>
      <Name href="/">Brinvo</Name>
      <Nav aria-label="Screens">
        {SCREENS.map(({ path, name }) => (
          <NavLink key={path} href={path} aria-current={isHere(path) ? 'page' : undefined}>
            {name}
          </NavLink>
        ))}
      </Nav>
      <Right>
        <Desk>
          <WhichLink href="/records" data-sample={which === 'sample'}>
            {WHICH_NAMES[which]}
          </WhichLink>
          <LookChoice />
        </Desk>
        <Phone>
          <Day>{dayAs(today, 'EEEE d')}</Day>
          {which === 'sample' && (
            <WhichLink href="/records" data-sample="true">
              Sample
            </WhichLink>
          )}
          <WhichLink href="/more">More</WhichLink>
        </Phone>
      </Right>
    </Bar>
  )
}
