import { createServer, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { tmpdir } from 'node:os'
import { readMessage, type PumpOrder } from '../core/devices/messages.ts'
import { shotsByHour } from '../core/devices/pump-shots.ts'
import { createApp } from './app.ts'

let server: Server
let api: string

beforeAll(async () => {
  server = createServer(createApp(tmpdir()))
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
  api = `http://127.0.0.1:${(server.address() as AddressInfo).port}/api`
})
afterAll(() => {
  server.closeAllConnections()
  server.close()
})

const ask = async (method: string, path: string, body?: unknown, headers: Record<string, string> = {}) => {
  const response = await fetch(api + path, {
    method,
    headers: { 'content-type': 'application/json', ...headers },
    ...(body !== undefined && { body: JSON.stringify(body) }),
  })
  return { status: response.status, body: (await response.json()) as Record<string, unknown> }
}
const order = (startsAt: string): PumpOrder => ({
  startsAt,
  timeZone: 'UTC',
  mlByHour: shotsByHour(24, 24),
  days: null,
  bottleMl: 200,
  residueMl: 5,
  raises: [{ parameter: 'k', perMl: 0.5 }],
})
const hours = (count: number) => new Date(Date.now() + count * 3_600_000).toISOString()

test('the devices that there are, by the documented message', async () => {
  const { status, body } = await ask('GET', '/devices')
  expect(status).toBe(200)
  const list = readMessage('deviceList', body)
  expect(list.ok && list.value.devices.map(({ type }) => type)).toEqual(['probe', 'photometer', 'pump', 'camera'])
})

test('a stream of samples, not held back by compression', async () => {
  const response = await fetch(`${api}/devices/stream`, { headers: { 'accept-encoding': 'gzip' } })
  expect(response.headers.get('content-type')).toBe('text/event-stream')
  const reader = response.body!.getReader()
  let text = ''
  while (!text.includes('event: sample')) text += new TextDecoder().decode((await reader.read()).value)
  await reader.cancel()
  const sample = readMessage('sample', JSON.parse(/event: sample\ndata: (.*)\n/.exec(text)![1]!))
  expect(sample.ok).toBe(true)
})

test('a photometer answers after its time, and says what it can measure', async () => {
  await ask('PUT', '/simulator', { everySeconds: 1 })
  const started = Date.now()
  const { body } = await ask('POST', '/devices/photometer-1/measure', { parameter: 'k' })
  expect(Date.now() - started).toBeGreaterThan(1500)
  expect(body['value'] as number).toBeGreaterThan(320)
  expect(await ask('POST', '/devices/photometer-1/measure', { parameter: 'moon' })).toMatchObject({
    status: 400,
    body: { error: expect.stringContaining('it measures k') as string },
  })
})

test('a pump takes an order, gives its shots as the clock goes on, and raises the water', async () => {
  expect((await ask('PUT', '/devices/pump-1/plan', order(hours(0)))).status).toBe(200)
  await ask('PUT', '/simulator', { now: hours(30) })
  const { body } = await ask('GET', '/devices/pump-1/plan')
  const report = readMessage('pumpReport', body)
  if (!report.ok) throw new Error(report.error.message)
  expect(report.value.shots).toHaveLength(30)
  expect(report.value.leftMl).toBeCloseTo(170, 9)
  const since = await ask('GET', `/devices/pump-1/plan?since=${hours(27)}`)
  expect((since.body['shots'] as unknown[]).length).toBe(3)
  await ask('PUT', '/simulator', { now: hours(60), fault: { deviceId: 'pump-1', parameter: null, fault: 'none' } })
  const risen = await ask('POST', '/devices/photometer-1/measure', { parameter: 'k' })
  expect(risen.body['value'] as number).toBeGreaterThan(365)
  expect((await ask('DELETE', '/devices/pump-1/plan')).body['order']).toBeNull()
})

test('a probe remembers two days, a value a minute', async () => {
  const { body } = await ask(
    'GET',
    `/devices/probe-1/samples?since=${new Date(Date.now() + 59.5 * 3_600_000).toISOString()}`,
  )
  const list = readMessage('sampleList', body)
  expect(list.ok && list.value.samples.length).toBeGreaterThan(80)
})

test('the camera’s picture is a PNG', async () => {
  const response = await fetch(`${api}/devices/camera-1/picture`)
  expect(response.headers.get('content-type')).toBe('image/png')
  expect(
    Buffer.from(await response.arrayBuffer())
      .subarray(1, 4)
      .toString(),
  ).toBe('PNG')
})

test('what is wrong is said: a bad order, a device that is none, a page from elsewhere', async () => {
  expect(await ask('PUT', '/devices/pump-1/plan', { ...order(hours(0)), mlByHour: [1] })).toMatchObject({ status: 400 })
  expect(await ask('PUT', '/devices/pump-1/plan', { ...order(hours(0)), timeZone: 'Moon/Base' })).toMatchObject({
    status: 400,
    body: { error: expect.stringContaining('no time zone') as string },
  })
  expect((await ask('GET', '/devices/pump-9/plan')).status).toBe(404)
  expect((await ask('PUT', '/simulator', { fault: { deviceId: 'p', parameter: null, fault: 'fire' } })).status).toBe(
    400,
  )
  expect((await ask('GET', '/devices', undefined, { origin: 'http://evil.example' })).status).toBe(403)
})

test('orders that would run for ever are refused, with what would be right', async () => {
  const refused = async (more: object, words: RegExp) =>
    expect(await ask('PUT', '/devices/pump-1/plan', { ...order(hours(0)), ...more })).toMatchObject({
      status: 400,
      body: { error: expect.stringMatching(words) as string },
    })
  await refused({ startsAt: '1000-01-01T00:00:00Z' }, /startsAt: expected a time within a year/)
  await refused({ days: 4000 }, /days: expected at most 366/)
  await refused({ mlByHour: Array.from({ length: 24 }, () => 1e9) }, /mlByHour\/0: expected at most 5000 mL/)
})

test('a year of shots comes page by page; none is missing and none comes twice', async () => {
  const now = Date.parse(String((await ask('GET', '/devices')).body['now']))
  const startsAt = new Date(now - 360 * 86_400_000).toISOString()
  expect((await ask('PUT', '/devices/pump-1/plan', { ...order(startsAt), bottleMl: 1e5 })).status).toBe(200)
  const shots: { at: string; ml: number }[] = []
  let pages = 0
  for (let since = startsAt; ; since = shots.at(-1)!.at) {
    const { body } = await ask('GET', `/devices/pump-1/plan?since=${since}`)
    const report = readMessage('pumpReport', body)
    if (!report.ok) throw new Error(report.error.message)
    pages++
    shots.push(...report.value.shots)
    if (!report.value.more) break
  }
  expect(pages).toBeGreaterThan(5)
  expect(new Set(shots.map(({ at }) => at)).size).toBe(shots.length)
  expect(shots).toHaveLength(360 * 24)
  await ask('DELETE', '/devices/pump-1/plan')
})

test('whatever is wrong with a request, the answer is { error }', async () => {
  const raw = async (path: string, init: RequestInit) => {
    const response = await fetch(api + path, init)
    return { status: response.status, body: (await response.json()) as { error?: unknown } }
  }
  const json = { 'content-type': 'application/json' }
  for (const [path, init, status] of [
    ['/nothing', {}, 404],
    ['/devices/pump-1/plan', { method: 'PUT', headers: json, body: '{"startsAt":' }, 400],
    ['/devices/pump-1/plan', { method: 'PUT', headers: json, body: JSON.stringify('x'.repeat(70_000)) }, 413],
    [
      '/devices/pump-1/plan',
      { method: 'PUT', headers: { 'content-type': 'application/json; charset=moon' }, body: '{}' },
      415,
    ],
    ['/devices/%E0%A4%A/plan', {}, 400],
    ['/devices/pump-1/plan', { method: 'PATCH' }, 404],
  ] as const)
    expect(await raw(path, init)).toMatchObject({ status, body: { error: expect.any(String) as string } })
})

test('open to the network, every order brings the pairing word', async () => {
  const open = createServer(createApp(tmpdir(), '127.0.0.1', { pairingWord: 'kelpforest' }))
  await new Promise<void>((resolve) => open.listen(0, '127.0.0.1', resolve))
  const at = `http://127.0.0.1:${(open.address() as AddressInfo).port}/api/devices`
  const stop = (word?: string) =>
    fetch(`${at}/pump-1/plan`, {
      method: 'DELETE',
      ...(word !== undefined && { headers: { 'x-brinvo-pairing': word } }),
    })
  expect((await fetch(at)).status).toBe(200)
  expect((await stop()).status).toBe(401)
  expect((await stop('kelpforesT')).status).toBe(401)
  expect((await stop('kelpforest')).status).toBe(200)
  open.closeAllConnections()
  open.close()
})
