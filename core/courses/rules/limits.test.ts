import type { ContentOf } from '../../journal/entry.ts'
import { ofKind, one, ramped, type Ward } from '../testing/ward.ts'
import { quarantine, type Quarantine } from '../testing/schools.ts'
import { psuOfGravity } from '../../salinity/gravity.ts'

type Result = ContentOf<'reading'>['result']

const reads = (
  it: Pick<Ward | Quarantine, 'write' | 'at'>,
  day: number,
  time: string,
  parameter: string,
  result: Result,
) =>
  it.write({
    kind: 'reading',
    ...it.at(day, time),
    tankId: 'quar',
    parameter,
    result,
    unit: parameter === 'salinity' ? 'psu' : 'mg/L',
    ...(parameter === 'tan' && { basis: 'NH4' as const }),
  })

describe('copper read by a test that gives limits or ranges', () => {
  const held = (): Ward => {
    const it = ramped()
    for (const day of [2, 3, 4]) it.read(day, '08:00', 2.2)
    return it
  }

  test('“< 0.5” breaks the count and calls for a dose, none larger than for 0.5', () => {
    const it = held()
    reads(it, 4, '09:00', 'copper', { kind: 'below', limit: 0.5 })
    expect(it.plan(4, '10:00').clock).toMatchObject({ state: 'broken' })
    const redose = one(it, 4, '10:00', 'redose')!
    expect(redose.state).toBe('due')
    expect(redose.dose!.makesMgPerL).toBeLessThanOrEqual(2.5)
  })

  test('“> 3” calls for water without copper, and the count goes on', () => {
    const it = held()
    reads(it, 4, '09:00', 'copper', { kind: 'above', limit: 3 })
    expect(it.plan(4, '10:00').clock.state).not.toBe('broken')
    expect(one(it, 4, '10:00', 'dilute')).toMatchObject({ state: 'due' })
  })

  test('“> 2.1” leaves open whether it is too high: nothing is dosed or thinned on it', () => {
    const it = held()
    reads(it, 4, '09:00', 'copper', { kind: 'above', limit: 2.1 })
    expect(ofKind(it, 4, '10:00', 'redose', 'dilute')).toEqual([])
  })

  test('a range inside the band proves it, one across its low proves nothing', () => {
    const inside = held()
    reads(inside, 4, '09:00', 'copper', { kind: 'range', low: 2.1, high: 2.3 })
    const across = held()
    reads(across, 4, '09:00', 'copper', { kind: 'range', low: 1.8, high: 2.3 })
    expect(inside.plan(4, '10:00').clock.provenHours).toBeGreaterThan(across.plan(4, '10:00').clock.provenHours)
  })
})

describe('low salinity', () => {
  const low = (): Quarantine => {
    const it = quarantine({ definition: 'qt-d-hypo' })
    it.reading(0, '07:00', 'salinity', 34.8)
    for (const day of [2, 3, 4, 5]) it.reading(day, '08:00', 'salinity', psuOfGravity(1.009))
    return it
  }

  test.each<[string, Result]>([
    ['“> 15 psu”', { kind: 'above', limit: 15 }],
    ['16–17 psu', { kind: 'range', low: 16, high: 17 }],
  ])('%s breaks it', (_, result) => {
    const it = low()
    expect(it.count(5, '09:00', 'held').state).toBe('running')
    reads(it, 5, '20:00', 'salinity', result)
    expect(it.count(5, '21:00', 'held').state).toBe('broken')
    expect(it.standing(5, '21:00').rules.find(({ rule }) => rule === 'salinity-high')).toMatchObject({ state: 'holds' })
  })
})

describe('ammonia as a limit', () => {
  test.each<[string, Result, string]>([
    ['> 2', { kind: 'above', limit: 2 }, 'broken'],
    ['0.5–1', { kind: 'range', low: 0.5, high: 1 }, 'broken'],
    ['< 0.1', { kind: 'below', limit: 0.1 }, 'holds'],
    ['< 0.5', { kind: 'below', limit: 0.5 }, 'ask'],
  ])('%s mg/L NH4 under copper', (_, result, state) => {
    const it = ramped()
    it.read(3, '08:00', 2.2)
    reads(it, 3, '09:00', 'tan', result)
    expect(it.plan(3, '10:00').rules.find(({ id }) => id === 'ammonia')).toMatchObject({ state })
  })
})
