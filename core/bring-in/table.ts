import Papa from 'papaparse'

/** A row of a table with its place in the file, the header being line 1. */
export interface TableRow {
  line: number
  cells: readonly string[]
}

/** A table of a CSV file: comma, semicolon or tab apart, quoted or not. */
export interface Table {
  header: readonly string[]
  rows: readonly TableRow[]
}

/** Most rows that are read: years of daily tests (EA). */
const MOST_ROWS = 50_000

/** What may stand between cells, the surest first: commas stand in figures and words too. */
const DELIMITERS = [';', '\t', ','] as const

/** The cells of a text, by the delimiter that gives the most rows of one width. */
function cellsOf(text: string): string[][] {
  const tried = DELIMITERS.map((delimiter) => {
    const { data } = Papa.parse<string[]>(text, { delimiter, preview: MOST_ROWS + 1 })
    const widths = new Map<number, number>()
    for (const { length } of data) if (length > 1) widths.set(length, (widths.get(length) ?? 0) + 1)
    return { data, rows: Math.max(0, ...widths.values()) }
  })
  return tried.reduce((best, one) => (one.rows > best.rows ? one : best)).data
}

/**
 * Reads a CSV text as a table. Empty lines are passed over; the first line with two cells or more is the header: some sheets begin with a title.
 * @returns what is wrong with it, in words, where it is no table
 * @example
 * readTable('date;NO3\n2026-03-01;12') // { header: ['date', 'NO3'], rows: [{ line: 2, cells: ['2026-03-01', '12'] }] }
 */
export function readTable(text: string): Table | { problem: string } {
  const data = cellsOf(text.replace(/^\ufeff/, ''))
  const filled = data
    .map((cells, i) => ({ line: i + 1, cells: cells.map((cell) => cell.trim()) }))
    .filter(({ cells }) => cells.some((cell) => cell !== ''))
  const start = filled.findIndex(({ cells }) => cells.filter((cell) => cell !== '').length > 1)
  if (start < 0) return { problem: 'no table in it: a line of column names is expected, and a line a row under it' }
  const header = filled[start]!.cells.map((cell, i) => (cell === '' ? `column ${i + 1}` : cell))
  const rows = filled.slice(start + 1)
  if (rows.length === 0) return { problem: 'only column names, no row under them' }
  if (data.length > MOST_ROWS) return { problem: `over ${MOST_ROWS} rows: bring it in by parts` }
  return { header, rows }
}
