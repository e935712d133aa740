import { heldLevelOf, type CoursePlan } from '../../../../core/courses/plan.ts'
import type { SalinityState } from '../../../../core/courses/tracks/salinity.ts'
import { gravityOfPsu } from '../../../../core/salinity/gravity.ts'
import { momentBeside } from '../../../../core/time/words.ts'
import { measureText } from '../../../../core/words/measure.ts'
import { ClockStrip } from '../../../courses/ClockStrip.tsx'
import { phaseWords } from '../../../courses/words.ts'
import { useNow } from '../../../frame/now.tsx'
import { useHousehold } from '../../../journal/provider.tsx'
import { Figure, Heading, Line, Small } from '../../../look/text.ts'
import { Legend } from './legend.ts'

/** Salinity held low: where it is, and the days that count. */
export function SalinityPanel({ plan, salinity }: { plan: CoursePlan; salinity: SalinityState }) {
  const { settings } = useHousehold()
  const now = useNow()
  const { psu, readAt, track, startPsu } = salinity
  const isRisen = salinity.clock.state === 'broken'
  return (
    <section>
      <Heading>
        <span>
          Days at low salinity <Figure $size={15}>{phaseWords(plan)}</Figure>
        </span>
        <Legend>solid is proven, hatched is hoped for, a gap rose over 1.010</Legend>
      </Heading>
      <div style={{ paddingTop: 16 }}>
        <ClockStrip plan={plan} held={heldLevelOf(plan)!} zone={settings.clock} now={now} />
      </div>
      <Line style={{ paddingTop: 10, alignItems: 'baseline' }}>
        <Figure $size={34} style={isRisen ? { color: 'var(--act)' } : undefined}>
          {psu === null ? '–' : gravityOfPsu(psu).toFixed(4)}
        </Figure>
        <Small>
          {psu === null
            ? 'not read yet'
            : `${measureText(psu, 'psu', settings.units, 3)}, read ${momentBeside(readAt!, now, settings.clock)}${salinity.swappedAt !== null && salinity.swappedAt >= readAt! ? ', with what was swapped since' : ''}`}
        </Small>
      </Line>
      <Small>
        Kept between {track.low.toFixed(3)} and {track.high.toFixed(3)}: only over it costs the days, under it costs the
        fish. Then back to {gravityOfPsu(startPsu).toFixed(4)}, at most 0.002 a day.
      </Small>
    </section>
  )
}
