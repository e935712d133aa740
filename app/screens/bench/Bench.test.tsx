import { fireEvent, screen, waitFor, within } from '@testing-library/react'
import type { Content } from '../../../core/journal/entry.ts'
import { sampleOf } from '../../../scripts/testing/app.tsx'
import { fromNow } from '../../../scripts/testing/arrivals.ts'
import { openScreens } from '../../../scripts/testing/screens.tsx'
import { OpenBench } from '../../bench/OpenBench.tsx'
import { BeginPage } from './BeginPage.tsx'
import { BenchPage } from './BenchPage.tsx'
import { Benches } from './Benches.tsx'

const DAY = 24 * 60
const tank = (tankId: string, name: string, water: 'freshwater' | 'marine', litres: number): Content => ({
  kind: 'tank-setup',
  happened: fromNow(-90 * DAY),
  tankId,
  name,
  water,
  role: 'display',
  sheet: { shape: { kind: 'known', litres } },
})
const part = (partId: string, tankId: string, what: 'patch' | 'rock' | 'coral', more: object = {}): Content => ({
  kind: 'part-setup',
  happened: fromNow(-3 * DAY),
  partId,
  tankId,
  what,
  name: `${what} ${partId}`,
  ...more,
})
const animal = (animalId: string, tankId: string): Content => ({
  kind: 'arrival',
  happened: fromNow(-40 * DAY),
  animalId,
  tankId,
  species: 'longnose hawkfish',
  group: 'hawkfish',
  count: 1,
  name: animalId,
})
const SHELF: Content[] = [
  {
    kind: 'product-setup',
    happened: fromNow(-50 * DAY),
    productId: 'perox',
    name: 'peroxide 3 %',
    ingredient: 'peroxide',
    strength: { kind: 'solution', mgPerMl: 30 },
  },
  {
    kind: 'product-setup',
    happened: fromNow(-50 * DAY),
    productId: 'iod',
    name: 'iodine dip',
    ingredient: 'iodine-dip',
    strength: { kind: 'solution', mgPerMl: 50 },
  },
]
const HOUSE: Content[] = [
  tank('study', 'Study', 'freshwater', 50),
  tank('reef', 'Reef', 'marine', 300),
  tank('other', 'Other set', 'marine', 60),
  part('A', 'study', 'patch'),
  part('B', 'study', 'patch'),
  part('C', 'study', 'patch', { control: true }),
  part('zoa', 'reef', 'coral', { group: 'coral-soft' }),
  part('acro', 'reef', 'coral', { group: 'coral-sps' }),
  part('nem', 'reef', 'coral', { group: 'anemone' }),
  part('r1', 'reef', 'rock'),
  animal('spike', 'reef'),
  ...SHELF,
]
const started = (minutesAgo: number, procedure: string, more: object = {}): Content => ({
  kind: 'bench-start',
  happened: fromNow(-minutesAgo),
  benchId: 'b',
  procedure,
  tankId: 'study',
  ...more,
})
const mark = (minutesAgo: number, step: string, more: object = {}): Content => ({
  kind: 'bench-mark',
  happened: fromNow(-minutesAgo),
  benchId: 'b',
  step,
  state: 'done',
  ...more,
})
const before = (minutesAgo: number, ...ids: string[]) => ids.map((id) => mark(minutesAgo, `before-${id}`))
const SPOT_BEFORE = before(40, 'wear', 'syringe', 'flow-off', 'top-off-off', 'uv-off')
const open = (path: string, ...contents: Content[]) =>
  openScreens(
    {
      '/bench': <Benches />,
      '/bench/begin/:procedureId': <BeginPage />,
      '/bench/:benchId': <BenchPage />,
      '/else': <OpenBench />,
    },
    ['bench-start', 'bench-mark', 'bench-end', 'equipment', 'dose', 'bath', 'move', 'count', 'part-setup'],
    sampleOf(...HOUSE, ...contents),
    path,
  )
const big = (name: string | RegExp = 'Done, next') => screen.findByRole('button', { name })

describe('before it begins', () => {
  test('the tank’s water decides what is offered', async () => {
    await open('/bench?tank=study')
    expect(await screen.findByRole('link', { name: /^Peroxide on spots/ })).toHaveAttribute(
      'href',
      '/bench/begin/peroxide-spot?tank=study',
    )
    expect(screen.queryByRole('link', { name: /^Dip round/ })).toBeNull()
  })

  test('the patches that are treated, the control left alone, and then one thing at a time', async () => {
    const { user, lines, address } = await open('/bench/begin/peroxide-spot?tank=study')
    const begin = await big('Begin at Study')
    expect(screen.queryByText('patch C')).toBeNull()
    await user.click(screen.getByText('patch B'))
    await user.click(begin)
    await waitFor(() =>
      expect(lines('bench-start').at(-1)).toMatchObject({
        procedure: 'peroxide-spot',
        partIds: ['A'],
        choices: [{ id: 'tier', option: 'spot' }],
      }),
    )
    await waitFor(() => expect(address()).toMatch(/^\/bench\/(?!begin)./))
    expect(await screen.findByText('Gloves and goggles on')).toBeInTheDocument()
    // The caution stands before it.
    expect(screen.getByText(/Peroxide burns eyes/)).toBeInTheDocument()
    await user.click(await big())
    expect(await screen.findByText(/Syringe with a rigid tip/)).toBeInTheDocument()
    expect(screen.getByText('1.3 mL')).toBeInTheDocument()
    // A knuckle on the space bar.
    fireEvent.keyDown(document.body, { key: ' ' })
    expect(await screen.findByText('Pumps and filter off')).toBeInTheDocument()
    await user.click(await big())
    await waitFor(() =>
      expect(lines('equipment').at(-1)).toMatchObject({ item: 'flow', running: false, tankId: 'study' }),
    )
    // A press too many is taken back, with what it switched.
    await user.click(await screen.findByRole('button', { name: 'back' }))
    expect(await screen.findByText('Pumps and filter off')).toBeInTheDocument()
    await waitFor(() => expect(lines('equipment')).toEqual([]))
  })

  test('a bath is measured out for the tub, and its caution and the clean tank are asked for', async () => {
    const { user, lines } = await open('/bench/begin/bath-peroxide?tank=reef')
    expect(await big('Begin at Reef')).toBeDisabled()
    expect(screen.getByText(/^Still needed: water in one tub, what is measured out, the tank they go to/)).toBeVisible()
    await user.type(screen.getByLabelText('Water in one tub'), '4')
    expect(await screen.findByText('10 mL')).toBeInTheDocument()
    await user.selectOptions(screen.getByLabelText('Into which tank'), 'other')
    for (const field of screen.queryAllByLabelText(/why/i)) await user.type(field, 'the set is new')
    for (const field of screen.queryAllByRole('checkbox', { name: /read|known|all the same/i })) await user.click(field)
    await user.click(await big('Begin at Reef'))
    await waitFor(() =>
      expect(lines('bench-start').at(-1)).toMatchObject({
        animalIds: ['spike'],
        toTankId: 'other',
        figures: [{ id: 'tubL', value: 4 }],
        measuredOut: { ingredient: 'peroxide', productId: 'perox', amount: 10, unit: 'mL', massMg: 300 },
      }),
    )
  })

  test('who must not have the dip is said, and a rock without a name is named here', async () => {
    const { user, lines } = await open('/bench/begin/coral-dip?tank=reef')
    await user.click(await screen.findByRole('radio', { name: 'iodine' }))
    expect(screen.getByText(/^Not coral nem: iodine is kept off anemones/)).toBeInTheDocument()
    await user.type(screen.getByLabelText('Name another coral'), 'torch')
    await user.click(screen.getByRole('button', { name: 'Add it' }))
    await waitFor(() =>
      expect(lines('part-setup').at(-1)).toMatchObject({ what: 'coral', name: 'torch', tankId: 'reef' }),
    )
    expect(await screen.findByText('torch')).toBeInTheDocument()
  })

  test('an address that is none leads back', async () => {
    await open('/bench/begin/moon-landing?tank=reef')
    expect(await screen.findByText('No such procedure')).toBeInTheDocument()
  })
})

describe('under way', () => {
  test('too much is refused in the largest type; what is used is summed and becomes a dose', async () => {
    const { user, lines } = await open(
      '/bench/b',
      started(45, 'peroxide-spot', { partIds: ['A', 'B'] }),
      ...SPOT_BEFORE,
    )
    expect(await screen.findByText('patch A')).toBeInTheDocument()
    await user.type(screen.getByLabelText('3 % peroxide'), '2')
    expect(screen.getByText(/^2 mL is over the 1.3 mL of 3 % peroxide in one session/)).toBeInTheDocument()
    expect(await big()).toBeDisabled()
    await user.clear(screen.getByLabelText('3 % peroxide'))
    await user.type(screen.getByLabelText('3 % peroxide'), '0.8')
    await user.click(await big())
    expect(await screen.findByText('patch B')).toBeInTheDocument()
    expect(screen.getByText(/0.8 of 1.3 mL of 3 % peroxide/)).toBeInTheDocument()
    await user.click(screen.getByRole('button', { name: 'cannot be done' }))
    await user.type(screen.getByLabelText('Reason for continuing anyway'), 'out of reach')
    await user.click(screen.getByRole('button', { name: 'leave this out' }))
    // The still water: begun, rings, and not before fifteen minutes without a reason.
    await user.click(await big('Start 20 min'))
    expect(await screen.findByRole('timer', { name: 'Leave the water still' })).toHaveTextContent(/^(20:00|19:5\d)/)
    expect(screen.getByText(/^15 min too early/)).toBeInTheDocument()
    expect(await big()).toBeDisabled()
    await user.type(screen.getByLabelText('Reason for continuing anyway'), 'a shrimp lies down')
    await user.click(await big())
    for (const words of [
      'Pumps and filter on',
      'Level back where it was',
      'Auto top-off on, only now',
      'UV as it was',
      'Syringe rinsed, peroxide locked away',
    ]) {
      expect(await screen.findByText(words)).toBeInTheDocument()
      await user.click(await big())
    }
    await user.click(await big('Close it'))
    expect(await screen.findByText('What to look for')).toBeInTheDocument()
    expect(screen.getByText('out of reach')).toBeInTheDocument()
    await waitFor(() =>
      expect(lines('dose').at(-1)).toMatchObject({ ingredient: 'peroxide', amount: 0.8, tankId: 'study' }),
    )
    expect(lines('bench-end')).toMatchObject([{ outcome: 'finished', looks: [{ afterHours: 1 }, { afterHours: 24 }] }])
  })

  test('two corals are in the dip at once; what came off is counted on pads and kept coral by coral', async () => {
    const run = started(30, 'coral-dip', {
      tankId: 'reef',
      partIds: ['zoa', 'acro'],
      choices: [{ id: 'dip', option: 'iodine' }],
      figures: [{ id: 'tubL', value: 4 }],
      measuredOut: { ingredient: 'iodine-dip', productId: 'iod', amount: 1.6, unit: 'mL', massMg: 80 },
    })
    const { user, lines } = await open(
      '/bench/b',
      run,
      ...before(29, 'wear', 'tubs', 'mix', 'tray'),
      mark(6, 'dip', { partId: 'zoa', state: 'begun' }),
      mark(4, 'dip', { partId: 'acro', state: 'begun' }),
    )
    const clocks = await screen.findByRole('list', { name: 'Clocks' })
    expect(within(clocks).getAllByRole('timer')).toHaveLength(2)
    // The one whose time is up comes first.
    expect(screen.getByRole('timer', { name: 'coral zoa, Into the dip' })).toHaveTextContent('time is up')
    await user.click(await big())
    await user.click(await screen.findByRole('button', { name: 'one more, came off' }))
    await user.click(screen.getByRole('button', { name: 'one more, came off' }))
    await user.click(screen.getByText('edges brushed'))
    await user.click(await big())
    for (const words of ['First rinse, second rinse', 'Back to its place']) {
      expect(await screen.findByText(words)).toBeInTheDocument()
      await user.click(await big())
    }
    // The other one is ended early, with a reason.
    await user.click(await screen.findByRole('button', { name: 'end it early' }))
    await user.type(screen.getByLabelText('Reason for continuing anyway'), 'slime comes off')
    await user.click(await big())
    for (const words of [
      /^Baste hard/,
      'First rinse, second rinse',
      'Back to its place',
      /^Dip and rinse water/,
      /^Hands and tools/,
    ]) {
      expect(await screen.findByText(words)).toBeInTheDocument()
      await user.click(await big())
    }
    const table = await screen.findByRole('region', { name: 'One by one' })
    expect(within(table).getByRole('row', { name: /coral zoa 2 0 1/ })).toBeInTheDocument()
    await user.click(await big('Close it'))
    await waitFor(() =>
      expect(lines('bath').at(-1)).toMatchObject({ partIds: ['zoa', 'acro'], litres: 4, stopped: 'slime comes off' }),
    )
    expect(lines('count').find(({ measure }) => measure === 'came-off')).toMatchObject({
      parts: [
        { partId: 'zoa', value: 2 },
        { partId: 'acro', value: 0 },
      ],
    })
  })

  test('a tub of 15 °C stops it, in the largest type', async () => {
    const { user } = await open(
      '/bench/b',
      started(5, 'anemone-rock', { tankId: 'reef', partIds: ['r1'], figures: [{ id: 'tubL', value: 4 }] }),
      ...before(4, 'wear'),
    )
    expect(await screen.findByText('16 L')).toBeInTheDocument()
    await user.type(screen.getByLabelText('the tub'), '15')
    expect(screen.getByRole('alert')).toHaveTextContent(/^15 °C, the tub: under 24 °C\. Corals suffer/)
    expect(await big()).toBeDisabled()
    await user.clear(screen.getByLabelText('the tub'))
    await user.type(screen.getByLabelText('the tub'), '25')
    expect(await big()).toBeEnabled()
  })

  test('a coral out of the water past its minutes is said, with what to do', async () => {
    await open(
      '/bench/b',
      started(25, 'brown-jelly-cut', { tankId: 'reef' }),
      ...before(20, 'wear', 'bucket', 'dip', 'flow-off', 'top-off-off'),
      mark(19, 'siphon'),
      mark(18, 'bag'),
    )
    expect(await screen.findByRole('timer', { name: 'out of the tank' })).toHaveTextContent(/18:0\d.*over its limit/)
    expect(
      screen.getByText(/^18 min, out of the tank: over the 15 min\. Now: Into the isolation tank/),
    ).toBeInTheDocument()
  })

  test('stopping leads to what has to be put back, and nothing is closed before', async () => {
    const { user, lines } = await open(
      '/bench/b',
      started(45, 'peroxide-spot', { partIds: ['A', 'B'] }),
      ...SPOT_BEFORE,
    )
    await user.click(await screen.findByRole('button', { name: 'stop here, put everything back' }))
    expect(await screen.findByText('Pumps and filter on')).toBeInTheDocument()
    expect(screen.queryByRole('button', { name: 'Close it' })).toBeNull()
    expect(lines('bench-mark').filter(({ state }) => state === 'skipped')).toHaveLength(3)
  })

  test('leaving the page is asked about while something has to be put back', async () => {
    await open('/bench/b', started(45, 'peroxide-spot', { partIds: ['A'] }), ...SPOT_BEFORE)
    await screen.findByText('patch A')
    const leaving = new Event('beforeunload', { cancelable: true })
    window.dispatchEvent(leaving)
    expect(leaving.defaultPrevented).toBe(true)
  })

  test('what is still off stands on every other screen, with how long', async () => {
    await open('/else', started(45, 'peroxide-spot', { partIds: ['A'] }), ...SPOT_BEFORE)
    const link = await screen.findByRole('link', {
      name: /Peroxide on spots: flow, auto top off, uv still off, 40 min/,
    })
    expect(link).toHaveAttribute('href', '/bench/b')
  })

  test('an address that is none leads back', async () => {
    await open('/bench/none')
    expect(await screen.findByText('No such procedure')).toBeInTheDocument()
  })
})

test('many open benches do not cover the screen: the longest off first, the rest in one line', async () => {
  const many = Array.from({ length: 8 }, (_, i) => ({
    ...started(10 + i, 'peroxide-spot', { partIds: ['A'] }),
    benchId: `b${i}`,
  }))
  await open('/else', ...(many as Content[]))
  const bar = await screen.findByRole('region', { name: 'At the bench' })
  expect(within(bar).getAllByRole('link')).toHaveLength(4)
  expect(within(bar).getByRole('link', { name: 'and 5 more at the bench' })).toHaveAttribute('href', '/bench')
})
