import { useState } from 'react'
import { useHousehold } from '../../journal/provider.tsx'
import { PlainButton, PlainLink } from '../../look/buttons.ts'
import { Bar } from '../../look/text.ts'
import { plural } from '../../../core/words/numbers.ts'
import type { Recovered } from '../../storage/journal-store.ts'

function words({ what, outcome, entries }: Recovered): string {
  if (what === 'import')
    return `The browser was closed while ${plural(entries, 'entry', 'entries')} were brought in. Nothing of that file was taken in: bring it in again.`
  return outcome === 'finished'
    ? 'The browser was closed while the journal was replaced. That is finished now.'
    : 'The browser was closed while the journal was to be replaced. It stands as before.'
}

/** What was found when the journal was opened: something cut off half done, or values that could not be read. */
export function OpeningNotes() {
  const { recovered, unreadable } = useHousehold()
  const [isRead, setRead] = useState(false)
  return (
    <>
      {recovered && !isRead && (
        <Bar $tone="act" role="alert">
          {words(recovered)} <PlainButton onPress={() => setRead(true)}>dismiss</PlainButton>
        </Bar>
      )}
      {unreadable.length > 0 && (
        <Bar $tone="act" role="alert">
          {plural(unreadable.length, 'stored value')} could not be read and {unreadable.length === 1 ? 'is' : 'are'} not
          shown. <PlainLink href="/records">Mend {unreadable.length === 1 ? 'it' : 'them'} in Records</PlainLink>
        </Bar>
      )}
    </>
  )
}
