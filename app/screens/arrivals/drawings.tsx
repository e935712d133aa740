import type { ReactNode } from 'react'

/** Drawings made for Brinvo: the animal in ink, what is wrong with it in the colour of what has to be done. */

const ink = {
  fill: 'none',
  stroke: 'currentColor',
  strokeWidth: 1.7,
  strokeLinejoin: 'round',
  strokeLinecap: 'round',
} as const
const wrong = { ...ink, stroke: 'var(--act)', strokeWidth: 2 } as const
const wrongFill = { fill: 'var(--act)', stroke: 'none' } as const

const FISH_BODY = 'M6 25 C13 11 35 9 47 22 L58 13 C56 20 56 29 58 36 L47 27 C35 40 13 38 6 25 Z'

const Fish = ({ children, body = FISH_BODY, turn }: { children?: ReactNode; body?: string; turn?: string }) => (
  <g transform={turn}>
    <path d={body} {...ink} />
    <path d="M22 13 C27 5 36 6 38 15" {...ink} />
    <path d="M25 36 C28 42 33 42 35 35" {...ink} />
    <circle cx="15" cy="22" r="2" fill="currentColor" />
    <path d="M21 18 C24 22 24 28 21 32" {...ink} />
    {children}
  </g>
)

const Shrimp = ({ children }: { children?: ReactNode }) => (
  <>
    <path d="M10 20 C18 10 38 12 46 24 C50 30 49 36 44 39" {...ink} />
    <path d="M10 20 C18 26 32 24 38 30 C41 33 42 37 44 39 L54 42" {...ink} />
    <path d="M20 24 L17 33 M26 25 L24 34 M32 27 L31 36" {...ink} />
    <path d="M10 20 C6 16 4 12 4 7 M11 18 C9 14 9 10 11 5" {...ink} />
    <circle cx="15" cy="18" r="1.7" fill="currentColor" />
    {children}
  </>
)

const Snail = ({ children }: { children?: ReactNode }) => (
  <>
    <path d="M18 34 C14 20 24 10 36 12 C48 14 52 26 46 34 Z" {...ink} />
    <path d="M34 22 C30 20 27 24 30 28 C34 32 41 29 41 22 C41 16 33 13 27 17" {...ink} />
    {children}
  </>
)

const Urchin = ({ spines, children }: { spines: readonly number[]; children?: ReactNode }) => (
  <>
    <path d="M16 36 A16 14 0 0 1 48 36 Z" {...ink} />
    {spines.map((angle) => {
      const a = (angle * Math.PI) / 180
      return (
        <line
          key={angle}
          x1={32 + 16 * Math.cos(a)}
          y1={36 - 14 * Math.sin(a)}
          x2={32 + 28 * Math.cos(a)}
          y2={36 - 27 * Math.sin(a)}
          {...ink}
        />
      )
    })}
    {children}
  </>
)

const Anemone = ({ children, drooping = false }: { children?: ReactNode; drooping?: boolean }) => (
  <>
    <path d="M22 40 C24 32 24 28 22 24 L42 24 C40 28 40 32 42 40 Z" {...ink} />
    {[22, 26, 30, 34, 38, 42].map((x, i) => (
      <path
        key={x}
        d={
          drooping
            ? `M${x} 24 C${x - 9 + i * 3} 20 ${x - 14 + i * 5} 28 ${x - 15 + i * 6} 36`
            : `M${x} 24 C${x - 4 + i} 18 ${x - 2 + i} 12 ${x - 6 + i * 2.4} 7`
        }
        {...ink}
      />
    ))}
    {children}
  </>
)

const Coral = ({ children }: { children?: ReactNode }) => (
  <>
    <path d="M30 42 L30 32 C22 30 18 24 18 14 M34 42 L34 30 C42 28 46 22 46 12 M32 32 L32 8" {...ink} strokeWidth={5} />
    <path d="M20 44 L44 44" {...ink} />
    {children}
  </>
)

const Bag = ({ level, children }: { level: number; children?: ReactNode }) => (
  <>
    <path d="M26 6 L38 6 L36 12 C50 16 52 38 44 43 L20 43 C12 38 14 16 28 12 Z" {...ink} />
    <path d={`M${16} ${level} C26 ${level - 3} 38 ${level + 3} ${48} ${level}`} {...ink} />
    {children}
  </>
)

const Dots = ({ at, r = 1.4 }: { at: readonly (readonly [number, number])[]; r?: number }) => (
  <>
    {at.map(([x, y]) => (
      <circle key={`${x} ${y}`} cx={x} cy={y} r={r} {...wrongFill} />
    ))}
  </>
)

const DUST = Array.from({ length: 44 }, (_, i) => [18 + ((i * 11) % 29), 17 + ((i * 7) % 16)] as const)

const DRAWINGS: Readonly<Record<string, ReactNode>> = {
  'bag-leaking': (
    <Bag level={36}>
      <path d="M47 40 l3 5 M51 36 l4 4" {...wrong} />
      <path d="M53 44 a2 3 0 1 0 4 0 l-2 -4 z" {...wrongFill} />
    </Bag>
  ),
  'bag-cloudy': (
    <Bag level={20}>
      <path d="M20 26 q4 -3 8 0 t8 0 t8 0 M19 32 q4 -3 8 0 t8 0 t8 0 M21 38 q4 -3 8 0 t8 0 t6 0" {...wrong} />
    </Bag>
  ),
  'bag-carbon': (
    <Bag level={20}>
      <path d="M22 39 l3 -3 l3 2 l-2 3 z M31 38 l4 -2 l2 3 l-4 2 z M40 39 l2 -3 l3 2 l-3 2 z" {...wrongFill} />
    </Bag>
  ),
  'fish-lying': (
    <>
      <Fish turn="rotate(172 32 26)" />
      <path d="M4 45 L60 45" {...wrong} />
    </>
  ),
  'fish-floating': (
    <>
      <Fish turn="rotate(58 32 26) scale(0.86) translate(5 4)" />
      <path d="M2 6 q5 -3 10 0 t10 0 t10 0 t10 0 t10 0 t10 0" {...wrong} />
    </>
  ),
  'fish-slime': (
    <Fish>
      <path d="M26 18 q5 -4 9 0 q4 4 0 8 q-5 3 -9 -1 q-3 -3 0 -7 z M30 27 l1 9 M35 24 l2 8" {...wrong} />
    </Fish>
  ),
  'fish-dust': (
    <Fish>
      <Dots at={DUST} r={0.7} />
    </Fish>
  ),
  'fish-grains': (
    <Fish>
      <Dots
        at={[
          [29, 10],
          [34, 12],
          [27, 22],
          [35, 26],
          [41, 21],
          [54, 20],
          [54, 30],
        ]}
        r={1.8}
      />
    </Fish>
  ),
  'fish-red': (
    <Fish>
      <ellipse cx="33" cy="25" rx="6" ry="4" {...wrongFill} opacity={0.85} />
    </Fish>
  ),
  'fish-ulcer': (
    <Fish>
      <path d="M28 21 l4 -1 l4 3 l2 4 l-5 2 l-5 -2 z" {...wrongFill} />
      <path d="M26 19 l6 -2 l7 4 l2 7 l-8 4 l-8 -4 z" {...wrong} strokeDasharray="2 3" />
    </Fish>
  ),
  'fish-fins': (
    <Fish body="M6 25 C13 11 35 9 47 22 L50 20 M47 27 C35 40 13 38 6 25">
      <path d="M50 20 L55 14 L54 20 L59 18 L55 24 L60 26 L54 28 L58 33 L50 29" {...wrong} />
    </Fish>
  ),
  'fish-scales': (
    <Fish>
      <path d="M29 20 a3 3 0 0 0 4 4 M34 22 a3 3 0 0 0 4 4 M30 27 a3 3 0 0 0 4 4" {...wrong} />
    </Fish>
  ),
  'fish-eye': (
    <Fish>
      <circle cx="15" cy="22" r="4.5" {...wrongFill} opacity={0.55} />
      <circle cx="15" cy="22" r="5" {...wrong} />
    </Fish>
  ),
  'fish-thin': (
    <Fish body="M6 23 C13 11 35 11 47 22 L58 13 C56 20 56 29 58 36 L47 26 C38 28 24 28 17 26 C12 28 8 26 6 23 Z">
      <path d="M18 29 C25 32 36 32 43 29" {...wrong} strokeDasharray="2 3" />
    </Fish>
  ),
  'shrimp-side': (
    <g transform="rotate(178 32 25)">
      <Shrimp>
        <path d="M2 2 L62 2" {...wrong} />
      </Shrimp>
    </g>
  ),
  'shrimp-milky': (
    <Shrimp>
      <path d="M30 16 C38 17 43 22 45 28 C43 31 41 33 42 36 C38 29 32 26 26 25 Z" {...wrongFill} opacity={0.6} />
    </Shrimp>
  ),
  'shrimp-limbs': (
    <Shrimp>
      <path d="M20 24 L19 27 M26 25 L25.5 28 M10 20 L8 17" {...wrong} strokeWidth={3} />
    </Shrimp>
  ),
  'shrimp-moult': (
    <g strokeDasharray="2 3">
      <Shrimp />
    </g>
  ),
  'snail-limp': (
    <Snail>
      <path d="M20 34 C14 38 16 44 24 44 C34 44 42 42 44 34" {...wrong} />
    </Snail>
  ),
  'urchin-spines': (
    <Urchin spines={[15, 35, 140, 160]}>
      <path d="M8 44 l9 -2 M24 45 l8 1 M40 44 l10 -1" {...wrong} />
    </Urchin>
  ),
  'urchin-limp': (
    <Urchin spines={[15, 35, 55, 75, 95, 115, 140, 160]}>
      <path d="M20 38 q-3 4 -7 5 M30 38 q0 5 -3 7 M42 38 q4 4 8 5" {...wrong} />
    </Urchin>
  ),
  'star-soft': (
    <>
      <path d="M32 6 L37 20 L52 20 L40 29 L45 43 L32 34 L19 43 L24 29 L12 20 L27 20 Z" {...ink} />
      <path d="M45 43 q5 3 4 -3 M12 20 q-6 -1 -4 4" {...wrong} />
      <Dots
        at={[
          [42, 38],
          [16, 22],
          [32, 11],
        ]}
        r={2.2}
      />
    </>
  ),
  'clam-gaping': (
    <>
      <path d="M8 20 C16 6 48 6 56 20 C46 16 18 16 8 20 Z" {...ink} />
      <path d="M8 34 C16 46 48 46 56 34 C46 38 18 38 8 34 Z" {...ink} />
      <path d="M14 27 q6 -4 12 0 t12 0 t12 0" {...wrong} />
    </>
  ),
  'anemone-foot': (
    <Anemone>
      <path d="M24 40 l3 -4 l3 5 l3 -6 l3 5 l3 -4" {...wrong} />
      <path d="M28 42 q0 4 -3 5 M36 42 q1 4 4 5" {...wrong} />
    </Anemone>
  ),
  'mouth-gaping': (
    <>
      <circle cx="32" cy="25" r="19" {...ink} />
      {[0, 45, 90, 135, 180, 225, 270, 315].map((angle) => (
        <line key={angle} x1="32" y1="4" x2="32" y2="10" transform={`rotate(${angle} 32 25)`} {...ink} />
      ))}
      <ellipse cx="32" cy="25" rx="8" ry="5" {...wrong} />
      <ellipse cx="32" cy="25" rx="4" ry="2.4" {...wrongFill} />
    </>
  ),
  'anemone-limp': <Anemone drooping />,
  'coral-jelly': (
    <Coral>
      <path d="M24 22 q8 -7 15 0 q7 6 0 11 q-9 5 -16 -1 q-5 -5 1 -10 z" {...wrongFill} opacity={0.6} />
      <path d="M40 30 q7 3 11 9 M38 33 q4 6 6 11" {...wrong} />
    </Coral>
  ),
  'coral-smell': (
    <Coral>
      <path d="M10 18 q4 -4 0 -8 t0 -7 M54 30 q4 -4 0 -8 t0 -7 M8 36 q4 -4 0 -8" {...wrong} />
    </Coral>
  ),
  'coral-torn': (
    <Coral>
      <path d="M46 12 L43 16 L48 19 L43 23" {...wrong} />
      <path d="M32 8 L29 12 L35 14" {...wrong} />
    </Coral>
  ),
  'coral-eggs': (
    <Coral>
      <path d="M24 41 q2 -4 5 -2 q4 2 6 -1 q3 -3 6 1" {...wrong} />
      <Dots
        at={[
          [25, 38],
          [29, 36],
          [34, 38],
          [39, 36],
        ]}
        r={1.6}
      />
    </Coral>
  ),
  'hitch-flatworm': (
    <path
      d="M8 26 C14 14 26 16 34 20 C44 24 50 18 57 22 C54 32 44 36 34 33 C24 31 14 36 8 26 Z M16 24 h3 M18 21 v3"
      {...wrong}
    />
  ),
  'hitch-slug': (
    <>
      <path d="M6 36 C14 28 44 28 58 36 Z" {...wrong} />
      {[16, 22, 28, 34, 40, 46].map((x) => (
        <path key={x} d={`M${x} 31 q-3 -8 1 -13 q4 5 1 13`} {...wrong} />
      ))}
      <path d="M9 34 l-4 -7 M13 32 l-1 -8" {...wrong} />
    </>
  ),
  'hitch-dots': (
    <Coral>
      <Dots
        at={[
          [19, 18],
          [22, 27],
          [32, 14],
          [32, 24],
          [44, 18],
          [41, 27],
          [31, 36],
        ]}
        r={1.5}
      />
    </Coral>
  ),
  'hitch-anemone': (
    <>
      <path d="M29 44 L30 22 L34 22 L35 44" {...wrong} />
      {[-40, -24, -8, 8, 24, 40].map((angle) => (
        <line key={angle} x1="32" y1="22" x2="32" y2="4" transform={`rotate(${angle} 32 22)`} {...wrong} />
      ))}
    </>
  ),
  'hitch-rice': (
    <>
      <path d="M6 20 C16 8 48 8 58 20 C48 34 16 34 6 20 Z" {...ink} />
      {[18, 30, 42].map((x, i) => (
        <path key={x} d={`M${x} ${30 + i} q4 -4 9 0 q-4 4 -9 0 z`} {...wrong} />
      ))}
    </>
  ),
  'hitch-crab': (
    <>
      <ellipse cx="32" cy="28" rx="14" ry="10" {...wrong} />
      <path d="M19 24 l-9 -8 l3 -7 l5 5 M45 24 l9 -8 l-3 -7 l-5 5" {...wrong} />
      <path d="M20 34 l-9 5 M23 37 l-6 7 M44 34 l9 5 M41 37 l6 7" {...wrong} />
      <path d="M26 18 v-5 M31 17 v-5 M36 17 v-5 M40 19 v-4" {...wrong} />
    </>
  ),
}

/** Whether there is a drawing of this name. */
export const hasDrawing = (name: string): boolean => Object.hasOwn(DRAWINGS, name)

/** A sign as it is drawn. */
export function Drawing({ name, size = 64 }: { name: string; size?: number }) {
  return (
    <svg viewBox="0 0 64 48" width={size} height={size * 0.75} aria-hidden="true" focusable="false">
      {DRAWINGS[name]}
    </svg>
  )
}
