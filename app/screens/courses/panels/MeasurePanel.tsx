import { useRef } from 'react'
import { styled } from 'styled-components'
import type { CoursePlan } from '../../../../core/courses/plan.ts'
import { measureNoise, type MeasureState } from '../../../../core/courses/tracks/measure.ts'
import { partById } from '../../../../core/household/parts.ts'
import { dayAs } from '../../../../core/time/words.ts'
import { capital, figures } from '../../../../core/words/numbers.ts'
import { useHousehold } from '../../../journal/provider.tsx'
import { useWidth } from '../../../look/useWidth.ts'
import { Figure, Heading, Quiet, Ruled, Small } from '../../../look/text.ts'
import { Legend } from './legend.ts'

const HEIGHT = 170
const PAD = { left: 44, right: 12, top: 12, bottom: 26 }

const Svg = styled.svg`
  display: block;
  overflow: visible;
  text {
    font-size: 12.5px;
    fill: var(--quiet);
  }
`

const VERDICTS: Record<MeasureState['verdict'], string> = {
  'on-course': 'as expected',
  behind: 'behind what is expected',
  'no-response': 'no real change: identify it again',
  unknown: 'nothing is expected of it by a day',
}

/** A measure of a plan: its rounds with their noise, against what is expected of it. */
export function MeasurePanel({ plan, measure }: { plan: CoursePlan; measure: MeasureState }) {
  const { journal, settings } = useHousehold()
  const { track, rounds, last, verdict } = measure
  const counted = last?.parts ?? []
  return (
    <section>
      <Heading>
        <span>
          {capital(track.name)}{' '}
          {last && (
            <Figure $size={22}>
              {figures(last.value, 3)} {track.unit}
            </Figure>
          )}
        </span>
        <Legend>solid: counted; dashed: expected</Legend>
      </Heading>
      {rounds.length === 0 ? (
        <Small>Nothing counted yet: the first round is what every later one is held against.</Small>
      ) : (
        <>
          <MeasureChart plan={plan} measure={measure} />
          <Small style={verdict === 'no-response' ? { color: 'var(--act)', fontWeight: 650 } : undefined}>
            {captionOf(measure, dayAs(settings.clock.dayOf(last!.at), 'EEE d MMM'))}
          </Small>
        </>
      )}
      {counted.length > 1 && (
        <Ruled style={{ marginTop: 8 }}>
          <tbody>
            {counted.map(({ partId, value }) => (
              <tr key={partId}>
                <th scope="row">{partById(journal, partId)?.name ?? partId}</th>
                <td style={{ textAlign: 'right' }}>
                  <Figure $size={17}>{figures(value, 3)}</Figure> <Quiet>{track.unit}</Quiet>
                </td>
              </tr>
            ))}
          </tbody>
        </Ruled>
      )}
    </section>
  )
}

/** What the chart shows, in words. */
function captionOf({ track, first, last, expected, verdict }: MeasureState, when: string): string {
  const said = `${figures(first!.value, 3)} at first, ${figures(last!.value, 3)} ${when}`
  const wanted =
    expected === null
      ? ''
      : `; ${track.better === 'lower' ? 'at most' : 'at least'} ${figures(expected, 3)} expected by now`
  if (first === last) return `${capital(said.split(',')[0]!)}: one round says nothing yet.`
  return `${capital(said)}${wanted}: ${VERDICTS[verdict]}.`
}

function MeasureChart({ plan, measure }: { plan: CoursePlan; measure: MeasureState }) {
  const { settings } = useHousehold()
  const box = useRef<HTMLDivElement>(null)
  const width = useWidth(box)
  const { track, rounds, first, day, marks: expected } = measure
  const startDay = settings.clock.dayOf(plan.course.startedAt)
  const dayOf = (at: number) => settings.clock.dayOf(at) - startDay
  const marks = [...(first ? [{ day: dayOf(first.at), value: first.value }] : []), ...expected]
  const firstDay = Math.min(0, ...rounds.map(({ at }) => dayOf(at)))
  const lastDay = Math.max(7, day, ...marks.map((mark) => mark.day))
  const top = Math.max(
    1e-9,
    ...rounds.map(({ value }) => value + measureNoise(track.measure, value)),
    ...marks.map(({ value }) => value),
  )
  const x = (of: number) => PAD.left + ((of - firstDay) / (lastDay - firstDay)) * (width - PAD.left - PAD.right)
  const y = (value: number) => HEIGHT - PAD.bottom - (Math.max(0, value) / top) * (HEIGHT - PAD.top - PAD.bottom)
  const path = (points: readonly { day: number; value: number }[]) =>
    points.map((one, i) => `${i === 0 ? 'M' : 'L'}${x(one.day).toFixed(1)},${y(one.value).toFixed(1)}`).join('')
  const counted = rounds.map(({ at, value }) => ({ day: dayOf(at), value }))
  return (
    <div ref={box}>
      {width > 0 && (
        <Svg width={width} height={HEIGHT} role="img" aria-label={`${track.name} by day, with what is expected`}>
          {[0, top / 2, top].map((value) => (
            <g key={value}>
              <line x1={PAD.left} x2={width - PAD.right} y1={y(value)} y2={y(value)} stroke="var(--rule)" />
              <text x={PAD.left - 8} y={y(value) + 4} textAnchor="end">
                {figures(value, 2)}
              </text>
            </g>
          ))}
          {marks.length > 1 && (
            <path d={path(marks)} fill="none" stroke="var(--quiet)" strokeWidth={2} strokeDasharray="5 5" />
          )}
          <path d={path(counted)} fill="none" stroke="var(--second)" strokeWidth={2.5} />
          {counted.map((one) => {
            const noise = measureNoise(track.measure, one.value)
            return (
              <g key={one.day}>
                <line
                  x1={x(one.day)}
                  x2={x(one.day)}
                  y1={y(one.value + noise)}
                  y2={y(one.value - noise)}
                  stroke="var(--second)"
                  strokeWidth={1.5}
                />
                <circle cx={x(one.day)} cy={y(one.value)} r={4} fill="var(--second)" stroke="var(--sheet)" />
              </g>
            )
          })}
          <line x1={x(day)} x2={x(day)} y1={PAD.top} y2={HEIGHT - PAD.bottom} stroke="var(--ink)" strokeWidth={1.5} />
          <text
            x={Math.min(x(day), width - PAD.right - 20)}
            y={HEIGHT - 8}
            textAnchor="middle"
            style={{ fill: 'var(--ink)' }}
          >
            day {day}
          </text>
          {day < lastDay * 0.8 && (
            <text x={x(lastDay)} y={HEIGHT - 8} textAnchor="end">
              day {lastDay}
            </text>
          )}
        </Svg>
      )}
    </div>
  )
}
