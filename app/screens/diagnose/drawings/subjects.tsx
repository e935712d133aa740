import type { ReactNode } from 'react'
import type { SignRegion } from '../../../../core/catalogue/diagnosis/sign-regions.data.ts'
import { FishShape } from './fish.tsx'
import { GROWTH, ink, strewn, thin } from './strokes.ts'

export type DrawingKind = Exclude<NonNullable<SignRegion['drawing']>, 'behaviour'>

/** Where the name of each region stands on its drawing, in hundredths of its width and height. */
export const SPOTS: Readonly<Record<DrawingKind, Readonly<Record<string, readonly [x: number, y: number]>>>> = {
  fish: {
    skin: [56, 52],
    fins: [54, 11],
    eyes: [17, 26],
    gills: [33, 82],
    mouth: [13, 59],
    belly: [78, 88],
  },
  patch: { colour: [80, 62], water: [50, 12], sand: [24, 84], rock: [58, 40] },
  leaf: { colour: [82, 76], glass: [12, 24], leaf: [58, 50], substrate: [28, 88], water: [62, 12] },
  coral: {
    tissue: [52, 56],
    tips: [44, 12],
    lit: [78, 28],
    base: [46, 86],
    side: [14, 35],
    host: [84, 77],
  },
  pest: { attached: [18, 30], gliding: [54, 85], shells: [84, 60], dots: [60, 18], claws: [18, 62] },
}

function Patch() {
  return (
    <>
      <rect x="1" y="1" width="198" height="118" fill="var(--water)" />
      <path d="M0 92 C40 84 90 100 130 92 C160 86 180 92 200 90 L200 120 L0 120 Z" fill="var(--sand)" />
      <path d="M84 92 C80 62 96 40 118 34 C146 28 168 48 172 90 Z" {...ink} fill="var(--rock)" />
      <path d="M104 58 C112 52 120 60 114 66 M136 52 C144 48 150 56 144 62 M124 78 C132 72 140 80 134 86" {...thin} />
      {strewn(16, 5).map(({ x, y }, i) => (
        <circle key={i} cx={10 + 70 * x} cy={98 + 18 * y} r="1.1" fill="var(--quiet)" />
      ))}
      <path d="M0 1 L200 1" {...ink} />
      {[0, 1, 2, 3, 4].map((i) => (
        <path
          key={i}
          d={`M${104 + 11 * i} 38 C${101 + 11 * i} 26 ${108 + 11 * i} 22 ${105 + 11 * i} 12`}
          stroke={GROWTH.green}
          strokeWidth="1.6"
          fill="none"
        />
      ))}
    </>
  )
}

function Leaf() {
  return (
    <>
      <rect x="1" y="1" width="198" height="118" fill="var(--water)" />
      <path d="M0 98 L200 98 L200 120 L0 120 Z" fill="var(--sand)" />
      <rect x="1" y="1" width="12" height="118" fill="var(--rule)" opacity="0.6" />
      {[-34, -12, 14, 36].map((lean, i) => (
        <g key={lean}>
          <path
            d={`M100 98 C${100 + lean} 76 ${100 + 1.5 * lean} 48 ${100 + 2 * lean} ${22 + 4 * i} C${88 + 1.6 * lean} 48 ${90 + lean} 74 100 98`}
            {...ink}
            fill="var(--sheet)"
          />
          <path d={`M100 98 C${96 + lean} 74 ${96 + 1.5 * lean} 50 ${100 + 2 * lean} ${24 + 4 * i}`} {...thin} />
        </g>
      ))}
      {strewn(16, 9).map(({ x, y }, i) => (
        <circle key={i} cx={8 + 184 * x} cy={104 + 12 * y} r="1.3" fill="var(--quiet)" />
      ))}
      <path d="M146 98 C158 78 176 84 184 98" {...ink} fill="var(--rock)" />
    </>
  )
}

function Coral() {
  return (
    <>
      <rect x="1" y="1" width="198" height="118" fill="var(--water)" />
      <path d="M40 120 C48 102 150 102 160 120 Z" {...ink} fill="var(--rock)" />
      {[
        'M92 108 C84 84 70 66 58 44 C54 36 64 30 70 38 C80 54 92 70 100 88',
        'M96 104 C94 74 92 46 88 24 C88 14 102 14 102 24 C104 50 106 78 108 104',
        'M104 104 C114 80 126 58 140 40 C148 32 156 42 150 50 C138 66 124 84 116 106',
      ].map((d) => (
        <path key={d} d={d} {...ink} fill="var(--sheet)" />
      ))}
      {strewn(34, 3).map(({ x, y }, i) => (
        <circle
          key={i}
          cx={84 + 30 * x + 8 * (y - 0.5)}
          cy={38 + 62 * y}
          r="1.3"
          fill="none"
          stroke="var(--ink)"
          strokeWidth="0.9"
        />
      ))}
      {/* One polyp of it, large. */}
      <g transform="translate(177 58)">
        <circle r="7" {...ink} fill="var(--sheet)" />
        <circle r="2.2" {...thin} />
        {[0, 45, 90, 135, 180, 225, 270, 315].map((turn) => (
          <path key={turn} d="M0 -7 C3 -10 -2 -13 1 -16" transform={`rotate(${turn})`} {...ink} />
        ))}
      </g>
      <path d="M8 62 L26 56 M8 62 L26 68 M8 62 L34 62" {...thin} />
      <path d="M172 104 C166 88 190 84 186 104 M170 90 C174 80 184 80 188 88" {...thin} />
    </>
  )
}

function Pests() {
  return (
    <>
      <rect x="1" y="1" width="198" height="118" fill="var(--water)" />
      <path d="M0 76 C50 66 140 70 200 62 L200 120 L0 120 Z" {...ink} fill="var(--rock)" />
      <path d="M34 74 L36 52 M30 50 L20 34 M33 50 L28 28 M36 50 L38 26 M40 50 L48 30 M43 50 L56 38" {...ink} />
      <path d="M84 92 C96 84 118 86 128 94 C118 102 96 102 84 92 Z" {...ink} fill="var(--sheet)" />
      <circle cx="90" cy="91" r="1.2" fill="var(--ink)" />
      <circle cx="93" cy="94" r="1.2" fill="var(--ink)" />
      <path d="M152 80 A10 10 0 1 1 172 80 A7 7 0 1 1 158 80 A4 4 0 1 1 166 80" {...ink} />
      {strewn(9, 4).map(({ x, y }, i) => (
        <circle key={i} cx={104 + 34 * x} cy={34 + 16 * y} r="1.5" fill="var(--ink)" />
      ))}
      <path d="M98 58 C104 30 140 28 146 58" {...thin} />
      <path
        d="M30 104 C22 96 24 90 32 92 M30 104 C38 112 48 110 50 102 M48 100 C56 94 56 88 48 90 M36 98 L44 98"
        {...ink}
      />
    </>
  )
}

const DRAWN: Record<DrawingKind, { width: number; height: number; drawing: ReactNode }> = {
  fish: { width: 120, height: 80, drawing: <FishShape /> },
  patch: { width: 200, height: 120, drawing: <Patch /> },
  leaf: { width: 200, height: 120, drawing: <Leaf /> },
  coral: { width: 200, height: 120, drawing: <Coral /> },
  pest: { width: 200, height: 120, drawing: <Pests /> },
}

/** What is pointed at: the names of its regions stand on it as buttons, so the drawing itself says nothing to a screen reader. */
export function SubjectDrawing({ kind }: { kind: DrawingKind }) {
  const { width, height, drawing } = DRAWN[kind]
  return (
    <svg viewBox={`0 0 ${width} ${height}`} aria-hidden="true" style={{ display: 'block', width: '100%' }}>
      {drawing}
    </svg>
  )
}
