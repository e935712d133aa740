import { fireEvent, screen, waitFor, within } from '@testing-library/react'
import type { Content } from '../../../core/journal/entry.ts'
import { arrival } from '../../../core/journal/testing.ts'
import { sampleOf } from '../../../scripts/testing/app.tsx'
import { awaited, TWO_TANKS } from '../../../scripts/testing/arrivals.ts'
import { openScreens } from '../../../scripts/testing/screens.tsx'
import { BoxPage } from './BoxPage.tsx'

const SCREENS = {
  '/arrivals/box/:boxId/:step?': <BoxPage />,
}
const KINDS = [
  'sighting',
  'dead-on-arrival',
  'expected',
  'task',
  'acclimation-start',
  'water-change',
  'reading',
] as const

const open = (step: string, ...contents: Content[]) =>
  openScreens(SCREENS, KINDS, sampleOf(...TWO_TANKS, ...contents), `/arrivals/box/box/${step}`)

beforeEach(() => localStorage.clear())

const SHRIMP = { expectedId: 'shrimp', species: 'cleaner shrimp', group: 'shrimp-crab-snail', count: 2 } as const

test('a box that has come, or never was, says so', async () => {
  await open('prepare')
  expect(screen.getByRole('heading', { name: 'Nothing awaited here' })).toBeInTheDocument()
})

describe('prepare', () => {
  test('what is missing stands first, each with what the journal says; a tick is kept', async () => {
    const { user, lines } = await open('prepare', awaited())
    const side = screen.getByRole('region', { name: 'Side tub' })
    const items = within(side).getAllByRole('listitem')
    expect(items[0]).toHaveAttribute('data-state', 'missing')
    const cycled = items.find((item) => item.dataset['prep'] === 'cycled')!
    expect(cycled).toHaveTextContent('No ammonia reading of the last three days')
    const states = items.map((item) => item.dataset['state'])
    expect(states.lastIndexOf('missing')).toBeLessThan(states.indexOf('ok'))
    await user.click(within(side).getByRole('button', { name: /Hides.*: it is so/ }))
    await waitFor(() => expect(lines('task')).toHaveLength(1))
    expect(within(side).queryByRole('button', { name: /Hides.*: it is so/ })).not.toBeInTheDocument()
  })

  test('straight into a display is allowed: the risk first, the watch instead, and it can be undone', async () => {
    const { user, lines } = await open('prepare', awaited({ tankId: 'hall' }))
    expect(screen.getByText(/What is left of the risk/)).toBeInTheDocument()
    expect(screen.getByText(/Watched instead, for 30 days/)).toBeInTheDocument()
    await user.click(screen.getByRole('button', { name: /No quarantine, by choice/ }))
    await waitFor(() => expect(lines('expected').at(-1)).toMatchObject({ noQuarantine: true }))
    await user.click(await screen.findByRole('button', { name: /rather quarantine/ }))
    await waitFor(() => expect(lines('expected').at(-1)).toMatchObject({ noQuarantine: false }))
  })

  test('a quarantine tank asks for no such choice', async () => {
    await open('prepare', awaited())
    expect(screen.queryByText(/What is left of the risk/)).not.toBeInTheDocument()
  })
})

describe('look it over', () => {
  test('what is ticked is kept as a sighting with the catalogue’s signs; what to do stands at once', async () => {
    const { user, lines } = await open('inspect', awaited())
    const orchid = screen.getByRole('region', { name: 'orchid dottyback' })
    await user.click(within(orchid).getByRole('button', { name: /^white grains/ }))
    expect(within(orchid).getAllByRole('status').at(-1)).toHaveTextContent(/^white grains: /)
    await user.click(within(orchid).getByRole('button', { name: 'Log what was found on orchid dottyback' }))
    await waitFor(() => expect(lines('sighting')).toHaveLength(1))
    expect(lines('sighting')[0]).toMatchObject({
      animalIds: ['orchid'],
      tankId: 'side',
      signs: [{ sign: 'white-grains-countable', present: true }],
    })
    expect(within(orchid).getByText(/^✓ \d\d:\d\d white grains/)).toBeInTheDocument()
  })

  test('nothing found is something, and is kept', async () => {
    const { user, lines } = await open('inspect', awaited())
    await user.click(screen.getByRole('button', { name: 'orchid dottyback: nothing found' }))
    await waitFor(() =>
      expect(lines('sighting')[0]).toMatchObject({
        signs: [],
        words: expect.stringMatching(/nothing found/) as string,
      }),
    )
  })

  test('a page thrown away while the camera is open gives its ticks and breaths back; logged, they are gone', async () => {
    const clock = jest.spyOn(performance, 'now')
    const { user, unmount } = await open('inspect', awaited())
    await user.click(screen.getByRole('button', { name: /^white grains/ }))
    const pad = screen.getByRole('button', { name: /gill beat of orchid dottyback/ })
    let at = 1000
    for (let i = 0; i < 12; i++) {
      clock.mockReturnValue((at += 400))
      fireEvent.keyDown(pad, { key: ' ' })
    }
    clock.mockRestore()
    await waitFor(() => expect(localStorage.getItem('brinvo-draft-inspect-orchid')).toMatch(/"breaths":"150"/))
    unmount()
    const again = await open('inspect', awaited())
    expect(screen.getByRole('button', { name: /^white grains/ })).toHaveAttribute('aria-pressed', 'true')
    await again.user.click(screen.getByRole('button', { name: 'Log what was found on orchid dottyback' }))
    await waitFor(() => expect(again.lines('sighting')[0]).toMatchObject({ breathsPerMinute: 150 }))
    expect(screen.getByRole('button', { name: /^white grains/ })).toHaveAttribute('aria-pressed', 'false')
    expect(screen.queryByText('150')).not.toBeInTheDocument()
  })

  test('gill beats by the key: a rate after some, and too fast is a sign of its own', async () => {
    const clock = jest.spyOn(performance, 'now')
    const { user, lines } = await open('inspect', awaited())
    const pad = screen.getByRole('button', { name: /gill beat of orchid dottyback/ })
    let at = 1000
    for (let i = 0; i < 12; i++) {
      clock.mockReturnValue((at += 400))
      fireEvent.keyDown(pad, { key: ' ' })
    }
    clock.mockRestore()
    expect(screen.getByText('150')).toBeInTheDocument()
    await user.click(screen.getByRole('button', { name: 'orchid dottyback: nothing found' }))
    await waitFor(() =>
      expect(lines('sighting')[0]).toMatchObject({
        breathsPerMinute: 150,
        signs: [{ sign: 'breathing-fast', present: true }],
      }),
    )
  })

  test('of two, one dead: asked how many, the photo first; the other is still awaited', async () => {
    const { user, lines } = await open('inspect', awaited(SHRIMP))
    await user.click(screen.getByRole('button', { name: '2 cleaner shrimp: dead on arrival' }))
    expect(screen.getByText(/Photograph it in the shut bag first/)).toBeInTheDocument()
    await user.click(screen.getByRole('button', { name: '1 of 2 dead' }))
    await waitFor(() => expect(lines('dead-on-arrival')).toMatchObject([{ expectedId: 'shrimp', count: 1 }]))
    expect(await screen.findByRole('region', { name: 'cleaner shrimp' })).toBeInTheDocument()
  })

  test('who carries venom or palytoxin is said before anything is touched', async () => {
    await open(
      'inspect',
      awaited({ species: 'zoanthid frag', group: 'coral-soft' }),
      awaited({ expectedId: 'lion', species: 'dwarf lionfish', group: 'eel-lionfish' }),
    )
    for (const [name, words] of [
      ['zoanthid frag', 'palytoxin'],
      ['dwarf lionfish', 'Venomous'],
    ] as const) {
      const text = screen.getByRole('region', { name }).textContent
      expect(text.indexOf(words)).toBeGreaterThan(0)
      expect(text.indexOf(words)).toBeLessThan(text.indexOf('nothing found'))
    }
  })
})

describe('plan the way', () => {
  const bag = () => screen.getByRole('group', { name: 'Bag of orchid dottyback' })
  const advice = () => screen.findByRole('region', { name: 'Advice' })

  test('litres are all it waits for: hours were announced, the rest is assumed and says so', async () => {
    const { user } = await open('plan', awaited())
    expect(screen.getByText(/How many litres are round orchid dottyback/)).toBeInTheDocument()
    expect(within(bag()).getByLabelText('pH')).toHaveAccessibleDescription('assumed')
    await user.type(within(bag()).getByLabelText('Water round it'), '1.2')
    expect(await advice()).toHaveTextContent('If it is as assumed: ')
    expect(screen.getByText(/The bag’s salinity is assumed, and it decides more/)).toBeInTheDocument()
    // Nobody has measured it: what comes first, and what would be chosen for three bags.
    const before = screen.getByRole('region', { name: 'Before it is measured' })
    expect(before).toHaveTextContent(/Float, open, measure, then choose/)
    for (const psu of ['26 psu', '30 psu', '34 psu']) expect(within(before).getByText(psu)).toBeInTheDocument()
    await waitFor(() => expect(before).not.toHaveTextContent('working it out'), { timeout: 15_000 })
    await user.type(within(bag()).getByLabelText('Salinity'), '31.6')
    await waitFor(() => expect(screen.queryByText(/Float, open, measure/)).not.toBeInTheDocument())
    expect(await advice()).toHaveTextContent('Advised: ')
    await waitFor(() => expect(screen.queryByText(/The bag’s salinity is assumed/)).not.toBeInTheDocument())
  })

  test.each([
    ['pH', '70', '5.5 to 9 is plausible'],
    ['Salinity', '350', '0 psu to 45 psu is plausible'],
    ['Water round it', '9', 'more than the container’s 4 L'],
  ])(
    '%s %s: beside the field, what is plausible; what was typed stays, and so does the last plan',
    async (label, typed, words) => {
      const { user } = await open('plan', awaited())
      await user.type(within(bag()).getByLabelText('Water round it'), '1.2')
      const rest = screen.getByRole('group', { name: 'Container and room' })
      await user.type(within(rest).getByLabelText('Holds'), '4')
      await advice()
      const field = within(bag()).getByLabelText(label)
      await user.clear(field)
      await user.type(field, typed)
      expect(await within(bag()).findByRole('alert')).toHaveTextContent(words)
      expect(field).toHaveValue(typed)
      expect(await advice()).toBeInTheDocument()
      expect(screen.getByText(/What was typed last does not fit/)).toBeInTheDocument()
      expect(screen.getByRole('button', { name: /^Start the float/ })).toBeDisabled()
    },
  )

  test('what was typed is there again after the page was left', async () => {
    const { user, unmount } = await open('plan', awaited())
    await user.type(within(bag()).getByLabelText('Water round it'), '1.2')
    await waitFor(() => expect(Object.values(localStorage).join(' ')).toContain('1.2'))
    unmount()
    await open('plan', awaited())
    expect(within(bag()).getByLabelText('Water round it')).toHaveValue('1.2')
    expect(await advice()).toBeInTheDocument()
  })

  test('the float begun is a run in the journal, and the page goes to it', async () => {
    const { user, lines } = await open('plan', awaited())
    await user.type(within(bag()).getByLabelText('Water round it'), '1.2')
    await user.type(within(bag()).getByLabelText('Salinity'), '31.6')
    const start = await screen.findByRole('button', { name: 'Start the float: 20 minutes' })
    await waitFor(() => expect(start).toBeEnabled())
    await user.click(start)
    await waitFor(() => expect(lines('acclimation-start')).toHaveLength(1))
    const [begun] = lines('acclimation-start')
    expect(begun).toMatchObject({
      tankId: 'side',
      shippingHours: 18,
      setting: { bag: { volumeL: 1.2, salinityPsu: 31.6 }, tank: { salinityPsu: 33, temperatureC: 25 } },
    })
    await waitFor(() => expect(screen.getByLabelText('address')).toHaveTextContent(`/arrivals/run/${begun!.runId}`))
  })

  test('a tank to be set to the bag: how much is swapped, logged; no float before it is said to be so', async () => {
    const { user, lines } = await open('plan', awaited({ hoursInTransit: 48 }))
    await user.type(within(bag()).getByLabelText('Water round it'), '1.2')
    await user.type(within(bag()).getByLabelText('Salinity'), '26')
    const section = await advice()
    expect(section).toHaveTextContent(/match the tank, then across/i)
    const start = screen.getByRole('button', { name: /^Start the float/ })
    expect(start).toBeDisabled()
    // (33 − 26) ∕ 33 of 64.75 L.
    await user.click(await screen.findByRole('button', { name: 'Log the swap of 13.7 L' }))
    await waitFor(() => expect(lines('water-change')[0]?.litres).toBeCloseTo((64.75 * 7) / 33, 2))
    // Once is enough: nothing more is swapped before it is measured.
    expect(await screen.findByText(/^13.7 L were swapped today .* has not been measured since/)).toBeInTheDocument()
    expect(screen.queryByRole('button', { name: /^Log the swap/ })).not.toBeInTheDocument()
    expect(section).not.toHaveTextContent('13.7 L')
    // Measured and typed, what is left is worked out again: (28 − 26) ∕ 28 of 64.75 L.
    const tub = within(screen.getByRole('group', { name: 'Side tub' })).getByLabelText('Salinity')
    await user.type(tub, '28')
    await user.click(await screen.findByRole('button', { name: /^Log the swap of 4\.6\d L/ }))
    // What was typed was measured before this one: it is not offered again either.
    await waitFor(() => expect(tub).toHaveValue(''))
    expect(await screen.findByText(/^18\.\d L were swapped today/)).toBeInTheDocument()
    expect(screen.queryByRole('button', { name: /^Log the swap/ })).not.toBeInTheDocument()
    await user.click(await screen.findByRole('checkbox', { name: /Side tub stands at 26.0 psu now/ }))
    await waitFor(() => expect(start).toBeEnabled())
    await user.click(start)
    await waitFor(() => expect(lines('acclimation-start')).toHaveLength(1))
    expect(lines('reading').at(-1)).toMatchObject({
      tankId: 'side',
      parameter: 'salinity',
      result: { kind: 'value', value: 26 },
      unit: 'psu',
    })
  })

  test('what was ticked of one salinity is not ticked of another', async () => {
    const { user } = await open('plan', awaited({ hoursInTransit: 48 }))
    await user.type(within(bag()).getByLabelText('Water round it'), '1.2')
    const salinity = within(bag()).getByLabelText('Salinity')
    await user.type(salinity, '26')
    await user.click(await screen.findByRole('checkbox', { name: /stands at 26.0 psu now/ }))
    await waitFor(() => expect(screen.getByRole('button', { name: /^Start the float/ })).toBeEnabled())
    await user.clear(salinity)
    await user.type(salinity, '27')
    expect(await screen.findByRole('checkbox', { name: /stands at 27.0 psu now/ })).not.toBeChecked()
    expect(screen.getByRole('button', { name: /^Start the float/ })).toBeDisabled()
  })

  test('two whose limits clash go in two containers, and it says why', async () => {
    const { user } = await open('plan', awaited(), awaited({ ...SHRIMP, tankId: 'side' }))
    const bagOf = (name: string) => screen.getByRole('group', { name: `Bag of ${name}` })
    for (const [name, psu] of [
      ['orchid dottyback', '27'],
      ['2 cleaner shrimp', '33'],
    ] as const) {
      await user.type(within(bagOf(name)).getByLabelText('Water round it'), '1')
      await user.type(within(bagOf(name)).getByLabelText('Salinity'), psu)
    }
    expect(await screen.findByText(/^Two containers:/)).toBeInTheDocument()
    expect(screen.getByRole('region', { name: 'Advice for orchid dottyback' })).toBeInTheDocument()
    expect(screen.getByRole('region', { name: 'Advice for 2 cleaner shrimp' })).toBeInTheDocument()
    expect(screen.getByRole('button', { name: /^Start the floats/ })).toBeInTheDocument()
  })

  test('of two bags the swap is worked out for the one that the tank is set to, whichever was announced first', async () => {
    const { user } = await open('plan', awaited({ ...SHRIMP, tankId: 'side' }), awaited())
    for (const [name, psu] of [
      ['2 cleaner shrimp', '33'],
      ['orchid dottyback', '27'],
    ] as const) {
      const one = screen.getByRole('group', { name: `Bag of ${name}` })
      await user.type(within(one).getByLabelText('Water round it'), '1')
      await user.type(within(one).getByLabelText('Salinity'), psu)
    }
    // (33 − 27) ∕ 33 of 64.75 L.
    const fish = await screen.findByRole('region', { name: 'Advice for orchid dottyback' })
    await waitFor(() => expect(fish).toHaveTextContent(/11\.8 L/))
    expect(screen.getByRole('button', { name: 'Log the swap of 11.8 L' })).toBeInTheDocument()
  })

  test('among residents the tank is not set to a bag', async () => {
    const { user } = await open('plan', awaited({ tankId: 'hall' }), arrival('needle', 'hall', 2, 1, 'Needle'))
    await user.type(within(bag()).getByLabelText('Water round it'), '1.2')
    await user.type(within(bag()).getByLabelText('Salinity'), '26')
    expect(await advice()).toHaveTextContent('No way keeps all its limits')
    // Ticked of an earlier answer it would not be ticked of this one.
    await waitFor(() => expect(screen.getByRole('region', { name: 'Ways' })).toHaveAttribute('aria-busy', 'false'))
    expect(screen.getByRole('checkbox', { name: /can be set to the bag beforehand/ })).not.toBeChecked()
    await user.click(screen.getByRole('checkbox', { name: /I know that this way does not keep all limits/ }))
    await waitFor(() => expect(screen.getByRole('button', { name: /^Start the float/ })).toBeEnabled())
  })
})
