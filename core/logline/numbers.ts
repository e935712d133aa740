import { replaceToken, type Token } from './tokens.ts'
import { choose, unclear, type Stop } from './types.ts'

/** A number as typed: an exact value, one side of a limit, or a range; with what was written straight after it. */
export type Figure =
  | { kind: 'value'; value: number; unit: string }
  | { kind: 'below' | 'above'; limit: number; unit: string }
  | { kind: 'range'; low: number; high: number; unit: string }

const NUMBER = '(?:\\d+\\.?\\d*|\\.\\d+)'
const VALUE = new RegExp(`^([<>≤≥]?)(${NUMBER})([a-zµμ°%/.0-9]*)$`, 'i')
const RANGE = new RegExp(`^(${NUMBER})(?:-|–|\\.\\.)(${NUMBER})([a-zµμ°%/]*)$`, 'i')
const WITH_COMMA = /^([<>≤≥]?)(\d+),(\d+)(.*)$/

/** Whether a word looks like a number at all. */
export const looksNumeric = (token: Token): boolean => /^[<>≤≥-]?\.?\d/.test(token.key)

/**
 * Reads a word as a figure. `2,1` is asked about: one number, or two.
 * @returns null where the word is no number
 */
export function readFigure(line: string, token: Token): Figure | Stop | null {
  const comma = WITH_COMMA.exec(token.key)
  if (comma) {
    const [, sign, whole, part, tail] = comma as unknown as [string, string, string, string, string]
    const options = [`${sign}${whole}.${part}${tail}`]
    if (part.length === 3 && whole.length <= 3 && whole !== '0') options.push(`${sign}${whole}${part}${tail}`)
    return choose(`“${token.text}”: which number?`, [
      ...options.map((text) => ({ label: text, text: replaceToken(line, token, text) })),
      {
        label: `two numbers, ${whole} and ${part}${tail}`,
        text: replaceToken(line, token, `${sign}${whole} ${part}${tail}`),
      },
    ])
  }
  if (/^-\d|^-\.\d/.test(token.key)) return unclear(`“${token.text}”: nothing that is measured here goes below zero`)
  const range = RANGE.exec(token.key)
  if (range) {
    const [low, high] = [Number(range[1]), Number(range[2])]
    if (low > high)
      return unclear(`“${token.text}”: a range starts at its lower value`, [
        { label: `${high}-${low}`, text: replaceToken(line, token, `${high}-${low}${range[3]}`) },
      ])
    return { kind: 'range', low, high, unit: range[3]! }
  }
  const value = VALUE.exec(token.key)
  if (!value) return null
  const number = Number(value[2])
  const unit = value[3]!
  if (value[1] === '<' || value[1] === '≤') return { kind: 'below', limit: number, unit }
  if (value[1] === '>' || value[1] === '≥') return { kind: 'above', limit: number, unit }
  return { kind: 'value', value: number, unit }
}

/** A figure with each of its numbers turned into another unit. */
export function mapFigure(figure: Figure, by: (value: number) => number): Figure {
  if (figure.kind === 'value') return { ...figure, value: by(figure.value) }
  if (figure.kind === 'range') {
    const ends = [by(figure.low), by(figure.high)]
    return { ...figure, low: Math.min(...ends), high: Math.max(...ends) }
  }
  return { ...figure, limit: by(figure.limit) }
}

/** The numbers of a figure. */
export const numbersOf = (figure: Figure): number[] =>
  figure.kind === 'value' ? [figure.value] : figure.kind === 'range' ? [figure.low, figure.high] : [figure.limit]
