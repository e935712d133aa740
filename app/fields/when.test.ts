import { zoneClock } from '../../core/time/zone.ts'
import { readWhenFields, whenOn } from './when.tsx'

const lisbon = zoneClock('Europe/Lisbon')
const NOW = Date.parse('2026-11-23T18:30:40Z')

describe('when it happened, from a date and a time field', () => {
  test('this minute is now, to the second; an earlier one is its beginning', () => {
    expect(readWhenFields({ date: '2026-11-23', time: '18:30' }, lisbon, NOW)).toEqual({
      happened: '2026-11-23T18:30:40.000Z',
    })
    expect(readWhenFields({ date: '2026-11-22', time: '21:05' }, lisbon, NOW)).toEqual({
      happened: '2026-11-22T21:05:00.000Z',
    })
  })

  test('what lies ahead is refused beside the field that is ahead', () => {
    expect(readWhenFields({ date: '2026-11-24', time: '08:00' }, lisbon, NOW)).toHaveProperty('problems.date.message')
    expect(readWhenFields({ date: '2026-11-23', time: '23:00' }, lisbon, NOW)).toHaveProperty('problems.time.message')
  })

  test('a day of another century is refused beside its field', () => {
    expect(readWhenFields({ date: '1926-11-22', time: '08:00' }, lisbon, NOW)).toHaveProperty('problems.date.message')
    expect(readWhenFields({ date: '0026-11-22', time: '08:00' }, lisbon, NOW)).toHaveProperty('problems.date.message')
    expect(readWhenFields({ date: '2019-11-22', time: '08:00' }, lisbon, NOW)).toHaveProperty('happened')
  })

  test('a day or time that does not exist, the hour the clocks skipped among them', () => {
    expect(readWhenFields({ date: '2026-02-30', time: '08:00' }, lisbon, NOW)).toHaveProperty('problems.date.message')
    expect(readWhenFields({ date: '2026-11-22', time: '25:00' }, lisbon, NOW)).toHaveProperty('problems.time.message')
    expect(readWhenFields({ date: '2026-03-29', time: '01:30' }, lisbon, NOW)).toHaveProperty('problems.time.message')
  })

  test('a corrected entry whose time was not touched keeps its exact instant', () => {
    const values = { date: '2026-11-20', time: '08:10' }
    expect(readWhenFields({ ...values }, lisbon, NOW, { values, at: '2026-11-20T08:10:33.120Z' })).toEqual({
      happened: '2026-11-20T08:10:33.120Z',
    })
  })

  test('a form opened on a past day starts at noon there, one opened today starts now', () => {
    expect(whenOn(lisbon.dayOf(NOW) - 3, NOW, lisbon)).toEqual({ date: '2026-11-20', time: '12:00' })
    expect(whenOn(null, NOW, lisbon)).toEqual({ date: '2026-11-23', time: '18:30' })
  })
})
