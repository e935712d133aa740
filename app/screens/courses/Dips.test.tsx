import { screen, waitFor, within } from '@testing-library/react'
import type { Content } from '../../../core/journal/entry.ts'
import { bareTank } from '../../../core/journal/testing.ts'
import { sampleOf } from '../../../scripts/testing/app.tsx'
import { fromNow } from '../../../scripts/testing/arrivals.ts'
import { openScreens } from '../../../scripts/testing/screens.tsx'
import { CoursePage } from './CoursePage.tsx'
import { StartCourse } from './start/StartCourse.tsx'

jest.mock('./ConcentrationChart.tsx', () => ({ __esModule: true, default: () => null }))

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
}
const open = (contents: readonly Content[], path: string) =>
  openScreens(
    SCREENS,
    ['course-start', 'part-setup', 'bath', 'count', 'equipment'],
    sampleOf(...HOUSE, ...contents),
    path,
  )

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
    // The look after dark has a button of the same name.
    const counting = async () =>
      within((await screen.findByRole('heading', { name: /^Count what came off/ })).closest('li')!)
    await (await counting()).findByRole('button', { name: 'Nothing on any coral' })
    await user.click(screen.getByRole('button', { name: 'one more came off, green zoanthids' }))
    expect((await counting()).queryByRole('button', { name: 'Nothing on any coral' })).toBeNull()
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
    await user.click(await (await counting()).findByRole('button', { name: 'Nothing on any coral' }))
    await waitFor(() => expect(lines('count')).toHaveLength(4))
    const row = within(screen.getByRole('row', { name: /^Psammocora/ }))
    expect(row.getByText('0')).toBeVisible()
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
