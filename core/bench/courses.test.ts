import { fragTub } from '../courses/testing/corals.ts'
import { iso, MS_PER_MINUTE } from '../time/zone.ts'
import { benchAddress, benchProcedureFor } from './for-task.ts'
import { benchRun } from './follow.ts'
import { ledgerOf } from './ledger.ts'

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
