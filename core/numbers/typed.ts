/** A number as typed, or what is wrong with it and what could have been meant. */
export type TypedNumber = { value: number } | { message: string; choices?: readonly { label: string; value: string }[] }

/**
 * Reads one plain number. A comma between digits is never guessed at: fields of a locale that writes decimals with a comma
 * turn it into a point before.
 * @param text with a decimal point; not empty
 * @example typedNumber('0.4') // { value: 0.4 }
 * @example typedNumber('1,250') // which number: 1.250 or 1250
 */
export function typedNumber(text: string): TypedNumber {
  const trimmed = text.trim()
  if (/^-?\d+,\d+$/.test(trimmed))
    return {
      message: `“${trimmed}”: which number?`,
      choices: [trimmed.replace(',', '.'), trimmed.replace(',', '')].map((value) => ({ label: value, value })),
    }
  // `Number` reads more than a keeper writes: "0x10", "1e5", "".
  return /^-?(\d+\.?\d*|\.\d+)$/.test(trimmed) ? { value: Number(trimmed) } : { message: `“${trimmed}” is no number` }
}
