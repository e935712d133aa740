import { DEFINITIONS } from '../../catalogue/courses/all-definitions.ts'
import { drugsOf } from './drug-choices.ts'
import { rampLevels } from './ramp.ts'
import { doseById } from '../../catalogue/treatments/treatments.ts'
import { amount, one, wall, ward, window, type Ward } from '../testing/ward.ts'

/** Follows a course from its start, doing every ramp step at its best time; what each was. */
function rampBook(it: Ward): string[] {
  const book: string[] = []
  let [day, time] = [0, '18:00']
  for (let i = 0; i < 10; i++) {
    const task = one(it, day, time, 'ramp')
    if (!task) break
    const [bestDay, bestTime] = wall(it, task.best).split(' ') as [string, string]
    ;[day, time] = [Number(bestDay), bestTime]
    book.push(`${wall(it, task.best)} ${amount(task)}`)
    it.dose(day, time, task.dose!.amount!)
  }
  return book
}

describe('the ramp of each copper form, quarantine.md 5.5, in 60 L', () => {
  test('chelated: 1.0, 1.5, 2.0, 2.25, twelve to twenty-four hours apart', () => {
    const it = ward({ start: { rampHours: 24 } })
    expect(rampBook(it)).toEqual([
      '0 18:00 6 mL → 1.000',
      '1 18:00 3 mL → 1.500',
      '2 18:00 3 mL → 2.000',
      '3 18:00 1.5 mL → 2.250',
    ])
    expect(window(ward(), one(ward(), 0, '18:00', 'ramp'))).toEqual(['0 18:00', '0 18:00', '1 18:00'])
  })

  test('chelated every twelve hours, for thirty days: the same steps, once the newcomers have had their day', () => {
    const it = ward({ protocol: 'qt-a-cu30', start: { rampHours: 12 } })
    expect(rampBook(it)).toEqual([
      '0 18:00 6 mL → 1.000',
      '1 06:00 3 mL → 1.500',
      '1 18:00 3 mL → 2.000',
      '2 06:00 1.5 mL → 2.250',
    ])
  })

  test('the gentle band stops at 2.0', () => {
    const it = ward({ doseId: 'cu-chelated-gentle', protocol: 'qt-a-cu30' })
    expect(rampBook(it)).toEqual(['0 18:00 6 mL → 1.000', '1 18:00 3 mL → 1.500', '2 18:00 3 mL → 2.000'])
  })

  test('amine-complexed: 0.25, then 0.5 two days on', () => {
    const it = ward({ doseId: 'cu-amine-std' })
    expect(rampBook(it)).toEqual(['0 18:00 7.5 mL → 0.250', '2 18:00 7.5 mL → 0.500'])
  })

  test('copper sulphate: 0.05, 0.10, 0.15, 0.18', () => {
    const it = ward({ doseId: 'cu-ion-std', start: { rampHours: 12 } })
    expect(rampBook(it)).toEqual([
      '0 18:00 3 mL → 0.050',
      '1 06:00 3 mL → 0.100',
      '1 18:00 3 mL → 0.150',
      '2 06:00 1.8 mL → 0.180',
    ])
  })

  test('straight to the dose: 2.0 at once, then the last quarter', () => {
    expect(rampLevels({ dose: doseById('cu-chelated-std')!, direct: true })).toEqual([2, 2.25])
    expect(rampBook(ward({ start: { direct: true, rampHours: 12 } }))).toEqual([
      '0 18:00 12 mL → 2.000',
      '1 06:00 1.5 mL → 2.250',
    ])
  })

  test('a newcomer of the thirty-day school is watched a day before the first dose, unless it shows signs', () => {
    const it = ward({ protocol: 'qt-a-cu30' })
    it.write({
      kind: 'arrival',
      ...it.at(0, '12:00'),
      animalId: 'burr',
      tankId: 'quar',
      name: 'Burr',
      species: 'filefish',
      group: 'filefish',
      count: 1,
    })
    const late = ward({ protocol: 'qt-a-cu30', start: { animalIds: ['new'] } })
    late.write({
      kind: 'arrival',
      ...late.at(0, '12:00'),
      animalId: 'new',
      tankId: 'quar',
      species: 'tang',
      group: 'surgeonfish',
      count: 1,
    })
    expect(window(late, one(late, 0, '18:00', 'ramp'))![0]).toBe('1 12:00')
    late.write({
      kind: 'sighting',
      ...late.at(0, '17:59'),
      tankId: 'quar',
      animalIds: ['new'],
      signs: [{ sign: 'flashing', present: true }],
    })
    late.write({
      kind: 'sighting',
      ...late.at(0, '18:30'),
      tankId: 'quar',
      animalIds: ['new'],
      signs: [{ sign: 'flashing', present: true }],
    })
    expect(window(late, one(late, 0, '19:00', 'ramp'))![0]).toBe('0 18:00')
  })

  test('each step is dosed from the level there is: after a low reading more, in what the syringe measures', () => {
    const it = ward()
    it.dose(0, '18:00', 6)
    it.read(1, '08:00', 0.96)
    // 0.96 is within a twentieth of 1.0: the next step is 1.5, from 0.96: 32.4 mg, 3.24 mL, measured 3.2.
    expect(amount(one(it, 1, '09:00', 'ramp')!)).toBe('3.2 mL → 1.493')
    it.read(1, '10:00', 0.7)
    expect(one(it, 1, '11:00', 'ramp')).toMatchObject({ title: 'First step of 4: copper to 1.00' })
  })

  test('a late step moves what follows, and says so', () => {
    const it = ward()
    it.dose(0, '18:00', 6)
    const late = one(it, 2, '05:00', 'ramp')!
    expect(late).toMatchObject({
      state: 'late',
      why: '11 h late: the steps after it, and the count, begin that much later',
    })
    it.dose(2, '05:00', 3)
    expect(window(it, one(it, 2, '06:00', 'ramp'))).toEqual(['2 17:00', '3 05:00', '3 05:00'])
  })
})

describe('which forms may be held how long, quarantine.md 5.2', () => {
  const choices = DEFINITIONS.flatMap(drugsOf)
  const allowed = choices.filter((choice) => choice.allowed)

  test('fourteen days then move, thirty, or the gentle band, only where the dose’s row allows it', () => {
    expect(allowed.map(({ dose, definition }) => `${dose.id} ${definition.days}`)).toEqual([
      'cu-chelated-std 14',
      'cu-amine-std 14',
      'cu-ion-std 14',
      'chloroquine-std 14',
      'cu-chelated-std 30',
      'cu-chelated-gentle 30',
      'cu-amine-std 30',
      'chloroquine-std 30',
    ])
  })

  test('what is not allowed says what would be', () => {
    const refused = choices.filter((choice) => !choice.allowed)
    expect(refused.map(({ why }) => why)).toEqual([
      'Copper, chelated, gentle is held for 30 days, not 14',
      'Copper sulphate is held for 14 to 21 days, not 30',
    ])
  })
})
