import { createContext, useContext, useEffect, useState, type ReactNode } from 'react'
import { MS_PER_MINUTE } from '../../core/time/zone.ts'

const NowContext = createContext(0)

/**
 * The present, ms since 1970: as of the last full minute or the newest entry, so that no entry kept here lies ahead of
 * it. What a keeper does is stamped with the exact time, not with this.
 */
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

/**
 * Moves the present up to the newest entry for all that is shown inside: an entry kept since the last full minute would
 * otherwise lie ahead.
 * @param newest when the newest entry was logged; null for an empty journal. More than a minute ahead it was written by
 *   another clock and is left out.
 */
export function NowSinceEntry({ newest, children }: { newest: string | null; children: ReactNode }) {
  const minute = useNow()
  const logged = newest === null ? minute : Date.parse(newest)
  const isOfThisMinute = logged > minute && logged - minute <= MS_PER_MINUTE
  return <NowContext.Provider value={isOfThisMinute ? logged : minute}>{children}</NowContext.Provider>
}

/** The exact present, for what is stamped or checked the moment a keeper acts. */
export const thisInstant = (): number => Date.now()
