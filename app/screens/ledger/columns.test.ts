import { Journal } from '../../../core/journal/journal.ts'
import type { Content } from '../../../core/journal/entry.ts'
import { arrival, bareTank, scribe } from '../../../core/journal/testing.ts'
import { columnsOf, expectedIn, laneX, phoneColumn } from './columns.ts'
import { tankById } from '../../../core/household/tanks.ts'

function journalOf(...contents: Content[]) {
  const { record } = scribe()
  const journal = new Journal()
  journal.add(contents.map((content) => record(content)))
  return journal
}

const house = () =>
  journalOf(
    bareTank('empty', 'Side tub'),
    bareTank('q', 'Quarantine', 1),
    bareTank('h', 'Hall reef', 2),
    arrival('n', 'q', 3),
    arrival('p', 'h', 3),
  )

describe('the columns of the ledger', () => {
  test('tanks in use share the room; an empty one is folded and stands last', () => {
    const columns = columnsOf(house(), 1000, new Set())
    expect(columns.map(({ tank, folded }) => [tank.id, folded])).toEqual([
      ['q', false],
      ['h', false],
      ['empty', true],
    ])
    expect(columns[0]!.width).toBe(columns[1]!.width)
    expect(columns.at(-1)!.left + columns.at(-1)!.width).toBeLessThanOrEqual(1000)
    expect(columns[1]!.left).toBe(columns[0]!.width)
  })

  test('a column is never under 240 px: more tanks scroll sideways', () => {
    const columns = columnsOf(house(), 300, new Set())
    expect(columns.filter(({ folded }) => !folded).every(({ width }) => width >= 240)).toBe(true)
  })

  test('an empty tank that was unfolded is as wide as the others', () => {
    const columns = columnsOf(house(), 1000, new Set(['empty']))
    expect(columns.every(({ folded }) => !folded)).toBe(true)
    expect(new Set(columns.map(({ width }) => width)).size).toBe(1)
  })

  test('a household that only begins has nothing folded', () => {
    expect(columnsOf(journalOf(bareTank('q', 'Quarantine')), 800, new Set())[0]).toMatchObject({
      folded: false,
      width: 800,
    })
  })

  test('words begin right of the threads', () => {
    const column = phoneColumn(house(), tankById(house(), 'q')!, 320)
    expect(column.gutter).toBeGreaterThan(laneX(column, 0))
    expect(laneX({ ...column, folded: true, width: 46 }, 3)).toBe(23)
  })

  test('an expected arrival stands in its tank until it has come or is cancelled', () => {
    const expected = (expectedId: string, cancelled?: boolean): Content => ({
      kind: 'expected',
      happened: '2026-07-02T00:00:00Z',
      expectedId,
      tankId: 'q',
      species: 'orchid dottyback',
      group: 'dottyback-basslet',
      count: 1,
      due: '2026-07-09T10:00:00Z',
      ...(cancelled !== undefined && { cancelled }),
    })
    expect(expectedIn(journalOf(expected('a'), expected('b')), 'q')).toHaveLength(2)
    expect(
      expectedIn(journalOf(expected('a'), { ...arrival('x', 'q', 8), expectedId: 'a' } as Content), 'q'),
    ).toHaveLength(0)
    expect(expectedIn(journalOf(expected('a'), expected('a', true)), 'q')).toHaveLength(0)
  })
})
