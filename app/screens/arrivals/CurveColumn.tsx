import { memo, useId } from 'react'
import { styled } from 'styled-components'
import type { Point } from '../../../core/acclimation/simulate.ts'
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
  /** Whether the rows are named here: in the first column of several. */
  named: boolean
  rowHeight?: number
}

const Svg = styled.svg`
  display: block;
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

export const LEFT = 44
export const RIGHT = 12
const HEAD = 19
const GAP = 8
const AXIS = 24

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
  const plot = Math.max(10, width - LEFT - RIGHT)
  const x = (minute: number) => LEFT + (Math.min(minute, until) / until) * plot
  const step = rowHeight + HEAD + GAP
  const height = quantities.length * step + AXIS
  const inView = (points: readonly Point[]) => points.filter(({ minute }) => minute <= until)
  const bottom = quantities.length * step - GAP
  const last = hoped.at(-1) ?? known.at(-1)
  const atMove = moveAt === null ? last : ([...known, ...hoped].find(({ minute }) => minute >= moveAt) ?? last)
  // Where some is done and some is expected, the expected is hatched; a plan is expectation all over.
  const aheadTo = Math.min(until, hoped.at(-1)?.minute ?? 0)
  const isAhead = now !== undefined && aheadTo > now
  return (
    <Svg width={width} height={height} role="img" aria-label={label}>
      {isAhead && (
        <defs>
          <pattern id={`${id}-hatch`} width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(28)">
            <line x1="0" y1="0" x2="0" y2="6" stroke="var(--quiet)" strokeWidth="1.2" />
          </pattern>
        </defs>
      )}
      {quantities.map((quantity, row) => {
        const top = row * step + HEAD
        const [low, high] = domains[row]!
        const y = (value: number) => top + rowHeight - ((value - low) / (high - low)) * rowHeight
        const { band, of } = quantity
        const limit = quantity.id === 'freeAmmoniaMgPerL' && band ? y(band[1]) : null
        const lines: readonly [points: readonly Point[], className: 'known' | 'hoped' | 'beyond'][] = [
          [inView(beyond), 'beyond'],
          [inView(hoped), 'hoped'],
          [inView(known), 'known'],
        ]
        return (
          <g key={quantity.id}>
            {band && (
              <rect
                x={LEFT}
                width={plot}
                y={y(band[1])}
                height={Math.max(2, y(band[0]) - y(band[1]))}
                fill="var(--band)"
              />
            )}
            {isAhead && (
              <rect
                data-expected
                x={x(now)}
                width={x(aheadTo) - x(now)}
                y={top}
                height={rowHeight}
                fill={`url(#${id}-hatch)`}
                opacity={0.3}
              />
            )}
            <line x1={LEFT} x2={LEFT + plot} y1={top + rowHeight} y2={top + rowHeight} stroke="var(--rule)" />
            {quantity.tank !== null && (
              <line x1={LEFT} x2={LEFT + plot} y1={y(quantity.tank)} y2={y(quantity.tank)} stroke="var(--second)" />
            )}
            {limit !== null && (
              <line x1={LEFT} x2={LEFT + plot} y1={limit} y2={limit} stroke="var(--second)" strokeWidth={1.4} />
            )}
            <text x={LEFT - 6} y={y(high) + 10} textAnchor="end">
              {quantity.text(high)}
            </text>
            <text x={LEFT - 6} y={top + rowHeight} textAnchor="end">
              {quantity.text(low)}
            </text>
            {lines.map(([points, kind]) => (
              <path
                key={kind}
                d={pathOf(points, of, x, y)}
                fill="none"
                stroke={kind === 'beyond' ? 'var(--quiet)' : 'var(--ink)'}
                strokeWidth={kind === 'known' ? 2.2 : kind === 'hoped' ? 2 : 1.3}
                strokeDasharray={kind === 'known' ? undefined : kind === 'hoped' ? '2 4' : '1 5'}
                strokeLinecap="round"
              />
            ))}
            {limit !== null && (
              <>
                <clipPath id={`${id}-over`}>
                  <rect x={LEFT} width={plot} y={top - 4} height={Math.max(0, limit - top + 4)} />
                </clipPath>
                <g clipPath={`url(#${id}-over)`}>
                  {lines.map(([points, kind]) => (
                    <path
                      key={kind}
                      d={pathOf(points, of, x, y)}
                      fill="none"
                      stroke="var(--act)"
                      strokeWidth={kind === 'beyond' ? 1.6 : 2.6}
                      strokeDasharray={kind === 'known' ? undefined : kind === 'hoped' ? '2 4' : '1 5'}
                    />
                  ))}
                </g>
              </>
            )}
            {measured.map(({ minute, values }) => {
              const value = values[quantity.id]
              return value === undefined || minute > until ? null : (
                <circle
                  key={minute}
                  cx={x(minute)}
                  cy={y(value)}
                  r={4}
                  fill="var(--sheet)"
                  stroke="var(--ink)"
                  strokeWidth={1.8}
                />
              )
            })}
            {atMove && atMove.minute <= until && (
              <>
                <circle cx={x(atMove.minute)} cy={y(of(atMove))} r={3} fill="var(--ink)" />
                <text
                  className={
                    band && (of(atMove) > band[1] + 1e-9 || of(atMove) < band[0] - 1e-9) ? 'value over' : 'value'
                  }
                  x={Math.min(LEFT + plot, x(atMove.minute) + 7)}
                  y={Math.max(top + 9, Math.min(top + rowHeight - 3, y(of(atMove)) - 6))}
                  textAnchor={x(atMove.minute) > LEFT + plot - 52 ? 'end' : 'start'}
                >
                  {quantity.text(of(atMove))}
                </text>
              </>
            )}
          </g>
        )
      })}
      <Upright at={x(openAt)} bottom={bottom} dash="3 3" />
      {moveAt !== null && moveAt <= until && <Upright at={x(moveAt)} bottom={bottom} dash="3 3" />}
      {now !== undefined && <Upright at={x(now)} bottom={bottom} strong />}
      {marker !== undefined && <Upright at={x(marker)} bottom={bottom} strong act />}
      {named &&
        quantities.map(({ id: key, name, unit }, row) => (
          <text key={key} x={0} y={row * step + HEAD - 6} className="name">
            {name}
            <tspan fill="var(--quiet)" fontWeight={400}>
              {unit && `, ${unit}`}
            </tspan>
          </text>
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
