import { runNow } from './run-now.ts'
import { runWarnings } from './run-warnings.ts'
import { runById } from './runs.ts'
import { home } from '../testing.ts'

function warned(it: ReturnType<typeof home>, time: string) {
  const run = runById(it.journal, 'run')!
  const now = it.ms(1, time)
  return runWarnings(run, runNow(run, now), now, it.settings)
}

test('nothing is said of a run that keeps its limits, nor of a sealed bag', () => {
  const it = home()
  it.start('run', {
    limits: { maxPsuPerHour: 4, matchPsu: 1, matchC: 1.5, maxFreeAmmoniaMgPerL: 0.03, maxMinutes: 90 },
  })
  expect(warned(it, '10:50')).toEqual([])
  it.event('run', 15, { event: 'opened' })
  it.event('run', 20, { event: 'scoop', litres: 0.1 })
  expect(warned(it, '11:01')).toEqual([])
})

test('an end past the longest wait, and a wait past it, are said', () => {
  const it = home()
  it.start('run')
  it.event('run', 15, { event: 'opened' })
  // Ten scoops of 100 mL at five minutes: minute 65, five past the hour it may wait.
  expect(warned(it, '10:56')).toMatchObject([
    { id: 'late', tone: 'soon', isWayWrong: true, text: expect.stringMatching(/near enough at 11:45, 5 minutes past/) },
  ])
  expect(warned(it, '11:45').map(({ id }) => id)).toContain('time')
})

test('ammonia over the limit is the danger, and it is seen coming', () => {
  const it = home()
  const bag = { volumeL: 1, temperatureC: 24, salinityPsu: 31, pH: 6.9, alkalinityDkh: 7, tanMgPerL: 4 }
  it.start('run')
  it.start('hot', {
    setting: {
      bag,
      tank: { temperatureC: 25, salinityPsu: 33, pH: 8.1, alkalinityDkh: 8.4, tanMgPerL: 0 },
      container: { capacityL: 4, leaveL: 2 },
      room: { temperatureC: 24 },
      float: { minutes: 15 },
      gasExchangePerHour: 5,
    },
  })
  it.event('hot', 15, { event: 'opened' })
  const run = runById(it.journal, 'hot')!
  const at = (time: string) => runWarnings(run, runNow(run, it.ms(1, time)), it.ms(1, time), it.settings)[0]
  expect(at('10:56')).toMatchObject({ id: 'ammonia-ahead', tone: 'soon', isWayWrong: true })
  expect(at('11:30')).toMatchObject({
    id: 'ammonia',
    tone: 'act',
    text: expect.stringMatching(/waiting is the danger now/),
  })
})

test('scoops that came too fast are said at once', () => {
  const it = home()
  it.start('run')
  it.event('run', 15, { event: 'opened' })
  for (const minute of [16, 17, 18, 19, 20]) it.event('run', minute, { event: 'scoop', litres: 0.15 })
  expect(warned(it, '11:01').find(({ id }) => id === 'pace')!.text).toMatch(/it bears 2 psu\. Leave the next scoop out/)
})

test('a container that the room cools never comes within reach, and it says what helps', () => {
  const it = home()
  const cold = {
    bag: { volumeL: 1, temperatureC: 22, salinityPsu: 32.5, pH: 7.4, alkalinityDkh: 7, tanMgPerL: 0.4 },
    tank: { temperatureC: 25, salinityPsu: 33, pH: 8.1, alkalinityDkh: 8.4, tanMgPerL: 0 },
    container: { capacityL: 4, leaveL: 2 },
    room: { temperatureC: 14 },
    float: { minutes: 5 },
  }
  const method = { kind: 'drip', mlPerMinute: 2 } as const
  it.start('run', { setting: cold, way: 'drip', method })
  it.event('run', 5, { event: 'opened' })
  it.event('run', 6, { event: 'drip', mlPerMinute: 2 })
  expect(warned(it, '11:00').find(({ id }) => id === 'never')!.text).toMatch(
    /stays \d+(\.\d)? °C off: it loses its warmth to the room\. A float collar/,
  )
})

test('across at once by a salinity that was guessed: measured, it is off, and another way is asked for', () => {
  const it = home()
  it.start('run')
  it.start('guess', {
    way: 'at-once',
    method: undefined,
    setting: {
      bag: { volumeL: 1, temperatureC: 24.5, salinityPsu: 32.5, pH: 7.4, alkalinityDkh: 7, tanMgPerL: 0.4 },
      tank: { temperatureC: 25, salinityPsu: 33, pH: 8.1, alkalinityDkh: 8.4, tanMgPerL: 0 },
      container: { capacityL: 4, leaveL: 2 },
      room: { temperatureC: 24 },
      float: { minutes: 15 },
    },
    assumed: ['orchid.salinityPsu', 'room'],
  })
  it.event('guess', 15, { event: 'opened' })
  const at = (time: string) => {
    const run = runById(it.journal, 'guess')!
    const followed = runNow(run, it.ms(1, time))
    return { next: followed.next.kind, warned: runWarnings(run, followed, it.ms(1, time), it.settings) }
  }
  expect(at('10:56')).toEqual({ next: 'measure', warned: [] })
  it.event('guess', 17, { event: 'measured', salinityPsu: 29, temperatureC: 24.5 })
  expect(at('10:58').warned).toMatchObject([
    {
      id: 'never',
      tone: 'act',
      isWayWrong: true,
      text: expect.stringMatching(/^Nothing is mixed on this way, and it is not near enough: salinity 4 psu under/),
    },
  ])
})

test('warmth that was guessed is come by afloat; without a float it is measured', () => {
  const it = home()
  const guessed = { way: 'at-once' as const, method: undefined, assumed: ['orchid.temperatureC', 'tank.pH'] }
  it.start('afloat', guessed)
  const { setting } = runById(it.journal, 'afloat')!.start
  it.start('own', { ...guessed, setting: { ...setting, float: { minutes: 0 } } })
  expect(['afloat', 'own'].map((id) => runById(it.journal, id)!.setup.guessed)).toEqual([[], ['temperatureC']])
})

test('across at once, chosen on the way before anybody measured, still rests on the guess', () => {
  const it = home()
  it.start('run', { assumed: ['orchid.salinityPsu'] })
  it.event('run', 15, { event: 'opened' })
  it.event('run', 16, { event: 'way', way: 'at-once' })
  const next = () => runNow(runById(it.journal, 'run')!, it.ms(1, '11:00')).next.kind
  expect(next()).toBe('measure')
  // Known at the choice it would not be asked about; this was not.
  it.event('run', 18, { event: 'measured', salinityPsu: 28, temperatureC: 24 })
  expect(next()).toBe('choose')
  it.event('run', 19, { event: 'way', way: 'at-once' })
  expect(next()).toBe('move')
})

test('across at once and only too cold: warmth is what helps, not another way of mixing', () => {
  const it = home()
  it.start('run', { way: 'at-once', method: undefined })
  it.event('run', 1, { event: 'opened' })
  it.event('run', 2, { event: 'measured', salinityPsu: 33, temperatureC: 22 })
  const [warning] = warned(it, '10:43')
  expect(warning!.text).toMatch(
    /^Not near enough: temperature [\d.]+ °C under .*An opened bag is not floated: warm packs/,
  )
})

test('a run that nobody ended for ninety days is followed for one, and says that it was never ended', () => {
  const it = home()
  it.start('run')
  it.event('run', 15, { event: 'opened' })
  it.event('run', 20, { event: 'drip', mlPerMinute: 30 })
  const run = runById(it.journal, 'run')!
  const now = it.ms(91, '10:50')
  const followed = runNow(run, now)
  expect(followed.past.length).toBeLessThan(2000)
  expect(runWarnings(run, followed, now, it.settings).map(({ id }) => id)).toEqual(['forgotten'])
})
