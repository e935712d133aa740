import { fireEvent, screen, waitFor, within } from '@testing-library/react'
import { Route, Routes } from 'react-router'
import type { Content } from '../../../../core/journal/entry.ts'
import { renderInHousehold, sampleOf } from '../../../../scripts/testing/app.tsx'
import { awaited, floating, fromNow, happened, TWO_TANKS } from '../../../../scripts/testing/arrivals.ts'
import { useHousehold } from '../../../journal/provider.tsx'
import { clockText } from '../../../../core/time/words.ts'
import { RunPage } from './RunPage.tsx'

function Lines() {
  const { journal } = useHousehold()
  const lines = [...journal.about('run:run'), ...journal.about('animal:orchid')]
  return (
    <output aria-label="lines">{JSON.stringify(lines.map(({ content, struck }) => ({ ...content, struck })))}</output>
  )
}

async function open(...contents: Content[]) {
  const view = await renderInHousehold(
    <>
      <Routes>
        <Route path="/arrivals/run/:runId" element={<RunPage />} />
      </Routes>
      <Lines />
    </>,
    sampleOf(...TWO_TANKS, awaited(), ...contents),
    '/arrivals/run/run',
  )
  const lines = () => JSON.parse(screen.getByLabelText('lines').textContent) as (Content & { struck: boolean })[]
  const events = () => lines().filter(({ kind, struck }) => kind === 'acclimation-event' && !struck)
  return { ...view, lines, events }
}

const big = () => document.querySelector<HTMLButtonElement>('button[data-next]')!

/** Scoops every five minutes from the sixteenth, until the water is within reach. */
const scooped = (now: number): Content[] => [
  happened(now, 16, { event: 'opened' }),
  ...Array.from({ length: 10 }, (_, i) => happened(now, 20 + 5 * i, { event: 'scoop', litres: 0.1 })),
]

test('a clock without a sign, hours only where there are any', () => {
  expect([clockText(0), clockText(65_000), clockText(-125_000), clockText(3_725_000)]).toEqual([
    '00:00',
    '01:05',
    '02:05',
    '1:02:05',
  ])
})

describe('a run under way', () => {
  test('afloat, the next thing is to open the bag, and when; the press is kept', async () => {
    const { user, events } = await open(floating(6))
    expect(screen.getByRole('region', { name: 'Next' })).toHaveTextContent(/Open the bag0[89]:\d\d/)
    expect(screen.getByRole('timer')).toHaveAttribute('data-due', 'false')
    await user.click(big())
    await waitFor(() => expect(events()).toMatchObject([{ event: 'opened' }]))
    expect(screen.getByRole('region', { name: 'Next' })).toHaveTextContent(/100 mL0[45]:\d\d/)
  })

  test('a second tap of a wet finger does nothing; the same a moment later counts', async () => {
    const { user, events } = await open(floating(22))
    await user.click(big())
    await waitFor(() => expect(events()).toHaveLength(1))
    // The second tap comes when the page says, however long this machine takes to deliver it.
    const opened = Date.parse(events()[0]!.happened)
    const clock = jest.spyOn(Date, 'now').mockReturnValue(opened + 400)
    await user.click(big())
    clock.mockReturnValue(opened + 800)
    expect(events()).toMatchObject([{ event: 'opened' }])
    await user.click(big())
    await waitFor(() => expect(events()).toMatchObject([{ event: 'opened' }, { event: 'scoop' }]))
    clock.mockRestore()
  })

  test('what is past due says since when', async () => {
    await open(floating(22))
    expect(screen.getByRole('timer')).toHaveAttribute('data-due', 'true')
    expect(screen.getByText(/^due since \d\d:\d\d$/)).toBeInTheDocument()
  })

  test('the space bar is the big button, but not in a field', async () => {
    const { user, events } = await open(floating(22), happened(22, 16, { event: 'opened' }))
    await user.click(screen.getByLabelText('Salinity, psu'))
    fireEvent.keyDown(screen.getByLabelText('Salinity, psu'), { key: ' ' })
    fireEvent.keyDown(document.body, { key: ' ' })
    await waitFor(() => expect(events()).toHaveLength(2))
    expect(events()[1]).toMatchObject({ event: 'scoop', litres: 0.1 })
  })

  test('a slip is taken back: struck out, not forgotten', async () => {
    const { user, events, lines } = await open(floating(6), happened(6, 5, { event: 'opened' }))
    await user.click(screen.getByRole('button', { name: 'take the last step back' }))
    await waitFor(() => expect(events()).toHaveLength(0))
    expect(lines().find(({ kind }) => kind === 'acclimation-event')).toMatchObject({ struck: true })
    expect(big()).toHaveTextContent('The bag is open')
  })

  test('what is measured wrong is told beside its field and stays; what is right is kept', async () => {
    const { user, events } = await open(floating(22), happened(22, 16, { event: 'opened' }))
    await user.type(screen.getByLabelText('pH'), '70')
    await user.type(screen.getByLabelText('Salinity, psu'), '31.4')
    await user.click(screen.getByRole('button', { name: 'Log what is measured' }))
    expect(await screen.findByRole('alert')).toHaveTextContent('5.5 to 9 is plausible')
    expect(screen.getByLabelText('Salinity, psu')).toHaveValue('31.4')
    expect(events()).toHaveLength(1)
    await user.clear(screen.getByLabelText('pH'))
    await user.type(screen.getByLabelText('pH'), '7,6')
    await user.click(screen.getByRole('button', { name: 'Log what is measured' }))
    // Here a comma could be either: it is asked, and a tap answers.
    await user.click(await screen.findByRole('button', { name: '7.6' }))
    await user.click(screen.getByRole('button', { name: 'Log what is measured' }))
    await waitFor(() => expect(events()).toHaveLength(2))
    expect(events()[1]).toMatchObject({ event: 'measured', salinityPsu: 31.4, pH: 7.6 })
    expect(screen.getByLabelText('Salinity, psu')).toHaveValue('')
  })

  test('nothing typed is nothing measured', async () => {
    const { user } = await open(floating(22), happened(22, 16, { event: 'opened' }))
    await user.click(screen.getByRole('button', { name: 'Log what is measured' }))
    expect(await screen.findByRole('alert')).toHaveTextContent('at least one figure')
  })

  test('near enough by reckoning, it asks for a measurement and takes one to the fields', async () => {
    const { user } = await open(floating(66), ...scooped(66))
    expect(screen.getByRole('timer')).toHaveTextContent('now')
    await user.click(big())
    expect(screen.getByLabelText('Salinity, psu')).toHaveFocus()
  })

  test('across at once by a guess: measured when open; not near enough, other ways are shown and one is taken', async () => {
    const { user, events } = await open(
      floating(16, { way: 'at-once', method: undefined, assumed: ['orchid.salinityPsu'] }),
      happened(16, 15, { event: 'opened' }),
    )
    expect(big()).toHaveTextContent('Enter what is measured')
    await user.click(big())
    expect(screen.getByLabelText('Salinity, psu')).toHaveFocus()
    await user.type(screen.getByLabelText('Salinity, psu'), '31.2')
    await user.click(screen.getByRole('button', { name: 'Log what is measured' }))
    await waitFor(() => expect(big()).toHaveTextContent('Show the other ways'))
    expect(
      screen.getByText(/^Nothing is mixed on this way, and it is not near enough: salinity 1\.8 psu under/),
    ).toBeInTheDocument()
    expect(screen.getByText('not near enough: see above')).toBeInTheDocument()
    await user.click((await screen.findAllByRole('button', { name: /^Go on by (Drip|Scoops)/ }))[0]!)
    await waitFor(() => expect(events().at(-1)).toMatchObject({ event: 'way' }))
    expect(['start-drip', 'scoop']).toContain(big().dataset['next'])
  })

  test('a way that was chosen knowing its limits is not questioned again', async () => {
    await open(
      floating(16, { way: 'at-once', method: undefined, assumed: [], knowing: 'salinity moves 8 psu an hour' }),
      happened(16, 15, { event: 'opened' }),
    )
    expect(big()).toHaveTextContent('Across now')
  })

  test('a run that stops says why, and nobody has gone across', async () => {
    const { user, lines } = await open(floating(6))
    await user.click(screen.getByRole('button', { name: 'stop the run' }))
    await user.type(screen.getByLabelText('Why it stops'), 'the bag leaked')
    await user.click(screen.getByRole('button', { name: 'Stop it: nobody goes across' }))
    expect(await screen.findByText('the bag leaked')).toBeInTheDocument()
    expect(lines().some(({ kind }) => kind === 'arrival')).toBe(false)
    expect(lines().find(({ kind }) => kind === 'acclimation-end')).toMatchObject({ outcome: 'stopped' })
  })

  test('no run of that name', async () => {
    await open()
    expect(screen.getByRole('heading', { name: 'No such run' })).toBeInTheDocument()
  })

  test('a second container is in sight, with its own clock', async () => {
    await open(
      floating(6),
      floating(3, {
        runId: 'other',
        animals: [{ animalId: 'shrimp', species: 'cleaner shrimp', group: 'shrimp-crab-snail', count: 2 }],
      }),
    )
    expect(screen.getByRole('group', { name: 'Running beside it' })).toHaveTextContent(
      /2 cleaner shrimp: Open the bag, in 1[12]:\d\d/,
    )
  })
})

describe('across', () => {
  const measured = happened(68, 67, { event: 'measured', salinityPsu: 32.6, temperatureC: 24.4 })

  test('every step is ticked before it can be logged; then it has arrived, and the page says how it went', async () => {
    const { user, lines } = await open(floating(68), ...scooped(68), measured)
    await user.click(big())
    const across = screen.getByRole('region', { name: 'Across' })
    const log = () => within(across).getAllByRole('button').at(-2)!
    expect(log()).toHaveTextContent('3 steps still open')
    expect(log()).toBeDisabled()
    // As quickly as wet fingers can, one of them twice.
    for (const step of [
      /Lights off/,
      /no bag water goes with it/,
      /no bag water goes with it/,
      /Bag water: household bleach of 5 % into it, 4 mL a litre/,
    ])
      fireEvent.click(within(across).getByRole('button', { name: step }))
    await user.click(await screen.findByRole('button', { name: 'In Side tub: log it' }))
    expect(lines().filter((line) => 'event' in line && line.event === 'step')).toHaveLength(3)
    expect(await screen.findByText(/across into Side tub/)).toHaveTextContent(/after 68 minutes/)
    expect(screen.getByText(/Measured within reach/)).toBeInTheDocument()
    expect(lines().find(({ kind }) => kind === 'arrival')).toMatchObject({ runId: 'run', expectedId: 'orchid' })
  })

  test('not near enough: it says by how much, and asks to be told twice', async () => {
    const { user, lines } = await open(floating(22), happened(22, 16, { event: 'opened' }))
    await user.click(screen.getByRole('button', { name: 'across now all the same' }))
    const across = screen.getByRole('region', { name: 'Across' })
    expect(within(across).getByRole('status')).toHaveTextContent(/Not near enough yet: salinity 2 psu under/)
    for (let left = 3; left > 0; left--) {
      await user.click(within(across).getAllByRole('button', { pressed: false })[0]!)
      await waitFor(() => expect(within(across).queryAllByRole('button', { pressed: false })).toHaveLength(left - 1))
    }
    const log = screen.getByRole('button', { name: 'In Side tub: log it' })
    expect(log).toBeDisabled()
    await user.click(screen.getByRole('checkbox'))
    await user.click(log)
    expect(await screen.findByText(/Still off: salinity 2 psu under/)).toBeInTheDocument()
    expect(lines().find(({ kind }) => kind === 'acclimation-end')).toMatchObject({
      measured: false,
      off: expect.stringMatching(/^salinity 2 psu under/) as string,
    })
  })

  test('into copper: what an invertebrate would meet is said, and only what has happened can be logged', async () => {
    const shrimp = { animalId: 'orchid', species: 'sexy shrimp', group: 'shrimp-crab-snail', count: 1 }
    const inCopper: Content = {
      kind: 'reading',
      happened: fromNow(-90),
      tankId: 'side',
      parameter: 'copper',
      result: { kind: 'value', value: 2.2 },
      unit: 'mg/L',
    }
    const { user, lines } = await open(inCopper, floating(68, { animals: [shrimp] }), ...scooped(68), measured)
    await user.click(big())
    const across = screen.getByRole('region', { name: 'Across' })
    expect(within(across).getAllByRole('alert')[0]).toHaveTextContent(/copper.*never/i)
    for (const step of within(across).getAllByRole('button', { pressed: false })) fireEvent.click(step)
    const log = await screen.findByRole('button', { name: 'In Side tub: log it' })
    expect(log).toBeDisabled()
    await user.type(screen.getByRole('textbox', { name: /^What happened/ }), 'tipped over')
    expect(log).toBeDisabled()
    await user.click(screen.getByRole('checkbox', { name: /already happened/ }))
    await user.click(log)
    await waitFor(() =>
      expect(lines().find(({ kind }) => kind === 'arrival')).toMatchObject({
        overrides: [expect.objectContaining({ why: 'tipped over', vetAgreed: false, answer: 'happened' })],
      }),
    )
  })

  test('back to the clock, and nothing has happened', async () => {
    const { user, lines } = await open(floating(68), ...scooped(68), measured)
    const before = lines().length
    await user.click(big())
    await user.click(screen.getByRole('button', { name: 'back to the clock' }))
    expect(screen.getByRole('timer')).toBeInTheDocument()
    expect(lines()).toHaveLength(before)
  })

  test('zoanthids: gloves and eyes before the step, not after it', async () => {
    const coral = { animalId: 'orchid', species: 'zoanthid frag', group: 'coral-soft', count: 1, dip: true }
    const { user } = await open(floating(22, { animals: [coral] }), happened(22, 16, { event: 'opened' }))
    await user.click(screen.getByRole('button', { name: 'across now all the same' }))
    const across = screen.getByRole('region', { name: 'Across' })
    const words = across.textContent
    expect(words.indexOf('palytoxin')).toBeGreaterThan(0)
    expect(words.indexOf('palytoxin')).toBeLessThan(words.indexOf('Plug and base cut away'))
    expect(words.indexOf('Dip first')).toBeLessThan(words.indexOf('Across by net or cup'))
  })
})
