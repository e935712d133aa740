import { useEffect } from 'react'
import { ring } from './ring.ts'

/** Rings again so often while something stays undone. */
const AGAIN_MS = 15_000

/**
 * Rings when something falls due, again and again until it is done, and at once when the page is looked at again.
 * @param due names what is due; null while nothing is
 */
export function useRing(due: string | null): void {
  useEffect(() => {
    if (due === null) return
    ring()
    const again = setInterval(ring, AGAIN_MS)
    const back = () => document.visibilityState === 'visible' && ring()
    document.addEventListener('visibilitychange', back)
    return () => {
      clearInterval(again)
      document.removeEventListener('visibilitychange', back)
    }
  }, [due])
}
