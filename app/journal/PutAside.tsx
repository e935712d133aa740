import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useNow } from '../frame/now.tsx'
import { PlainButton } from '../look/buttons.ts'
import { Line, Quiet, Rows, Stack } from '../look/text.ts'
import { copiesKept, dropCopy, type Copy } from '../storage/copies.ts'
import { downloadText } from '../storage/download.ts'
import { momentBeside } from '../../core/time/words.ts'
import { plural } from '../words/numbers.ts'
import { useKeeping, UnkeptNote } from './keeping.tsx'
import { useHousehold } from './provider.tsx'

export const COPIES = ['copies'] as const

/** Journals that were put aside before they were emptied, each to be brought back. */
export function PutAside() {
  const { journal, settings } = useHousehold()
  const { run, busy, unkept } = useKeeping()
  const client = useQueryClient()
  const now = useNow()
  const { data: copies = [] } = useQuery({ queryKey: COPIES, queryFn: copiesKept })
  const restore = (copy: Copy) =>
    run(async (household) => {
      const { readJournal } = await import('../../core/journal/read.ts')
      const read = readJournal({ text: copy.text })
      if (!read.ok || read.value.problems.length > 0)
        throw new Error('this copy cannot be read; save it as a file and keep it')
      return household.takeIn(read.value.entries.filter(({ id }) => journal.entry(id) === undefined))
    })
  const drop = async (copy: Copy) => {
    await dropCopy(copy.id)
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
              <PlainButton onPress={() => downloadText(`brinvo-put-aside-${copy.made.slice(0, 10)}.json`, copy.text)}>
                save as a file
              </PlainButton>
              <PlainButton onPress={() => void drop(copy)}>delete this copy</PlainButton>
            </Line>
          </li>
        ))}
      </Rows>
    </Stack>
  )
}
