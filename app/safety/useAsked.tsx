import { lazy, Suspense, useCallback, useRef, useState, type ReactNode } from 'react'
import type { Content } from '../../core/journal/entry.ts'
import type { Journal } from '../../core/journal/journal.ts'
import { isGuarded } from '../../core/safety/guarded-kinds.ts'
import { thisInstant } from '../frame/now.tsx'
import { loadGuard } from './guard-when-idle.ts'

const GuardDialog = lazy(() => import('./GuardDialog.tsx').then((module) => ({ default: module.GuardDialog })))

interface Asked {
  contents: readonly Content[]
  answer: (contents: readonly Content[] | null) => void
}

/** Asks about contents before they are kept. Resolves with them and what was set aside of each; null where the keeper goes back. */
export type Ask = (contents: readonly Content[]) => Promise<readonly Content[] | null>

/**
 * The one door before the journal: whatever is about to be kept, from whichever form, is held against the water it goes into. What was
 * answered beside its own form already is not asked again.
 * @returns the question, and the dialog to put on the page
 */
export function useAsked(journal: Journal): { ask: Ask; dialog: ReactNode } {
  const [asked, setAsked] = useState<Asked | null>(null)
  const isAsking = useRef(false)
  const ask = useCallback<Ask>(
    async (contents) => {
      if (!contents.some(isGuarded)) return contents
      // One question at a time: a press beside it is a slip of the finger.
      if (isAsking.current) return null
      const { doubtsOf } = await loadGuard()
      const isOpen = doubtsOf(journal, contents, { now: thisInstant() }).some(({ doubt }) => doubt.asks.length > 0)
      if (!isOpen) return contents
      isAsking.current = true
      return new Promise((resolve) => {
        setAsked({
          contents,
          answer: (answered) => {
            isAsking.current = false
            setAsked(null)
            resolve(answered)
          },
        })
      })
    },
    [journal],
  )
  const dialog = asked && (
    <Suspense fallback={null}>
      <GuardDialog contents={asked.contents} onAnswered={asked.answer} onCancel={() => asked.answer(null)} />
    </Suspense>
  )
  return { ask, dialog }
}
