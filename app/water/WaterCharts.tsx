import { bisector, ticks } from 'd3-array'
import { memo, useId, useMemo, useRef, useState, type RefObject } from 'react'
import {
  Area,
  ComposedChart,
  ErrorBar,
  Line as ChartLine,
  ReferenceArea,
  ReferenceLine,
  ResponsiveContainer,
  Scatter,
  XAxis,
  YAxis,
} from 'recharts'
import { styled } from 'styled-components'
import { bandFor, type Parameter } from '../../core/catalogue/parameter.ts'
import type { Settings } from '../../core/household/settings.ts'
import type { Tank } from '../../core/household/tanks.ts'
import { dayAs, momentBeside } from '../../core/time/words.ts'
import { MS_PER_DAY } from '../../core/time/zone.ts'
import { thinned, type DrawnPoint } from '../../core/water/points.ts'
import type { ChartSeries } from '../../core/water/series.ts'
import { forecastOf, sayTrend, type ForecastPoint } from '../../core/water/trend-words.ts'
import type { WaterEvent } from '../../core/water/water-events.ts'
import { parameterValue, quantityText } from '../../core/words/quantities.ts'
import { Figure, Quiet, Small } from '../look/text.ts'

const HEIGHT = 150
/** More tests than that are a line with the span they cover, without a dot and a bar each. */
const MANY = 80
/** Room left of the plot and right of it, px: where a pointer is in time follows from them. */
const LEFT = 54
const RIGHT = 10

const Box = styled.figure`
  .recharts-text {
    fill: var(--quiet);
    font-size: 12.5px;
  }
`

const Name = styled.h2`
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  font-size: 16px;
  margin-bottom: 4px;
`

const Plot = styled.div`
  position: relative;
  touch-action: pan-y;
`

const Hair = styled.div`
  position: absolute;
  top: 6px;
  bottom: 26px;
  width: 0;
  border-left: 1px solid var(--ink);
  pointer-events: none;
`

const Flag = styled.span<{ $kind: WaterEvent['kind'] }>`
  position: absolute;
  bottom: 22px;
  width: 0;
  height: ${({ $kind }) => ($kind === 'course' ? 14 : 9)}px;
  border-left: 2px ${({ $kind }) => ($kind === 'dose' ? 'dotted' : 'solid')} var(--second);
  pointer-events: none;
`

interface ChartProps {
  series: ChartSeries
  beside: ChartSeries | null
  tank: Tank
  since: number
  until: number
  now: number
  events: readonly WaterEvent[]
  settings: Settings
}

const byTime = bisector((point: DrawnPoint) => point.at)

/** A grid of small charts: as many beside each other as have room. */
const Multiples = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(340px, 1fr));
  gap: 26px 32px;
  @media (max-width: 759px) {
    grid-template-columns: minmax(0, 1fr);
  }
`

/** What charts of one tank share: its time, its events, and where the pointer is in it. */
type Shared = Omit<ChartProps, 'series' | 'beside'>

/** A tank's tests as small multiples on one time axis: a pointer in one shows the same instant in all. */
export function WaterCharts({
  series,
  beside = [],
  heading,
  boxRef,
  ...shared
}: Shared & {
  series: readonly ChartSeries[]
  beside?: readonly ChartSeries[]
  heading: 'h2' | 'h3'
  boxRef?: RefObject<HTMLDivElement | null>
}) {
  const [hoverAt, setHoverAt] = useState<number | null>(null)
  return (
    <Multiples ref={boxRef} onPointerLeave={() => setHoverAt(null)}>
      {series.map((one) => (
        <WaterChart
          key={one.parameter.id}
          {...shared}
          series={one}
          beside={beside.find(({ parameter }) => parameter.id === one.parameter.id) ?? null}
          heading={heading}
          hoverAt={hoverAt}
          onHover={setHoverAt}
        />
      ))}
    </Multiples>
  )
}

/** One parameter over time: tests with what they may be off, its band, the forecast, what was done; and its trend in words. */
function WaterChart({
  heading,
  hoverAt,
  onHover,
  ...props
}: ChartProps & { heading: 'h2' | 'h3'; hoverAt: number | null; onHover: (at: number) => void }) {
  const { series, tank, since, until, now, events, settings } = props
  const plot = useRef<HTMLDivElement>(null)
  const points = useMemo(() => thinned(series.points), [series.points])
  const trend = useMemo(
    () => sayTrend(series.points, series.parameter, tank, settings, now),
    [series, tank, settings, now],
  )
  const forecast = useMemo(
    () => forecastOf(series.points, trend.fit, now, (until - now) / MS_PER_DAY),
    [series.points, trend.fit, now, until],
  )
  const say = (value: number) => quantityText(parameterValue(series.parameter.id, value, settings.units))
  const last = points.at(-1)!
  const pointed = hoverAt === null ? null : points[byTime.center(points, hoverAt)]!
  return (
    <Box>
      <Name as={heading}>
        {series.parameter.name}
        <span>
          <Figure $size={pointed ? 16 : 21}>{say((pointed ?? last).value)}</Figure>
          {pointed && <Quiet> {momentBeside(pointed.at, now, settings.clock)}</Quiet>}
        </span>
      </Name>
      <Plot
        ref={plot}
        onPointerMove={({ clientX }) => {
          const { left, width } = plot.current!.getBoundingClientRect()
          const along = (clientX - left - LEFT) / (width - LEFT - RIGHT)
          onHover(since + Math.max(0, Math.min(1, along)) * (until - since))
        }}
      >
        <Drawn {...props} points={points} forecast={forecast} />
        <Flags events={events} since={since} until={until} />
        {pointed && <Hair style={{ left: placeOf(pointed.at, since, until) }} />}
      </Plot>
      <figcaption>
        <Small>{trend.words}</Small>
      </figcaption>
    </Box>
  )
}

/** Where an instant lies across a plot, as a CSS length. */
const placeOf = (at: number, since: number, until: number): string =>
  `calc(${LEFT}px + (100% - ${LEFT + RIGHT}px) * ${(at - since) / (until - since)})`

/** What was done to the water, as flags on the axis: drawn once, however the pointer moves. */
const Flags = memo(function Flags({ events, since, until }: Pick<ChartProps, 'events' | 'since' | 'until'>) {
  return events.map(({ at, kind }, i) => <Flag key={i} $kind={kind} style={{ left: placeOf(at, since, until) }} />)
})

interface Row {
  at: number
  value?: number | undefined
  hollow?: number
  spread?: [number, number]
  /** From the least to the most that a test may be. */
  cover?: [number, number]
  other?: number
  ahead?: number
  fan?: [number, number]
}

function rowsOf(points: readonly DrawnPoint[], beside: ChartSeries | null, forecast: readonly ForecastPoint[]): Row[] {
  return [
    ...points.map(({ at, value, halfWidth, low, high, isSuspect }): Row => {
      if (isSuspect) return { at, hollow: value }
      const [below, above] = [Math.max(value - low, Math.min(halfWidth, value)), Math.max(high - value, halfWidth)]
      return { at, value, spread: [below, above], cover: [value - below, value + above] }
    }),
    ...thinned(beside?.points ?? [])
      .filter(({ isSuspect }) => !isSuspect)
      .map(({ at, value }): Row => ({ at, other: value })),
    ...forecast.map(({ at, value, low, high }): Row => ({ at, ahead: value, fan: [low, high] })),
  ].sort((a, b) => a.at - b.at)
}

/** Share of the readings' span that is left free above and below them. */
const PAD = 0.1

function reachOf(rows: readonly Row[], parameter: Parameter, tank: Tank): [number, number] {
  const values = rows.flatMap(({ value, hollow, other, spread }) =>
    value === undefined
      ? [hollow, other].filter((one) => one !== undefined)
      : [value - (spread?.[0] ?? 0), value + (spread?.[1] ?? 0)],
  )
  // A band far above the readings would press them flat.
  const most = 3 * Math.max(...values)
  const edges = (bandFor(parameter, tank.profile) ?? []).filter((edge) => edge !== null && edge < most) as number[]
  const [low, high] = [Math.min(...values, ...edges), Math.max(...values, ...edges)]
  const pad = PAD * (high - low || Math.abs(high) || 1)
  // Nothing measured here goes below zero, though an error bar may.
  return [Math.max(0, low - pad), high + pad]
}

/** The drawing itself: a pointer that moves over it draws nothing again. */
const Drawn = memo(function Drawn({
  series: { parameter },
  beside,
  tank,
  since,
  until,
  now,
  settings,
  points,
  forecast,
}: ChartProps & { points: readonly DrawnPoint[]; forecast: readonly ForecastPoint[] }) {
  const hatch = useId()
  const isMany = points.length > MANY
  const rows = rowsOf(points, beside, forecast)
  const band = bandFor(parameter, tank.profile)
  const [low, high] = reachOf(rows, parameter, tank)
  return (
    <ResponsiveContainer width="100%" height={HEIGHT}>
      <ComposedChart data={rows} margin={{ top: 6, right: RIGHT, bottom: 0, left: 0 }} accessibilityLayer={false}>
        <defs>
          <pattern id={hatch} width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(28)">
            <line x1="0" y1="0" x2="0" y2="6" stroke="var(--quiet)" strokeWidth="1.2" />
          </pattern>
        </defs>
        {band && (
          <ReferenceArea
            y1={band[0] ?? low}
            y2={band[1] ?? high}
            fill="var(--band)"
            fillOpacity={1}
            ifOverflow="hidden"
          />
        )}
        <ReferenceLine x={now} stroke="var(--strong-rule)" />
        <XAxis
          dataKey="at"
          type="number"
          domain={[since, until]}
          allowDataOverflow
          ticks={dayTicks(since, until, settings)}
          tickFormatter={(at: number) =>
            dayAs(settings.clock.dayOf(at), (until - since) / MS_PER_DAY > 200 ? 'MMM' : 'd MMM')
          }
          stroke="var(--strong-rule)"
          tickLine={false}
        />
        <YAxis
          domain={[low, high]}
          ticks={ticks(low, high, 4)}
          width={LEFT}
          stroke="var(--strong-rule)"
          tickLine={false}
          tickFormatter={(value: number) => parameterValue(parameter.id, value, settings.units).value}
          allowDataOverflow
        />
        {isMany && (
          <Area
            dataKey="cover"
            stroke="none"
            fill="var(--rule)"
            isAnimationActive={false}
            connectNulls
            activeDot={false}
          />
        )}
        <Area
          dataKey="fan"
          stroke="none"
          fill={`url(#${hatch})`}
          isAnimationActive={false}
          connectNulls
          activeDot={false}
        />
        <ChartLine
          dataKey="other"
          stroke="var(--quiet)"
          strokeWidth={1.4}
          strokeDasharray="2 3"
          dot={false}
          connectNulls
          isAnimationActive={false}
        />
        <ChartLine
          dataKey="ahead"
          stroke="var(--ink)"
          strokeWidth={1.2}
          strokeDasharray="5 4"
          dot={false}
          connectNulls
          isAnimationActive={false}
        />
        <ChartLine
          dataKey="value"
          stroke="var(--ink)"
          strokeWidth={1.6}
          dot={isMany ? false : { r: 2.6, fill: 'var(--ink)', stroke: 'var(--sheet)', strokeWidth: 1 }}
          connectNulls
          isAnimationActive={false}
        >
          {!isMany && (
            <ErrorBar
              dataKey="spread"
              direction="y"
              width={0}
              stroke="var(--strong-rule)"
              strokeWidth={1.2}
              isAnimationActive={false}
            />
          )}
        </ChartLine>
        <Scatter
          dataKey="hollow"
          fill="var(--ground)"
          stroke="var(--ink)"
          strokeWidth={1.4}
          isAnimationActive={false}
        />
      </ComposedChart>
    </ResponsiveContainer>
  )
})

/** Local midnights for the axis: some six of them. */
function dayTicks(since: number, until: number, { clock }: Settings): number[] {
  const step = Math.max(1, Math.round((until - since) / MS_PER_DAY / 6))
  const found: number[] = []
  for (let day = clock.dayOf(since) + 1; clock.instantAt(day) <= until; day += step) found.push(clock.instantAt(day))
  return found
}
