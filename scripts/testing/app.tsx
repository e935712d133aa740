import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { render } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import type { ReactNode } from 'react'
import { MemoryRouter } from 'react-router'
import { NowProvider } from '../../app/frame/now.tsx'
import { HouseholdProvider, JournalProvider, useOpening } from '../../app/journal/provider.tsx'
import { loadSampleAfresh } from '../../app/journal/opened.ts'
import { rememberShown } from '../../app/journal/which.ts'
import type { Ports } from '../../app/ports.ts'
import type { Content, Entry } from '../../core/journal/entry.ts'
import { scribe } from '../../core/journal/testing.ts'
import { METRIC } from '../../core/household/settings.ts'

/** The sample of a test: settings and whatever it needs. */
export function sampleOf(...contents: Content[]): Entry[] {
  const { record } = scribe()
  const settings: Content = {
    kind: 'household',
    happened: '2026-07-01T00:00:00Z',
    timeZone: 'Europe/Lisbon',
    units: METRIC,
  }
  return [settings, ...contents].map((content) => record(content))
}

function Opened({ children }: { children: ReactNode }) {
  const opening = useOpening()
  return opening.data ? (
    <HouseholdProvider snapshot={opening.data}>{children}</HouseholdProvider>
  ) : (
    <p>{opening.isError ? 'cannot open' : 'opening'}</p>
  )
}

/** Puts something of the app on a page, with a household of these entries open round it. */
export async function renderInHousehold(children: ReactNode, entries: Entry[], path = '/') {
  const ports = { buildSample: () => Promise.resolve(entries) }
  await rememberShown('sample')
  // Whatever an earlier test of the file left behind goes.
  await loadSampleAfresh(ports)
  return renderOpened(children, ports, path)
}

/** Puts something of the app on a page, with the household round it that was chosen on this device. */
export async function renderOpened(
  children: ReactNode,
  ports: Ports = { buildSample: () => Promise.resolve([]) },
  path = '/',
) {
  const user = userEvent.setup()
  const view = render(
    <MemoryRouter initialEntries={[path]}>
      <QueryClientProvider client={new QueryClient()}>
        <JournalProvider ports={ports}>
          <NowProvider>
            <Opened>{children}</Opened>
          </NowProvider>
        </JournalProvider>
      </QueryClientProvider>
    </MemoryRouter>,
  )
  await view.findByText((_, element) => element?.tagName === 'BODY' && !/^opening$/.test(element.textContent ?? ''))
  return { user, ...view }
}
