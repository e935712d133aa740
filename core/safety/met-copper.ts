import { isCopper } from '../catalogue/treatments/groups.ts'
import type { Journal } from '../journal/journal.ts'

/** Whether anything in the journal says that copper was ever in some water: the alarm need not be looked for otherwise. */
export const hasMetCopper = (journal: Journal): boolean =>
  journal.derive(
    'met-copper',
    ['kind:dose', 'kind:reading', 'kind:water-change'],
    () =>
      journal.ofKind('dose').some(({ content }) => isCopper(content.ingredient)) ||
      journal.ofKind('reading').some(({ content }) => content.parameter === 'copper') ||
      journal.ofKind('water-change').some(({ content }) => (content.replacement?.copperMgPerL ?? 0) > 0),
  )
