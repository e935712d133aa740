import type { ReactNode } from 'react'
import { keyframes, styled } from 'styled-components'
import { FishShape } from './fish.tsx'
import { ink, thin, wrong } from './strokes.ts'

const frames = {
  'surface-gasping': keyframes`0%,100% { transform: translate(16px, 6px) rotate(28deg) scale(.42) } 50% { transform: translate(16px, 10px) rotate(28deg) scale(.42) }`,
  'into-flow': keyframes`0%,100% { transform: translate(34px, 24px) scale(.42) } 50% { transform: translate(30px, 24px) scale(.42) }`,
  flashing: keyframes`0%,60%,100% { transform: translate(30px, 26px) scale(.42) } 70% { transform: translate(26px, 44px) rotate(38deg) scale(.42) } 80% { transform: translate(36px, 40px) rotate(16deg) scale(.42) }`,
  'shuns-light': keyframes`0% { transform: translate(48px, 24px) scale(.42) } 60%,100% { transform: translate(6px, 42px) scale(.42) }`,
  'hides-corner': keyframes`0%,100% { transform: translate(0px, 48px) scale(.4) } 50% { transform: translate(2px, 47px) scale(.4) }`,
  'lethargic-bottom': keyframes`0%,100% { transform: translate(32px, 58px) rotate(6deg) scale(.42) }`,
  'erratic-darting': keyframes`0% { transform: translate(4px, 40px) scale(.42) } 20% { transform: translate(62px, 12px) rotate(-18deg) scale(.42) } 40% { transform: translate(10px, 14px) rotate(20deg) scale(.42) } 60% { transform: translate(64px, 46px) scale(.42) } 100% { transform: translate(4px, 40px) scale(.42) }`,
  'floats-or-sinks': keyframes`0%,100% { transform: translate(36px, 16px) rotate(-42deg) scale(.42) } 50% { transform: translate(38px, 26px) rotate(-30deg) scale(.42) }`,
  chased: keyframes`0% { transform: translate(40px, 26px) scale(.36) } 50% { transform: translate(4px, 18px) scale(.36) } 100% { transform: translate(40px, 26px) scale(.36) }`,
} as const

export type DrawnBehaviour = keyof typeof frames

export const DRAWN_BEHAVIOURS: ReadonlySet<string> = new Set(Object.keys(frames))

/** Slow enough to be watched; a dash is a dash. */
const SECONDS: Partial<Record<DrawnBehaviour, number>> = { 'erratic-darting': 1.6, flashing: 3, 'surface-gasping': 1.2 }

const Moving = styled.g<{ $of: DrawnBehaviour }>`
  animation: ${({ $of }) => frames[$of]} ${({ $of }) => SECONDS[$of] ?? 4}s ease-in-out infinite;
  @media (prefers-reduced-motion: reduce) {
    animation-play-state: paused;
  }
`

const AROUND: Partial<Record<DrawnBehaviour, ReactNode>> = {
  'surface-gasping': <path d="M0 9 C20 5 40 12 60 8 C80 5 92 10 100 8" {...ink} />,
  'into-flow': <path d="M4 34 L26 34 M4 42 L22 42 M4 50 L26 50" {...wrong} />,
  flashing: <path d="M10 84 C20 66 46 70 60 84 Z" {...ink} fill="var(--rock)" />,
  'shuns-light': <path d="M92 4 L78 26 M92 4 L62 16 M92 4 L90 30" {...thin} />,
  'hides-corner': <path d="M0 84 C4 54 34 46 52 84 Z" {...ink} fill="var(--rock)" />,
  'lethargic-bottom': <path d="M0 88 L100 88" {...ink} />,
  chased: (
    <g transform="translate(58 40)">
      <path d="M66 46 L92 40 L84 50 L92 60 Z" {...wrong} />
    </g>
  ),
}

/** What a fish does, in motion where motion is the sign; still for those who ask for that. */
export function BehaviourDrawing({ of }: { of: DrawnBehaviour }) {
  return (
    <svg viewBox="0 0 100 90" width="84" height="76" aria-hidden="true">
      {AROUND[of]}
      <Moving $of={of}>
        <FishShape />
      </Moving>
    </svg>
  )
}
