import { lazy, Suspense, useMemo } from 'react'
import { styled } from 'styled-components'
import { learntVolume, levelFit } from '../../../../core/courses/outlook/forecast.ts'
import { heldLevelOf, type DrugPlan } from '../../../../core/courses/plan.ts'
import { drugWord } from '../../../../core/courses/steps/step-input.ts'
import { isTested } from '../../../../core/courses/tracks/level.ts'
import { tankById } from '../../../../core/household/tanks.ts'
import { spanText } from '../../../../core/time/words.ts'
import { capital } from '../../../../core/words/numbers.ts'
import { ClockStrip } from '../../../courses/ClockStrip.tsx'
import { phaseWords } from '../../../courses/words.ts'
import { useNow } from '../../../frame/now.tsx'
import { useHousehold } from '../../../journal/provider.tsx'
import { Figure, Heading, Small } from '../../../look/text.ts'
import { LearntVolumeOffer } from '../../../water/LearntVolumeOffer.tsx'
import { Legend } from './legend.ts'

const ConcentrationChart = lazy(() => import('../ConcentrationChart.tsx'))

const ChartRoom = styled.div`
  min-height: 330px;
`

/** A drug held in the water: the time that counts, and its level where a test shows one. */
export function DrugPanel({ plan }: { plan: DrugPlan }) {
  const { journal, settings } = useHousehold()
  const now = useNow()
  const { clock: zone, units } = settings
  const { course, facts, clock, known } = plan
  const isProven = isTested(facts)
  const fit = useMemo(() => levelFit(facts), [facts])
  const tank = tankById(journal, course.tankId)
  const learnt = course.ended ? null : learntVolume(facts, fit)
  return (
    <>
      <section>
        <Heading>
          <span>
            {isProven ? 'Time proven in range' : 'Time logged in range'} <Figure $size={15}>{phaseWords(plan)}</Figure>
          </span>
          <Legend>solid is {isProven ? 'proven' : 'logged'}, hatched is hoped for, a gap broke</Legend>
        </Heading>
        <div style={{ paddingTop: 16 }}>
          <ClockStrip plan={plan} held={heldLevelOf(plan)!} zone={zone} now={now} />
        </div>
        {clock.hoursAboveHigh > 0 && (
          <Small>
            {spanText(clock.hoursAboveHigh)} over {course.dose.high.toFixed(2)} in all; the count goes on.
          </Small>
        )}
        {!isProven && (
          <Small>
            No test at home measures {drugWord(course)}: what was weighed and dosed into the net volume is all that is
            known. Reckoned now: <Figure>{known ? `${known.mgPerL.toFixed(2)} mg/L` : 'nothing dosed yet'}</Figure>.
            Every change needs its redose.
          </Small>
        )}
      </section>
      {isProven && (
        <section>
          <Heading>
            {capital(drugWord(course))} in the water
            <Legend>bars: the kit’s uncertainty · flags: filled a dose, open a change</Legend>
          </Heading>
          <ChartRoom>
            <Suspense fallback={null}>
              <ConcentrationChart plan={plan} fit={fit} zone={zone} now={now} units={units} />
            </Suspense>
          </ChartRoom>
        </section>
      )}
      {tank && learnt && <LearntVolumeOffer tank={tank} learnt={learnt} />}
    </>
  )
}
