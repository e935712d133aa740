import { createContext, useContext, useEffect, useState, type ReactNode } from 'react'
import { MS_PER_MINUTE } from '../../core/time/zone.ts'

const NowContext = createContext(0)

/** The present, to the minute. What a keeper does is stamped with the exact time, not with this. */
export const useNow = () => useContext(NowContext)

export function NowProvider({ children }: { children: ReactNode }) {
  const [now, setNow] = useState(() => Date.now())
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout>
    const tick = () => {
      setNow(Date.now())
      timer = setTimeout(tick, MS_PER_MINUTE - (Date.now() % MS_PER_MINUTE) + 20)
    }
    timer = setTimeout(tick, MS_PER_MINUTE - (Date.now() % MS_PER_MINUTE) + 20)
    // A phone that slept past midnight shows the right day at once.
    const wake = () => document.visibilityState === 'visible' && setNow(Date.now())
    document.addEventListener('visibilitychange', wake)
    return () => {
      clearTimeout(timer)
      document.removeEventListener('visibilitychange', wake)
    }
  }, [])
  return <NowContext.Provider value={now}>{children}</NowContext.Provider>
}

/** The exact present, for what is stamped or checked the moment a keeper acts. */
export const thisInstant = (): number => Date.now()
