import { METRIC, type Settings } from '../household/settings.ts'
import type { Content, ContentOf } from '../journal/entry.ts'
import { Journal } from '../journal/journal.ts'
import { scribe } from '../journal/testing.ts'
import { iso, MS_PER_DAY, MS_PER_MINUTE, zoneClock } from '../time/zone.ts'

type Bare<K extends Content['kind']> = Omit<ContentOf<K>, 'kind' | 'happened'>

/**
 * A home for tests: an empty side tub of 38 L and a hall reef with a gramma. Times are on the wall in UTC, days from the
 * first of November 2026.
 */
export function home() {
  const clock = zoneClock('UTC')
  const settings: Settings = { timeZone: 'UTC', units: METRIC, clock }
  const journal = new Journal()
  const { record } = scribe('2026-01-01T00:00:00Z')
  const firstDay = Date.parse('2026-11-01T00:00:00Z') / MS_PER_DAY
  const ms = (day: number, time: string) => {
    const [hours, minutes] = time.split(':').map(Number) as [number, number]
    return clock.instantAt(firstDay + day, hours * 60 + minutes)
  }
  const write = (...contents: Content[]) => {
    const entries = contents.map((content) => record(content))
    journal.add(entries)
    return entries
  }
  const on = <K extends Content['kind']>(day: number, time: string, kind: K, content: Bare<K>) =>
    write({ kind, happened: iso(ms(day, time)), ...content } as unknown as Content)[0]!
  const read = (day: number, time: string, tankId: string, parameter: string, value: number, more: object = {}) =>
    on(day, time, 'reading', {
      tankId,
      parameter,
      result: { kind: 'value', value },
      unit: { temp: '°C', salinity: 'psu', ph: 'pH', 'alk-kh': 'dKH' }[parameter] ?? 'mg/L',
      ...(parameter === 'tan' && { basis: 'NH4' as const }),
      ...more,
    })
  on(-20, '08:00', 'tank-setup', {
    tankId: 'side',
    name: 'Side tub',
    water: 'marine',
    role: 'tub',
    sheet: { shape: { kind: 'known', litres: 38 } },
  })
  on(-20, '08:00', 'tank-setup', {
    tankId: 'hall',
    name: 'Hall reef',
    water: 'marine',
    role: 'display',
    sheet: { shape: { kind: 'known', litres: 300 } },
  })
  on(-20, '09:00', 'arrival', {
    animalId: 'plum',
    tankId: 'hall',
    name: 'Plum',
    species: 'royal gramma',
    group: 'dottyback-basslet',
    count: 1,
  })
  const expect_ = (id: string, more: Partial<Bare<'expected'>> = {}) =>
    on(-1, '20:00', 'expected', {
      expectedId: id,
      boxId: 'box',
      tankId: 'side',
      species: 'orchid dottyback',
      group: 'dottyback-basslet',
      count: 1,
      due: iso(ms(1, '10:30')),
      hoursInTransit: 18,
      ...more,
    })
  /** A run that floats from 10:40 on day 1. */
  const start = (id: string, more: Partial<Bare<'acclimation-start'>> = {}) =>
    on(1, '10:40', 'acclimation-start', {
      runId: id,
      tankId: 'side',
      animals: [{ animalId: 'orchid', species: 'orchid dottyback', group: 'dottyback-basslet', count: 1 }],
      way: 'scoop',
      method: { kind: 'scoop', scoopL: 0.1, everyMinutes: 5 },
      setting: {
        bag: { volumeL: 1, temperatureC: 22, salinityPsu: 31, pH: 7.4, alkalinityDkh: 7, tanMgPerL: 0.4 },
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
  const event = (runId: string, minute: number, content: Omit<Bare<'acclimation-event'>, 'runId'>) =>
    write({
      kind: 'acclimation-event',
      happened: iso(ms(1, '10:40') + minute * MS_PER_MINUTE),
      runId,
      ...content,
    })
  return { journal, settings, ms, on, write, read, expects: expect_, start, event }
}
