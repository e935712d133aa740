/** A number with so many decimals, a real minus sign, and no "-0". */
export function fixed(value: number, decimals: number): string {
  const text = value.toFixed(decimals)
  return Number(text) === 0 ? (0).toFixed(decimals) : text.replace('-', '−')
}

/** A number with about so many figures, never in powers of ten, without trailing zeros past the point. */
export function figures(value: number, digits = 3): string {
  if (value === 0) return '0'
  const decimals = Math.max(0, Math.min(10, digits - 1 - Math.floor(Math.log10(Math.abs(value)))))
  const text = fixed(value, decimals)
  return text.includes('.') ? text.replace(/\.?0+$/, '') : text
}

/** A share as a whole percentage: "38 %". */
export const percentText = (share: number): string => `${Math.round(100 * share)} %`

/** Two shares as whole percentages without their sign: "31–46". */
export const percentSpan = (low: number, high: number): string => `${Math.round(100 * low)}–${Math.round(100 * high)}`

/** "1 fish", "9 fish", "2 moves". */
export const plural = (count: number, one: string, many = `${one}s`): string => `${count} ${count === 1 ? one : many}`

/** "a", "a and b", "a, b and c". */
export function listed(words: readonly string[], last = 'and'): string {
  if (words.length <= 1) return words[0] ?? ''
  return `${words.slice(0, -1).join(', ')} ${last} ${words.at(-1)}`
}

export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)
