import Type, { type Static } from 'typebox'
import { finite, instant, nonNegative, oneOf, positive, strict } from '../schema/types.ts'

const id = (description?: string) =>
  Type.String({ minLength: 1, maxLength: 64, pattern: '^[A-Za-z0-9_-]+$', ...(description && { description }) })

export const Measure = strict({
  parameter: id('of the catalogue; values are in its unit'),
  resolution: positive('smallest step that it reads'),
  everySeconds: positive('of a probe: between two values; of a photometer: until its value is there'),
})
export type Measure = Static<typeof Measure>

export const DeviceOffered = strict({
  id: id(),
  type: oneOf(['probe', 'photometer', 'pump', 'camera'] as const),
  name: Type.String({ minLength: 1, maxLength: 80 }),
  measures: Type.Array(Measure, { maxItems: 20 }),
})
export type DeviceOffered = Static<typeof DeviceOffered>

export const DeviceList = strict({
  now: instant('the device server’s clock'),
  standIns: Type.Boolean({ description: 'these are simulated: faults can be played' }),
  devices: Type.Array(DeviceOffered, { maxItems: 50 }),
})
export type DeviceList = Static<typeof DeviceList>

export const Sample = strict({ deviceId: id(), parameter: id(), at: instant(), value: finite() })
export type Sample = Static<typeof Sample>

export const SampleList = strict({ samples: Type.Array(Sample, { maxItems: 20_000 }) })
export type SampleList = Static<typeof SampleList>

export const MeasureRequest = strict({ parameter: id() })
export type MeasureRequest = Static<typeof MeasureRequest>

export const PumpOrder = strict({
  startsAt: instant(),
  timeZone: Type.String({ minLength: 1, maxLength: 64 }),
  mlByHour: Type.Array(nonNegative('mL at the beginning of each local hour'), { minItems: 24, maxItems: 24 }),
  days: Type.Union([positive('after so many it ends'), Type.Null()]),
  bottleMl: positive('what the bottle holds at the start'),
  residueMl: nonNegative('what the pump cannot draw'),
  raises: Type.Array(strict({ parameter: id(), perMl: nonNegative('in the parameter’s unit') }), {
    maxItems: 10,
    description: 'what a mL raises in its tank; a device may pass it over',
  }),
})
export type PumpOrder = Static<typeof PumpOrder>

export const Shot = strict({ deviceId: id(), at: instant(), ml: nonNegative('0 where it drew air') })
export type Shot = Static<typeof Shot>

export const PumpReport = strict({
  order: Type.Union([PumpOrder, Type.Null()]),
  leftMl: nonNegative('in the bottle, by the device’s own count'),
  shots: Type.Array(Shot, { maxItems: 5000, description: 'since the instant asked for, the oldest first' }),
  more: Type.Optional(Type.Boolean({ description: 'there are later shots: ask again since the last of these' })),
})
export type PumpReport = Static<typeof PumpReport>

export const FAULTS = ['none', 'drift', 'stuck', 'spike', 'drop-out', 'run-dry', 'missed-shot'] as const

export const FaultSetting = strict({
  deviceId: id(),
  parameter: Type.Union([id(), Type.Null()]),
  fault: oneOf(FAULTS),
})
export type FaultSetting = Static<typeof FaultSetting>

export const SimulatorSetting = strict({
  now: Type.Optional(instant('the stand-ins’ clock is set to this and runs on')),
  everySeconds: Type.Optional(positive('between two values of a probe')),
  fault: Type.Optional(FaultSetting),
})
export type SimulatorSetting = Static<typeof SimulatorSetting>
