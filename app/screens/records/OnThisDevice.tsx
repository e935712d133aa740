import { useQuery, useQueryClient } from '@tanstack/react-query'
import { photosOf } from '../../journal/opened.ts'
import { useHousehold } from '../../journal/provider.tsx'
import { Button } from '../../look/buttons.ts'
import { Bar, Facts, Heading, Small, Stack } from '../../look/text.ts'
import type { Which } from '../../journal/which.ts'
import { hasLocks } from '../../storage/locks.ts'
import { fixed, listed } from '../../../core/words/numbers.ts'

const MB = 1_000_000

interface Device {
  usedMb: number | null
  roomMb: number | null
  isProtected: boolean | null
}

async function askDevice(): Promise<Device> {
  const storage = navigator.storage as StorageManager | undefined
  const estimate = await storage?.estimate?.()
  return {
    usedMb: estimate?.usage === undefined ? null : estimate.usage / MB,
    roomMb: estimate?.quota === undefined ? null : estimate.quota / MB,
    isProtected: (await storage?.persisted?.()) ?? null,
  }
}

/** What this page lacks when it is not opened securely, in words. */
function leftOut(): string[] {
  return [
    !hasLocks() && 'tidying up its storage',
    !('serviceWorker' in navigator) && 'opening with the network off',
    !('wakeLock' in navigator) && 'keeping the screen awake',
  ].filter((word): word is string => word !== false)
}

/** The ids of the pictures that are on this device. */
function usePhotosHere(which: Which, revision: number): ReadonlySet<string> | undefined {
  const { data } = useQuery({
    queryKey: ['photos-here', which, revision],
    queryFn: async () => new Set(await photosOf(which).ids()),
  })
  return data
}

/** Where the journal lies, how much room it takes, and whether the browser may throw it away. */
export function OnThisDevice() {
  const { journal, which, revision } = useHousehold()
  const photos = usePhotosHere(which, revision)
  const named = journal.ofKind('photo')
  const films = journal.ofKind('clip')
  const missing = named.filter(({ content }) => photos !== undefined && !photos.has(content.photoId)).length
  const client = useQueryClient()
  const { data } = useQuery({ queryKey: ['device', revision], queryFn: askDevice })
  const protect = async () => {
    await navigator.storage.persist()
    await client.invalidateQueries({ queryKey: ['device'] })
  }
  const lacking = leftOut()
  return (
    <Stack $gap={12}>
      <Heading>On this device</Heading>
      <Facts>
        <div>
          <dt>entries</dt>
          <dd>{journal.size}</dd>
        </div>
        {named.length > 0 && (
          <div>
            <dt>photos</dt>
            <dd>
              {named.length}, {fixed(named.reduce((sum, { content }) => sum + content.bytes, 0) / MB, 1)} MB
              {missing > 0 && `; ${missing} not on this device`}
            </dd>
          </div>
        )}
        {films.length > 0 && (
          <div>
            <dt>clips, on this device only</dt>
            <dd>
              {films.length}, {fixed(films.reduce((sum, { content }) => sum + content.bytes, 0) / MB, 1)} MB
            </dd>
          </div>
        )}
        {data?.usedMb != null && (
          <div>
            <dt>storage used</dt>
            <dd>
              {fixed(data.usedMb, 1)} MB{data.roomMb != null && ` of ${fixed(data.roomMb, 0)}`}
            </dd>
          </div>
        )}
        {data?.isProtected != null && (
          <div>
            <dt>protected from clearing up</dt>
            <dd>{data.isProtected ? 'yes' : 'no'}</dd>
          </div>
        )}
      </Facts>
      {data?.isProtected === false && (
        <Stack $gap={8}>
          <Small>A browser short of room may clear pages it does not know to be important. Ask it not to.</Small>
          <div>
            <Button onPress={() => void protect()}>Protect the journal</Button>
          </div>
        </Stack>
      )}
      {lacking.length > 0 && (
        <Bar $tone="soon">
          Opened over plain http from another machine, the browser leaves out {listed(lacking)}. The journal works all
          the same.
        </Bar>
      )}
      <Small>
        The journal lies in this browser on this device, and nowhere else. Phone and laptop each have their own; an
        export from one brought into the other joins them.
      </Small>
    </Stack>
  )
}
