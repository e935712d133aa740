import Papa from 'papaparse'
import type { Content } from '../../../core/journal/entry.ts'
import { Journal } from '../../../core/journal/journal.ts'
import { bareTank, copper, scribe } from '../../../core/journal/testing.ts'
import { METRIC } from '../../../core/household/settings.ts'
import { zoneClock } from '../../../core/time/zone.ts'
import { readingsCsv } from './csv.ts'

const settings = { timeZone: 'Europe/Lisbon', units: METRIC, clock: zoneClock('Europe/Lisbon') }

function csvOf(...contents: Content[]) {
  const { record } = scribe()
  const journal = new Journal()
  journal.add(contents.map((content) => record(content)))
  return readingsCsv(journal, settings)
}

test('a line a reading, in local time, with what was below a limit said as such', () => {
  const below: Content = {
    kind: 'reading',
    happened: '2026-07-02T20:00:00Z',
    tankId: 'q',
    parameter: 'no2',
    result: { kind: 'below', limit: 0.05 },
    unit: 'mg/L',
  }
  const rows = Papa.parse<string[]>(csvOf(bareTank('q', 'Quarantine'), copper('q', 0, 2.1), below).trim()).data
  expect(rows.slice(1)).toEqual([
    ['2026-07-01', '09:00', 'Quarantine', 'copper', 'value', '2.1', 'mg/L', '', '', ''],
    ['2026-07-02', '21:00', 'Quarantine', 'nitrite', 'below', '0.05', 'mg/L', '', '', ''],
  ])
})

test.each(['=HYPERLINK("x")', '+1', '-1', '@SUM(A1)', '\t=1', '\r=1', 'x\n=1', 'x\u2028@A1', '＝1+1'])(
  'no cell starts a formula: %j',
  (name) => {
    const rows = Papa.parse<string[]>(csvOf(bareTank('q', name), { ...copper('q', 0, 2.1), note: name }).trim()).data
    for (const cell of rows.flat().flatMap((cell) => cell.split(/[\r\n\u2028]/)))
      expect(cell).not.toMatch(/^\s*[=+\-@＝＋－＠]/)
    expect(rows[1]![2]).toContain(name.trim().slice(-2))
  },
)

test.each([
  '\u00ad',
  '\u034f',
  '\u061c',
  '\u115f',
  '\u17b4',
  '\u200d',
  '\u2060',
  '\u2063',
  '\u3164',
  '\ufe0f',
  '\ufeff',
  '\u0001',
  '\u2800',
  '\u{e0020}',
])('a formula behind a letter that is not seen is text: %j', (hidden) => {
  const note = `${hidden}=HYPERLINK("x")`
  const rows = Papa.parse<string[]>(csvOf(bareTank('q', 'Q'), { ...copper('q', 0, 2.1), note }).trim()).data
  expect(rows[1]!.at(-1)).toMatch(/^'/)
})

test('a value that was converted has the digits that were meant', () => {
  const reading = (value: number): Content => ({
    kind: 'reading',
    happened: '2026-07-02T20:00:00Z',
    tankId: 'q',
    parameter: 'temp',
    result: { kind: 'value', value },
    unit: '°C',
    uncertainty: 0.30000000000000004,
  })
  const [, row] = Papa.parse<string[]>(csvOf(bareTank('q', 'Quarantine'), reading((77.3 - 32) / 1.8)).trim()).data
  expect([row![5], row![8]]).toEqual(['25.17', '0.3'])
})
