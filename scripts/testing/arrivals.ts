import type { Content, ContentOf } from '../../core/journal/entry.ts'
import { arrival, bareTank } from '../../core/journal/testing.ts'

const MINUTE = 60_000

/** So many minutes from now; negative ones are past. */
export const fromNow = (minutes: number): string => new Date(Date.now() + minutes * MINUTE).toISOString()

const reading = (tankId: string, parameter: string, value: number, unit: string): Content => ({
  kind: 'reading',
  happened: fromNow(-60),
  tankId,
  parameter,
  result: { kind: 'value', value },
  unit,
})

/** An empty side tub at 33 psu and a hall reef with a gramma in it. */
export const TWO_TANKS: readonly Content[] = [
  bareTank('side', 'Side tub'),
  bareTank('hall', 'Hall reef'),
  {
    kind: 'tank-change',
    happened: '2026-07-01T00:00:00Z',
    tankId: 'hall',
    changes: { role: 'display' },
  },
  arrival('plum', 'hall', 1, 1, 'Plum'),
  reading('side', 'salinity', 33, 'psu'),
  reading('side', 'temp', 25, '°C'),
]

/** A dottyback awaited for the side tub, in a box with whatever else is said. */
export const awaited = (more: Partial<ContentOf<'expected'>> = {}): Content => ({
  kind: 'expected',
  happened: fromNow(-120),
  expectedId: 'orchid',
  boxId: 'box',
  tankId: 'side',
  species: 'orchid dottyback',
  group: 'dottyback-basslet',
  count: 1,
  due: fromNow(-10),
  hoursInTransit: 18,
  source: 'mail order',
  ...more,
})

/** A run to the side tub, floating since some minutes. */
export const floating = (minutes: number, more: Partial<ContentOf<'acclimation-start'>> = {}): Content => ({
  kind: 'acclimation-start',
  happened: fromNow(-minutes),
  runId: 'run',
  tankId: 'side',
  animals: [{ animalId: 'orchid', species: 'orchid dottyback', group: 'dottyback-basslet', count: 1 }],
  way: 'scoop',
  method: { kind: 'scoop', scoopL: 0.1, everyMinutes: 5 },
  setting: {
    bag: { volumeL: 1, temperatureC: 24.5, salinityPsu: 31, pH: 7.4, alkalinityDkh: 7, tanMgPerL: 0.4 },
    tank: { temperatureC: 25, salinityPsu: 33, pH: 8.1, alkalinityDkh: 8.4, tanMgPerL: 0 },
    container: { capacityL: 4, leaveL: 2 },
    room: { temperatureC: 24 },
    float: { minutes: 15 },
  },
  limits: { maxPsuPerHour: 2, matchPsu: 1, matchC: 1.5, maxFreeAmmoniaMgPerL: 0.03, maxMinutes: 60 },
  shippingHours: 18,
  source: 'mail order',
  assumed: ['room'],
  ...more,
})

/** Something done in that run, at one of its minutes. */
export const happened = (
  floatedFor: number,
  minute: number,
  rest: Omit<ContentOf<'acclimation-event'>, 'kind' | 'happened' | 'runId'>,
): Content => ({ kind: 'acclimation-event', happened: fromNow(minute - floatedFor), runId: 'run', ...rest })
