import { useCallback, useState } from 'react'
import type { Content, Entry } from '../../core/journal/entry.ts'
import { Button, PlainButton } from '../look/buttons.ts'
import { Bar, Line, Stack } from '../look/text.ts'
import { refusalOf, type StorageRefusal } from '../storage/refusal.ts'
import { entriesOf } from './opened.ts'
import { useHousehold, type Household } from './provider.tsx'

/** Something the browser would not keep, and what it was. */
export interface Unkept {
  refusal: StorageRefusal
  entries: readonly Entry[]
}

/**
 * Keeping entries from a form or the log line: while it is under way, and when the browser refuses.
 * `keep` asks first where the water speaks against it, and answers with what was kept, or null when it was refused or the keeper went back; then
 * nothing typed may be cleared. Ids are given where two presses in two tabs are one and the same entry.
 */
export function useKeeping() {
  const household = useHousehold()
  const [busy, setBusy] = useState(false)
  const [unkept, setUnkept] = useState<Unkept | null>(null)
  const run = useCallback(
    async (
      work: (household: Household) => Promise<Entry[]>,
      entries: readonly Entry[] = [],
    ): Promise<Entry[] | null> => {
      setBusy(true)
      try {
        const kept = await work(household)
        setUnkept(null)
        return kept
      } catch (error) {
        setUnkept({ refusal: refusalOf(error), entries })
        return null
      } finally {
        setBusy(false)
      }
    },
    [household],
  )
  const { ask, journal } = household
  /** For what a device has done already: nobody can be asked, the plan it follows was. */
  const keepUnasked = useCallback(
    (contents: readonly Content[]) => run((one) => one.keep(contents), entriesOf(journal, contents)),
    [run, journal],
  )
  const keep = useCallback(
    async (contents: readonly Content[], ids?: readonly string[]): Promise<Entry[] | null> => {
      const answered = await ask(contents)
      if (!answered) return null
      const entries = entriesOf(journal, answered)
      const named = ids && entries.map((entry, i) => ({ ...entry, id: ids[i] ?? entry.id }))
      return run((one) => (named ? one.keepEntries(named) : one.keep(answered)), named ?? entries)
    },
    [run, ask, journal],
  )
  return { keep, keepUnasked, run, busy, unkept, clearUnkept: useCallback(() => setUnkept(null), []) }
}

/** What the browser would not keep, in words, with a way to carry it out in a file. */
export function UnkeptNote({ unkept, onDismiss }: { unkept: Unkept; onDismiss?: () => void }) {
  const { which, journal } = useHousehold()
  return (
    <Bar $tone="act" role="alert">
      <Stack $gap={8}>
        <span>{unkept.refusal.message}</span>
        <Line>
          {unkept.refusal.reason !== 'unfit' && (
            <Button
              onPress={() =>
                void import('./exporting.ts').then(({ exportToFile }) => exportToFile(which, journal, unkept.entries))
              }
            >
              Export the journal{unkept.entries.length > 0 ? ' with this' : ''}
            </Button>
          )}
          {onDismiss && <PlainButton onPress={onDismiss}>dismiss</PlainButton>}
        </Line>
      </Stack>
    </Bar>
  )
}
