import { levelFit, levelForecast, fallsTo, learntVolume } from './forecast.ts'
import { levelAfter } from '../../concentration/events.ts'
import { MS_PER_DAY, MS_PER_HOUR } from '../../time/zone.ts'
import { shelfCheck } from '../amounts/shelf-check.ts'
import { needsThreeReadings, rangeVerdict } from '../range-words.ts'
import { doseById } from '../../catalogue/treatments/treatments.ts'
import { ramped, ward } from '../testing/ward.ts'

/** A tank said to hold 60 L that really holds less: every dose makes more than the sheet says. */
function tankOf(litres: number) {
  const it = ward()
  let level = 0
  const dose = (day: number, time: string, amount: number) => {
    it.dose(day, time, amount)
    level = levelAfter(level, { at: '', kind: 'dose', massMg: amount * 10 }, litres)
  }
  dose(0, '18:00', 6)
  it.read(1, '08:00', level)
  dose(1, '18:00', 3)
  it.read(2, '08:00', level)
  dose(2, '18:00', 2)
  for (const day of [3, 4, 5]) it.read(day, '08:00', level)
  return it
}

describe('what the readings say of the water', () => {
  test('a tank that holds a sixth less than its sheet is found out, and the sheet’s own is not disputed', () => {
    const less = tankOf(50).plan(5, '09:00')
    const learnt = learntVolume(less.facts, levelFit(less.facts))!
    expect(learnt.sheetL).toBe(60)
    expect(Math.abs(learnt.litres - 50)).toBeLessThan(2.5)
    const same = tankOf(60).plan(5, '09:00')
    expect(learntVolume(same.facts, levelFit(same.facts))).toBeNull()
  })

  test('two readings say nothing of the volume yet', () => {
    const it = ward()
    it.dose(0, '18:00', 6)
    it.read(1, '08:00', 1.4)
    it.dose(1, '18:00', 3)
    it.read(2, '08:00', 2.1)
    const { facts } = it.plan(2, '09:00')
    expect(learntVolume(facts, levelFit(facts))).toBeNull()
  })

  test('without a net volume there is no fit', () => {
    const { facts } = tankOf(60).plan(5, '09:00')
    expect(levelFit({ ...facts, volumeL: null })).toBeNull()
  })

  test('the forecast starts at the level known, falls, and its fan only widens', () => {
    const { facts } = tankOf(60).plan(5, '09:00')
    const fit = levelFit(facts)!
    const points = levelForecast(facts, fit, facts.now + 5 * MS_PER_DAY)
    expect(points[0]).toMatchObject({ ms: facts.now })
    points.slice(1).forEach((point, i) => {
      const before = points[i]!
      expect(point.mgPerL).toBeLessThanOrEqual(before.mgPerL)
      expect(point.high - point.low).toBeGreaterThanOrEqual(before.high - before.low - 1e-9)
      expect(point.low).toBeLessThanOrEqual(point.mgPerL)
      expect(point.high).toBeGreaterThanOrEqual(point.mgPerL)
    })
    expect(points.at(-1)!.ms).toBe(facts.now + 5 * MS_PER_DAY)
  })

  test('when it falls to a limit: half of it in one half-life; never from below, nor in a year', () => {
    expect(fallsTo(2, 1, 100, 0)).toBeCloseTo(100 * MS_PER_HOUR)
    expect(fallsTo(1, 1, 100, 0)).toBeNull()
    expect(fallsTo(2, 1, 24 * 400, 0)).toBeNull()
  })
})

describe('the shelf check', () => {
  const checkOf = (left: number, useBy?: string) => {
    const it = ramped()
    it.read(2, '08:00', 2.25)
    it.write({
      kind: 'product-change',
      ...it.at(2, '08:30'),
      productId: 'bottle',
      changes: { left, ...(useBy && { useBy }) },
    })
    const plan = it.plan(2, '09:00')
    return shelfCheck(it.journal, plan, null, it.settings.clock.dayOf(it.ms(20, '12:00')))!
  }
  test('counts what water changes will take out, a fifth a week where none was made yet, and what decays', () => {
    // 14 days less what is proven, 2.25 mg/L × 60 L × 20 % a week, of a bottle of 10 mg/mL: about 5.4 mL; by a half-life of 720 h about 4.4 mL.
    const { needed } = checkOf(100)
    expect(needed).toBeGreaterThan(9)
    expect(needed).toBeLessThan(10)
  })
  test('too little, and a last day before the end, are told', () => {
    expect(checkOf(100)).toMatchObject({ enough: true, expires: false })
    expect(checkOf(3, '2026-11-10')).toMatchObject({ enough: false, expires: true })
  })
})

describe('in range', () => {
  const dose = doseById('cu-chelated-std')!
  test.each([
    [1.999, 0.15, 'under'],
    [2, 0.15, 'probably-in'],
    [2.2, 0.15, 'in'],
    [2.45, 0.15, 'probably-in'],
    [2.501, 0.15, 'over'],
  ])('%d ± %d is %s', (value, uncertainty, verdict) => {
    expect(rangeVerdict(value, uncertainty, dose)).toBe(verdict)
  })
  test('a kit wider than the band asks for three readings', () => {
    expect(needsThreeReadings(0.15, dose)).toBe(false)
    expect(needsThreeReadings(0.3, dose)).toBe(true)
  })
})
