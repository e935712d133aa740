import { useRef } from 'react'
import { styled } from 'styled-components'
import { fallowCurve } from '../../../../core/courses/outlook/fallow-price.ts'
import { PARASITE_NAMES, riskText } from '../../../courses/words.ts'
import { useWidth } from '../../../look/useWidth.ts'

const HEIGHT = 170
const PAD = { left: 52, right: 12, top: 14, bottom: 26 }
const LAST_DAY = 90
/** Risks are drawn from certain down to one in two thousand, each tenth the same step. */
const LEAST = 0.0005
const LINES = [1, 0.1, 0.01, 0.001]

const Svg = styled.svg`
  display: block;
  overflow: visible;
  text {
    font-size: 12.5px;
    fill: var(--quiet);
  }
`

/** The risk left by day, with today, 45 and 76 marked. */
export function FallowCurve({ parasite, slowShare, today }: { parasite: string; slowShare: number; today: number }) {
  const box = useRef<HTMLDivElement>(null)
  const width = useWidth(box)
  const points = fallowCurve(parasite, slowShare, LAST_DAY)
  const x = (day: number) => PAD.left + (day / LAST_DAY) * (width - PAD.left - PAD.right)
  const y = (risk: number) =>
    PAD.top + (Math.log(Math.max(LEAST, risk)) / Math.log(LEAST)) * (HEIGHT - PAD.top - PAD.bottom)
  const riskOn = (day: number) => points[Math.min(LAST_DAY, Math.max(0, Math.round(day)))]!.risk
  const marks = [
    { day: today, text: 'today' },
    { day: 45, text: '45' },
    { day: 76, text: '76' },
  ].filter(({ day }, i) => i === 0 || Math.abs(day - today) > 3)
  const path = points
    .filter(({ risk }) => risk >= LEAST)
    .map(({ day, risk }, i) => `${i === 0 ? 'M' : 'L'}${x(day).toFixed(1)},${y(risk).toFixed(1)}`)
    .join('')
  const name = PARASITE_NAMES[parasite] ?? parasite
  return (
    <div ref={box}>
      {width > 0 && (
        <Svg
          width={width}
          height={HEIGHT}
          role="img"
          aria-label={`Risk that ${name} is left: today ${riskText(riskOn(today))}, after 45 days ${riskText(riskOn(45))}, after 76 days ${riskText(riskOn(76))}`}
        >
          {LINES.map((risk) => (
            <g key={risk}>
              <line x1={PAD.left} x2={width - PAD.right} y1={y(risk)} y2={y(risk)} stroke="var(--rule)" />
              <text x={PAD.left - 8} y={y(risk) + 4} textAnchor="end">
                {risk === 1 ? '100 %' : riskText(risk)}
              </text>
            </g>
          ))}
          <path d={path} fill="none" stroke="var(--second)" strokeWidth={2.5} />
          {marks.map(({ day, text }) => (
            <g key={text}>
              <line
                x1={x(day)}
                x2={x(day)}
                y1={PAD.top}
                y2={HEIGHT - PAD.bottom}
                stroke="var(--ink)"
                strokeWidth={text === 'today' ? 2 : 1}
                strokeDasharray={text === 'today' ? undefined : '3 4'}
              />
              <circle cx={x(day)} cy={y(riskOn(day))} r={4.5} fill="var(--second)" stroke="var(--sheet)" />
              <text x={x(day)} y={HEIGHT - 8} textAnchor="middle" style={{ fill: 'var(--ink)' }}>
                {text === 'today' ? `today, ${day}` : `day ${text}`}
              </text>
            </g>
          ))}
        </Svg>
      )}
    </div>
  )
}
