import {
  readMessage,
  type DeviceList,
  type PumpOrder,
  type PumpReport,
  type Sample,
  type SimulatorSetting,
} from '../../core/devices/messages.ts'
import type { Result } from '../../core/result/result.ts'

/** The device server did not do what it was asked, in words. */
export class DeviceError extends Error {}

const WAIT_MS = 15_000

async function ask(method: string, path: string, body?: unknown): Promise<unknown> {
  let response: Response
  try {
    response = await fetch(`/api${path}`, {
      method,
      signal: AbortSignal.timeout(WAIT_MS),
      ...(body !== undefined && { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }),
    })
  } catch {
    throw new DeviceError(
      'No device server answers: devices need Brinvo’s own server, or one that speaks its interface.',
    )
  }
  const isJson = response.headers.get('content-type')?.includes('json') === true
  const answer: unknown = isJson ? await response.json() : null
  if (response.ok && isJson) return answer
  const told = (answer as { error?: unknown } | null)?.error
  throw new DeviceError(
    typeof told === 'string' ? `The device says: ${told}.` : 'No device server answers at this address.',
  )
}

function checked<T>(result: Result<T>): T {
  if (result.ok) return result.value
  throw new DeviceError(`The device’s answer was not understood: ${result.error.path} ${result.error.message}`)
}

const at = (id: string) => `/devices/${encodeURIComponent(id)}`

/** The devices that the server offers. @throws DeviceError */
export const fetchDevices = async (): Promise<DeviceList> =>
  checked(readMessage('deviceList', await ask('GET', '/devices')))

/** One value of a photometer; takes as long as its test. @throws DeviceError */
export const measureNow = async (channel: string, parameter: string): Promise<Sample> =>
  checked(readMessage('sample', await ask('POST', `${at(channel)}/measure`, { parameter })))

/** What a probe remembers since an instant. @param since ms @throws DeviceError */
export const rememberedSamples = async (channel: string, since: number): Promise<Sample[]> =>
  checked(readMessage('sampleList', await ask('GET', `${at(channel)}/samples?since=${new Date(since).toISOString()}`)))
    .samples

/** What a pump was ordered, and every shot since. @throws DeviceError */
export const pumpReport = async (channel: string): Promise<PumpReport> =>
  checked(readMessage('pumpReport', await ask('GET', `${at(channel)}/plan`)))

/** Gives a pump an order, or stops it. @throws DeviceError */
export const orderPump = async (channel: string, order: PumpOrder | null): Promise<PumpReport> =>
  checked(
    readMessage(
      'pumpReport',
      order === null ? await ask('DELETE', `${at(channel)}/plan`) : await ask('PUT', `${at(channel)}/plan`, order),
    ),
  )

/** Plays a fault on a stand-in, or ends it. @throws DeviceError */
export const setSimulator = async (setting: SimulatorSetting): Promise<DeviceList> =>
  checked(readMessage('deviceList', await ask('PUT', '/simulator', setting)))

/** Where a camera's picture is now. */
export const pictureAddress = (channel: string, now: number): string => `/api${at(channel)}/picture?at=${now}`

/** The stream of samples and shots. */
export const STREAM = '/api/devices/stream'
