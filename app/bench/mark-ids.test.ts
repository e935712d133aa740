import type { Content } from '../../core/journal/entry.ts'
import { Journal } from '../../core/journal/journal.ts'
import { scribe } from '../../core/journal/testing.ts'
import { benchEntryIds } from './mark-ids.ts'

const run = { id: 'b1' }
const mark = (step: string, at = '2026-07-01T10:00:00.000Z'): Content => ({
  kind: 'bench-mark',
  happened: at,
  benchId: 'b1',
  step,
  state: 'done',
})
const pump = (at = '2026-07-01T10:00:00.000Z'): Content => ({
  kind: 'equipment',
  happened: at,
  tankId: 'q',
  item: 'flow',
  running: false,
})

test('the same press in two tabs is the same entries, though a moment lies between', () => {
  const journal = new Journal()
  const one = benchEntryIds(journal, run, [mark('flow-off'), pump()])
  const other = benchEntryIds(journal, run, [
    mark('flow-off', '2026-07-01T10:00:00.140Z'),
    pump('2026-07-01T10:00:00.140Z'),
  ])
  expect(other).toEqual(one)
  expect(new Set(one).size).toBe(2)
  expect(benchEntryIds(journal, run, [mark('siphon')])).not.toEqual(one.slice(0, 1))
  expect(benchEntryIds(journal, { id: 'b2' }, [mark('flow-off')])).not.toEqual(one.slice(0, 1))
})

test('pressed again after it was taken back it is another entry, and both are held', () => {
  const journal = new Journal()
  const { record, strike } = scribe()
  const [first] = benchEntryIds(journal, run, [mark('flow-off')])
  const entry = { ...record(mark('flow-off')), id: first! }
  journal.add([entry, strike(entry)])
  const [second] = benchEntryIds(journal, run, [mark('flow-off')])
  expect(second).not.toBe(first)
})

test('two tabs that wrote it both: the journal holds one', () => {
  const journal = new Journal()
  const { record } = scribe()
  const [id] = benchEntryIds(journal, run, [mark('flow-off')])
  journal.add([{ ...record(mark('flow-off')), id: id! }])
  journal.add([{ ...record(mark('flow-off', '2026-07-01T10:00:00.140Z')), id: id! }])
  expect(journal.ofKind('bench-mark')).toHaveLength(1)
})
