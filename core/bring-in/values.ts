import type { LabElement } from '../catalogue/lab-elements.data.ts'

/** A cell with a figure: a value, or that it was not found and under what. */
export type CellFigure = { value: number } | { below: number | null }

const NOT_FOUND = /^(n\.?\s?d\.?|nd|not detected|---?|–|b\.?d\.?l\.?|<\s*(lod|loq|dl))$/i

/**
 * The figure in a cell.
 * @param hasCommas whether the table writes decimals with a comma
 * @returns null where it is no figure
 */
export function figureOfCell(cell: string, hasCommas: boolean): CellFigure | null {
  const text = cell.trim()
  if (NOT_FOUND.test(text)) return { below: null }
  const below = text.startsWith('<')
  const plain = text.replace(/^[<~]\s*/, '').replace(/\s/g, '')
  const figure = hasCommas ? plain.replace(/\./g, '').replace(',', '.') : plain
  if (!/^-?(\d+\.?\d*|\.\d+)(e-?\d+)?$/i.test(figure)) return null
  return below ? { below: Number(figure) } : { value: Number(figure) }
}

/** Whether a table writes decimals with a comma: some cell can be nothing else, and none has a point between digits. */
export function writesCommas(cells: readonly string[]): boolean {
  const figures = cells.map((cell) => cell.replace(/^[<~]\s*/, '').trim())
  return (
    figures.some((cell) => /^-?\d+,(\d{1,2}|\d{4,})$/.test(cell) || /^-?0,\d+$/.test(cell)) &&
    !figures.some((cell) => /^-?\d+\.\d{1,2}$/.test(cell))
  )
}

/** mg/L in one of a lab's unit, before a unit of amount is counted in. */
const PER_UNIT: Readonly<Record<string, number>> = {
  'mg/l': 1,
  ppm: 1,
  'mg/kg': 1.0233,
  'g/l': 1000,
  'µg/l': 1e-3,
  'ug/l': 1e-3,
  'mcg/l': 1e-3,
  ppb: 1e-3,
  'ng/l': 1e-6,
  ppt: 1e-6,
}

/**
 * mg/L of an element in one unit of a lab's sheet.
 * @returns null for a unit that is none of them, or that is missing: µg taken for mg would be a thousand times too much
 */
export const mgPerLabUnit = (unit: string): number | null =>
  PER_UNIT[unit.trim().toLowerCase().replace('μ', 'µ').replace(/\s/g, '')] ?? null

/** The unit that a name or a header carries in brackets: "K (mg/L)", "Copper [µg/l]". */
export const unitInName = (text: string): string =>
  /[([]\s*([^()[\]]*\/[^()[\]]*|pp[mbt])\s*[)\]]/i.exec(text)?.[1]?.trim() ?? ''

/** A lab's figure in the parameter's own unit as typed beside it: phosphorus as P, silicon as Si. */
export const typedForParameter = ({ parameter }: LabElement, mgPerL: number): string =>
  `${Number(mgPerL.toPrecision(8))} ${parameter?.basis ?? 'mg/l'}`
