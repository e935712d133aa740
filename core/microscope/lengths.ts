import { typedNumber } from '../numbers/typed.ts'
import { median } from '../numbers/median.ts'

/** Amphidinium by its length, µm: outbreaks.md 4, k9. */
export const AMPHIDINIUM_UM = { largeFrom: 29, smallTo: 25, split: 27 } as const
/** Cells to measure where the median lies between: outbreaks.md 4. */
export const CELLS_TO_MEASURE = 20
/** What a dinoflagellate's length may be, µm: the smallest and largest of outbreaks.md 2, with room. */
const PLAUSIBLE_UM = { least: 5, most: 200 } as const

/** What some measured lengths say. */
export interface LengthsSay {
  /** µm; null without any. */
  medianUm: number | null
  count: number
  /** Which Amphidinium it would be; null while that is open. */
  cell: 'large' | 'small' | null
  /** How many more to measure before the median may be split; 0 when it may be, or need not. */
  more: number
}

/** The median of lengths, and which Amphidinium it makes: 29 µm or more, 25 or less, and between them the median of 20 cells split at 27. */
export function sayLengths(lengthsUm: readonly number[]): LengthsSay {
  const count = lengthsUm.length
  if (count === 0) return { medianUm: null, count, cell: null, more: CELLS_TO_MEASURE }
  const medianUm = median(lengthsUm)
  const { largeFrom, smallTo, split } = AMPHIDINIUM_UM
  if (medianUm >= largeFrom) return { medianUm, count, cell: 'large', more: 0 }
  if (medianUm <= smallTo) return { medianUm, count, cell: 'small', more: 0 }
  if (count < CELLS_TO_MEASURE) return { medianUm, count, cell: null, more: CELLS_TO_MEASURE - count }
  return { medianUm, count, cell: medianUm >= split ? 'large' : 'small', more: 0 }
}

/**
 * Reads a row of lengths as typed: “34 38 41”, apart by spaces or semicolons.
 * @param text with a decimal point
 * @param umPerDivision what a division of the eyepiece scale is worth; 1 where µm are typed
 * @returns the lengths, µm, and the first piece that is none
 */
export function readLengths(text: string, umPerDivision: number): { lengthsUm: number[]; problem: string | null } {
  const lengthsUm: number[] = []
  for (const piece of text.split(/[\s;]+/).filter(Boolean)) {
    const read = typedNumber(piece)
    if (!('value' in read))
      return { lengthsUm, problem: `“${piece}” is no length: numbers apart by spaces, such as 34 38 41` }
    const um = read.value * umPerDivision
    if (um < PLAUSIBLE_UM.least || um > PLAUSIBLE_UM.most)
      return {
        lengthsUm,
        problem: `${piece} makes ${Number(um.toFixed(1))} µm: a dinoflagellate has ${PLAUSIBLE_UM.least} to ${PLAUSIBLE_UM.most}`,
      }
    lengthsUm.push(um)
  }
  return { lengthsUm, problem: null }
}
