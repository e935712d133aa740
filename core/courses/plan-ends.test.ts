import { DEFINITIONS } from '../catalogue/courses/all-definitions.ts'
import type { Content } from '../journal/entry.ts'
import { concernsOf } from '../safety/concerns.ts'
import { silicateDose } from './amounts/silicate-loop.ts'
import { workLeftOf } from './outlook/plans/work-left.ts'
import { byNearness } from './rules/nearness.ts'
import { standingOf } from './standing/standing.ts'
import { ruleWord } from './acts/task-contents.ts'
import { planCourse } from './testing/plans.ts'

const PLANS = DEFINITIONS.filter(({ kind }) => kind === 'plan')

test('rules stand nearest first: what holds, then by how near, then what is asked', () => {
  const it = planCourse('blackout-marine')
  it.read(-1, 'no3', 8)
  it.read(1.2, 'no3', 14)
  it.read(1.2, 'po4', 0.01)
  it.read(1.3, 'tan', 0.25)
  const stops = byNearness(it.plan(1.5).rules).filter(({ role }) => role === 'stop')
  expect(
    stops
      .map(({ id }) => id)
      .slice(0, 2)
      .sort(),
  ).toEqual(['stop-0', 'stop-4'])
  expect(stops[2]).toMatchObject({ id: 'stop-1', near: 14 / 16 })
  expect(stops.at(-1)).toMatchObject({ id: 'stop-5', state: 'ask' })
})

test('what only the keeper can say is asked, and holds by their word', () => {
  const it = planCourse('brown-jelly')
  expect(it.rule('stop-1', 1)).toMatchObject({ state: 'ask', canBeSaid: true })
  it.write(ruleWord(it.plan(1).course, 'stop-1', 0, it.ms(1)))
  expect(it.rule('stop-1', 1.1)).toMatchObject({ state: 'holds', then: 'cut it, or give it up at once' })
})

test('an entry in the window of two occasions is of the later one alone', () => {
  const it = planCourse('dino-uv')
  const due = (day: number) => it.plan(day).tasks.filter(({ step }) => step === 'step-5')
  expect(due(13.95)[0]).toMatchObject({ best: it.ms(14) + 8 * 3_600_000 })
  // Ten hours before the fourteenth day's look: it is that look, and the seventh day's was missed.
  it.count(13.95, 'cells', 4)
  expect(due(14.1)[0]).toMatchObject({ best: it.ms(21) + 8 * 3_600_000 })
  it.count(7.4, 'cells', 6)
  expect(due(14.1)[0]).toMatchObject({ best: it.ms(21) + 8 * 3_600_000 })
  const early = planCourse('dino-uv')
  early.count(6.9, 'cells', 4)
  expect(early.plan(8).tasks.find(({ step }) => step === 'step-5')).toMatchObject({
    best: early.ms(14) + 8 * 3_600_000,
  })
})

test('rounds hang on the light: four hours after it comes on, an hour before it goes off', () => {
  const bestOf = (lights: object) => {
    const it = planCourse('dino-uv')
    it.write({ kind: 'tank-change', ...it.at(-10), tankId: 'tank', changes: lights })
    return ['step-3', 'step-3-evening'].map((step) => {
      const task = it.plan(1.1).tasks.find((one) => one.step === step)!
      return new Date(task.best).toISOString().slice(11, 16)
    })
  }
  expect(bestOf({ lightsOn: '11:30', lightsOff: '21:00' })).toEqual(['15:30', '20:00'])
  expect(bestOf({ lightsOn: '22:00', lightsOff: '00:30' })).toEqual(['02:00', '23:30'])
  // Nobody said when: at the hour of the daily things.
  expect(bestOf({ contents: ['rock'] })).toEqual(['08:00', '08:00'])
})

test('work left in sessions, and the price of a pause: further-schools.md 7', () => {
  const it = planCourse('anemone-bench')
  expect(workLeftOf(it.journal, it.plan(1))).toBeNull()
  it.count(1, 'removed', 40)
  it.count(1, 'left', 60)
  expect(workLeftOf(it.journal, it.plan(2))).toMatchObject({
    left: 60,
    removed: 40,
    hours: null,
    sessions: null,
    pause: null,
  })
  it.write({
    kind: 'bench-start',
    ...it.at(0.9),
    benchId: 'b',
    procedure: 'anemone-rock',
    tankId: 'tank',
    courseId: 'p',
  })
  it.write({ kind: 'bench-end', ...it.at(0.9 + 2 / 24), benchId: 'b', outcome: 'finished' })
  it.count(7, 'pest-count', 10)
  it.count(10, 'pest-count', 20)
  const work = workLeftOf(it.journal, it.plan(10.5))!
  // 40 in two hours: 60 take three.
  expect(work.hours).toBeCloseTo(2, 6)
  expect(work.sessions).toBeCloseTo(3, 6)
  expect(work.doublingDays).toBeCloseTo(3, 6)
  expect(work.pause!.makes).toBeCloseTo(60 * 2 ** (7 / 3), 6)
})

test('a jar that was scored within twelve hours of a dose counts for nothing: further-schools.md 6', () => {
  const it = planCourse('planaria-fenbendazole', { start: { products: { fenbendazole: 'fen' } } })
  it.write({
    kind: 'dose',
    ...it.at(1),
    tankId: 'tank',
    ingredient: 'fenbendazole',
    amount: 0.2,
    unit: 'g',
    massMg: 55,
  })
  it.count(1.49, 'alive', 0)
  expect(it.plan(2).measures.find(({ track }) => track.measure === 'alive')).toMatchObject({ last: null })
  it.count(1.5, 'alive', 3)
  expect(it.plan(2).measures.find(({ track }) => track.measure === 'alive')).toMatchObject({ last: { value: 3 } })
})

test('the dark ends early by its rule; what follows waits for that, and counts from it', () => {
  const it = planCourse('blackout-marine')
  it.read(-1, 'no3', 8)
  it.read(1.5, 'no3', 17)
  const tasks = it.plan(1.6).tasks
  expect(tasks.find(({ step }) => step === 'end')).toMatchObject({ state: 'due', rule: 'stop-1' })
  expect(tasks.find(({ step }) => step === 'step-4')).toMatchObject({ waitsFor: ['the end of the treatment'] })
  it.write({ kind: 'course-mark', ...it.at(1.7), courseId: 'p', anchor: 'end', rule: 'stop-1' })
  const after = it.plan(1.8).tasks
  expect(after.find(({ step }) => step === 'end')).toBeUndefined()
  // The tests of the next days in the dark are gone with it.
  expect(after.filter(({ step, best }) => step === 'step-3' && best >= it.ms(2))).toEqual([])
  expect(after.find(({ step }) => step === 'step-4')).toMatchObject({ state: 'due' })
  // Light from the day after on.
  expect(it.plan(1.8).tasks.find(({ step }) => step === 'step-5')!.best).toBe(it.ms(2 + 8 / 24))
})

test('a measure stands in a standing, all parts together', () => {
  const it = planCourse('dino-uv')
  it.count(0.6, 'cells', 20)
  it.count(10, 'cells', 8)
  const { series } = standingOf(it.journal, it.plan(11).course, it.settings, it.ms(11))
  expect(series).toMatchObject([
    { track: 'cells', part: 'all', control: false, last: { value: 8 }, expected: 10, verdict: 'on-course' },
    { track: 'coverage', last: null, verdict: 'unknown' },
  ])
})

test('a stop that held is not over because nobody tested again: doses wait, and the first warning says so', () => {
  const it = planCourse('siphonous-fluconazole')
  it.read(1, 'tan', 1)
  expect(it.rule('stop-0', 2)).toMatchObject({ state: 'holds' })
  expect(it.rule('stop-0', 5)).toMatchObject({ state: 'unknown', blindSince: it.ms(3) })
  expect(it.plan(5).warnings[0]).toMatchObject({ id: 'blind', tone: 'act' })
  expect(it.plan(5).tasks.find(({ act }) => act === 'dose')!.waitsFor).toContain(it.rule('stop-0', 5).rule)
  it.read(5, 'tan', 0)
  expect(it.rule('stop-0', 5.1)).toMatchObject({ state: 'not-yet' })
  // Never over its limit and not tested again, it is unknown, and no alarm.
  expect(it.rule('stop-0', 9)).toMatchObject({ state: 'unknown' })
  expect(it.rule('stop-0', 9).blindSince).toBeUndefined()
})

test('a tank that stays dark past its planned end is tested every day until that is marked', () => {
  const it = planCourse('blackout-marine')
  // Never tested: it is late until it is.
  const open = it.plan(5.5).tasks.filter(({ step, state }) => step === 'step-3' && state !== 'ahead')
  expect(open).toMatchObject([{ id: 'p/step-3/3', state: 'late' }])
  it.read(5.4, 'no3', 6)
  it.read(5.4, 'po4', 0.06)
  expect(it.plan(5.5).tasks.filter(({ step, state }) => step === 'step-3' && state !== 'ahead')).toEqual([])
  expect(it.plan(5.5).tasks.find(({ step }) => step === 'end')).toMatchObject({ state: 'late' })
})

test('a dose to a level is never over it: peroxide in the whole tank, further-schools.md 4', () => {
  const it = planCourse('peroxide-tank', { start: { products: { 'peroxide-tank': 'perox' } } })
  it.write({
    kind: 'product-setup',
    ...it.at(-5),
    productId: 'perox',
    name: 'peroxide 3 %',
    ingredient: 'peroxide',
    strength: { kind: 'solution', mgPerMl: 30 },
    measure: { tool: 'cup', step: 1 },
  })
  // 200 mg are 6.67 mL: by the whole millilitre six, not seven.
  expect(it.plan(0.6).tasks.find(({ step }) => step === 'step-1')!.dose).toMatchObject({ amount: 6 })
})

test('five days in the dark are five days', () => {
  expect(planCourse('blackout-marine', { options: { days: '5' } }).schedule(-3.6)).toContain(
    'step-3 1–5; step-3-tan 2,4; end 5',
  )
})

describe('the silicate loop, outbreaks.md 5.6', () => {
  const loop = { afterDose: 0.6, now: 0.2, days: 1, lastDose: 0.5, daily: [0.2] }
  test('the handbook’s example', () => {
    expect(silicateDose(loop)).toBeCloseTo(0.825, 9)
  })
  test('cap 1, 2 after seven daily readings under 0.3, and never under nothing', () => {
    expect(silicateDose({ ...loop, lastDose: 2 })).toBe(1)
    expect(silicateDose({ ...loop, lastDose: 2, daily: Array<number>(7).fill(0.29) })).toBe(2)
    expect(silicateDose({ ...loop, lastDose: 2, daily: [0.3, ...Array<number>(6).fill(0.1)] })).toBe(1)
    expect(silicateDose({ ...loop, afterDose: 3, now: 3 })).toBe(0)
  })
  test('on the task: worked out once an hour’s and today’s readings are in', () => {
    const it = planCourse('dino-sand', { start: { products: { silicate: 'stock' } } })
    it.write({
      kind: 'product-setup',
      ...it.at(-5),
      productId: 'stock',
      name: 'silicate stock',
      ingredient: 'sodium-silicate-pentahydrate',
      // 35.3 g in a litre: 10 mL raise 100 L by 1 mg/L of SiO2.
      strength: { kind: 'solution', mgPerMl: 10 },
    })
    const next = (day: number) => it.plan(day).tasks.find(({ step }) => step === 'step-3')
    it.write({
      kind: 'dose',
      ...it.at(0.6),
      tankId: 'tank',
      ingredient: 'sodium-silicate-pentahydrate',
      productId: 'stock',
      amount: 5,
      unit: 'mL',
      massMg: 50,
    })
    // Not tested in the hour after it: the same amount again.
    expect(next(1.3)?.dose).toMatchObject({ amount: 5 })
    it.read(0.65, 'sio2', 0.6)
    it.read(1.65, 'sio2', 0.2)
    expect(next(1.7)!.dose!.amount).toBeCloseTo(8.25, 2)
  })
})

describe('the end of a treatment', () => {
  const marked = DEFINITIONS.filter(({ steps }) => steps.some(({ act }) => act === 'mark'))

  test.each(marked.map((one) => [one.id, one] as const))('%s: what belonged to it is over with its mark', (id, one) => {
    const it = planCourse(id)
    const ofEnd = new Set(one.steps.flatMap(({ id: step, due }) => (!('by' in due) && due.of === 'end' ? [step] : [])))
    const proposed: Content = {
      kind: 'course-start',
      ...it.at(20),
      courseId: 'next',
      definition: id,
      tanks: { main: 'tank' },
      animalIds: [],
      options: {},
      products: {},
    }
    const others = () =>
      concernsOf(it.journal, proposed, { now: it.ms(20) }).filter(({ rule }) => rule === 'two-treatments')
    expect(it.plan(5).tasks.some(({ step }) => step !== 'close' && !ofEnd.has(step))).toBe(true)
    expect(others()).toHaveLength(1)
    it.write({ kind: 'course-mark', ...it.at(6), courseId: 'p', anchor: 'end', why: 'enough' })
    for (const day of [6.1, 8, 30]) {
      const { tasks, rules, warnings } = it.plan(day)
      expect(tasks.flatMap(({ step }) => (step === 'close' || ofEnd.has(step) ? [] : [step]))).toEqual([])
      expect(rules.filter(({ role }) => role !== 'success')).toEqual([])
      expect(warnings.filter(({ id: warning, tone }) => warning === 'blind' && tone === 'act')).toEqual([])
    }
    expect(others()).toEqual([])
  })

  test.each(PLANS.map(({ id }) => id))('%s: no end is due on its first day, whatever the first counts say', (id) => {
    const it = planCourse(id)
    const { definition } = it.plan(0.6).course
    for (const measure of new Set(definition.steps.flatMap((step) => step.measure ?? [])))
      if (measure !== 'patch-stage') it.count(0.55, measure, 0)
    const ends = it.plan(0.7).tasks.filter(({ act }) => act === 'mark' || act === 'close')
    expect(ends.filter(({ state }) => state !== 'ahead')).toEqual([])
  })

  test.each(PLANS.map(({ id }) => id))('%s: how near a rule is reads as a sentence', (id) => {
    const it = planCourse(id)
    for (const parameter of ['no3', 'po4', 'tan', 'no2', 'alk-kh']) it.read(0.6, parameter, 5)
    const { definition } = it.plan(1).course
    for (const measure of new Set(definition.steps.flatMap((step) => step.measure ?? [])))
      if (measure !== 'patch-stage') for (const day of [0.6, 1.5]) it.count(day, measure, 5)
    for (const { says } of it.plan(1.6).rules) expect(says).not.toMatch(/of 0\b|^[\d.]+ of [\d.]+$|NaN|Infinity/)
  })
})

test('under a limit it is wanted, over one it is not', () => {
  const it = planCourse('cyano-fresh-blackout')
  it.count(0.6, 'coverage', 40)
  it.read(0.6, 'tan', 0.1)
  expect(it.rule('stop-1', 0.7).says).toBe('now 0.1, limit 0.25')
  it.count(14.6, 'coverage', 12)
  expect(it.rule('success', 14.7).says).toBe('now 12, wanted under 2')
})

test('turf in the tank: sessions go on past day 4 while a patch is not white, and once more after', () => {
  const parts = ['A', 'B'].map((partId) => ({
    kind: 'part-setup' as const,
    happened: '2026-10-20T00:00:00Z',
    partId,
    tankId: 'tank',
    what: 'patch' as const,
    name: partId,
  }))
  const it = planCourse('turf-in-tank', { parts })
  const isDue = (day: number) =>
    it.plan(day).tasks.some(({ step, notBefore }) => step === 'step-2' && notBefore <= it.ms(day))
  it.stage(4.4, { A: 3, B: 2 })
  expect([5.5, 9.5, 14.5].map(isDue)).toEqual([true, true, true])
  it.stage(6.4, { A: 4, B: 4 })
  expect(isDue(6.5)).toBe(true)
  it.write({
    kind: 'dose',
    ...it.at(6.6),
    tankId: 'tank',
    ingredient: 'peroxide',
    amount: 5,
    unit: 'mL',
    courseId: 'p',
  })
  expect([7.5, 8.5].map(isDue)).toEqual([false, false])
  it.stage(8.6, { A: 3, B: 4 })
  expect(isDue(9.5)).toBe(true)
})

test.each<[number, string | null]>([
  [1, null],
  [12, 'Not reached: pick the rest by hand, six hours of light a day, and go on with the conditions of the tank.'],
  [30, 'Not reached: look through the conditions of the tank.'],
])('the slime of fresh water covers %s %% at day 14: what follows is said where it ends', (cover, says) => {
  const it = planCourse('cyano-fresh-blackout')
  it.count(0.6, 'coverage', 60)
  it.count(14.4, 'coverage', cover)
  const close = it.plan(14.5).tasks.find(({ act }) => act === 'close')!
  expect(close.state).toBe('due')
  if (says === null) expect(close.how ?? '').not.toContain('Not reached')
  else expect(close.how).toContain(says)
})
