import type { LabElement } from '../catalogue/lab-elements.data.ts'
import { parameterById, typicalUncertainty, type Parameter } from '../catalogue/parameter.ts'
import { tanksOf, type Tank } from '../household/tanks.ts'
import type { ContentOf } from '../journal/entry.ts'
import { readingsOf } from '../readings/latest.ts'
import { readTyped } from '../readings/typed-reading.ts'
import type { LogContext } from '../logline/types.ts'
import { iso } from '../time/zone.ts'
import { figures } from '../words/numbers.ts'
import type { ColumnMap, ColumnRole } from './columns.ts'
import { instantFromCells, type DayOrder } from './dates.ts'
import { meaningOf, type KnownNames } from './names.ts'
import type { Table } from './table.ts'
import { figureOfCell, mgPerLabUnit, typedForParameter, unitInName, writesCommas } from './values.ts'

/** A row that was not read, with what is wrong and what would be right. */
export interface RowProblem {
  line: number
  message: string
}

/** What a table came to. */
export interface RowsRead {
  readings: ContentOf<'reading'>[]
  /** Readings of the file that the journal holds already. */
  same: number
  problems: RowProblem[]
  /** Names of rows that mean nothing yet: they are assigned once. */
  unknown: string[]
}

export interface ReadRowsInput {
  table: Table
  map: ColumnMap & { dayOrder: DayOrder }
  /** The tank of rows that name none. */
  tank: Tank
  context: LogContext
  /** Names that were assigned before, or are just now. */
  names?: KnownNames
}

/** Readings typed into a file once, so without the uncertainty of the kit of today: as such kits usually are. */
function asFromFile(content: ContentOf<'reading'>, parameter: Parameter): ContentOf<'reading'> {
  const { kitId: _today, uncertainty: _ofToday, ...rest } = content
  return {
    ...rest,
    origin: 'file',
    ...(content.result.kind === 'value' && { uncertainty: typicalUncertainty(parameter, content.result.value) }),
  }
}

/** The unit of a row as the log line reads it after the figure. */
const unitToken = (unit: string): string => {
  const word = unit.trim().toLowerCase()
  if (/°?f$/.test(word) && word.length <= 2) return 'f'
  if (/°?c$/.test(word) && word.length <= 2) return 'c'
  return word === '‰' ? 'ppt' : word
}

/**
 * The readings of a table, row by row; a row that cannot be read is told and loses none of the others. What the journal holds already (the same tank,
 * parameter, time and value) is counted and left out, so that a file may be brought in again when it has grown.
 * @example
 * readRows({ table, map, tank, context }).readings.length
 */
export function readRows({ table, map, tank, context, names = new Map() }: ReadRowsInput): RowsRead {
  const { journal, settings, now } = context
  const at = (role: ColumnRole) => map.columns.indexOf(role)
  const [dateAt, timeAt, tankAt, nameAt, valueAt, unitAt] = (
    ['date', 'time', 'tank', 'name', 'value', 'unit'] as const
  ).map(at) as [number, number, number, number, number, number]
  const figureColumns = map.columns.flatMap((role, column) => {
    const [, id, unit = ''] = role.startsWith('of:') ? role.split(':') : []
    const parameter = id === undefined ? undefined : parameterById(id)
    return parameter ? [{ column, parameter, unit }] : []
  })
  const figureCells = [valueAt, ...figureColumns.map(({ column }) => column)].filter((column) => column >= 0)
  const hasCommas = writesCommas(table.rows.flatMap(({ cells }) => figureCells.map((column) => cells[column] ?? '')))
  const tanks = tanksOf(journal, { retired: true })
  const held = new Set<string>()
  const isHeld = (content: ContentOf<'reading'>) => {
    const subject = `${content.tankId} ${content.parameter}`
    if (!held.has(subject)) {
      held.add(subject)
      for (const line of readingsOf(journal, content.tankId, content.parameter))
        held.add(`${subject} ${line.at} ${JSON.stringify(line.content.result)}`)
    }
    return held.has(`${subject} ${Date.parse(content.happened)} ${JSON.stringify(content.result)}`)
  }
  const unknown = new Set<string>()
  const twice = twiceOf(figureColumns)
  let disagreeing = 0
  const read: RowsRead = { readings: [], same: 0, problems: [], unknown: [] }
  for (const { line, cells } of table.rows) {
    const problem = (message: string) => read.problems.push({ line, message })
    const ms = instantFromCells(cells[dateAt] ?? '', cells[timeAt] ?? '', map.dayOrder, settings.clock)
    if (ms === null) {
      problem(
        `“${[cells[dateAt], cells[timeAt]].filter(Boolean).join(' ')}” is no date: expected such as 2026-03-01 18:30`,
      )
      continue
    }
    if (ms > now) {
      problem(`${cells[dateAt]} lies ahead`)
      continue
    }
    const tankWord = tankAt < 0 ? '' : (cells[tankAt] ?? '')
    const named =
      tankWord === ''
        ? tank
        : tanks.find(({ name, short }) => [name.toLowerCase(), short.toLowerCase()].includes(tankWord.toLowerCase()))
    if (!named) {
      problem(`no tank is called “${tankWord}”: name it as it stands under Tanks, or leave the cell empty`)
      continue
    }
    const take = (parameter: Parameter, cell: string, unit: string) => {
      if (cell.trim() === '') return
      const figure = figureOfCell(cell, hasCommas)
      if (figure === null || ('below' in figure && figure.below === null)) {
        problem(`${parameter.name}: “${cell}” is no figure`)
        return
      }
      const text = 'value' in figure ? String(figure.value) : `<${figure.below}`
      const typed = readTyped(parameter, `${text} ${unit}`.trim(), named, iso(ms), context)
      if ('message' in typed) {
        problem(`${typed.message}${typed.choices ? ': put the unit in its column’s choice' : ''}`)
        return
      }
      const content = asFromFile(typed.content, parameter)
      if (isHeld(content)) read.same++
      else read.readings.push(content)
    }
    const apart = twice.filter(({ one, other }) => disagree(cells, one, other, hasCommas))
    if (apart.length > 0 && disagreeing++ === 0)
      problem(
        `${apart.map(({ one, other }) => `“${table.header[one.column]!}” and “${table.header[other.column]!}”`).join(', ')} disagree: say of one of them that nothing of it is kept`,
      )
    const isApart = (column: number) => apart.some(({ one, other }) => column === one.column || column === other.column)
    const isSecond = (column: number) => twice.some(({ other }) => column === other.column)
    for (const { column, parameter, unit } of figureColumns)
      if (
        !isApart(column) &&
        !(isSecond(column) && cells[twice.find(({ other }) => other.column === column)!.one.column])
      )
        take(parameter, cells[column] ?? '', unit)
    if (nameAt >= 0 && valueAt >= 0) {
      const name = cells[nameAt] ?? ''
      const meaning = name === '' ? 'ignore' : meaningOf(name, names)
      if (name === '') problem('no name of what was tested')
      else if (meaning === 'unknown') unknown.add(name)
      else if (meaning !== 'ignore' && !meaning.parameter) problem(`“${name}” is nothing that Brinvo keeps readings of`)
      else if (meaning !== 'ignore')
        take(meaning.parameter!, cells[valueAt] ?? '', unitToken(unitAt < 0 ? unitInName(name) : (cells[unitAt] ?? '')))
    }
  }
  return { ...read, unknown: [...unknown] }
}

interface FigureColumn {
  column: number
  parameter: Parameter
  unit: string
}

/** Columns of one parameter: in two units or bases. */
const twiceOf = (columns: readonly FigureColumn[]): { one: FigureColumn; other: FigureColumn }[] =>
  columns.flatMap((other, i) => {
    const one = columns.slice(0, i).find(({ parameter }) => parameter.id === other.parameter.id)
    return one ? [{ one, other }] : []
  })

/** Figures of one parameter may be this far apart, as a share, and still be one (EA: each is rounded by itself). */
const ROUNDED_SHARE = 0.1

const isFar = (a: number, b: number): boolean => Math.abs(a - b) > ROUNDED_SHARE * Math.max(Math.abs(a), Math.abs(b))

/** In the basis that the parameter is kept in. */
const inKept = ({ parameter, unit }: FigureColumn, value: number): number =>
  value * (parameter.bases?.find(({ id }) => id === unit)?.perIon ?? 1)

/** Whether two columns of one parameter say different things in a row; only bases can be told apart. */
function disagree(cells: readonly string[], one: FigureColumn, other: FigureColumn, hasCommas: boolean): boolean {
  const [a, b] = [one, other].map(({ column }) => figureOfCell(cells[column] ?? '', hasCommas))
  if (!one.parameter.bases || !a || !b || !('value' in a) || !('value' in b)) return false
  return isFar(inKept(one, a.value), inKept(other, b.value))
}

/** What a lab's table came to. */
export interface LabRead {
  result: ContentOf<'lab-result'> | null
  /** What the household tests too, as readings beside it. */
  readings: ContentOf<'reading'>[]
  problems: RowProblem[]
  unknown: string[]
  /** What was converted, in words: “phosphorus 0.02 mg/L is 0.061 mg/L of phosphate (× 3.066)”. */
  notes: string[]
}

/** 95 % half-width of a lab's figure, as a share of the figure (EA: sheets seldom say). */
const LAB_SHARE = 0.05

/**
 * A lab's table as one result, and as readings of what the household tests too.
 * @param sampledAt ms, when the sample was taken
 * @param usualUnit the unit of rows that name none; empty where they are then asked about
 */
export function readLab({
  table,
  map,
  tank,
  context,
  sampledAt,
  usualUnit,
  names = new Map(),
}: Omit<ReadRowsInput, 'map'> & { map: ColumnMap; sampledAt: number; usualUnit: string }): LabRead {
  const [nameAt, valueAt, unitAt] = (['name', 'value', 'unit'] as const).map((role) => map.columns.indexOf(role)) as [
    number,
    number,
    number,
  ]
  const hasCommas = writesCommas(table.rows.map(({ cells }) => cells[valueAt] ?? ''))
  const results: ContentOf<'lab-result'>['results'] = []
  const read: LabRead = { result: null, readings: [], problems: [], unknown: [], notes: [] }
  const unknown = new Set<string>()
  const readingOf = (parameter: Parameter) => read.readings.find((one) => one.parameter === parameter.id)
  const disagreeing = new Set<string>()
  const happened = iso(sampledAt)
  for (const { line, cells } of table.rows) {
    const problem = (message: string) => read.problems.push({ line, message })
    const [name, cell] = [cells[nameAt] ?? '', cells[valueAt] ?? '']
    if (name === '' || cell === '') continue
    const unit = (unitAt < 0 ? '' : (cells[unitAt] ?? '')) || unitInName(name) || usualUnit
    const figure = figureOfCell(cell, hasCommas)
    const meaning = meaningOf(name, names)
    if (meaning === 'ignore') continue
    if (meaning === 'unknown') {
      unknown.add(name)
      continue
    }
    const { element, parameter } = meaning
    if (!figure) problem(`${name}: “${cell}” is no figure`)
    else if (!element && parameter) {
      if (!('value' in figure)) continue
      const typed = readTyped(parameter, `${figure.value} ${unitToken(unit)}`.trim(), tank, happened, context)
      if ('message' in typed) problem(typed.message)
      else read.readings.push(asFromLab(typed.content))
    } else if (element) {
      const per = mgPerLabUnit(unit)
      if (per === null && !('below' in figure && figure.below === null)) {
        problem(
          `${name}: ${unit === '' ? 'no unit' : `“${unit}” is no unit of mass in a litre`}; expected mg/L or µg/L`,
        )
        continue
      }
      if (results.some((one) => one.element === element.id)) continue
      if ('below' in figure) {
        results.push({ element: element.id, ...(figure.below !== null && { below: figure.below * per! }) })
        continue
      }
      const mgPerL = figure.value * per!
      results.push({ element: element.id, mgPerL })
      if (!parameter) continue
      const typed = readTyped(parameter, typedForParameter(element, mgPerL), tank, happened, context)
      if ('message' in typed) {
        problem(typed.message)
        continue
      }
      const content = asFromLab(typed.content)
      const before = readingOf(parameter)
      const value = valueOf(content)
      const note = conversionNote(element, parameter, mgPerL, value)
      if (note !== null) read.notes.push(note)
      if (!before) read.readings.push(content)
      else if (value !== null && valueOf(before) !== null && isFar(valueOf(before)!, value))
        disagreeing.add(parameter.id)
    }
  }
  for (const id of disagreeing) {
    const { name } = parameterById(id)!
    read.problems.push({
      line: table.headerLine,
      message: `two rows for ${name} disagree: neither is taken as a reading`,
    })
    read.readings = read.readings.filter((one) => one.parameter !== id)
  }
  read.unknown = [...unknown]
  if (results.length > 0) read.result = { kind: 'lab-result', happened, tankId: tank.id, results }
  return read
}

const valueOf = ({ result }: ContentOf<'reading'>): number | null => (result.kind === 'value' ? result.value : null)

/** What a figure was converted to, where the lab states it in another basis than the household. */
function conversionNote(
  element: LabElement,
  parameter: Parameter,
  mgPerL: number,
  value: number | null,
): string | null {
  const { basis } = element.parameter ?? {}
  const perIon = parameter.bases?.find(({ id }) => id === basis)?.perIon
  return basis === undefined || perIon === undefined || value === null
    ? null
    : `${element.name} ${figures(mgPerL)} mg/L is ${figures(value)} mg/L of ${parameter.name} (× ${figures(perIon, 4)})`
}

/** A reading by a lab: not by the tank's kit, and as sure as labs are. */
function asFromLab(content: ContentOf<'reading'>): ContentOf<'reading'> {
  const { kitId: _kit, uncertainty: _ofKit, ...rest } = content
  return {
    ...rest,
    origin: 'lab',
    ...(content.result.kind === 'value' && { uncertainty: LAB_SHARE * content.result.value }),
  }
}
