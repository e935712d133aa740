import { useQuery, useQueryClient, type QueryClient } from '@tanstack/react-query'
import { createContext, useCallback, useContext, useEffect, useMemo, useState, type ReactNode } from 'react'
import { METRIC, settingsOf, type Settings } from '../../core/household/settings.ts'
import type { Content, Entry } from '../../core/journal/entry.ts'
import type { Journal } from '../../core/journal/journal.ts'
import { zoneClock } from '../../core/time/zone.ts'
import type { Ports } from '../ports.ts'
import { StorageRefusal, refusalOf } from '../storage/refusal.ts'
import { append, correctionOf, entriesOf, loadSampleAfresh, openJournal, strikeOf, type Opened } from './opened.ts'
import { rememberShown, shownLast, type Which } from './which.ts'

/** The open journal as of its latest entry: a new object each time something is kept. */
interface Snapshot {
  opened: Opened
  revision: number
}

const key = (which: Which) => ['journal', which] as const

const snapshot = (opened: Opened): Snapshot => ({ opened, revision: opened.journal.revision })

const PortsContext = createContext<Ports | null>(null)
const ShownContext = createContext<{ which: Which; show: (which: Which) => void } | null>(null)

export function JournalProvider({ ports, children }: { ports: Ports; children: ReactNode }) {
  const [which, setWhich] = useState(shownLast)
  const show = useCallback((next: Which) => {
    rememberShown(next)
    setWhich(next)
  }, [])
  const shown = useMemo(() => ({ which, show }), [which, show])
  return (
    <PortsContext.Provider value={ports}>
      <ShownContext.Provider value={shown}>{children}</ShownContext.Provider>
    </PortsContext.Provider>
  )
}

function need<T>(value: T | null): T {
  if (value === null) throw new Error('used outside JournalProvider')
  return value
}

/** Which journal is shown, and showing the other. */
export const useShown = () => need(useContext(ShownContext))
export const usePorts = () => need(useContext(PortsContext))

/** The journal that is shown, while it opens and after. */
export function useOpening() {
  const { which } = useShown()
  const ports = usePorts()
  const client = useQueryClient()
  const query = useQuery({
    queryKey: key(which),
    queryFn: async () => snapshot(await openJournal(which, ports)),
    staleTime: Infinity,
    gcTime: Infinity,
    retry: false,
    // Re-reading is by hand: what other tabs do arrives by itself.
    refetchOnWindowFocus: false,
    refetchOnReconnect: false,
  })
  const store = query.data?.opened.store
  useEffect(
    () =>
      store?.subscribe((arrival) => {
        if (arrival.kind === 'replaced') void client.resetQueries({ queryKey: key(which) })
        else
          client.setQueryData<Snapshot>(key(which), (known) => {
            known?.opened.journal.add(arrival.entries)
            return known && snapshot(known.opened)
          })
      }),
    [store, client, which],
  )
  return query
}

/** Everything a screen reads and does. */
export interface Household {
  which: Which
  journal: Journal
  settings: Settings
  /** Rises with every entry: what is worked out from the journal depends on it. */
  revision: number
  unreadable: number
  /** Keeps what happened. Resolves once it is on disk. @throws StorageRefusal, and then nothing was kept */
  keep: (contents: readonly Content[]) => Promise<Entry[]>
  correct: (id: string, content: Content) => Promise<Entry[]>
  strike: (id: string, why?: string) => Promise<Entry[]>
  /** Takes entries in as they are: an import. */
  takeIn: (entries: readonly Entry[]) => Promise<Entry[]>
  /** Puts these entries in place of the whole journal. */
  replaceAll: (entries: readonly Entry[]) => Promise<void>
  /** Loads the sample afresh, and shows it. */
  refreshSample: () => Promise<void>
}

const HouseholdContext = createContext<Household | null>(null)

/** The household of the open journal. Only below HouseholdProvider, which waits until it is open. */
export const useHousehold = () => need(useContext(HouseholdContext))

const UNSET: Settings = { timeZone: 'UTC', units: METRIC, clock: zoneClock('UTC') }

async function write(client: QueryClient, opened: Opened, entries: readonly Entry[]): Promise<Entry[]> {
  try {
    await append(opened, entries)
  } catch (error) {
    throw error instanceof StorageRefusal ? error : refusalOf(error)
  }
  client.setQueryData<Snapshot>(key(opened.which), snapshot(opened))
  return [...entries]
}

export function HouseholdProvider({
  snapshot: { opened, revision },
  children,
}: {
  snapshot: Snapshot
  children: ReactNode
}) {
  const client = useQueryClient()
  const ports = usePorts()
  const { show } = useShown()
  const value = useMemo((): Household => {
    const { which, journal, store, unreadable } = opened
    const put = (entries: readonly Entry[]) => write(client, opened, entries)
    return {
      which,
      journal,
      revision,
      unreadable,
      settings: settingsOf(journal) ?? UNSET,
      keep: (contents) => put(entriesOf(contents)),
      correct: (id, content) => put([correctionOf(id, content)]),
      strike: (id, why) => put([strikeOf(id, why)]),
      takeIn: put,
      async replaceAll(entries) {
        await store.replace(entries)
        await client.resetQueries({ queryKey: key(which) })
      },
      async refreshSample() {
        await loadSampleAfresh(ports)
        await client.resetQueries({ queryKey: key('sample') })
        show('sample')
      },
    }
  }, [opened, revision, client, ports, show])
  return <HouseholdContext.Provider value={value}>{children}</HouseholdContext.Provider>
}
