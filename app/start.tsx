import './look/base.css'
import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { StrictMode } from 'react'
import { createRoot } from 'react-dom/client'
import { NowProvider } from './frame/now.tsx'
import { AppRoutes } from './frame/routes.tsx'
import { JournalProvider } from './journal/provider.tsx'
import { startLook } from './look/look.ts'
import { guardPresses } from './frame/one-press.ts'
import type { Ports } from './ports.ts'
import { whenIdle } from './frame/when-idle.ts'
import { offerCore } from './worker/script.ts'
import { makeWritesStrict } from './storage/durability.ts'

/** Puts the app on the page. */
export function startApp(root: HTMLElement, ports: Ports): void {
  startLook()
  makeWritesStrict()
  guardPresses(document)
  const client = new QueryClient()
  createRoot(root).render(
    <StrictMode>
      <QueryClientProvider client={client}>
        <JournalProvider ports={ports}>
          <NowProvider>
            <AppRoutes />
          </NowProvider>
        </JournalProvider>
      </QueryClientProvider>
    </StrictMode>,
  )
  offerCore()
  // The copy for the time without a network is nothing that the first view waits for.
  whenIdle(() => void import('./frame/offline.ts').then(({ startOffline }) => startOffline()))
}
