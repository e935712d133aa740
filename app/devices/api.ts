import {
  readMessage,
  type DeviceList,
  type PumpOrder,
  type PumpReport,
  type Sample,
  type SimulatorSetting,
} from '../../core/devices/messages.ts'
import type { Result } from '../../core/result/result.ts'
import type { Which } from '../journal/which.ts'

/** The device server did not do what it was asked, in words. */
export class DeviceError extends Error {}

/** The server is open to the network, and wants its pairing word for orders. */
export class NotPaired extends DeviceError {
  constructor() {
    super('The device server wants its pairing word: it shows it where it was started.')
  }
}
const NOT_PAIRED = 401
let isUnpaired = false

/** Whether the server's last answer asked for its pairing word. */
export const wantsPairing = (): boolean => isUnpaired

const PAIRING = 'brinvo-pairing'

/** The word that was typed on this device; empty where none was. */
function pairingWord(): string {
  try {
    return localStorage.getItem(PAIRING) ?? ''
  } catch {
    return ''
  }
}

/** Keeps the pairing word on this device. */
export function keepPairingWord(word: string): void {
  try {
    localStorage.setItem(PAIRING, word.trim())
  } catch {
    // Then it is asked for again.
  }
}

const WAIT_MS = 15_000

async function ask(method: string, path: string, body?: unknown): Promise<unknown> {
  let response: Response
  try {
    response = await fetch(`/api${path}`, {
      method,
      signal: AbortSignal.timeout(WAIT_MS),
      headers: {
        ...(body !== undefined && { 'content-type': 'application/json' }),
        ...(method !== 'GET' && { 'x-brinvo-pairing': pairingWord() }),
      },
      ...(body !== undefined && { body: JSON.stringify(body) }),
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
  isUnpaired = response.status === NOT_PAIRED
  if (isUnpaired) throw new NotPaired()
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

/** Pages of shots that are asked for at once: far more than a pump of a year has. */
const MOST_PAGES = 40

/**
 * What a pump was ordered, and its shots.
 * @param known what was answered before: only later shots are asked for, where the order is still the same
 * @throws DeviceError
 */
export async function pumpReport(channel: string, known: PumpReport | null = null): Promise<PumpReport> {
  const page = async (since: string | null) =>
    checked(
      readMessage(
        'pumpReport',
        await ask('GET', `${at(channel)}/plan${since === null ? '' : `?since=${encodeURIComponent(since)}`}`),
      ),
    )
  const shots = [...(known?.shots ?? [])]
  let report = await page(shots.at(-1)?.at ?? null)
  const isSame = report.order !== null && report.order.startsAt === known?.order?.startsAt
  if (!isSame && shots.length > 0) {
    shots.length = 0
    report = await page(null)
  }
  shots.push(...report.shots)
  for (let pages = 1; report.more && shots.length > 0 && pages < MOST_PAGES; pages++) {
    report = await page(shots.at(-1)!.at)
    shots.push(...report.shots)
  }
  return { order: report.order, leftMl: report.leftMl, shots }
}

/**
 * Gives a pump an order, or stops it.
 * @param which the household that orders: the sample commands stand-ins alone
 * @throws DeviceError
 */
export async function orderPump(which: Which, channel: string, order: PumpOrder | null): Promise<PumpReport> {
  if (which === 'sample' && !(await fetchDevices()).standIns)
    throw new DeviceError('This is the sample household: it commands no real device. Open your own household.')
  return checked(
    readMessage(
      'pumpReport',
      order === null ? await ask('DELETE', `${at(channel)}/plan`) : await ask('PUT', `${at(channel)}/plan`, order),
    ),
  )
}

/** Plays a fault on a stand-in, or ends it. @throws DeviceError */
export const setSimulator = async (setting: SimulatorSetting): Promise<DeviceList> =>
  checked(readMessage('deviceList', await ask('PUT', '/simulator', setting)))

/** Where a camera's picture is now. */
export const pictureAddress = (channel: string, now: number): string => `/api${at(channel)}/picture?at=${now}`

/** The stream of samples and shots. */
export const STREAM = '/api/devices/stream'
