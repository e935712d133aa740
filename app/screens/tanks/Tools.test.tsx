import { screen, waitFor } from '@testing-library/react'
import type { Content } from '../../../core/journal/entry.ts'
import { bareTank } from '../../../core/journal/testing.ts'
import { sampleOf } from '../../../scripts/testing/app.tsx'
import { fromNow } from '../../../scripts/testing/arrivals.ts'
import { openScreens } from '../../../scripts/testing/screens.tsx'
import { ArrivalTaskCard } from '../../arrivals/ArrivalTaskCard.tsx'
import { useArrivalTasks } from '../../arrivals/useArrivalTasks.ts'
import { TankPage } from './TankPage.tsx'

jest.mock('../../water/TankCharts.tsx', () => ({ TankCharts: () => null }))

const DAY = 24 * 60

/** The chores as the ledger shows them. */
function Chores() {
  return (
    <>
      {useArrivalTasks().map((task) => (
        <ArrivalTaskCard key={task.id} task={task} next onSeen={() => {}} />
      ))}
    </>
  )
}

const SCREENS = { '/tanks/:tankId': <TankPage />, '/chores': <Chores /> }
const open = (contents: readonly Content[], path: string) =>
  openScreens(
    SCREENS,
    ['contact', 'gear-setup', 'gear-clean'],
    sampleOf(bareTank('tub', 'Coral tub'), bareTank('hall', 'Hall'), ...contents),
    path,
  )

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

  test('a chore done with a tool of another tank asks before it is done, with what it costs', async () => {
    const chore: Content = {
      kind: 'chore',
      happened: fromNow(-9 * DAY),
      choreId: 'skim',
      name: 'siphon the floor',
      tankId: 'hall',
      everyDays: 3,
      gearId: 'siphon',
    }
    const fallow: Content = {
      kind: 'course-start',
      happened: fromNow(-20 * DAY),
      courseId: 'f',
      definition: 'fallow-76',
      tanks: { main: 'hall' },
      animalIds: [],
    }
    const setup = (gearId: string, tankId: string): Content => ({
      kind: 'gear-setup',
      happened: fromNow(-30 * DAY),
      gearId,
      name: `${gearId} of ${tankId}`,
      tankId,
    })
    const { user, lines } = await open([setup('siphon', 'tub'), setup('hose', 'hall'), chore, fallow], '/chores')
    expect(await screen.findByText(/It is wet: it carries what swims/)).toBeVisible()
    expect(screen.getByText(/(19|20) days → 0 days/)).toBeVisible()
    // The tank's own instead: nothing is left to ask.
    await user.click(screen.getByRole('button', { name: 'Another tool: siphon the floor' }))
    await user.click(screen.getByRole('button', { name: 'hose of hall' }))
    expect(screen.queryByText(/It is wet/)).toBeNull()
    expect(screen.getByText('With hose of hall, this tank’s own.')).toBeVisible()
    expect(lines('contact')).toEqual([])
    await user.click(screen.getByRole('button', { name: 'Another tool: siphon the floor' }))
    await user.click(screen.getByRole('button', { name: 'siphon of tub' }))
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
    expect(screen.getByText(/it may go in, if it was in no water since/)).toBeVisible()
    expect(screen.queryByRole('button', { name: /log it/ })).toBeNull()
    await user.click(screen.getByRole('button', { name: 'it was used since' }))
    expect(screen.getByText(/No count of a running course is set back/)).toBeVisible()
    expect(screen.getByRole('button', { name: 'It was in there: log it' })).toBeVisible()
    expect(lines('contact')).toEqual([])
  })
})
