import { useEffect } from 'react'

/** Lets the browser ask before the page is closed while something has to be put back. */
export function useWarnOnLeaving(isOwed: boolean): void {
  useEffect(() => {
    if (!isOwed) return
    const ask = (event: BeforeUnloadEvent) => event.preventDefault()
    addEventListener('beforeunload', ask)
    return () => removeEventListener('beforeunload', ask)
  }, [isOwed])
}
