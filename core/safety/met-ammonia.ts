import type { Journal } from '../journal/journal.ts'

/** Whether any test in the journal found ammonia: the alarm need not be looked for otherwise. */
export const hasMetAmmonia = (journal: Journal): boolean =>
  journal.derive('met-ammonia', ['kind:reading'], () =>
    journal
      .ofKind('reading')
      .some(
        ({ content: { parameter, result } }) =>
          (parameter === 'tan' || parameter === 'nh3') && (result.kind !== 'value' || result.value > 0),
      ),
  )
