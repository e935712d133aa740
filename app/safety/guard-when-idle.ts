import { useEffect, useSyncExternalStore } from 'react'
import { whenIdle } from '../frame/when-idle.ts'

type Guard = typeof import('../../core/safety/guard.ts')

let guard: Guard | null = null
let failure: unknown
let isLoading = false
const listeners = new Set<() => void>()

/** Fetches what judges entries, and what its concerns are answered in. A later call tries again where an earlier one failed. */
export async function loadGuard(): Promise<Guard> {
  if (guard) return guard
  const [judging] = await Promise.all([import('../../core/safety/guard.ts'), import('./ConcernAnswer.tsx')])
  return (guard ??= judging)
}

/** What judges entries; null until it is here. */
export const guardNow = (): Guard | null => guard

function loadWhenIdle(): void {
  if (guard !== null || isLoading) return
  isLoading = true
  // The page may still move when its concerns come: journeys wait for it.
  document.documentElement.dataset['guard'] = 'loading'
  failure = undefined
  whenIdle(() => {
    loadGuard()
      .catch((error: unknown) => {
        failure = error
      })
      .finally(() => {
        isLoading = false
        delete document.documentElement.dataset['guard']
        for (const listener of listeners) listener()
      })
  })
}

function subscribe(listener: () => void): () => void {
  listeners.add(listener)
  return () => listeners.delete(listener)
}

/**
 * What judges entries: a large part of the core that the first view is not kept waiting for. Null until it is here; where it cannot be
 * fetched the error goes to the nearest boundary, as with any part of a screen.
 */
export function useGuard(): Guard | null {
  const here = useSyncExternalStore(subscribe, () => guard ?? failure)
  useEffect(loadWhenIdle, [])
  if (here !== undefined && here !== guard) throw failure
  return guard
}
