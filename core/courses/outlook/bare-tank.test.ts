import { NH4_PER_N } from '../../units/units.ts'
import { twoSets } from '../testing/rounds.ts'
import { ammoniaAhead } from './bare-tank.ts'

const tan = (it: ReturnType<typeof twoSets>, hours: number, tankId: string, value: number) =>
  it.write({
    kind: 'reading',
    ...it.at(hours),
    tankId,
    parameter: 'tan',
    result: { kind: 'value', value },
    unit: 'mg/L',
  })

test('without a reading by what two fish are taken to give off: 17 mg of NH4 a day in 40 L', () => {
  const it = twoSets()
  const ahead = ammoniaAhead(it.journal, it.plan(24))!
  expect(ahead).toMatchObject({ tankId: 'a', basis: 'assumed', since: it.ms(0), moveBy: it.ms(74) })
  expect(ahead.perDayMgPerL).toBeCloseTo((2 * 6.624 * NH4_PER_N) / 40, 6)
  expect(ahead.nowMgPerL).toBeCloseTo(ahead.perDayMgPerL, 6)
  expect(ahead.atMoveMgPerL).toBeCloseTo((74 / 24) * ahead.perDayMgPerL, 6)
  // 0.25 is passed already.
  expect(ahead.warnAt).toBe(it.ms(24))
  expect((ahead.alarmAt! - it.ms(0)) / 3_600_000).toBeCloseTo((0.5 / ahead.perDayMgPerL) * 24, 6)
})

test('a reading in this water decides, and a change thins what is there', () => {
  const it = twoSets()
  tan(it, 24, 'a', 0.2)
  expect(ammoniaAhead(it.journal, it.plan(30))).toMatchObject({ basis: 'read', perDayMgPerL: 0.2 })
  it.write({ kind: 'water-change', ...it.at(36), tankId: 'a', litres: 20 })
  const after = ammoniaAhead(it.journal, it.plan(36))!
  expect(after.nowMgPerL).toBeCloseTo(0.15, 6)
  expect(after.atMoveMgPerL).toBeCloseTo(0.15 + (0.2 * 38) / 24, 6)
})

test('after a move the water is new, and the rate is that of the set before by its litres', () => {
  const it = twoSets()
  tan(it, 48, 'a', 0.4)
  it.move(70)
  const ahead = ammoniaAhead(it.journal, it.plan(82))!
  expect(ahead).toMatchObject({ tankId: 'b', basis: 'read', since: it.ms(70), moveBy: it.ms(144) })
  expect(ahead.nowMgPerL).toBeCloseTo(0.1, 6)
})

test('no such reckoning where nothing is moved, nor once all is done', () => {
  const it = twoSets({ definition: 'qt-f-observe' })
  expect(ammoniaAhead(it.journal, it.plan(5))).toBeNull()
  const full = twoSets()
  for (const hours of [72, 144, 216, 288]) full.move(hours)
  expect(ammoniaAhead(full.journal, full.plan(290))).toBeNull()
})

test('a reading of nothing tells no rate: two fish are assumed, as before the first', () => {
  const it = twoSets()
  const before = ammoniaAhead(it.journal, it.plan(24))!
  tan(it, 23, 'a', 0)
  expect(ammoniaAhead(it.journal, it.plan(24))).toMatchObject({ basis: 'assumed', perDayMgPerL: before.perDayMgPerL })
})

test('a change in the set before belongs to its own rate, and thins nothing in the set of now', () => {
  const it = twoSets()
  it.write({ kind: 'water-change', ...it.at(24), tankId: 'a', litres: 20 })
  // One day at the rate, halved, then one more: 1.5 days of it.
  tan(it, 48, 'a', 0.3)
  it.move(70)
  const ahead = ammoniaAhead(it.journal, it.plan(94))!
  expect(ahead).toMatchObject({ tankId: 'b', basis: 'read' })
  expect(ahead.perDayMgPerL).toBeCloseTo(0.2, 6)
  expect(ahead.nowMgPerL).toBeCloseTo(0.2, 6)
})
