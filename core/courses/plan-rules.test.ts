import { DEFINITIONS } from '../catalogue/courses/all-definitions.ts'
import type { Condition } from '../catalogue/courses/definitions.ts'
import type { ContentOf } from '../journal/entry.ts'
import { planCourse } from './testing/plans.ts'
import { CASES, PARTS, type Say } from './testing/plan-cases.ts'

const stateOf = ([plan, rule, day, , , options = {}]: (typeof CASES)[number], say: Say) => {
  const it = planCourse(plan, { options, parts: PARTS })
  say(it)
  return it.rule(rule, day).state
}

test.each(CASES.map((one, i) => [`${one[0]} ${one[1]} (${i + 1})`, one] as const))('%s', (_, one) => {
  expect([stateOf(one, one[3]), stateOf(one, one[4])]).toEqual(['holds', 'not-yet'])
})

/** Whether a condition rests on records alone, so that a case can be written for it. */
function isMeasured(condition: Condition): boolean {
  if ('all' in condition) return condition.all.every(isMeasured)
  if ('any' in condition) return condition.any.every(isMeasured)
  return (
    !('asks' in condition) && !('judged' in condition) && !('track' in condition) && !('unexplainedDeath' in condition)
  )
}

test('no measured rule of a plan is without its cases', () => {
  const cased = new Set(CASES.map(([plan, rule]) => `${plan} ${rule}`))
  const missing = DEFINITIONS.filter(({ kind }) => kind === 'plan').flatMap(({ id, rules }) =>
    rules
      .filter(({ id: rule, when }) => rule !== 'stop-0' && isMeasured(when) && !cased.has(`${id} ${rule}`))
      .map(({ id: rule }) => `${id} ${rule}`),
  )
  expect(missing).toEqual([])
})

/** A rule's comparison of a last reading with a number: by itself, or one of several any of which is enough. */
type Leaf = { parameter: string; op: '>' | '>=' | '<' | '<='; limit: number }
const leavesOf = (condition: Condition): Leaf[] => {
  if ('any' in condition) return condition.any.flatMap(leavesOf)
  if (!('left' in condition) || condition.onLast !== undefined || condition.forDays !== undefined) return []
  const { left, op, right } = condition
  return typeof left === 'object' && 'parameter' in left && (left.at ?? 'last') === 'last' && typeof right === 'number'
    ? [{ parameter: left.parameter, op, limit: right / (left.times ?? 1) }]
    : []
}
const LEAVES = DEFINITIONS.filter(({ kind }) => kind === 'plan').flatMap(({ id, rules }) =>
  rules.flatMap((rule) => leavesOf(rule.when).map((leaf) => [id, rule.id, leaf, rule.when] as const)),
)

describe('a rule of a last reading by a limit, a range, a basis and a doubtful value', () => {
  test('there are such rules of every role', () => expect(LEAVES.length).toBeGreaterThan(25))

  test.each(LEAVES.map((one) => [`${one[0]} ${one[1]} ${one[2].parameter}`, one] as const))('%s', (_, one) => {
    const [plan, rule, { parameter, op, limit }, when] = one
    const isOver = op === '>' || op === '>='
    const stateWith = (
      results: readonly ContentOf<'reading'>['result'][],
      more: Partial<ContentOf<'reading'>> = {},
    ) => {
      const it = planCourse(plan, { parts: PARTS })
      results.forEach((result, i) =>
        it.write({ kind: 'reading', ...it.at(2 + i / 6), tankId: 'tank', parameter, result, unit: 'x', ...more }),
      )
      return it.rule(rule, 3).state
    }
    const bad = isOver ? limit * 1.2 + 0.001 : Math.max(0, limit * 0.8 - 0.001)
    const further = isOver ? bad * 2 + 1 : bad / 2
    const beyond = isOver ? limit * 0.5 : limit * 2 + 1
    expect(stateWith([{ kind: isOver ? 'above' : 'below', limit: bad }])).toBe('holds')
    expect(stateWith([{ kind: 'range', low: Math.min(bad, further), high: Math.max(bad, further) }])).toBe('holds')
    // A limit on the other side says only what this kit cannot see: it is never an alarm, and never "not so" either.
    expect(stateWith([{ kind: isOver ? 'below' : 'above', limit: isOver ? limit * 2 + 1 : limit * 0.5 }])).toBe(
      'unknown',
    )
    expect(stateWith([{ kind: 'range', low: Math.min(bad, beyond), high: Math.max(bad, beyond) }])).toBe('unknown')
    if (!('any' in when)) expect(stateWith([{ kind: isOver ? 'below' : 'above', limit: beyond }])).toBe('not-yet')
    // A hand test has found the probe to be off: what the probe says after it fires nothing.
    const withProbe = (isChecked: boolean) => {
      const it = planCourse(plan, { parts: PARTS })
      const write = (day: number, value: number, origin?: 'probe') =>
        it.write({
          kind: 'reading',
          ...it.at(day),
          tankId: 'tank',
          parameter,
          result: { kind: 'value', value },
          unit: 'x',
          uncertainty: 0,
          ...(origin && { origin, deviceId: 'probe-1' }),
        })
      write(2, bad, 'probe')
      if (isChecked) write(2.01, beyond)
      write(2.3, bad, 'probe')
      return it.rule(rule, 3).state
    }
    expect(withProbe(false)).toBe('holds')
    expect(withProbe(true)).not.toBe('holds')
  })

  test('0.22 mg/L as N is 0.28 as NH4: the stop of 0.25 holds, and 0.18 as N leaves it be', () => {
    const stateOfTan = (value: number, basis?: 'N' | 'NH3' | 'NH4') => {
      const it = planCourse('blackout-marine')
      for (const parameter of ['no3', 'po4']) it.read(0.4, parameter, 1)
      for (const parameter of ['no3', 'po4']) it.read(1.4, parameter, 1)
      const result = { kind: 'value' as const, value }
      it.write({
        kind: 'reading',
        ...it.at(1.5),
        tankId: 'tank',
        parameter: 'tan',
        result,
        unit: 'mg/L',
        ...(basis && { basis }),
      })
      return it.rule('stop-4', 1.6).state
    }
    expect(stateOfTan(0.22, 'N')).toBe('holds')
    expect(stateOfTan(0.18, 'N')).toBe('not-yet')
    expect(stateOfTan(0.24, 'NH3')).toBe('holds')
    expect(stateOfTan(0.22)).toBe('not-yet')
  })
})
