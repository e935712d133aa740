import { productById } from '../household/shelf.ts'
import { devicesOf, pumpPlanOf } from '../household/devices.ts'
import { tankById } from '../household/tanks.ts'
import type { Content } from '../journal/entry.ts'
import { Journal } from '../journal/journal.ts'
import { scribe } from '../journal/testing.ts'
import { MS_PER_DAY, MS_PER_HOUR, zoneClock } from '../time/zone.ts'
import { probeAlarm, pumpAlarms } from './alarms.ts'
import { valuesRemembered } from './auto-log.ts'
import { parameterById } from '../catalogue/parameter.ts'
import { concernsOf } from '../safety/concerns.ts'
import { dayRises } from './pump-check.ts'
import { orderOf, pumpCautions, unwrittenDoses } from './pump-doses.ts'
import { proposePump } from './pump-proposal.ts'
import { plannedShots, pumpState, shotsByHour } from './pump-shots.ts'
import { pumpsInTank } from './pumps-in-tank.ts'
import { probeSample } from './stand-in/probe.ts'
import { shotsGiven } from './stand-in/pump.ts'

const START = Date.parse('2026-06-01T09:30:00Z')
const on = (hours: number) => START + hours * MS_PER_HOUR
const at = (hours: number) => ({ happened: new Date(on(hours)).toISOString() })
const clock = zoneClock('UTC')
const plan: Content = {
  kind: 'pump-plan',
  ...at(0),
  deviceId: 'p',
  tankId: 'hall',
  productId: 'stock',
  mlByHour: shotsByHour(24, 24),
  days: 10,
  bottleMl: 120,
  residueMl: 10,
}
function house(...contents: Content[]): Journal {
  const journal = new Journal()
  const { record } = scribe('2026-01-01T00:00:00Z')
  const base: Content[] = [
    {
      kind: 'tank-setup',
      ...at(-900),
      tankId: 'hall',
      name: 'Hall',
      water: 'marine',
      role: 'display',
      profile: 'reef-lps',
      sheet: { shape: { kind: 'known', litres: 200 } },
    },
    {
      kind: 'product-setup',
      ...at(-900),
      productId: 'stock',
      name: 'potash',
      ingredient: 'potassium-carbonate',
      strength: { kind: 'solution', mgPerMl: 50 },
    },
  ]
  for (const content of [...base, ...contents]) journal.add([record(content)])
  return journal
}

test('attached devices are as their newest entry says; a stopped plan is none', () => {
  const device = (change: object): Content => ({
    kind: 'device',
    ...at(-10),
    deviceId: 'p',
    name: 'pump',
    type: 'pump',
    tankId: 'hall',
    channel: 'pump-1',
    ...change,
  })
  const journal = house(
    device({}),
    device({ ...at(-9), name: 'left pump' }),
    device({ deviceId: 'q', retired: true }),
    plan,
  )
  expect(devicesOf(journal).map(({ deviceId, name }) => [deviceId, name])).toEqual([
    ['p', expect.stringContaining('left pump')],
  ])
  expect(pumpPlanOf(journal, 'p')?.at).toBe(START)
  expect(pumpPlanOf(house(plan, { ...plan, ...at(3), stopped: true }), 'p')).toBeNull()
})

test('the order tells what a mL raises in the net volume, what it brings along too', () => {
  const journal = house(plan)
  const order = orderOf(journal, pumpPlanOf(journal, 'p')!, 'Europe/Lisbon')
  // 50 mg in 200 L.
  expect(order).toMatchObject({ timeZone: 'Europe/Lisbon', days: 10, bottleMl: 120, residueMl: 10 })
  expect(order.raises).toEqual([
    { parameter: 'alk-kh', perMl: expect.closeTo(0.0179, 4) as number },
    { parameter: 'k', perMl: 0.25 },
  ])
  expect(pumpCautions('potassium-carbonate')[0]).toMatch(/Caustic dust: goggles/)
})

describe('what a pump gave', () => {
  const journal = house(plan)
  const line = pumpPlanOf(journal, 'p')!
  const order = orderOf(journal, line, 'UTC')
  const shots = shotsGiven('p', order, on(60), { fault: 'none', since: 0 })
  test('is one dose a day that is over, and the rest when it is stopped', () => {
    const doses = unwrittenDoses(journal, line, shots, clock, on(60), false)
    // 14 shots on the first day from ten o'clock on, 24 on the second; the third is not over.
    expect(doses.map(({ amount, massMg, happened }) => [amount, massMg, happened])).toEqual([
      [14, 700, '2026-06-01T23:00:00.000Z'],
      [24, 1200, '2026-06-02T23:00:00.000Z'],
    ])
    expect(unwrittenDoses(journal, line, shots, clock, on(60), true)).toHaveLength(3)
  })
  test('is not written twice', () => {
    const kept = house(plan, ...unwrittenDoses(journal, line, shots, clock, on(60), false))
    expect(unwrittenDoses(kept, pumpPlanOf(kept, 'p')!, shots, clock, on(60), false)).toEqual([])
  })
})

describe('alarms in words', () => {
  const journal = house(plan)
  const order = orderOf(journal, pumpPlanOf(journal, 'p')!, 'UTC')
  const words = (hours: number, fault: 'none' | 'missed-shot' | 'run-dry') => {
    const shots = shotsGiven('p', order, on(hours), { fault, since: 0 })
    return pumpAlarms('left pump', pumpState(order, shots, on(hours)), on(hours), clock).map((one) => [
      one.tone,
      one.words,
    ])
  }
  test('a pump that works says nothing; two days before it is empty it asks for the next bottle', () => {
    expect(words(24, 'none')).toEqual([])
    expect(words(70, 'none')).toEqual([['soon', expect.stringMatching(/^left pump runs dry .*: mix the next bottle/)]])
  })
  test('missed shots, and not to make up for them at once; run dry', () => {
    expect(words(24, 'missed-shot')[0]).toEqual([
      'act',
      expect.stringMatching(/missed 8 shots, the last .*: 8 mL short\. Do not make up/),
    ])
    expect(words(24, 'run-dry')).toEqual([['act', expect.stringMatching(/has run dry/)]])
  })
  test('a probe: stuck since, silent, jumping', () => {
    expect(probeAlarm('P', 'pH', 'stuck', on(1), clock)).toMatchObject({
      tone: 'act',
      words: expect.stringMatching(/stood still since 10:30/) as string,
    })
    expect(probeAlarm('P', 'pH', 'silent', null, clock)?.tone).toBe('act')
    expect(probeAlarm('P', 'pH', 'spike', null, clock)?.tone).toBe('soon')
    expect(probeAlarm('P', 'pH', 'good', null, clock)).toBeNull()
  })
})

describe('before a pump is started', () => {
  const journal = house()
  const stock = productById(journal, 'stock')!
  test('a rise becomes mL a day, rounded so that no cap is passed, and a bottle that lasts', () => {
    // 7 mg/L of 200 L by 50 mg/mL: 28 mL; three days and 10 mL.
    expect(proposePump({ parameter: 'k', risePerDay: 7, netL: 200, days: 3, residueMl: 10 }, stock)).toEqual({
      mlPerDay: 28,
      bottleMl: 94,
    })
    expect(proposePump({ parameter: 'k', risePerDay: 6.944, netL: 200, days: 3, residueMl: 0 }, stock)!.mlPerDay).toBe(
      27.7,
    )
    expect(proposePump({ parameter: 'ca', risePerDay: 7, netL: 200, days: 3, residueMl: 0 }, stock)).toBeNull()
  })
  test('a day is held against the caps of all that it raises', () => {
    const hall = tankById(journal, 'hall')!
    const over = (ml: number) =>
      dayRises(journal, hall, stock, ml, START).map(({ parameter, isOver }) => [parameter.id, isOver])
    // 55 mL bring 0.99 dKH, 60 mL 1.08.
    expect(over(55)).toEqual([
      ['alk-kh', false],
      ['k', false],
    ])
    expect(over(60)).toEqual([
      ['alk-kh', true],
      ['k', false],
    ])
  })
  test.each(['reef-sps', 'reef-lps', 'reef-soft'] as const)('%s: a pump and a hand have one cap', (profile) => {
    const reef = house(
      { kind: 'tank-change', ...at(-800), tankId: 'hall', changes: { profile } },
      { kind: 'arrival', ...at(-700), animalId: 'a', tankId: 'hall', species: 'anthias', group: 'other', count: 1 },
    )
    const hall = tankById(reef, 'hall')!
    for (const ml of [25, 30, 50, 60]) {
      const byPump = dayRises(reef, hall, stock, ml, START).some(({ isOver }) => isOver)
      const byHand = concernsOf(
        reef,
        {
          kind: 'dose',
          ...at(0),
          tankId: 'hall',
          ingredient: 'potassium-carbonate',
          amount: ml,
          unit: 'mL',
          massMg: ml * 50,
        },
        { now: START },
      ).some(({ rule }) => rule === 'day-cap')
      // 0.45 and 0.54 dKH, 0.9 and 1.08.
      expect([ml, byPump, byHand]).toEqual([ml, ml > (profile === 'reef-sps' ? 25 : 50), byPump])
    }
  })
})

test('what a pump doses in a day counts for a dose by hand', () => {
  const byHand = (journal: Journal) =>
    concernsOf(
      journal,
      {
        kind: 'dose',
        ...at(1),
        tankId: 'hall',
        ingredient: 'potassium-carbonate',
        amount: 40,
        unit: 'mL',
        massMg: 2000,
      },
      { now: on(1) },
    ).filter(({ rule }) => rule === 'day-cap')
  const fish: Content = {
    kind: 'arrival',
    ...at(-700),
    animalId: 'a',
    tankId: 'hall',
    species: 'anthias',
    group: 'other',
    count: 1,
  }
  const writtenDay: Content = {
    kind: 'dose',
    ...at(0.5),
    tankId: 'hall',
    ingredient: 'potassium-carbonate',
    amount: 24,
    unit: 'mL',
    massMg: 1200,
    deviceId: 'p',
  }
  // 40 mL raise alkalinity by 0.72 dKH, the pump's 24 mL by 0.43: each alone is under 1.
  expect(byHand(house(fish))).toEqual([])
  expect(byHand(house(fish, plan))).toMatchObject([
    { what: expect.stringMatching(/1\.15 dKH today, 0\.43\d* dKH by the pump$/) as string },
  ])
  // The day of a pump that is written down counts once.
  expect(byHand(house(fish, plan, writtenDay))).toMatchObject([
    { what: expect.stringMatching(/1\.15 dKH today, 0\.43\d* dKH of it already$/) as string },
  ])
  const full = { ...writtenDay, ...at(1), amount: 50, massMg: 2500 } as Content
  expect(concernsOf(house(fish, plan), full, { now: on(1) }).filter(({ rule }) => rule === 'day-cap')).toEqual([])
})

test('what a probe remembers is written down as if somebody had listened', () => {
  const ph = parameterById('ph')!
  const remembered = Array.from({ length: 6 * 60 }, (_, i) =>
    probeSample('x', { parameter: 'ph', resolution: 0.01, everySeconds: 5 }, START + i * 60_000, [], {
      fault: 'none',
      since: 0,
    })!,
  )
  const values = valuesRemembered(remembered, ph, { at: START - MS_PER_DAY, value: 8 })
  expect(values.length).toBeGreaterThanOrEqual(5)
  expect(values.length).toBeLessThan(14)
  // A probe that stood still all the while gives nothing.
  expect(
    valuesRemembered(
      remembered.map((one) => ({ ...one, value: 8.1 })),
      ph,
      { at: START - MS_PER_DAY, value: 8 },
    ),
  ).toEqual([])
})

test('the pump of a tank as the journal alone says: what a day raises, and when the bottle is empty', () => {
  const journal = house(plan)
  const hall = tankById(journal, 'hall')!
  expect(pumpsInTank(journal, hall, 'UTC', on(-1))).toEqual([])
  const [pump] = pumpsInTank(journal, hall, 'UTC', on(24))
  // 24 mL a day of 50 mg/mL; 110 mL of the bottle can be given: shot 111 is the first that cannot.
  expect(pump).toMatchObject({ deviceId: 'p', mlPerDay: 24, since: on(0) })
  expect(pump!.rises.map(({ parameter }) => parameter.id).sort()).toEqual(['alk-kh', 'k'])
  expect((pump!.dryAt! - on(0)) / MS_PER_HOUR).toBeCloseTo(110.5, 1)
  // Its ten days are over.
  expect(pumpsInTank(journal, hall, 'UTC', on(241))).toEqual([])
})

test('a plan of the year 1000 is looked at no further back than 400 days', () => {
  const order = {
    startsAt: '1000-01-01T00:00:00Z',
    timeZone: 'UTC',
    mlByHour: shotsByHour(24, 24),
    days: null,
    bottleMl: 120,
    residueMl: 10,
    raises: [],
  }
  const shots = plannedShots(order, Date.parse(order.startsAt), on(0))
  expect(shots).toHaveLength(400 * 24)
  expect(shots.at(-1)!.at).toBeLessThanOrEqual(on(0))
  expect(pumpState(order, [], on(0)).missed.length).toBeLessThanOrEqual(400 * 24)
})
