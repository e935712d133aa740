import { Journal } from '../journal/journal.ts'
import { scribe } from '../journal/testing.ts'
import { mixedWaterHeld } from './balance.ts'
import { mixedWaterContent, mixedWaterFaults, mixedWaters } from './mixed-water.ts'

const at = Date.parse('2026-06-01T18:00:00Z')
const typed = {
  litres: 40,
  saltG: 1450,
  psu: 35,
  values: new Map([
    ['alk-kh', 8.2],
    ['no3', 0],
  ]),
}

test('a record holds what was mixed and tested, and later changes are worked out with it', () => {
  const journal = new Journal()
  const { record } = scribe('2026-01-01T00:00:00Z')
  journal.add([
    record(mixedWaterContent({ litres: 20, saltG: null, psu: null, values: new Map() }, at - 86_400_000)),
    record(mixedWaterContent(typed, at)),
  ])
  const [last, first] = mixedWaters(journal)
  expect(last).toMatchObject({ litres: 40, saltG: 1450, psu: 35 })
  expect(last!.readings.map(({ parameter, value }) => [parameter.id, value])).toEqual([
    ['alk-kh', 8.2],
    ['no3', 0],
  ])
  expect(first).toMatchObject({ litres: 20, saltG: null, psu: null, readings: [] })
  expect(mixedWaterHeld(journal, 'alk-kh', at + 1)).toBe(8.2)
  expect(mixedWaterHeld(journal, 'salinity', at + 1)).toBe(35)
  expect(mixedWaterHeld(journal, 'salinity', at - 1)).toBeNull()
})

test('what cannot be is told beside its field', () => {
  expect(mixedWaterFaults(typed)).toEqual({})
  expect(mixedWaterFaults({ litres: null, saltG: 0, psu: 1025, values: new Map([['alk-kh', 80]]) })).toEqual({
    litres: 'how much was mixed',
    saltG: 'grams of salt, or empty',
    psu: 'no sea water is that salty: check the unit',
    'alk-kh': '0 to 30: test it again',
  })
})
