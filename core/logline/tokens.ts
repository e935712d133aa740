/** A word of the typed line and where it stands. */
export interface Token {
  /** As typed. */
  text: string
  /** For comparing: lower case. */
  key: string
  from: number
  to: number
  /** Whether a comma or semicolon came right after it. */
  comma: boolean
}

/** A name with its value glued on: `no3=12`, `cu:2.1`. A time, `21:00`, begins with a digit and stays whole. */
const GLUED = /^([a-zµ][a-zµ0-9-]*)[=:](?=[<>≤≥]?\.?\d)/i
const TRAILING_SIGN = /^(.*[^\s=:])[=:]+$/

/**
 * Splits a line at white space, at commas and between a name and its value. A comma between two digits stays in its word
 * (`2,1`): whether that is one number or two is for the keeper to say, unless the locale writes decimals with a comma.
 * @param decimalComma read `0,4` as 0.4
 */
export function tokenize(line: string, decimalComma = false): Token[] {
  const tokens: Token[] = []
  const push = (text: string, from: number) => {
    const key = text.toLowerCase()
    tokens.push({
      text,
      key: decimalComma ? key.replace(/^([<>≤≥]?\d+),(\d+)(?!.*,)/, '$1.$2') : key,
      from,
      to: from + text.length,
      comma: false,
    })
  }
  const pattern = /(?:[^\s,;]|(?<=\d),(?=\d))+|[,;]/g
  for (const { 0: word, index } of line.matchAll(pattern)) {
    if (word === ',' || word === ';') {
      const last = tokens.at(-1)
      if (last) last.comma = true
      continue
    }
    if (/^[=:]+$/.test(word)) continue
    const glued = GLUED.exec(word)
    if (glued) {
      push(glued[1]!, index)
      push(word.slice(glued[0].length), index + glued[0].length)
    } else push(TRAILING_SIGN.exec(word)?.[1] ?? word, index)
  }
  return tokens
}

/** The typed line with one of its words replaced. */
export const replaceToken = (line: string, token: Pick<Token, 'from' | 'to'>, text: string): string =>
  line.slice(0, token.from) + text + line.slice(token.to)
