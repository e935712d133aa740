import { useLayoutEffect, useState, useSyncExternalStore, type RefObject } from 'react'

/** Width of an element in px, kept up to date; 0 before it is on the page. */
export function useWidth(ref: RefObject<HTMLElement | null>): number {
  const [width, setWidth] = useState(0)
  useLayoutEffect(() => {
    const element = ref.current
    if (!element) return
    setWidth(element.clientWidth)
    const observer = new ResizeObserver(() => setWidth(element.clientWidth))
    observer.observe(element)
    return () => observer.disconnect()
  }, [ref])
  return width
}

const narrow = () => window.matchMedia('(max-width: 759px)')

const listen = (changed: () => void) => {
  const query = narrow()
  query.addEventListener('change', changed)
  return () => query.removeEventListener('change', changed)
}

/** Whether the page is as narrow as a phone held upright. */
export const useIsPhone = (): boolean => useSyncExternalStore(listen, () => narrow().matches)
