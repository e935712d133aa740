import { labElementNamed } from '../catalogue/lab-elements.data.ts'
import { PARAMETERS, parameterById, typicalUncertainty, type Parameter } from '../catalogue/parameter.ts'
import { tanksOf, type Tank } from '../household/tanks.ts'
import type { ContentOf } from '../journal/entry.ts'
import { readingsOf } from '../readings/latest.ts'
import { readTyped } from '../readings/typed-reading.ts'
import type { LogContext } from '../logline/types.ts'
import { iso } from '../time/zone.ts'
import type { ColumnMap, ColumnRole } from './columns.ts'
import { instantFromCells, type DayOrder } from './dates.ts'
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
}

export interface ReadRowsInput {
  table: Table
  map: ColumnMap & { dayOrder: DayOrder }
  /** The tank of rows that name none. */
  tank: Tank
  context: LogContext
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

/** The parameter that a row's name means. */
const parameterOfRow = (name: string): Parameter | undefined => {
  const word = name.trim().toLowerCase()
  const plain = PARAMETERS.find(({ id, name: full, aliases }) => [id, full.toLowerCase(), ...aliases].includes(word))
  const element = plain ? undefined : labElementNamed(name)
  return plain ?? (element?.parameter && parameterById(element.parameter.id))
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
export function readRows({ table, map, tank, context }: ReadRowsInput): RowsRead {
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
  const read: RowsRead = { readings: [], same: 0, problems: [] }
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
    for (const { column, parameter, unit } of figureColumns) take(parameter, cells[column] ?? '', unit)
    if (nameAt >= 0 && valueAt >= 0) {
      const name = cells[nameAt] ?? ''
      const parameter = parameterOfRow(name)
      if (!parameter)
        problem(name === '' ? 'no name of what was tested' : `“${name}” is nothing that Brinvo keeps readings of`)
      else take(parameter, cells[valueAt] ?? '', unitToken(unitAt < 0 ? unitInName(name) : (cells[unitAt] ?? '')))
    }
  }
  return read
}

/** What a lab's table came to. */
export interface LabRead {
  result: ContentOf<'lab-result'> | null
  /** What the household tests too, as readings beside it. */
  readings: ContentOf<'reading'>[]
  problems: RowProblem[]
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
}: Omit<ReadRowsInput, 'map'> & { map: ColumnMap; sampledAt: number; usualUnit: string }): LabRead {
  const [nameAt, valueAt, unitAt] = (['name', 'value', 'unit'] as const).map((role) => map.columns.indexOf(role)) as [
    number,
    number,
    number,
  ]
  const hasCommas = writesCommas(table.rows.map(({ cells }) => cells[valueAt] ?? ''))
  const results: ContentOf<'lab-result'>['results'] = []
  const read: LabRead = { result: null, readings: [], problems: [] }
  const happened = iso(sampledAt)
  for (const { line, cells } of table.rows) {
    const problem = (message: string) => read.problems.push({ line, message })
    const [name, cell] = [cells[nameAt] ?? '', cells[valueAt] ?? '']
    if (name === '' || cell === '') continue
    const unit = (unitAt < 0 ? '' : (cells[unitAt] ?? '')) || unitInName(name) || usualUnit
    const figure = figureOfCell(cell, hasCommas)
    const element = labElementNamed(name)
    const parameter = element ? element.parameter && parameterById(element.parameter.id) : parameterOfRow(name)
    if (!figure) problem(`${name}: “${cell}” is no figure`)
    else if (!element && !parameter) problem(`“${name}” is no element that Brinvo knows: left out`)
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
      if ('message' in typed) problem(typed.message)
      else if (!read.readings.some((one) => one.parameter === parameter.id))
        read.readings.push(asFromLab(typed.content))
    }
  }
  if (results.length > 0) read.result = { kind: 'lab-result', happened, tankId: tank.id, results }
  return read
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
