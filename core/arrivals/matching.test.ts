import { matchedReading, matchingSwap, swapContent, swappedUnread } from './matching.ts'
import { home } from './testing.ts'

describe('a tank set to a bag', () => {
  test('down by fresh water: the share of its salt that has to go', () => {
    const swap = matchingSwap(60, { salinityPsu: 33 }, 27.5)!
    expect(swap).toMatchObject({ withWhat: 'fresh', litres: 10 })
    // Ten of sixty litres out, fresh water in: 33 · 50 ∕ 60.
    expect((33 * (60 - swap.litres)) / 60).toBeCloseTo(27.5, 9)
  })
  test('up there is no one answer; close enough there is nothing to do; without a volume nothing is made up', () => {
    expect(matchingSwap(60, { salinityPsu: 33 }, 35)).toMatchObject({ withWhat: 'salt', apart: 2 })
    expect(matchingSwap(60, { salinityPsu: 33 }, 33.02)).toBeNull()
    expect(matchingSwap(null, { salinityPsu: 33 }, 27)).toBeNull()
  })
})

test('a swap is unread until salinity is measured after it; water like the tank’s own is no swap', () => {
  const it = home()
  it.read(0, '08:00', 'side', 'salinity', 33)
  it.on(0, '09:00', 'water-change', { tankId: 'side', litres: 5 })
  expect(swappedUnread(it.journal, 'side')).toBeNull()
  it.write(swapContent('side', 8, it.ms(0, '10:00')))
  const [second] = it.write(swapContent('side', 2, it.ms(0, '11:00')))
  expect(swappedUnread(it.journal, 'side')).toEqual({ litres: 10, at: it.ms(0, '11:00') })
  expect(swappedUnread(it.journal, 'hall')).toBeNull()
  it.journal.add([{ id: 'strike', logged: '2026-11-01T11:05:00Z', strikes: second!.id }])
  expect(swappedUnread(it.journal, 'side')).toEqual({ litres: 8, at: it.ms(0, '10:00') })
  it.read(0, '11:30', 'side', 'salinity', 26)
  expect(swappedUnread(it.journal, 'side')).toBeNull()
})

test('a matched tank was measured: with the kit on record, to what it shows; of fresh water no salinity is kept', () => {
  const it = home()
  const side = { id: 'side', water: 'marine' } as const
  expect(matchedReading(it.journal, side, 26.04, it.ms(0, '12:00'))).toMatchObject([
    { kind: 'reading', tankId: 'side', parameter: 'salinity', result: { value: 26 }, unit: 'psu', uncertainty: 1 },
  ])
  it.on(-9, '08:00', 'kit-setup', { kitId: 'meter', parameter: 'salinity', name: 'meter', uncertainty: { abs: 0.3 } })
  expect(matchedReading(it.journal, side, 26.04, it.ms(0, '12:00'))).toMatchObject([
    { kitId: 'meter', uncertainty: 0.3 },
  ])
  expect(matchedReading(it.journal, { id: 'study', water: 'freshwater' }, 0.2, it.ms(0, '12:00'))).toEqual([])
})
