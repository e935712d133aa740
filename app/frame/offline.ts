import { appBase } from './base.ts'

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
      // A new version takes over on the next visit, never under a keeper's hands.
      window.addEventListener('pagehide', () => registration?.waiting?.postMessage({ type: 'SKIP_WAITING' }), {
        once: true,
      })
    },
    () => {
      // Refused by the browser (private windows do): Brinvo works as long as its server answers.
    },
  )
}
