import type { Content, ContentOf } from '../journal/entry.ts'
import { fragTub } from '../courses/testing/corals.ts'
import { iso, MS_PER_MINUTE } from '../time/zone.ts'
import { benchAddress, benchProcedureFor } from './for-task.ts'
import { benchRun } from './follow.ts'
import { ledgerOf } from './ledger.ts'
import { at as benchAt, now as benchNow, session, tank } from './testing.ts'

test('a dip round of a course is done at the bench: the round counts, its counts are taken, and the next dip is due', () => {
  const tub = fragTub()
  const day = (time: string) => tub.ms(0, time)
  const task = tub.plan(0, '08:00').tasks.find(({ step }) => step === 'dip')!
  expect(benchProcedureFor(task)).toBe('coral-dip')
  expect(benchAddress('coral-dip', task)).toBe('/bench/begin/coral-dip?tank=frag&course=c&task=c%2Fdip%2F0')
  const from = day('08:00')
  const at = (minute: number) => ({ happened: iso(from + minute * MS_PER_MINUTE) })
  tub.write({
    kind: 'bench-start',
    ...at(0),
    benchId: 'b',
    procedure: 'coral-dip',
    tankId: 'frag',
    partIds: ['zoa', 'psammo'],
    choices: [{ id: 'dip', option: 'iodine' }],
    figures: [{ id: 'tubL', value: 2 }],
    measuredOut: { ingredient: 'iodine-dip', productId: 'iodine', amount: 0.8, unit: 'mL', massMg: 40 },
    courseId: 'c',
    taskId: task.id,
  })
  for (const step of ['wear', 'tubs', 'mix', 'tray'])
    tub.write({ kind: 'bench-mark', ...at(1), benchId: 'b', step: `before-${step}`, state: 'done' })
  for (const [i, partId] of ['zoa', 'psammo'].entries()) {
    tub.write({ kind: 'bench-mark', ...at(2 + i), benchId: 'b', step: 'dip', state: 'begun', partId })
    tub.write({ kind: 'bench-mark', ...at(8 + i), benchId: 'b', step: 'dip', state: 'done', partId })
    tub.write({
      kind: 'bench-mark',
      ...at(10 + i),
      benchId: 'b',
      step: 'count',
      state: 'done',
      partId,
      values: [
        { id: 'came-off', value: i === 0 ? 4 : 0 },
        { id: 'eggs', value: 0 },
        { id: 'brushed', value: 1 },
      ],
    })
  }
  for (const content of ledgerOf(tub.journal, benchRun(tub.journal, 'b')!, 45, from + 20 * MS_PER_MINUTE))
    tub.write(content)
  const plan = tub.plan(0, '09:00')
  expect(plan.dips!.rounds).toHaveLength(1)
  expect(plan.dips!.rounds[0]).toMatchObject({ uncounted: [] })
  expect(plan.tasks.filter(({ step, state }) => step === 'dip' && state !== 'ahead')).toEqual([])
})

describe('a run ticks every step of its plan that it did', () => {
  const course = (definition: string): Content => ({
    kind: 'course-start',
    ...benchAt(-120),
    courseId: 'c',
    definition,
    tanks: { main: 'study' },
    animalIds: [],
    options: {},
    products: {},
  })
  const ticked = (procedure: string, definition: string, start: Partial<ContentOf<'bench-start'>>) => {
    const it = session(procedure, start, [tank('study', 100), course(definition)])
    it.prepare(1)
    it.mark(5, it.run().occasions.find(({ place }) => place === 'step')!.step)
    return ledgerOf(it.journal(), it.run(), 100, benchNow(30)).flatMap((content) =>
      content.kind === 'task' ? [content.taskId] : [],
    )
  }
  test.each([
    ['brown-jelly-cut', 'brown-jelly', 'c/step-1/0', ['c/step-1/0', 'c/step-2/0']],
    ['cyano-peroxide', 'cyano-fresh-blackout', 'c/step-4/0', ['c/step-4/0', 'c/step-5/0']],
    ['siphon-and-blow', 'dino-uv', 'c/step-3/0', ['c/step-3/0']],
  ])('%s, begun from its task', (procedure, definition, taskId, ids) => {
    expect(ticked(procedure, definition, { courseId: 'c', taskId })).toEqual(ids)
  })
  test('begun from the bench’s own list it belongs to the plan of its tank all the same', () => {
    expect(ticked('brown-jelly-cut', 'brown-jelly', {})).toEqual(['c/step-1/0', 'c/step-2/0'])
  })
  test('a procedure that no plan of the tank asks for ticks nothing', () => {
    expect(ticked('siphon-and-blow', 'brown-jelly', {})).toEqual([])
  })
})
