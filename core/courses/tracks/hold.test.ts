import { ramped, wall, ward, type Ward } from '../testing/ward.ts'

const HOUR = 3_600_000
/** In range from the afternoon of day 2, read at eight every morning. */
function held(until: number, it: Ward = ramped()): Ward {
  for (let day = 2; day <= until; day++) it.read(day, '08:00', 2.2)
  return it
}
const texts = (it: Ward, day: number, time: string) => it.plan(day, time).warnings.map(({ text }) => text)
const strip = (it: Ward, day: number, time: string) =>
  it.plan(day, time).clock.stretches.map(({ from, to, kind }) => `${wall(it, from)} to ${wall(it, to)} ${kind}`)

describe('the count of a course', () => {
  test('begins when the level comes into range, is proven up to the last reading, and hoped for from there', () => {
    const it = held(5)
    const { clock } = it.plan(5, '20:00')
    expect(clock.state).toBe('running')
    expect(wall(it, clock.runFrom!)).toBe('2 08:00')
    expect(clock.provenHours).toBe(72)
    expect(wall(it, clock.provenUntil!)).toBe('5 08:00')
    expect(wall(it, clock.completesAt!)).toBe('16 08:00')
    expect(strip(it, 5, '20:00')).toEqual([
      '0 18:00 to 2 08:00 before',
      '2 08:00 to 5 08:00 proven',
      '5 08:00 to 16 08:00 expected',
    ])
  })

  test('without a reading nothing is proven, whatever was dosed', () => {
    expect(ramped().plan(3, '12:00').clock).toMatchObject({ state: 'not-started', provenHours: 0, completesAt: null })
  })

  test('is full at fourteen days, and stays full', () => {
    const it = held(16)
    const { clock } = it.plan(17, '08:00')
    expect(clock).toMatchObject({ state: 'complete', remainingHours: 0 })
    expect(wall(it, clock.completesAt!)).toBe('16 08:00')
    it.read(18, '08:00', 0.5)
    expect(it.plan(18, '09:00').clock.state).toBe('complete')
  })

  test('a reading one second under range for one second breaks it', () => {
    const it = held(5)
    it.read(5, '20:00:00', 2)
    it.read(5, '20:00:01', 1.999)
    it.read(5, '20:00:02', 2)
    const { clock } = it.plan(5, '20:05')
    expect(clock.breaks).toHaveLength(1)
    expect(clock.runFrom).toBe(it.ms(5, '20:00:02'))
    expect(clock.provenHours).toBe(0)
    expect(texts(it, 5, '20:05')).toContain(
      'Copper was under 2.00 for about 0 min on Friday 6 November. The count began again today 20:00.',
    )
  })

  test('a change and its redose in the same minute are one jump: nothing breaks', () => {
    const it = held(5)
    it.change(5, '18:00', 15)
    it.dose(5, '18:00', 3.3)
    it.read(6, '08:00', 2.2)
    expect(it.plan(6, '09:00').clock).toMatchObject({ state: 'running', breaks: [], provenHours: 96 })
  })

  test('the same change redosed ten minutes later breaks it, and says for how long', () => {
    const it = held(5)
    it.change(5, '18:00', 15)
    it.dose(5, '18:10', 3.3)
    it.read(6, '08:00', 2.2)
    const { clock } = it.plan(6, '09:00')
    expect(clock.breaks.map(({ from, to }) => (to! - from) / 60_000)).toEqual([10])
    expect(wall(it, clock.runFrom!)).toBe('5 18:10')
    expect(texts(it, 6, '09:00')).toEqual([
      'Copper was under 2.00 for about 10 min on Friday 6 November. The count began again yesterday 18:10.',
    ])
    expect(strip(it, 6, '09:00')).toEqual([
      '0 18:00 to 2 08:00 before',
      '2 08:00 to 5 18:00 superseded',
      '5 18:00 to 5 18:10 broken',
      '5 18:10 to 6 08:00 proven',
      '6 08:00 to 19 18:10 expected',
    ])
  })

  test('while the level is under the range it says since when, and nothing is expected', () => {
    const it = held(5)
    it.read(6, '08:00', 1.9)
    const { clock } = it.plan(6, '09:00')
    expect(clock).toMatchObject({ state: 'broken', completesAt: null, provenHours: 0 })
    // From 2.2 to 1.9 over a day: two thirds of the way down at midnight.
    expect(texts(it, 6, '09:00')).toEqual([
      'Copper is under 2.00 since today 00:00. The count starts over once it is back.',
    ])
  })
})

describe('the level by reckoning, before the next reading', () => {
  test('a change that takes it under the range breaks the strip and the heading at once, and says it is reckoned', () => {
    const it = held(5)
    it.change(5, '14:10', 12)
    const { clock } = it.plan(5, '18:00')
    expect(clock).toMatchObject({ state: 'broken', completesAt: null, provenHours: 0 })
    expect(texts(it, 5, '18:00')).toEqual([
      'Copper is by reckoning under 2.00 since today 14:10. The count starts over once it is back.',
    ])
    expect(strip(it, 5, '18:00').slice(-2)).toEqual([
      '5 08:00 to 5 14:10 expected',
      '5 14:10 to 5 18:00 reckoned-broken',
    ])
  })

  test('put back, the count begins with the dose; nothing of it is proven before the next reading', () => {
    const it = held(5)
    it.change(5, '14:10', 12)
    it.dose(5, '14:40', 2.7)
    const { clock } = it.plan(5, '18:00')
    expect(clock).toMatchObject({ state: 'running', provenHours: 0 })
    expect(wall(it, clock.runFrom!)).toBe('5 14:40')
    expect(texts(it, 5, '18:00')[0]).toBe(
      'Copper was by reckoning under 2.00 for about 30 min on Friday 6 November. The count began again today 14:40.',
    )
    expect(wall(it, clock.completesAt!)).toBe('19 14:40')
  })

  test('a change that leaves it in range breaks nothing', () => {
    const it = held(5)
    it.change(5, '14:10', 3)
    expect(it.plan(5, '18:00').clock).toMatchObject({ state: 'running', breaks: [], provenHours: 72 })
  })
})

describe('times without a reading', () => {
  test('48 hours are proven whole', () => {
    const it = held(3)
    it.read(5, '08:00', 2.2)
    expect(it.plan(5, '09:00')).toMatchObject({ warnings: [], clock: { provenHours: 72 } })
  })

  test('of 49 hours one is not counted and comes at the end', () => {
    const it = held(3)
    it.read(5, '09:00', 2.2)
    const { clock } = it.plan(5, '10:00')
    expect(clock.provenHours).toBe(72)
    expect(wall(it, clock.completesAt!)).toBe('16 09:00')
    expect(texts(it, 5, '10:00')).toEqual(['No reading for 2 d 1 h: 1 h of it is not counted and is added at the end.'])
    expect(strip(it, 5, '10:00')).toContain('5 08:00 to 5 09:00 unknown')
  })

  test('97 hours start it over with the reading that ends them', () => {
    const it = held(3)
    it.read(7, '09:00', 2.2)
    const { clock } = it.plan(7, '10:00')
    expect(clock).toMatchObject({ state: 'running', provenHours: 0 })
    expect(wall(it, clock.completesAt!)).toBe('21 09:00')
    expect(texts(it, 7, '10:00')).toEqual([
      'No reading for 4 d 1 h: over 96 h, so the count began again with the reading of today 09:00.',
    ])
  })

  test('while the gap is open the end moves on with it, and at 96 hours the count is lost', () => {
    const it = held(3)
    expect(wall(it, it.plan(5, '08:00').clock.completesAt!)).toBe('16 08:00')
    expect(wall(it, it.plan(5, '20:00').clock.completesAt!)).toBe('16 20:00')
    expect(texts(it, 5, '20:00')).toEqual([
      'No reading for 2 d 12 h: 12 h of it is not counted so far and is added at the end.',
    ])
    expect(it.plan(7, '08:00').clock.state).toBe('running')
    expect(it.plan(7, '08:01').clock).toMatchObject({ state: 'lost', completesAt: null, provenHours: 0 })
    expect(texts(it, 7, '08:01')[0]).toContain('starts over with the next reading in range')
  })
})

describe('what else starts it over', () => {
  test('carbon left in: nothing counts while it runs, and the count begins when it is out', () => {
    const it = held(5)
    it.write({ kind: 'equipment', ...it.at(5, '10:00'), tankId: 'quar', item: 'carbon', running: true })
    expect(it.plan(5, '11:00').clock).toMatchObject({ state: 'running', provenHours: 0 })
    expect(texts(it, 5, '11:00')[0]).toContain('nothing counts until it is removed')
    it.write({ kind: 'equipment', ...it.at(5, '12:00'), tankId: 'quar', item: 'carbon', running: false })
    it.read(6, '08:00', 2.2)
    const { clock } = it.plan(6, '09:00')
    expect(wall(it, clock.runFrom!)).toBe('5 12:00')
    expect(clock.provenHours).toBe(20)
    expect(texts(it, 6, '09:00')).toEqual(['The count began again yesterday 12:00: carbon was in the water.'])
  })

  test('a new fish in the water starts it over for every fish; an invertebrate in a bag beside it would not', () => {
    const it = held(5)
    it.write({
      kind: 'arrival',
      ...it.at(5, '12:00'),
      animalId: 'late',
      tankId: 'quar',
      species: 'goby',
      group: 'goby-blenny',
      count: 1,
    })
    it.read(6, '08:00', 2.2)
    expect(wall(it, it.plan(6, '09:00').clock.runFrom!)).toBe('5 12:00')
  })

  test('a fish of the course that comes back from other water counts as new, and is named', () => {
    const it = held(5)
    for (const [fromTankId, toTankId, time] of [
      ['quar', 'obs', '10:00'],
      ['obs', 'quar', '15:00'],
    ] as const)
      it.write({ kind: 'move', ...it.at(5, time), animalId: 'burr', fromTankId, toTankId })
    it.read(6, '08:00', 2.2)
    expect(wall(it, it.plan(6, '09:00').clock.runFrom!)).toBe('5 15:00')
    expect(texts(it, 6, '09:00')).toEqual(['The count began again yesterday 15:00: Burr came back from other water.'])
  })

  test('a wet net from another tank, as the keeper says it; struck out it never was', () => {
    const it = held(5)
    const entry = it.write({ kind: 'course-event', ...it.at(4, '19:00'), courseId: 'c', event: 'cross-contamination' })
    expect(wall(it, it.plan(5, '09:00').clock.runFrom!)).toBe('4 19:00')
    it.journal.add([{ id: 'strike', logged: it.at(5, '09:30').happened, strikes: entry.id }])
    expect(wall(it, it.plan(5, '10:00').clock.runFrom!)).toBe('2 08:00')
  })

  test('a correction of a change that was miscounted makes the break it hid', () => {
    const it = held(5)
    const change = it.change(5, '18:00', 5)
    it.dose(5, '18:00', 1.1)
    it.read(6, '08:00', 1.9)
    it.journal.add([
      {
        id: 'fix',
        logged: it.at(6, '08:10').happened,
        corrects: change.id,
        content: { kind: 'water-change', ...it.at(5, '18:00'), tankId: 'quar', litres: 15 },
      },
    ])
    const [broken] = it.plan(6, '09:00').clock.breaks
    expect(wall(it, broken!.from)).toBe('5 18:00')
  })
})

describe('the night the clocks change', () => {
  test('a count is elapsed time: the 25-hour day gives 25 hours, the reading is due at eight on the wall', () => {
    const it = ramped({ zone: 'Europe/Lisbon', day: '2026-10-22' })
    for (const day of [2, 3, 4]) it.read(day, '08:00', 2.2)
    const { clock, tasks } = it.plan(4, '09:00')
    // The 25th of October 2026, day 3, has 25 hours.
    expect(clock.provenHours).toBe(49)
    expect(it.ms(3, '08:00') - it.ms(2, '08:00')).toBe(25 * HOUR)
    expect(
      tasks
        .filter(({ step }) => step === 'read')
        .slice(0, 2)
        .map(({ best }) => wall(it, best)),
    ).toEqual(['5 08:00', '6 08:00'])
  })

  test('two days over that night are 49 hours: an hour too long between readings', () => {
    const it = ramped({ zone: 'Europe/Lisbon', day: '2026-10-22' })
    it.read(2, '08:00', 2.2)
    it.read(4, '08:00', 2.2)
    expect(texts(it, 4, '09:00')).toEqual(['No reading for 2 d 1 h: 1 h of it is not counted and is added at the end.'])
  })
})

test('a tank without a net volume has no count and says why', () => {
  const it = ward()
  it.write({
    kind: 'tank-change',
    ...it.at(0, '18:00'),
    tankId: 'quar',
    changes: { sheet: { shape: { kind: 'known', litres: 5 }, rock: { dryMassKg: 50 } } },
  })
  it.read(1, '08:00', 2.2)
  expect(it.plan(1, '09:00').clock.state).toBe('not-started')
  expect(texts(it, 1, '09:00')[0]).toContain('nothing can be dosed until its sheet is filled in')
})
