import { useEffect, useState } from 'react'

export type Awake = 'awake' | 'refused' | 'missing'

/** Keeps the screen awake while a page is open; says when the device does not. */
export function useAwake(): Awake {
  const [awake, setAwake] = useState<Awake>('wakeLock' in navigator ? 'refused' : 'missing')
  useEffect(() => {
    if (!('wakeLock' in navigator)) return
    let lock: WakeLockSentinel | null = null
    let closed = false
    const ask = async () => {
      if (document.visibilityState !== 'visible') return
      try {
        lock = await navigator.wakeLock.request('screen')
        if (closed) return void lock.release()
        setAwake('awake')
        lock.addEventListener('release', () => setAwake('refused'))
      } catch {
        // A battery saver may refuse: it is said on the page.
        setAwake('refused')
      }
    }
    const again = () => void ask()
    again()
    // The browser lets go of it whenever the page is hidden.
    document.addEventListener('visibilitychange', again)
    return () => {
      closed = true
      document.removeEventListener('visibilitychange', again)
      void lock?.release()
    }
  }, [])
  return awake
}
