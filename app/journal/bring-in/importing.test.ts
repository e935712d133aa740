import { Journal } from '../../../core/journal/journal.ts'
import { bareTank, copper, note, scribe } from '../../../core/journal/testing.ts'
import { exportName } from '../exporting.ts'
import { previewOf } from './importing.ts'

const { record, correct, strike } = scribe()
const tank = record(bareTank('q', 'Quarantine'))
const [first, second] = [record(copper('q', 3, 2.1)), record(copper('q', 9, 2.2))]

describe('what an import would add', () => {
  test('only what is new, counted by kind, with the days it spans', () => {
    const journal = new Journal()
    journal.add([tank, first])
    const preview = previewOf(
      (id) => journal.entry(id),
      [tank, first, second, record(note('q', 4, 'x')), correct(first, copper('q', 3, 2)), strike(second)],
    )
    expect(preview).toMatchObject({ same: 2, conflicts: [], span: '4 Jul 2026 to 10 Jul 2026' })
    expect(preview.fresh).toHaveLength(4)
    expect(new Map(preview.counts)).toEqual(
      new Map([
        ['readings', 1],
        ['notes', 1],
        ['corrections', 1],
        ['strike-outs', 1],
      ]),
    )
  })

  test('nothing new is nothing, and says no span', () => {
    const journal = new Journal()
    journal.add([tank])
    expect(previewOf((id) => journal.entry(id), [tank])).toMatchObject({ fresh: [], same: 1, span: null })
  })

  test('the same id with other content is a conflict by its id', () => {
    const journal = new Journal()
    journal.add([first])
    expect(previewOf((id) => journal.entry(id), [{ ...first, content: copper('q', 3, 9) }]).conflicts).toEqual([
      first.id,
    ])
  })
})

test('an export is named after its household and day', () => {
  expect(exportName('mine', new Date('2026-11-23T18:30:00Z'))).toBe('brinvo-mine-2026-11-23')
})
