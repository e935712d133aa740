import { METRIC, type Settings } from '../household/settings.ts'
import type { Content } from '../journal/entry.ts'
import { Journal } from '../journal/journal.ts'
import { scribe } from '../journal/testing.ts'
import { zoneClock } from '../time/zone.ts'
import { courseById } from './course.ts'
import { coursePlan } from './plan.ts'
import { treatedUntreatedOf } from './outlook/plans/treated-untreated.ts'
import { armDays } from './tracks/arm-days.ts'
import { standingOf } from './standing/standing.ts'
import { doseContent, ruleWord } from './acts/task-contents.ts'

/** A planted tank of 84 L with two patches of algae and one left as control; days from the first of November 2026. */
function planted({
  shrimp = false,
  tier = 'animals-in',
  zone = 'UTC',
  first = '2026-11-01',
}: { shrimp?: boolean; tier?: string; zone?: string; first?: string } = {}) {
  const clock = zoneClock(zone)
  const settings: Settings = { timeZone: zone, units: METRIC, clock }
  const journal = new Journal()
  const { record } = scribe('2026-01-01T00:00:00Z')
  const ms = (day: number, time: string) => Date.parse(`${first}T${time}:00Z`) + day * 86_400_000
  const at = (day: number, time: string) => ({ happened: new Date(ms(day, time)).toISOString() })
  const write = (content: Content) => {
    const entry = record(content)
    journal.add([entry])
    return entry
  }
  write({ kind: 'household', ...at(-9, '08:00'), timeZone: 'UTC', units: METRIC })
  write({
    kind: 'tank-setup',
    ...at(-9, '08:00'),
    tankId: 'study',
    name: 'Study',
    water: 'freshwater',
    role: 'display',
    sheet: { shape: { kind: 'known', litres: 84 } },
  })
  if (shrimp)
    write({
      kind: 'arrival',
      ...at(-8, '08:00'),
      animalId: 's',
      tankId: 'study',
      species: 'algae shrimp',
      group: 'fw-shrimp',
      count: 6,
    })
  write({
    kind: 'product-setup',
    ...at(-9, '08:00'),
    productId: 'perox',
    name: 'peroxide 3 %',
    ingredient: 'peroxide',
    strength: { kind: 'solution', mgPerMl: 30 },
    measure: { tool: 'syringe', step: 0.1 },
  })
  for (const [partId, control] of [
    ['A', false],
    ['B', false],
    ['C', true],
  ] as const)
    write({ kind: 'part-setup', ...at(0, '09:00'), partId, tankId: 'study', what: 'patch', name: partId, control })
  write({
    kind: 'course-start',
    ...at(0, '10:00'),
    courseId: 'p',
    definition: 'peroxide-spot',
    tanks: { main: 'study' },
    animalIds: [],
    options: { tier },
    products: { 'peroxide-spot': 'perox' },
  })
  const course = () => courseById(journal, 'p')!
  return {
    write,
    at,
    course,
    plan: (day: number, time: string) => coursePlan(journal, course(), settings, ms(day, time)),
    standing: (day: number, time: string) => standingOf(journal, course(), settings, ms(day, time)),
    score: (day: number, ...values: number[]) =>
      write({
        kind: 'count',
        ...at(day, '19:00'),
        tankId: 'study',
        measure: 'patch-stage',
        parts: values.map((value, i) => ({ partId: 'ABC'[i]!, value })),
      }),
    session: (day: number) =>
      write({
        kind: 'dose',
        ...at(day, '18:00'),
        tankId: 'study',
        ingredient: 'peroxide',
        amount: 2,
        unit: 'mL',
        massMg: 60,
      }),
  }
}
const stepOf = (it: ReturnType<typeof planted>, day: number, time: string, step: string) =>
  it.plan(day, time).tasks.find((task) => task.step === step)
const ruleOf = (it: ReturnType<typeof planted>, day: number, id: string) =>
  it.plan(day, '20:00').rules.find((rule) => rule.id === id)

describe('peroxide on spots: outbreaks.md 5.2 with further-schools.md 4', () => {
  test('the cap of a session: 0.79 mg/L × 84 L ÷ 30 mg/mL, rounded down to the syringe', () => {
    const it = planted()
    const session = stepOf(it, 0, '10:30', 'step-2')!
    expect(session.session).toMatchObject({ amount: 2.2, unit: 'mL', capMg: expect.closeTo(66.36, 9) })
    expect(session.session!.makesMgPerL!).toBeLessThanOrEqual(0.79)
    expect(doseContent(session, it.course(), 0)).toMatchObject({ massMg: expect.closeTo(66), taskId: 'p/step-2/0' })
  })

  test('every day, every other day where shrimp are in; done once dosed', () => {
    const days = (it: ReturnType<typeof planted>) =>
      it
        .standing(0, '10:30')
        .tasks.filter(({ step }) => step === 'step-2')
        .slice(0, 3)
        .map(({ best }) => best.slice(8, 10))
    expect(days(planted())).toEqual(['01', '02', '03'])
    expect(days(planted({ shrimp: true }))).toEqual(['01', '03', '05'])
    const it = planted()
    it.session(0)
    expect(stepOf(it, 0, '19:00', 'step-2')).toMatchObject({ id: 'p/step-2/1', state: 'ahead' })
  })

  test('scores stand by patch with what is expected, the control apart', () => {
    const it = planted()
    it.score(1, 0, 1, 0)
    it.score(4, 2, 1, 0)
    const { series } = it.standing(4, '20:00')
    expect(series).toEqual([
      {
        track: 'stage',
        part: 'A',
        control: false,
        last: { at: it.at(4, '19:00').happened.replace('Z', 'Z'), value: 2 },
        expected: 2,
        verdict: 'on-course',
      },
      { track: 'stage', part: 'B', control: false, last: expect.anything() as unknown, expected: 2, verdict: 'behind' },
      {
        track: 'stage',
        part: 'C',
        control: true,
        last: expect.anything() as unknown,
        expected: null,
        verdict: 'unknown',
      },
    ])
  })

  test('a coral and a jar of the same tank are no patches', () => {
    const it = planted()
    for (const [partId, what] of [
      ['toadstool', 'coral'],
      ['jar', 'jar'],
      ['stone', 'rock'],
    ] as const)
      it.write({ kind: 'part-setup', ...it.at(0, '09:30'), partId, tankId: 'study', what, name: partId })
    const { parts } = it.plan(1, '12:00').series!
    expect(parts.map(({ part }) => part.id).sort()).toEqual(['A', 'B', 'C', 'stone'])
  })

  test('no response by day five', () => {
    const it = planted()
    it.score(5, 0, 2, 0)
    expect(it.standing(5, '20:00').series.map(({ verdict }) => verdict)).toEqual([
      'no-response',
      'on-course',
      'unknown',
    ])
  })

  test('success: every treated patch white, the control lower; then nothing is dosed and it can be finished', () => {
    const it = planted()
    it.score(6, 4, 4, 4)
    expect(ruleOf(it, 6, 'success')).toMatchObject({ state: 'not-yet' })
    it.score(7, 4, 5, 1)
    expect(ruleOf(it, 7, 'success')).toMatchObject({ state: 'holds' })
    expect(it.standing(7, '20:00').stage).toBe('to-close')
    expect(stepOf(it, 7, '20:00', 'step-2')).toBeUndefined()
    expect(stepOf(it, 7, '20:00', 'close')).toMatchObject({ state: 'due', why: 'what it was for is reached' })
  })

  test('what was left untreated is compared until it is treated itself, and then expected by its own days', () => {
    const it = planted()
    expect(treatedUntreatedOf(it.plan(0, '10:30'))).toBeNull()
    it.session(0)
    it.score(6, 4, 4, 1)
    expect(treatedUntreatedOf(it.plan(6, '20:00'))).toMatchObject({
      difference: 3,
      verdict: 'hints',
      chance: expect.closeTo(1 / 3, 9) as number,
      treatedSince: Date.parse(it.at(0, '18:00').happened),
      endedAt: null,
      wanted: null,
    })
    it.write({ kind: 'part-change', ...it.at(7, '09:00'), partId: 'C', changes: { control: false } })
    it.score(9, 4, 5, 4)
    const series = it.plan(9, '20:00').series!
    const days = (arm: 'treated' | 'control') =>
      armDays(series, arm, zoneClock('UTC'), zoneClock('UTC').dayOf(it.course().startedAt))
    expect(days('treated')).toEqual([
      { day: 6, value: 4 },
      { day: 9, value: 4.5 },
    ])
    expect(days('control')).toEqual([{ day: 6, value: 1 }])
    // Its own treatment began two days before: no mark of it is due, and its score takes no part in the comparison.
    expect(it.standing(9, '20:00').series.at(-1)).toMatchObject({ part: 'C', control: false, expected: null })
    expect(treatedUntreatedOf(it.plan(9, '20:00'))).toMatchObject({
      difference: 3,
      at: Date.parse(it.at(6, '19:00').happened),
      endedAt: Date.parse(it.at(7, '09:00').happened),
    })
    // All white, and the untreated lower until it was treated.
    expect(ruleOf(it, 9, 'success')).toMatchObject({ state: 'holds' })
    it.score(12, 4, 5, 1)
    expect(it.standing(12, '20:00').series.at(-1)).toMatchObject({ expected: 2, verdict: 'behind' })
  })

  test('still stage 0 after three sessions: something else', () => {
    const it = planted()
    for (const day of [0, 1]) it.session(day)
    it.score(2, 0, 0, 0)
    expect(ruleOf(it, 2, 'escalate-1')).toMatchObject({ state: 'not-yet' })
    it.session(2)
    expect(ruleOf(it, 2, 'escalate-1')).toMatchObject({ state: 'holds', then: 'identify it again' })
  })

  test('ammonia stops every plan: the session waits, and says for what', () => {
    const it = planted()
    it.write({
      kind: 'reading',
      ...it.at(1, '09:00'),
      tankId: 'study',
      parameter: 'tan',
      result: { kind: 'value', value: 0.25 },
      unit: 'mg/L',
      basis: 'NH4',
    })
    expect(ruleOf(it, 1, 'stop-0')).toMatchObject({ state: 'holds' })
    expect(it.standing(1, '20:00').tasks.find(({ step }) => step === 'step-2')).toMatchObject({
      state: 'waiting',
      waitsFor: ['stop-0'],
    })
    expect(it.plan(1, '20:00').warnings[0]!.text).toMatch(/^Stop, a fish gasps.*: stop, change 30–50 %/)
  })

  test('what only the keeper can see is asked, and their word stops', () => {
    const it = planted()
    expect(ruleOf(it, 1, 'stop-1')).toMatchObject({ state: 'ask', canBeSaid: true })
    it.write({
      kind: 'task',
      ...it.at(1, '12:00'),
      taskId: 'p/rule/stop-1/0',
      tankId: 'study',
      courseId: 'p',
      state: 'done',
    })
    expect(ruleOf(it, 1, 'stop-1')).toMatchObject({ state: 'holds', canBeDenied: true })
    it.write(ruleWord(it.course(), 'stop-1', 0, Date.parse(it.at(1, '15:00').happened), 'skipped'))
    expect(ruleOf(it, 1, 'stop-1')).toMatchObject({ state: 'not-yet', canBeSaid: true })
  })

  test('the tier without invertebrates: twice the cap, and a change at once that leaves 0.79', () => {
    const it = planted({ tier: 'changed' })
    expect(stepOf(it, 0, '10:30', 'step-2')!.session).toMatchObject({ capMgPerL: 1.6, amount: 4.4 })
    expect(stepOf(it, 0, '10:30', 'step-2-change')).toBeUndefined()
    it.write({
      kind: 'dose',
      ...it.at(0, '18:00'),
      tankId: 'study',
      ingredient: 'peroxide',
      amount: 4.4,
      unit: 'mL',
      massMg: 132,
    })
    const change = stepOf(it, 0, '18:30', 'step-2-change')!
    // 132 mg in 84 L is 1.571 mg/L: 1 − 0.79/1.571 of the water, just under half.
    expect(change.change!.litres).toBeCloseTo(84 * (1 - 0.79 / (132 / 84)), 6)
    expect(change.state).toBe('due')
    it.write({ kind: 'water-change', ...it.at(0, '18:40'), tankId: 'study', litres: 42 })
    expect(stepOf(it, 0, '18:50', 'step-2-change')).toBeUndefined()
  })

  test.each([
    ['Europe/Lisbon', '2026-10-23', ['2026-10-24T07:00', '2026-10-25T08:00', '2026-10-26T08:00']],
    ['America/New_York', '2026-10-30', ['2026-10-31T12:00', '2026-11-01T13:00', '2026-11-02T13:00']],
    ['UTC', '2028-02-27', ['2028-02-28T08:00', '2028-02-29T08:00', '2028-03-01T08:00']],
  ])(
    'scores stand at eight on the wall in %s from %s, over the clock change and a leap day',
    (zone, first, expected) => {
      const it = planted({ zone, first })
      expect(
        it
          .standing(0, '23:00')
          .tasks.filter(({ step }) => step === 'step-3')
          .slice(0, 3)
          .map(({ best }) => best.slice(0, 16)),
      ).toEqual(expected)
    },
  )
})
