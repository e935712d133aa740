import type {
  DeviceList,
  DeviceOffered,
  Measure,
  PumpOrder,
  PumpReport,
  Sample,
  Shot,
  SimulatorSetting,
} from '../core/devices/messages.ts'
import { probeSample, type PlayedFault } from '../core/devices/stand-in/probe.ts'
import { broughtBy, shotsGiven } from '../core/devices/stand-in/pump.ts'
import { MS_PER_HOUR } from '../core/time/zone.ts'

const measure = (parameter: string, resolution: number, everySeconds: number): Measure => ({
  parameter,
  resolution,
  everySeconds,
})

/** What a stand-in probe sends, s, until the simulator is told otherwise. */
const EVERY_SECONDS = 5

const devices = (everySeconds: number): DeviceOffered[] => [
  {
    id: 'probe-1',
    type: 'probe',
    name: 'Stand-in probe',
    measures: [
      measure('temp', 0.01, everySeconds),
      measure('ph', 0.01, everySeconds),
      measure('salinity', 0.01, everySeconds),
    ],
  },
  {
    id: 'photometer-1',
    type: 'photometer',
    name: 'Stand-in photometer',
    measures: [
      measure('k', 1, 2),
      measure('alk-kh', 0.1, 2),
      measure('ca', 1, 2),
      measure('no3', 0.1, 2),
      measure('po4', 0.01, 2),
    ],
  },
  { id: 'pump-1', type: 'pump', name: 'Stand-in dosing pump', measures: [] },
  { id: 'camera-1', type: 'camera', name: 'Stand-in camera', measures: [] },
]

const NO_FAULT: PlayedFault = { fault: 'none', since: 0 }
/** How far back a device remembers: what a page that was closed can fetch. */
const MEMORY_MS = 48 * MS_PER_HOUR
const MEMORY_EVERY_SECONDS = 60

/** Shots in one answer; a pump of a year is asked page by page. */
const PAGE_SHOTS = 1000

/** The shots of a pump, with their times in ms and the mL given up to each. */
interface Given {
  order: PumpOrder
  fault: PlayedFault
  /** ms: up to when they are reckoned. */
  until: number
  shots: readonly Shot[]
  times: readonly number[]
  sumsMl: readonly number[]
}

/** How many of some times, in order, are not after an instant. */
function after(times: readonly number[], instant: number): number {
  let [low, high] = [0, times.length]
  while (low < high) {
    const middle = (low + high) >> 1
    if (times[middle]! <= instant) low = middle + 1
    else high = middle
  }
  return low
}

/**
 * The simulated devices of one server: a probe, a photometer, a dosing pump and a camera at one made-up tank. All they show follows from the time, the
 * pump's order and the faults that are played, so nothing runs while nobody asks.
 */
export class StandIns {
  private offsetMs = 0
  private everySeconds = EVERY_SECONDS
  private faults = new Map<string, PlayedFault>()
  private orders = new Map<string, PumpOrder>()
  private gave = new Map<string, Given>()

  /** The stand-ins' clock, ms. */
  now(): number {
    return Date.now() + this.offsetMs
  }

  list(): DeviceList {
    return { now: new Date(this.now()).toISOString(), standIns: true, devices: devices(this.everySeconds) }
  }

  device(id: string): DeviceOffered | undefined {
    return devices(this.everySeconds).find((one) => one.id === id)
  }

  /** Sets the clock, the pace or a fault. */
  set({ now, everySeconds, fault }: SimulatorSetting): void {
    if (now !== undefined) this.offsetMs = Date.parse(now) - Date.now()
    if (everySeconds !== undefined) this.everySeconds = everySeconds
    if (fault) this.faults.set(`${fault.deviceId} ${fault.parameter ?? ''}`, { fault: fault.fault, since: this.now() })
  }

  /** The value of a probe or photometer at an instant; null where it gives none. @param at ms */
  sample(device: DeviceOffered, of: Measure, at: number): Sample | null {
    // A photometer's water is its own each time: a value a second.
    const pace = device.type === 'probe' ? of : { ...of, everySeconds: 1 }
    return probeSample(device.id, pace, at, this.brought(at), this.faultOf(device.id, of.parameter))
  }

  /** What a device remembers since an instant, a value a minute. @param since ms */
  memory(device: DeviceOffered, since: number): Sample[] {
    const now = this.now()
    const step = MEMORY_EVERY_SECONDS * 1000
    const samples: Sample[] = []
    for (let at = Math.ceil(Math.max(since, now - MEMORY_MS) / step) * step; at <= now; at += step)
      for (const of of device.measures) {
        const sample = this.sample(device, of, at)
        if (sample) samples.push(sample)
      }
    return samples
  }

  /** Gives a pump an order, or takes it back. */
  order(id: string, order: PumpOrder | null): void {
    if (order) this.orders.set(id, order)
    else this.orders.delete(id)
  }

  /** How a pump stands, with at most a page of its shots. @param since ms, of the shots */
  report(id: string, since: number): PumpReport {
    const order = this.orders.get(id) ?? null
    if (!order) return { order, leftMl: 0, shots: [] }
    const { times, shots, sumsMl } = this.given(id, order)
    const now = this.now()
    const [first, end] = [after(times, since), after(times, now)]
    const page = shots.slice(first, Math.min(end, first + PAGE_SHOTS))
    return {
      order,
      leftMl: Math.max(0, order.bottleMl - (end > 0 ? sumsMl[end - 1]! : 0)),
      shots: page,
      ...(first + page.length < end && { more: true }),
    }
  }

  /** Shots of all pumps between two instants. @param from ms @param until ms */
  shotsBetween(from: number, until: number): Shot[] {
    return [...this.orders].flatMap(([id, order]) => {
      const { times, shots } = this.given(id, order)
      return shots.slice(after(times, from), after(times, until))
    })
  }

  /** What a pump gave up to now, and somewhat further: reckoned once an hour, not at every question. */
  private given(id: string, order: PumpOrder): Given {
    const fault = this.faultOf(id, null)
    const known = this.gave.get(id)
    const now = this.now()
    if (known?.order === order && known.fault === fault && now <= known.until) return known
    const until = now + MS_PER_HOUR
    const shots = shotsGiven(id, order, until, fault)
    let sum = 0
    const given = {
      order,
      fault,
      until,
      shots,
      times: shots.map(({ at }) => Date.parse(at)),
      sumsMl: shots.map(({ ml }) => (sum += ml)),
    }
    this.gave.set(id, given)
    return given
  }

  private brought(at: number) {
    return [...this.orders].flatMap(([id, order]) => {
      const { times, sumsMl } = this.given(id, order)
      const count = after(times, at)
      return broughtBy(order, count > 0 ? sumsMl[count - 1]! : 0)
    })
  }

  private faultOf(id: string, parameter: string | null): PlayedFault {
    return this.faults.get(`${id} ${parameter ?? ''}`) ?? NO_FAULT
  }
}
