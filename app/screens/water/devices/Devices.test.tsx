import { act, screen, waitFor, within } from '@testing-library/react'
import { shotsByHour } from '../../../../core/devices/pump-shots.ts'
import type { Content } from '../../../../core/journal/entry.ts'
import { sampleOf } from '../../../../scripts/testing/app.tsx'
import { fromNow } from '../../../../scripts/testing/arrivals.ts'
import { openScreens } from '../../../../scripts/testing/screens.tsx'
import { DeviceBar } from '../../../devices/DeviceBar.tsx'
import { Water } from '../Water.tsx'

const DAY = 24 * 60
const TANK: Content = {
  kind: 'tank-setup',
  happened: fromNow(-300 * DAY),
  tankId: 'hall',
  name: 'Hall reef',
  water: 'marine',
  role: 'display',
  profile: 'reef-lps',
  sheet: { shape: { kind: 'known', litres: 200 } },
}
const STOCK: Content = {
  kind: 'product-setup',
  happened: fromNow(-100 * DAY),
  productId: 'stock',
  name: 'potash stock',
  ingredient: 'potassium-chloride',
  strength: { kind: 'solution', mgPerMl: 50 },
}
const device = (type: 'probe' | 'photometer' | 'pump' | 'camera', more: object = {}): Content => ({
  kind: 'device',
  happened: fromNow(-20 * DAY),
  deviceId: `my-${type}`,
  name: `my ${type}`,
  type,
  tankId: 'hall',
  channel: `${type}-1`,
  ...more,
})

/** The device server of these tests: what it is asked, and what it answers. */
const asked: { method: string; path: string; body: unknown }[] = []
let order: unknown = null
let shots: { deviceId: string; at: string; ml: number }[] = []
const measure = (parameter: string) => ({ parameter, resolution: 0.01, everySeconds: 1 })
const LIST = {
  standIns: true,
  devices: [
    { id: 'probe-1', type: 'probe', name: 'Stand-in probe', measures: [measure('ph'), measure('temp')] },
    { id: 'photometer-1', type: 'photometer', name: 'Stand-in photometer', measures: [measure('k')] },
    { id: 'pump-1', type: 'pump', name: 'Stand-in pump', measures: [] },
  ],
}
function answer(method: string, path: string, body: unknown): unknown {
  if (path.endsWith('/measure'))
    return { deviceId: 'photometer-1', parameter: 'k', at: new Date().toISOString(), value: 361 }
  if (path.includes('/plan')) {
    if (method === 'PUT') order = body
    if (method === 'DELETE') order = null
    if (lies !== null && method === 'GET') return lies
    return { order, leftMl: 400, shots }
  }
  if (path.includes('/samples')) return { samples: [] }
  return { ...LIST, now: new Date(Date.now() + clockOffMs).toISOString() }
}

/** A stream of events that a test sends. */
class TestStream {
  static last: TestStream
  private listeners = new Map<string, (event: { data: string }) => void>()
  constructor() {
    TestStream.last = this
  }
  addEventListener(kind: string, listener: (event: { data: string }) => void) {
    this.listeners.set(kind, listener)
  }
  send(kind: string, data: unknown) {
    this.listeners.get(kind)?.({ data: JSON.stringify(data) })
  }
  close() {
    this.listeners.clear()
  }
}

let isThere = true
/** Requests that die on their way. */
let dies: (method: string, path: string) => boolean = () => false
/** What a pump answers in place of its report. */
let lies: unknown = null
let clockOffMs = 0
beforeEach(() => {
  asked.length = 0
  order = null
  shots = []
  isThere = true
  dies = () => false
  lies = null
  LIST.standIns = true
  clockOffMs = 0
  Object.assign(globalThis, {
    EventSource: TestStream,
    fetch: (path: string, { method = 'GET', body }: { method?: string; body?: string } = {}) => {
      const said = body === undefined ? undefined : (JSON.parse(body) as unknown)
      asked.push({ method, path, body: said })
      return isThere && !dies(method, path)
        ? Promise.resolve({
            ok: true,
            headers: new Headers({ 'content-type': 'application/json' }),
            json: () => Promise.resolve(answer(method, path, said)),
          })
        : Promise.reject(new TypeError('refused'))
    },
  })
  AbortSignal.timeout ??= () => new AbortController().signal
})

const open = (path: string, ...contents: Content[]) =>
  openScreens(
    { '/water/:part?': <Water />, '/bar': <DeviceBar /> },
    ['device', 'pump-plan', 'dose', 'reading'],
    sampleOf(TANK, STOCK, ...contents),
    path,
  )

test('without a device server it says so, and Brinvo goes on', async () => {
  isThere = false
  await open('/water/devices')
  expect(await screen.findByText(/No device server answers.*Brinvo works without devices/)).toBeInTheDocument()
})

test('a device is attached to a tank and taken off again', async () => {
  const { user, lines } = await open('/water/devices?tank=hall')
  expect(await screen.findByText(/stand-ins at a made-up tank/)).toBeInTheDocument()
  await user.click(screen.getAllByRole('button', { name: 'Attach to Hall reef' })[0]!)
  await waitFor(() =>
    expect(lines('device').at(-1)).toMatchObject({
      type: 'probe',
      channel: 'probe-1',
      tankId: 'hall',
      keeps: ['ph', 'temp'],
      standIn: true,
    }),
  )
  const mine = await screen.findByRole('region', { name: 'Stand-in probe' })
  await user.click(within(mine).getByRole('button', { name: 'take it off' }))
  await waitFor(() => expect(lines('device').at(-1)).toMatchObject({ retired: true }))
})

test('a probe’s value stands large as it comes; one that stands still is struck through and said', async () => {
  await open('/water/devices', device('probe', { keeps: [] }))
  const channel = await screen.findByRole('listitem', { name: 'pH' })
  await waitFor(() => expect(TestStream.last).toBeDefined())
  const send = (from: number, count: number, value: (i: number) => number) => {
    act(() => {
      for (let i = from; i < from + count; i++)
        TestStream.last.send('sample', {
          deviceId: 'probe-1',
          parameter: 'ph',
          at: new Date(Date.now() + (i - 15) * 1000).toISOString(),
          value: value(i),
        })
    })
  }
  send(0, 10, (i) => 8.1 + (i % 3) / 100)
  expect(await within(channel).findByText('live')).toBeInTheDocument()
  // What is no sample is passed over.
  act(() => TestStream.last.send('sample', { deviceId: 'probe-1', value: 'high' }))
  send(10, 60, () => 8.12)
  expect(await within(channel).findByText(/stands still since/)).toBeInTheDocument()
})

test('a device whose clock is a minute behind is live all the same', async () => {
  clockOffMs = -60_000
  await open('/water/devices', device('probe', { keeps: [] }))
  const channel = await screen.findByRole('listitem', { name: 'temperature' })
  act(() => {
    for (let i = 0; i < 10; i++)
      TestStream.last.send('sample', {
        deviceId: 'probe-1',
        parameter: 'temp',
        at: new Date(Date.now() - 60_000 + (i - 10) * 1000).toISOString(),
        value: 25 + (i % 3) / 100,
      })
  })
  expect(await within(channel).findByText('live')).toBeInTheDocument()
})

test('a device whose clock is an hour off is said', async () => {
  clockOffMs = 3_600_000
  await open('/water/devices')
  expect(await screen.findByText(/The devices’ clock is .* ahead/)).toBeInTheDocument()
})

test('a photometer’s value is shown before it is kept', async () => {
  const { user, lines } = await open('/water/devices', device('photometer'))
  await user.click(await screen.findByRole('button', { name: 'potassium' }))
  expect(await screen.findByText('361 mg/L')).toBeInTheDocument()
  expect(lines('reading')).toEqual([])
  await user.click(screen.getByRole('button', { name: 'Keep it' }))
  await waitFor(() =>
    expect(lines('reading').at(-1)).toMatchObject({ parameter: 'k', origin: 'photometer', result: { value: 361 } }),
  )
})

/** Presses the button once it can be pressed: what judges the plan comes a moment later, and so does the form after a refusal. */
async function startPump(user: Awaited<ReturnType<typeof open>>['user']) {
  const start = () => screen.getByRole('button', { name: 'Start the pump' })
  await waitFor(() => expect(start()).toBeEnabled())
  await user.click(start())
}

describe('a dosing pump', () => {
  test('takes what “Put right” hands over, is held against the day’s cap, and gets its order', async () => {
    const { user, lines } = await open('/water/devices?salt=potassium-chloride&rise=10&days=5', device('pump'))
    // 10 mg/L of 200 L by 50 mg/mL: 40 mL; five days and 10 mL that cannot be drawn.
    expect(await screen.findByLabelText('A day')).toHaveValue('40')
    expect(screen.getByLabelText('The bottle holds')).toHaveValue('210')
    expect(screen.getByText(/potassium: 10 mg\/L a day; at most 20 mg\/L up a day/)).toBeInTheDocument()
    await user.clear(screen.getByLabelText('A day'))
    await user.type(screen.getByLabelText('A day'), '100')
    expect(screen.getByText(/over the day’s cap: potassium/)).toBeInTheDocument()
    expect(screen.getByRole('button', { name: 'Start the pump' })).toBeDisabled()
    await user.clear(screen.getByLabelText('A day'))
    await user.type(screen.getByLabelText('A day'), '40')
    await startPump(user)
    await waitFor(() =>
      expect(lines('pump-plan').at(-1)).toMatchObject({ productId: 'stock', days: 5, bottleMl: 210, residueMl: 10 }),
    )
    const told = asked.find(({ method }) => method === 'PUT')!.body as {
      mlByHour: number[]
      raises: { parameter: string; perMl: number }[]
    }
    expect(told.mlByHour.filter((ml) => ml > 0)).toHaveLength(6)
    expect(told.raises).toEqual([{ parameter: 'k', perMl: 0.25 }])
    expect(await screen.findByText(/of potash stock, since/)).toBeInTheDocument()
  })

  /** A plan that began four days ago, and the shots that came. */
  const since = fromNow(-4 * DAY)
  const plan: Content = {
    kind: 'pump-plan',
    happened: since,
    deviceId: 'my-pump',
    tankId: 'hall',
    productId: 'stock',
    mlByHour: shotsByHour(24, 24),
    bottleMl: 400,
    residueMl: 0,
  }
  const hourly = (until: number, gap: (hour: number) => boolean = () => false) => {
    const first = Math.ceil(Date.parse(since) / 3_600_000)
    return Array.from({ length: 97 }, (_, i) => first + i)
      .filter((hour, i) => hour * 3_600_000 <= until && !gap(i))
      .map((hour) => ({ deviceId: 'pump-1', at: new Date(hour * 3_600_000).toISOString(), ml: 1 }))
  }
  const asGiven = () => ({
    startsAt: since,
    timeZone: 'UTC',
    mlByHour: shotsByHour(24, 24),
    days: null,
    bottleMl: 400,
    residueMl: 0,
    raises: [],
  })

  test('what it gave is written down day by day, and not twice', async () => {
    order = asGiven()
    shots = hourly(Date.now())
    const { lines } = await open('/bar', device('pump'), plan)
    // Three whole days lie between the first and today; the first has no shot of its own where it began in its last hour.
    const whole = () => lines('dose').filter(({ amount }) => amount === 24)
    await waitFor(() => expect(whole().length).toBeGreaterThanOrEqual(3))
    const doses = lines('dose')
    expect(doses.every(({ deviceId, productId }) => deviceId === 'my-pump' && productId === 'stock')).toBe(true)
    expect(doses.length - whole().length).toBeLessThanOrEqual(1)
    expect(screen.queryByRole('alert')).toBeNull()
  })
  test('shots that did not come stand at the top of every screen', async () => {
    order = asGiven()
    shots = hourly(Date.now(), (i) => i > 90)
    await open('/bar', device('pump'), plan)
    expect(
      await screen.findByText(/my pump missed \d+ shots?, the last .* Do not make up for them at once/),
    ).toBeInTheDocument()
  })
  test('a pump that forgot its plan is given it again; stopping writes down what it gave', async () => {
    shots = hourly(Date.now())
    const { user, lines } = await open('/water/devices', device('pump'), plan)
    await user.click(await screen.findByRole('button', { name: 'Give it the plan again' }))
    await waitFor(() => expect(order).toMatchObject({ startsAt: since }))
    await user.click(await screen.findByRole('button', { name: 'Stop my pump' }))
    await waitFor(() => expect(lines('pump-plan').at(-1)).toMatchObject({ stopped: true }))
    expect(lines('dose').reduce((sum, { amount }) => sum + amount, 0)).toBe(shots.length)
    expect(order).toBeNull()
  })

  test('the plan stands in the journal before the order goes out, and is struck where the pump did not take it', async () => {
    dies = (method) => method === 'PUT'
    const { user, lines } = await open('/water/devices?salt=potassium-chloride&rise=10&days=5', device('pump'))
    await screen.findByLabelText('A day')
    await startPump(user)
    expect(await screen.findByText(/No device server answers/)).toBeInTheDocument()
    await waitFor(() => expect(lines('pump-plan')).toHaveLength(0))
    expect(asked.filter(({ method }) => method === 'PUT')).toHaveLength(1)
    dies = () => false
    await startPump(user)
    await waitFor(() => expect(order).not.toBeNull())
    await waitFor(() => expect(lines('pump-plan')).toHaveLength(1))
    await waitFor(() => expect(lines('pump-plan').at(-1)).not.toHaveProperty('beingSent'))
  })

  test('a page that was closed between the two: what the pump took is written so, what it did not is offered again', async () => {
    order = asGiven()
    const first = await open('/bar', device('pump'), { ...plan, beingSent: true })
    await waitFor(() => expect(first.lines('pump-plan').at(-1)).not.toHaveProperty('beingSent'))
    first.unmount()
    order = null
    const second = await open('/water/devices', device('pump'), { ...plan, beingSent: true })
    expect(
      await screen.findByText(/was being sent when the page was closed, and the pump does not have it/),
    ).toBeVisible()
    await second.user.click(screen.getByRole('button', { name: 'Give it the plan again' }))
    await waitFor(() => expect(second.lines('pump-plan').at(-1)).not.toHaveProperty('beingSent'))
    expect(order).toMatchObject({ startsAt: since })
  })

  test.each(['/water/devices', '/bar'])('whatever it answers, it can be stopped on %s', async (path) => {
    order = asGiven()
    lies = { order: 'yes', leftMl: -1, shots: 'many' }
    const { user, lines } = await open(path, device('pump'), plan)
    expect(await screen.findByText(/answer was not understood/)).toBeInTheDocument()
    await user.click(screen.getByRole('button', { name: 'Stop my pump' }))
    await waitFor(() => expect(lines('pump-plan').at(-1)).toMatchObject({ stopped: true }))
    expect(order).toBeNull()
  })

  test('one that cannot be reached to be stopped: pull its plug', async () => {
    order = asGiven()
    shots = hourly(Date.now())
    dies = (method) => method === 'DELETE'
    const { user, lines } = await open('/water/devices', device('pump'), plan)
    await user.click(await screen.findByRole('button', { name: 'Stop my pump' }))
    expect(await screen.findByText(/It was not stopped: .* Pull its plug/)).toBeInTheDocument()
    expect(lines('pump-plan').at(-1)).not.toHaveProperty('stopped')
  })

  test('an order that runs and that this journal does not hold is shown before another takes its place', async () => {
    order = asGiven()
    const { user } = await open('/water/devices?salt=potassium-chloride&rise=10&days=5', device('pump'))
    expect(await screen.findByText(/runs by an order already: 24 mL a day/)).toBeInTheDocument()
    expect(screen.getByRole('button', { name: 'Start the pump' })).toBeDisabled()
    await user.click(screen.getByText('put this plan in its place'))
    await waitFor(() => expect(screen.getByRole('button', { name: 'Start the pump' })).toBeEnabled())
  })

  test('taken off while it runs, it is stopped first', async () => {
    order = asGiven()
    const { user, lines } = await open('/water/devices', device('pump'), plan)
    const mine = await screen.findByRole('region', { name: 'my pump' })
    await user.click(await within(mine).findByRole('button', { name: 'take it off' }))
    expect(within(mine).getByText(/is running. Taken off, it would go on giving/)).toBeVisible()
    expect(order).not.toBeNull()
    await user.click(within(mine).getByRole('button', { name: 'Stop it and take it off' }))
    await waitFor(() => expect(lines('device').at(-1)).toMatchObject({ retired: true }))
    expect(order).toBeNull()
  })

  test('the sample household commands no real device', async () => {
    LIST.standIns = false
    order = asGiven()
    const { user } = await open('/water/devices', device('pump'), plan)
    expect(await screen.findByText(/commands none of them/)).toBeInTheDocument()
    await user.click(await screen.findByRole('button', { name: 'Stop my pump' }))
    expect(await screen.findByText(/sample household: it commands no real device/)).toBeInTheDocument()
    expect(asked.every(({ method }) => method === 'GET')).toBe(true)
  })
})

describe('on every screen', () => {
  test('a server that is away, and a device that is not there', async () => {
    isThere = false
    const { unmount } = await open('/bar', device('probe', { keeps: ['ph'] }))
    expect(
      await screen.findByText(/The device server does not answer: nothing that my probe sends is written down/),
    ).toBeInTheDocument()
    unmount()
    isThere = true
    await open('/bar', device('camera', { name: 'eye' }))
    expect(await screen.findByText(/eye is not there/)).toBeInTheDocument()
  })

  test('a clock that is off', async () => {
    clockOffMs = 3_600_000
    await open('/bar', device('probe', { keeps: [] }))
    expect(
      await screen.findByText(/The devices’ clock is .* ahead: what they send is dated wrongly/),
    ).toBeInTheDocument()
  })

  test('a page that slept asks the probe for what it missed', async () => {
    const reading: Content = {
      kind: 'reading',
      happened: fromNow(-300),
      tankId: 'hall',
      parameter: 'ph',
      result: { kind: 'value', value: 8.1 },
      unit: 'pH',
      origin: 'probe',
      deviceId: 'my-probe',
    }
    await open('/bar', device('probe', { keeps: ['ph'] }), reading)
    const catchUps = () => asked.filter(({ path }) => path.includes('/samples')).length
    await waitFor(() => expect(catchUps()).toBe(1))
    act(() => {
      window.dispatchEvent(new Event('online'))
    })
    await waitFor(() => expect(catchUps()).toBe(2))
    act(() => {
      TestStream.last.send('error', {})
      TestStream.last.send('open', {})
    })
    await waitFor(() => expect(catchUps()).toBe(3))
  })
})
