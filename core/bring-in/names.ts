import { labElementById, labElementNamed, type LabElement } from '../catalogue/lab-elements.data.ts'
import { PARAMETERS, parameterById, type Parameter } from '../catalogue/parameter.ts'
import type { Journal } from '../journal/journal.ts'
import type { ColumnRole } from './columns.ts'
import { isDateCell } from './dates.ts'

/** A column's or row's name as it is compared: lower case, signs as spaces. */
export const plainWord = (text: string): string =>
  text
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, ' ')
    .trim()

const ROLES: readonly [ColumnRole, RegExp][] = [
  ['date', /^(date|day|datum|sampled|sample date|when|date time|timestamp)\b/],
  ['time', /^(time|hour|uhrzeit)$/],
  ['tank', /^(tank|aquarium|system|becken)$/],
  ['name', /^(parameter|element|test|analyte|name|what|measurement)$/],
  ['value', /^(value|result|concentration|reading|measured|wert|analysis)\b/],
  ['unit', /^(unit|units|einheit)$/],
  ['note', /^(note|notes|comment|comments|remark|remarks)$/],
]

/** What a column of this name holds, apart from figures of a parameter. */
export const roleNamed = (text: string): ColumnRole | undefined =>
  ROLES.find(([, words]) => words.test(plainWord(text)))?.[0]

/**
 * The parameter that a name means: as it is, or by a word of it.
 * @example
 * parameterNamed('Alkalinity (KH)')?.id // "alk-kh"
 */
export function parameterNamed(text: string): Parameter | undefined {
  const words = plainWord(text).split(' ')
  return (
    PARAMETERS.find(({ name, aliases, id }) =>
      [name, id, ...aliases].some((one) => plainWord(one) === words.join(' ')),
    ) ??
    PARAMETERS.find(({ name, aliases }) =>
      [name, ...aliases].some((one) => one.length > 1 && words.includes(plainWord(one))),
    )
  )
}

const isFigureCell = (cell: string): boolean => /^[<>~]?\s*[-+]?[\d.,]+$/.test(cell.trim())

/** How many cells of a line are names of columns; 0 where a figure or a date stands among them. */
export const headerScore = (cells: readonly string[]): number =>
  cells.some((cell) => isFigureCell(cell) || isDateCell(cell))
    ? 0
    : cells.filter((cell) => cell !== '' && (roleNamed(cell) !== undefined || parameterNamed(cell) !== undefined))
        .length

/** What a name was said to mean: an element or a parameter, or nothing that is kept. */
export type NameMeaning = `el:${string}` | `of:${string}` | 'ignore'

/** Names that were once said to mean something, by plain word. */
export type KnownNames = ReadonlyMap<string, NameMeaning>

/** Every name that was assigned when a file was brought in; the last word on each. */
export const knownNames = (journal: Journal): KnownNames =>
  new Map(
    journal
      .ofKind('csv-columns')
      .flatMap(({ content }) =>
        (content.names ?? []).map(({ name, is }) => [plainWord(name), is as NameMeaning] as const),
      ),
  )

/** What a row's name means. `unknown`: nobody has said. */
export type RowName =
  | { element: LabElement; parameter: Parameter | undefined }
  | { element: null; parameter: Parameter }
  | 'ignore'
  | 'unknown'

const ofElement = (element: LabElement): RowName => ({
  element,
  parameter: element.parameter && parameterById(element.parameter.id),
})

/**
 * What is tested in a row of this name: as it was assigned before, else by its symbol, its name or a word of it.
 * @example
 * meaningOf('Alkalinity (KH)', new Map()) // { element: null, parameter: alkalinity }
 */
export function meaningOf(name: string, known: KnownNames): RowName {
  const said = known.get(plainWord(name))
  if (said === 'ignore') return 'ignore'
  if (said !== undefined) {
    const [kind, id = ''] = said.split(':')
    const element = kind === 'el' ? labElementById(id) : undefined
    const parameter = kind === 'of' ? parameterById(id) : undefined
    if (element) return ofElement(element)
    if (parameter) return { element: null, parameter }
  }
  const word = name.trim().toLowerCase()
  const plain = PARAMETERS.find(({ id, name: full, aliases }) => [id, full.toLowerCase(), ...aliases].includes(word))
  const element = labElementNamed(name)
  if (element) return ofElement(element)
  const parameter = plain ?? parameterNamed(name)
  return parameter ? { element: null, parameter } : 'unknown'
}
