import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { useNow } from '../frame/now.tsx'
import { PlainButton } from '../look/buttons.ts'
import { Line, Quiet, Rows, Stack } from '../look/text.ts'
import { copiesKept, dropCopy, type Copy } from '../storage/copies.ts'
import { momentBeside } from '../../core/time/words.ts'
import { plural } from '../../core/words/numbers.ts'
import type { Entry } from '../../core/journal/entry.ts'
import { clipIdsIn, photoIdsIn, saveJournal } from './exporting.ts'
import { useKeeping, UnkeptNote } from './keeping.tsx'
import { clipsOf, photosOf } from './opened.ts'
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
  const restore = (copy: Copy) =>
    run(async (household) => {
      const entries = await entriesIn(copy)
      if (!entries) throw new Error('this copy cannot be read; save it as a file and keep it')
      return household.takeIn(entries.filter(({ id }) => journal.entry(id) === undefined))
    })
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
              <PlainButton onPress={() => void restore(copy)} isDisabled={busy}>
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
          </li>
        ))}
      </Rows>
    </Stack>
  )
}
