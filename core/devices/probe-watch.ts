import { median } from '../numbers/median.ts'

/** How a probe stands by what it sends. */
export type ProbeState = 'starting' | 'good' | 'stuck' | 'spike' | 'silent'

/** The figures that a watch judges by: what is watched, and how often it sends. */
export interface WatchedChannel {
  parameter: string
  /** Seconds between two values. */
  everySeconds: number
}

interface Seen {
  at: number
  value: number
  isSpike: boolean
}

/** Values in a row that are exactly the same: a live probe’s last figure flickers (EA: by chance under one in a million). */
const STUCK_VALUES = 30
/** Values before anything is said of a probe. */
const FIRST_VALUES = 5
/** Values that a new one is held against. */
const COMPARED = 9
/** Times the usual scatter, as one standard deviation of a normal. */
const SPIKE_SDS = 6
const MAD_TO_SD = 1.4826
/** Five values in a row at a new level are a change of the water, and no spike. */
const SHIFT_VALUES = 5
/** A probe is silent after five values that did not come, and not before half a minute. */
const SILENT_VALUES = 5
const SILENT_LEAST_MS = 30_000
/** A spike is shown until fifteen values after it have come. */
const SPIKE_SAID_VALUES = 15
/** What is kept to judge by: more than an hour of a value every five seconds. */
const MOST_KEPT = 900
/** A tail of equal values this long is left out of what is written down: a probe may just have stopped. */
const FLAT_TAIL = 8

/** The least jump that is taken for a spike, in the parameter's unit (EA): water does not move so in seconds. */
const JUMP: Readonly<Record<string, number>> = {
  temp: 0.5,
  ph: 0.15,
  salinity: 1,
  'alk-kh': 0.5,
  oxygen: 1,
}
/** The same of other parameters, as a share of the value. */
const JUMP_SHARE = 0.08

/**
 * Watches what a probe sends, value by value: stuck, spikes, silence. Spikes are passed over; a stuck or silent probe is not trusted.
 * @example
 * const watch = new ProbeWatch({ parameter: 'ph', everySeconds: 5 })
 * watch.push(at, 8.12)
 * watch.stateAt(Date.now()) // 'starting'
 */
export class ProbeWatch {
  private readonly seen: Seen[] = []
  private equalRun = 0
  private away: Seen[] = []

  constructor(private readonly channel: WatchedChannel) {}

  /** Takes one value in. Values that are not newer than the last are passed over. @param at ms */
  push(at: number, value: number): void {
    const last = this.seen.at(-1)
    if (last && at <= last.at) return
    this.equalRun = last && last.value === value ? this.equalRun + 1 : 1
    const one: Seen = { at, value, isSpike: this.isJump(value) }
    this.seen.push(one)
    if (this.seen.length > MOST_KEPT) this.seen.shift()
    if (!one.isSpike) {
      this.away = []
      return
    }
    this.away.push(one)
    if (this.away.length < SHIFT_VALUES) return
    // The water has really moved: what looked like spikes is the new level.
    const level = median(this.away.map((seen) => seen.value))
    if (this.away.every((seen) => Math.abs(seen.value - level) <= this.leastJump(level)))
      for (const seen of this.away) seen.isSpike = false
    this.away = []
  }

  /** How the probe stands. @param now ms */
  stateAt(now: number): ProbeState {
    const last = this.seen.at(-1)
    if (!last) return 'starting'
    if (now - last.at > Math.max(SILENT_LEAST_MS, SILENT_VALUES * this.channel.everySeconds * 1000)) return 'silent'
    if (this.equalRun >= STUCK_VALUES) return 'stuck'
    if (this.seen.length < FIRST_VALUES) return 'starting'
    return this.seen.slice(-SPIKE_SAID_VALUES).some(({ isSpike }) => isSpike) ? 'spike' : 'good'
  }

  /** The last value that is no spike; null before the first. */
  get last(): { at: number; value: number } | null {
    return this.seen.findLast(({ isSpike }) => !isSpike) ?? null
  }

  /** Since when a stuck probe has shown the same, ms; null while it is not stuck. */
  get stuckSince(): number | null {
    return this.equalRun >= STUCK_VALUES ? this.seen.at(-Math.min(this.equalRun, this.seen.length))!.at : null
  }

  /**
   * The middle of what can be trusted between two instants: no spikes, and no flat tail that may be a probe which has just stopped.
   * @returns null under five values, or where none differs from another
   */
  trustedMedian(from: number, until: number): number | null {
    const tail = this.equalRun >= FLAT_TAIL ? this.equalRun - 1 : 0
    const trusted = this.seen
      .slice(0, this.seen.length - tail)
      .filter(({ at, isSpike }) => !isSpike && at >= from && at <= until)
      .map(({ value }) => value)
    if (trusted.length < FIRST_VALUES || trusted.every((value) => value === trusted[0])) return null
    return median(trusted)
  }

  private leastJump(value: number): number {
    return JUMP[this.channel.parameter] ?? JUMP_SHARE * Math.abs(value)
  }

  private isJump(value: number): boolean {
    const before = this.seen
      .filter(({ isSpike }) => !isSpike)
      .slice(-COMPARED)
      .map((seen) => seen.value)
    if (before.length < FIRST_VALUES) return false
    const middle = median(before)
    const scatter = MAD_TO_SD * median(before.map((one) => Math.abs(one - middle)))
    return Math.abs(value - middle) > Math.max(SPIKE_SDS * scatter, this.leastJump(middle))
  }
}
