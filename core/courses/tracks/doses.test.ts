import { quarantine, type Quarantine } from '../testing/schools.ts'

/** 2.5 mg/L of praziquantel in 60 L. */
const ROUND_MG = 150

function dewormed(...rounds: readonly (readonly [day: number, time: string, massMg?: number])[]): Quarantine {
  const it = quarantine({ definition: 'qt-add-worm' })
  it.look(-1, '18:00')
  for (const [day, time, massMg = ROUND_MG] of rounds) it.dose(day, time, 'praziquantel', massMg)
  return it
}

describe('two dewormings a week apart, day five to nine: quarantine.md 7.2', () => {
  test('before the first: at once, the second a week later, 0.15 g each in 60 L', () => {
    const it = dewormed()
    expect(it.tasks(0, '08:00', 'deworm')).toEqual([
      { window: ['0 08:00', '0 08:00', '1 08:00'], amount: '0.15 g', state: 'due' },
      { window: ['5 08:00', '7 08:00', '9 08:00'], amount: '0.15 g', state: 'ahead' },
    ])
    expect(it.count(0, '08:00', 'dewormings')).toMatchObject({ state: 'waiting', has: 0, needs: 2, proof: 'logged' })
  })

  test.each([
    ['on day five', 5, '08:00', 'full', 2],
    ['on day nine', 9, '08:00', 'full', 2],
    ['an hour before day five: it does not count', 5, '07:00', 'running', 1],
    ['an hour after day nine: it is the first of a new pair', 9, '09:00', 'running', 1],
  ])('the second %s', (_words, day, time, state, has) => {
    const it = dewormed([0, '08:00'], [day, time])
    expect(it.count(day, '10:00', 'dewormings')).toMatchObject({ state, has })
  })

  test('one too early does not count, and the next is no sooner than five days after it', () => {
    const it = dewormed([0, '08:00'], [3, '08:00'])
    expect(it.count(3, '09:00', 'dewormings')).toMatchObject({ state: 'running', has: 1 })
    expect(it.tasks(3, '09:00', 'deworm').map(({ window }) => window)).toEqual([['8 08:00', '8 08:00', '9 08:00']])
    it.dose(8, '08:00', 'praziquantel', ROUND_MG)
    expect(it.count(8, '09:00', 'dewormings')).toMatchObject({ state: 'full', has: 2 })
  })

  test('so late that no third fits the first, it is the first of the pair with the third', () => {
    const it = dewormed([0, '08:00'], [4, '20:00'])
    expect(it.tasks(5, '09:00', 'deworm').map(({ window }) => window)).toEqual([['9 20:00', '9 20:00', '13 20:00']])
    expect(it.count(9, '12:00', 'dewormings')).toMatchObject({ state: 'running' })
    it.dose(9, '21:00', 'praziquantel', ROUND_MG)
    expect(it.count(9, '22:00', 'dewormings')).toMatchObject({ state: 'full', has: 2, restarts: [] })
  })

  test('two too early in a row: five days after the last of them', () => {
    const it = dewormed([0, '08:00'], [2, '08:00'], [4, '08:00'])
    expect(it.count(4, '09:00', 'dewormings')).toMatchObject({ has: 1 })
    expect(it.tasks(4, '09:00', 'deworm')[0]!.window).toEqual(['9 08:00', '9 08:00', '9 08:00'])
  })

  test('a late second begins a new pair: the restart has its rule, and the next is due a week after it', () => {
    const it = dewormed([0, '08:00'], [11, '08:00'])
    const count = it.count(11, '09:00', 'dewormings')
    expect(count.restarts).toEqual([{ at: it.at(11, '08:00').happened, why: 'deworm-spacing' }])
    expect(it.wall(count.fullAt)).toBe('18 08:00')
    expect(it.tasks(11, '09:00', 'deworm').map(({ window }) => window)).toEqual([['16 08:00', '18 08:00', '20 08:00']])
    expect(it.standing(11, '09:00').warnings.map(({ rule }) => rule)).toContain('deworm-spacing')
  })

  test('never given: the pair is broken, has nothing, and both are due again', () => {
    const it = dewormed([0, '08:00'])
    it.look(9, '19:00')
    expect(it.count(10, '08:00', 'dewormings')).toMatchObject({ state: 'broken', has: 0, fullAt: null })
    const [first, second] = it.tasks(10, '08:00', 'deworm')
    expect(first).toMatchObject({ state: 'late' })
    expect(second!.window[1]).toBe('17 08:00')
  })

  test('half the dose is none; two halves within the hour are one', () => {
    expect(dewormed([0, '08:00', 70]).count(0, '12:00', 'dewormings')).toMatchObject({ has: 0 })
    expect(dewormed([0, '08:00', 70], [0, '08:40', 80]).count(0, '12:00', 'dewormings')).toMatchObject({ has: 1 })
    expect(dewormed([0, '08:00', 143]).count(0, '12:00', 'dewormings')).toMatchObject({ has: 1 })
  })

  test('the first waits until the fish eat; the keeper may say so', () => {
    const it = quarantine({ definition: 'qt-add-worm' })
    expect(it.tasks(0, '08:00', 'deworm')[0]!.state).toBe('waiting')
    it.look(0, '09:00', { appetite: 1 })
    expect(it.tasks(0, '10:00', 'deworm')[0]!.state).toBe('waiting')
    it.look(0, '11:00', { appetite: 3 })
    expect(it.tasks(0, '12:00', 'deworm')[0]!.state).toBe('due')
  })

  test('gut worms, where chosen: three days of food a week after the pair, and three more two to three weeks later', () => {
    const it = quarantine({ definition: 'qt-add-worm', start: { options: { gut: 'food' } } })
    it.look(-1, '18:00')
    expect(it.tasks(0, '08:00', 'feed', 60).map(({ window }) => window[1])).toEqual([
      '14 08:00',
      '15 08:00',
      '16 08:00',
      '33 08:00',
      '34 08:00',
      '35 08:00',
    ])
    expect(it.tasks(0, '08:00', 'feed', 60)[0]!.amount).toBe('2.5 mg/g')
  })
})

describe('metronidazole every 24 h, ten doses: a missed one ends it later', () => {
  const daily = (days: readonly number[]) => {
    const it = quarantine({ definition: 'qt-e-uronema' })
    for (const day of days) it.dose(day, '08:00', 'metronidazole', 396)
    return it
  }

  test('in time: ten days, and then it can be closed', () => {
    const it = daily([0, 1, 2, 3, 4, 5, 6, 7, 8, 9])
    expect(it.count(9, '09:00', 'doses')).toMatchObject({ state: 'full', has: 10 })
  })

  test('one missed: the tenth is a day later, and the rule says so', () => {
    const it = daily([0, 1, 2, 4])
    const count = it.count(4, '09:00', 'doses')
    expect(count).toMatchObject({ state: 'running', has: 4, restarts: [] })
    expect(it.wall(count.fullAt)).toBe('10 08:00')
    expect(it.standing(4, '09:00').rules.find(({ rule }) => rule === 'missed-redose')).toMatchObject({
      state: 'holds',
      is: 1,
    })
  })

  test('what is overdue is told once, and the rest follows from now', () => {
    const it = daily([0, 1])
    const tasks = it.tasks(3, '12:00', 'dose')
    expect(tasks[0]).toMatchObject({ state: 'late', window: ['2 02:00', '2 08:00', '2 20:00'] })
    expect(tasks[1]!.window[1]).toBe('4 12:00')
    expect(tasks.filter(({ state }) => state === 'late')).toHaveLength(1)
  })

  test('two doses within eighteen hours are one too many: the second does not count', () => {
    const it = daily([0])
    it.dose(0, '20:00', 'metronidazole', 396)
    expect(it.count(0, '21:00', 'doses')).toMatchObject({ has: 1 })
    expect(it.standing(0, '21:00').warnings.map(({ rule }) => rule)).toContain('dose-not-counted')
  })

  test('food counts by its own: what is in the water does not feed them', () => {
    const it = daily([0])
    it.feed(0, '19:00', 'metronidazole', 5)
    it.feed(1, '09:00', 'metronidazole', 2)
    expect(it.count(1, '10:00', 'food')).toMatchObject({ has: 1 })
    it.feed(1, '10:00', 'metronidazole', 5)
    expect(it.count(1, '11:00', 'food')).toMatchObject({ has: 2 })
  })
})

test('the formalin bath counts with its strength and its minutes', () => {
  const bath = (massMg: number, minutes: number, stopped?: string) => {
    const it = quarantine({ definition: 'qt-e-uronema' })
    it.write({
      kind: 'bath',
      ...it.at(0, '09:00'),
      tankId: 'quar',
      animalIds: ['cobalt', 'ash'],
      ingredient: 'formalin',
      amount: massMg / 1000,
      unit: 'mL',
      massMg,
      litres: 10,
      minutes,
      ...(stopped !== undefined && { stopped }),
    })
    return it.count(0, '10:00', 'baths').has
  }
  // 158 µL in a litre: 1.58 mL in ten.
  expect(bath(1580, 45)).toBe(1)
  expect(bath(1000, 45)).toBe(0)
  expect(bath(1580, 20)).toBe(0)
  expect(bath(1580, 45, 'lay over')).toBe(0)
})

describe('dewormings of a school, by its option', () => {
  test('after it: from the second day of the watch on', () => {
    const it = quarantine({ definition: 'qt-f-observe', start: { options: { deworm: 'after' } } })
    it.look(0, '07:00')
    expect(it.tasks(0, '09:00', 'deworm').map(({ window }) => window)).toEqual([
      ['1 08:00', '2 08:00', '7 08:00'],
      ['7 08:00', '9 08:00', '11 08:00'],
    ])
  })

  test('before it: the medicine waits until two days after the second round', () => {
    const it = quarantine({
      definition: 'qt-a-cu30',
      start: { options: { drug: 'cu-chelated-std', deworm: 'before' } },
    })
    it.look(0, '07:00')
    expect(it.tasks(0, '09:00', 'deworm').map(({ window }) => window[1])).toEqual(['1 08:00', '8 08:00'])
    expect(it.tasks(0, '09:00', 'ramp').map(({ window }) => window[0])).toEqual(['10 08:00'])
  })

  test('none: neither count nor task', () => {
    const it = quarantine({ definition: 'qt-a-cu30', start: { options: { drug: 'cu-chelated-std', deworm: 'none' } } })
    expect(it.count(0, '09:00', 'dewormings')).toBeUndefined()
    expect(it.tasks(0, '09:00', 'deworm')).toEqual([])
  })

  test('rounds that an add-on gave while the copper ran are not asked for again after it', () => {
    const it = quarantine({ definition: 'qt-f-observe', start: { options: { deworm: 'after' } } })
    it.dose(2, '08:00', 'praziquantel', ROUND_MG)
    it.dose(9, '08:00', 'praziquantel', ROUND_MG)
    expect(it.count(10, '08:00', 'dewormings')).toMatchObject({ state: 'full', has: 2 })
  })
})

test('the finish waits for a second deworming that is owed, and not for one that was never begun', () => {
  const it = quarantine({ definition: 'qt-f-observe', start: { options: { deworm: 'after' } } })
  for (let day = 0; day < 31; day++) it.look(day, '09:00')
  const finish = () => it.plan(31, '10:00').tasks.find(({ step }) => step === 'close')
  expect(finish()!.waitsFor).toBeUndefined()
  it.dose(30, '10:00', 'praziquantel', ROUND_MG)
  expect(finish()!.waitsFor).toEqual(['the last of the dewormings'])
})

test('a late dose is told once, with its number, how late and until when it was due', () => {
  const worms = quarantine({ definition: 'qt-add-worm' })
  worms.dose(0, '08:00', 'praziquantel', ROUND_MG)
  const said = (it: typeof worms, day: number, id: string) =>
    it
      .plan(day, '08:00')
      .warnings.filter((one) => one.id === id)
      .map(({ text }) => text)
  expect(said(worms, 12, 'deworm-spacing')).toEqual([
    expect.stringMatching(/^The second dose of dewormings is late by 3 d, due until .*: what hatched has laid eggs/),
  ])
  const metro = quarantine({ definition: 'qt-add-metro' })
  metro.dose(0, '08:00', 'metronidazole', 396)
  expect(said(metro, 4, 'missed-redose')).toEqual([
    expect.stringMatching(
      /^The second dose of metronidazole in the water is late by .*, due until .*\. 1 dose of .* missed/,
    ),
  ])
})
