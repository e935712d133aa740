import { runOperation } from '../../operations/run.ts'
import { quarantine, type Quarantine } from '../testing/schools.ts'
import { gravityOfPsu, psuOfGravity } from '../../salinity/gravity.ts'

/** Sea water of 1.0262 in 60 L, and pH 8. */
function hypo(definition = 'qt-d-hypo'): Quarantine {
  const it = quarantine({ definition })
  it.reading(0, '07:00', 'salinity', 34.8)
  it.reading(0, '07:00', 'ph', 8)
  return it
}
const swap = (it: Quarantine, day: number, time: string, litres: number, salinityPsu = 0) =>
  it.write({ kind: 'water-change', ...it.at(day, time), tankId: 'quar', litres, replacement: { salinityPsu } })
const TARGET = psuOfGravity(1.009)

/** Down to 1.009 by day 2, 08:00, and read twice a day up to a day. */
function low(until: number): Quarantine {
  const it = hypo()
  it.reading(2, '08:00', 'salinity', TARGET)
  for (let day = 2; day < until; day++) {
    it.reading(day, '20:00', 'salinity', TARGET)
    it.reading(day + 1, '08:00', 'salinity', TARGET)
  }
  return it
}

describe('the litres of each swap', () => {
  test('six equal steps of gravity down, eight hours apart, each as salinity.swap works it out', () => {
    const it = hypo()
    const steps = it.plan(0, '08:00').tasks.filter(({ step }) => step === 'lower')
    expect(steps).toHaveLength(6)
    let from = 34.8
    for (const [i, { change }] of steps.entries()) {
      const to = psuOfGravity(gravityOfPsu(34.8) + ((1.009 - gravityOfPsu(34.8)) * (i + 1)) / 6)
      const asked = runOperation('salinity.swap', {
        volumeL: 60,
        fromPsu: from,
        toPsu: to,
        replacementPsu: 0,
        maxStepPsu: 50,
        hoursBetween: 0,
      })
      if (!asked.ok) throw new Error('no answer')
      expect(change!.litres).toBeCloseTo(asked.value.totalL, 9)
      expect(change!.salinity).toMatchObject({ replacementPsu: 0 })
      from = to
    }
    expect(from).toBeCloseTo(TARGET, 6)
  })

  test('a swap that was made moves the next six to twelve hours after it', () => {
    const it = hypo()
    swap(it, 0, '10:00', 6)
    const [next] = it.tasks(0, '11:00', 'lower')
    expect(next!.window).toEqual(['0 16:00', '0 18:00', '0 22:00'])
  })

  test('it waits for a pH that bears it', () => {
    const it = quarantine({ definition: 'qt-d-hypo' })
    it.reading(0, '07:00', 'salinity', 34.8)
    it.reading(0, '07:00', 'ph', 7.6)
    expect(it.tasks(0, '08:00', 'lower')[0]!.state).toBe('waiting')
    it.reading(0, '09:00', 'ph', 7.8)
    expect(it.tasks(0, '09:30', 'lower')[0]!.state).toBe('due')
  })

  test('up again at most 0.002 a day, over eight days or more', () => {
    const it = low(33)
    const up = it.plan(33, '09:00').tasks.filter(({ step }) => step === 'raise')
    const gravities = up.map(({ change }) => gravityOfPsu(change!.salinity!.toPsu))
    gravities.forEach((sg, i) => expect(sg - (gravities[i - 1] ?? 1.009)).toBeLessThanOrEqual(0.002 + 1e-6))
    expect(gravities.at(-1)).toBeCloseTo(gravityOfPsu(34.8), 6)
    expect(up.length).toBeGreaterThanOrEqual(8)
  })
})

describe('the count: broken over 1.010 alone', () => {
  test('it begins where the path comes under 1.010, and is full thirty days later', () => {
    const it = hypo()
    swap(it, 1, '08:00', 40)
    it.reading(1, '12:00', 'salinity', psuOfGravity(1.01))
    it.reading(2, '00:00', 'salinity', TARGET)
    const count = it.count(2, '01:00', 'held')
    expect(count).toMatchObject({ state: 'running', needs: 720, proof: 'proven' })
    expect(it.wall(count.fullAt)).toBe('31 12:00')
  })

  test('1.0101 breaks it and names the rule; back under, the days begin again', () => {
    const it = low(6)
    it.reading(6, '20:00', 'salinity', psuOfGravity(1.0105))
    expect(it.count(6, '21:00', 'held')).toMatchObject({ state: 'broken', has: 0, fullAt: null })
    expect(it.standing(6, '21:00').warnings.map(({ rule }) => rule)).toContain('salinity-high')
    // What puts it back is told at once.
    expect(it.tasks(6, '21:00', 'lower')).toHaveLength(1)
    it.reading(7, '08:00', 'salinity', TARGET)
    const count = it.count(7, '09:00', 'held')
    expect(count.state).toBe('running')
    expect(count.restarts.map(({ why }) => why)).toEqual(['salinity-high'])
  })

  test('under 1.008 is a warning, and the days go on', () => {
    const it = low(5)
    it.reading(5, '20:00', 'salinity', psuOfGravity(1.0072))
    const count = it.count(5, '21:00', 'held')
    expect(count).toMatchObject({ state: 'running', restarts: [] })
    expect(it.standing(5, '21:00').warnings.map(({ rule }) => rule)).toContain('salinity-low')
  })

  test('a probe that stands still never feeds the count: its hours stay unproven', () => {
    const probe = (it: Quarantine, day: number, time: string, psu: number) =>
      it.write({
        kind: 'reading',
        ...it.at(day, time),
        tankId: 'quar',
        parameter: 'salinity',
        result: { kind: 'value', value: psu },
        unit: 'psu',
        origin: 'probe',
        deviceId: 'p',
      })
    const days = [4, 5, 6, 7, 8]
    const times = ['12:00', '16:00', '20:00']
    const stuck = low(4)
    for (const day of days) for (const time of times) probe(stuck, day, time, TARGET)
    const live = low(4)
    days.forEach((day, i) => times.forEach((time, j) => probe(live, day, time, TARGET + (i + j) / 1000)))
    const silent = low(4)
    const has = (it: Quarantine) => it.count(8, '21:00', 'held').has
    // A live probe proves its days; of a stuck one only the first value may have been true.
    expect(has(live)).toBeGreaterThan(has(silent) + 48)
    probe(silent, 4, '12:00', TARGET)
    expect(has(stuck)).toBeCloseTo(has(silent), 6)
  })

  test('three days without a reading: the third is not counted', () => {
    const it = low(4)
    it.reading(7, '08:00', 'salinity', TARGET)
    expect(it.count(7, '08:00', 'held').has).toBeCloseTo(low(4).count(4, '08:00', 'held').has + 48, 6)
  })

  test('a reading every twelve hours, of missed ones the newest', () => {
    const it = low(4)
    expect(
      it
        .tasks(4, '09:00', 'read')
        .map(({ window }) => window)
        .slice(0, 2),
    ).toEqual([
      ['4 17:00', '4 20:00', '4 23:00'],
      ['5 05:00', '5 08:00', '5 11:00'],
    ])
    expect(it.tasks(5, '12:00', 'read')[0]).toMatchObject({ state: 'late', window: ['5 05:00', '5 08:00', '5 11:00'] })
  })
})

describe('after the days', () => {
  test('full after thirty days, then up, and the watch begins once it is back', () => {
    const it = low(33)
    expect(it.count(33, '09:00', 'held')).toMatchObject({ state: 'full' })
    expect(it.count(33, '09:00', 'watch').state).toBe('waiting')
    it.reading(41, '08:00', 'salinity', 33)
    expect(it.count(41, '09:00', 'watch').state).toBe('waiting')
    it.reading(42, '08:00', 'salinity', 34.5)
    expect(it.count(42, '09:00', 'watch')).toMatchObject({ state: 'running' })
    expect(it.standing(42, '09:00').anchors['begun:watch']!.at).toBe(it.at(42, '08:00').happened)
  })

  test('seven days are enough for the school against flukes alone', () => {
    const it = hypo('qt-d-fluke')
    for (let day = 2; day <= 9; day++) it.reading(day, '08:00', 'salinity', TARGET)
    expect(it.count(9, '09:00', 'held')).toMatchObject({ state: 'full', needs: 168 })
  })
})
