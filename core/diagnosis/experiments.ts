import type { Line } from '../journal/journal.ts'

/** One thing that was changed, to see whether it was the cause. */
export interface Experiment {
  at: number
  words: string
  lookAt: number | null
  /** What was seen; null while nobody has looked. */
  result: string | null
}

/** Days until one looks at a change (EA): a coral answers in days, an alga in weeks. */
export const EXPERIMENT_DAYS = { usual: 4, least: 1, most: 90 } as const

/** The changes of a case in the order they were made, from its entries: a result belongs to the oldest that nobody has looked at. */
export function experimentsOf(lines: readonly Line[]): Experiment[] {
  const experiments: Experiment[] = []
  for (const { at, content, struck } of lines) {
    if (struck || content.kind !== 'case-mark') continue
    const { mark, words = '', lookAt } = content
    if (mark === 'experiment')
      experiments.push({ at, words, lookAt: lookAt === undefined ? null : Date.parse(lookAt), result: null })
    else if (mark === 'experiment-result') {
      const open = experiments.find(({ result }) => result === null)
      if (open) open.result = words
    }
  }
  return experiments
}
