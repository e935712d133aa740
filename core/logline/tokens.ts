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

/**
 * Splits a line at white space and at commas. A comma between two digits stays in its word (`2,1`): whether that is one
 * number or two is for the keeper to say.
 */
export function tokenize(line: string): Token[] {
  const tokens: Token[] = []
  const pattern = /(?:[^\s,;]|(?<=\d),(?=\d))+|[,;]/g
  for (const match of line.matchAll(pattern)) {
    if (match[0] === ',' || match[0] === ';') {
      const last = tokens.at(-1)
      if (last) last.comma = true
      continue
    }
    tokens.push({
      text: match[0],
      key: match[0].toLowerCase(),
      from: match.index,
      to: match.index + match[0].length,
      comma: false,
    })
  }
  return tokens
}

/** The typed line with one of its words replaced. */
export const replaceToken = (line: string, token: Pick<Token, 'from' | 'to'>, text: string): string =>
  line.slice(0, token.from) + text + line.slice(token.to)
