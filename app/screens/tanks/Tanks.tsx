import { Link } from 'react-aria-components'
import { styled } from 'styled-components'
import { residentsOf, animalLabel } from '../../../core/household/animals.ts'
import { tanksOf, type Tank } from '../../../core/household/tanks.ts'
import { useHousehold } from '../../journal/provider.tsx'
import { ButtonLink } from '../../look/buttons.ts'
import { Page, PageHead } from '../../look/page.ts'
import { Figure, Heading, Quiet, Rows, Small, Stack, Title } from '../../look/text.ts'
import { listed } from '../../../core/words/numbers.ts'
import { quantityText, volume } from '../../../core/words/quantities.ts'
import { ROLE_NAMES } from './names.ts'

const TankLine = styled(Link)`
  display: grid;
  grid-template-columns: minmax(140px, 1.1fr) 130px minmax(0, 2fr);
  gap: 4px 20px;
  align-items: baseline;
  min-height: 44px;
  padding: 6px 0;
  color: var(--ink);
  text-decoration: none;
  @media (max-width: 759px) {
    grid-template-columns: 1fr auto;
    & > :last-child {
      grid-column: 1 / -1;
    }
  }
  strong {
    font-size: 18px;
  }
  &[data-hovered] strong {
    text-decoration: underline;
  }
`

export function Tanks() {
  const { journal, settings } = useHousehold()
  const all = tanksOf(journal, { retired: true })
  const inUse = all.filter((tank) => !tank.retired)
  const down = all.filter((tank) => tank.retired)
  const row = (tank: Tank) => (
    <li key={tank.id} style={{ padding: 0 }}>
      <TankLine href={`/tanks/${tank.id}`}>
        <span>
          <strong>{tank.name}</strong> <Quiet>{ROLE_NAMES[tank.role]}</Quiet>
        </span>
        <Figure>{tank.volume ? `${quantityText(volume(tank.volume.netL, settings.units))} net` : 'volume?'}</Figure>
        <Quiet>{listed(residentsOf(journal, tank.id).map(animalLabel)) || 'empty'}</Quiet>
      </TankLine>
    </li>
  )
  return (
    <Page>
      <PageHead>
        <Title>Tanks</Title>
        <ButtonLink href="/tanks/new">Set up a tank</ButtonLink>
      </PageHead>
      <Stack $gap={28}>
        {inUse.length > 0 ? <Rows>{inUse.map(row)}</Rows> : <Small>No tank yet. The first one opens the ledger.</Small>}
        {down.length > 0 && (
          <section>
            <Heading>Taken down</Heading>
            <Rows>{down.map(row)}</Rows>
          </section>
        )}
      </Stack>
    </Page>
  )
}
