import type { CoursePlan } from '../../../../core/courses/plan.ts'
import { COMPARED_DAYS, fishlessRisk } from '../../../../core/courses/outlook/fishless-risk.ts'
import type { FishlessState } from '../../../../core/courses/tracks/fishless.ts'
import { dayAs } from '../../../../core/time/words.ts'
import { LeadStrip } from '../../../courses/LeadStrip.tsx'
import { PARASITE_NAMES, phaseWords, riskText } from '../../../courses/words.ts'
import { useNow } from '../../../frame/now.tsx'
import { useHousehold } from '../../../journal/provider.tsx'
import { Figure, Heading, Line, Rows, Small } from '../../../look/text.ts'
import { Legend } from './legend.ts'

/** Days without fish: how many, and what is left of the risk if fish went back then. */
export function FishlessPanel({ plan, fishless }: { plan: CoursePlan; fishless: FishlessState }) {
  const { settings } = useHousehold()
  const now = useNow()
  const { clock } = settings
  const parasites = plan.course.definition.treats.filter((one) => fishlessRisk(one, 0) !== null)
  const days = [...new Set([fishless.days, ...COMPARED_DAYS.filter((one) => one > fishless.days)])]
  const when = (day: number) =>
    fishless.begunAt === null ? '' : dayAs(clock.dayOf(fishless.begunAt) + day, 'EEE d MMM')
  return (
    <section>
      <Heading>
        <span>
          Days without fish <Figure $size={15}>{phaseWords(plan)}</Figure>
        </span>
        <Legend>whole local days, logged; hatched is hoped for</Legend>
      </Heading>
      <div style={{ paddingTop: 16 }}>
        <LeadStrip plan={plan} zone={clock} now={now} />
      </div>
      {fishless.fullAt !== null && (
        <Small>
          {fishless.state === 'full' ? 'Full since' : 'Full on'} {dayAs(clock.dayOf(fishless.fullAt), 'EEEE d MMMM')}
          {fishless.begunAt !== null && `, counted from ${dayAs(clock.dayOf(fishless.begunAt), 'd MMMM')}`}.
        </Small>
      )}
      {parasites.length > 0 && fishless.begunAt !== null && (
        <>
          <Rows style={{ marginTop: 10 }}>
            {days.map((day) => (
              <li key={day}>
                <Line style={{ justifyContent: 'space-between' }}>
                  <span>
                    {day === fishless.days ? 'if fish went back today' : `after ${day} days`} <Small>{when(day)}</Small>
                  </span>
                  <span>
                    {parasites
                      .map((one) => `${PARASITE_NAMES[one] ?? one} ${riskText(fishlessRisk(one, day) ?? 0)}`)
                      .join(', ')}
                  </span>
                </Line>
              </li>
            ))}
          </Rows>
          <Small>
            A model, not data: that something is left. Nearly all of it after six weeks is the assumed chance of a slow
            strain, one in twenty.
          </Small>
        </>
      )}
    </section>
  )
}
