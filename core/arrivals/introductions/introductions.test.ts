import { introductionTasks } from './introduction-tasks.ts'
import { introductionById, keepsShut, stopRule, stopsAt, trainingOf } from './introductions.ts'
import { home } from '../testing.ts'

/** Orchid beside Plum in the hall reef, in a box since the first. */
function boxed() {
  const it = home()
  it.on(0, '18:00', 'arrival', {
    animalId: 'orchid',
    tankId: 'hall',
    name: 'Orchid',
    species: 'orchid dottyback',
    group: 'dottyback-basslet',
    count: 1,
  })
  it.on(0, '18:10', 'introduction-start', {
    introId: 'box',
    way: 'box',
    tankId: 'hall',
    animalIds: ['orchid'],
    rivalIds: ['plum'],
    conditions: [
      { id: 'lost-interest', words: 'The residents have lost interest in the box' },
      { id: 'eats-in-box', words: 'The newcomer eats in the box' },
    ],
  })
  const intro = () => introductionById(it.journal, 'box')!
  const mark = (day: number, time: string, conditionId: string, holds = true) =>
    it.on(day, time, 'introduction-mark', { introId: 'box', tankId: 'hall', mark: 'condition', conditionId, holds })
  const skirmish = (day: number, what: 'chase' | 'bite' | 'rammed' | 'nick' | 'display', more: object = {}) =>
    it.on(day, '12:00', 'skirmish', { tankId: 'hall', introId: 'box', byId: 'plum', onId: 'orchid', what, ...more })
  const verdict = (day: number, time = '20:00') =>
    stopRule(it.journal, intro(), it.ms(day, time), it.settings.clock.dayOf)
  return { ...it, intro, mark, skirmish, verdict }
}

describe('the door', () => {
  test('stays shut until its conditions are true and two days have passed', () => {
    const it = boxed()
    expect(keepsShut(it.intro(), it.ms(0, '20:00'))).toEqual([
      '2 days to go',
      'The residents have lost interest in the box',
      'The newcomer eats in the box',
    ])
    it.mark(1, '18:00', 'eats-in-box')
    it.mark(2, '19:00', 'lost-interest')
    expect(keepsShut(it.intro(), it.ms(2, '17:00'))).toEqual(['2 hours to go'])
    expect(keepsShut(it.intro(), it.ms(2, '19:30'))).toEqual([])
  })

  test('a condition that no longer holds shuts it again', () => {
    const it = boxed()
    it.mark(1, '18:00', 'eats-in-box')
    it.mark(1, '19:00', 'lost-interest')
    it.mark(3, '18:00', 'eats-in-box', false)
    expect(keepsShut(it.intro(), it.ms(3, '19:00'))).toEqual(['The newcomer eats in the box'])
  })

  test('the ledger says what it waits for, then to open it, then to watch', () => {
    const it = boxed()
    const due = (day: number, time: string) =>
      introductionTasks(it.journal, it.settings, it.ms(day, time)).map(({ kind, why }) => [kind, why])
    expect(due(1, '18:00')).toEqual([['box-check', expect.stringMatching(/waits for: .*eats in the box/)]])
    it.mark(1, '18:00', 'eats-in-box')
    it.mark(1, '19:00', 'lost-interest')
    expect(due(3, '18:30')[0]![0]).toBe('open')
    it.on(3, '19:00', 'introduction-mark', { introId: 'box', tankId: 'hall', mark: 'opened' })
    expect(due(4, '18:00')).toEqual([['settle-watch', expect.stringMatching(/^day 1 of 14 together/)]])
    it.on(5, '19:00', 'introduction-end', { introId: 'box', tankId: 'hall', outcome: 'settled' })
    expect(due(6, '18:00')).toEqual([])
  })
})

describe('the stop rule', () => {
  test('short chases and a nick are watched; a bite stops it', () => {
    const it = boxed()
    expect(it.verdict(1).verdict).toBe('calm')
    it.skirmish(1, 'display')
    expect(it.verdict(1).verdict).toBe('calm')
    it.skirmish(1, 'nick')
    expect(it.verdict(1).verdict).toBe('watch')
    it.skirmish(1, 'bite')
    expect(it.verdict(1)).toEqual({ verdict: 'stop', reasons: ['a bite on the body, missing scales or blood'] })
  })

  test('more than ten chases an hour on two days running, not on one', () => {
    const it = boxed()
    it.skirmish(1, 'chase', { perHour: 14 })
    expect(it.verdict(1)).toMatchObject({ verdict: 'watch', reasons: [expect.stringMatching(/14 chases an hour/)] })
    it.skirmish(3, 'chase', { perHour: 14 })
    expect(it.verdict(3).verdict).toBe('watch')
    it.skirmish(2, 'chase', { perHour: 11 })
    expect(it.verdict(3).verdict).toBe('stop')
  })

  test('a box rammed for more than two hours of a day', () => {
    const it = boxed()
    it.skirmish(1, 'rammed', { minutes: 80 })
    it.skirmish(2, 'rammed', { minutes: 80 })
    expect(it.verdict(2).verdict).not.toBe('stop')
    it.skirmish(2, 'rammed', { minutes: 60 })
    expect(it.verdict(2).reasons).toEqual(['a resident rammed the box for more than two hours'])
  })

  test('one that refuses food for 72 hours; silence is no refusal', () => {
    const it = boxed()
    expect(it.verdict(5).verdict).toBe('calm')
    it.on(4, '18:00', 'sighting', { tankId: 'hall', animalIds: ['orchid'], signs: [], appetite: 0 })
    expect(it.verdict(5).reasons).toEqual(['one has not eaten for 72 hours'])
    it.on(5, '18:00', 'sighting', { tankId: 'hall', animalIds: ['orchid'], signs: [], appetite: 3 })
    expect(it.verdict(5).verdict).toBe('calm')
  })

  test('on neutral ground 48 hours without food are enough; back home it is 72 again', () => {
    const it = home()
    it.on(0, '18:00', 'introduction-start', {
      introId: 'rivals',
      way: 'neutral',
      tankId: 'hall',
      neutralTankId: 'side',
      animalIds: ['plum'],
      conditions: [],
    })
    it.on(1, '18:00', 'sighting', { tankId: 'side', animalIds: ['plum'], signs: [], appetite: 1 })
    const reasons = (day: number, time: string) =>
      stopRule(it.journal, introductionById(it.journal, 'rivals')!, it.ms(day, time), it.settings.clock.dayOf).reasons
    expect(reasons(2, '17:00')).toEqual([])
    expect(reasons(2, '19:00')).toEqual(['one has not eaten for 48 hours'])
    it.on(2, '19:30', 'introduction-mark', { introId: 'rivals', tankId: 'hall', mark: 'home' })
    expect(reasons(2, '20:00')).toEqual([])
    expect(reasons(3, '19:00')).toEqual(['one has not eaten for 72 hours'])
  })

  test.each([
    ['box', null, 'resident rams box for > 2 h or any bleeding', '72 h'],
    ['box', 1, 'fins torn in first hour', '72 h'],
    ['neutral', null, 'wounds, or one refuses food 48 h', '48 h'],
    ['neutral', 1, 'fins torn in first hour', '72 h'],
    ['pair', 1, 'one victim isolated', '72 h'],
  ] as const)('what ends a %s opened at %s is said: %s, and one fast, of %s', (way, openedAt, first, fast) => {
    const said = stopsAt({ way, openedAt })
    expect(said[0]).toBe(first)
    expect(said.join('; ').match(/\d\d h/g)).toEqual([fast])
    expect(said).toContain('bites on body, missing scales, torn eye, blood')
  })

  test('a stop is the thing due, and wounds are looked for over seven days after it', () => {
    const it = boxed()
    it.skirmish(1, 'bite')
    const kinds = (day: number) =>
      introductionTasks(it.journal, it.settings, it.ms(day, '18:00')).map(({ kind }) => kind)
    expect(kinds(1)).toEqual(['stop'])
    it.on(1, '18:30', 'introduction-end', { introId: 'box', tankId: 'hall', outcome: 'stopped', why: 'bitten' })
    expect([kinds(2), kinds(8), kinds(9)]).toEqual([['wound-check'], ['wound-check'], []])
  })
})

test('feeding training goes on, a meal a day, until two foods are taken', () => {
  const it = boxed()
  const meal = (day: number, food: string, mark: number) =>
    it.on(day, '18:00', 'training', { tankId: 'hall', animalIds: ['orchid'], food, mark, place: 'clip' })
  const due = (day: number) =>
    introductionTasks(it.journal, it.settings, it.ms(day, '19:00')).filter(({ kind }) => kind === 'training')
  expect(due(1)).toEqual([])
  meal(1, 'mysis', 1)
  expect(due(1)).toEqual([])
  expect(due(2)[0]!.why).toMatch(/takes nothing yet/)
  meal(2, 'mysis', 4)
  expect(due(3)[0]!.why).toBe('takes mysis; a second food is wanted')
  meal(3, 'Mysis', 3)
  expect(trainingOf(it.journal, 'orchid').isTrained).toBe(false)
  meal(4, 'nori', 3)
  expect(trainingOf(it.journal, 'orchid')).toMatchObject({ takes: ['mysis', 'nori'], isTrained: true })
  expect(due(5)).toEqual([])
})
