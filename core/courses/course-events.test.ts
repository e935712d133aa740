import { ofKind, one, ramped, wall, ward, type Ward } from './testing/ward.ts'
import { ifChanged } from './outlook/what-if.ts'
import { taskContents } from './acts/task-contents.ts'

function held(until: number, it: Ward = ramped()): Ward {
  for (let day = 2; day <= until; day++) it.read(day, '08:00', 2.2)
  return it
}
const rule = (it: Ward, day: number, time: string, id: string) => it.plan(day, time).rules.find((one) => one.id === id)!
const ammonia = (it: Ward, day: number, time: string, result: object, basis: 'N' | 'NH4' | 'NH3' = 'NH4') =>
  it.write({
    kind: 'reading',
    ...it.at(day, time),
    tankId: 'quar',
    parameter: 'tan',
    result: result as never,
    unit: 'mg/L',
    basis,
  })
const newcomer = (it: Ward, day: number) =>
  it.write({
    kind: 'arrival',
    ...it.at(day, '12:00'),
    animalId: 'lemon',
    tankId: 'quar',
    name: 'Lemon',
    species: 'coris',
    group: 'wrasse',
    count: 1,
  })

describe('what if, on the ramp', () => {
  test('what a change takes is put back to the present step, and no further', () => {
    const it = ward()
    it.dose(0, '18:00', 6)
    // A fifth of 1.0 mg/L in 60 L is 12 mg: 1.2 mL of the bottle.
    expect(ifChanged(it.journal, it.plan(0, '20:00'), 0.2)!.dose!.amount).toBeCloseTo(1.2, 9)
    it.dose(1, '06:00', 3)
    expect(ifChanged(it.journal, it.plan(1, '07:00'), 0.2)!.dose!.amount).toBeCloseTo(1.8, 9)
  })

  test('before the first step there is nothing to put back', () => {
    const it = ward()
    expect(ifChanged(it.journal, it.plan(0, '18:30'), 0.2)).toMatchObject({ dose: null })
  })
})

describe('ammonia', () => {
  test('is tested daily by two methods for fourteen days, and is done once both are', () => {
    const it = held(3)
    expect(one(it, 3, '09:00', 'ammonia')!.why).toContain('total ammonia by kit, and free ammonia by a badge')
    ammonia(it, 3, '09:10', { kind: 'value', value: 0 })
    expect(one(it, 3, '09:20', 'ammonia')!.why).toMatch(/^free ammonia by a badge:/)
    it.write({
      kind: 'reading',
      ...it.at(3, '09:30'),
      tankId: 'quar',
      parameter: 'nh3',
      result: { kind: 'below', limit: 0.02 },
      unit: 'mg/L',
    })
    expect(wall(it, one(it, 3, '10:00', 'ammonia')!.best)).toBe('4 08:00')
    expect(wall(it, ofKind(it, 3, '10:00', 'ammonia').at(-1)!.best)).toBe('13 08:00')
  })

  test('“< 0.1” is a result; what a kit states as N is judged as what it is', () => {
    const it = held(3)
    ammonia(it, 3, '09:00', { kind: 'below', limit: 0.1 })
    expect(rule(it, 3, '10:00', 'ammonia')).toMatchObject({ state: 'holds', says: '< 0.10 as NH4 today' })
    // 0.22 mg/L N is 0.28 mg/L NH4.
    ammonia(it, 3, '11:00', { kind: 'value', value: 0.22 }, 'N')
    expect(rule(it, 3, '12:00', 'ammonia')).toMatchObject({ state: 'broken' })
    ammonia(it, 3, '13:00', { kind: 'value', value: 0.22 })
    expect(rule(it, 3, '14:00', 'ammonia')).toMatchObject({ state: 'holds' })
    ammonia(it, 3, '15:00', { kind: 'above', limit: 0.1 })
    expect(rule(it, 3, '16:00', 'ammonia')).toMatchObject({ state: 'ask' })
  })
})

test('after carbon came out the level is read at once, though the day’s reading is done', () => {
  const it = held(5)
  for (const [running, time] of [
    [true, '10:00'],
    [false, '12:00'],
  ] as const)
    it.write({ kind: 'equipment', ...it.at(5, time), tankId: 'quar', item: 'carbon', running })
  expect(one(it, 5, '12:30', 'read')).toMatchObject({
    state: 'due',
    why: expect.stringContaining('carbon or resin ran'),
  })
  it.read(5, '13:00', 2.1)
  expect(wall(it, one(it, 5, '13:10', 'read')!.best)).toBe('6 08:00')
})

describe('a fish added while a course runs', () => {
  test('is asked about: it joins, and is of the course from then on', () => {
    const it = held(5)
    newcomer(it, 5)
    const join = one(it, 5, '12:30', 'join')!
    expect(join).toMatchObject({ title: 'Does Lemon join the course?', state: 'due', animalIds: ['lemon'] })
    const plan = it.plan(5, '12:30')
    for (const content of taskContents(it.journal, join, plan.course, it.ms(5, '12:31'))) it.write(content)
    expect(it.plan(5, '12:40').living).toEqual(['needle', 'burr', 'lemon'])
    expect(one(it, 5, '12:40', 'join')).toBeUndefined()
  })

  test('that does not join is named as staying in the medicine when the others move', () => {
    const it = held(5)
    newcomer(it, 5)
    expect(one(it, 6, '09:00', 'move')).toMatchObject({
      title: 'Move Needle and Burr',
      why: 'when the count is full; Lemon stays in the medicine',
    })
  })
})

describe('a death without a cause', () => {
  const dies = (it: Ward, day: number, cause?: string) =>
    it.write({
      kind: 'death',
      ...it.at(day, '07:00'),
      animalId: 'burr',
      tankId: 'quar',
      ...(cause !== undefined && { cause }),
    })

  test('is told with what can still be learnt, and “no signs” does not stand after it', () => {
    const it = held(10)
    for (let day = 3; day <= 10; day++) it.look(day, '19:00')
    expect(rule(it, 10, '20:00', 'tr-5').state).toBe('holds')
    dies(it, 10)
    expect(rule(it, 10, '20:00', 'tr-5')).toMatchObject({
      state: 'ask',
      says: 'a death today has no cause; none in 1 look since',
    })
    expect(it.plan(10, '20:00').warnings.map(({ id }) => id)).toContain('death')
  })

  test('before the move adds fourteen days to the watch after it; with a cause it does not', () => {
    const after = (cause?: string) => {
      const it = held(16)
      dies(it, 10, cause)
      it.write({ kind: 'move', ...it.at(16, '18:00'), animalId: 'needle', fromTankId: 'quar', toTankId: 'obs' })
      return it.plan(17, '09:00').observation!.leastDays
    }
    expect(after()).toBe(28)
    expect(after('jumped')).toBe(14)
  })
})

test('“no signs” says how many looks it rests on, and one look in three weeks is too few', () => {
  const it = held(16)
  it.look(16, '08:30')
  expect(rule(it, 16, '09:00', 'tr-5')).toMatchObject({
    state: 'ask',
    says: 'none in 1 look over 15 days: too few to rest on',
  })
  for (let day = 8; day <= 15; day++) it.look(day, '19:00')
  expect(rule(it, 16, '09:00', 'tr-5')).toMatchObject({ state: 'holds', says: 'none in 9 looks over 15 days' })
})

test('who looked and did not write it down may say so; a sign afterwards needs another word', () => {
  const it = held(16)
  it.look(16, '08:30')
  const say = (day: number, time: string) =>
    it.write({
      kind: 'task',
      ...it.at(day, time),
      taskId: `c/rule/tr-5/${it.plan(day, time).clock.run}`,
      tankId: 'quar',
      courseId: 'c',
      state: 'done',
    })
  expect(rule(it, 16, '09:00', 'tr-5')).toMatchObject({ state: 'ask', canBeSaid: true })
  say(16, '09:00')
  expect(rule(it, 16, '09:10', 'tr-5').state).toBe('holds')
  it.write({
    kind: 'sighting',
    ...it.at(16, '10:00'),
    tankId: 'quar',
    animalIds: ['needle'],
    signs: [{ sign: 'white-grains', present: true }],
  })
  it.look(18, '11:00')
  it.look(19, '11:00')
  expect(rule(it, 16, '10:10', 'tr-5').state).toBe('broken')
  expect(rule(it, 26, '09:00', 'tr-5').state).toBe('ask')
})

test('a volume that is learnt later holds for the changes before it as for the doses', () => {
  const it = held(4)
  it.change(4, '12:00', 6)
  it.write({ kind: 'tank-change', ...it.at(5, '09:00'), tankId: 'quar', changes: { learntL: 50 } })
  // 6 of 50 litres: 2.2 is 1.936 after it.
  expect(it.plan(5, '10:00').known!.mgPerL).toBeCloseTo(2.2 * (1 - 6 / 50), 9)
})

test('a correction of a reading keeps the words on the tasks that hang on the run', () => {
  const it = held(16)
  const run = it.plan(16, '09:00').clock
  it.write({
    kind: 'task',
    ...it.at(16, '09:00'),
    taskId: `c/rule/tr-3/${run.run}`,
    tankId: 'quar',
    courseId: 'c',
    state: 'done',
  })
  const first = it.journal.about('readings:quar:copper')[0]!
  it.journal.add([
    {
      id: 'fix',
      logged: it.at(16, '09:10').happened,
      corrects: first.id,
      content: { ...first.content, ...it.at(2, '08:20') } as never,
    },
  ])
  const plan = it.plan(16, '09:20')
  expect(plan.clock.runFrom).not.toBe(run.runFrom)
  expect(plan.rules.find(({ id }) => id === 'tr-3')!.state).toBe('holds')
})
