import type { Explained } from './explain.ts'

/** Journals are some six levels deep; anything far beyond is no journal, and would exhaust what reads it. */
export const MAX_DEPTH = 32
/** No figure of an aquarium is larger, or smaller and not 0: beyond these, arithmetic with it runs into infinity. */
export const FIGURE_LIMITS = { least: 1e-9, most: 1e12 } as const

const escapePointer = (key: string) => key.replaceAll('~', '~0').replaceAll('/', '~1')

/**
 * What of a value could not be worked with, whatever its shape: nesting without end, figures beyond any measure.
 * @returns the first such place, as a JSON pointer and what was expected; null when there is none
 */
export function boundsFault(value: unknown): Explained | null {
  // With a list of its own instead of recursion: the value may be nested deeper than the call stack.
  const open: { value: unknown; path: string; depth: number }[] = [{ value, path: '', depth: 0 }]
  for (let next = open.pop(); next; next = open.pop()) {
    const { value: part, path, depth } = next
    if (typeof part === 'number') {
      const size = Math.abs(part)
      if (!(size <= FIGURE_LIMITS.most) || (size > 0 && size < FIGURE_LIMITS.least))
        return {
          path,
          message: `expected 0, or a figure from ${FIGURE_LIMITS.least} to ${FIGURE_LIMITS.most}; came ${part}`,
        }
      continue
    }
    if (part === null || typeof part !== 'object') continue
    if (depth >= MAX_DEPTH)
      return { path, message: `expected at most ${MAX_DEPTH} levels of lists and objects; came more` }
    const entries: [string, unknown][] = Object.entries(part)
    for (let i = entries.length - 1; i >= 0; i--) {
      const [key, child] = entries[i]!
      if (child !== null && (typeof child === 'object' || typeof child === 'number'))
        open.push({ value: child, path: `${path}/${escapePointer(key)}`, depth: depth + 1 })
    }
  }
  return null
}
