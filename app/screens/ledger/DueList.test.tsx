import { screen, within } from '@testing-library/react'
import type { Content } from '../../../core/journal/entry.ts'
import { arrival, bareTank } from '../../../core/journal/testing.ts'
import { tanksOf } from '../../../core/household/tanks.ts'
import { renderInHousehold, sampleOf } from '../../../scripts/testing/app.tsx'
import { useRunningPlans } from '../../courses/usePlans.ts'
import { useHousehold } from '../../journal/provider.tsx'
import { DueList } from './DueList.tsx'
import { pressingThings } from './PressingList.tsx'

/** The list as the ledger gives it on the phone, with no task due. */
function Listed() {
  const { journal } = useHousehold()
  const things = pressingThings(journal, useRunningPlans(), Date.parse('2026-07-08T00:00:00Z'))
  return <DueList due={[]} tanks={tanksOf(journal)} things={things} />
}

const CASE: Content = {
  kind: 'case-start',
  happened: '2026-07-05T08:00:00Z',
  caseId: 'jelly',
  tankId: 'h',
  table: 'coral-and-pests',
  animalIds: [],
  title: 'Brown jelly',
}
const expected = (expectedId: string, due: string): Content => ({
  kind: 'expected',
  happened: '2026-07-01T08:00:00Z',
  expectedId,
  boxId: 'box',
  tankId: 'q',
  name: expectedId,
  species: 'goby',
  group: 'goby',
  count: 1,
  due,
})

async function list(...more: Content[]) {
  await renderInHousehold(
    <Listed />,
    sampleOf(bareTank('q', 'Quarantine'), bareTank('h', 'Hall reef'), arrival('n', 'h', 1, 1, 'Needle'), ...more),
    '/',
  )
  return screen.findByRole('region', { name: 'Due in the household' })
}

const NOTHING = 'Nothing is due in the household.'

test('with nothing that presses it says that nothing is due', async () => {
  expect(within(await list()).getByText(NOTHING)).toBeVisible()
})

test('a box at the door stands first until the last animal is out of it, then the open case; “nothing is due” is not said beside them', async () => {
  const came: Content = { ...(arrival('a', 'q', 7, 9, 'Alba') as Content & { kind: 'arrival' }), expectedId: 'Alba' }
  const region = await list(
    CASE,
    expected('Alba', '2026-07-07T09:00:00Z'),
    expected('Bruno', '2026-07-07T09:00:00Z'),
    came,
  )
  const items = within(within(region).getByRole('list', { name: 'Before everything else' })).getAllByRole('listitem')
  expect(items.map(({ textContent }) => textContent)).toEqual([
    expect.stringMatching(/^Bruno.*expected (since|at).*for QuarantineThe box is here$/),
    'Open case: Brown jelly, Hall reef',
  ])
  expect(within(items[0]!).getByRole('link', { name: 'The box is here' })).toHaveAttribute(
    'href',
    expect.stringContaining('/arrivals/box/box/inspect'),
  )
  expect(within(region).queryByText(NOTHING)).toBeNull()
})

test('a box of another day is none of today', async () => {
  expect(within(await list(expected('Alba', '2026-07-09T09:00:00Z'))).getByText(NOTHING)).toBeVisible()
})
