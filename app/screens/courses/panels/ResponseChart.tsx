import { useRef } from 'react'
import { styled } from 'styled-components'
import { figures } from '../../../../core/words/numbers.ts'
import { useWidth } from '../../../look/useWidth.ts'

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

/** A value of a day of the course, with how far it may be off. */
interface ResponsePoint {
  day: number
  value: number
  noise: number
}

/** How a plan goes: what was found by day, against what is expected by which day; what was left untreated as a thin line. */
export function ResponseChart({
  name,
  found,
  untreated = [],
  expected,
  day,
}: {
  name: string
  found: readonly ResponsePoint[]
  untreated?: readonly ResponsePoint[]
  expected: readonly { day: number; value: number }[]
  /** Today, as a day of the course. */
  day: number
}) {
  const box = useRef<HTMLDivElement>(null)
  const width = useWidth(box)
  const all = [...found, ...untreated]
  const firstDay = Math.min(0, ...all.map((one) => one.day))
  const lastDay = Math.max(7, day, ...expected.map((mark) => mark.day))
  const most = Math.max(0, ...all.map(({ value, noise }) => value + noise), ...expected.map(({ value }) => value))
  // Nothing but zeros: an axis of one.
  const top = most > 0 ? most : 1
  const x = (of: number) => PAD.left + ((of - firstDay) / (lastDay - firstDay)) * (width - PAD.left - PAD.right)
  const y = (value: number) => HEIGHT - PAD.bottom - (Math.max(0, value) / top) * (HEIGHT - PAD.top - PAD.bottom)
  const path = (points: readonly { day: number; value: number }[]) =>
    points.map((one, i) => `${i === 0 ? 'M' : 'L'}${x(one.day).toFixed(1)},${y(one.value).toFixed(1)}`).join('')
  return (
    <div ref={box}>
      {width > 0 && (
        <Svg width={width} height={HEIGHT} role="img" aria-label={`${name} by day, with what is expected`}>
          {[0, top / 2, top].map((value) => (
            <g key={value}>
              <line x1={PAD.left} x2={width - PAD.right} y1={y(value)} y2={y(value)} stroke="var(--rule)" />
              <text x={PAD.left - 8} y={y(value) + 4} textAnchor="end">
                {figures(value, 2)}
              </text>
            </g>
          ))}
          {expected.length > 1 && (
            <path d={path(expected)} fill="none" stroke="var(--quiet)" strokeWidth={2} strokeDasharray="5 5" />
          )}
          {untreated.length > 0 && <path d={path(untreated)} fill="none" stroke="var(--ink)" strokeWidth={1.5} />}
          {untreated.map((one) => (
            <rect
              key={one.day}
              x={x(one.day) - 3.5}
              y={y(one.value) - 3.5}
              width={7}
              height={7}
              fill="var(--sheet)"
              stroke="var(--ink)"
              strokeWidth={1.5}
            />
          ))}
          <path d={path(found)} fill="none" stroke="var(--second)" strokeWidth={2.5} />
          {found.map((one) => (
            <g key={one.day}>
              <line
                x1={x(one.day)}
                x2={x(one.day)}
                y1={y(one.value + one.noise)}
                y2={y(one.value - one.noise)}
                stroke="var(--second)"
                strokeWidth={1.5}
              />
              <circle cx={x(one.day)} cy={y(one.value)} r={4} fill="var(--second)" stroke="var(--sheet)" />
            </g>
          ))}
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
