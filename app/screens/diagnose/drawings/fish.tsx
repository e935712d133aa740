import type { ReactNode } from 'react'
import { ink, thin } from './strokes.ts'

/** The outline of a fish, 120 × 80, head to the left. */
export const BODY = 'M12 41 C24 17 66 13 92 36 L112 20 C108 34 108 48 112 62 L92 47 C68 70 26 66 12 41 Z'

/** A fish seen from the side, with what is drawn on it. */
export function FishShape({ children, dimmed = false }: { children?: ReactNode; dimmed?: boolean }) {
  return (
    <g opacity={dimmed ? 0.55 : 1}>
      <path d={BODY} {...ink} fill="var(--sheet)" />
      <path d="M42 20 C50 6 70 7 78 24" {...ink} />
      <path d="M48 62 C54 74 64 74 68 61" {...ink} />
      <circle cx="27" cy="36" r="3.4" {...ink} />
      <circle cx="27" cy="36" r="1.4" fill="var(--ink)" />
      <path d="M40 27 C46 35 46 46 40 55" {...ink} />
      <path d="M12 41 C16 43 18 43 21 42" {...thin} />
      <path d="M50 44 C57 40 60 48 53 51" {...thin} />
      {children}
    </g>
  )
}
