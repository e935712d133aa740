import { METRIC } from '../../core/household/settings.ts'
import type { Content } from '../../core/journal/entry.ts'
import { Journal } from '../../core/journal/journal.ts'
import { arrival, bareTank, scribe } from '../../core/journal/testing.ts'
import { dayFromText, zoneClock } from '../../core/time/zone.ts'
import { dayAs, dayBeside, momentBeside } from '../../core/time/words.ts'
import { contentMarks, contentReadBack, marksText } from './entries.ts'
import { figures, fixed, listed } from './numbers.ts'
import { parameterValue, parameterWidth, quantityText, readingResult, volume } from './quantities.ts'

test('numbers: as many figures as are meant, no powers of ten, no minus zero', () => {
  expect([figures(0.0434), figures(57.2), figures(1234.5), figures(100), figures(0)]).toEqual([
    '0.0434',
    '57.2',
    '1235',
    '100',
    '0',
  ])
  expect([fixed(-0.001, 2), fixed(-1.5, 1), fixed(2.1, 2)]).toEqual(['0.00', '−1.5', '2.10'])
  expect(listed(['a', 'b', 'c'])).toBe('a, b and c')
})

test('quantities are printed in the household’s units', () => {
  const us = { ...METRIC, volume: 'us-gal', temperature: 'F', salinity: 'sg', alkalinity: 'meq' } as const
  expect(quantityText(volume(64.75, METRIC))).toBe('64.8 L')
  expect(quantityText(volume(286.2, METRIC))).toBe('286 L')
  expect(quantityText(volume(64.75, us))).toBe('17.1 US gal')
  expect(quantityText(parameterValue('temp', 25, us))).toBe('77.0 °F')
  expect(quantityText(parameterValue('salinity', 35, us))).toBe('1.0264 SG')
  expect(quantityText(parameterValue('alk-kh', 8.4, us))).toBe('3.00 meq/L')
  expect(parameterWidth('temp', 25, 0.5, us)).toBe('0.9')
  expect(readingResult({ parameter: 'no2', result: { kind: 'below', limit: 0.05 } }, METRIC).value).toBe('< 0.05')
})

test('days are called as one would beside today', () => {
  const clock = zoneClock('Europe/Lisbon')
  const today = dayFromText('2026-11-23')!
  expect([0, 1, 2, 20, 400, -1].map((ago) => dayBeside(today - ago, today))).toEqual([
    'today',
    'yesterday',
    'Saturday',
    'Tue 3 Nov',
    '19 Oct 2025',
    'tomorrow',
  ])
  expect(momentBeside(Date.parse('2026-11-22T08:10:00Z'), Date.parse('2026-11-23T18:00:00Z'), clock)).toBe(
    'yesterday 08:10',
  )
  expect(dayAs(today, 'EEE d')).toBe('Mon 23')
})

describe('entries in words', () => {
  const { record } = scribe()
  const journal = new Journal()
  journal.add(
    [
      bareTank('q', 'Quarantine'),
      bareTank('s', 'Side tub'),
      arrival('needle', 'q', 1, 1, 'Needle'),
      arrival('t', 'q', 1, 9),
    ].map((content) => record(content)),
  )
  const wording = { journal, units: METRIC }
  const happened = '2026-11-23T18:00:00Z'
  const marks = (content: Content, tankId?: string) => marksText(contentMarks(content, wording, tankId))

  test('a move reads differently from either side', () => {
    const move: Content = { kind: 'move', happened, animalId: 'needle', fromTankId: 'q', toTankId: 's' }
    expect([marks(move, 'q'), marks(move, 's')]).toEqual(['Needle → Side tub', 'Needle in from Quarantine'])
  })

  test('a death in a group names how many, and its cause', () => {
    expect(marks({ kind: 'death', happened, animalId: 't', tankId: 'q', count: 2, cause: 'jumped' })).toBe(
      '✕ 2 longnose hawkfish died, jumped',
    )
  })

  test('a sighting is told in signs; without any, in its own words', () => {
    const sighting: Content = {
      kind: 'sighting',
      happened,
      tankId: 'q',
      animalIds: ['needle'],
      signs: [{ sign: 'flashing', present: true }],
      appetite: 3,
      words: 'ate, scratching',
    }
    expect(marks(sighting)).toBe('Needle ate and scratching')
    expect(marks({ ...sighting, signs: [], appetite: undefined, words: 'guards its cave' })).toBe(
      'Needle guards its cave',
    )
  })

  test('the log line reads back where, what, how much and how sure', () => {
    const reading: Content = {
      kind: 'reading',
      happened,
      tankId: 'q',
      parameter: 'copper',
      result: { kind: 'value', value: 2.16 },
      unit: 'mg/L',
      uncertainty: 0.158,
    }
    expect(marksText(contentReadBack(reading, wording))).toBe('Quarantine, copper 2.16 mg/L ± 0.16')
  })

  test('what names something that is gone still reads', () => {
    expect(marks({ kind: 'move', happened, animalId: 'ghost', fromTankId: 'x', toTankId: 'y' })).toContain(
      'not on record',
    )
  })
})
