import { lazy, Suspense, useEffect, useRef, useState, type ReactNode } from 'react'
import { RouterProvider as AriaRouter } from 'react-aria-components'
import {
  NavigationType,
  Outlet,
  useHref,
  useLocation,
  useNavigate,
  useNavigationType,
  useSearchParams,
} from 'react-router'
import { styled } from 'styled-components'
import { devicesOf } from '../../core/household/devices.ts'
import { hasLiveRun } from '../../core/arrivals/run/live.ts'
import { settingsOf } from '../../core/household/settings.ts'
import { hasMetAmmonia } from '../../core/safety/met-ammonia.ts'
import { hasMetCopper } from '../../core/safety/met-copper.ts'
import { HouseholdProvider, useHousehold, useOpening, useShownSoon } from '../journal/provider.tsx'
import { Small } from '../look/text.ts'
import { Header } from './Header.tsx'
import { LogLine } from './LogLine.tsx'
import { useNow } from './now.tsx'
import { useShortcuts } from './shortcuts.ts'
import { Boundary } from './boundary/Boundary.tsx'
import { logLineDraft } from '../fields/draft.ts'

const FirstRun = lazy(async () => ({ default: (await import('../screens/first-run/FirstRun.tsx')).FirstRun }))
const Welcome = lazy(async () => ({ default: (await import('../screens/first-run/Welcome.tsx')).Welcome }))
const OpenBench = lazy(async () => ({ default: (await import('../bench/OpenBench.tsx')).OpenBench }))
const DeviceBar = lazy(async () => ({ default: (await import('../devices/DeviceBar.tsx')).DeviceBar }))
const AmmoniaBar = lazy(async () => ({ default: (await import('../safety/AmmoniaBar.tsx')).AmmoniaBar }))
const CopperBar = lazy(async () => ({ default: (await import('../safety/CopperBar.tsx')).CopperBar }))
const OpeningNotes = lazy(async () => ({ default: (await import('./opening/OpeningNotes.tsx')).OpeningNotes }))
const Restored = lazy(async () => ({ default: (await import('./opening/Restored.tsx')).Restored }))
const ClockWarning = lazy(async () => ({ default: (await import('./opening/ClockWarning.tsx')).ClockWarning }))
const CannotOpen = lazy(async () => ({ default: (await import('./opening/CannotOpen.tsx')).CannotOpen }))
const SlowBrowser = lazy(async () => ({ default: (await import('./opening/SlowBrowser.tsx')).SlowBrowser }))
const RunBar = lazy(async () => ({ default: (await import('../arrivals/RunBar.tsx')).RunBar }))
const ShortcutList = lazy(async () => ({ default: (await import('./ShortcutList.tsx')).ShortcutList }))

const Layout = styled.div`
  height: 100dvh;
  display: grid;
  grid-template-rows: auto minmax(0, 1fr) auto;
`

const Main = styled.main`
  min-height: 0;
  overflow: auto;
  outline: none;
`

const Waiting = styled.div`
  padding: 40px 24px;
  max-width: 640px;
`

const Loading = () => (
  <Waiting role="status">
    <Small>Opening …</Small>
  </Waiting>
)

/** A browser's storage that has not answered for so long is held up by something. */
const SLOW_MS = 8000

/** While the journal opens; where the browser does not answer, what may hold it up. */
function Opening({ onRetry }: { onRetry: () => void }) {
  const [isSlow, setSlow] = useState(false)
  useEffect(() => {
    const timer = setTimeout(() => setSlow(true), SLOW_MS)
    return () => clearTimeout(timer)
  }, [])
  return isSlow ? (
    <Suspense fallback={<Loading />}>
      <SlowBrowser seconds={SLOW_MS / 1000} onRetry={onRetry} />
    </Suspense>
  ) : (
    <Loading />
  )
}

/** What stands round every screen: the header, the log line, and the journal that both read. */
export function Frame() {
  const navigate = useNavigate()
  const opening = useOpening()
  const shown = useShownSoon()
  const { pathname } = useLocation()
  if (shown === null) return <Opening onRetry={() => window.location.reload()} />
  if (!shown.isChosen && pathname === '/')
    return (
      <AriaRouter navigate={(path) => void navigate(path)} useHref={useHref}>
        <Suspense fallback={<Loading />}>
          <Welcome onChoose={shown.show} />
        </Suspense>
      </AriaRouter>
    )
  if (opening.isPending) return <Opening onRetry={() => window.location.reload()} />
  if (opening.isError)
    return (
      <Suspense fallback={<Loading />}>
        <CannotOpen
          error={opening.error}
          onRetry={() => void opening.refetch()}
          onSample={shown.which === 'mine' ? () => shown.show('sample') : null}
        />
      </Suspense>
    )
  return (
    <AriaRouter navigate={(path) => void navigate(path)} useHref={useHref}>
      <HouseholdProvider snapshot={opening.data}>
        <Inside
          notices={
            opening.restored === null ? null : (
              <Suspense fallback={null}>
                <Restored count={opening.restored} onDismiss={opening.dismissRestored} />
              </Suspense>
            )
          }
        />
      </HouseholdProvider>
    </AriaRouter>
  )
}

/** A clock this far behind the newest entry has been set back, or is wrong. */
const CLOCK_BACK_MS = 60_000

/**
 * Moves the focus to a new screen's content, so that the keyboard and a screen reader start there, and the eye at its top;
 * on the way back it is found where it was left.
 * @returns what to call when the content is scrolled
 */
function useNewScreen(main: React.RefObject<HTMLElement | null>): () => void {
  const { pathname, key, hash } = useLocation()
  const isBack = useNavigationType() === NavigationType.Pop
  const before = useRef(pathname)
  const left = useRef(new Map<string, number>())
  useEffect(() => {
    if (before.current === pathname) return
    before.current = pathname
    main.current?.focus({ preventScroll: true })
    // A place within the screen is gone to by the screen itself.
    if (hash === '') main.current?.scrollTo({ top: isBack ? (left.current.get(key) ?? 0) : 0 })
  }, [pathname, key, hash, isBack, main])
  return () => left.current.set(key, main.current!.scrollTop)
}

/** A procedure under way has the whole screen: nothing is typed at its foot. */
const isAtBench = (pathname: string) => /^\/bench\/(?!begin\/)/.test(pathname)

function Inside({ notices }: { notices: ReactNode }) {
  const { journal, which, recovered, unreadable } = useHousehold()
  const [showKeys, setShowKeys] = useState(false)
  const main = useRef<HTMLElement>(null)
  useShortcuts({ showKeys: () => setShowKeys(true) })
  const onScroll = useNewScreen(main)
  const { pathname } = useLocation()
  const isSetUp = settingsOf(journal) !== null
  const now = useNow()
  const newest = journal.newestLogged === null ? -Infinity : Date.parse(journal.newestLogged)
  // Where something that the journal holds breaks what is worked out from it, nothing is worked out, and it can be carried out all the same.
  const isSafe = useSearchParams()[0].has('safe')
  const bars: [name: string, isShown: () => boolean, bar: ReactNode][] = [
    ['Notes on opening', () => recovered !== null || unreadable.length > 0, <OpeningNotes key={which} />],
    ['The clock’s warning', () => newest - now > CLOCK_BACK_MS, <ClockWarning key="clock" newest={newest} />],
    ['Copper that stays in things', () => hasMetCopper(journal), <CopperBar key="copper" />],
    ['Ammonia', () => hasMetAmmonia(journal), <AmmoniaBar key="ammonia" />],
    ['The open bench', () => journal.ofKind('bench-start').length > 0, <OpenBench key="bench" />],
    ['Devices', () => devicesOf(journal).length > 0, <DeviceBar key="devices" />],
    ['The running acclimation', () => hasLiveRun(journal), <RunBar key="run" />],
  ]
  return (
    <Layout>
      <div>
        <Boundary name="The header" extent="part" drafts="none" resets={[pathname]}>
          <Header />
        </Boundary>
        {notices}
        {!isSafe &&
          bars.map(([name, isShown, bar]) => (
            <Boundary key={name} name={name} extent="part" drafts="none" resets={[pathname, journal.revision]}>
              <Shown when={isShown}>
                <Suspense fallback={null}>{bar}</Suspense>
              </Shown>
            </Boundary>
          ))}
      </div>
      <Main ref={main} tabIndex={-1} onScroll={onScroll}>
        <Boundary name="This screen" extent="screen" resets={[pathname, which]}>
          <Suspense fallback={<Loading />}>{isSetUp ? <Outlet /> : <FirstRun />}</Suspense>
        </Boundary>
      </Main>
      {isSetUp && !isSafe && !isAtBench(pathname) ? (
        <Boundary key={which} name="The log line" extent="part" drafts={[logLineDraft(which)]}>
          <LogLine onShowKeys={() => setShowKeys(true)} />
        </Boundary>
      ) : (
        <div />
      )}
      {showKeys && (
        <Suspense fallback={null}>
          <ShortcutList onClose={() => setShowKeys(false)} />
        </Suspense>
      )}
    </Layout>
  )
}

/** Asks inside a boundary whether something is to be shown: the question may break as well as its answer. */
const Shown = ({ when, children }: { when: () => boolean; children: ReactNode }) => (when() ? children : null)
