import * as checks from '../generated/devices.js'
import { explain } from '../schema/explain.ts'
import { invalid, ok, type Result } from '../result/result.ts'
import type {
  DeviceList,
  MeasureRequest,
  PumpOrder,
  PumpReport,
  Sample,
  SampleList,
  Shot,
  SimulatorSetting,
} from './messages.schema.ts'

export type {
  DeviceList,
  DeviceOffered,
  FaultSetting,
  Measure,
  MeasureRequest,
  PumpOrder,
  PumpReport,
  Sample,
  SampleList,
  Shot,
  SimulatorSetting,
} from './messages.schema.ts'

/** What a device may be made to do wrong. */
export type Fault = NonNullable<SimulatorSetting['fault']>['fault']

interface Messages {
  deviceList: DeviceList
  sample: Sample
  sampleList: SampleList
  measureRequest: MeasureRequest
  pumpOrder: PumpOrder
  shot: Shot
  pumpReport: PumpReport
  simulatorSetting: SimulatorSetting
}

/**
 * A message of or to a device, checked at the border.
 * @returns `invalid-input` with the place of the first fault and what was expected there
 * @example
 * readMessage('sample', JSON.parse(event.data))
 */
export function readMessage<K extends keyof Messages>(kind: K, message: unknown): Result<Messages[K]> {
  const check = checks[kind]
  if (check(message)) return ok(message as Messages[K])
  const { path, message: fault } = explain(check.errors![0]!, message)
  return invalid(path, fault)
}
