import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { useNow } from '../frame/now.tsx'
import { Button, PlainButton } from '../look/buttons.ts'
import { Line, Quiet, Rows, Stack } from '../look/text.ts'
import { copiesKept, dropCopy, type Copy } from '../storage/copies.ts'
import { momentBeside } from '../../core/time/words.ts'
import { listed, plural } from '../../core/words/numbers.ts'
import type { Entry } from '../../core/journal/entry.ts'
import { clipIdsIn, photoIdsIn, saveJournal } from './exporting.ts'
import { useKeeping, UnkeptNote } from './keeping.tsx'
import { clipsOf, photosOf } from './opened.ts'
import { previewOf, type Preview } from './bring-in/importing.ts'
import { useHousehold } from './provider.tsx'

export const COPIES = ['copies'] as const

/** The entries of a copy; null where it cannot be read. */
async function entriesIn({ text }: Copy): Promise<Entry[] | null> {
  const { readJournal } = await import('../../core/journal/read.ts')
  const read = readJournal({ text })
  return read.ok && read.value.problems.length === 0 ? read.value.entries : null
}

/** Journals that were put aside before they were emptied, each to be brought back, saved, or deleted with its pictures. */
export function PutAside() {
  const { journal, settings, which } = useHousehold()
  const { run, busy, unkept } = useKeeping()
  const client = useQueryClient()
  const now = useNow()
  const { data: copies = [] } = useQuery({ queryKey: COPIES, queryFn: copiesKept })
  const [sure, setSure] = useState<string | null>(null)
  const [looked, setLooked] = useState<{ id: string; preview: Preview } | null>(null)
  /** What it would change, before it is brought back. */
  const look = (copy: Copy) =>
    run(async () => {
      const entries = await entriesIn(copy)
      if (!entries) throw new Error('this copy cannot be read; save it as a file and keep it')
      setLooked({ id: copy.id, preview: previewOf((id) => journal.entry(id), entries) })
      return []
    })
  const restore = (fresh: readonly Entry[]) =>
    run((household) => household.takeIn(fresh)).then((kept) => kept && setLooked(null))
  const save = async (copy: Copy) =>
    saveJournal(
      `brinvo-put-aside-${copy.made.slice(0, 10)}`,
      which,
      copy.text,
      photoIdsIn((await entriesIn(copy)) ?? []),
    )
  const dropUnnamed = async (entries: readonly Entry[], named: ReadonlySet<string>) => {
    for (const id of photoIdsIn(entries)) if (!named.has(id)) await photosOf(which).remove(id)
    for (const id of clipIdsIn(entries)) if (!named.has(id)) await clipsOf(which).remove(id)
  }
  const drop = async (copy: Copy) => {
    // Its pictures go with it, but for those that the journal or another copy still names.
    const others = await Promise.all(copies.filter(({ id }) => id !== copy.id).map(entriesIn))
    const left = [...journal.entries(), ...others.flatMap((entries) => entries ?? [])]
    const named = new Set([...photoIdsIn(left), ...clipIdsIn(left)])
    await dropCopy(copy.id)
    if (!others.includes(null)) await dropUnnamed((await entriesIn(copy)) ?? [], named)
    await client.invalidateQueries({ queryKey: COPIES })
  }
  if (copies.length === 0) return null
  return (
    <Stack $gap={8}>
      {unkept && <UnkeptNote unkept={unkept} />}
      <Rows aria-label="Put aside">
        {copies.map((copy) => (
          <li key={copy.id}>
            <div>
              {plural(copy.entries, 'entry', 'entries')}{' '}
              <Quiet>put aside {momentBeside(Date.parse(copy.made), now, settings.clock)}</Quiet>
            </div>
            <Line $gap={16}>
              <PlainButton onPress={() => void look(copy)} isDisabled={busy}>
                bring back
              </PlainButton>
              <PlainButton onPress={() => void save(copy)}>save as a file</PlainButton>
              {sure === copy.id ? (
                <>
                  <PlainButton onPress={() => void drop(copy)}>
                    delete {plural(copy.entries, 'entry', 'entries')} for good
                  </PlainButton>
                  <PlainButton onPress={() => setSure(null)}>keep it</PlainButton>
                </>
              ) : (
                <PlainButton onPress={() => setSure(copy.id)}>delete this copy</PlainButton>
              )}
            </Line>
            {looked?.id === copy.id && (
              <Restore
                preview={looked.preview}
                isBusy={busy}
                onRestore={() => void restore(looked.preview.fresh)}
                onLeave={() => setLooked(null)}
              />
            )}
          </li>
        ))}
      </Rows>
    </Stack>
  )
}

/** What bringing a copy back would change. */
function Restore({
  preview: { fresh, same, conflicts, counts, span },
  isBusy,
  onRestore,
  onLeave,
}: {
  preview: Preview
  isBusy: boolean
  onRestore: () => void
  onLeave: () => void
}) {
  return (
    <Stack $gap={8}>
      <span>
        {fresh.length === 0
          ? 'Nothing of it is missing here.'
          : `It would add ${listed(counts.map(([what, count]) => `${count} ${what}`))}${span === null ? '' : `, ${span}`}; nothing that is here is changed.`}
        {same > 0 && ` ${plural(same, 'entry is', 'entries are')} here already.`}
        {conflicts.length > 0 &&
          ` ${plural(conflicts.length, 'entry differs', 'entries differ')} from what is here; what is here stays.`}
      </span>
      <Line $gap={16}>
        {fresh.length > 0 && (
          <Button isDisabled={isBusy} onPress={onRestore}>
            Add {plural(fresh.length, 'entry', 'entries')}
          </Button>
        )}
        <PlainButton onPress={onLeave}>leave it</PlainButton>
      </Line>
    </Stack>
  )
}
