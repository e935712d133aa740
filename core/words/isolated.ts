/** Marks that turn the direction of what follows: overrides, embeddings, isolates. */
const DIRECTION_MARKS = /[\u061c\u200e\u200f\u202a-\u202e\u2066-\u2069]/g
const RIGHT_TO_LEFT = /[\u0590-\u08ff\ufb1d-\ufdff\ufe70-\ufeff]/
const FIRST_STRONG_ISOLATE = '\u2068'
const POP_ISOLATE = '\u2069'

/** A text without marks that would turn what stands beside it: for comparing, and for files. */
export const withoutDirectionMarks = (text: string): string => text.replace(DIRECTION_MARKS, '')

/**
 * A name so that it cannot turn the figures beside it round: an override in a name made 12.5 into 5.21 on screen. Its own
 * marks go; one in a script that runs from the right stands in an isolate.
 */
export function isolated(name: string): string {
  const plain = withoutDirectionMarks(name)
  return RIGHT_TO_LEFT.test(plain) ? FIRST_STRONG_ISOLATE + plain + POP_ISOLATE : plain
}
