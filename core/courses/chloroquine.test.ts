import { ramped, ward, one, ofKind, amount, wall } from './testing/ward.ts'
import { standingOf } from './standing/standing.ts'
import { courseById } from './course.ts'

/** 60 L under chloroquine: 13.2 mg/L is 792 mg, 79.2 mL of 10 mg in a mL. */
const begun = (protocol = 'qt-b-drug14') => {
  const it = ward({ doseId: 'chloroquine-std', protocol })
  it.dose(0, '18:00', 79.2)
  return it
}
const heldAt = (it: ReturnType<typeof ward>, day: number, time: string) =>
  standingOf(it.journal, courseById(it.journal, 'c')!, it.settings, it.ms(day, time)).counts[0]!

describe('chloroquine, which no test at home measures', () => {
  test('one dose to the target; its count is logged, from the full dose to now', () => {
    const it = ward({ doseId: 'chloroquine-std' })
    const ramp = one(it, 0, '18:10', 'ramp')!
    expect(ramp.title).toBe('Dose chloroquine to 13.20')
    expect(amount(ramp)).toBe('79.2 mL → 13.200')
    it.dose(0, '19:00', 79.2)
    expect(heldAt(it, 5, '19:00')).toMatchObject({
      state: 'running',
      has: 120,
      needs: 336,
      proof: 'logged',
      restarts: [],
    })
    expect(ofKind(it, 5, '19:00', 'read', 'ramp', 'redose')).toEqual([])
  })

  test('thirty days as further-schools has it: 720 h', () => {
    expect(heldAt(begun('qt-a-cq30'), 1, '18:00')).toMatchObject({ has: 24, needs: 720 })
  })

  test('a change of 19 % leaves it in range and is redosed; one of 20 % breaks the count', () => {
    const it = begun()
    it.change(3, '18:00', 0.19 * 60)
    expect(heldAt(it, 4, '18:00')).toMatchObject({ state: 'running', has: 96 })
    expect(one(it, 3, '18:10', 'redose')).toMatchObject({ title: 'Redose chloroquine', why: 'after the 11.4 L change' })
    it.dose(3, '19:00', 15)
    it.change(5, '18:00', 12)
    expect(heldAt(it, 5, '20:00')).toMatchObject({ state: 'broken', has: 0, restarts: [{ why: 'level-low' }] })
    expect(one(it, 5, '20:00', 'redose')!.why).toBe('after the 12 L change: the water is under 10.60')
    it.dose(5, '21:00', 15.8)
    expect(heldAt(it, 6, '21:00')).toMatchObject({ state: 'running', has: 24 })
    expect(it.plan(6, '21:00').warnings.map(({ text }) => text)[0]).toMatch(
      /^Chloroquine was under 10.60 for about 3 h/,
    )
  })

  test('full at fourteen days, and moved under the same rules as copper', () => {
    const it = begun()
    const move = one(it, 14, '18:30', 'move')!
    expect(wall(it, move.best)).toBe('14 18:00')
    expect(heldAt(it, 14, '18:30')).toMatchObject({ state: 'full', basis: 'happened' })
    expect(it.plan(14, '18:30').rules.find(({ id }) => id === 'held')).toMatchObject({ state: 'holds', says: 'logged' })
  })

  test('carbon takes it out: nothing counts while it runs', () => {
    const it = begun()
    it.write({ kind: 'equipment', ...it.at(2, '18:00'), tankId: 'quar', item: 'carbon', running: true })
    expect(heldAt(it, 3, '18:00')).toMatchObject({ has: 0 })
  })
})

test('ids of an earlier version’s tasks still count as said', () => {
  const it = ramped()
  it.read(3, '08:00', 2.2)
  it.write({
    kind: 'task',
    ...it.at(4, '09:00'),
    taskId: 'c/read/2026-11-05',
    tankId: 'quar',
    courseId: 'c',
    state: 'skipped',
    why: 'kit is empty',
  })
  expect(wall(it, ofKind(it, 4, '09:30', 'read')[0]!.best)).toBe('5 08:00')
  expect(ofKind(it, 4, '09:30', 'read')[0]!.id).toBe('c/read/5')
})

test.each([
  ['Europe/Lisbon', '2026-10-20', '2026-11-03T17:00:00.000Z'],
  ['America/New_York', '2026-10-25', '2026-11-08T22:00:00.000Z'],
  ['UTC', '2028-02-20', '2028-03-05T18:00:00.000Z'],
])('fourteen days are 336 elapsed hours in %s from %s, over the clock change and a leap day', (zone, day, full) => {
  const it = ward({ doseId: 'chloroquine-std', zone, day })
  it.dose(0, '18:00', 79.2)
  expect(heldAt(it, 5, '18:00').fullAt).toBe(full)
})
