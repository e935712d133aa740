import { act, render, screen, waitFor } from '@testing-library/react'
import type { Content } from '../../core/journal/entry.ts'
import { renderInHousehold, sampleOf } from '../../scripts/testing/app.tsx'
import { awaited, floating, fromNow, happened, TWO_TANKS } from '../../scripts/testing/arrivals.ts'
import { useNow } from '../frame/now.tsx'
import { useHousehold } from '../journal/provider.tsx'
import { ArrivalTaskCard } from './ArrivalTaskCard.tsx'
import { RunBar } from './RunBar.tsx'
import { arrivalTasksOn, useArrivalTasks } from './useArrivalTasks.ts'
import { useAwake } from './useAwake.ts'
import { useRing } from './useRing.ts'

/** Across into the side tub so many minutes ago. */
const across = (minutes: number, more: object = {}): Content[] => [
  awaited({ name: 'Orchid' }),
  floating(minutes + 60),
  happened(minutes + 60, 16, { event: 'opened' }),
  {
    kind: 'arrival',
    happened: fromNow(-minutes),
    animalId: 'orchid',
    tankId: 'side',
    name: 'Orchid',
    species: 'orchid dottyback',
    group: 'dottyback-basslet',
    count: 1,
    expectedId: 'orchid',
    runId: 'run',
    ...more,
  },
  {
    kind: 'acclimation-end',
    happened: fromNow(-minutes),
    runId: 'run',
    tankId: 'side',
    outcome: 'released',
    measured: true,
  },
]

/** The card of what is due of one kind, whenever it is, and the journal's lines of the animal. */
function Cards({ kind }: { kind: string }) {
  const { journal } = useHousehold()
  const task = useArrivalTasks().find((one) => one.kind === kind)
  const lines = journal.about('tank:side').map(({ content }) => content)
  return (
    <>
      {task ? <ArrivalTaskCard task={task} next onSeen={() => {}} /> : <p>nothing due</p>}
      <output aria-label="lines">{JSON.stringify(lines)}</output>
    </>
  )
}

async function show(kind: string, ...contents: Content[]) {
  const view = await renderInHousehold(<Cards kind={kind} />, sampleOf(...TWO_TANKS, ...contents))
  const lines = () => JSON.parse(screen.getByLabelText('lines').textContent) as Content[]
  const last = (what: string) => lines().findLast((content) => content.kind === what)
  return { ...view, lines, last }
}

describe('what is due after an arrival', () => {
  test('the first meal is marked in one press; a fish that does not eat is a sign', async () => {
    const { user, last } = await show('first-meal', ...across(180))
    expect(screen.getByRole('heading', { name: 'First meal: Orchid' })).toBeInTheDocument()
    await user.click(screen.getByRole('button', { name: 'Did not eat' }))
    await waitFor(() =>
      expect(last('sighting')).toMatchObject({
        animalIds: ['orchid'],
        appetite: 0,
        signs: [{ sign: 'not-eating', present: true }],
      }),
    )
    expect(last('task')).toMatchObject({ state: 'done' })
  })

  test('a head count names each: who is not ticked was not seen', async () => {
    const { user, last } = await show('morning-check', ...across(180))
    const button = () => screen.getByRole('button', { name: /seen/ })
    expect(await screen.findByRole('button', { name: /seen/ })).toHaveTextContent('None seen')
    await user.click(screen.getByRole('checkbox', { name: 'Orchid' }))
    expect(button()).toHaveTextContent('All seen')
    await user.click(button())
    await waitFor(() => expect(last('sighting')).toMatchObject({ animalIds: ['orchid'], seen: true }))
  })

  test('of a group it is asked how many were seen', async () => {
    const [expected, began, opened, arrived, ended] = across(180)
    const six = { ...arrived!, count: 6, name: undefined, species: 'blue chromis' } as Content
    const { user, last } = await show(
      'morning-check',
      expected!,
      began!,
      opened!,
      JSON.parse(JSON.stringify(six)) as Content,
      ended!,
    )
    await user.click(await screen.findByRole('checkbox', { name: '6 blue chromis' }))
    expect(screen.getByRole('button', { name: 'All seen' })).toBeInTheDocument()
    await user.selectOptions(screen.getByLabelText('How many of the 6 blue chromis were seen'), '4')
    await user.click(screen.getByRole('button', { name: '2 not seen' }))
    await waitFor(() => expect(last('sighting')).toMatchObject({ animalIds: ['orchid'], seen: true, seenCount: 4 }))
  })

  test('the evening look is kept as calm; it can be put off and skipped with a word', async () => {
    const { user, last } = await show('evening-check', ...across(180))
    await user.click(screen.getByRole('button', { name: 'Nothing seen' }))
    await waitFor(() => expect(last('sighting')).toMatchObject({ words: 'evening: calm, nothing seen' }))
  })

  test('without quarantine it is watched instead', async () => {
    const noQuarantine = floating(240, {
      animals: [
        {
          animalId: 'orchid',
          name: 'Orchid',
          species: 'orchid dottyback',
          group: 'dottyback-basslet',
          count: 1,
          noQuarantine: true,
        },
      ],
    })
    const [expected, , opened, arrived, ended] = across(180)
    await show('watch', expected!, noQuarantine, opened!, arrived!, ended!)
    expect(screen.getByRole('heading', { name: /^Watch half an hour: Orchid/ })).toBeInTheDocument()
    expect(screen.getByText(/no quarantine, day 1 of 30/)).toBeInTheDocument()
  })

  test('who never came is asked after by nothing', async () => {
    await show('first-meal', awaited(), floating(20))
    expect(screen.getByText('nothing due')).toBeInTheDocument()
  })

  test('a day’s column holds what falls on it, today’s also what is late', async () => {
    function Days() {
      const { settings } = useHousehold()
      const tasks = useArrivalTasks()
      const today = settings.clock.dayOf(useNow())
      const on = (day: number) => arrivalTasksOn(tasks, 'side', day, today, settings.clock).map(({ id }) => id)
      const all = Array.from({ length: 22 }, (_, i) => on(today + i)).flat()
      return (
        <output>
          {JSON.stringify([
            tasks.length,
            all.length,
            new Set(all).size,
            arrivalTasksOn(tasks, 'hall', today, today, settings.clock),
          ])}
        </output>
      )
    }
    await renderInHousehold(<Days />, sampleOf(...TWO_TANKS, ...across(180)))
    const [tasks, shown, different, elsewhere] = JSON.parse(screen.getByRole('status').textContent) as [
      number,
      number,
      number,
      unknown[],
    ]
    expect(tasks).toBeGreaterThanOrEqual(3)
    expect([shown, different]).toEqual([tasks, tasks])
    expect(elsewhere).toEqual([])
  })
})

describe('the ring', () => {
  function Bell({ due }: { due: string | null }) {
    useRing(due)
    return null
  }
  let rings = 0
  const count = () => rings++
  beforeEach(() => {
    rings = 0
    window.addEventListener('brinvo-ring', count)
    jest.useFakeTimers()
  })
  afterEach(() => {
    window.removeEventListener('brinvo-ring', count)
    jest.useRealTimers()
  })

  test('rings when something falls due, again until it is done, and then no more', () => {
    const { rerender } = render(<Bell due={null} />)
    expect(rings).toBe(0)
    rerender(<Bell due="scoop 1" />)
    expect(rings).toBe(1)
    act(() => void jest.advanceTimersByTime(31_000))
    expect(rings).toBe(3)
    rerender(<Bell due={null} />)
    act(() => void jest.advanceTimersByTime(60_000))
    expect(rings).toBe(3)
  })

  test('a page looked at again rings at once for what is past due', () => {
    render(<Bell due="open" />)
    act(() => {
      document.dispatchEvent(new Event('visibilitychange'))
    })
    expect(rings).toBe(2)
  })

  test('a device that vibrates is asked to', () => {
    const vibrate = jest.fn()
    Object.assign(navigator, { vibrate })
    render(<Bell due="open" />)
    expect(vibrate).toHaveBeenCalledTimes(1)
    Reflect.deleteProperty(navigator, 'vibrate')
  })
})

describe('the screen', () => {
  const Shown = () => <output>{useAwake()}</output>
  afterEach(() => Reflect.deleteProperty(navigator, 'wakeLock'))

  test('is kept awake while the page is open, asked for again on return, and let go of after it', async () => {
    const release = jest.fn(() => Promise.resolve())
    const request = jest.fn(() => Promise.resolve({ release, addEventListener: () => {} }))
    Object.assign(navigator, { wakeLock: { request } })
    const { unmount } = render(<Shown />)
    expect(await screen.findByText('awake')).toBeInTheDocument()
    act(() => {
      document.dispatchEvent(new Event('visibilitychange'))
    })
    await waitFor(() => expect(request).toHaveBeenCalledTimes(2))
    unmount()
    expect(release).toHaveBeenCalled()
  })

  test('a device that refuses, or has no such thing, is told apart', async () => {
    Object.assign(navigator, { wakeLock: { request: () => Promise.reject(new Error('battery')) } })
    const first = render(<Shown />)
    expect(await screen.findByText('refused')).toBeInTheDocument()
    first.unmount()
    Reflect.deleteProperty(navigator, 'wakeLock')
    render(<Shown />)
    expect(screen.getByText('missing')).toBeInTheDocument()
  })
})

describe('the bar over every other screen', () => {
  test('leads back to what is under way, with its clock', async () => {
    await renderInHousehold(<RunBar />, sampleOf(...TWO_TANKS, awaited(), floating(6)), '/shelf')
    const link = screen.getByRole('link')
    expect(link).toHaveAttribute('href', '/arrivals/run/run')
    expect(link).toHaveTextContent(/orchid dottyback: Open the bag, in 0[89]:\d\d/)
    expect(link).toHaveAttribute('data-due', 'false')
  })

  test('says what is due, and is away on the run’s own page and when nothing runs', async () => {
    const { unmount } = await renderInHousehold(<RunBar />, sampleOf(...TWO_TANKS, awaited(), floating(22)), '/shelf')
    expect(screen.getByRole('link')).toHaveAttribute('data-due', 'true')
    unmount()
    const own = await renderInHousehold(<RunBar />, sampleOf(...TWO_TANKS, floating(22)), '/arrivals/run/run')
    expect(screen.queryByRole('region')).not.toBeInTheDocument()
    own.unmount()
    await renderInHousehold(<RunBar />, sampleOf(...TWO_TANKS), '/shelf')
    expect(screen.queryByRole('region')).not.toBeInTheDocument()
  })
})
