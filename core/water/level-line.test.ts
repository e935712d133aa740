import { quarantine } from '../courses/testing/schools.ts'
import { Journal } from '../journal/journal.ts'
import { scribe } from '../journal/testing.ts'
import { psuOfGravity } from '../salinity/gravity.ts'
import { psuAfterTopOff, salinityOf } from '../safety/water/salinity.ts'
import { atFullLine, crossesAt, evaporationOf } from './level-line.ts'
import { litresDown } from './level-typed.ts'

const DAY = 86_400_000
const BOX = { shape: { kind: 'box', lengthCm: 60, widthCm: 30, heightCm: 36 }, waterHeightCm: 32 } as const

test('a mark under the line gives the litres by the floor of the tank; with a sump or without a shape they are asked for', () => {
  expect(litresDown(BOX, 2)).toBeCloseTo(3.6, 12)
  expect(litresDown({ ...BOX, sumpL: 20 }, 2)).toBeNull()
  expect(litresDown({ shape: { kind: 'known', litres: 60 } }, 2)).toBeNull()
})

test('a reading with the level down reads high by full ÷ present litres', () => {
  expect(atFullLine(14, 6, 60)).toBeCloseTo(12.6, 12)
  expect(atFullLine(14, 0, 60)).toBe(14)
})

test('a top-off up to the mark changes no level, only litres above it dilute', () => {
  expect(psuAfterTopOff(13, 3, 60, 0, 1, 3)).toBe(13)
  expect(psuAfterTopOff(13, 5, 60, 0, 1, 3)).toBeCloseTo((13 * 60) / 62, 12)
})

/** Low salinity in 60 L: read at 1.009 two days after the start, on day 10 topped off half a litre a day. */
function low() {
  const it = quarantine({ definition: 'qt-d-hypo', start: { animalIds: ['cobalt', 'ash'] } })
  const reads = (day: number, time: string, gravity: number, downL?: number) =>
    it.write({
      kind: 'reading',
      ...it.at(day, time),
      tankId: 'quar',
      parameter: 'salinity',
      result: { kind: 'value', value: psuOfGravity(gravity) },
      unit: 'psu',
      ...(downL !== undefined && { downL }),
    })
  const fills = (day: number, time: string, litres: number) =>
    it.write({ kind: 'top-off', ...it.at(day, time), tankId: 'quar', litres, salinityPsu: 0, downL: litres })
  return { it, reads, fills }
}

test('with the level down the tested value is told as it is, and amounts go by the full line', () => {
  const { it, reads } = low()
  reads(0, '07:00', 1.0264)
  reads(3, '08:00', 1.0095, 3)
  const { salinity } = it.plan(3, '09:00')
  expect(salinity!.psu).toBeCloseTo(psuOfGravity(1.0095) * 0.95, 9)
  expect(salinityOf(it.journal, 'quar', it.ms(3, '09:00'))!.psu).toBeCloseTo(psuOfGravity(1.0095) * 0.95, 9)
})

test('after a top-off the next swap waits for a reading', () => {
  const { it, reads, fills } = low()
  reads(0, '08:00', 1.0264)
  const swapOf = (time: string) => it.plan(0, time).tasks.find(({ step }) => step === 'lower')!
  it.write({
    kind: 'reading',
    ...it.at(0, '08:05'),
    tankId: 'quar',
    parameter: 'ph',
    result: { kind: 'value', value: 8.1 },
    unit: 'pH',
  })
  expect(swapOf('09:00').waitsFor).toBeUndefined()
  fills(0, '09:30', 0.5)
  expect(swapOf('10:00').waitsFor).toEqual(['a reading after the top-off'])
  reads(0, '10:30', 1.0262)
  expect(swapOf('11:00').waitsFor).toBeUndefined()
})

test('of missed steps down one is open', () => {
  const { it, reads } = low()
  reads(0, '08:00', 1.0264)
  const open = it.plan(3, '12:00').tasks.filter(({ step, state }) => step === 'lower' && state !== 'ahead')
  expect(open).toHaveLength(1)
})

test('the way back up says what water, how many litres and how much salt', () => {
  const { it, reads } = low()
  reads(0, '08:00', 1.0264)
  for (let day = 3; day < 34; day++) for (const time of ['08:00', '20:00']) reads(day, time, 1.009)
  const how = it.plan(34, '12:00').tasks.find(({ how: words }) => words?.includes('sea salt'))!.how
  expect(how).toMatch(/for all \d+ swaps .* L with about [\d.]+ kg of sea salt\./)
})

describe('what evaporates', () => {
  const daily = (days: number, litres: number) => {
    const journal = new Journal()
    const { record } = scribe('2026-01-01T00:00:00Z')
    for (let day = 0; day < days; day++)
      journal.add([
        record({
          kind: 'top-off',
          happened: new Date(Date.parse('2026-06-01T08:00:00Z') + day * DAY).toISOString(),
          tankId: 'quar',
          litres,
        }),
      ])
    return { journal, now: Date.parse('2026-06-01T08:00:00Z') + (days - 1) * DAY }
  }

  test('is learnt from a week of top-offs, not from less', () => {
    const week = daily(8, 0.6)
    expect(evaporationOf(week.journal, 'quar', week.now)!.litresADay).toBeCloseTo(0.6, 12)
    const less = daily(6, 0.6)
    expect(evaporationOf(less.journal, 'quar', less.now)).toBeNull()
    expect(evaporationOf(week.journal, 'reef', week.now)).toBeNull()
  })

  test('says when a limit would be crossed', () => {
    // 60 L at 9 of 10 units: over it once a tenth of the water is gone, 6 L, ten days at 0.6 L.
    expect(crossesAt({ litresADay: 0.6 }, 60, 9, 10, 0)).toBeCloseTo(10 * DAY, 3)
    expect(crossesAt({ litresADay: 0.6 }, 60, 10, 10, 0)).toBeNull()
  })

  test('warns of days away in which a low salinity rises over its limit', () => {
    const { it, reads, fills } = low()
    reads(0, '08:00', 1.0264)
    for (let day = 3; day <= 12; day++) {
      fills(day, '07:30', 1.2)
      reads(day, '08:00', 1.009)
    }
    const away = (days: number) =>
      it.write({
        kind: 'away',
        ...it.at(12, '09:00'),
        from: it.at(13, '08:00').happened,
        until: it.at(13 + days, '08:00').happened,
      })
    away(1)
    expect(it.plan(12, '12:00').warnings.find(({ id }) => id === 'drying')).toBeUndefined()
    away(9)
    expect(it.plan(12, '12:00').warnings.find(({ id }) => id === 'drying')!.text).toMatch(
      /about 1\.2 L evaporate a day: .* it is over 1\.010 from/,
    )
  })
})
