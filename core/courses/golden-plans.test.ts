import { DEFINITIONS } from '../catalogue/courses/all-definitions.ts'
import type { Condition, Definition } from '../catalogue/courses/definitions.ts'
import { PLAN_STEPS, PLANS } from '../catalogue/handbook/plans.data.ts'
import { procedureById } from '../catalogue/procedures/procedures.ts'
import { planCourse } from './testing/plans.ts'

const plans = DEFINITIONS.filter(({ kind }) => kind === 'plan')
const definitionOf = (id: string): Definition => DEFINITIONS.find((one) => one.id === id)!

/** Every comparison within a condition. */
function comparisons(condition: Condition): Extract<Condition, { left: unknown }>[] {
  if ('all' in condition) return condition.all.flatMap(comparisons)
  if ('any' in condition) return condition.any.flatMap(comparisons)
  if ('not' in condition) return comparisons(condition.not)
  return 'left' in condition ? [condition] : []
}

describe('row by row against the handbook', () => {
  test.each(PLANS.rows.map(({ id }) => id))('%s: its stops, its escalations and its success', (id) => {
    const row = PLANS.rows.find((one) => one.id === id)!
    const { rules } = definitionOf(id)
    const ids = (role: string) => [...new Set(rules.filter((rule) => rule.role === role).map((rule) => rule.id))]
    const wanted = (role: string, count: number) => Array.from({ length: count }, (_, i) => `${role}-${i + 1}`)
    expect(ids('stop')).toEqual(['stop-0', ...wanted('stop', row.stop.flatMap(({ any }) => any).length)])
    expect(ids('escalate')).toEqual(wanted('escalate', row.escalate.flatMap(({ any }) => any).length))
    expect(ids('success')).toEqual(['success'])
    // What the row gives as a number is a condition, with the same limit, and never a question.
    row.stop
      .flatMap(({ any }) => any)
      .forEach((alternative, i) => {
        const { when } = rules.find((rule) => rule.id === `stop-${i + 1}`)!
        for (const part of alternative)
          if ('measure' in part)
            expect(comparisons(when)).toContainEqual(
              expect.objectContaining(
                'timesStart' in part && part.timesStart
                  ? { op: part.op, right: expect.objectContaining({ at: 'start', times: part.value }) as unknown }
                  : { op: part.op, right: part.value },
              ),
            )
      })
  })

  test.each(PLAN_STEPS.rows.map(({ plan, n }) => [plan, n] as const))('%s, step %d: its days', (plan, n) => {
    // Dips follow the pest's own life, not the row's five days.
    if (plan === 'coral-dip-cycle') return
    const row = PLAN_STEPS.rows.find((one) => one.plan === plan && one.n === n)!
    const isRepeated = row.everyDays !== null && row.everyDays > 0
    const of = definitionOf(plan).steps.filter(({ id }) => id === `step-${n}` || id.startsWith(`step-${n}-`))
    const dues = of.flatMap(({ due }) => ('by' in due ? [] : [due]))
    expect(dues).toContainEqual(
      expect.objectContaining({
        day: row.day.days,
        ...(isRepeated && { every: row.everyDays }),
        ...(isRepeated && { until: row.until.of === 'end' && row.day.of !== 'end' ? 'end' : row.until.days }),
        ...(row.day.of === 'end' && { of: 'end' }),
      }),
    )
  })

  test('the further plans too: further-schools.md 10', () => {
    const rows: Record<string, [stops: number, escalations: number]> = {
      'turf-in-tank': [3, 2],
      'peroxide-lift-and-spot': [3, 1],
      'peroxide-tank': [2, 1],
      'leather-drip': [1, 1],
      rest: [1, 1],
    }
    for (const [id, [stops, escalations]] of Object.entries(rows)) {
      const { rules } = definitionOf(id)
      const count = (role: string) => new Set(rules.filter((rule) => rule.role === role).map((rule) => rule.id)).size
      expect([id, count('stop'), count('escalate'), count('success')]).toEqual([id, stops + 1, escalations, 1])
    }
  })

  test('those that treat are those that the handbook says treat', () => {
    for (const { id, kind } of PLANS.rows)
      expect([id, definitionOf(id).isTreatment === true]).toEqual([id, kind === 'treat'])
  })

  test('every procedure that a step names is known, for a water that the plan is for', () => {
    for (const { id, steps, water } of plans)
      for (const { procedure } of steps)
        if (procedure !== undefined) {
          const found = procedureById(procedure)!
          expect([id, procedure, found.water === null || water === undefined || found.water === water]).toEqual([
            id,
            procedure,
            true,
          ])
        }
  })

  test('every measure that a rule looks at is counted by a step', () => {
    for (const { id, steps, rules } of plans) {
      const counted = new Set(steps.flatMap(({ measure }) => measure ?? []))
      for (const { when } of rules)
        for (const { left } of comparisons(when))
          if (typeof left === 'object' && 'measure' in left)
            expect([id, left.measure, counted.has(left.measure)]).toEqual([id, left.measure, true])
    }
  })
})

/** Days on which each step is best, from the start: written out and held against outbreaks.md 5.2 by hand. */
const GOLDEN: Readonly<Record<string, string>> = {
  'peroxide-spot': 'step-1 -1; step-2 0–14; step-3 1–14; step-4 14; close 14',
  'peroxide-emersed': 'step-1 0; step-2 1–21; step-2-again 7,14; close 21',
  'peroxide-bench': 'step-1 0; step-2 0; step-3 1–28; close 28',
  'turf-in-tank': 'step-1 -1; step-2 0–4; step-3 1–14; close 14',
  'peroxide-lift-and-spot': 'step-1 -1; step-2 0–14/7; step-3 0–14; step-4 1–21; close 21',
  'peroxide-tank': 'step-1-count 0; step-1 0–2; step-2 5; step-2-change 5; close 5',
  'leather-drip': 'step-1 0; step-2 1–14; close 14',
  'cyano-fresh-blackout':
    'step-1-count -1; step-1 -1; step-1-change -1; step-1-read -1; step-2 0; step-3 1–3; step-4 3; step-5 3; step-6 4–14; step-6-count 4–14; close 14',
  'blackout-marine':
    'step-1 -2; step-1-count -2; step-1-heads -2; step-1-copies -2; step-2 0; step-3 1–3; step-3-tan 2; end 3; step-4 3; step-4-count 3; step-4-heads 3; step-5 4–11; step-5-count 10; close 11',
  'dino-uv':
    'step-1 0; step-1-out 0; step-2 0; step-3 0–21; step-3-evening 0–21; step-3-count 0–21; step-4 0–30; step-5 7–84/7; end 90; step-6 90–132/7; step-7 104–146/7; close 146',
  'dino-sand':
    'step-1 -1; step-1-read -3; step-2 0; step-2-read 0; step-3 1–60; step-3-read 1–60; step-4 3–60/3; step-5 7–84/7; end 90; step-6 90–118/7; close 118',
  'siphonous-fluconazole': 'step-1-off 0; step-1 0; step-2 1–21; step-2-read 0–21; step-3 21; close 28',
  'cyano-marine-conditions': 'step-1 0–14/2; step-1-count 0–42/7; step-2 0–28; close 42',
  'algae-manual-grazers': 'step-1 0–60/3; step-1-count 0–56/7; step-1-read 0–56/7; step-2 3; close 60',
  'fresh-conditions': 'step-1 0–56/7; step-1-count 0–56/7; step-1-read 0–56/7; close 60',
  'water-clear': 'step-1 0–4; step-1-read 0–4; step-1-change 4; step-1-count 5–14; close 14',
  'bloom-aerate': 'step-1 0–5; step-1-air 0; close 10',
  'watch-wait': 'step-1 0–28/7; close 30',
  'bubble-rock': 'step-1 0; step-2 7–56/7; close 56',
  'planaria-fenbendazole':
    'step-1-out -1; step-1 -1; step-2 0; step-3 1–3; step-3-count 1–3; step-4 2; step-5 10–14/2; step-5-last 28; close 28',
  'anemone-bench': 'step-1 0–14; step-2 7–28/3; close 28',
  'anemone-mop-up': 'step-1 0–20/2; step-1-read 0–20/2; step-2 0–84/7; close 120',
  'vermetid-control': 'step-1 0–84/7; step-1-count 0–175/7; close 180',
  'hydroid-control': 'step-1 0–28/7; step-1-count 0–56/7; close 60',
  'asterina-manage': 'step-1 0–56/7; close 90',
  'bristleworm-manage': 'step-1 0–28/7; close 60',
  'flatworm-siphon': 'step-1 0–20/2; step-1-later 28–42/7; close 42',
  'trap-and-pick': 'step-1 0–21; step-1-later 28–56/7; close 60',
  'feed-less': 'step-1 0–28/7; step-1-later 35,42; close 45',
  'brown-jelly': 'step-1 0; step-2 0; step-3 0.5–2/0.5; step-4 7; close 7',
  'cut-and-save': 'step-1 0; step-1-read 0; step-2 0.5–3/0.5; close 14',
  'recession-workup': 'step-1 0; step-1-count 0; step-2 1; step-3 1; step-4 2–28/2; close 28',
  'element-correct': 'step-1 0; step-2 0–30; close 30',
  'nutrient-lower': 'step-1 0; step-2 1–14; step-2-later 17–59/3; close 60',
  'nutrient-raise': 'step-1 0–21; close 60',
  'coral-rest': 'step-1 0–56/7; close 60',
  aftercare: 'step-1 0; step-2 1–15/2; rung-carbon 7; step-6 7–56/7; close 56',
  'coral-relocate': 'step-1 0; step-1-count 2–14/3; close 21',
}

describe('the days of every step', () => {
  test.each(Object.entries(GOLDEN))('%s', (id, schedule) => {
    expect(planCourse(id).schedule(-3.6)).toBe(schedule)
  })
  test('no plan is left out', () => {
    expect(Object.keys(GOLDEN).sort()).toEqual(
      plans
        .map(({ id }) => id)
        .filter((id) => id !== 'rest')
        .sort(),
    )
  })
})
