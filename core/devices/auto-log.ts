import { typicalUncertainty, type Parameter } from '../catalogue/parameter.ts'
import { noteOf, type AttachedDevice } from '../household/devices.ts'
import type { ContentOf } from '../journal/entry.ts'
import type { Journal } from '../journal/journal.ts'
import { readingsOf } from '../readings/latest.ts'
import { iso, MS_PER_HOUR, MS_PER_MINUTE } from '../time/zone.ts'
import type { Sample } from './messages.ts'
import { ProbeWatch } from './probe-watch.ts'

/** One value an hour is written down (EA): enough for a chart of a year, few enough to be read. */
const EVERY_MS = MS_PER_HOUR
/** Sooner where it has moved by half of a kit's error, and never under ten minutes apart (EA). */
const LEAST_MS = 10 * MS_PER_MINUTE
const MOVED_SHARE = 0.5
/** What is written down is the middle of the last ten minutes (EA). */
const WINDOW_MS = 10 * MS_PER_MINUTE

/** A value of a probe that is to be written down. */
export interface AutoValue {
  at: number
  value: number
}

/**
 * The value of a probe that is due to be written down, of a stream thinned to what says something. Nothing of a probe that is stuck, silent or has just
 * jumped: it waits until the probe is good.
 * @param last what was written down before of this probe; null for the first
 * @param now ms
 * @example
 * dueValue(watch, ph, lastKept, Date.now())
 */
export function dueValue(
  watch: ProbeWatch,
  parameter: Parameter,
  last: AutoValue | null,
  now: number,
): AutoValue | null {
  if (watch.stateAt(now) !== 'good') return null
  const value = watch.trustedMedian(now - WINDOW_MS, now)
  if (value === null) return null
  const since = last === null ? Infinity : now - last.at
  const hasMoved = last !== null && Math.abs(value - last.value) >= MOVED_SHARE * typicalUncertainty(parameter, value)
  return since >= EVERY_MS || (hasMoved && since >= LEAST_MS) ? { at: now, value: Number(value.toPrecision(6)) } : null
}

/** The reading that a value of a probe is kept as. */
export const probeReading = (
  parameter: Parameter,
  device: Pick<AttachedDevice, 'deviceId' | 'tankId' | 'standIn'>,
  { at, value }: AutoValue,
): ContentOf<'reading'> => ({
  kind: 'reading',
  happened: iso(at),
  tankId: device.tankId,
  parameter: parameter.id,
  result: { kind: 'value', value },
  unit: parameter.unit,
  uncertainty: typicalUncertainty(parameter, value),
  origin: 'probe',
  deviceId: device.deviceId,
  ...noteOf(device),
})

/** What was last written down of a device's parameter; null where nothing was. */
export function lastKept(journal: Journal, tankId: string, parameterId: string, deviceId: string): AutoValue | null {
  const last = readingsOf(journal, tankId, parameterId).findLast(({ content }) => content.deviceId === deviceId)
  return last?.content.result.kind === 'value' ? { at: last.at, value: last.content.result.value } : null
}

/** Seconds between two values that a device remembers, docs/devices.md. */
const REMEMBERED_EVERY_SECONDS = 60

/**
 * The values that would have been written down while nobody listened, out of what a device remembers.
 * @param samples of one parameter, in time order
 * @param last what was written down before
 */
export function valuesRemembered(samples: readonly Sample[], parameter: Parameter, last: AutoValue): AutoValue[] {
  const watch = new ProbeWatch({ parameter: parameter.id, everySeconds: REMEMBERED_EVERY_SECONDS })
  const values: AutoValue[] = []
  for (const { at: instant, value } of samples) {
    const at = Date.parse(instant)
    watch.push(at, value)
    const due = at > last.at ? dueValue(watch, parameter, values.at(-1) ?? last, at) : null
    if (due) values.push(due)
  }
  return values
}
