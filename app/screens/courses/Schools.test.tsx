import { screen, waitFor, within } from '@testing-library/react'
import type { Content } from '../../../core/journal/entry.ts'
import { arrival, bareTank } from '../../../core/journal/testing.ts'
import { sampleOf } from '../../../scripts/testing/app.tsx'
import { fromNow } from '../../../scripts/testing/arrivals.ts'
import { openScreens } from '../../../scripts/testing/screens.tsx'
import { Compare } from './compare/Compare.tsx'
import { CoursePage } from './CoursePage.tsx'
import { StartCourse } from './start/StartCourse.tsx'

jest.mock('./ConcentrationChart.tsx', () => ({ __esModule: true, default: () => null }))

const DAY = 24 * 60
const WARD: readonly Content[] = [
  bareTank('q', 'Quarantine'),
  bareTank('tub', 'Watch tub'),
  arrival('n', 'q', 1, 1, 'Needle'),
  {
    kind: 'product-setup',
    happened: fromNow(-40 * DAY),
    productId: 'metro',
    name: 'metronidazole powder',
    ingredient: 'metronidazole',
    strength: { kind: 'powder', activeFraction: 0.5 },
    measure: { tool: 'scale', step: 0.01 },
  },
]
const started = (definition: string, extra: Partial<Extract<Content, { kind: 'course-start' }>> = {}): Content => ({
  kind: 'course-start',
  happened: fromNow(-60),
  courseId: 'c',
  definition,
  tanks: { main: 'q', other: 'tub' },
  animalIds: ['n'],
  readAt: '00:00',
  ...extra,
})

const SCREENS = {
  '/courses/new': <StartCourse />,
  '/courses/compare': <Compare />,
  '/courses/:courseId': <CoursePage />,
}
const open = (contents: readonly Content[], path = '/courses/c') =>
  openScreens(SCREENS, ['course-start', 'sighting', 'feed', 'bath'], sampleOf(...WARD, ...contents), path)

test('a short look: what is ticked is there, what is not was looked for; its minutes come off the half hour', async () => {
  const { user, lines } = await open([started('qt-f-observe')])
  await user.click(await screen.findByRole('button', { name: 'in short looks' }))
  await user.click(await screen.findByRole('button', { name: /^From two metres/ }))
  await user.click(screen.getByRole('checkbox', { name: /in the flow/ }))
  await user.type(screen.getByLabelText('Scrapes on things'), '3')
  expect(screen.getByText(/2 or more is a sign/)).toBeVisible()
  await user.click(screen.getByRole('button', { name: 'Log this look, 7 min' }))
  await waitFor(() => expect(lines('sighting')).toHaveLength(1))
  const [look] = lines('sighting')
  expect(look).toMatchObject({ session: 'obs-distance', minutes: 7, flashes: 3, animalIds: ['n'] })
  expect(look!.signs).toContainEqual({ sign: 'flashing', present: true })
  expect(look!.signs).toContainEqual({ sign: 'erratic-darting', present: false })
  expect(await screen.findByRole('heading', { name: 'Watch 23 min more' })).toBeVisible()
})

test('gill beats are counted by the finger in the looks that ask for them', async () => {
  const { user } = await open([started('qt-f-observe')])
  await user.click(await screen.findByRole('button', { name: 'in short looks' }))
  await user.click(await screen.findByRole('button', { name: /^Before lights-off/ }))
  expect(screen.getByRole('button', { name: /Tap with each gill beat of Needle/ })).toBeVisible()
  await user.click(screen.getByRole('button', { name: /^At the meal/ }))
  expect(screen.queryByRole('button', { name: /Tap with each/ })).toBeNull()
  expect(screen.getByRole('group', { name: 'Faeces' })).toBeVisible()
})

test('a resting fish is scored at its meal: nothing is taken for granted', async () => {
  const { user, lines } = await open([started('rest')])
  // A morning's look that is late stands beside the evening's.
  await user.click((await screen.findAllByRole('button', { name: /^At the meal/ }))[0]!)
  expect(screen.queryByRole('button', { name: 'Nothing seen, all ate' })).toBeNull()
  await user.click(screen.getByRole('checkbox', { name: 'eats all' }))
  await user.click(screen.getByRole('button', { name: 'Log this look, 8 min' }))
  await waitFor(() => expect(lines('sighting')[0]).toMatchObject({ appetite: 4, session: 'obs-feeding' }))
})

test('soaked food is weighed: half-strength powder takes twice the milligrams', async () => {
  const eats: Content = {
    kind: 'sighting',
    happened: fromNow(-30),
    tankId: 'q',
    animalIds: ['n'],
    signs: [],
    appetite: 4,
  }
  const { user, lines } = await open([started('qt-add-soak', { products: { 'metronidazole-food': 'metro' } }), eats])
  const card = (await screen.findByRole('heading', { name: /^Feed the soaked food, 1 of 10/ })).closest('li')!
  const food = within(card)
  await user.clear(await food.findByLabelText('Food'))
  await user.type(food.getByLabelText('Food'), '3')
  // 5 mg a gram, 3 g, half of it active: 30 mg.
  expect(food.getByText('0.03 g')).toBeVisible()
  await user.click(food.getByRole('button', { name: 'Fed' }))
  await waitFor(() => expect(lines('feed')).toHaveLength(1))
  expect(lines('feed')[0]).toMatchObject({ foodG: 3, ingredient: 'metronidazole', mgPerG: 5, courseId: 'c' })
})

test('it waits where the fish do not eat, and says for what', async () => {
  await open([started('qt-add-soak', { products: { 'metronidazole-food': 'metro' } })])
  const card = (await screen.findByRole('heading', { name: /^Feed the soaked food, 1 of 10/ })).closest('li')!
  expect(within(card).getByText(/Waits for: stable and eating/)).toBeVisible()
  expect(await within(card).findByRole('button', { name: 'Fed' })).toBeDisabled()
})

test('a start that lies ahead is kept for that day, at the hour of what is daily; a day gone by is refused', async () => {
  const { user, lines } = await open([], '/courses/new?definition=qt-f-observe&tank=q')
  const on = await screen.findByLabelText('Begins on')
  await user.clear(on)
  await user.type(on, '2020-01-01')
  await user.click(screen.getByRole('button', { name: 'Start the course' }))
  expect(await screen.findByText('today, or a future day within a year')).toBeVisible()
  const ahead = new Date(Date.now() + 5 * 86_400_000).toISOString().slice(0, 10)
  await user.clear(on)
  await user.type(on, ahead)
  await user.click(screen.getByRole('button', { name: 'Start the course' }))
  await waitFor(() => expect(lines('course-start')).toHaveLength(1))
  expect(lines('course-start')[0]!.happened.slice(0, 10)).toBe(ahead)
  expect(await screen.findByText(/lies ahead|from /)).toBeVisible()
})

test('days away: what nobody would be at home for, and the day on which nothing is missed', async () => {
  const away: Content = {
    kind: 'away',
    happened: fromNow(-10),
    from: fromNow(2 * DAY),
    until: fromNow(5 * DAY),
  }
  const { user } = await open([away], '/courses/new?definition=qt-c-ttm&tank=q')
  await user.selectOptions(await screen.findByLabelText('Second tank set'), 'Watch tub')
  expect(await screen.findByText('Nobody would be at home for:')).toBeVisible()
  const before = screen.getByLabelText<HTMLInputElement>('Begins on').value
  await user.click(screen.getByRole('button', { name: /^Begin .*then nothing is missed$/ }))
  expect(screen.getByLabelText<HTMLInputElement>('Begins on').value > before).toBe(true)
  expect(await screen.findByText(/every move, bath and dose falls on days at home/)).toBeVisible()
})

test('an awaited fish can be left out of the comparison, and what it does not bear goes with it', async () => {
  const dora: Content = {
    kind: 'expected',
    happened: fromNow(-60),
    expectedId: 'dora',
    tankId: 'q',
    name: 'Dora',
    species: 'mandarin',
    group: 'dragonet',
    count: 1,
    due: fromNow(DAY),
  }
  const { user } = await open([dora], '/courses/compare?tank=q')
  const table = await screen.findByRole('region', { name: 'Schools side by side' })
  expect(within(table).getAllByText(/Dora/).length).toBeGreaterThan(0)
  expect(screen.getByText(/starves sooner than it falls ill/)).toBeVisible()
  await user.click(screen.getByRole('button', { name: /Dora, awaited/ }))
  await waitFor(() => expect(within(table).queryAllByText(/Dora/)).toEqual([]))
})
