import { styled } from 'styled-components'

const Hours = styled.svg`
  width: 100%;
  max-width: 560px;
  height: 74px;
`

/** A day's shots, an hour a column. */
export function HourBars({ mlByHour }: { mlByHour: readonly number[] }) {
  const most = Math.max(...mlByHour, 1e-9)
  return (
    <Hours
      viewBox="-12 0 492 74"
      role="img"
      aria-label={`Shots at ${mlByHour.flatMap((ml, hour) => (ml > 0 ? [`${hour}:00`] : [])).join(', ')}`}
    >
      {mlByHour.map((ml, hour) => (
        <rect
          key={hour}
          x={hour * 20 + 3}
          width={14}
          y={50 - (46 * ml) / most}
          height={(46 * ml) / most}
          fill="var(--second)"
        />
      ))}
      <line x1="0" x2="480" y1="50" y2="50" stroke="var(--strong-rule)" />
      {[0, 6, 12, 18].map((hour) => (
        <text key={hour} x={hour * 20 + 10} y="68" textAnchor="middle" fontSize="13" fill="var(--quiet)">
          {hour}:00
        </text>
      ))}
    </Hours>
  )
}
