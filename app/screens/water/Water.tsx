import { useParams } from 'react-router'
import { tanksOf } from '../../../core/household/tanks.ts'
import { useHousehold } from '../../journal/provider.tsx'
import { PartLinks } from '../../look/PartLinks.tsx'
import { Missing } from '../../look/Missing.tsx'
import { Page, PageHead } from '../../look/page.ts'
import { Quiet, Title } from '../../look/text.ts'
import { Balance } from './Balance.tsx'
import { Charts } from './Charts.tsx'
import { Correct } from './Correct.tsx'
import { Devices } from './devices/Devices.tsx'
import { Files } from './files/Files.tsx'
import { Round } from './Round.tsx'

const PARTS = [
  { id: 'round', name: 'The round', Body: Round },
  { id: 'charts', name: 'Charts', Body: Charts },
  { id: 'balance', name: 'What it takes up', Body: Balance },
  { id: 'correct', name: 'Put right', Body: Correct },
  { id: 'files', name: 'Lab and files', Body: Files },
  { id: 'devices', name: 'Devices', Body: Devices },
] as const

/** The water log: what is to be tested, and what the readings say. */
export function Water() {
  const { part = 'round' } = useParams()
  const { journal } = useHousehold()
  const here = PARTS.find(({ id }) => id === part)
  if (tanksOf(journal).length === 0)
    return (
      <Missing title="Water" back="Set up a tank" href="/tanks/new">
        Readings belong to a tank.
      </Missing>
    )
  if (!here)
    return (
      <Missing title="No such part" back="The round" href="/water">
        The water log has no part of that name.
      </Missing>
    )
  return (
    <Page>
      <PageHead>
        <div>
          <Title>Water</Title>
          <Quiet>readings that can be trusted, and what they say</Quiet>
        </div>
      </PageHead>
      <PartLinks
        label="Parts of the water log"
        here={here.id}
        parts={PARTS.map(({ id, name }) => ({ id, name, href: id === 'round' ? '/water' : `/water/${id}` }))}
      />
      <here.Body />
    </Page>
  )
}
