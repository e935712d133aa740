import { parameterById } from '../catalogue/parameter.ts'
import type { Content } from '../journal/entry.ts'
import { Journal } from '../journal/journal.ts'
import { scribe } from '../journal/testing.ts'
import { doubtfulReadings, probeChecks, trustedReadingsOf } from '../readings/doubtful.ts'
import { MS_PER_DAY, MS_PER_HOUR, MS_PER_MINUTE } from '../time/zone.ts'
import { testPoints } from '../water/points.ts'
import { dueValue } from './auto-log.ts'
import { readMessage, type Fault, type PumpOrder } from './messages.ts'
import { ProbeWatch, type ProbeState } from './probe-watch.ts'
import { plannedShots, pumpState, shotsByHour } from './pump-shots.ts'
import { probeSample } from './stand-in/probe.ts'
import { broughtBy, shotsGiven } from './stand-in/pump.ts'
import { trueLevel } from './stand-in/water-model.ts'

const START = Date.parse('2026-06-01T00:00:00Z')
const PH = { parameter: 'ph', resolution: 0.01, everySeconds: 5 }
const ph = parameterById('ph')!

/** A watch that has seen a stand-in for some minutes, with a fault played from a minute on. */
function watched(minutes: number, fault: Fault = 'none', from = Infinity, measure = PH) {
  const watch = new ProbeWatch(measure)
  const states = new Set<ProbeState>()
  let now = START
  for (; now <= START + minutes * MS_PER_MINUTE; now += measure.everySeconds * 1000) {
    const sample = probeSample('p', measure, now, [], { fault, since: START + from * MS_PER_MINUTE })
    if (sample) watch.push(Date.parse(sample.at), sample.value)
    states.add(watch.stateAt(now))
  }
  return { watch, states, now: now - measure.everySeconds * 1000 }
}

describe('a probe that works', () => {
  test.each(['ph', 'temp', 'salinity'])('%s is good for a whole day, with no false alarm', (parameter) => {
    const { states } = watched(24 * 60, 'none', Infinity, { parameter, resolution: 0.01, everySeconds: 5 })
    expect([...states]).toEqual(['starting', 'good'])
  })
  test('a water that really moves is no spike for long', () => {
    const watch = new ProbeWatch({ parameter: 'salinity', everySeconds: 5 })
    const push = (from: number, level: number) => {
      for (let i = 0; i < 20; i++) watch.push(START + (from + i) * 5000, level + (i % 3) * 0.02)
    }
    push(0, 35)
    push(20, 31)
    expect(watch.last!.value).toBeCloseTo(31.02, 9)
    expect(watch.stateAt(START + 40 * 5000)).toBe('good')
  })
})

describe('each fault of the stand-ins is found', () => {
  test('stuck: after thirty equal values, and since when', () => {
    const { watch, now } = watched(20, 'stuck', 10)
    expect(watch.stateAt(now)).toBe('stuck')
    expect(Math.abs(watch.stuckSince! - (START + 10 * MS_PER_MINUTE))).toBeLessThanOrEqual(10_000)
  })
  test('spikes: said, and in none of what is trusted', () => {
    const { watch, states, now } = watched(20, 'spike', 5)
    expect(states).toContain('spike')
    expect(watch.trustedMedian(now - 10 * MS_PER_MINUTE, now)!).toBeCloseTo(trueLevel('ph', now, [])!, 1)
    expect(Math.abs(watch.last!.value - trueLevel('ph', now, [])!)).toBeLessThan(0.1)
  })
  test('drop-out: silent after half a minute', () => {
    const { watch } = watched(10, 'drop-out', 8)
    expect(watch.stateAt(START + 8 * MS_PER_MINUTE + 20_000)).toBe('good')
    expect(watch.stateAt(START + 8 * MS_PER_MINUTE + 40_000)).toBe('silent')
  })
  test('drift: by the hand test beside it', () => {
    const probeAt = (hours: number) =>
      probeSample('p', PH, START + hours * MS_PER_HOUR, [], { fault: 'drift', since: START })!.value
    const journal = house(
      ...[1, 2, 30, 31].map((hours) => probed(hours, 'ph', probeAt(hours))),
      hand(1.1, 'ph', Number(trueLevel('ph', START + MS_PER_HOUR, [])!.toFixed(2))),
      hand(31.1, 'ph', Number(trueLevel('ph', START + 31 * MS_PER_HOUR, [])!.toFixed(2))),
    )
    expect(probeChecks(journal, 'hall', ph, 'p').map(({ differs }) => differs)).toEqual([false, true])
    // Back to the test that agreed.
    expect(doubtfulReadings(journal, 'hall', 'ph').size).toBe(3)
  })
})

describe('what is written down by itself', () => {
  /** The values kept over some hours. */
  function kept(hours: number, fault: Fault = 'none', from = Infinity) {
    const watch = new ProbeWatch(PH)
    const values: { at: number; value: number }[] = []
    for (let now = START; now <= START + hours * MS_PER_HOUR; now += 5000) {
      const sample = probeSample('p', PH, now, [], { fault, since: START + from * MS_PER_HOUR })
      if (sample) watch.push(Date.parse(sample.at), sample.value)
      const due = dueValue(watch, ph, values.at(-1) ?? null, now)
      if (due) values.push(due)
    }
    return values
  }
  test('is thinned to a value an hour or a real move, each the middle of ten minutes', () => {
    const values = kept(24)
    expect(values.length).toBeGreaterThanOrEqual(23)
    expect(values.length).toBeLessThan(36)
    for (const { at, value } of values) expect(value).toBeCloseTo(trueLevel('ph', at - 5 * MS_PER_MINUTE, [])!, 1)
  })
  test('nothing of a probe that stands still, nor of one that is silent', () => {
    for (const fault of ['stuck', 'drop-out'] as const) {
      const last = kept(12, fault, 4).at(-1)!
      expect(last.at).toBeLessThanOrEqual(START + 4 * MS_PER_HOUR + 2 * MS_PER_MINUTE)
    }
  })
  test('spikes bend no value', () => {
    for (const { at, value } of kept(12, 'spike', 2))
      expect(Math.abs(value - trueLevel('ph', at, [])!)).toBeLessThan(0.08)
  })
})

const at = (hours: number) => ({ happened: new Date(START + hours * MS_PER_HOUR).toISOString(), tankId: 'hall' })
const hand = (hours: number, parameter: string, value: number): Content => ({
  kind: 'reading',
  ...at(hours),
  parameter,
  result: { kind: 'value', value },
  unit: parameterById(parameter)!.unit,
})
const probed = (hours: number, parameter: string, value: number): Content => ({
  ...(hand(hours, parameter, value) as Extract<Content, { kind: 'reading' }>),
  origin: 'probe',
  deviceId: 'p',
})
function house(...contents: Content[]): Journal {
  const journal = new Journal()
  const { record } = scribe('2026-01-01T00:00:00Z')
  const tank: Content = {
    kind: 'tank-setup',
    ...at(-900),
    name: 'Hall',
    water: 'marine',
    role: 'display',
    sheet: { shape: { kind: 'known', litres: 200 } },
  }
  for (const content of [tank, ...contents]) journal.add([record(content)])
  return journal
}

describe('a probe’s values in the journal', () => {
  test('a run of equal ones over hours is doubtful but for the first; a hand test of the same value is not', () => {
    const journal = house(
      probed(0, 'salinity', 35.1),
      probed(1, 'salinity', 35),
      probed(2, 'salinity', 35),
      probed(4, 'salinity', 35),
      hand(4.5, 'salinity', 35),
      probed(5, 'salinity', 35.02),
    )
    expect(trustedReadingsOf(journal, 'hall', 'salinity').map(({ content }) => content.origin)).toEqual([
      'probe',
      'probe',
      undefined,
      'probe',
    ])
    // They stay on the chart, hollow.
    const hollow = testPoints(journal, 'hall', 'salinity', 0, START + MS_PER_DAY).filter(({ isSuspect }) => isSuspect)
    expect(hollow.map(({ at }) => (at - START) / MS_PER_HOUR)).toEqual(expect.arrayContaining([2, 4]))
  })
  test('without a probe nothing is left out', () => {
    const journal = house(hand(0, 'ph', 8), hand(4, 'ph', 8), hand(9, 'ph', 8))
    expect(trustedReadingsOf(journal, 'hall', 'ph')).toHaveLength(3)
  })
})

describe('a dosing pump', () => {
  const order = (change: Partial<PumpOrder> = {}): PumpOrder => ({
    startsAt: '2026-06-01T00:30:00.000Z',
    timeZone: 'UTC',
    mlByHour: shotsByHour(12, 4),
    days: 5,
    bottleMl: 100,
    residueMl: 10,
    raises: [{ parameter: 'k', perMl: 0.5 }],
    ...change,
  })
  const on = (hours: number) => START + hours * MS_PER_HOUR
  test('splits a day into equal shots', () => {
    expect(shotsByHour(12, 4).flatMap((ml, hour) => (ml > 0 ? [[hour, ml]] : []))).toEqual([
      [0, 3],
      [6, 3],
      [12, 3],
      [18, 3],
    ])
    expect(shotsByHour(10, 5).filter((ml) => ml > 0)).toEqual([2, 2, 2, 2, 2])
  })
  test('gives its shots from the start to the end of the plan, by the household’s clock', () => {
    const shots = plannedShots(order(), on(0), on(9 * 24))
    expect(shots).toHaveLength(20)
    expect(shots[0]).toEqual({ at: on(6), ml: 3 })
    expect(plannedShots(order({ timeZone: 'Europe/Lisbon' }), on(0), on(24))[0]!.at).toBe(on(5))
    // An hour that the clocks skip has none: Lisbon, 29 March 2026, 01:00.
    const spring = order({
      startsAt: '2026-03-28T12:00:00.000Z',
      timeZone: 'Europe/Lisbon',
      mlByHour: shotsByHour(24, 24),
    })
    expect(
      plannedShots(spring, Date.parse('2026-03-29T00:00:00Z') - 1, Date.parse('2026-03-29T23:00:00Z') - 1),
    ).toHaveLength(23)
  })
  test('as planned: nothing missed, and the bottle’s last day is known', () => {
    const shots = shotsGiven('x', order(), on(30), { fault: 'none', since: 0 })
    const state = pumpState(order({ days: null }), shots, on(30))
    expect(state).toMatchObject({ mlPerDay: 12, givenMl: 15, leftMl: 85, missed: [], isDry: false, isEnded: false })
    // 90 mL that can be drawn are thirty shots; the thirty-first finds none.
    expect(state.dryAt).toBe(on(6 + 30 * 6))
    expect(pumpState(order(), shots, on(30)).dryAt).toBeNull()
    expect(pumpState(order(), shots, on(121)).isEnded).toBe(true)
  })
  test('missed shots are found, a quarter of an hour after their time', () => {
    const shots = shotsGiven('x', order(), on(30), { fault: 'missed-shot', since: on(7) })
    // Shots at 6, 12, 18, 24, 30 h: every third, the first and the fourth; the first came before the fault.
    expect(pumpState(order(), shots, on(30.5)).missed).toEqual([{ at: on(24), ml: 3, gaveMl: 0 }])
    expect(pumpState(order(), [], on(6.1)).missed).toEqual([])
    expect(pumpState(order(), [], on(6.3)).missed).toHaveLength(1)
  })
  test('run dry: it turns and gives nothing, and that is found', () => {
    const shots = shotsGiven('x', order(), on(30), { fault: 'run-dry', since: on(13) })
    expect(pumpState(order(), shots, on(30.5))).toMatchObject({ isDry: true, givenMl: 6 })
    const emptied = shotsGiven('x', order({ bottleMl: 15 }), on(30), { fault: 'none', since: 0 })
    expect(emptied.map(({ ml }) => ml)).toEqual([3, 2, 0, 0, 0])
    expect(pumpState(order({ bottleMl: 15 }), emptied, on(30.5)).isDry).toBe(true)
  })
  test('what it gives raises the stand-ins’ water', () => {
    const shots = shotsGiven('x', order(), on(30), { fault: 'none', since: 0 })
    const brought = broughtBy(
      order(),
      shots.reduce((sum, { ml }) => sum + ml, 0),
    )
    expect(trueLevel('k', on(30), brought)! - trueLevel('k', on(30), [])!).toBeCloseTo(7.5, 9)
    expect(trueLevel('moon', on(30), brought)).toBeNull()
  })
})

test('messages are checked at the border, and what is wrong is said', () => {
  const sample = { deviceId: 'p', parameter: 'ph', at: '2026-06-01T00:00:00.000Z', value: 8.1 }
  expect(readMessage('sample', sample)).toEqual({ ok: true, value: sample })
  for (const wrong of [{ ...sample, value: '8.1' }, { ...sample, at: 'noon' }, { ...sample, extra: 1 }, null])
    expect(readMessage('sample', wrong)).toMatchObject({ ok: false, error: { code: 'invalid-input' } })
  expect(readMessage('pumpOrder', { mlByHour: [1] }).ok).toBe(false)
})
