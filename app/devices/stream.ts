import { readMessage, type DeviceList, type Sample } from '../../core/devices/messages.ts'
import { ProbeWatch, type ProbeState } from '../../core/devices/probe-watch.ts'
import { MS_PER_MINUTE } from '../../core/time/zone.ts'
import { STREAM } from './api.ts'

/** A probe's channel as it stands. */
export interface ChannelNow {
  watch: ProbeWatch
  last: { at: number; value: number } | null
  state: ProbeState
  stuckSince: number | null
}

const keyOf = (deviceId: string, parameter: string) => `${deviceId} ${parameter}`
/** Clocks that differ by less are set against each other; by more, what comes is not dated at all: the Devices page says so. */
export const CLOCK_OFF_MS = 5 * MS_PER_MINUTE
/** How often the page is told that something came. */
const TELL_MS = 500

/**
 * The device server's stream, one for the page however many parts look at it: open while somebody listens, and opened again by the browser when it breaks.
 */
class DeviceStream {
  private source: EventSource | null = null
  private readonly listeners = new Set<() => void>()
  private readonly watches = new Map<string, ProbeWatch>()
  private telling: ReturnType<typeof setTimeout> | null = null
  private count = 0
  private clockOffMs = 0

  /** Says what each channel sends how often, and how far the devices' clock is off: its watch begins. */
  expect({ devices, now }: DeviceList): void {
    const off = Math.round((Date.parse(now) - Date.now()) / 1000) * 1000
    this.clockOffMs = Math.abs(off) <= CLOCK_OFF_MS ? off : 0
    for (const { id, type, measures } of devices)
      for (const { parameter, everySeconds } of type === 'probe' ? measures : []) {
        const key = keyOf(id, parameter)
        if (!this.watches.has(key)) this.watches.set(key, new ProbeWatch({ parameter, everySeconds }))
      }
  }

  /** What a device remembered, before the stream goes on. */
  remember(samples: readonly Sample[]): void {
    for (const sample of samples) this.take(sample)
  }

  channel(deviceId: string, parameter: string, now: number): ChannelNow | null {
    const watch = this.watches.get(keyOf(deviceId, parameter))
    return watch ? { watch, last: watch.last, state: watch.stateAt(now), stuckSince: watch.stuckSince } : null
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener)
    this.open()
    return () => {
      this.listeners.delete(listener)
      if (this.listeners.size > 0) return
      this.source?.close()
      this.source = null
    }
  }

  /** Changes with what came. */
  readonly version = (): number => this.count

  private open(): void {
    if (this.source || typeof EventSource === 'undefined') return
    this.source = new EventSource(STREAM)
    this.source.addEventListener('sample', (event: MessageEvent<string>) => {
      const sample = readMessage('sample', JSON.parse(event.data) as unknown)
      if (sample.ok) this.take(sample.value)
    })
  }

  private take({ deviceId, parameter, at, value }: Sample): void {
    this.watches.get(keyOf(deviceId, parameter))?.push(Date.parse(at) - this.clockOffMs, value)
    if (this.telling !== null) return
    this.telling = setTimeout(() => {
      this.telling = null
      this.count++
      for (const listener of this.listeners) listener()
    }, TELL_MS)
  }
}

export const deviceStream = new DeviceStream()
