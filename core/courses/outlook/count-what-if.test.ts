import { fragTub } from '../testing/corals.ts'
import { quarantine } from '../testing/schools.ts'
import { psuOfGravity } from '../../salinity/gravity.ts'
import { dosesToCome, ifDipped, ifDosedLate, ifSalinityRead, ifSeenNow } from './count-what-if.ts'
import { ifRaised } from './what-if.ts'

describe('the next salinity', () => {
  /** Low from day 2, 08:00, read each morning up to day 6: full on day 32. */
  function low() {
    const it = quarantine({ definition: 'qt-d-hypo' })
    it.reading(0, '07:00', 'salinity', 34.8)
    it.write({
      kind: 'water-change',
      ...it.at(2, '08:00'),
      tankId: 'quar',
      litres: 45,
      replacement: { salinityPsu: 0 },
    })
    for (let day = 2; day <= 6; day++) it.reading(day, '08:00', 'salinity', psuOfGravity(1.009))
    return it
  }
  test('1.009 goes on, as the count itself does once it is kept', () => {
    const it = low()
    const asked = ifSalinityRead(it.plan(6, '20:00'), psuOfGravity(1.009))!
    it.reading(6, '20:00', 'salinity', psuOfGravity(1.009))
    expect(asked).toMatchObject({ runs: true, begins: false })
    expect(it.wall(asked.fullAt)).toBe(it.wall(it.count(6, '20:00', 'held').fullAt))
  })
  test('1.0105 begins again: thirty days from now at the earliest', () => {
    const it = low()
    const asked = ifSalinityRead(it.plan(6, '20:00'), psuOfGravity(1.0105))!
    expect(asked).toMatchObject({ runs: false, begins: true })
    expect(it.wall(asked.fullAt)).toBe('36 20:00')
    expect(asked.wasFullAt).not.toBeNull()
    // Nothing is kept.
    expect(it.count(6, '21:00', 'held').state).toBe('running')
  })
  test('brought up early more of the parasite is left; of flukes nothing is modelled', () => {
    const it = low()
    const left = (day: number) => ifRaised(it.plan(6, '20:00'), it.ms(day, '08:00'))
    expect(left(12).map(({ parasite }) => parasite)).toEqual(['marine-ich'])
    expect(left(12)[0]!.risk).toBeGreaterThan(10 * left(32)[0]!.risk)
    expect(ifRaised(quarantine({ definition: 'qt-add-worm' }).plan(1, '08:00'), it.ms(9, '08:00'))).toEqual([])
  })
  test('no answer where no salinity is held', () => {
    expect(ifSalinityRead(quarantine({ definition: 'qt-add-worm' }).plan(1, '08:00'), 10)).toBeNull()
  })
})

describe('the next deworming, day five to nine after the first', () => {
  const dewormed = () => {
    const it = quarantine({ definition: 'qt-add-worm' })
    it.dose(0, '08:00', 'praziquantel', 150)
    return it
  }
  test.each([
    ['in time', 48, false, '9 08:00'],
    // The late one is number 1 of a new pair, and its second a week after it.
    ['an hour after day nine', 49, true, '16 09:00'],
  ])('%s', (_words, hours, begins, full) => {
    const it = dewormed()
    const asked = ifDosedLate(it.plan(1, '08:00'), 'dewormings', hours)!
    expect(asked.begins).toBe(begins)
    expect(it.wall(asked.fullAt)).toBe(full)
    expect(it.wall(asked.wasFullAt)).toBe('7 08:00')
  })
  test('what is full is not asked about', () => {
    const it = dewormed()
    expect(dosesToCome(it.plan(1, '08:00')).map(({ track }) => track.id)).toEqual(['dewormings'])
    it.dose(7, '08:00', 'praziquantel', 150)
    expect(dosesToCome(it.plan(7, '09:00'))).toEqual([])
    expect(ifDosedLate(it.plan(7, '09:00'), 'dewormings', 1)).toBeNull()
  })
  test('a missed dose of metronidazole ends the doses later and begins nothing again', () => {
    const it = quarantine({ definition: 'qt-add-metro' })
    it.dose(0, '08:00', 'metronidazole', 60 * 6.6)
    const plan = it.plan(0, '09:00')
    const [state] = dosesToCome(plan)
    const asked = ifDosedLate(plan, state!.track.id, 48)!
    expect(asked.begins).toBe(false)
    expect(asked.fullAt! - asked.wasFullAt!).toBe(48 * 3_600_000)
  })
})

describe('the next round of dips: five days apart, three clean ones for zoanthid-eating nudibranchs', () => {
  const once = () => {
    const it = fragTub()
    it.dip(0, '12:00')
    it.count(0, '12:30', 'came-off', [0, 0])
    return it
  }
  test('clean and in time it is the second; an animal costs both', () => {
    const it = once()
    const plan = it.plan(1, '09:00')
    expect(ifDipped(plan, {}, it.settings)).toMatchObject({ has: 2, need: 3, begins: false, fullAt: plan.dips!.fullAt })
    const off = ifDipped(plan, { cameOff: 1 }, it.settings)!
    expect(off).toMatchObject({ has: 0, begins: true })
    // Three more after the one that brought it off, five days apart, instead of one.
    expect(Math.round((off.fullAt! - plan.dips!.fullAt!) / 86_400_000)).toBe(10)
  })
  test('later than what hatches needs to lay, the clean ones begin again', () => {
    const it = once()
    const plan = it.plan(1, '09:00')
    const most = plan.dips!.pace.mostDays!
    expect(ifDipped(plan, { lateDays: most - 5 - 0.5 }, it.settings)!.begins).toBe(false)
    expect(ifDipped(plan, { lateDays: most - 5 + 0.5 }, it.settings)!).toMatchObject({ begins: true, has: 1 })
  })
})

describe('watched without medicine', () => {
  test('a sign today costs what definitions say, a death fourteen days', () => {
    const it = quarantine({ definition: 'qt-f-observe' })
    const plan = it.plan(10, '08:00')
    const sign = ifSeenNow(it.journal, plan, 'sign', it.settings)!
    const death = ifSeenNow(it.journal, plan, 'death', it.settings)!
    expect([sign.begins, death.begins]).toEqual([true, false])
    expect(it.wall(death.wasFullAt)).toBe('30 08:00')
    expect(it.wall(death.fullAt)).toBe('44 08:00')
    it.look(10, '08:00', { signs: [{ sign: 'flashing', present: true }] })
    expect(it.wall(sign.fullAt)).toBe(it.wall(it.count(10, '08:00', 'watch').fullAt))
    expect(
      ifSeenNow(it.journal, quarantine({ definition: 'qt-d-hypo' }).plan(1, '08:00'), 'sign', it.settings),
    ).toBeNull()
  })
})
