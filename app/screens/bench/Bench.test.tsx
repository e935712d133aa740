import { fireEvent, screen, waitFor } from '@testing-library/react'
import type { Content } from '../../../core/journal/entry.ts'
import { sampleOf } from '../../../scripts/testing/app.tsx'
import { fromNow } from '../../../scripts/testing/arrivals.ts'
import { openScreens } from '../../../scripts/testing/screens.tsx'
import { OpenBench } from '../../bench/OpenBench.tsx'
import { BenchPage } from './BenchPage.tsx'
import { Benches } from './Benches.tsx'

const DAY = 24 * 60
const TANK: Content = {
  kind: 'tank-setup',
  happened: fromNow(-90 * DAY),
  tankId: 'study',
  name: 'Study',
  water: 'freshwater',
  role: 'display',
  sheet: { shape: { kind: 'known', litres: 50 } },
}
const patch = (partId: string, control = false): Content => ({
  kind: 'part-setup',
  happened: fromNow(-3 * DAY),
  partId,
  tankId: 'study',
  what: 'patch',
  name: `patch ${partId}`,
  ...(control && { control: true }),
})
const started = (minutesAgo: number, procedure: string, partIds?: string[]): Content => ({
  kind: 'bench-start',
  happened: fromNow(-minutesAgo),
  benchId: 'b',
  procedure,
  tankId: 'study',
  ...(partIds && { partIds }),
})
const mark = (minutesAgo: number, step: string, more: object = {}): Content => ({
  kind: 'bench-mark',
  happened: fromNow(-minutesAgo),
  benchId: 'b',
  step,
  state: 'done',
  ...more,
})
const BEFORE = ['wear', 'syringe', 'flow-off', 'top-off-off', 'uv-off'].map((id) => mark(40, `before-${id}`))
const open = (path: string, ...contents: Content[]) =>
  openScreens(
    { '/bench': <Benches />, '/bench/:benchId': <BenchPage />, '/else': <OpenBench /> },
    ['bench-start', 'bench-mark', 'bench-end', 'equipment', 'dose'],
    sampleOf(TANK, patch('A'), patch('B'), patch('C', true), ...contents),
    path,
  )
const big = (name: string | RegExp = 'Done, next') => screen.findByRole('button', { name })

test('begins with the patches that are treated, the control left alone, and one thing at a time', async () => {
  const { user, lines, address } = await open('/bench?tank=study')
  const begin = (await screen.findAllByRole('button', { name: 'Begin at Study' }))[0]!
  expect(screen.queryByText('patch C')).toBeNull()
  await user.click(screen.getByText('patch B'))
  await user.click(begin)
  await waitFor(() => expect(lines('bench-start').at(-1)).toMatchObject({ procedure: 'peroxide-spot', partIds: ['A'] }))
  await waitFor(() => expect(address()).toMatch(/^\/bench\/./))
  expect(await screen.findByText('Gloves and goggles on')).toBeInTheDocument()
  // The caution stands before it.
  expect(screen.getByText(/Peroxide burns eyes/)).toBeInTheDocument()
  await user.click(await big())
  expect(await screen.findByText(/Syringe with a rigid tip/)).toBeInTheDocument()
  // A knuckle on the space bar.
  fireEvent.keyDown(document.body, { key: ' ' })
  expect(await screen.findByText('Pumps and filter off')).toBeInTheDocument()
  await user.click(await big())
  await waitFor(() =>
    expect(lines('equipment').at(-1)).toMatchObject({ item: 'flow', running: false, tankId: 'study' }),
  )
})

test('too much is refused in the largest type; what is used is summed and becomes a dose', async () => {
  const { user, lines } = await open('/bench/b', started(45, 'peroxide-spot', ['A', 'B']), ...BEFORE)
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
  await user.type(screen.getByLabelText('Why all the same'), 'out of reach')
  await user.click(screen.getByRole('button', { name: 'leave this out' }))
  // The still water: begun, rings, and not before fifteen minutes without a reason.
  await user.click(await big('Start 20 min'))
  expect(await screen.findByRole('timer', { name: 'Leave the water still' })).toHaveTextContent(/^(20:00|19:5\d)/)
  expect(screen.getByText(/^15 min too early/)).toBeInTheDocument()
  expect(await big()).toBeDisabled()
  await user.type(screen.getByLabelText('Why all the same'), 'a shrimp lies down')
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
  expect(lines('bench-end')).toHaveLength(1)
})

test('stopping leads to what has to be put back, and nothing is closed before', async () => {
  const { user, lines } = await open('/bench/b', started(45, 'peroxide-spot', ['A', 'B']), ...BEFORE)
  await user.click(await screen.findByRole('button', { name: 'stop here, put everything back' }))
  expect(await screen.findByText('Pumps and filter on')).toBeInTheDocument()
  expect(screen.queryByRole('button', { name: 'Close it' })).toBeNull()
  expect(lines('bench-mark').filter(({ state }) => state === 'skipped')).toHaveLength(3)
})

test('what is still off stands on every other screen, with how long', async () => {
  await open('/else', started(45, 'peroxide-spot', ['A']), ...BEFORE)
  const link = await screen.findByRole('link', { name: /Peroxide on spots: flow, auto top off, uv still off, 40 min/ })
  expect(link).toHaveAttribute('href', '/bench/b')
})

test('a coral out of the water past its minutes is said beside its clock', async () => {
  const before = ['wear', 'bucket', 'dip', 'flow-off', 'top-off-off'].map((id) => mark(20, `before-${id}`))
  await open('/bench/b', started(25, 'brown-jelly-cut'), ...before, mark(19, 'siphon'), mark(18, 'bag'))
  const clock = await screen.findByRole('timer', { name: 'out of the tank' })
  expect(clock).toHaveTextContent(/18:0\d.*over its limit, end it now/)
})

test('an address that is none leads back', async () => {
  await open('/bench/none')
  expect(await screen.findByText('No such procedure')).toBeInTheDocument()
})
