import { ticks } from 'd3-array'
import {
  CartesianGrid,
  ErrorBar,
  Line,
  LineChart,
  ReferenceArea,
  ResponsiveContainer,
  Tooltip,
  XAxis,
  YAxis,
} from 'recharts'
import { styled } from 'styled-components'
import { bandFor, type Parameter } from '../../../core/catalogue/parameter.ts'
import type { Settings } from '../../../core/household/settings.ts'
import type { Tank } from '../../../core/household/tanks.ts'
import { readingsOf } from '../../../core/readings/latest.ts'
import { MS_PER_DAY } from '../../../core/time/zone.ts'
import { useNow } from '../../frame/now.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { Figure, Small } from '../../look/text.ts'
import { dayAs, dayBeside, momentBeside } from '../../../core/time/words.ts'
import { PARAMETERS_AS_ASKED } from '../../words/parameters.ts'
import { parameterValue, quantityText } from '../../../core/words/quantities.ts'

const SHOWN_DAYS = 122
const HEIGHT = 132

const Multiples = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(320px, 1fr));
  gap: 22px 28px;
  padding-top: 14px;
  @media (max-width: 759px) {
    grid-template-columns: minmax(0, 1fr);
  }
  .recharts-text {
    fill: var(--quiet);
    font-size: 12.5px;
  }
`

const Name = styled.h3`
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  font-size: 15px;
  margin-bottom: 4px;
`

const Tip = styled.div`
  background: var(--sheet);
  border: 1px solid var(--ink);
  border-radius: 2px;
  padding: 4px 9px;
  font-size: 14px;
`

interface Point {
  at: number
  value: number
  /** Half-widths below and above; none goes below zero. */
  spread: [below: number, above: number]
}

/** Plain values of a parameter over the shown time, in the kept unit. */
function pointsOf(
  journal: Parameters<typeof readingsOf>[0],
  tankId: string,
  parameter: Parameter,
  since: number,
): Point[] {
  return readingsOf(journal, tankId, parameter.id).flatMap(({ at, content: { result, uncertainty } }) =>
    at >= since && result.kind === 'value'
      ? [{ at, value: result.value, spread: [Math.min(uncertainty ?? 0, Math.max(0, result.value)), uncertainty ?? 0] }]
      : [],
  )
}

/** Small multiples of a tank's readings on one time axis, each against its comfort band. */
export function ReadingCharts({ tank }: { tank: Tank }) {
  const { journal, settings } = useHousehold()
  const now = useNow()
  const since = now - SHOWN_DAYS * MS_PER_DAY
  const charts = PARAMETERS_AS_ASKED.map((parameter) => ({
    parameter,
    points: pointsOf(journal, tank.id, parameter, since),
  })).filter(({ points }) => points.length > 0)
  if (charts.length === 0) return <Small style={{ paddingTop: 10 }}>No readings yet.</Small>
  return (
    <Multiples>
      {charts.map(({ parameter, points }) => (
        <ReadingChart
          key={parameter.id}
          parameter={parameter}
          points={points}
          tank={tank}
          since={since}
          now={now}
          settings={settings}
        />
      ))}
    </Multiples>
  )
}

interface ChartProps {
  parameter: Parameter
  points: Point[]
  tank: Tank
  since: number
  now: number
  settings: Settings
}

function ReadingChart({ parameter, points, tank, since, now, settings }: ChartProps) {
  const band = bandFor(parameter, tank.profile)
  const values = points.flatMap(({ value, spread }) => [value - spread[0], value + spread[1]])
  // A band far above the readings would press them flat.
  const reach = 3 * Math.max(...values)
  const edges = [band?.[0], band?.[1]].flatMap((edge) =>
    edge !== null && edge !== undefined && edge < reach ? [edge] : [],
  )
  const marks = [...values, ...edges]
  const [low, high] = [Math.min(...marks), Math.max(...marks)]
  const pad = (high - low || Math.abs(high) || 1) * 0.1
  // Nothing measured here goes below zero, though an error bar may.
  const domain: [number, number] = [Math.max(0, low - pad), high + pad]
  const last = points.at(-1)!
  const say = (value: number) => quantityText(parameterValue(parameter.id, value, settings.units))
  return (
    <figure>
      <Name>
        {parameter.name} <Figure>{say(last.value)}</Figure>
      </Name>
      <ResponsiveContainer width="100%" height={HEIGHT}>
        <LineChart data={points} margin={{ top: 6, right: 10, bottom: 0, left: 0 }} accessibilityLayer={false}>
          <CartesianGrid vertical={false} stroke="var(--rule)" />
          {band && (
            <ReferenceArea
              y1={band[0] ?? domain[0]}
              y2={band[1] ?? domain[1]}
              fill="var(--band)"
              fillOpacity={1}
              ifOverflow="hidden"
            />
          )}
          <XAxis
            dataKey="at"
            type="number"
            domain={[since, now]}
            ticks={monthStarts(since, now, settings)}
            tickFormatter={(at: number) => dayAs(settings.clock.dayOf(at), 'MMM')}
            stroke="var(--strong-rule)"
            tickLine={false}
          />
          <YAxis
            domain={domain}
            ticks={ticks(domain[0], domain[1], 4)}
            width={52}
            stroke="var(--strong-rule)"
            tickLine={false}
            tickFormatter={(value: number) => parameterValue(parameter.id, value, settings.units).value}
            allowDataOverflow
          />
          <Tooltip
            isAnimationActive={false}
            cursor={{ stroke: 'var(--strong-rule)' }}
            content={({ active, payload }) => {
              const point = (payload as readonly { payload: Point }[] | undefined)?.[0]?.payload
              return active && point ? (
                <Tip>
                  <Figure>{say(point.value)}</Figure> {momentBeside(point.at, now, settings.clock)}
                </Tip>
              ) : null
            }}
          />
          <Line
            dataKey="value"
            stroke="var(--ink)"
            strokeWidth={1.6}
            dot={{ r: 2.6, fill: 'var(--sheet)', stroke: 'var(--ink)', strokeWidth: 1.4 }}
            activeDot={{ r: 4, fill: 'var(--second)' }}
            isAnimationActive={false}
            type="linear"
          >
            <ErrorBar
              dataKey="spread"
              direction="y"
              width={0}
              stroke="var(--strong-rule)"
              strokeWidth={1.2}
              isAnimationActive={false}
            />
          </Line>
        </LineChart>
      </ResponsiveContainer>
      <figcaption>
        <Small>{captionOf(points, say, now, settings)}</Small>
      </figcaption>
    </figure>
  )
}

/** Local midnights of the firsts of the months that are shown. */
function monthStarts(since: number, now: number, { clock }: Settings): number[] {
  const starts: number[] = []
  for (let day = clock.dayOf(since) + 1; day <= clock.dayOf(now); day++)
    if (dayAs(day, 'd') === '1') starts.push(clock.instantAt(day))
  return starts
}

/** What a chart shows, in words. */
function captionOf(points: readonly Point[], say: (value: number) => string, now: number, { clock }: Settings): string {
  const last = points.at(-1)!
  const today = clock.dayOf(now)
  const when = dayBeside(clock.dayOf(last.at), today)
  if (points.length === 1) return `One reading, ${when}.`
  const first = points[0]!
  return `${say(first.value)} ${dayBeside(clock.dayOf(first.at), today)}, ${say(last.value)} ${when}; ${points.length} readings.`
}
