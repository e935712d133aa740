import {
  ComposedChart,
  ErrorBar,
  Line,
  ReferenceArea,
  ReferenceLine,
  ResponsiveContainer,
  XAxis,
  YAxis,
} from 'recharts'
import { styled } from 'styled-components'
import { HALF } from '../../../../../core/microscope/tally.ts'
import { WON, type KeptTally } from '../../../../../core/microscope/tallies.ts'
import { dayAs } from '../../../../../core/time/words.ts'
import type { ZoneClock } from '../../../../../core/time/zone.ts'

const Box = styled.figure`
  .recharts-text {
    fill: var(--quiet);
    font-size: 13px;
  }
`

const HEIGHT = 200

/** The share of diatoms, tally by tally, with its interval; from the half up they lead, in the band they have won. */
export default function ShareChart({ tallies, clock }: { tallies: readonly KeptTally[]; clock: ZoneClock }) {
  const rows = tallies.flatMap(({ at, share, low, high }) =>
    share === null ? [] : [{ at, share: 100 * share, spread: [100 * (share - low), 100 * (high - share)] }],
  )
  return (
    <Box aria-hidden="true">
      <ResponsiveContainer width="100%" height={HEIGHT}>
        <ComposedChart data={rows} margin={{ top: 8, right: 18, bottom: 4, left: -14 }} accessibilityLayer={false}>
          <ReferenceArea y1={100 * WON.share} y2={100} fill="var(--band)" fillOpacity={1} />
          <ReferenceLine y={100 * HALF} stroke="var(--strong-rule)" strokeDasharray="2 4" />
          <XAxis
            dataKey="at"
            type="number"
            domain={['dataMin', 'dataMax']}
            padding={{ left: 14, right: 14 }}
            ticks={rows.map(({ at }) => at)}
            tickFormatter={(at: number) => dayAs(clock.dayOf(at), 'd MMM')}
            stroke="var(--strong-rule)"
            tickLine={false}
            minTickGap={8}
          />
          <YAxis
            domain={[0, 100]}
            ticks={[0, 50, 90, 100]}
            tickFormatter={(share: number) => `${share} %`}
            stroke="var(--strong-rule)"
            tickLine={false}
            width={62}
            interval={0}
          />
          <Line
            dataKey="share"
            stroke="var(--ink)"
            strokeWidth={2}
            dot={{ r: 4, fill: 'var(--ink)', stroke: 'var(--sheet)' }}
            isAnimationActive={false}
          >
            <ErrorBar dataKey="spread" width={8} strokeWidth={1.5} stroke="var(--ink)" />
          </Line>
        </ComposedChart>
      </ResponsiveContainer>
    </Box>
  )
}
