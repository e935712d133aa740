import { windowsOf, twoSets } from '../testing/rounds.ts'
import { ramped } from '../testing/ward.ts'
import { MS_PER_HOUR } from '../../time/zone.ts'
import { consequencesOf } from './consequences.ts'

describe('a move that came too late', () => {
  function late(hoursLate: number) {
    const it = twoSets()
    it.move(72)
    it.move(144)
    it.move(216 + hoursLate)
    return it
  }

  test('eleven hours: what it means, to when it moves, and three ways on', () => {
    const it = late(11)
    const [one] = consequencesOf(it.plan(228))
    expect(one).toMatchObject({ rule: 'late-move', wasFullAt: it.ms(272), fullAt: it.ms(227 + 272) })
    expect(one!.ways.map(({ id }) => id)).toEqual(['as-counted', 'other-school', 'watch'])
  })

  test('the risk before, if it were ignored, and as it is counted: quarantine.md 4.1, five in a hundred for a day', () => {
    // The second move, when most of them leave the fish.
    const it = twoSets()
    for (const hours of [72, 168]) it.move(hours)
    const [{ risks }] = consequencesOf(it.plan(169)) as [ReturnType<typeof consequencesOf>[number]]
    const ich = risks.find(({ parasite }) => parasite === 'marine-ich')!
    expect(ich.before).toBeCloseTo(0.0005, 3)
    expect(ich.ignored).toBeCloseTo(0.05, 2)
    expect(ich.counted).toBeLessThanOrEqual(ich.before)
  })

  test('while it is not made yet the first way is to make it', () => {
    const it = twoSets()
    it.move(72)
    const [one] = consequencesOf(it.plan(150))
    expect(one).toMatchObject({ rule: 'late-move', at: it.ms(146), fullAt: null, wasFullAt: it.ms(272) })
    expect(one!.ways[0]!.id).toBe('do-it-now')
  })

  test('nothing is told of a chain in time, nor of one that is full', () => {
    const it = twoSets()
    it.move(72)
    expect(consequencesOf(it.plan(100))).toEqual([])
    it.move(144)
    it.move(216)
    it.move(288)
    expect(consequencesOf(it.plan(300))).toEqual([])
  })
})

test('a bath on the wrong day: no number, for no model holds baths', () => {
  const it = twoSets({ definition: 'qt-c-hybrid' })
  it.bath(71.5)
  it.move(72)
  it.move(144)
  it.bath(191)
  it.move(191.5)
  const off = consequencesOf(it.plan(192)).find(({ rule }) => rule === 'bath-spacing')!
  expect(off).toMatchObject({ at: it.ms(191), risks: [] })
  expect(off.ways).toHaveLength(2)
})

test('a wet net across: every fish in that water begins again from then', () => {
  const it = twoSets()
  it.move(72)
  it.write({ kind: 'contact', ...it.at(100), tankId: 'b', what: 'tool' })
  const [one] = consequencesOf(it.plan(110))
  expect(one).toMatchObject({ rule: 'cross-contact', at: it.ms(100), fullAt: it.ms(100 + 272) })
  expect(windowsOf(it, 110, 'move')[0]![2]).toBe(174)
})

test('copper under its range: the risk if ignored is far over that of the count as it stands', () => {
  const it = ramped()
  for (let day = 2; day <= 6; day++) it.read(day, '08:00', 2.22)
  it.change(6, '20:00', 20)
  it.read(7, '05:00', 1.5)
  it.dose(7, '05:00', 4.5)
  it.read(7, '08:00', 2.25)
  const low = consequencesOf(it.plan(7, '09:00')).find(({ rule }) => rule === 'level-low')!
  expect(low.means).toMatch(/medicine does not reach/)
  const ich = low.risks.find(({ parasite }) => parasite === 'marine-ich')!
  expect(ich.ignored).toBeGreaterThan(10 * ich.counted)
  expect(low.fullAt! - low.wasFullAt!).toBeGreaterThan(48 * MS_PER_HOUR)
})

test('1.95 against 2.00 is less than the test may err: said so, and the risk is only what it would be', () => {
  const it = ramped()
  for (let day = 2; day <= 6; day++) it.read(day, '08:00', 2.22)
  it.read(7, '05:00', 1.95)
  it.dose(7, '05:00', 1.8)
  it.read(7, '08:00', 2.25)
  const low = consequencesOf(it.plan(7, '09:00')).find(({ rule }) => rule === 'level-low')!
  expect(low.isWithinError).toBe(true)
  expect(low.means).toMatch(/^Read 1.95 mg\/L, 0.05 under its range: less than the test itself may err/)
})
