import { useQuery, useQueryClient, type QueryClient } from '@tanstack/react-query'
import { createContext, useCallback, useContext, useEffect, useMemo, useState, type ReactNode } from 'react'
import { DEFAULT_SETTINGS, settingsOf, type Settings } from '../../core/household/settings.ts'
import type { Content, Entry } from '../../core/journal/entry.ts'
import type { Journal } from '../../core/journal/journal.ts'
import { NowSinceEntry } from '../frame/now.tsx'
import type { Ports } from '../ports.ts'
import { useAsked, type Ask } from '../safety/useAsked.tsx'
import type { Recovered } from '../storage/journal-store.ts'
import type { Unreadable } from '../storage/read-segments.ts'
import { dropCountsOf } from '../storage/press-store.ts'
import { StorageRefusal, refusalOf } from '../storage/refusal.ts'
import {
  append,
  correctionOf,
  entriesOf,
  loadDefinitionsOf,
  loadSampleAfresh,
  merge,
  openJournal,
  rememberHeld,
  strikeOf,
  type Opened,
} from './opened.ts'
import { oneKeeping } from './one-keeping.ts'
import { rememberShown, shownLast, type Which } from './which.ts'

/** The open journal as of its latest entry: a new object each time something is kept. */
interface Snapshot {
  opened: Opened
  revision: number
}

const key = (which: Which) => ['journal', which] as const

const snapshot = (opened: Opened): Snapshot => ({ opened, revision: opened.journal.revision })

const PortsContext = createContext<Ports | null>(null)
interface Shown {
  which: Which
  /** Whether the keeper has chosen between the sample and an own household: on the very first visit they have not. */
  isChosen: boolean
  show: (which: Which) => void
}
const ShownContext = createContext<Shown | null>(null)

const SHOWN = ['shown'] as const

export function JournalProvider({ ports, children }: { ports: Ports; children: ReactNode }) {
  const client = useQueryClient()
  // Read from where the journals are; a browser that never answers opens nothing else either, and that is said there.
  const { data: chosen } = useQuery({ queryKey: SHOWN, queryFn: shownLast, staleTime: Infinity, gcTime: Infinity })
  const show = useCallback(
    (next: Which) => {
      client.setQueryData(SHOWN, next)
      void rememberShown(next)
    },
    [client],
  )
  const shown = useMemo(
    () => (chosen === undefined ? null : { which: chosen ?? ('sample' as const), isChosen: chosen !== null, show }),
    [chosen, show],
  )
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
/** Which journal is shown; null while that is being read. */
export const useShownSoon = () => useContext(ShownContext)
export const usePorts = () => need(useContext(PortsContext))

/**
 * The journal that is shown, while it opens and after.
 * @returns the query, and how many entries were written again after the browser had cleared them (null for none)
 */
export function useOpening() {
  const shown = useShownSoon()
  const which = shown?.which ?? 'sample'
  const ports = usePorts()
  const client = useQueryClient()
  const query = useQuery({
    queryKey: key(which),
    enabled: shown !== null,
    queryFn: async () => snapshot(await openJournal(which, ports)),
    staleTime: Infinity,
    gcTime: Infinity,
    retry: false,
    // Re-reading is by hand: what other tabs do arrives by itself.
    refetchOnWindowFocus: false,
    refetchOnReconnect: false,
  })
  const store = query.data?.opened.store
  const [restored, setRestored] = useState<number | null>(null)
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | null = null
    const showArrived = () => {
      timer = null
      client.setQueryData<Snapshot>(key(which), (known) => known && snapshot(known.opened))
    }
    const stop = store?.subscribe((arrival) => {
      // Read again with the page as it stands: what is half typed on it stays.
      if (arrival.kind === 'replaced') void client.invalidateQueries({ queryKey: key(which) })
      else if (arrival.kind === 'restored') setRestored(arrival.count)
      else
        // The journal has heard of it already, from the same store: it takes the entries in once their courses are known.
        void loadDefinitionsOf(arrival.entries)
          .catch(() => {})
          .then(() => (timer ??= setTimeout(showArrived, ARRIVALS_MS)))
    })
    return () => {
      clearTimeout(timer ?? undefined)
      stop?.()
    }
  }, [store, client, which])
  return { ...query, restored, dismissRestored: () => setRestored(null) }
}

/** What other tabs write is drawn together, not entry by entry, ms. */
const ARRIVALS_MS = 60

/** Everything a screen reads and does. */
export interface Household {
  which: Which
  journal: Journal
  settings: Settings
  /** Rises with every entry: what is worked out from the journal depends on it. */
  revision: number
  /** Stored values that could not be read as entries: they stay where they are until they are mended. */
  unreadable: readonly Unreadable[]
  /** Puts entries in place of a stored value that could not be read. @throws StorageRefusal */
  mend: (unreadable: Unreadable, instead: readonly Entry[]) => Promise<Entry[]>
  /** What was half done when the browser was closed, and what became of it. */
  recovered: Recovered | null
  /** How many entries the browser has cleared since the journal was last open. */
  clearedEntries: number
  /** Asks about what is about to be kept, where its water speaks against it; null where the keeper goes back. */
  ask: Ask
  /** Keeps what happened, unasked. Resolves once it is on disk. @throws StorageRefusal, and then nothing was kept */
  keep: (contents: readonly Content[]) => Promise<Entry[]>
  correct: (id: string, content: Content) => Promise<Entry[]>
  strike: (id: string, why?: string) => Promise<Entry[]>
  /** Keeps entries that are stamped already. @throws StorageRefusal, and then nothing was kept */
  keepEntries: (entries: readonly Entry[]) => Promise<Entry[]>
  /** Takes many entries in as they are: an import. */
  takeIn: (entries: readonly Entry[]) => Promise<Entry[]>
  /** Puts other entries in place of the whole journal, given what is on disk: another tab's entries too. */
  replaceAll: (make: (onDisk: Entry[]) => readonly Entry[] | Promise<readonly Entry[]>) => Promise<void>
  /** Loads the sample afresh, and shows it. */
  refreshSample: () => Promise<void>
}

const HouseholdContext = createContext<Household | null>(null)

/** The household of the open journal. Only below HouseholdProvider, which waits until it is open. */
export const useHousehold = () => need(useContext(HouseholdContext))

async function write(client: QueryClient, opened: Opened, entries: readonly Entry[]): Promise<Entry[]> {
  try {
    await append(opened, entries)
  } catch (error) {
    throw error instanceof StorageRefusal ? error : refusalOf(error)
  }
  client.setQueryData<Snapshot>(key(opened.which), (known) => {
    // The journal may have been read again while this was written: then that one takes it in as well.
    const current = known?.opened ?? opened
    if (current !== opened) current.journal.add(entries)
    return snapshot(current)
  })
  return [...entries]
}

const keepings = new WeakMap<Journal, ReturnType<typeof oneKeeping>>()

/** The lock of a journal's keeping, the same for every form of the page. */
function once({ journal }: Opened): ReturnType<typeof oneKeeping> {
  const known = keepings.get(journal)
  if (known) return known
  const made = oneKeeping()
  keepings.set(journal, made)
  return made
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
  const { ask, dialog } = useAsked(opened.journal)
  const value = useMemo((): Household => {
    const { which, journal, store, unreadable, recovered, clearedEntries } = opened
    const put = (entries: readonly Entry[]) => once(opened)(entries, () => write(client, opened, entries))
    return {
      which,
      journal,
      revision,
      unreadable,
      recovered,
      clearedEntries,
      settings: settingsOf(journal) ?? DEFAULT_SETTINGS,
      ask,
      keep: (contents) => put(entriesOf(journal, contents)),
      correct: (id, content) => put([correctionOf(journal, id, content)]),
      strike: (id, why) => put([strikeOf(journal, id, why)]),
      keepEntries: put,
      async mend(unread, instead) {
        await store.mend(unread, instead)
        await loadDefinitionsOf(instead)
        journal.add(instead)
        client.setQueryData<Snapshot>(
          key(which),
          snapshot({ ...opened, unreadable: unreadable.filter((one) => one !== unread) }),
        )
        return [...instead]
      },
      async takeIn(entries) {
        const written = await merge(opened, entries)
        client.setQueryData<Snapshot>(key(which), snapshot(opened))
        return written
      },
      async replaceAll(make) {
        await store.replace(make)
        await dropCountsOf(which)
        if (which === 'mine') rememberHeld(0)
        await client.invalidateQueries({ queryKey: key(which) })
      },
      async refreshSample() {
        await loadSampleAfresh(ports)
        await client.invalidateQueries({ queryKey: key('sample') })
        show('sample')
      },
    }
  }, [opened, revision, client, ports, show, ask])
  return (
    <HouseholdContext.Provider value={value}>
      <NowSinceEntry newest={opened.journal.newestLogged}>
        {children}
        {dialog}
      </NowSinceEntry>
    </HouseholdContext.Provider>
  )
}
