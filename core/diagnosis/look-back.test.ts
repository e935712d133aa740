import { Journal } from '../journal/journal.ts'
import { scribe } from '../journal/testing.ts'
import { worstChangePerDay } from '../readings/worst-change.ts'
import { swingsBefore } from './look-back.ts'

const NOW = Date.parse('2026-06-30T12:00:00Z')
const DAY = 86_400_000

function reefWith(group: string, ...readings: [daysAgo: number, parameter: string, value: number][]) {
  const journal = new Journal()
  const { record } = scribe('2026-01-01T00:00:00Z')
  const happened = (daysAgo: number) => new Date(NOW - daysAgo * DAY).toISOString()
  journal.add([
    record({
      kind: 'tank-setup',
      happened: happened(100),
      tankId: 'reef',
      name: 'Reef',
      water: 'marine',
      role: 'display',
      profile: 'reef-lps',
      sheet: { shape: { kind: 'known', litres: 300 } },
    }),
    record({
      kind: 'part-setup',
      happened: happened(90),
      partId: 'coral',
      tankId: 'reef',
      what: 'coral',
      name: 'a coral',
      group,
    }),
    ...readings.map(([daysAgo, parameter, value]) =>
      record({
        kind: 'reading',
        happened: happened(daysAgo),
        tankId: 'reef',
        parameter,
        result: { kind: 'value', value },
        unit: parameter === 'alk-kh' ? 'dKH' : 'mg/L',
      }),
    ),
  ])
  return journal
}

test('what lies off its band stands first, then what moved by most of its cap', () => {
  const history: [number, string, number][] = [
    [20, 'ca', 420],
    [2, 'ca', 425],
    [10, 'alk-kh', 8],
    [8, 'alk-kh', 9.5],
    [5, 'no3', 40],
    // Older than three weeks: no part of it.
    [22, 'ca', 300],
  ]
  const swings = swingsBefore(reefWith('coral-soft', ...history), 'reef', NOW)
  expect(swings.map(({ parameter }) => parameter.id)).toEqual(['no3', 'alk-kh', 'ca'])
  expect(swings[0]).toMatchObject({ isOutside: true, tests: 1, perDay: null, timesCap: null })
  // 1.5 dKH in two days, of one degree a day; of half a degree where small-polyp corals live.
  expect(swings[1]).toMatchObject({ least: 8, most: 9.5, perDay: 0.75, timesCap: 0.75, isOutside: false })
  expect(swingsBefore(reefWith('coral-sps', ...history), 'reef', NOW)[1]).toMatchObject({ timesCap: 1.5 })
  expect(swings[2]!.perDay).toBeCloseTo(5 / 18, 9)
})

test('two tests within a day are a day apart', () => {
  const at = (hours: number) => NOW + hours * 3_600_000
  expect(
    worstChangePerDay([
      { at: at(0), value: 8 },
      { at: at(2), value: 8.5 },
    ]),
  ).toBe(0.5)
  expect(worstChangePerDay([{ at: at(0), value: 8 }])).toBeNull()
})
