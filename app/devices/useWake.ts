import { useEffect, useSyncExternalStore } from 'react'
import { useQueryClient } from '@tanstack/react-query'
import { DEVICES_KEY } from './useDeviceList.ts'

/** A page that was out of sight for longer may have slept, ms. */
const SLEPT_MS = 60_000

let wakes = 0
let hiddenAt: number | null = null
const listeners = new Set<() => void>()

function wake(): void {
  wakes++
  for (const listener of listeners) listener()
}

let isWatching = false

/** Watches the page from the first listener on. */
function watch(listener: () => void): () => void {
  listeners.add(listener)
  if (!isWatching) {
    isWatching = true
    document.addEventListener('visibilitychange', () => {
      if (document.visibilityState === 'hidden') hiddenAt = Date.now()
      else if (hiddenAt !== null && Date.now() - hiddenAt > SLEPT_MS) wake()
    })
    window.addEventListener('online', wake)
    // Put away whole by the browser, and shown again.
    window.addEventListener('pageshow', (event) => event.persisted && wake())
  }
  return () => listeners.delete(listener)
}

/**
 * Counts how often the page has come back from sleep, or to the network: what the devices sent meanwhile is asked for then.
 * @returns 0 until the first time
 */
export function useWake(): number {
  const count = useSyncExternalStore(watch, () => wakes)
  const client = useQueryClient()
  useEffect(() => {
    if (count === 0) return
    void client.invalidateQueries({ queryKey: DEVICES_KEY })
    void client.invalidateQueries({ queryKey: ['pump'] })
  }, [count, client])
  return count
}
