import Papa from 'papaparse'
import { headerScore } from './names.ts'

/** A row of a table with its place in the file, the header being line 1. */
export interface TableRow {
  line: number
  cells: readonly string[]
}

/** A table of a CSV file: comma, semicolon or tab apart, quoted or not. */
export interface Table {
  header: readonly string[]
  /** The line of the file that the names of the columns stand in. */
  headerLine: number
  /** Lines above it: a title, the date of the sample. */
  above: readonly TableRow[]
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

/** So far down a file names of columns are looked for. */
const HEADER_WITHIN = 60

/** The line that the names of columns stand in: the first with the most known names; else the first with two cells that are no figures. */
function headerIndex(lines: readonly TableRow[]): number {
  const isWide = ({ cells }: TableRow) => cells.filter((cell) => cell !== '').length > 1
  const tried = lines.slice(0, HEADER_WITHIN).map((line) => (isWide(line) ? headerScore(line.cells) : 0))
  const most = Math.max(0, ...tried)
  if (most >= 2) return tried.indexOf(most)
  return lines.findIndex(isWide)
}

/**
 * Reads a CSV text as a table. Empty lines are passed over; lines above the names of the columns are kept beside it: sheets of labs begin with a
 * title, the sample's date and an address.
 * @param headerLine the line that the names stand in, where the keeper pointed at it; found where it is left out
 * @returns what is wrong with it, in words, where it is no table
 * @example
 * readTable('date;NO3\n2026-03-01;12') // { header: ['date', 'NO3'], headerLine: 1, above: [], rows: [{ line: 2, cells: ['2026-03-01', '12'] }] }
 */
export function readTable(text: string, headerLine?: number): Table | { problem: string } {
  const data = cellsOf(text.replace(/^\ufeff/, ''))
  const filled = data
    .map((cells, i) => ({ line: i + 1, cells: cells.map((cell) => cell.trim()) }))
    .filter(({ cells }) => cells.some((cell) => cell !== ''))
  const start = headerLine === undefined ? headerIndex(filled) : filled.findIndex(({ line }) => line === headerLine)
  if (start < 0) return { problem: 'no table in it: a line of column names is expected, and a line a row under it' }
  const header = filled[start]!.cells.map((cell, i) => (cell === '' ? `column ${i + 1}` : cell))
  const rows = filled.slice(start + 1)
  if (rows.length === 0) return { problem: 'only column names, no row under them' }
  if (data.length > MOST_ROWS) return { problem: `over ${MOST_ROWS} rows: bring it in by parts` }
  return { header, headerLine: filled[start]!.line, above: filled.slice(0, start), rows }
}
