import { useEffect, useRef, useState, type RefObject } from 'react'

/** Whether an element stands in the window; true where nobody can say. */
export function useInView<T extends Element>(): [RefObject<T | null>, boolean] {
  const element = useRef<T>(null)
  const [isSeen, setIsSeen] = useState(true)
  useEffect(() => {
    if (!element.current || typeof IntersectionObserver === 'undefined') return
    const observer = new IntersectionObserver(([entry]) => entry && setIsSeen(entry.isIntersecting))
    observer.observe(element.current)
    return () => observer.disconnect()
  }, [])
  return [element, isSeen]
}
