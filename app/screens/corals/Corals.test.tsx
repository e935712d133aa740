import { screen, waitFor, within } from '@testing-library/react'
import type { Content } from '../../../core/journal/entry.ts'
import { bareTank } from '../../../core/journal/testing.ts'
import { sampleOf } from '../../../scripts/testing/app.tsx'
import { fromNow } from '../../../scripts/testing/arrivals.ts'
import { openScreens } from '../../../scripts/testing/screens.tsx'
import { CoursePage } from '../courses/CoursePage.tsx'
import { StartCourse } from '../courses/start/StartCourse.tsx'
import { TankPage } from '../tanks/TankPage.tsx'
import { Corals } from './Corals.tsx'

jest.mock('../courses/ConcentrationChart.tsx', () => ({ __esModule: true, default: () => null }))
jest.mock('../tanks/ReadingCharts.tsx', () => ({ ReadingCharts: () => null }))

const DAY = 24 * 60
const coral = (animalId: string, species: string, group: string, count = 1): Content => ({
  kind: 'arrival',
  happened: fromNow(-2 * DAY),
  animalId,
  tankId: 'tub',
  species,
  group,
  count,
})
const part = (partId: string, name: string, group: string): Content => ({
  kind: 'part-setup',
  happened: fromNow(-2 * DAY),
  partId,
  tankId: 'tub',
  what: 'coral',
  name,
  group,
  pieces: 1,
})
const HOUSE: readonly Content[] = [
  bareTank('tub', 'Coral tub'),
  bareTank('hall', 'Hall'),
  {
    kind: 'product-setup',
    happened: fromNow(-40 * DAY),
    productId: 'iodine',
    name: 'iodine 5 %',
    ingredient: 'iodine-dip',
    strength: { kind: 'solution', mgPerMl: 50 },
    measure: { tool: 'syringe', step: 0.1 },
  },
]
const cycle = (extra: Partial<Extract<Content, { kind: 'course-start' }>> = {}): Content => ({
  kind: 'course-start',
  happened: fromNow(-60),
  courseId: 'c',
  definition: 'coral-dip-cycle',
  tanks: { main: 'tub' },
  animalIds: [],
  partIds: ['zoa', 'psammo'],
  options: { pest: 'zoa-nudi', dip: 'iodine' },
  products: { 'iodine-coral': 'iodine' },
  readAt: '00:00',
  ...extra,
})
const HOSTS = [part('zoa', 'green zoanthids', 'coral-soft'), part('psammo', 'Psammocora', 'coral-sps')]

const SCREENS = {
  '/courses/new': <StartCourse />,
  '/courses/:courseId': <CoursePage />,
  '/tanks/:tankId': <TankPage />,
  '/tanks/:tankId/corals': <Corals />,
}
const open = (contents: readonly Content[], path: string) =>
  openScreens(
    SCREENS,
    ['course-start', 'part-setup', 'part-change', 'bath', 'count', 'contact', 'gear-setup', 'gear-clean', 'equipment'],
    sampleOf(...HOUSE, ...contents),
    path,
  )

describe('corals and their places', () => {
  test('corals of the ledger are named at one press', async () => {
    const { user, lines } = await open([coral('acans', 'acan', 'coral-lps', 3)], '/tanks/tub/corals')
    expect(screen.getByText(/In the ledger and not named here yet: 3 acan/)).toBeVisible()
    await user.click(screen.getByRole('button', { name: 'Name it' }))
    await waitFor(() => expect(lines('part-setup')).toMatchObject([{ name: 'acan', pieces: 3, animalId: 'acans' }]))
    expect(await screen.findByRole('button', { name: 'Change acan' })).toBeVisible()
  })

  test('a coral is added with what is wrong told beside its field, and put elsewhere as a move of its own', async () => {
    const { user, lines } = await open([], '/tanks/tub/corals')
    await user.click(screen.getByRole('button', { name: 'Add a coral' }))
    await user.clear(screen.getByLabelText('Pieces'))
    await user.type(screen.getByLabelText('Pieces'), '0')
    await user.type(screen.getByLabelText('Of full light'), '140')
    await user.click(screen.getByRole('button', { name: 'Keep the coral' }))
    expect(await screen.findByText(/what you call it/)).toBeVisible()
    expect(screen.getByText('how many pieces, 1 or more')).toBeVisible()
    expect(screen.getByText('of full light, 0 to 100 %')).toBeVisible()
    await user.type(screen.getByLabelText('Coral'), 'red cap')
    await user.clear(screen.getByLabelText('Pieces'))
    await user.type(screen.getByLabelText('Pieces'), '1')
    await user.clear(screen.getByLabelText('Of full light'))
    await user.type(screen.getByLabelText('Of full light'), '40')
    await user.click(screen.getByRole('button', { name: 'Keep the coral' }))
    await waitFor(() =>
      expect(lines('part-setup')).toMatchObject([{ what: 'coral', name: 'red cap', place: { lightShare: 0.4 } }]),
    )
    expect(await screen.findByText('only one piece')).toBeVisible()

    await user.click(screen.getByRole('button', { name: 'how it looks' }))
    await user.click(screen.getByRole('button', { name: 'pale' }))
    await waitFor(() => expect(lines('count')).toMatchObject([{ measure: 'survey', parts: [{ value: 2 }] }]))
    await user.click(screen.getByRole('button', { name: 'Change red cap' }))
    await user.type(screen.getByLabelText('Place'), 'rock, left')
    await user.click(screen.getByRole('button', { name: 'Keep the change' }))
    await waitFor(() =>
      expect(lines('part-change')).toMatchObject([
        { changes: { place: { compartment: 'rock, left', lightShare: 0.4 } } },
      ]),
    )
    await user.click(await screen.findByRole('button', { name: '2 places so far' }))
    expect(screen.getByText(/pale before, not looked at after three days/)).toBeVisible()
  })

  test('one that is gone leaves the list, and the spare copies tell what is left of it', async () => {
    const other: Content = { ...HOSTS[0]!, partId: 'zoa-2', tankId: 'hall' } as Content
    const { user } = await open([HOSTS[0]!, other], '/tanks/tub/corals')
    await user.click(screen.getByRole('button', { name: 'how it looks' }))
    await user.click(screen.getByRole('button', { name: 'gone' }))
    expect(await screen.findByText('None yet.')).toBeVisible()
    expect(screen.getByText(/Hall 1, lost in another place/)).toBeVisible()
  })
})

describe('a course of dips', () => {
  test('its corals are chosen at the start; without one it does not begin', async () => {
    const { user, lines } = await open(
      [coral('zoas', 'zoanthids', 'coral-soft'), HOSTS[1]!],
      '/courses/new?definition=coral-dip-cycle&tank=tub',
    )
    for (const name of ['Psammocora', 'zoanthids']) await user.click(screen.getByRole('checkbox', { name }))
    await user.click(screen.getByRole('button', { name: 'Start the course' }))
    expect(await screen.findByText('which corals: all hosts or none')).toBeVisible()
    for (const name of ['Psammocora', 'zoanthids']) await user.click(screen.getByRole('checkbox', { name }))
    await user.click(screen.getByRole('button', { name: 'Start the course' }))
    await waitFor(() => expect(lines('course-start')).toHaveLength(1))
    expect(lines('part-setup').at(-1)).toMatchObject({ animalId: 'zoas', what: 'coral' })
    expect(lines('course-start')[0]).toMatchObject({
      definition: 'coral-dip-cycle',
      partIds: ['psammo', 'coral-zoas'],
      options: { pest: 'zoa-nudi', pace: 'by-maturity', dip: 'label-oil' },
    })
  })

  test('dipped in part, then the rest; a dip by its label alone asks how much', async () => {
    const { user, lines } = await open([...HOSTS, cycle()], '/courses/c')
    await user.click(await screen.findByRole('checkbox', { name: /Psammocora/ }))
    await user.type(screen.getByLabelText('Water in the dip'), '2')
    expect(screen.getByText('0.8 mL')).toBeVisible()
    await user.click(screen.getByRole('button', { name: 'Log the dip of 1 of 2' }))
    await waitFor(() =>
      expect(lines('bath')).toMatchObject([{ partIds: ['zoa'], amount: 0.8, massMg: 40, litres: 2, minutes: 5 }]),
    )
    expect(await screen.findByRole('heading', { name: 'Dip the one that is left: Psammocora' })).toBeVisible()
    await user.selectOptions(screen.getByRole('combobox', { name: 'Dip' }), 'potassium')
    await user.type(screen.getByLabelText('Water in the dip'), '1')
    await user.click(screen.getByRole('button', { name: 'Log the dip of all' }))
    expect(await screen.findByText('as much as its label says for that water')).toBeVisible()
    await user.type(screen.getByLabelText('By its label'), '6')
    await user.click(screen.getByRole('button', { name: 'Log the dip of all' }))
    await waitFor(() => expect(lines('bath')).toHaveLength(2))
    expect(lines('bath')[1]).toMatchObject({ partIds: ['psammo'], ingredient: 'potassium-chloride', amount: 6 })
    expect(lines('bath')[1]!.massMg).toBeUndefined()
  })

  test('nothing on any coral is one press; what came off is counted host by host', async () => {
    const dip: Content = {
      kind: 'bath',
      happened: fromNow(-30),
      tankId: 'tub',
      animalIds: [],
      partIds: ['zoa', 'psammo'],
      ingredient: 'iodine-dip',
      amount: 0.8,
      unit: 'mL',
      massMg: 40,
      litres: 2,
      minutes: 8,
      courseId: 'c',
    }
    const { user, lines } = await open([...HOSTS, cycle(), dip], '/courses/c')
    await screen.findByRole('button', { name: 'Nothing on any coral' })
    await user.click(screen.getByRole('button', { name: 'one more came off, green zoanthids' }))
    expect(screen.queryByRole('button', { name: 'Nothing on any coral' })).toBeNull()
    await user.click(screen.getByRole('button', { name: 'one more eggs, green zoanthids' }))
    await user.click(screen.getByRole('checkbox', { name: 'edges brushed, green zoanthids' }))
    await user.click(screen.getByRole('button', { name: 'Log 1 of 2' }))
    await waitFor(() => expect(lines('count')).toHaveLength(3))
    expect(lines('count').map(({ measure, parts }) => [measure, parts![0]!.value])).toEqual([
      ['came-off', 1],
      ['eggs', 1],
      ['brushed', 1],
    ])
    // One host is not counted yet: it is asked for again.
    await user.click(await screen.findByRole('button', { name: 'Nothing on any coral' }))
    await waitFor(() => expect(lines('count')).toHaveLength(4))
    const row = within(screen.getByRole('row', { name: /^Psammocora/ }))
    expect(row.getByText('0')).toBeVisible()
  })
})

describe('tools', () => {
  test('a wet one is asked about before it goes into another tank, with what it costs there', async () => {
    const fallow: Content = {
      kind: 'course-start',
      happened: fromNow(-20 * DAY),
      courseId: 'f',
      definition: 'fallow-76',
      tanks: { main: 'hall' },
      animalIds: [],
    }
    const { user, lines } = await open([fallow], '/tanks/tub')
    await user.click(screen.getByRole('button', { name: 'Add a tool' }))
    await user.click(screen.getByRole('button', { name: 'Keep the tool' }))
    expect(await screen.findByText(/what it is, such as/)).toBeVisible()
    await user.type(screen.getByLabelText('Tool'), 'blue net')
    await user.click(screen.getByRole('button', { name: 'Keep the tool' }))
    await waitFor(() => expect(lines('gear-setup')).toMatchObject([{ name: 'blue net', tankId: 'tub' }]))
    await user.click(await screen.findByRole('button', { name: 'into another tank' }))
    expect(screen.getByText(/It is wet: it carries what swims/)).toBeVisible()
    expect(screen.getByText(/(19|20) days → 0 days/)).toBeVisible()
    await user.click(screen.getByRole('button', { name: 'It was in there: log it' }))
    await waitFor(() => expect(lines('contact')).toMatchObject([{ tankId: 'hall', from: 'tub', what: 'tool' }]))
  })

  test('bleached and dry it may go', async () => {
    const { user, lines } = await open(
      [
        { kind: 'gear-setup', happened: fromNow(-9 * DAY), gearId: 'net', name: 'blue net', tankId: 'tub' },
        { kind: 'gear-clean', happened: fromNow(-2 * DAY), gearId: 'net', how: 'bleached' },
      ],
      '/tanks/tub',
    )
    await user.click(await screen.findByRole('button', { name: 'into another tank' }))
    expect(screen.getByText(/Bleached or dried for a day: it may go in/)).toBeVisible()
    expect(screen.queryByRole('button', { name: /log it/ })).toBeNull()
    expect(lines('contact')).toEqual([])
  })
})

test('pumps off for a feed: the course calls for them again', async () => {
  const quarantine = cycle({ definition: 'coral-76', options: {}, partIds: ['zoa'] })
  const { user, lines } = await open([HOSTS[0]!, quarantine], '/courses/c')
  await user.click(await screen.findByRole('button', { name: 'Pumps off, fed' }))
  await waitFor(() => expect(lines('equipment')).toMatchObject([{ item: 'flow', running: false }]))
  expect(await screen.findByRole('heading', { name: 'Pumps back on' })).toBeVisible()
  expect(screen.getByRole('timer')).toHaveTextContent(/30 min|29 min/)
  await user.click(screen.getByRole('button', { name: 'Pumps are on' }))
  await waitFor(() => expect(lines('equipment').at(-1)).toMatchObject({ item: 'flow', running: true }))
})
