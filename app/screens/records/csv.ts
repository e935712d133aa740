import Papa from 'papaparse'
import { parameterById } from '../../../core/catalogue/parameter.ts'
import type { Settings } from '../../../core/household/settings.ts'
import { tankById } from '../../../core/household/tanks.ts'
import type { Journal } from '../../../core/journal/journal.ts'
import { withoutDirectionMarks } from '../../../core/words/isolated.ts'
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
 * What begins a formula in one spreadsheet or another, in its wide forms too; behind letters that are not seen as well (soft hyphens, joiners,
 * fillers of Hangul, variation selectors, controls), which some spreadsheets pass over.
 */
const FORMULA = /^[\s\p{Cc}\p{Cf}\p{Default_Ignorable_Code_Point}\u2800]*[=+\-@\t\r\uff1d\uff0b\uff0d\uff20]/u
/** Ends of line in any script: each begins what some spreadsheets take for a new cell. */
const LINE_ENDS = /[\r\n\v\f\u0085\u2028\u2029]+/

/** A text that no spreadsheet takes for a formula, at its beginning or after a line break in it. */
function asText(cell: string): string {
  const plain = withoutDirectionMarks(cell)
    .split(LINE_ENDS)
    .map((line, i) => (i > 0 && FORMULA.test(line) ? `'${line}` : line))
    .join(' ')
  return FORMULA.test(plain) ? `'${plain}` : plain
}

/**
 * All readings that count as CSV, one a line, in the units they are kept in. Text that a spreadsheet would take for a
 * formula is quoted as text.
 */
export function readingsCsv(journal: Journal, { clock }: Settings): string {
  const rows = journal.ofKind('reading').map(({ content, at }) => {
    const { result } = content
    const parameter = parameterById(content.parameter)
    // As exactly as it can have been meant: a conversion leaves a tail of digits that nobody read.
    const digits = (figure: number) => Number(figure.toFixed((parameter?.decimals ?? 4) + 1))
    const value =
      result.kind === 'value' ? result.value : result.kind === 'range' ? (result.low + result.high) / 2 : result.limit
    const said =
      result.kind === 'value'
        ? 'value'
        : result.kind === 'range'
          ? `range ${digits(result.low)}-${digits(result.high)}`
          : result.kind
    return [
      dayText(clock.dayOf(at)),
      timeOf(at, clock),
      tankById(journal, content.tankId)?.name ?? content.tankId,
      parameter?.name ?? content.parameter,
      said,
      digits(value),
      content.unit,
      content.basis ?? '',
      content.uncertainty === undefined ? '' : digits(content.uncertainty),
      content.note ?? '',
    ].map((cell) => (typeof cell === 'string' ? asText(cell) : cell))
  })
  return `${Papa.unparse({ fields: [...COLUMNS], data: rows })}\r\n`
}
