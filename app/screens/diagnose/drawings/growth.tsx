import type { ReactNode } from 'react'
import { GROWTH, ink, strewn } from './strokes.ts'

/** Parts that several drawings of look-alikes share, each within 120 × 80. */

export const Ground = ({ fill }: { fill: string }) => <rect x="0" y="0" width="120" height="80" fill={fill} />

export const Tufts = ({ colour, tall, width, seed }: { colour: string; tall: number; width: number; seed: number }) => (
  <>
    <path d="M0 66 L120 66 L120 80 L0 80 Z" fill="var(--rock)" />
    {strewn(26, seed).map(({ x, y, size }, i) => (
      <path
        key={i}
        d={`M${8 + 104 * x} 66 C${4 + 104 * x + 10 * y} ${66 - tall / 2} ${14 + 100 * x - 8 * y} ${66 - tall * 0.8} ${8 + 104 * x + 10 * (size - 0.5)} ${66 - tall * (0.6 + 0.4 * size)}`}
        fill="none"
        stroke={colour}
        strokeWidth={width}
      />
    ))}
  </>
)

export const Anemone = ({ tips, tall }: { tips: 'pointed' | 'bulb'; tall: number }) => (
  <>
    <path d="M0 70 L120 70 L120 80 L0 80 Z" fill="var(--rock)" />
    <path d={`M52 70 L54 ${70 - tall} H66 L68 70 Z`} {...ink} fill="var(--sheet)" />
    {[-34, -22, -11, 0, 11, 22, 34].map((lean, i) => {
      const [x, y] = [
        60 + lean * (tips === 'pointed' ? 1.2 : 0.8),
        70 - tall - (tips === 'pointed' ? 32 : 16) + Math.abs(lean) * 0.4,
      ]
      return (
        <g key={lean}>
          <path
            d={`M${56 + 1.3 * i} ${70 - tall} Q${60 + lean * 0.6} ${62 - tall} ${x} ${y}`}
            {...ink}
            strokeWidth={tips === 'pointed' ? 1.4 : 3}
          />
          {tips === 'bulb' && <circle cx={x} cy={y} r="3.6" {...ink} fill={GROWTH.green} />}
        </g>
      )
    })}
  </>
)

export const Branch = ({ top, bottom }: { top: string; bottom: string }) => (
  <>
    <path d="M30 80 L90 80 L86 72 L34 72 Z" fill="var(--rock)" />
    <path d="M52 74 C48 56 34 44 28 26 C26 18 38 16 40 24 C46 38 56 46 60 54" {...ink} fill={bottom} />
    <path d="M60 74 C62 52 60 34 58 16 C58 8 70 8 70 16 C72 36 70 54 70 74" {...ink} fill={bottom} />
    <path
      d="M28 26 C26 18 38 16 40 24 L42 30 L31 33 Z M58 26 L58 16 C58 8 70 8 70 16 L70.6 26 Z"
      fill={top}
      stroke="none"
    />
  </>
)

export const Leather = ({ children }: { children: ReactNode }) => (
  <>
    <path d="M50 78 C52 58 54 50 46 44 L74 44 C66 50 68 60 72 78 Z" {...ink} fill="var(--sheet)" />
    <path
      d="M20 44 C18 26 36 24 44 30 C52 18 72 18 78 30 C90 22 104 30 100 44 C88 52 34 52 20 44 Z"
      {...ink}
      fill="var(--sheet)"
    />
    {children}
  </>
)
