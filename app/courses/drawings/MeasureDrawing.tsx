import type { ReactNode } from 'react'
import type { CountMeasure } from '../../../core/catalogue/courses/definitions.ts'
import { CORAL_CONDITIONS } from '../../../core/catalogue/corals/condition.ts'
import { COLOUR_STEPS } from '../../../core/catalogue/measures.ts'

const SIZE = 32

/** Where the strands of a tuft end, from its foot at (16, 27). */
const STRANDS = [
  [5, 12],
  [10, 6],
  [16, 3],
  [22, 6],
  [27, 12],
] as const

const strand = ([x, y]: readonly [number, number], i: number, look: object, drop = 0) => (
  <path
    key={i}
    d={`M16,${27 + drop} Q${(16 + x) / 2 + (x < 16 ? -2 : 2)},${(27 + y) / 2 + drop} ${x},${y + drop}`}
    fill="none"
    strokeLinecap="round"
    {...look}
  />
)

const LIVING = { stroke: 'var(--ink)', strokeWidth: 3.2 }
const LIGHTER = { stroke: 'var(--act)', strokeWidth: 2.6 }
const PALE = { stroke: 'var(--strong-rule)', strokeWidth: 2.6 }
const WHITE = { stroke: 'var(--strong-rule)', strokeWidth: 1.4, strokeDasharray: '2 2' }

/** A tuft of algae on its leaf at each stage: living, bubbling, lighter, half pale, white, off. */
function tuft(stage: number): ReactNode {
  const look = (i: number) =>
    stage <= 1 ? LIVING : stage === 2 ? LIGHTER : stage === 3 ? (i % 2 === 0 ? PALE : LIGHTER) : WHITE
  return (
    <>
      <path d="M2,29 Q16,25 30,29" fill="none" stroke="var(--second)" strokeWidth={2.4} />
      {stage < 5 ? (
        STRANDS.map((end, i) => strand(end, i, look(i)))
      ) : (
        <g transform="translate(4 -6) rotate(70 16 16) scale(.7)">{STRANDS.map((end, i) => strand(end, i, WHITE))}</g>
      )}
      {stage === 1 &&
        [
          [4, 7],
          [14, 9],
          [28, 6],
        ].map(([cx, cy]) => (
          <circle key={cx} cx={cx} cy={cy} r={2} fill="var(--sheet)" stroke="var(--ink)" strokeWidth={1} />
        ))}
    </>
  )
}

const HEAD = 'M4,24 Q3,9 16,8 Q29,9 28,24 Z'

/** A coral head, filled as far as its colour goes. */
const head = (share: number, outline = 'var(--ink)') => (
  <>
    <path d={HEAD} fill="var(--second)" fillOpacity={share} stroke={outline} strokeWidth={1.8} />
    <path d="M2,28 H30" stroke="var(--quiet)" strokeWidth={2} />
  </>
)

/** A coral by its condition: gone, receding from its foot, pale, whole with its polyps in, open. */
function coral(condition: number): ReactNode {
  if (condition === 0)
    return (
      <>
        <path d={HEAD} fill="none" stroke="var(--quiet)" strokeWidth={1.6} strokeDasharray="3 3" />
        <path d="M9,12 L23,24 M23,12 L9,24" stroke="var(--act)" strokeWidth={2.2} />
      </>
    )
  if (condition === 1)
    return (
      <>
        {head(0)}
        <path d="M8,15 Q10,9 16,8 Q22,9 24,15 L20,18 L16,14 L12,18 Z" fill="var(--second)" />
        <path d="M4,22 L12,18 L16,14 L20,18 L28,22" fill="none" stroke="var(--act)" strokeWidth={2.2} />
      </>
    )
  return (
    <>
      {head(condition === 2 ? 0.12 : 0.85)}
      {condition === 4 &&
        [6, 11, 16, 21, 26].map((x, i) => (
          <path
            key={x}
            d={`M${x},${i === 0 || i === 4 ? 12 : 8} v-6`}
            stroke="var(--second)"
            strokeWidth={2.4}
            strokeLinecap="round"
          />
        ))}
    </>
  )
}

/** Polyps of a coral: none, some, all out. */
const polyps = (out: number): ReactNode => (
  <>
    {head(0.5)}
    {[6, 11, 16, 21, 26].map((x, i) =>
      out === 2 || (out === 1 && i % 2 === 0) ? (
        <path
          key={x}
          d={`M${x},${i === 0 || i === 4 ? 12 : 8} v-6`}
          stroke="var(--ink)"
          strokeWidth={2}
          strokeLinecap="round"
        />
      ) : null,
    )}
  </>
)

/** Whether a value of a measure has a drawing. */
const DRAWN: Partial<Record<CountMeasure, (value: number) => ReactNode>> = {
  'patch-stage': tuft,
  survey: coral,
  polyps,
  colour: (step) => head((step - 1) / (COLOUR_STEPS.length - 1)),
}

/** What one step of a named measure looks like, drawn for Brinvo; nothing for a measure that is counted. */
export function MeasureDrawing({
  measure,
  value,
  size = SIZE,
}: {
  measure: CountMeasure
  value: number
  size?: number
}) {
  const draw = DRAWN[measure]
  if (!draw) return null
  return (
    <svg width={size} height={size} viewBox={`0 0 ${SIZE} ${SIZE}`} aria-hidden style={{ display: 'block' }}>
      {draw(value)}
    </svg>
  )
}

/** A mark of the map: the coral’s condition, or that it was never looked at. */
export const CoralMark = ({ condition }: { condition: number | null }) =>
  condition === null ? (
    <>
      <path d={HEAD} fill="var(--sheet)" stroke="var(--ink)" strokeWidth={1.8} />
      <text x={16} y={22} textAnchor="middle" style={{ fontSize: 14, fill: 'var(--ink)' }}>
        ?
      </text>
    </>
  ) : (
    <>{coral(Math.min(condition, CORAL_CONDITIONS.length - 1))}</>
  )
