import { ticks } from 'd3-array'
import { useId, useMemo } from 'react'
import {
  Area,
  ComposedChart,
  ErrorBar,
  Line,
  ReferenceArea,
  ReferenceDot,
  ReferenceLine,
  ResponsiveContainer,
  Tooltip,
  XAxis,
  YAxis,
} from 'recharts'
import { styled } from 'styled-components'
import { levelAfter } from '../../../core/concentration/events.ts'
import type { ConcentrationFit } from '../../../core/concentration/concentration.schema.ts'
import { levelPath } from '../../../core/clock/level-path.ts'
import type { DrugPlan } from '../../../core/courses/plan.ts'
import { levelForecast, fallsTo } from '../../../core/courses/outlook/forecast.ts'
import { dayAs, dayBeside, momentBeside } from '../../../core/time/words.ts'
import { MS_PER_DAY, type ZoneClock } from '../../../core/time/zone.ts'
import { Figure, Small } from '../../look/text.ts'
import { levelTrend } from '../../../core/courses/outlook/trend.ts'
import type { UnitHabits } from '../../../core/household/settings.ts'
import { measureText } from '../../../core/words/measure.ts'

const Box = styled.figure`
  .recharts-text {
    fill: var(--quiet);
    font-size: 13px;
  }
`

const Tip = styled.div`
  background: var(--sheet);
  border: 1px solid var(--ink);
  border-radius: 2px;
  padding: 4px 9px;
  font-size: 14px;
`

const HEIGHT = 290
/** Days to come that the chart looks at, unless the count ends sooner. */
const AHEAD_DAYS = 7

interface Row {
  at: number
  /** Through the readings, by what was dosed and changed between them. */
  known?: number
  /** What the doses alone make, where no reading says. */
  hoped?: number
  fan?: [number, number]
  reading?: number
  spread?: [number, number]
  low?: boolean
}

function rowsOf({ facts, course, known }: DrugPlan, fit: ConcentrationFit | null, until: number): Row[] {
  const { readings, events, volumeL, now } = facts
  if (volumeL === null) return []
  const rows: Row[] = []
  const firstReading = readings[0]
  let level = 0
  rows.push({ at: course.startedAt, hoped: 0 })
  for (const { event, at } of events) {
    if (firstReading && at >= firstReading.ms) break
    rows.push({ at, hoped: level })
    level = levelAfter(level, event, volumeL)
    rows.push({ at, hoped: level })
  }
  if (firstReading) rows.push({ at: firstReading.ms, hoped: level })
  for (const { from, to, a, b } of levelPath(
    readings,
    events.map(({ event }) => event),
    volumeL,
  ))
    rows.push({ at: from, known: a }, { at: to, known: b })
  for (const { ms, mgPerL, sdMgPerL } of readings) {
    const width = 2 * (sdMgPerL ?? 0)
    rows.push({
      at: ms,
      reading: mgPerL,
      spread: [Math.min(mgPerL, width), width],
      low: mgPerL < course.dose.low,
    })
  }
  // From the last reading on everything is hope: what was dosed since, then the forecast.
  const last = readings.at(-1)
  if (last && known) {
    let now_ = last.mgPerL
    rows.push({ at: last.ms, hoped: now_ })
    for (const { event, at } of known.since) {
      rows.push({ at, hoped: now_ })
      now_ = levelAfter(now_, event, volumeL)
      rows.push({ at, hoped: now_ })
    }
    rows.push({ at: now, hoped: now_ })
  }
  if (!course.ended)
    for (const { ms, mgPerL, low, high } of levelForecast(facts, fit, until))
      rows.push({ at: ms, hoped: mgPerL, fan: [low, high] })
  return rows.sort((a, b) => a.at - b.at)
}

interface ChartProps {
  plan: DrugPlan
  fit: ConcentrationFit | null
  zone: ZoneClock
  now: number
  units: UnitHabits
}

/** Copper in the water against its range: readings with their uncertainty, what was dosed and changed, and the forecast. */
export default function ConcentrationChart({ plan, fit, zone, now, units }: ChartProps) {
  const { course, facts, clock } = plan
  const hatch = useId()
  const until = course.ended
    ? course.ended.at
    : Math.max(now + 2 * MS_PER_DAY, Math.min(clock.completesAt ?? Infinity, now + AHEAD_DAYS * MS_PER_DAY))
  const rows = useMemo(() => rowsOf(plan, fit, until), [plan, fit, until])
  const { low, high } = course.dose
  const levels = rows.flatMap(({ known, hoped, reading, spread, fan }) =>
    [known, hoped, reading === undefined ? undefined : reading + (spread?.[1] ?? 0), fan?.[1]].filter(
      (v) => v !== undefined,
    ),
  )
  const top = Math.max(high * 1.12, ...levels.map((value) => value * 1.05))
  const yTicks = [...new Set([...ticks(0, top, 5), low, high])].sort((a, b) => a - b)
  const clear = yTicks.filter(
    (tick) => tick === low || tick === high || (Math.abs(tick - low) > top / 14 && Math.abs(tick - high) > top / 14),
  )
  const days: number[] = []
  const step = Math.max(1, Math.round((until - course.startedAt) / MS_PER_DAY / 9))
  for (let day = zone.dayOf(course.startedAt) + 1; zone.instantAt(day) <= until; day += step)
    days.push(zone.instantAt(day))
  return (
    <Box>
      <ResponsiveContainer width="100%" height={HEIGHT}>
        <ComposedChart data={rows} margin={{ top: 8, right: 14, bottom: 4, left: 0 }} accessibilityLayer={false}>
          <defs>
            <pattern id={hatch} width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(28)">
              <line x1="0" y1="0" x2="0" y2="6" stroke="var(--quiet)" strokeWidth="1.2" />
            </pattern>
          </defs>
          <ReferenceArea y1={low} y2={high} fill="var(--band)" fillOpacity={1} />
          <ReferenceLine y={low} stroke="var(--second)" strokeWidth={1.3} />
          <ReferenceLine y={high} stroke="var(--second)" strokeWidth={1.3} />
          {!course.ended && <ReferenceLine x={now} stroke="var(--ink)" strokeWidth={1.2} />}
          <XAxis
            dataKey="at"
            type="number"
            domain={[course.startedAt, until]}
            ticks={days}
            tickFormatter={(at: number) => dayAs(zone.dayOf(at), 'd MMM')}
            stroke="var(--ink)"
            tickLine={false}
            allowDataOverflow
          />
          <YAxis
            domain={[0, top]}
            ticks={clear}
            width={46}
            stroke="var(--strong-rule)"
            tickLine={false}
            tickFormatter={(value: number) => value.toFixed(2)}
          />
          <Tooltip
            isAnimationActive={false}
            cursor={{ stroke: 'var(--strong-rule)' }}
            content={({ active, payload }) => {
              const row = (payload as readonly { payload: Row }[] | undefined)?.[0]?.payload
              const value = row && (row.reading ?? row.known ?? row.hoped)
              return active && row && value !== undefined ? (
                <Tip>
                  <Figure>{value.toFixed(2)} mg/L</Figure>{' '}
                  {row.reading !== undefined ? 'read' : row.known !== undefined ? 'between readings' : 'expected'}{' '}
                  {momentBeside(row.at, now, zone)}
                </Tip>
              ) : null
            }}
          />
          <Area
            dataKey="fan"
            stroke="none"
            fill={`url(#${hatch})`}
            fillOpacity={0.55}
            isAnimationActive={false}
            connectNulls
            activeDot={false}
          />
          <Line
            dataKey="hoped"
            stroke="var(--ink)"
            strokeWidth={1.6}
            strokeDasharray="2 4"
            dot={false}
            activeDot={false}
            isAnimationActive={false}
            type="linear"
          />
          <Line
            dataKey="known"
            stroke="var(--ink)"
            strokeWidth={2}
            dot={false}
            activeDot={false}
            isAnimationActive={false}
            type="linear"
            connectNulls
          />
          <Line
            dataKey="reading"
            stroke="none"
            isAnimationActive={false}
            activeDot={false}
            dot={({
              key,
              cx,
              cy,
              payload,
            }: {
              key?: string | number | bigint | null
              cx?: number
              cy?: number
              payload?: Row
            }) =>
              payload?.reading === undefined ? (
                <g key={String(key)} />
              ) : (
                <g key={String(key)}>
                  <circle
                    cx={cx}
                    cy={cy}
                    r={4}
                    fill="var(--sheet)"
                    stroke={payload.low ? 'var(--act)' : 'var(--ink)'}
                    strokeWidth={1.8}
                  />
                  {payload.low && (
                    <text x={(cx ?? 0) + 9} y={(cy ?? 0) + 17} fontSize={14} fontWeight={700} fill="var(--act)">
                      {payload.reading.toFixed(2)} under range
                    </text>
                  )}
                </g>
              )
            }
          >
            <ErrorBar dataKey="spread" direction="y" width={0} stroke="var(--quiet)" strokeWidth={1.4} />
          </Line>
          {facts.events.map(({ event, at, entryId }) => (
            <ReferenceDot
              key={entryId}
              x={at}
              y={0}
              r={0}
              shape={({ cx = 0, cy = 0 }: { cx?: number; cy?: number }) => (
                <Flag x={cx} y={cy} dose={event.kind === 'dose'} />
              )}
            />
          ))}
        </ComposedChart>
      </ResponsiveContainer>
      <figcaption>
        <Small style={{ fontSize: 15, color: 'var(--ink)' }}>{captionOf(plan, fit, zone, now, units)}</Small>
      </figcaption>
    </Box>
  )
}

/** A small flag on the time axis: filled for a dose, open for a water change. */
const Flag = ({ x, y, dose }: { x: number; y: number; dose: boolean }) => (
  <g>
    <line x1={x} y1={y} x2={x} y2={y - 16} stroke="var(--ink)" strokeWidth={1.2} />
    <path
      d={`M${x} ${y - 16} l${dose ? 9 : -9} 3.5 l${dose ? -9 : 9} 3.5 z`}
      fill={dose ? 'var(--ink)' : 'var(--sheet)'}
      stroke="var(--ink)"
      strokeWidth={1.1}
    />
  </g>
)

/** What the chart shows, in words. */
export function captionOf(
  { facts, known, course }: DrugPlan,
  fit: ConcentrationFit | null,
  zone: ZoneClock,
  now: number,
  units: UnitHabits,
): string {
  if (facts.volumeL === null) return 'The net volume is not worked out: nothing can be said of the level.'
  if (!known?.reading) return 'No reading yet: the dotted line is what the doses should make.'
  if (!fit) return ''
  const { low } = course.dose
  const trend = levelTrend(facts)
  // Readings say better than the model how fast it falls, once there are enough of them.
  const perDay = trend ? -trend.perDay : known.mgPerL * (1 - 2 ** (-24 / fit.halfLifeHours))
  const reaches = trend
    ? trend.perDay < 0 && known.mgPerL > low
      ? now + ((known.mgPerL - low) / -trend.perDay) * MS_PER_DAY
      : null
    : fallsTo(known.mgPerL, low, fit.halfLifeHours, now)
  const falling = perDay < 0.005 ? 'Hardly falling by itself.' : `Falling about ${perDay.toFixed(2)} a day by itself.`
  const until =
    known.mgPerL < low
      ? `Under ${low.toFixed(2)} as far as is known.`
      : reaches === null || reaches - now > 60 * MS_PER_DAY
        ? ''
        : `It would reach ${low.toFixed(2)} about ${dayBeside(zone.dayOf(reaches), zone.dayOf(now))}.`
  const tenth = facts.volumeL / 10
  return [
    falling,
    until,
    `A change of ${measureText(tenth, 'L', units, 2)} takes off ${(known.mgPerL * (tenth / facts.volumeL)).toFixed(2)}.`,
  ]
    .filter(Boolean)
    .join(' ')
}
