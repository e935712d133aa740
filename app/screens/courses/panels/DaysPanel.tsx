import type { CoursePlan } from '../../../../core/courses/plan.ts'
import type { ElapsedState } from '../../../../core/courses/tracks/elapsed.ts'
import { dayAs } from '../../../../core/time/words.ts'
import { capital } from '../../../../core/words/numbers.ts'
import { LeadStrip } from '../../../courses/LeadStrip.tsx'
import { useNow } from '../../../frame/now.tsx'
import { useHousehold } from '../../../journal/provider.tsx'
import { Figure, Heading, Small } from '../../../look/text.ts'

/** Days that pass. */
export function DaysPanel({ plan, elapsed }: { plan: CoursePlan; elapsed: ElapsedState }) {
  const { settings } = useHousehold()
  const now = useNow()
  return (
    <section>
      <Heading>
        <span>
          {capital(elapsed.track.name)}{' '}
          <Figure $size={15}>
            {elapsed.days} of {elapsed.needsDays}
          </Figure>
        </span>
      </Heading>
      <div style={{ paddingTop: 14 }}>
        <LeadStrip plan={plan} zone={settings.clock} now={now} />
      </div>
      <Small>
        Until {dayAs(settings.clock.dayOf(elapsed.fullAt), 'EEEE d MMMM')} at most; sooner once its rule holds.
      </Small>
    </section>
  )
}
