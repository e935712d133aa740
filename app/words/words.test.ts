import { METRIC } from '../../core/household/settings.ts'
import type { Content } from '../../core/journal/entry.ts'
import { Journal } from '../../core/journal/journal.ts'
import { arrival, bareTank, scribe } from '../../core/journal/testing.ts'
import { dayFromText, zoneClock } from '../../core/time/zone.ts'
import { dayAs, dayBeside, momentBeside } from '../../core/time/words.ts'
import { contentMarks, contentReadBack, marksText } from './entries.ts'
import { figures, fixed, listed } from '../../core/words/numbers.ts'
import { parameterValue, parameterWidth, quantityText, readingResult, volume } from '../../core/words/quantities.ts'

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

  test('an acclimation is told from the float to the move', () => {
    const at = { happened, runId: 'run' }
    const event = (rest: object) => marks({ kind: 'acclimation-event', ...at, ...rest } as Content)
    expect(event({ event: 'opened' })).toBe('bag opened')
    expect(event({ event: 'scoop', litres: 0.12 })).toBe('scoop 120 mL')
    expect(event({ event: 'pour-off', litres: 1.5 })).toBe('poured off to 1.5 L')
    expect([event({ event: 'drip', mlPerMinute: 20 }), event({ event: 'drip', mlPerMinute: 0 })]).toEqual([
      'drip 20 mL a minute',
      'drip off',
    ])
    expect(event({ event: 'way', way: 'match-and-release' })).toBe('another way: match the tank, then across')
    expect(event({ event: 'step', step: 'lights-off' })).toBe('done: lights off')
    expect(event({ event: 'measured', salinityPsu: 33.4, temperatureC: 24.6 })).toBe(
      'in the container Sal 33.4 psu, Temp 24.6 °C',
    )
    const end = (rest: object) => marks({ kind: 'acclimation-end', ...at, tankId: 'q', ...rest } as Content)
    expect(end({ outcome: 'released', measured: true })).toBe('across, measured within reach')
    expect(end({ outcome: 'released', off: 'salinity 1.2 psu under the tank’s' })).toBe(
      'across, by reckoning; still off: salinity 1.2 psu under the tank’s',
    )
    expect(end({ outcome: 'stopped', why: 'the bag leaked' })).toBe('acclimation stopped: the bag leaked')
  })

  test('what came dead, and what is still in its bag, are called as they were announced', () => {
    const awaited = { species: 'cleaner shrimp', group: 'shrimp-crab-snail', count: 2 }
    expect(marks({ kind: 'dead-on-arrival', happened, expectedId: 'e', tankId: 'q', ...awaited })).toBe(
      '✕ 2 cleaner shrimp dead on arrival',
    )
    const later = new Journal()
    later.add([
      record({ kind: 'expected', happened, expectedId: 'e', tankId: 'q', due: '2026-11-24T10:30:00Z', ...awaited }),
    ])
    expect(
      marksText(
        contentMarks(
          { kind: 'sighting', happened, tankId: 'q', animalIds: ['e'], signs: [], breathsPerMinute: 84 },
          { journal: later, units: METRIC },
        ),
      ),
    ).toBe('2 cleaner shrimp 84 breaths a minute')
  })

  test('animals brought together: the door, its conditions, and who did what to whom', () => {
    journal.add([
      record({
        kind: 'introduction-start',
        happened,
        introId: 'box',
        way: 'box',
        tankId: 'q',
        animalIds: ['needle'],
        conditions: [{ id: 'eats', words: 'The newcomer eats in the box' }],
      }),
    ])
    const mark = (rest: object) =>
      marks({ kind: 'introduction-mark', happened, introId: 'box', tankId: 'q', ...rest } as Content)
    expect(mark({ mark: 'condition', conditionId: 'eats', holds: true })).toBe('true now: The newcomer eats in the box')
    expect(mark({ mark: 'condition', conditionId: 'eats', holds: false })).toMatch(/^not yet: /)
    expect(mark({ mark: 'opened', why: 'it cannot wait' })).toBe('the door is open: it cannot wait')
    expect(mark({ mark: 'shut' })).toBe('the door is shut again')
    const skirmish = (rest: object) => marks({ kind: 'skirmish', happened, tankId: 'q', ...rest } as Content)
    expect(skirmish({ what: 'chase', onId: 'needle', perHour: 4 })).toBe('a resident chased Needle, 4 an hour')
    expect(skirmish({ what: 'rammed', byId: 'needle', minutes: 30 })).toBe('Needle rammed the box, 30 min')
  })

  test('a meal of training says what was offered, whatever came of it', () => {
    const meal = (mark: number) =>
      marks({ kind: 'training', happened, tankId: 'q', animalIds: ['needle'], food: 'mysis', mark, place: 'food clip' })
    for (const mark of [0, 1, 2, 3, 4]) expect(meal(mark)).toMatch(/^Needle .*mysis.*, food clip$/)
    expect(meal(4)).not.toBe(meal(3))
  })

  test('a photo names whom it shows', () => {
    const photo = { kind: 'photo', happened, photoId: 'p', widthPx: 800, heightPx: 600, bytes: 90_000 } as const
    expect(marks({ ...photo, animalIds: ['needle'], caption: 'left flank' })).toBe('photo of Needle: left flank')
    expect(marks(photo)).toBe('photo')
  })
})
