import { parameterById } from '../catalogue/parameter.ts'
import { tankById } from '../household/tanks.ts'
import type { Content } from '../journal/entry.ts'
import { expectedReading, isFarFrom } from '../readings/expected.ts'
import { MS_PER_DAY } from '../time/zone.ts'
import { balanceEvents } from './balance.ts'
import { dosedSince, testsInTrend, testPoints } from './points.ts'
import { sideRises } from './side-rises.ts'
import { ammoniaByTwoMethods } from './two-methods.ts'
import { isUptakeCertain, uptakeOf } from './uptake.ts'
import { volumeByDoses } from './volume-by-doses.ts'
import { ms, on, reef } from './testing.ts'

const at = (day: number) => ({ ...on(day), tankId: 'hall' })
const alk = parameterById('alk-kh')!
const no3 = parameterById('no3')!

const reading = (day: number, parameter: string, value: number, uncertainty?: number): Content => ({
  kind: 'reading',
  ...at(day),
  parameter,
  result: { kind: 'value', value },
  unit: parameterById(parameter)!.unit,
  ...(uncertainty !== undefined && { uncertainty }),
})
const dose = (day: number, ingredient: string, massMg: number, grams = massMg / 1000): Content => ({
  kind: 'dose',
  ...at(day),
  ingredient,
  amount: grams,
  unit: 'g',
  massMg,
})
const change = (day: number, litres: number): Content => ({ kind: 'water-change', ...at(day), litres })
const mixed = (day: number, ...readings: { parameter: string; value: number }[]): Content => ({
  kind: 'new-water',
  happened: at(day).happened,
  litres: 50,
  readings,
})

describe('what moved a level', () => {
  test('doses in the net volume, changes by what their water held', () => {
    const journal = reef(
      mixed(0, { parameter: 'alk-kh', value: 9 }),
      dose(1, 'sodium-bicarbonate', 6000),
      change(2, 40),
      dose(3, 'potassium-chloride', 5000),
    )
    expect(balanceEvents(journal, 'hall', 'alk-kh', ms(0), ms(9))).toEqual([
      // 6,000 mg in 200 L are 30 mg/L, one degree.
      { at: ms(1), add: expect.closeTo(1, 3) as number, fraction: 0, replacement: null },
      { at: ms(2), add: 0, fraction: 0.2, replacement: 9 },
    ])
  })
  test('potassium comes with nitrate, alkalinity with silicate', () => {
    const journal = reef(
      dose(1, 'potassium-nitrate', 2000, 2 / 0.6133),
      dose(2, 'sodium-silicate-pentahydrate', 200, 0.2 / 0.2832),
    )
    expect(balanceEvents(journal, 'hall', 'k', ms(0), ms(9))[0]!.add).toBeCloseTo(6.306, 3)
    expect(balanceEvents(journal, 'hall', 'alk-kh', ms(0), ms(9))[0]!.add).toBeCloseTo(0.0932, 4)
  })
})

describe('uptake', () => {
  test('what is missing of what was dosed and changed, a day', () => {
    const journal = reef(
      reading(0, 'alk-kh', 8, 0.2),
      dose(1, 'sodium-bicarbonate', 6000),
      reading(5, 'alk-kh', 8, 0.2),
      reading(10, 'alk-kh', 7, 0.2),
    )
    const uptake = uptakeOf(journal, 'hall', alk, ms(10))!
    expect(uptake.intervals.map(({ perDay }) => Number(perDay.toFixed(3)))).toEqual([0.2, 0.2])
    expect(uptake.perDay).toBeCloseTo(0.2, 4)
    // Two tests of 0.2 over ten days.
    expect(uptake.error).toBeCloseTo(0.0283, 4)
    expect(isUptakeCertain(uptake)).toBe(true)
  })
  test('untested new water brings no nitrate; of alkalinity the middle of the band is assumed, and counted', () => {
    const journal = reef(reading(0, 'no3', 10), change(1, 100), reading(4, 'no3', 5))
    expect(uptakeOf(journal, 'hall', no3, ms(4))).toMatchObject({ perDay: 0, assumed: { changes: 1, value: 0 } })
    const other = reef(reading(0, 'alk-kh', 8), change(1, 100), reading(4, 'alk-kh', 8.375))
    // Half of 8 and half of 8.75.
    expect(uptakeOf(other, 'hall', alk, ms(4))!.perDay).toBeCloseTo(0, 9)
  })
  test('one test tells none, nor do two of the same days', () => {
    expect(uptakeOf(reef(reading(0, 'no3', 10)), 'hall', no3, ms(2))).toBeNull()
    expect(uptakeOf(reef(reading(0, 'no3', 10), reading(2, 'no3', 2)), 'hall', no3, ms(2))).toBeNull()
  })
  test('a lab that reads otherwise than the kit makes no uptake', () => {
    const lab = { ...reading(4, 'no3', 2), origin: 'lab' } as Content
    const journal = reef(reading(0, 'no3', 10), lab, reading(8, 'no3', 10))
    expect(uptakeOf(journal, 'hall', no3, ms(8))).toMatchObject({ perDay: 0 })
    expect(testPoints(journal, 'hall', 'no3', 0, ms(9)).map(({ isByLab }) => isByLab)).toEqual([false, true, false])
  })
})

describe('predicted against read', () => {
  const said = (value: number, ...since: Content[]) => {
    const expected = expectedReading(reef(reading(0, 'no3', 20, 2), ...since), 'hall', 'no3', ms(2))!
    return { ...expected, isFar: isFarFrom(expected, value, 2) }
  }
  test('after a change of tested water the prediction is one value, and two sds decide', () => {
    const water = mixed(0.5, { parameter: 'no3', value: 0 })
    expect(said(17.5, water, change(1, 50))).toMatchObject({ low: 15, high: 15, isPredicted: true, isFar: false })
    // Two sds of two tests off by 2 each: 2.89.
    expect(said(18.1, water, change(1, 50)).isFar).toBe(true)
  })
  test('without a word on the new water it is a range, and more is let pass', () =>
    expect(said(22, change(1, 50))).toMatchObject({ low: 15, high: 20, isPredicted: false, isFar: false }))
})

describe('what creeps up with a salt', () => {
  const carbonate = (days: number[]) => days.map((day) => dose(day, 'potassium-carbonate', 2000, 2 / 0.5658))
  test('potassium carbonate brings alkalinity: reckoned, and as it was read', () => {
    const journal = reef(reading(0, 'alk-kh', 8), ...carbonate([1, 2, 3, 4]), reading(5, 'alk-kh', 10.6))
    // 8,000 mg in 200 L are 40 mg/L, 0.0716 dKH each.
    expect(sideRises(journal, 'hall', ms(6))).toMatchObject([
      {
        parameter: { id: 'alk-kh' },
        dosedFor: { id: 'k' },
        brought: expect.closeTo(2.865, 3) as number,
        read: { first: { value: 8 }, last: { value: 10.6 } },
      },
    ])
  })
  test('less than a kit can tell, or longer ago than three weeks, is not said', () => {
    expect(sideRises(reef(dose(1, 'potassium-carbonate', 1000)), 'hall', ms(2))).toEqual([])
    expect(sideRises(reef(...carbonate([1, 2, 3, 4])), 'hall', ms(40))).toEqual([])
  })
})

describe('volume by doses and tests', () => {
  /** A tank of really 160 L, dosed 6 g of bicarbonate every other day: 1.25 dKH, all of it taken up again in two days. */
  const RISE = 6000 / 30 / 160
  const days = [0, 2, 4, 6, 8, 10]
  const of = (off: number) =>
    reef(
      ...days.flatMap((day) => [
        reading(day, 'alk-kh', 7, off),
        dose(day + 0.1, 'sodium-bicarbonate', 6000),
        reading(day + 0.5, 'alk-kh', 7 + RISE - (RISE / 2) * 0.5, off),
      ]),
    )
  test('a smaller water than the sheet’s is found, with what it may be off', () => {
    const journal = of(0.1)
    const learnt = volumeByDoses(journal, tankById(journal, 'hall')!, ms(11))!
    expect(learnt.litres).toBeCloseTo(160, -1)
    expect(learnt.sheetL).toBe(200)
    expect(learnt.sdL).toBeLessThan(10)
  })
  test('a coarse kit tells nothing, and neither does one dose', () => {
    const journal = of(1)
    expect(volumeByDoses(journal, tankById(journal, 'hall')!, ms(11))).toBeNull()
    const one = reef(
      reading(0, 'alk-kh', 7, 0.1),
      dose(0.1, 'sodium-bicarbonate', 6000),
      reading(1, 'alk-kh', 8.3, 0.1),
    )
    expect(volumeByDoses(one, tankById(one, 'hall')!, ms(2))).toBeNull()
  })
})

test('total ammonia against a badge, in the water of the tank', () => {
  const water = [reading(0, 'ph', 8), reading(0, 'temp', 25), reading(0, 'salinity', 35)]
  const badge = (low: number, high: number): Content => ({
    kind: 'reading',
    ...at(0.5),
    parameter: 'nh3',
    result: { kind: 'range', low, high },
    unit: 'mg/L',
  })
  const verdict = (tan: number, card: Content) => {
    const journal = reef(...water, reading(0, 'tan', tan, 0.3), card)
    const both = ammoniaByTwoMethods(journal, tankById(journal, 'hall')!, ms(1), 3 * MS_PER_DAY)
    return both?.compared.ok ? both.compared.value.verdict : null
  }
  expect(verdict(0.5, badge(0.01, 0.03))).toBe('agree')
  expect(verdict(2, badge(0, 0.02))).toBe('indicator-low')
  expect(verdict(0.1, badge(0.05, 0.1))).toBe('indicator-high')
  const journal = reef(...water, reading(-9, 'tan', 0.5), badge(0, 0.02))
  expect(ammoniaByTwoMethods(journal, tankById(journal, 'hall')!, ms(1), 3 * MS_PER_DAY)).toBeNull()
})

test('a trend begins where dosing began, once three tests are behind it', () => {
  const journal = reef(
    reading(0, 'no3', 3),
    reading(5, 'no3', 2),
    reading(10, 'no3', 1),
    dose(10.1, 'sodium-nitrate', 200),
    reading(11, 'no3', 2),
    dose(11.1, 'sodium-nitrate', 200),
    reading(12, 'no3', 3),
    reading(13, 'no3', 4),
  )
  const began = dosedSince(journal, 'hall', 'no3', ms(13))
  expect(began).toBe(ms(10.1))
  expect(dosedSince(journal, 'hall', 'no3', ms(20))).toBeNull()
  const tests = testPoints(journal, 'hall', 'no3', 0, ms(13))
  expect(testsInTrend(tests, ms(13), began).map(({ value }) => value)).toEqual([2, 3, 4])
  expect(testsInTrend(tests.slice(0, 5), ms(13), began)).toHaveLength(5)
})
