import type { ContentOf } from '../../../journal/entry.ts'
import { partById } from '../../../household/parts.ts'
import { planCourse } from '../../testing/plans.ts'
import { treatedUntreatedOf, untreatedChoice } from './treated-untreated.ts'

const rock = (partId: string, control: boolean): ContentOf<'part-setup'> => ({
  kind: 'part-setup',
  happened: '2026-10-20T00:00:00Z',
  partId,
  tankId: 'tank',
  what: 'rock',
  name: partId,
  control,
})

/** Six rocks with pest anemones, the last three left alone. */
function rocks() {
  const it = planCourse('anemone-bench', { parts: 'abcdef'.split('').map((id, i) => rock(id, i >= 3)) })
  const count = (day: number, measure: 'pest-count' | 'removed', values: Readonly<Record<string, number>>) =>
    it.write({
      kind: 'count',
      ...it.at(day),
      tankId: 'tank',
      measure,
      parts: Object.entries(values).map(([partId, value]) => ({ partId, value })),
      courseId: 'p',
    })
  return { ...it, count, compared: (day: number) => treatedUntreatedOf(it.plan(day)) }
}

describe('rocks that were worked on, and rocks left alone', () => {
  test('nothing is compared before something was taken out, and before both arms were counted after it', () => {
    const it = rocks()
    it.count(0.6, 'pest-count', { a: 30, b: 30, c: 30, d: 30, e: 30, f: 30 })
    expect(it.compared(0.9)).toBeNull()
    it.count(1, 'removed', { a: 29, b: 29, c: 28 })
    it.count(9, 'pest-count', { a: 2, b: 1, c: 3 })
    expect(it.compared(9.5)).toBeNull()
  })
  test('each by what became of it: three against three can be more than chance', () => {
    const it = rocks()
    it.count(0.6, 'pest-count', { a: 30, b: 20, c: 30, d: 30, e: 25, f: 30 })
    it.count(1, 'removed', { a: 29, b: 19, c: 28 })
    it.count(9, 'pest-count', { a: 2, b: 1, c: 3, d: 40, e: 40, f: 45 })
    // −28, −19, −27 against +10, +15, +15; of the 20 ways to choose three of six only one puts all the better ones there.
    expect(it.compared(9.5)).toMatchObject({
      treated: 3,
      untreated: 3,
      what: 'rock',
      isByChange: true,
      difference: -27 - 15,
      chance: expect.closeTo(1 / 20, 12) as number,
      verdict: 'works',
      wanted: null,
    })
  })
  test('a difference that two counts may have by chance is not clear; more on the treated is no better', () => {
    const it = rocks()
    it.count(1, 'removed', { a: 5, b: 5, c: 5 })
    it.count(9, 'pest-count', { a: 10, b: 11, c: 10, d: 15, e: 14, f: 15 })
    // Not counted before: compared as they stand. 2 × √(10 + 15) = 10, and they differ by 5.
    expect(it.compared(9.5)).toMatchObject({ isByChange: false, difference: -5, verdict: 'unclear' })
    it.count(12, 'pest-count', { a: 30, b: 31, c: 30, d: 15, e: 14, f: 15 })
    expect(it.compared(12.5)).toMatchObject({ verdict: 'no-better' })
  })
  test('a rock that waits for its turn is in neither arm', () => {
    const it = rocks()
    it.count(1, 'removed', { a: 29, b: 29 })
    it.count(9, 'pest-count', { a: 2, b: 1, c: 30, d: 40, e: 40, f: 45 })
    expect(it.compared(9.5)).toMatchObject({ treated: 2, untreated: 3 })
    // Worked on the next day, it has no count of its own yet.
    it.count(10, 'removed', { c: 30 })
    expect(it.compared(10.5)).toMatchObject({ treated: 2, untreated: 3 })
    it.count(14, 'pest-count', { c: 1 })
    expect(it.compared(14.5)).toMatchObject({ treated: 3, untreated: 3 })
  })
  test('once a rock left alone is treated too, later counts take no part', () => {
    const it = rocks()
    it.count(1, 'removed', { a: 29, b: 29, c: 28 })
    it.count(9, 'pest-count', { a: 2, b: 1, c: 3, d: 40, e: 40, f: 45 })
    it.write({ kind: 'part-change', ...it.at(10), partId: 'f', changes: { control: false } })
    it.count(14, 'pest-count', { a: 2, b: 1, c: 3, d: 1, e: 1, f: 1 })
    expect(it.compared(14.5)).toMatchObject({ at: it.ms(9), endedAt: it.ms(10), difference: -38 })
  })
})

test('a rock may be left alone until something was taken off it; one left alone may be treated', () => {
  const it = rocks()
  const choice = (id: string, day: number) => untreatedChoice(it.plan(day), partById(it.journal, id)!)
  expect([choice('a', 0.6), choice('f', 0.6)]).toEqual(['leave', 'treat'])
  it.count(1, 'removed', { a: 29 })
  expect([choice('a', 2), choice('b', 2)]).toEqual([null, 'leave'])
  it.write({ kind: 'part-change', ...it.at(3), partId: 'f', changes: { control: false } })
  expect(choice('f', 4)).toBeNull()
})
