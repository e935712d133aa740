import { registerSW } from 'virtual:pwa-register'

/**
 * Lets the app open with the network off after its first load. Missing on plain http from another machine and in
 * development: the app then works while its server does, and Records says so.
 */
export function startOffline(): void {
  if (!('serviceWorker' in navigator) || import.meta.env.DEV) return
  const update = registerSW({
    immediate: true,
    // A new version takes over on the next visit, never under a keeper's hands.
    onNeedRefresh: () => window.addEventListener('pagehide', () => void update(false), { once: true }),
  })
}
