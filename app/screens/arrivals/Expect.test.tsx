import { screen, waitFor, within } from '@testing-library/react'
import type { Content } from '../../../core/journal/entry.ts'
import { sampleOf } from '../../../scripts/testing/app.tsx'
import { awaited, TWO_TANKS } from '../../../scripts/testing/arrivals.ts'
import { openScreens } from '../../../scripts/testing/screens.tsx'
import { ExpectBox } from './ExpectBox.tsx'

const SCREENS = {
  '/arrivals/new': <ExpectBox />,
  '/arrivals/box/:boxId/change': <ExpectBox />,
}
const KINDS = ['expected'] as const

const open = (path: string, ...contents: Content[]) => openScreens(SCREENS, KINDS, sampleOf(...contents), path)

test('without a tank there is nowhere to go to', async () => {
  await open('/arrivals/new')
  expect(screen.getByRole('link', { name: 'Set up a tank' })).toHaveAttribute('href', '/tanks/new')
})

test('two animals of one box are announced together, and its page opens', async () => {
  const { user, lines } = await open('/arrivals/new?tank=side', ...TWO_TANKS)
  await user.type(screen.getByLabelText('Hours on the way'), '18')
  await user.type(screen.getByLabelText('What it is'), 'orchid dottyback')
  await user.click(screen.getByRole('button', { name: 'Another animal in the box' }))
  const second = within(screen.getByRole('group', { name: 'Animal 2' }))
  await user.type(second.getByLabelText('What it is'), 'hammer coral')
  // What it is called points to its group; no choice is left to make.
  expect(second.getByLabelText('Group')).toHaveValue('coral-lps')
  await user.type(second.getByLabelText('Light it comes from'), '120')
  await user.click(second.getByRole('checkbox', { name: /A dip is planned/ }))
  await user.click(screen.getByRole('button', { name: 'Expect it' }))
  await waitFor(() => expect(lines('expected')).toHaveLength(2))
  const [fish, coral] = lines('expected')
  expect(fish!.boxId).toBe(coral!.boxId)
  expect([fish, coral]).toMatchObject([
    { species: 'orchid dottyback', group: 'dottyback-basslet', tankId: 'side', hoursInTransit: 18 },
    { species: 'hammer coral', tankId: 'side', group: 'coral-lps', lightUmol: 120, dip: true },
  ])
  await waitFor(() => expect(screen.getByLabelText('address')).toHaveTextContent(`/arrivals/box/${fish!.boxId}`))
})

test('what is wrong stands beside its field and nothing is lost', async () => {
  const { user, lines } = await open('/arrivals/new', ...TWO_TANKS)
  await user.type(screen.getByLabelText('Hours on the way'), '480')
  await user.type(screen.getByLabelText('Seller’s salinity'), '350')
  await user.click(screen.getByRole('button', { name: 'Expect it' }))
  const alerts = (await screen.findAllByRole('alert')).map(({ textContent }) => textContent).join(' ')
  expect(alerts).toMatch(/up to five days/)
  expect(alerts).toMatch(/0 psu to 45 psu is plausible/)
  expect(alerts).toMatch(/what it is, as you call it/)
  expect(alerts).toMatch(/which group: it decides how the animal is brought across/)
  expect(screen.getByLabelText('Hours on the way')).toHaveValue('480')
  expect(lines('expected')).toHaveLength(0)
})

test('a fish is asked for its size, a coral for its light, a freshwater animal for no salinity', async () => {
  const { user } = await open('/arrivals/new', ...TWO_TANKS)
  const asked = () =>
    ['Size', 'Seller’s salinity', 'Light it comes from'].filter((label) => screen.queryByLabelText(label) !== null)
  expect(asked()).toEqual(['Size', 'Seller’s salinity'])
  await user.selectOptions(screen.getByLabelText('Group'), 'coral-sps')
  expect(asked()).toEqual(['Seller’s salinity', 'Light it comes from'])
  await user.selectOptions(screen.getByLabelText('Group'), 'fw-cichlid')
  expect(asked()).toEqual(['Size'])
})

test('a group chosen by hand stays, whatever is typed after it; an announced one too', async () => {
  const { user } = await open('/arrivals/new', ...TWO_TANKS)
  const group = () => screen.getByLabelText('Group')
  await user.type(screen.getByLabelText('What it is'), 'royal')
  expect(group()).toHaveValue('')
  await user.type(screen.getByLabelText('What it is'), ' gramma')
  expect(group()).toHaveValue('dottyback-basslet')
  await user.selectOptions(group(), 'marine-fish')
  await user.type(screen.getByLabelText('What it is'), ' or tang')
  expect(group()).toHaveValue('marine-fish')
})

describe('put right', () => {
  test('an animal taken out is not awaited any more', async () => {
    const { user, lines } = await open(
      '/arrivals/box/box/change',
      ...TWO_TANKS,
      awaited(),
      awaited({ expectedId: 'shrimp', species: 'cleaner shrimp', group: 'shrimp-crab-snail', count: 2 }),
    )
    const shrimp = screen.getByRole('group', { name: 'Animal 2' })
    expect(within(shrimp).getByLabelText('How many')).toHaveValue('2')
    await user.click(within(shrimp).getByRole('button', { name: 'take it out' }))
    await user.click(screen.getByRole('button', { name: 'Keep the change' }))
    await waitFor(() => expect(lines('expected')).toHaveLength(4))
    expect(lines('expected').slice(2)).toMatchObject([
      { expectedId: 'orchid', boxId: 'box' },
      { expectedId: 'shrimp', cancelled: true },
    ])
  })

  test('the whole box called off', async () => {
    const { user, lines } = await open('/arrivals/box/box/change', ...TWO_TANKS, awaited())
    await user.click(screen.getByRole('button', { name: 'it is not coming any more' }))
    await waitFor(() => expect(lines('expected').at(-1)).toMatchObject({ expectedId: 'orchid', cancelled: true }))
    await waitFor(() => expect(screen.getByLabelText('address').textContent).toBe('/arrivals'))
  })

  test('of a box that has come there is nothing to change', async () => {
    await open('/arrivals/box/gone/change', ...TWO_TANKS)
    expect(screen.getByRole('heading', { name: 'Nothing awaited here' })).toBeInTheDocument()
  })
})
