import { parameterById } from '../catalogue/parameter.ts'
import { METRIC, type Settings } from '../household/settings.ts'
import { tankById } from '../household/tanks.ts'
import type { Content } from '../journal/entry.ts'
import type { Journal } from '../journal/journal.ts'
import { readTyped, typedAgain, typedUnit } from '../readings/typed-reading.ts'
import { zoneClock } from '../time/zone.ts'
import { MOST_DRAWN, meanOfRepeats, testPoints, thinned, trendOf, type TestPoint } from './points.ts'
import { chartCsv, seriesOf } from './series.ts'
import { bandState, dueFirst, testedIn, testsOf } from './tests.ts'
import { reachedAt } from './forecast.ts'
import { forecastOf, sayTrend } from './trend-words.ts'
import { thinnedEvents, waterEvents } from './water-events.ts'
import { ms, on, reef } from './testing.ts'

const settings: Settings = { timeZone: 'UTC', units: METRIC, clock: zoneClock('UTC') }
const alk = parameterById('alk-kh')!
const no3 = parameterById('no3')!

const reading = (day: number, parameter: string, value: number, uncertainty?: number): Content => ({
  kind: 'reading',
  ...on(day),
  tankId: 'hall',
  parameter,
  result: { kind: 'value', value },
  unit: parameterById(parameter)!.unit,
  ...(uncertainty !== undefined && { uncertainty }),
})
const hall = (journal: Journal) => tankById(journal, 'hall')!
const points = (...contents: Content[]): TestPoint[] => testPoints(reef(...contents), 'hall', 'alk-kh', 0, ms(400))

describe('repeats of a test', () => {
  test('are one point: their mean, each by what it may be off', () => {
    const mean = meanOfRepeats([
      { at: 1, value: 8, halfWidth: 0.5 },
      { at: 2, value: 8.6, halfWidth: 1 },
    ])
    // Weights 4 and 1: (4 × 8 + 8.6) ÷ 5.
    expect(mean).toEqual({
      at: 2,
      value: expect.closeTo(8.12, 9) as number,
      halfWidth: expect.closeTo(0.447, 3) as number,
    })
  })
  test('many do not make a kit better than half its own error; without errors all count alike', () => {
    const ten = Array.from({ length: 10 }, (_, at) => ({ at, value: 8, halfWidth: 0.5 }))
    expect(meanOfRepeats(ten).halfWidth).toBe(0.25)
    expect(
      meanOfRepeats([
        { at: 1, value: 7, halfWidth: 0 },
        { at: 2, value: 8, halfWidth: 0.5 },
      ]),
    ).toMatchObject({
      value: 7.5,
      halfWidth: 0,
    })
  })
  test('lie within three quarters of an hour; a meter’s row of values is no repeat', () => {
    const minutes = (...all: number[]) => all.map((minute) => reading(minute / 1440, 'alk-kh', 8 + minute / 100, 0.5))
    expect(points(...minutes(0, 30, 90)).map(({ count }) => count)).toEqual([2, 1])
    expect(points(...minutes(0, 5, 10, 15, 20, 25)).map(({ count }) => count)).toEqual([1, 1, 1, 1, 1, 1])
  })
})

describe('suspects', () => {
  const week = [8.2, 8.15, 8.1, 8.05, 8, 7.95, 7.9].map((value, i) => reading(2 * i, 'alk-kh', value, 0.1))
  test('do not fit the line of their weeks; they are marked, and the trend passes them over', () => {
    const marked = points(...week, reading(7, 'alk-kh', 11, 0.1))
    expect(marked.filter(({ isSuspect }) => isSuspect).map(({ value }) => value)).toEqual([11])
    expect(trendOf(marked, ms(13))!.slopePerDay).toBeCloseTo(-0.025, 6)
  })
  test('a value that was confirmed by a repeat is none', () => {
    const twice = points(...week, reading(7, 'alk-kh', 11, 0.1), reading(7.01, 'alk-kh', 11.1, 0.1))
    expect(twice.some(({ isSuspect }) => isSuspect)).toBe(false)
  })
  test('a level that is led by doses is judged by no line', () => {
    const dose: Content = {
      kind: 'dose',
      ...on(6.5),
      tankId: 'hall',
      ingredient: 'sodium-bicarbonate',
      amount: 20,
      unit: 'g',
      massMg: 20_000,
    }
    expect(points(...week, dose, reading(7, 'alk-kh', 11, 0.1)).some(({ isSuspect }) => isSuspect)).toBe(false)
  })
  test('months that wander are judged month by month', () => {
    const year = Array.from({ length: 120 }, (_, i) => reading(3 * i, 'alk-kh', 8 + 0.8 * Math.sin(i / 20), 0.3))
    expect(points(...year).some(({ isSuspect }) => isSuspect)).toBe(false)
  })
})

describe('a trend in words', () => {
  const say = (...contents: Content[]) => sayTrend(points(...contents), alk, { profile: 'reef-lps' }, settings, ms(20))
  test('falling, with when it leaves the band', () => {
    const said = say(...[0, 5, 10, 15, 20].map((day) => reading(day, 'alk-kh', 8.5 - 0.04 * day, 0.2)))
    // 7.7 now, 7.5 is the band's end: 0.2 ÷ 0.04 = 5 days on.
    expect(said.words).toBe('Falling 0.04 dKH a day; at this pace 7.5 dKH about Fri 26 Jun.')
    expect(said.leaves).toEqual({ at: ms(25), value: 7.5 })
  })
  test('a change within the kit’s error is steady, and its forecast level', () => {
    const said = say(...[0, 10, 20].map((day) => reading(day, 'alk-kh', 8.5 - 0.01 * day, 0.5)))
    expect(said.words).toBe('Steady near 8.4 dKH over 20 days, within what the kit can tell.')
    expect(forecastOf([], said.fit, ms(20), 10).map(({ value }) => value)).toEqual([8.4, 8.4, 8.4])
  })
  test('nine tests from 0.07 down to 0.02 are a fall, though each kit may be off by 0.04', () => {
    const tests = [0.07, 0.062, 0.058, 0.05, 0.046, 0.038, 0.033, 0.025, 0.02].map((value, i): TestPoint => ({
      at: ms(2 * i),
      value,
      halfWidth: 0.04,
      count: 1,
      isByLab: false,
      isSuspect: false,
    }))
    const po4 = parameterById('po4')!
    expect(sayTrend(tests, po4, { profile: 'reef-lps' }, settings, ms(16)).words).toMatch(/^Falling 0\.003/)
    // Two or three of them tell nothing.
    expect(sayTrend([tests[0]!, tests[4]!, tests[8]!], po4, { profile: 'reef-lps' }, settings, ms(16)).words).toMatch(
      /^Steady/,
    )
    // A meter's many values do not make a trend of what the meter cannot tell.
    const many = Array.from({ length: 90 }, (_, i) => ({ ...tests[0]!, at: ms(i / 6), value: 0.05 + 0.0001 * i }))
    expect(sayTrend(many, po4, { profile: 'reef-lps' }, settings, ms(15)).words).toMatch(/^Steady/)
  })
  test('a trend is carried on only from a test that is young enough', () => {
    const falling = [0, 5, 10].map((day) => reading(day, 'alk-kh', 8.5 - 0.08 * day, 0.2))
    const at = (day: number) => sayTrend(points(...falling), alk, { profile: 'reef-lps' }, settings, ms(day))
    expect(at(12).leaves).not.toBeNull()
    expect(at(25)).toMatchObject({
      fit: null,
      leaves: null,
      words: expect.stringMatching(/too long ago to carry its trend on/) as string,
    })
    const journal = reef(...falling)
    expect(reachedAt(journal, 'hall', alk, 7, ms(12))).not.toBeNull()
    expect(reachedAt(journal, 'hall', alk, 7, ms(25))).toBeNull()
  })
  test('a dip and back again is said as neither a trend nor steady', () => {
    const said = say(...[8, 7.6, 8.1, 7.2, 7.9, 8.2, 7.7].map((value, i) => reading(3 * i, 'alk-kh', value, 0.4)))
    expect(said.words).toBe('No trend over 18 days, and not steady: between 7.2 dKH and 8.2 dKH.')
  })
  test('few tests tell none; without any nothing is said of a value', () => {
    expect(say(reading(18, 'alk-kh', 8)).words).toMatch(/8\.0 dKH .*fewer than three tests in 30 days tell no trend/)
    expect(say()).toEqual({ fit: null, words: 'No test in this time.', leaves: null })
  })
  test('in the household’s unit', () => {
    const tests = points(...[0, 5, 10, 15, 20].map((day) => reading(day, 'alk-kh', 8.4 - 0.056 * day, 0.2)))
    const us: Settings = { ...settings, units: { ...METRIC, alkalinity: 'meq' } }
    expect(sayTrend(tests, alk, { profile: 'reef-lps' }, us, ms(20)).words).toMatch(/^Falling 0\.02 meq\/L a day/)
  })
  test('a forecast goes on at its pace, its fan growing, and never below zero', () => {
    const tests = points(
      ...[0, 5, 10, 15, 20].map((day, i) => reading(day, 'alk-kh', 2 - 0.09 * day + 0.02 * (i % 2), 0.05)),
    )
    const ahead = forecastOf(tests, trendOf(tests, ms(20)), ms(20), 20)
    expect(ahead.at(-1)!.low).toBe(0)
    expect(ahead[1]!.high - ahead[1]!.value).toBeGreaterThan(ahead[0]!.high - ahead[0]!.value)
    expect(forecastOf(tests, null, ms(20), 20)).toEqual([])
  })
})

describe('thinning', () => {
  test('keeps every spike within its span, and the ends', () => {
    const many: TestPoint[] = Array.from({ length: 10_000 }, (_, i) => ({
      at: ms(i / 50),
      value: i === 5_000 ? 12 : 8 + 0.1 * Math.sin(i / 300),
      halfWidth: 0.1,
      count: 1,
      isByLab: false,
      isSuspect: false,
    }))
    const drawn = thinned(many)
    expect(drawn.length).toBeLessThanOrEqual(MOST_DRAWN)
    expect(drawn.length).toBeGreaterThan(MOST_DRAWN / 2)
    expect(Math.max(...drawn.map(({ high }) => high))).toBe(12)
    expect(drawn.reduce((sum, { count }) => sum + count, 0)).toBe(10_000)
    for (const { value, low, high } of drawn) expect(value >= low && value <= high).toBe(true)
  })
  test('leaves few as they are', () => {
    const few = points(reading(0, 'alk-kh', 8), reading(1, 'alk-kh', 9))
    expect(thinned(few)).toEqual(few.map((point) => ({ ...point, low: point.value, high: point.value })))
  })
})

describe('what is tested in a tank', () => {
  test('what has a band, what was tested there before, what a kit of its own is for', () => {
    const kit: Content = {
      kind: 'kit-setup',
      ...on(-20),
      kitId: 'own',
      name: 'iodine free',
      parameter: 'gh',
      uncertainty: { abs: 1 },
      tankId: 'hall',
    }
    const journal = reef(kit)
    const ids = testedIn(journal, hall(journal)).map(({ id }) => id)
    expect(ids).toEqual(expect.arrayContaining(['alk-kh', 'no3', 'gh']))
    expect(ids).not.toContain('copper')
    expect(testedIn(reef(reading(0, 'copper', 0)), hall(journal)).map(({ id }) => id)).toContain('copper')
  })
  test('a test falls due by its habit, late after twice its days; one that was never done is not asked for', () => {
    const journal = reef(reading(0, 'alk-kh', 8.2), reading(10, 'no3', 8), reading(0, 'tan', 0))
    const due = (day: number) =>
      Object.fromEntries(
        testsOf(journal, hall(journal), settings, ms(day)).map((test) => [test.parameter.id, test.due]),
      )
    expect(due(3)['alk-kh']).toBeNull()
    expect(due(4)['alk-kh']).toMatchObject({ why: 'every 4 days', isLate: false })
    expect(due(9)['alk-kh']).toMatchObject({ isLate: true })
    expect(due(12)['no3']).toBeNull()
    expect(due(12)['ca']).toBeNull()
    // Total ammonia of a settled display is no habit.
    expect(due(12)['tan']).toBeNull()
    const sorted = testsOf(journal, hall(journal), settings, ms(20)).sort(dueFirst)
    expect(sorted.slice(0, 2).map(({ parameter }) => parameter.id)).toEqual(['alk-kh', 'no3'])
  })
  test('what a course asks for is among them, never tested there before, and only what is still missing of a task', () => {
    const watched: Content = {
      kind: 'course-start',
      ...on(0),
      courseId: 'c',
      definition: 'qt-d-hypo',
      tanks: { main: 'hall' },
      animalIds: ['ash'],
    }
    const NINE = ms(3) % 86_400_000 === 0 ? 9 * 3_600_000 : 0
    const due = (...contents: Content[]) => {
      const journal = reef(watched, ...contents)
      return testsOf(journal, hall(journal), settings, ms(3) + NINE).flatMap((test) =>
        test.due ? [test.parameter.id] : [],
      )
    }
    expect(due()).toEqual(expect.arrayContaining(['tan', 'nh3', 'salinity']))
    const whyOf = (...contents: Content[]) => {
      const journal = reef(watched, ...contents)
      const test = testsOf(journal, hall(journal), settings, ms(3) + NINE).find(
        ({ parameter }) => parameter.id === 'tan',
      )
      return test?.due?.why
    }
    expect(whyOf()).toBe('Low salinity, thirty days')
    const copperCourse: Content = {
      kind: 'course-start',
      ...on(0),
      courseId: 'd',
      tankId: 'hall',
      protocol: 'qt-b-drug14',
      doseId: 'cu-chelated-std',
      animalIds: ['ash'],
    }
    // One test serves both, and says so.
    expect(whyOf(copperCourse)).toBe('Low salinity, thirty days and Copper, chelated')
    const half = due({ ...reading(3, 'tan', 0), happened: new Date(ms(3) + NINE - 3_600_000).toISOString() })
    expect(half).toContain('nh3')
    expect(half).not.toContain('tan')
  })
  test('a value lies under, in or over its band', () => {
    expect([7.4, 7.5, 10, 10.1].map((value) => bandState(alk, 'reef-lps', value))).toEqual(['low', 'in', 'in', 'high'])
    expect(bandState(alk, undefined, 3)).toBe('no-band')
  })
})

describe('a figure as the kit prints it', () => {
  const kit = (parameter: string, more: object): Content => ({
    kind: 'kit-setup',
    ...on(-20),
    kitId: parameter,
    name: 'drops',
    parameter,
    uncertainty: { abs: 1 },
    ...more,
  })
  const read = (journal: Journal, parameter: typeof alk, text: string) =>
    readTyped(parameter, text, hall(journal), on(1).happened, { journal, settings, now: ms(1) })
  const value = (typed: ReturnType<typeof read>) =>
    'content' in typed && typed.content.result.kind === 'value' ? typed.content.result.value : NaN

  test('nitrate as nitrogen is 4.43 times as much, and it is said', () => {
    const journal = reef(kit('no3', { basis: 'N' }))
    const typed = read(journal, no3, '5')
    expect(value(typed)).toBeCloseTo(22.134, 3)
    expect('notices' in typed && typed.notices).toContain('read as drops prints it, as N')
    expect(typedUnit(journal, 'hall', no3, METRIC)).toBe('mg/L as N')
    // What is typed with the figure goes before the kit.
    expect(value(read(journal, no3, '5 NO3'))).toBe(5)
    expect(value(read(reef(), no3, '5'))).toBe(5)
  })
  test('alkalinity in ppm', () => {
    const journal = reef(kit('alk-kh', { prints: 'ppm' }))
    expect(value(read(journal, alk, '143'))).toBeCloseTo(8, 1)
    expect(typedUnit(journal, 'hall', alk, METRIC)).toBe('ppm')
    expect(value(read(journal, alk, '8 dkh'))).toBe(8)
  })
  test('what was kept is typed again as the same', () => {
    const ppm = reef(kit('alk-kh', { prints: 'ppm' }), kit('no3', { basis: 'N' }))
    for (const [parameter, kept] of [
      [alk, 8.2],
      [no3, 12.5],
    ] as const) {
      const content = reading(0, parameter.id, kept) as Extract<Content, { kind: 'reading' }>
      expect(value(read(ppm, parameter, typedAgain(ppm, content, METRIC)))).toBeCloseTo(kept, 6)
    }
    expect(typedAgain(reef(), reading(0, 'alk-kh', 8.2) as Extract<Content, { kind: 'reading' }>, METRIC)).toBe('8.2')
  })
  test('what is no value is said, with what could be meant', () => {
    expect(read(reef(), alk, 'much')).toMatchObject({ message: expect.stringContaining('much') as string })
    expect(read(reef(), alk, '82')).toMatchObject({
      message: expect.stringMatching(/outside what is plausible/) as string,
      choices: [expect.objectContaining({ value: '8.2' }), expect.objectContaining({ value: '0.82' })],
    })
    expect(read(reef(), alk, '8 9')).toMatchObject({ message: expect.stringMatching(/left over/) as string })
  })
})

test('a chart as CSV: a line a test, quoted where it must be', () => {
  const journal = reef(reading(0, 'alk-kh', 8.2, 0.5), reading(1, 'no3', 12))
  const lines = chartCsv(hall(journal), seriesOf(journal, 'hall', 0, ms(9))).split('\r\n')
  expect(lines).toEqual([
    'time,tank,parameter,value,unit,plus_minus,readings,suspect',
    '2026-06-02T12:00:00.000Z,"Hall, the reef",nitrate,12,mg/L,,1,no',
    '2026-06-01T12:00:00.000Z,"Hall, the reef",alkalinity,8.2,dKH,0.5,1,no',
    '',
  ])
})

test('what was done to the water stands on the time axis', () => {
  const journal = reef(
    { kind: 'water-change', ...on(1), tankId: 'hall', litres: 20 },
    { kind: 'dose', ...on(2), tankId: 'hall', ingredient: 'sodium-bicarbonate', amount: 10, unit: 'g' },
    { kind: 'water-change', ...on(30), tankId: 'hall', litres: 20 },
  )
  const many = Array.from({ length: 500 }, (_, i) => ({
    at: ms(i / 5),
    kind: 'change' as const,
    words: 'water change',
  }))
  const drawn = thinnedEvents(many, ms(0), ms(100))
  expect(drawn).toHaveLength(60)
  expect(drawn[0]).toBe(many[0])
  expect(waterEvents(journal, 'hall', ms(0), ms(10)).map(({ kind, words }) => [kind, words])).toEqual([
    ['change', 'water change'],
    ['dose', expect.stringMatching(/bicarbonate/)],
  ])
})
