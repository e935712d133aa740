import { bisector, ticks } from 'd3-array'
import { memo, useDeferredValue, useId, useMemo, useRef, useState, type RefObject } from 'react'
import { ComposedChart, XAxis, YAxis } from 'recharts'
import { styled } from 'styled-components'
import { bandFor, type Parameter } from '../../core/catalogue/parameter.ts'
import type { Settings } from '../../core/household/settings.ts'
import type { Tank } from '../../core/household/tanks.ts'
import { dayAs, momentBeside } from '../../core/time/words.ts'
import { MS_PER_DAY } from '../../core/time/zone.ts'
import { testsInTrend, thinned, type DrawnPoint } from '../../core/water/points.ts'
import type { ChartSeries } from '../../core/water/series.ts'
import { forecastOf, sayTrend, type ForecastPoint } from '../../core/water/trend-words.ts'
import type { WaterEvent } from '../../core/water/water-events.ts'
import { parameterValue, quantityText } from '../../core/words/quantities.ts'
import { Figure, Quiet, Small } from '../look/text.ts'
import { useInView } from '../look/useInView.ts'
import { useWidth } from '../look/useWidth.ts'

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
  height: ${HEIGHT}px;
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
  const plot = useRef<HTMLDivElement>(null)
  const [box, isSeen] = useInView<HTMLElement>()
  const width = useWidth(plot)
  // What nobody sees is drawn after what is seen: another period of a dozen charts has to be there within a tenth of a second.
  const later = useDeferredValue(props)
  const drawn = isSeen ? props : later
  const { series, tank, since, until, now, events, settings } = drawn
  const points = useMemo(() => thinned(series.points), [series.points])
  const trend = useMemo(
    () => sayTrend(series.points, series.parameter, tank, settings, now, series.ledSince),
    [series, tank, settings, now],
  )
  const forecast = useMemo(
    () => forecastOf(testsInTrend(series.points, now, series.ledSince), trend.fit, now, (until - now) / MS_PER_DAY),
    [series, trend.fit, now, until],
  )
  const say = (value: number) => quantityText(parameterValue(series.parameter.id, value, settings.units))
  const last = points.at(-1)!
  const pointed = hoverAt === null ? null : points[byTime.center(points, hoverAt)]!
  return (
    <Box ref={box}>
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
        {width > 0 && <Drawn {...drawn} width={width} points={points} forecast={forecast} />}
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

/** Share of the readings' span that is left free above and below them. */
const PAD = 0.1

/** The tests of the other tank or time that count, few enough for a chart. */
const besideOf = (beside: ChartSeries | null): DrawnPoint[] =>
  thinned(beside?.points ?? []).filter(({ isSuspect }) => !isSuspect)

/** From the least to the most that a test may be. */
const coverOf = ({ value, halfWidth, low, high }: DrawnPoint): [number, number] => [
  Math.max(0, Math.min(low, value - halfWidth)),
  Math.max(high, value + halfWidth),
]

function reachOf(
  points: readonly DrawnPoint[],
  others: readonly DrawnPoint[],
  parameter: Parameter,
  tank: Tank,
): [number, number] {
  const values = [
    ...points.flatMap((point) => (point.isSuspect ? [point.value] : coverOf(point))),
    ...others.map(({ value }) => value),
  ]
  // A band far above the readings would press them flat.
  const most = 3 * Math.max(...values)
  const edges = (bandFor(parameter, tank.profile) ?? []).filter((edge) => edge !== null && edge < most) as number[]
  const [low, high] = [Math.min(...values, ...edges), Math.max(...values, ...edges)]
  const pad = PAD * (high - low || Math.abs(high) || 1)
  // Nothing measured here goes below zero, though an error bar may.
  return [Math.max(0, low - pad), high + pad]
}

/** Room above the plot and below it, where the days stand; px. */
const TOP = 6
const BOTTOM = 30

/** The drawing itself: a pointer that moves over it draws nothing again. */
const Drawn = memo(function Drawn({
  series: { parameter },
  beside,
  tank,
  since,
  until,
  now,
  settings,
  width,
  points,
  forecast,
}: ChartProps & { width: number; points: readonly DrawnPoint[]; forecast: readonly ForecastPoint[] }) {
  const band = bandFor(parameter, tank.profile)
  const others = besideOf(beside)
  const [low, high] = reachOf(points, others, parameter, tank)
  const x = (at: number) => LEFT + ((at - since) / (until - since)) * (width - LEFT - RIGHT)
  const y = (value: number) => TOP + ((high - value) / (high - low)) * (HEIGHT - TOP - BOTTOM)
  return (
    <ComposedChart
      width={width}
      height={HEIGHT}
      data={points}
      margin={{ top: TOP, right: RIGHT, bottom: 0, left: 0 }}
      accessibilityLayer={false}
    >
      <XAxis
        dataKey="at"
        type="number"
        domain={[since, until]}
        allowDataOverflow
        height={BOTTOM}
        ticks={dayTicks(since, until, settings)}
        tickFormatter={(at: number) =>
          dayAs(settings.clock.dayOf(at), (until - since) / MS_PER_DAY > 200 ? 'MMM' : 'd MMM')
        }
        stroke="var(--strong-rule)"
        tickLine={false}
      />
      <YAxis
        dataKey="value"
        domain={[low, high]}
        ticks={ticks(low, high, 4)}
        width={LEFT}
        stroke="var(--strong-rule)"
        tickLine={false}
        tickFormatter={(value: number) => parameterValue(parameter.id, value, settings.units).value}
        allowDataOverflow
      />
      <Stripe band={band} now={now} low={low} high={high} until={until} x={x} y={y} />
      <Marks points={points} others={others} forecast={forecast} x={x} y={y} />
    </ComposedChart>
  )
})

/** The band of this kind of tank, and the line of the present. */
function Stripe({
  band,
  now,
  low,
  high,
  until,
  x,
  y,
}: Pick<MarksProps, 'x' | 'y'> & {
  band: ReturnType<typeof bandFor>
  now: number
  low: number
  high: number
  until: number
}) {
  const [top, bottom] = band ? [Math.min(high, band[1] ?? high), Math.max(low, band[0] ?? low)] : [low, low]
  return (
    <g>
      {top > bottom && (
        <rect x={LEFT} y={y(top)} width={Math.max(0, x(until) - LEFT)} height={y(bottom) - y(top)} fill="var(--band)" />
      )}
      <line x1={x(now)} x2={x(now)} y1={TOP} y2={HEIGHT - BOTTOM} stroke="var(--strong-rule)" />
    </g>
  )
}

type Place = readonly [number, number]
const lineThrough = (places: readonly Place[]): string =>
  places.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`).join('')
/** A band between an upper and a lower line. */
const between = (upper: readonly Place[], lower: readonly Place[]): string =>
  upper.length === 0 ? '' : `${lineThrough([...upper, ...[...lower].reverse()])}Z`
const dots = (places: readonly Place[], radius: number): string =>
  places
    .map(
      ([x, y]) =>
        `M${(x - radius).toFixed(1)} ${y.toFixed(1)}a${radius} ${radius} 0 1 0 ${2 * radius} 0a${radius} ${radius} 0 1 0 ${-2 * radius} 0`,
    )
    .join('')

interface MarksProps {
  points: readonly DrawnPoint[]
  others: readonly DrawnPoint[]
  forecast: readonly ForecastPoint[]
  x: (at: number) => number
  y: (value: number) => number
}

/** Tests, their errors and the forecast, one path for each ink: a dozen charts of hundreds of tests are drawn within a tenth of a second. */
function Marks({ points, others, forecast, x, y }: MarksProps) {
  const hatch = useId()
  const isMany = points.length > MANY
  const sure = points.filter(({ isSuspect }) => !isSuspect)
  const place = ({ at, value }: { at: number; value: number }): Place => [x(at), y(value)]
  const [lower, upper] = ([0, 1] as const).map((of) =>
    sure.map((point): Place => [x(point.at), y(coverOf(point)[of])]),
  ) as [Place[], Place[]]
  return (
    <g fill="none" stroke="var(--ink)">
      <defs>
        <pattern id={hatch} width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(28)">
          <line x1="0" y1="0" x2="0" y2="6" stroke="var(--quiet)" strokeWidth="1.2" />
        </pattern>
      </defs>
      {isMany ? (
        <path d={between(upper, lower)} fill="var(--rule)" stroke="none" />
      ) : (
        <path
          d={lower.map((low, i) => lineThrough([low, upper[i]!])).join('')}
          stroke="var(--strong-rule)"
          strokeWidth="1.2"
        />
      )}
      <path
        d={between(
          forecast.map(({ at, high }) => [x(at), y(high)]),
          forecast.map(({ at, low }) => [x(at), y(low)]),
        )}
        fill={`url(#${hatch})`}
        stroke="none"
      />
      <path d={lineThrough(others.map(place))} stroke="var(--quiet)" strokeWidth="1.4" strokeDasharray="2 3" />
      <path d={lineThrough(forecast.map(place))} strokeWidth="1.2" strokeDasharray="5 4" />
      <path d={lineThrough(sure.map(place))} strokeWidth="1.6" />
      {!isMany && <path d={dots(sure.map(place), 2.6)} fill="var(--ink)" stroke="var(--sheet)" strokeWidth="1" />}
      <path
        d={dots(points.filter(({ isSuspect }) => isSuspect).map(place), 3.6)}
        fill="var(--ground)"
        strokeWidth="1.4"
      />
    </g>
  )
}

/** Local midnights for the axis: some six of them. */
function dayTicks(since: number, until: number, { clock }: Settings): number[] {
  const step = Math.max(1, Math.round((until - since) / MS_PER_DAY / 6))
  const found: number[] = []
  for (let day = clock.dayOf(since) + 1; clock.instantAt(day) <= until; day += step) found.push(clock.instantAt(day))
  return found
}
