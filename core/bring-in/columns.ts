import { labElementNamed } from '../catalogue/lab-elements.data.ts'
import { parameterById, type Parameter } from '../catalogue/parameter.ts'
import type { ContentOf } from '../journal/entry.ts'
import type { Journal } from '../journal/journal.ts'
import { guessDayOrder, isDateCell, type DayOrder } from './dates.ts'
import { parameterNamed, roleNamed, type NameMeaning } from './names.ts'
import type { Table } from './table.ts'

/** What a column holds: a figure's own column as `of:no3:N`, the parameter and the unit or basis it is in. */
export type ColumnRole = 'ignore' | 'date' | 'time' | 'tank' | 'name' | 'value' | 'unit' | 'note' | `of:${string}`

/** How a table is read. */
export interface ColumnMap {
  columns: readonly ColumnRole[]
  /** Null while day and month could be exchanged: it has to be asked. */
  dayOrder: DayOrder | null
}

/** Units that a figure of a parameter may stand in, as the log line reads them after it; the catalogue's own first. */
export function unitsOf(parameter: Parameter): { id: string; label: string }[] {
  if (parameter.id === 'alk-kh')
    return [
      { id: 'dkh', label: 'dKH' },
      { id: 'meq', label: 'meq/L' },
      { id: 'ppm', label: 'ppm CaCO3' },
    ]
  if (parameter.id === 'temp')
    return [
      { id: 'c', label: '°C' },
      { id: 'f', label: '°F' },
    ]
  if (parameter.id === 'salinity')
    return [
      { id: 'psu', label: 'psu or ppt' },
      { id: 'sg', label: 'specific gravity' },
    ]
  const plain = parameter.unit === 'pH' ? 'pH' : parameter.unit
  if (!parameter.bases) return [{ id: '', label: plain }]
  return parameter.bases.map(({ id }) => ({ id, label: `${plain} as ${id}` }))
}

/** The unit that stands in a column's name, for a parameter; the catalogue's own where none does. */
function unitNamed(parameter: Parameter, text: string): string {
  const name = text.toLowerCase()
  const has = (pattern: RegExp) => pattern.test(name)
  if (parameter.id === 'alk-kh') return has(/meq|mmol/) ? 'meq' : has(/ppm|mg|caco3/) ? 'ppm' : 'dkh'
  if (parameter.id === 'temp') return has(/°?\bf\b|fahrenheit/) ? 'f' : 'c'
  if (parameter.id === 'salinity') return has(/\bsg\b|gravity/) ? 'sg' : 'psu'
  if (parameter.id === 'no3') return has(/no3[- ]?n\b|as n\b|\bn\)/) ? 'N' : 'NO3'
  if (parameter.id === 'po4') return has(/po4[- ]?p\b|as p\b|\bp\)/) ? 'P' : 'PO4'
  return unitsOf(parameter)[0]!.id
}

/**
 * What the columns of a table seem to hold, by their names and what stands in them.
 * @example
 * guessColumns(readTable('date;NO3-N\n1.3.2026;2')).columns // ['date', 'of:no3:N']
 */
export function guessColumns({ header, rows }: Table): ColumnMap {
  const taken = new Set<ColumnRole>()
  const cellsOf = (column: number) => rows.map(({ cells }) => cells[column] ?? '')
  const once = (role: ColumnRole): ColumnRole => {
    if (taken.has(role)) return 'ignore'
    taken.add(role)
    return role
  }
  const isLong = header.some((name) => roleNamed(name) === 'value')
  const columns = header.map((name, column): ColumnRole => {
    const role = roleNamed(name)
    if (role) return once(role)
    if (isLong) return 'ignore'
    const parameter = parameterNamed(name)
    return parameter
      ? once(`of:${parameter.id}:${unitNamed(parameter, name)}`)
      : cellsOf(column).every((cell) => cell === '' || isDateCell(cell))
        ? once('date')
        : 'ignore'
  })
  const date = columns.indexOf('date')
  return { columns, dayOrder: date < 0 ? 'ymd' : guessDayOrder(cellsOf(date)) }
}

/** Letters of a column's name that are kept. */
const HEADER_LETTERS = 120

/** What the columns of a table like this were last said to hold; null where none like it was brought in. */
export function knownColumns(journal: Journal, { header }: Table): ColumnMap | null {
  const found = journal
    .ofKind('csv-columns')
    .findLast(
      ({ content }) =>
        content.header.length === header.length &&
        content.header.every((name, i) => name === header[i]!.slice(0, HEADER_LETTERS)),
    )
  return found ? { columns: found.content.columns as ColumnRole[], dayOrder: found.content.dayOrder } : null
}

/**
 * How the columns of a table are read, as an entry: a table like it is known the next time.
 * @param names what unknown names of its rows were said to mean: known in every file from then on
 */
export const columnsEntry = (
  { header }: Table,
  { columns }: ColumnMap,
  dayOrder: DayOrder,
  happened: string,
  names: Readonly<Record<string, NameMeaning>> = {},
): ContentOf<'csv-columns'> => ({
  kind: 'csv-columns',
  happened,
  header: header.map((name) => name.slice(0, HEADER_LETTERS)),
  columns: [...columns],
  dayOrder,
  ...(Object.keys(names).length > 0 && {
    names: Object.entries(names).map(([name, is]) => ({ name: name.slice(0, HEADER_LETTERS), is })),
  }),
})

/** What is missing before a table can be read; null where nothing is. */
export function missingOf({ columns, dayOrder }: ColumnMap, isLab: boolean): string | null {
  const has = (role: ColumnRole) => columns.includes(role)
  const isWide = columns.some((role) => role.startsWith('of:'))
  if (!isWide && !(has('name') && has('value')))
    return 'say which column holds a figure: a column for each parameter, or one with names and one with values'
  if (!isLab && !has('date')) return 'say which column holds the date'
  return dayOrder === null ? 'say whether the day or the month comes first' : null
}

/** Whether a table is a lab's: names of elements down one column, most of which no household tests. */
export function isLabTable({ rows }: Table, { columns }: ColumnMap): boolean {
  const name = columns.indexOf('name')
  if (name < 0) return false
  const found = new Set(rows.flatMap(({ cells }) => labElementNamed(cells[name] ?? '')?.id ?? []))
  const foreign = [...found].filter((id) => !parameterById(id))
  return foreign.length >= 5
}
