import { useCallback, useEffect, useMemo, useRef, useState } from 'react'
import { newId } from '../journal/opened.ts'
import { openPressStore, type Pressed } from '../storage/press-store.ts'
import { refusalOf, type StorageRefusal } from '../storage/refusal.ts'

const NOTHING: Pressed = { presses: '', entryId: '' }

export interface Presses {
  presses: string
  /** Of the entry that these presses become: kept under it twice, it is one entry. */
  entryId: string
  /** A press is still on its way to the disk. */
  isPending: boolean
  /** Why the last press was not kept; null where it was. */
  refusal: StorageRefusal | null
  change: (change: (before: string) => string) => void
  /** The presses have become an entry. */
  forget: () => void
}

/**
 * The presses of a count, on disk before they are shown.
 * @param name of the count with what it is about
 * @param isKept whether an entry of that id is in the journal: presses that became one before the browser was closed are not shown again
 */
export function usePresses(name: string, isKept: (entryId: string) => boolean): Presses {
  const store = useMemo(() => openPressStore(name, newId), [name])
  const [shown, setShown] = useState<Pressed>(NOTHING)
  const [isPending, setPending] = useState(false)
  const [refusal, setRefusal] = useState<StorageRefusal | null>(null)
  const waiting = useRef<((before: string) => string)[]>([])
  const isWriting = useRef(false)
  const kept = useRef(isKept)
  useEffect(() => {
    kept.current = isKept
  }, [isKept])
  useEffect(() => {
    let isGone = false
    void store
      .read()
      .then(async (found) => {
        if (found && kept.current(found.entryId)) await store.drop(found.entryId)
        else if (found && !isGone) setShown(found)
      })
      .catch(() => {
        // A browser that keeps nothing says so with the first press.
      })
    return () => {
      isGone = true
    }
  }, [store])
  const change = useCallback(
    (one: (before: string) => string) => {
      waiting.current.push(one)
      if (isWriting.current) return
      isWriting.current = true
      setPending(true)
      void (async () => {
        // Presses come faster than a disk: what came meanwhile is written together.
        while (waiting.current.length > 0) {
          const together = waiting.current
          waiting.current = []
          try {
            setShown(await store.change(together))
            setRefusal(null)
          } catch (error) {
            setRefusal(refusalOf(error))
          }
        }
        isWriting.current = false
        setPending(false)
      })()
    },
    [store],
  )
  const forget = useCallback(() => {
    setShown(NOTHING)
    void store.drop(shown.entryId)
  }, [store, shown.entryId])
  return { ...shown, isPending, refusal, change, forget }
}
