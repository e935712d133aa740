import type { ZoneClock } from '../time/zone.ts'
import { guessDayOrder, instantFromCells, isDateCell } from './dates.ts'
import type { Table } from './table.ts'

/** When a lab's sample was taken, as its file says: an instant, or a date that could be two days; null where it says nothing. */
export type SampleDate = { ms: number } | { unclear: string } | null

const SAMPLED = /sampl|taken|drawn|collect|entnahme|probe/i
const DATED = /\b(date|datum|day)\b/i
/** Dates of a lab's file that are not the sample's. */
const NOT_SAMPLED = /report|receiv|analy|print|order|invoice|eingang|birth/i

const DATE_IN_WORDS =
  /\d{4}[-/.]\d{1,2}[-/.]\d{1,2}(?:[T ]\d{1,2}:\d{2})?|\d{1,2}[-/.]\d{1,2}[-/.]\d{2,4}(?: \d{1,2}:\d{2})?/

/** Dates with the words beside them, from the lines above the table and from its column of dates. */
function datesOf({ above, header, rows }: Table, dateColumn: number): { label: string; cell: string }[] {
  const beside = above.flatMap(({ cells }) =>
    cells.flatMap((cell, i) => {
      const found = DATE_IN_WORDS.exec(cell)?.[0]
      if (found === undefined) return []
      // Its words stand in the same cell, or in the one before it.
      const own = cell.replace(found, '').trim()
      return [{ label: own === '' ? (cells[i - 1] ?? '') : own, cell: found }]
    }),
  )
  const first = dateColumn < 0 ? undefined : rows.map(({ cells }) => cells[dateColumn] ?? '').find(isDateCell)
  return first === undefined ? beside : [{ label: `sampled ${header[dateColumn]!}`, cell: first }, ...beside]
}

/**
 * When the sample of a lab's file was taken: by a line above its table ("Sample date: 2026-06-01") or its column of dates. The day it was received,
 * tested or reported is not taken for it.
 * @param dateColumn index of the column that holds dates; under 0 where none does
 */
export function sampleDateOf(table: Table, dateColumn: number, clock: ZoneClock): SampleDate {
  const dates = datesOf(table, dateColumn)
  const one =
    dates.find(({ label }) => SAMPLED.test(label)) ??
    dates.find(({ label }) => DATED.test(label) && !NOT_SAMPLED.test(label))
  if (!one) return null
  // The other dates of the file tell the order where this one alone does not.
  const order = guessDayOrder(dates.map(({ cell }) => cell))
  if (order === null) return { unclear: one.cell }
  const ms = instantFromCells(one.cell, '', /^\d{4}/.test(one.cell) ? 'ymd' : order, clock)
  return ms === null ? null : { ms }
}
