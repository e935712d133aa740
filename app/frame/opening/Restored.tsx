import { PlainButton } from '../../look/buttons.ts'
import { Bar } from '../../look/text.ts'
import { plural } from '../../../core/words/numbers.ts'

/** The browser had cleared the database while the page was open: what was done, and what to do. */
export function Restored({ count, onDismiss }: { count: number; onDismiss: () => void }) {
  return (
    <Bar $tone="act" role="alert">
      This browser had cleared the journal while it was open. {plural(count, 'entry', 'entries')} that this page still
      held
      {count === 1 ? ' was' : ' were'} written again. Export the journal, and let the browser keep this site’s data.{' '}
      <PlainButton onPress={onDismiss}>dismiss</PlainButton>
    </Bar>
  )
}
