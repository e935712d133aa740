import { screen, waitFor, within } from '@testing-library/react'
import type { Content } from '../../../core/journal/entry.ts'
import { arrival } from '../../../core/journal/testing.ts'
import { sampleOf } from '../../../scripts/testing/app.tsx'
import { awaited, floating, fromNow, happened, TWO_TANKS } from '../../../scripts/testing/arrivals.ts'
import { openScreens } from '../../../scripts/testing/screens.tsx'
import { AnimalArrival } from './AnimalArrival.tsx'
import { Arrivals } from './Arrivals.tsx'
import { BetweenTanks } from './plan/BetweenTanks.tsx'

const SCREENS = {
  '/arrivals': <Arrivals />,
  '/arrivals/between': <BetweenTanks />,
  '/arrivals/animal/:animalId': <AnimalArrival />,
}
const KINDS = ['acclimation-start', 'acclimation-event', 'training'] as const

const open = (path: string, ...contents: Content[]) =>
  openScreens(SCREENS, KINDS, sampleOf(...TWO_TANKS, ...contents), path)

beforeEach(() => localStorage.clear())

const reading = (tankId: string, parameter: string, value: number, unit: string): Content => ({
  kind: 'reading',
  happened: fromNow(-50),
  tankId,
  parameter,
  result: { kind: 'value', value },
  unit,
})

describe('between two own tanks', () => {
  const ORCHID = arrival('orchid', 'side', 2, 1, 'Orchid')
  const FRESH: Content[] = [
    {
      kind: 'tank-setup',
      happened: fromNow(-3000),
      tankId: 'pond',
      name: 'Study planted',
      water: 'freshwater',
      role: 'display',
      sheet: { shape: { kind: 'known', litres: 80 } },
    },
    { ...arrival('tetras', 'pond', 2, 9), species: 'ember tetra', group: 'fw-scaleless' } as Content,
  ]

  test('who goes is picked; the water it comes from is the bag, read where it was read', async () => {
    const { user } = await open('/arrivals/between?from=side&to=hall', ORCHID, reading('hall', 'salinity', 35, 'psu'))
    expect(screen.getByText('Who goes? Pick them above.')).toBeInTheDocument()
    await user.click(within(screen.getByRole('group', { name: 'Who goes' })).getByRole('button', { name: 'Orchid' }))
    expect(screen.getByLabelText('address')).toHaveTextContent('who=orchid')
    const bag = screen.getByRole('group', { name: 'Bag of Orchid' })
    expect(within(bag).getByLabelText('Salinity')).toHaveAttribute('placeholder', '33')
    expect(within(bag).getByLabelText('Salinity')).toHaveAccessibleDescription('read in Side tub')
    expect(within(bag).getByLabelText('pH')).toHaveAccessibleDescription('assumed')
    expect(screen.queryByLabelText('Hours on the way')).not.toBeInTheDocument()
  })

  test('nothing floats: the run is open from its first minute, and knows where it came from', async () => {
    const { user, lines } = await open('/arrivals/between?from=side&to=hall&who=orchid', ORCHID)
    await user.type(screen.getByLabelText('Water round it'), '2')
    const start = await screen.findByRole('button', { name: 'Start: it is in the container' })
    await waitFor(() => expect(start).toBeEnabled())
    await user.click(start)
    await waitFor(() => expect(lines('acclimation-start')).toHaveLength(1))
    expect(lines('acclimation-start')[0]).toMatchObject({
      fromTankId: 'side',
      tankId: 'hall',
      shippingHours: 0,
      animals: [{ animalId: 'orchid', name: 'Orchid' }],
    })
    expect(lines('acclimation-event')).toMatchObject([{ event: 'opened' }])
  })

  test('another tank to come from asks again who goes', async () => {
    const { user } = await open('/arrivals/between?from=side&to=hall&who=orchid', ORCHID)
    await user.selectOptions(screen.getByLabelText('From'), 'hall')
    const who = screen.getByRole('group', { name: 'Who goes' })
    expect(within(who).getByRole('button', { name: 'Plum' })).toHaveAttribute('aria-pressed', 'false')
    expect(screen.getByLabelText('to')).toHaveValue('side')
  })

  test('the only tank of its water has nowhere to send anybody, and another can be picked', async () => {
    const { user } = await open('/arrivals/between?from=pond', ORCHID, ...FRESH)
    expect(screen.getByText(/no other tank with fresh water/)).toBeInTheDocument()
    await user.selectOptions(screen.getByLabelText('From'), 'side')
    expect(screen.getByLabelText('to')).toHaveValue('hall')
  })

  test('of a group some may go: how many is asked, the rest stay', async () => {
    const { user, lines } = await open('/arrivals/between?from=side&to=hall', ORCHID, arrival('chromis', 'side', 2, 5))
    const who = screen.getByRole('group', { name: 'Who goes' })
    await user.click(within(who).getByRole('button', { name: /^5 / }))
    await user.selectOptions(screen.getByLabelText(/^How many of the 5 /), '2')
    expect(screen.getByLabelText('address')).toHaveTextContent('who=chromis.2')
    await user.type(screen.getByLabelText('Water round it'), '2')
    await waitFor(() => expect(screen.getByRole('button', { name: 'Start: it is in the container' })).toBeEnabled())
    await user.click(screen.getByRole('button', { name: 'Start: it is in the container' }))
    await waitFor(() => expect(lines('acclimation-start')).toHaveLength(1))
    const [going] = lines('acclimation-start')[0]!.animals
    expect(going).toMatchObject({ count: 2, partOf: 'chromis' })
    expect(going!.animalId).not.toBe('chromis')
  })

  test('a course in either water is said before anybody moves', async () => {
    const { user } = await open('/arrivals/between?from=hall&to=side&who=plum', ORCHID, {
      kind: 'course-start',
      happened: fromNow(-3 * 24 * 60),
      courseId: 'c',
      tankId: 'side',
      protocol: 'qt-b-drug14',
      doseId: 'cu-chelated-std',
      animalIds: ['orchid'],
    })
    expect(screen.getByText(/runs in Side tub: a fish that comes starts its count over/)).toBeInTheDocument()
    expect(screen.queryByText(/not done, and who goes now/)).not.toBeInTheDocument()
    await user.selectOptions(screen.getByLabelText('From'), 'side')
    expect(screen.getByText(/runs in Side tub, step 1 of \d: not done, and who goes now/)).toBeInTheDocument()
  })
})

describe('how one animal came', () => {
  const came: Content[] = [
    awaited({ name: 'Orchid' }),
    floating(300),
    happened(300, 16, { event: 'opened' }),
    {
      kind: 'arrival',
      happened: fromNow(-240),
      animalId: 'orchid',
      tankId: 'side',
      name: 'Orchid',
      species: 'orchid dottyback',
      group: 'dottyback-basslet',
      count: 1,
      source: 'mail order',
      hoursInTransit: 18,
      expectedId: 'orchid',
      runId: 'run',
    },
    {
      kind: 'acclimation-end',
      happened: fromNow(-240),
      runId: 'run',
      tankId: 'side',
      outcome: 'released',
      measured: true,
    },
  ]

  test('from, hours, the bag, the way across; what was assumed is named', async () => {
    await open('/arrivals/animal/orchid', ...came)
    const fact = (name: string) => screen.getByText(name, { selector: 'dt' }).nextElementSibling
    expect(fact('from')).toHaveTextContent('mail order')
    expect(fact('on the way')).toHaveTextContent('18 h')
    expect(fact('bag')).toHaveTextContent('1 L, 31.0 psu, 24.5 °C, pH 7.4, ammonia 0.4 mg/L')
    expect(fact('assumed of it')).toHaveTextContent('room')
    expect(fact('way across')).toHaveTextContent('scoops, 60 min, measured')
    expect(fact('first meal')).toHaveTextContent('not seen yet')
  })

  test('a meal of training is marked in one press; the next time its food stands there', async () => {
    const { user, lines } = await open('/arrivals/animal/orchid', ...came)
    expect(screen.getByRole('button', { name: 'eats some' })).toBeDisabled()
    await user.type(screen.getByLabelText('Food'), 'mysis')
    await user.type(screen.getByLabelText('Where'), 'food clip')
    await user.click(screen.getByRole('button', { name: 'eats some' }))
    await waitFor(() =>
      expect(lines('training')).toMatchObject([
        { animalIds: ['orchid'], tankId: 'side', food: 'mysis', place: 'food clip', mark: 3 },
      ]),
    )
    expect(await screen.findByText(/mysis, mark 3 of 4, food clip/)).toBeInTheDocument()
    expect(screen.getByText('first meal').nextElementSibling).toHaveTextContent(/^after 4/)
  })

  test('nobody of that name', async () => {
    await open('/arrivals/animal/ghost')
    expect(screen.getByRole('heading', { name: 'No such arrival' })).toBeInTheDocument()
  })
})

describe('the page of arrivals', () => {
  test('empty, it says how to begin', async () => {
    await open('/arrivals')
    expect(screen.getByRole('region', { name: 'On the way' })).toHaveTextContent(/Announce a box as soon as/)
    expect(screen.getByRole('link', { name: 'Expect a box' })).toHaveAttribute('href', '/arrivals/new')
    expect(screen.getByRole('region', { name: 'Came' })).toHaveTextContent('Plum')
  })

  test('what is under way stands first, then what is awaited and what it lacks', async () => {
    await open(
      '/arrivals',
      awaited({ expectedId: 'goby', boxId: 'other', species: 'watchman goby', due: fromNow(24 * 60) }),
      floating(6),
    )
    const live = screen.getByRole('region', { name: 'Under way: orchid dottyback' })
    const waiting = screen.getByRole('region', { name: 'On the way' })
    expect(live.compareDocumentPosition(waiting) & Node.DOCUMENT_POSITION_FOLLOWING).toBeTruthy()
    expect(within(live).getByRole('link', { name: 'Go on with it' })).toHaveAttribute('href', '/arrivals/run/run')
    expect(waiting).toHaveTextContent(/watchman goby/)
    expect(waiting).toHaveTextContent(/\d+ things missing, the first by today 20:00|\d+ things missing/)
    // Not its day yet: nothing to look over.
    expect(within(waiting).queryByRole('link', { name: 'The box is here' })).not.toBeInTheDocument()
  })

  test('a box whose day it is can be opened', async () => {
    await open('/arrivals', awaited())
    expect(screen.getByRole('link', { name: 'The box is here' })).toHaveAttribute('href', '/arrivals/box/box/inspect')
  })
})
