import { v5 } from 'uuid'
import type { BenchRun } from '../../core/bench/follow.ts'
import type { Content } from '../../core/journal/entry.ts'
import type { Journal } from '../../core/journal/journal.ts'

/** Of ids that a bench gives its entries. */
const BENCH = '5b0f6c1e-0d57-4f4e-9f35-6a3b7c1d2e90'

/**
 * Ids of what one press at a bench writes. The same press in two tabs has the same ids, so that it is one entry whatever writes it; pressed again after it was
 * taken back it is another.
 * @param contents as they are about to be kept
 */
export function benchEntryIds(journal: Journal, { id }: Pick<BenchRun, 'id'>, contents: readonly Content[]): string[] {
  // What was taken back stays in the journal, struck.
  const takenBack = journal.about(`bench:${id}`).filter(({ struck }) => struck).length
  return contents.map((content, i) => {
    const of =
      content.kind === 'bench-mark'
        ? [content.step, content.state, content.partId ?? '', content.animalId ?? '']
        : [content.kind, i, ...contents.flatMap((one) => (one.kind === 'bench-mark' ? [one.step, one.state] : []))]
    return v5([id, takenBack, ...of].join(' '), BENCH)
  })
}
