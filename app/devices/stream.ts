import { CLOCK_OFF_MS } from '../../core/devices/alarms.ts'
import { readMessage, type DeviceList, type Sample } from '../../core/devices/messages.ts'
import { ProbeWatch, type ProbeState } from '../../core/devices/probe-watch.ts'
import { STREAM } from './api.ts'

/** A probe's channel as it stands. */
export interface ChannelNow {
  watch: ProbeWatch
  last: { at: number; value: number } | null
  state: ProbeState
  stuckSince: number | null
}

/** What a device sent; undefined where it is no JSON. */
function parsed(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    return undefined
  }
}

const keyOf = (deviceId: string, parameter: string) => `${deviceId} ${parameter}`
/** How often the page is told that something came. */
const TELL_MS = 500

/** The tab that holds this lock has the stream open; the others hear of it what came. */
const LEADER = 'brinvo-device-stream'

/**
 * The device server's stream, one for the browser however many tabs and parts look at it: open while somebody listens, and opened again by the browser when it
 * breaks.
 */
class DeviceStream {
  private source: EventSource | null = null
  private readonly listeners = new Set<() => void>()
  private readonly watches = new Map<string, ProbeWatch>()
  private telling: ReturnType<typeof setTimeout> | null = null
  private count = 0
  private clockOffMs = 0
  private breaks = 0
  private readonly tabs = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel(LEADER)
  private leave: (() => void) | null = null

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
      this.leave?.()
      this.leave = null
    }
  }

  /** Changes with what came. */
  readonly version = (): number => this.count

  /** How often the stream came back after a break. */
  readonly reopened = (): number => this.breaks

  private open(): void {
    if (this.leave || typeof EventSource === 'undefined') return
    const left = new AbortController()
    let letGo = () => {}
    this.leave = () => {
      left.abort()
      letGo()
      this.source?.close()
      this.source = null
      if (this.tabs) this.tabs.onmessage = null
    }
    if (this.tabs)
      this.tabs.onmessage = ({ data }: MessageEvent<unknown>) => {
        const sample = readMessage('sample', data)
        if (sample.ok) this.take(sample.value)
      }
    if (typeof navigator === 'undefined' || !('locks' in navigator)) return this.lead()
    void navigator.locks
      .request(LEADER, { signal: left.signal }, () => {
        this.lead()
        return new Promise<void>((resolve) => (letGo = resolve))
      })
      // Left before it was this tab's turn.
      .catch(() => undefined)
  }

  /** Opens the stream in this tab, and hands what comes to the others. */
  private lead(): void {
    const source = (this.source = new EventSource(STREAM))
    let isBroken = false
    source.addEventListener('error', () => (isBroken = true))
    source.addEventListener('open', () => {
      if (!isBroken) return
      isBroken = false
      this.breaks++
      this.tell()
    })
    source.addEventListener('sample', (event: MessageEvent<string>) => {
      const sample = readMessage('sample', parsed(event.data))
      if (!sample.ok) return
      this.take(sample.value)
      this.tabs?.postMessage(sample.value)
    })
  }

  private take({ deviceId, parameter, at, value }: Sample): void {
    this.watches.get(keyOf(deviceId, parameter))?.push(Date.parse(at) - this.clockOffMs, value)
    this.tell()
  }

  private tell(): void {
    if (this.telling !== null) return
    this.telling = setTimeout(() => {
      this.telling = null
      this.count++
      for (const listener of this.listeners) listener()
    }, TELL_MS)
  }
}

export const deviceStream = new DeviceStream()
