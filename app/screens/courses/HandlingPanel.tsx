import { HANDLING_LIMITS } from '../../../core/handling/points.ts'
import { handlingOf, type HandlingEvent, type HandlingLoad } from '../../../core/handling/recorded.ts'
import type { CoursePlan } from '../../../core/courses/plan.ts'
import { animalById, animalLabel } from '../../../core/household/animals.ts'
import { dayBeside } from '../../../core/time/words.ts'
import { plural } from '../../../core/words/numbers.ts'
import { tankOfPlan, useRunningPlans } from '../../courses/usePlans.ts'
import { useNow } from '../../frame/now.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { PlainLink } from '../../look/buttons.ts'
import { Figure, Heading, Line, Rows, Small } from '../../look/text.ts'

const WHAT: Record<HandlingEvent['what'], string> = {
  move: 'move',
  bath: 'bath',
  change: 'large change',
  salinity: 'salinity step',
  'tank-mate': 'new tank-mate',
}

/** "2 moves, 1 bath". */
const eventWords = (events: readonly HandlingEvent[]): string =>
  Object.entries(WHAT)
    .flatMap(([what, word]) => {
      const count = events.filter((one) => one.what === what).length
      return count === 0 ? [] : [plural(count, word)]
    })
    .join(', ')

/** What is asked of each fish of a course in these weeks: by what was done and what is to come. */
export function HandlingPanel({ plan }: { plan: CoursePlan }) {
  const { journal, settings } = useHousehold()
  const now = useNow()
  const plans = useRunningPlans()
  const loads = plan.living.flatMap((id) => handlingOf(journal, id, plans, now) ?? []).filter(({ worst }) => worst > 0)
  if (loads.length === 0 || plan.course.ended) return null
  const isHeavy = loads.some(({ worst }) => worst > HANDLING_LIMITS.said)
  const day = (ms: number) => dayBeside(settings.clock.dayOf(ms), settings.clock.dayOf(now))
  return (
    <section>
      <Heading>What it asks of each fish</Heading>
      <Rows>
        {loads.map((load) => (
          <li key={load.animalId}>
            <Line style={{ justifyContent: 'space-between', flexWrap: 'nowrap' }}>
              <span>
                {animalLabel(animalById(journal, load.animalId)!)} <Small as="span">{wordsOf(load, day)}</Small>
              </span>
              <Figure $size={20} style={load.worst > HANDLING_LIMITS.said ? { color: 'var(--soon)' } : undefined}>
                {load.worst}
              </Figure>
            </Line>
          </li>
        ))}
      </Rows>
      <Small>
        Points of the worst seven days: up to {HANDLING_LIMITS.said} a healthy fish bears, over {HANDLING_LIMITS.asked}{' '}
        wears it down. A move or a bath that is due is done all the same.
      </Small>
      {isHeavy && (
        <PlainLink href={`/courses/new?definition=rest&tank=${tankOfPlan(plan)}`}>
          Then rest: a course of its own
        </PlainLink>
      )}
    </section>
  )
}

function wordsOf({ events, worstFrom }: HandlingLoad, day: (ms: number) => string): string {
  const past = eventWords(events.filter(({ isAhead }) => !isAhead))
  const ahead = eventWords(events.filter(({ isAhead }) => isAhead))
  return [
    past && `last week ${past}`,
    ahead && `to come ${ahead}`,
    worstFrom !== null && `worst from ${day(worstFrom)}`,
  ]
    .filter(Boolean)
    .join('; ')
}
