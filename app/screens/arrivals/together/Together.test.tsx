import { screen, waitFor, within } from '@testing-library/react'
import type { Content, ContentOf } from '../../../../core/journal/entry.ts'
import { arrival } from '../../../../core/journal/testing.ts'
import { sampleOf } from '../../../../scripts/testing/app.tsx'
import { fromNow, TWO_TANKS } from '../../../../scripts/testing/arrivals.ts'
import { openScreens } from '../../../../scripts/testing/screens.tsx'
import { NewTogether } from './NewTogether.tsx'
import { Together } from './Together.tsx'

const DAY = 24 * 60

const SCREENS = {
  '/arrivals/together': <NewTogether />,
  '/arrivals/together/:introId': <Together />,
}
const KINDS = ['introduction-start', 'introduction-mark', 'introduction-end', 'skirmish', 'move'] as const

const open = (path: string, ...contents: Content[]) =>
  openScreens(SCREENS, KINDS, sampleOf(...TWO_TANKS, arrival('orchid', 'side', 2, 1, 'Orchid'), ...contents), path)

/** Orchid in a box in the hall reef, beside Plum, since some days. */
const boxed = (days: number, more: Partial<ContentOf<'introduction-start'>> = {}): Content => ({
  kind: 'introduction-start',
  happened: fromNow(-days * DAY),
  introId: 'box',
  way: 'box',
  tankId: 'hall',
  animalIds: ['orchid'],
  rivalIds: ['plum'],
  conditions: [
    { id: 'lost-interest', words: 'The residents have lost interest in the box' },
    { id: 'eats-in-box', words: 'The newcomer eats in the box' },
  ],
  notBefore: fromNow((2 - days) * DAY),
  ...more,
})

describe('who is asked about', () => {
  const TORCH = { ...arrival('torch', 'hall', 1, 4), species: 'torch coral head', group: 'coral-lps' } as Content

  test('fish and crustaceans, each with where it lives, those from elsewhere first; corals mind nobody', async () => {
    await open('/arrivals/together', TORCH)
    const coming = within(screen.getByRole('group', { name: 'Who comes' })).getAllByRole('button')
    expect(coming.map(({ textContent }) => textContent)).toEqual(['Orchid Side tub', 'Plum Hall reef'])
    expect(within(screen.getByRole('group', { name: 'Rivals' })).getAllByRole('button')).toHaveLength(1)
  })

  test('who is under treatment, and waters that differ, are said before the box is in', async () => {
    await open('/arrivals/together?who=orchid', {
      kind: 'course-start',
      happened: fromNow(-3 * DAY),
      courseId: 'c',
      tankId: 'side',
      protocol: 'qt-b-drug14',
      doseId: 'cu-chelated-std',
      animalIds: ['orchid'],
    })
    expect(
      screen.getByText(/runs in Side tub, .*: not done, and who goes now takes along what it was for/),
    ).toBeInTheDocument()
    expect(screen.getByRole('link', { name: 'from Side tub to Hall reef' })).toHaveAttribute(
      'href',
      '/arrivals/between?from=side&to=hall&who=orchid',
    )
  })
})

describe('begun', () => {
  test('what must be true is written down first, one’s own words too; the box hangs in the display’s water', async () => {
    const { user, lines } = await open('/arrivals/together?who=orchid')
    expect(screen.getByLabelText('And not before')).toHaveValue('2')
    expect(screen.getByText('Kept with it: Orchid → Hall reef.')).toBeInTheDocument()
    await user.click(within(screen.getByRole('group', { name: 'Rivals' })).getByRole('button', { name: 'Plum' }))
    await user.clear(screen.getByLabelText('Condition 4'))
    await user.click(screen.getByRole('button', { name: 'another condition' }))
    await user.type(screen.getByLabelText('Condition 5'), 'Its torn fin has grown back')
    await user.click(screen.getByRole('button', { name: 'The box is in' }))
    await waitFor(() => expect(lines('introduction-start')).toHaveLength(1))
    const [start] = lines('introduction-start')
    expect(start).toMatchObject({ way: 'box', tankId: 'hall', animalIds: ['orchid'], rivalIds: ['plum'] })
    expect(start!.conditions.map(({ words }) => words)).toEqual([
      'The residents have lost interest in the box',
      'The newcomer eats in the box',
      'It is dusk, the residents are full',
      'Its torn fin has grown back',
    ])
    expect(Date.parse(start!.notBefore!) - Date.parse(start!.happened)).toBe(48 * 3_600_000)
    expect(lines('move')).toMatchObject([{ animalId: 'orchid', fromTankId: 'side', toTankId: 'hall' }])
    await waitFor(() =>
      expect(screen.getByLabelText('address')).toHaveTextContent(`/arrivals/together/${start!.introId}`),
    )
  })

  test('longer than the handbook’s days may be promised, shorter not', async () => {
    const { user, lines } = await open('/arrivals/together?who=orchid')
    const days = screen.getByLabelText('And not before')
    await user.clear(days)
    await user.type(days, '1')
    expect(screen.getByRole('alert')).toHaveTextContent('at least 2: days; the handbook’s least is 2')
    expect(screen.getByRole('button', { name: 'The box is in' })).toBeDisabled()
    await user.clear(days)
    await user.type(days, '5')
    expect(screen.getByText(/^that is /)).toBeInTheDocument()
    await user.click(screen.getByRole('button', { name: 'The box is in' }))
    await waitFor(() => expect(lines('introduction-start')).toHaveLength(1))
    const [start] = lines('introduction-start')
    expect(Date.parse(start!.notBefore!) - Date.parse(start!.happened)).toBe(5 * 24 * 3_600_000)
  })

  test('nobody picked, nothing begins', async () => {
    await open('/arrivals/together')
    expect(screen.getByRole('button', { name: 'The box is in' })).toBeDisabled()
  })

  test('mild ones are better an odd number', async () => {
    const { user } = await open('/arrivals/together?who=orchid', arrival('needle', 'side', 2, 1, 'Needle'))
    await user.click(screen.getByRole('button', { name: /^Mild rivals/ }))
    expect(screen.queryByText(/is an even number/)).not.toBeInTheDocument()
    await user.click(screen.getByRole('button', { name: 'Needle Side tub' }))
    expect(screen.getByText(/^2 is an even number/)).toBeInTheDocument()
  })

  test('two rivals meet in a tank of neither', async () => {
    const { user, lines } = await open('/arrivals/together?who=orchid')
    await user.click(screen.getByRole('button', { name: /^Two rivals/ }))
    await user.click(within(screen.getByRole('group', { name: 'Rivals' })).getByRole('button', { name: 'Plum' }))
    await user.selectOptions(screen.getByLabelText('Neutral tank'), 'side')
    await user.click(screen.getByRole('button', { name: 'They are on neutral ground' }))
    await waitFor(() => expect(lines('introduction-start')[0]).toMatchObject({ way: 'neutral', neutralTankId: 'side' }))
    // Orchid is there already.
    expect(lines('move')).toMatchObject([{ animalId: 'plum', fromTankId: 'hall', toTankId: 'side' }])
  })
})

describe('the promise', () => {
  const door = (name = 'Open the door') => screen.getByRole('button', { name })

  test('the door stays shut until all of it is true and the days are over', async () => {
    const { user, lines } = await open('/arrivals/together/box', boxed(3))
    expect(door()).toBeDisabled()
    expect(screen.getByText('2 things')).toBeInTheDocument()
    for (const words of [/lost interest in the box/, /eats in the box/]) {
      await user.click(screen.getByRole('button', { name: words }))
      await waitFor(() => expect(screen.getByRole('button', { name: words })).toHaveAttribute('aria-pressed', 'true'))
    }
    await user.click(door())
    await waitFor(() => expect(lines('introduction-mark').at(-1)).toMatchObject({ mark: 'opened' }))
    expect(await screen.findByRole('button', { name: 'They have settled' })).toBeInTheDocument()
  })

  test('true too early is not enough', async () => {
    await open('/arrivals/together/box', boxed(1, { conditions: [] }))
    expect(door()).toBeDisabled()
    expect(screen.getByText(/^not before tomorrow/)).toBeInTheDocument()
  })

  test('against the promise only with a reason, which is kept', async () => {
    const { user, lines } = await open('/arrivals/together/box', boxed(1))
    await user.click(screen.getByRole('button', { name: 'it cannot wait' }))
    expect(screen.getByRole('button', { name: 'Open against the promise' })).toBeDisabled()
    await user.type(screen.getByLabelText('Why it cannot wait'), 'the box has cracked')
    await user.click(screen.getByRole('button', { name: 'Open against the promise' }))
    await waitFor(() =>
      expect(lines('introduction-mark')).toMatchObject([{ mark: 'opened', why: 'the box has cracked' }]),
    )
  })

  test('home from neutral ground is a move of both', async () => {
    const { user, lines } = await open(
      '/arrivals/together/box',
      { kind: 'move', happened: fromNow(-3 * DAY), animalId: 'plum', fromTankId: 'hall', toTankId: 'side' },
      boxed(3, { way: 'neutral', neutralTankId: 'side', conditions: [] }),
    )
    await user.click(door('Move both home together'))
    await waitFor(() => expect(lines('introduction-mark')).toMatchObject([{ mark: 'home' }]))
    expect(lines('move').slice(1)).toMatchObject([
      { animalId: 'orchid', fromTankId: 'side', toTankId: 'hall' },
      { animalId: 'plum', fromTankId: 'side', toTankId: 'hall' },
    ])
  })
})

describe('skirmishes', () => {
  test('chases are logged with how many; figures that are none are told beside the field', async () => {
    const { user, lines } = await open('/arrivals/together/box', boxed(3))
    await user.type(screen.getByLabelText('How many'), 'often')
    await user.click(screen.getByRole('button', { name: 'Log it' }))
    expect(await screen.findByRole('alert')).toHaveTextContent('a number, 0 to 1000')
    await user.clear(screen.getByLabelText('How many'))
    await user.type(screen.getByLabelText('How many'), '4')
    await user.click(screen.getByRole('button', { name: 'Log it' }))
    await waitFor(() =>
      expect(lines('skirmish')).toMatchObject([{ what: 'chase', byId: 'plum', onId: 'orchid', perHour: 4 }]),
    )
    expect(screen.getByText(/Plum chased Orchid, 4 an hour/)).toBeInTheDocument()
  })

  test('of several newcomers it is said who bore it', async () => {
    const { user, lines } = await open(
      '/arrivals/together/box',
      arrival('needle', 'side', 2, 1, 'Needle'),
      boxed(3, { animalIds: ['orchid', 'needle'] }),
    )
    await user.selectOptions(screen.getByLabelText('On'), 'needle')
    await user.click(screen.getByRole('button', { name: 'one singled out by all' }))
    await user.click(screen.getByRole('button', { name: 'Log it' }))
    await waitFor(() =>
      expect(lines('skirmish')).toMatchObject([{ what: 'singled-out', byId: 'plum', onId: 'needle' }]),
    )
    expect(await screen.findByRole('alert')).toHaveTextContent(/one is singled out by the others/)
  })

  test('what would end it is read before it comes to that', async () => {
    await open('/arrivals/together/box', boxed(3))
    expect(
      screen.getByText(/^Stop at: resident rams box for > 2 h or any bleeding; chase repeated/),
    ).toBeInTheDocument()
  })

  test('a bite is the end of it: the rule says so at once, and what it says is kept', async () => {
    const { user, lines } = await open('/arrivals/together/box', boxed(3))
    await user.click(screen.getByRole('button', { name: 'a bite on the body, blood' }))
    await user.click(screen.getByRole('button', { name: 'Log it' }))
    expect(await screen.findByRole('alert')).toHaveTextContent(/^Stop now: /)
    await user.click(screen.getByRole('button', { name: 'They are apart: stopped' }))
    await waitFor(() => expect(lines('introduction-end')).toHaveLength(1))
    expect(lines('introduction-end')[0]!.outcome).toBe('stopped')
    expect(lines('introduction-end')[0]!.why).toMatch(/bit/)
    expect(screen.queryByRole('button', { name: 'Log it' })).not.toBeInTheDocument()
  })
})

test('no introduction of that name', async () => {
  await open('/arrivals/together/none')
  expect(screen.getByRole('heading', { name: 'No such introduction' })).toBeInTheDocument()
})
