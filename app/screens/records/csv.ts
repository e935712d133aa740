import Papa from 'papaparse'
import { parameterById } from '../../../core/catalogue/parameter.ts'
import type { Settings } from '../../../core/household/settings.ts'
import { tankById } from '../../../core/household/tanks.ts'
import type { Journal } from '../../../core/journal/journal.ts'
import { dayText } from '../../../core/time/zone.ts'
import { timeOf } from '../../../core/time/words.ts'

const COLUMNS = [
  'date',
  'time',
  'tank',
  'parameter',
  'result',
  'value',
  'unit',
  'basis',
  'uncertainty',
  'note',
] as const

/**
 * All readings that count as CSV, one a line, in the units they are kept in. Text that a spreadsheet would take for a
 * formula is quoted as text.
 */
export function readingsCsv(journal: Journal, { clock }: Settings): string {
  const rows = journal.ofKind('reading').map(({ content, at }) => {
    const { result } = content
    const value =
      result.kind === 'value' ? result.value : result.kind === 'range' ? (result.low + result.high) / 2 : result.limit
    const said =
      result.kind === 'value' ? 'value' : result.kind === 'range' ? `range ${result.low}-${result.high}` : result.kind
    return [
      dayText(clock.dayOf(at)),
      timeOf(at, clock),
      tankById(journal, content.tankId)?.name ?? content.tankId,
      parameterById(content.parameter)?.name ?? content.parameter,
      said,
      value,
      content.unit,
      content.basis ?? '',
      content.uncertainty ?? '',
      content.note ?? '',
    ]
  })
  return `${Papa.unparse({ fields: [...COLUMNS], data: rows }, { escapeFormulae: true })}\r\n`
}
