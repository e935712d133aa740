import { Fragment, memo, useId } from 'react'
import { styled } from 'styled-components'
import type { Point } from '../../../../core/acclimation/simulate.ts'
import { minuteTicks, pathOf, type Quantity } from './curves.ts'

/** One way over the minutes: a row a figure, drawn by hand, because twenty charts of a library would hold up the keys. */
interface CurveColumnProps {
  /** What the picture shows, in words. */
  label: string
  width: number
  quantities: readonly Quantity[]
  domains: readonly (readonly [number, number])[]
  /** Last minute drawn. */
  until: number
  /** Proven: up to the last act or reading. */
  known: readonly Point[]
  /** Expected. */
  hoped: readonly Point[]
  /** What waiting on would do. */
  beyond: readonly Point[]
  openAt: number
  moveAt: number | null
  /** A marker that is dragged. */
  marker?: number
  now?: number
  measured?: readonly { minute: number; values: Partial<Record<Quantity['id'], number>> }[]
  /** Whether the rows are named here, and their scales beside them: in the first column of several. */
  named: boolean
  rowHeight?: number
}

const Svg = styled.svg`
  display: block;
  /* Painted apart: what changes elsewhere does not walk through it. */
  isolation: isolate;
  overflow: visible;
  text {
    fill: var(--quiet);
    font-size: 12.5px;
    font-variant-numeric: tabular-nums;
  }
  .name {
    fill: var(--ink);
    font-size: 13px;
    font-weight: 650;
    paint-order: stroke;
    stroke: var(--ground);
    stroke-width: 5px;
  }
  .value {
    fill: var(--ink);
    font-family: var(--mono);
    font-size: 13px;
    font-weight: 600;
    paint-order: stroke;
    stroke: var(--ground);
    stroke-width: 4px;
  }
  .over {
    fill: var(--act);
  }
`

/** px left of a plot: with its scale beside it, or, in a column that shares the scale of the first, without. */
export const LEFT = 44
export const LEFT_BARE = 6
export const RIGHT = 12
const HEAD = 19
const GAP = 8
const AXIS = 24

const LINES = {
  known: { width: 2.2, dash: undefined, ink: 'var(--ink)', over: 2.6 },
  hoped: { width: 2, dash: '2 4', ink: 'var(--ink)', over: 2.6 },
  beyond: { width: 1.3, dash: '1 5', ink: 'var(--quiet)', over: 1.6 },
} as const
type LineKind = keyof typeof LINES

const box = (x: number, y: number, width: number, height: number) => `M${x} ${y}h${width}v${height}h${-width}Z`
const dot = (x: number, y: number, r: number) => `M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0`

/** All rows share a path for each ink: some forty curves on a page are laid out and painted within a frame. */
export const CurveColumn = memo(function CurveColumn({
  label,
  width,
  quantities,
  domains,
  until,
  known,
  hoped,
  beyond,
  openAt,
  moveAt,
  marker,
  now,
  measured = [],
  named,
  rowHeight = 62,
}: CurveColumnProps) {
  const id = useId()
  const left = named ? LEFT : LEFT_BARE
  const plot = Math.max(10, width - left - RIGHT)
  const right = left + plot
  const x = (minute: number) => left + (Math.min(minute, until) / until) * plot
  const step = rowHeight + HEAD + GAP
  const height = quantities.length * step + AXIS
  const inView = (points: readonly Point[]) => points.filter(({ minute }) => minute <= until)
  const series: Record<LineKind, readonly Point[]> = {
    beyond: inView(beyond),
    hoped: inView(hoped),
    known: inView(known),
  }
  const kinds = (Object.keys(series) as LineKind[]).filter((kind) => series[kind].length > 0)
  const bottom = quantities.length * step - GAP
  const last = hoped.at(-1) ?? known.at(-1)
  const atMove = moveAt === null ? last : ([...known, ...hoped].find(({ minute }) => minute >= moveAt) ?? last)
  const shown = atMove && atMove.minute <= until ? atMove : null
  // Where some is done and some is expected, the expected is hatched; a plan is expectation all over.
  const aheadTo = Math.min(until, hoped.at(-1)?.minute ?? 0)
  const isAhead = now !== undefined && aheadTo > now
  const rows = quantities.map((quantity, row) => {
    const top = row * step + HEAD
    const [low, high] = domains[row]!
    return {
      quantity,
      low,
      high,
      top,
      y: (value: number) => top + rowHeight - ((value - low) / (high - low)) * rowHeight,
    }
  })
  type Row = (typeof rows)[number]
  const all = (draw: (row: Row) => string | null) => rows.map((row) => draw(row) ?? '').join('')
  const curve = (kind: LineKind, { quantity, y }: Row) => pathOf(series[kind], quantity.of, x, y)
  const limited = rows.find(({ quantity }) => quantity.id === 'freeAmmoniaMgPerL' && quantity.band)
  const limit = limited ? limited.quantity.band![1] : Infinity
  const passes = kinds.some((kind) => series[kind].some((point) => point.freeAmmoniaMgPerL > limit))
  return (
    <Svg width={width} height={height} role="img" aria-label={label}>
      {isAhead && (
        <defs>
          <pattern id={`${id}-hatch`} width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(28)">
            <line x1="0" y1="0" x2="0" y2="6" stroke="var(--quiet)" strokeWidth="1.2" />
          </pattern>
        </defs>
      )}
      <path
        d={all(({ quantity: { band }, y }) => {
          return band && box(left, y(band[1]), plot, Math.max(2, y(band[0]) - y(band[1])))
        })}
        fill="var(--band)"
      />
      {isAhead && (
        <path
          data-expected
          d={all(({ top }) => box(x(now), top, x(aheadTo) - x(now), rowHeight))}
          fill={`url(#${id}-hatch)`}
          opacity={0.3}
        />
      )}
      <path d={all(({ top }) => `M${left} ${top + rowHeight}H${right}`)} stroke="var(--rule)" />
      <path
        d={all(({ quantity: { tank, id: of }, y }) => {
          const at = of === 'freeAmmoniaMgPerL' ? limit : tank
          return at === null || at === Infinity ? null : `M${left} ${y(at)}H${right}`
        })}
        stroke="var(--second)"
        strokeWidth={1.2}
      />
      {kinds.map((kind) => (
        <path
          key={kind}
          data-curve={kind}
          d={all((row) => curve(kind, row))}
          fill="none"
          stroke={LINES[kind].ink}
          strokeWidth={LINES[kind].width}
          strokeDasharray={LINES[kind].dash}
          strokeLinecap="round"
        />
      ))}
      {limited && passes && (
        <>
          <clipPath id={`${id}-over`}>
            <rect x={left} width={plot} y={limited.top - 4} height={Math.max(0, limited.y(limit) - limited.top + 4)} />
          </clipPath>
          <g clipPath={`url(#${id}-over)`} data-over>
            {kinds.map((kind) => (
              <path
                key={kind}
                d={curve(kind, limited)}
                fill="none"
                stroke="var(--act)"
                strokeWidth={LINES[kind].over}
                strokeDasharray={LINES[kind].dash}
              />
            ))}
          </g>
        </>
      )}
      {rows.flatMap(({ quantity, y }) =>
        measured.flatMap(({ minute, values }) => {
          const value = values[quantity.id]
          return value === undefined || minute > until ? (
            []
          ) : (
            <circle
              key={`${quantity.id} ${minute}`}
              cx={x(minute)}
              cy={y(value)}
              r={4}
              fill="var(--sheet)"
              stroke="var(--ink)"
              strokeWidth={1.8}
            />
          )
        }),
      )}
      <Upright at={x(openAt)} bottom={bottom} dash="3 3" />
      {moveAt !== null && moveAt <= until && <Upright at={x(moveAt)} bottom={bottom} dash="3 3" />}
      {now !== undefined && <Upright at={x(now)} bottom={bottom} strong />}
      {marker !== undefined && <Upright at={x(marker)} bottom={bottom} strong act />}
      {shown && <path d={all(({ quantity: { of }, y }) => dot(x(shown.minute), y(of(shown)), 3))} fill="var(--ink)" />}
      {shown &&
        rows.map(({ quantity: { id: key, band, of, text }, top, y }) => (
          <text
            key={key}
            className={band && (of(shown) > band[1] + 1e-9 || of(shown) < band[0] - 1e-9) ? 'value over' : 'value'}
            x={Math.min(right, x(shown.minute) + 7)}
            y={Math.max(top + 9, Math.min(top + rowHeight - 3, y(of(shown)) - 6))}
            textAnchor={x(shown.minute) > right - 52 ? 'end' : 'start'}
          >
            {text(of(shown))}
          </text>
        ))}
      {named &&
        rows.map(({ quantity: { id: key, name, unit, text }, low, high, top }) => (
          <Fragment key={key}>
            <text x={left - 6} y={top + 10} textAnchor="end">
              {text(high)}
            </text>
            <text x={left - 6} y={top + rowHeight} textAnchor="end">
              {text(low)}
            </text>
            <text x={0} y={top - 6} className="name">
              {name}
              <tspan fill="var(--quiet)" fontWeight={400}>
                {unit && `, ${unit}`}
              </tspan>
            </text>
          </Fragment>
        ))}
      {minuteTicks(until, plot).map((minute) => (
        <text key={minute} x={x(minute)} y={bottom + 20} textAnchor="middle">
          {minute === 0 ? '0 min' : minute}
        </text>
      ))}
    </Svg>
  )
})

const Upright = ({
  at,
  bottom,
  dash,
  strong = false,
  act = false,
}: {
  at: number
  bottom: number
  dash?: string
  strong?: boolean
  act?: boolean
}) => (
  <line
    x1={at}
    x2={at}
    y1={HEAD - 8}
    y2={bottom + 5}
    stroke={act ? 'var(--act)' : strong ? 'var(--ink)' : 'var(--strong-rule)'}
    strokeWidth={strong ? 1.6 : 1}
    strokeDasharray={dash}
  />
)
