import { appBase } from './base.ts'
import { countOtherTabs, holdOpenTab, mayTakeOver } from './version-wait.ts'

/** How often it is looked whether other tabs are open, ms. */
const COUNT_MS = 5000

/**
 * Lets the app open with the network off after its first load. Missing on plain http from another machine and in
 * development: the app then works while its server does, and Records says so.
 */
export function startOffline(): void {
  const workers = navigator.serviceWorker as ServiceWorkerContainer | undefined
  if (!workers || import.meta.env.DEV) return
  const base = appBase()
  workers.register(new URL('sw.js', base), { scope: base.pathname }).then(
    // A browser that blocks service workers may answer with none.
    (registration: ServiceWorkerRegistration | undefined) => {
      if (!registration) return
      // A new version takes over between two visits, never under a keeper's hands. How many tabs are open is known beforehand: a page that is being left
      // cannot wait for an answer.
      let otherTabs = Infinity
      const count = () => void countOtherTabs().then((tabs) => (otherTabs = tabs))
      holdOpenTab()
      count()
      setInterval(count, COUNT_MS)
      document.addEventListener('visibilitychange', count)
      // A tab that opens says so; until it is counted it may be any number.
      const tabs = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('brinvo-tabs')
      tabs?.addEventListener('message', () => {
        otherTabs = Infinity
      })
      tabs?.postMessage('opened')
      window.addEventListener('pagehide', () => {
        if (registration.waiting && mayTakeOver(location.pathname, localStorage, Date.now(), otherTabs))
          registration.waiting.postMessage({ type: 'SKIP_WAITING' })
      })
    },
    () => {
      // Refused by the browser (private windows do): Brinvo works as long as its server answers.
    },
  )
}
