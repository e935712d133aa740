import { lazy, Suspense, useEffect, useRef, useState } from 'react'
import { RouterProvider as AriaRouter } from 'react-aria-components'
import { NavigationType, Outlet, useLocation, useNavigate, useNavigationType } from 'react-router'
import { styled } from 'styled-components'
import { hasLiveRun } from '../../core/arrivals/live.ts'
import { settingsOf } from '../../core/household/settings.ts'
import { HouseholdProvider, useHousehold, useOpening, useShown } from '../journal/provider.tsx'
import { Button } from '../look/buttons.ts'
import { Bar, Small, Stack, Title } from '../look/text.ts'
import { refusalOf } from '../storage/refusal.ts'
import { Header } from './Header.tsx'
import { LogLine } from './LogLine.tsx'
import { useShortcuts } from './shortcuts.ts'

const FirstRun = lazy(async () => ({ default: (await import('../screens/first-run/FirstRun.tsx')).FirstRun }))
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

const Opening = () => (
  <Waiting role="status">
    <Small>Opening …</Small>
  </Waiting>
)

/** What stands round every screen: the header, the log line, and the journal that both read. */
export function Frame() {
  const navigate = useNavigate()
  const opening = useOpening()
  const { which, show } = useShown()
  if (opening.isPending) return <Opening />
  if (opening.isError)
    return (
      <Waiting>
        <Stack>
          <Title>The journal cannot be opened</Title>
          <Bar $tone="act">{refusalOf(opening.error).message}</Bar>
          <p>Nothing was lost by this. A normal window with site data allowed, or another browser, opens it.</p>
          <div>
            <Button onPress={() => void opening.refetch()}>Try again</Button>{' '}
            {which === 'mine' && <Button onPress={() => show('sample')}>Show the sample household</Button>}
          </div>
        </Stack>
      </Waiting>
    )
  return (
    <AriaRouter navigate={(path) => void navigate(path)}>
      <HouseholdProvider snapshot={opening.data}>
        <Inside />
      </HouseholdProvider>
    </AriaRouter>
  )
}

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

function Inside() {
  const { journal } = useHousehold()
  const [showKeys, setShowKeys] = useState(false)
  const main = useRef<HTMLElement>(null)
  useShortcuts({ showKeys: () => setShowKeys(true) })
  const onScroll = useNewScreen(main)
  const isSetUp = settingsOf(journal) !== null
  return (
    <Layout>
      <div>
        <Header />
        {hasLiveRun(journal) && (
          <Suspense fallback={null}>
            <RunBar />
          </Suspense>
        )}
      </div>
      <Main ref={main} tabIndex={-1} onScroll={onScroll}>
        <Suspense fallback={<Opening />}>{isSetUp ? <Outlet /> : <FirstRun />}</Suspense>
      </Main>
      {isSetUp ? <LogLine onShowKeys={() => setShowKeys(true)} /> : <div />}
      {showKeys && (
        <Suspense fallback={null}>
          <ShortcutList onClose={() => setShowKeys(false)} />
        </Suspense>
      )}
    </Layout>
  )
}
