import { styled } from 'styled-components'
import type { CoursePlan } from '../../../../core/courses/plan.ts'
import { tankById } from '../../../../core/household/tanks.ts'
import type { Observation } from '../../../../core/courses/tracks/watch.ts'
import { dayAs } from '../../../../core/time/words.ts'
import { MS_PER_DAY } from '../../../../core/time/zone.ts'
import { useHousehold } from '../../../journal/provider.tsx'
import { Figure, Heading, Small } from '../../../look/text.ts'
import { Legend } from './legend.ts'

const Strip = styled.div`
  display: flex;
  height: 26px;
  border: 1.5px solid var(--ink);
  background-image: var(--hatch-second);
`

/** Days without signs in clean water: those that passed solid, those to come hatched. */
export function WatchPanel({ plan, observation }: { plan: CoursePlan; observation: Observation }) {
  const { journal, settings } = useHousehold()
  const passed = (plan.facts.now - observation.from) / MS_PER_DAY
  const share = Math.min(1, passed / observation.preferredDays)
  const end = (days: number) => dayAs(settings.clock.dayOf(observation.from + days * MS_PER_DAY), 'EEEE d MMMM')
  return (
    <section>
      <Heading>
        <span>
          Days without signs{' '}
          <Figure $size={15}>
            {Math.floor(passed)} of {observation.leastDays}
          </Figure>
        </span>
        <Legend>logged, not proven: a look a day is what it rests on</Legend>
      </Heading>
      <div style={{ paddingTop: 14 }}>
        <Strip role="img" aria-label={`${Math.floor(passed)} days of ${observation.leastDays} at least`}>
          <div style={{ width: `${100 * share}%`, background: 'var(--second)' }} />
        </Strip>
      </div>
      <Small>
        In {tankById(journal, observation.tankId)?.name}, without any drug. {observation.leastDays} days at least, until{' '}
        {end(observation.leastDays)}; {observation.preferredDays} are better, until {end(observation.preferredDays)}.
      </Small>
    </section>
  )
}
