import { METRIC } from '../household/settings.ts'
import { productById } from '../household/shelf.ts'
import type { Content } from '../journal/entry.ts'
import { Journal } from '../journal/journal.ts'
import { scribe } from '../journal/testing.ts'
import { MS_PER_DAY } from '../time/zone.ts'
import { runOperation } from '../operations/run.ts'
import { expectedReading } from './expected.ts'
import { raisedBy } from './raises.ts'
import { alkalinityCorrection, correctionPortion, testingDebt } from './testing-debt.ts'

const START = Date.parse('2026-11-01T12:00:00Z')
const at = (day: number) => ({ happened: new Date(START + day * MS_PER_DAY).toISOString() })
const ms = (day: number) => START + day * MS_PER_DAY

function tub(...contents: Content[]) {
  const journal = new Journal()
  const { record } = scribe('2026-01-01T00:00:00Z')
  journal.add(
    [
      { kind: 'household', ...at(-40), timeZone: 'UTC', units: METRIC } as const,
      {
        kind: 'tank-setup',
        ...at(-40),
        tankId: 'frag',
        name: 'Frag',
        water: 'marine',
        role: 'frag',
        sheet: { shape: { kind: 'known', litres: 50 } },
      } as const,
      ...contents,
    ].map((content) => record(content as Content)),
  )
  return journal
}
const read = (day: number, value: number): Content => ({
  kind: 'reading',
  ...at(day),
  tankId: 'frag',
  parameter: 'alk-kh',
  result: { kind: 'value', value },
  unit: 'dKH',
  uncertainty: 0.3,
})

test('0.1 dKH vanish a day: the guess falls and widens with the days untested', () => {
  const journal = tub(read(0, 8.5), read(5, 8), read(10, 7.5))
  const debt = testingDebt(journal, 'frag', ms(13))!
  expect(debt.uptakePerDay).toBeCloseTo(0.1, 4)
  expect(debt.daysUntested).toBe(3)
  // The screen's figure is the command line's.
  const asked = runOperation('uptake.estimate', {
    readings: debt.readings.map(({ at: when, value }) => ({ at: new Date(when).toISOString(), value })),
    additions: [],
    waterChanges: [],
  })
  expect(asked.ok && asked.value.meanPerDay).toBe(debt.uptakePerDay)
  expect(debt.now.value).toBeCloseTo(7.2, 6)
  // By the kit: √2 · 0.3 over the ten days between the first test and the last.
  expect(debt.uptakeError).toBeCloseTo((Math.SQRT2 * 0.3) / 10, 6)
  expect(debt.now.value - debt.now.low).toBeCloseTo(Math.hypot(0.3, 3 * debt.uptakeError), 6)
  expect(debt.band).toEqual([7, 9])
  // 7.5 − 0.1 d − √(0.3² + (0.0424 d)²) meets 7 after about two days.
  expect((debt.alarmAt! - ms(10)) / MS_PER_DAY).toBeCloseTo(2, 0)
})

test('what was dosed and changed is no uptake, and the guess takes in what was done since', () => {
  const dose: Content = {
    kind: 'dose',
    ...at(3),
    tankId: 'frag',
    ingredient: 'sodium-bicarbonate',
    amount: 1.5,
    unit: 'g',
    massMg: 1500,
  }
  // 1500 mg in 50 L are 1 dKH.
  const journal = tub(read(0, 8), dose, read(10, 8))
  expect(testingDebt(journal, 'frag', ms(10))!.uptakePerDay).toBeCloseTo(0.1, 4)
  const since = tub(read(0, 8.5), read(10, 7.5), { ...dose, ...at(12) })
  expect(testingDebt(since, 'frag', ms(13))!.now.value).toBeCloseTo(7.5 - 0.3 + 1, 3)
})

test('water that was mixed and tested brings what was read of it', () => {
  const journal = tub(
    { kind: 'new-water', ...at(4), litres: 20, readings: [{ parameter: 'alk-kh', value: 7 }] },
    read(0, 8),
    { kind: 'water-change', ...at(5), tankId: 'frag', litres: 25 },
    read(10, 7.5),
  )
  // 8 → half with 7: 7.5, and so nothing vanished.
  expect(testingDebt(journal, 'frag', ms(10))!.uptakePerDay).toBeCloseTo(0, 6)
})

test('one reading tells nothing; nor does a tank that is not there', () => {
  expect(testingDebt(tub(read(0, 8)), 'frag', ms(3))).toBeNull()
  expect(testingDebt(tub(read(0, 8), read(5, 8)), 'other', ms(3))).toBeNull()
})

describe('the correction', () => {
  const low = (...more: Content[]) => {
    const journal = tub(read(0, 7.5), read(10, 6.5), ...more)
    return { journal, debt: testingDebt(journal, 'frag', ms(10))! }
  }

  test('1.5 dKH are missing: a day’s cap and a day’s uptake, in portions of a quarter', () => {
    const { journal, debt } = low()
    const found = alkalinityCorrection(journal, 'frag', debt)!
    expect(found).toMatchObject({ capPerDay: 1, days: 2, portions: 5 })
    expect(found.missing).toBeCloseTo(1.5, 6)
    expect(found.today).toBeCloseTo(1.1, 6)
    // 30 mg a litre and degree: 1.1 · 30 · 50 / 1000 g.
    expect(found.gramsToday).toBeCloseTo(1.65, 3)
  })

  test('half a degree a day where small-polyp corals live, by the ledger or by name', () => {
    const coral = { tankId: 'frag', group: 'coral-sps' } as const
    for (const content of [
      { kind: 'arrival', ...at(-9), ...coral, animalId: 'a', species: 'Acropora', count: 1 },
      { kind: 'part-setup', ...at(-9), ...coral, partId: 'a', what: 'coral', name: 'Acropora' },
    ] as const) {
      const { journal, debt } = low(content)
      expect(alkalinityCorrection(journal, 'frag', debt)).toMatchObject({ capPerDay: 0.5, days: 3 })
    }
  })

  test('none while the guess is in the middle or over it', () => {
    const journal = tub(read(0, 8.6), read(10, 8.5))
    expect(alkalinityCorrection(journal, 'frag', testingDebt(journal, 'frag', ms(10))!)).toBeNull()
  })

  test('a portion is what the scale can weigh; what it cannot is none', () => {
    const { journal, debt } = low()
    const correction = alkalinityCorrection(journal, 'frag', debt)!
    const portion = (step: number) => {
      const bicarbonate: Content = {
        kind: 'product-setup',
        ...at(-9),
        productId: `soda-${step}`,
        name: 'soda',
        ingredient: 'sodium-bicarbonate',
        strength: { kind: 'powder', activeFraction: 1 },
        measure: { tool: 'scale', step },
      }
      const house = tub(bicarbonate)
      return correctionPortion(correction, productById(house, `soda-${step}`)!, {
        tankId: 'frag',
        courseId: 'c',
        at: ms(10),
      })
    }
    // A fifth of 1.65 g is 0.33: down to what the scale shows, never up.
    expect(portion(0.2)).toMatchObject({ amount: 0.2 })
    expect(portion(0.1)).toMatchObject({ amount: 0.3, unit: 'g', massMg: expect.closeTo(300, 6) as number })
    expect(portion(1)).toBeNull()
  })
})

test('a dose of bicarbonate is expected as degrees, not as milligrams', () => {
  expect(raisedBy('sodium-bicarbonate', 'alk-kh', 15)).toBeCloseTo(0.5, 4)
  expect(raisedBy('potassium-carbonate', 'alk-kh', 10)).toBeCloseTo(0.716, 3)
  expect(raisedBy('potassium-carbonate', 'k', 10)).toBe(10)
  expect(raisedBy('praziquantel', 'alk-kh', 10)).toBe(0)
  const journal = tub(read(0, 8), {
    kind: 'dose',
    ...at(1),
    tankId: 'frag',
    ingredient: 'sodium-bicarbonate',
    amount: 1.5,
    unit: 'g',
    massMg: 1500,
  })
  expect(expectedReading(journal, 'frag', 'alk-kh', ms(2))!.high).toBeCloseTo(9, 3)
})
