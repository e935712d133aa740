import { lazy, Suspense, useState, type ReactNode } from 'react'
import { ErrorBoundary, type FallbackProps } from 'react-error-boundary'
import { putAsideDrafts, type Aside } from '../../fields/draft.ts'
import { Small } from '../../look/text.ts'

const Broke = lazy(async () => ({ default: (await import('./Broke.tsx')).Broke }))

/** A part of the page that may break by itself. */
export interface Part {
  /** As its heading has it. */
  name: string
  /** A whole screen, or a part of one that says in a bar what became of it. */
  extent: 'screen' | 'part'
  /** The drafts that it reads, which are put aside when it breaks: those of the open screen where nothing is said. */
  drafts?: readonly string[] | 'none'
  /** What it is drawn from: when one of these changes, it is drawn again. */
  resets?: unknown[]
}

/** Holds a fault of one part of the page inside that part: all round it goes on, and in its place stands what can be done. */
export function Boundary({ name, extent, drafts, resets, children }: Part & { children: ReactNode }) {
  const [aside, setAside] = useState<Aside[]>([])
  return (
    <ErrorBoundary
      resetKeys={resets}
      // Before it is drawn again: a draft that breaks a page would break it at every load.
      onError={() => drafts !== 'none' && setAside(putAsideDrafts(drafts))}
      fallbackRender={(fault: FallbackProps) => (
        <Suspense fallback={<Small>{name} cannot be shown.</Small>}>
          <Broke name={name} extent={extent} aside={aside} {...fault} />
        </Suspense>
      )}
    >
      {children}
    </ErrorBoundary>
  )
}
