import { styled } from 'styled-components'
import { ArrivalTaskCard } from '../../arrivals/ArrivalTaskCard.tsx'
import { TaskCard } from '../../courses/TaskCard.tsx'

import { roundOrder } from '../../../core/biosecurity/round-order.ts'
import { thisInstant } from '../../frame/now.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { Line, Small } from '../../look/text.ts'
import type { Tank } from '../../../core/household/tanks.ts'
import { plural } from '../../../core/words/numbers.ts'
import type { DueSomewhere } from './due.ts'
import { useBeside } from './opened.ts'
import { isPressing, PressingList, type PressingThings } from './PressingList.tsx'
import { QuickForms } from './QuickForms.tsx'

const Scroller = styled.div`
  flex: 1;
  min-height: 0;
  overflow: auto;
  background: var(--sheet);
  padding: 4px 16px 24px;
`

const Item = styled.section`
  padding: 14px 0;
  border-bottom: 1px solid var(--rule);
`

const Where = styled.div`
  font-size: 14.5px;
  font-weight: 700;
  letter-spacing: 0.01em;
  color: var(--second);
  margin-bottom: 2px;
`

const Nothing = styled.p`
  padding: 28px 0;
  font-size: 18px;
`

/** What presses and what is due in the whole household, late first: what a keeper with wet hands opens the phone for. */
export function DueList({
  due,
  tanks,
  things,
}: {
  due: readonly DueSomewhere[]
  tanks: readonly Tank[]
  things: PressingThings
}) {
  const [, openBeside] = useBeside()
  const late = due.filter(({ urgency }) => urgency.state === 'late').length
  return (
    <Scroller aria-label="Due in the household" role="region">
      <h2 className="visually-hidden">
        {plural(due.length, 'task')} due today, {late} late
      </h2>
      {isPressing(things) && <PressingList things={things} />}
      <RoundOrder due={due} />
      {due.length === 0 && (
        <>
          {!isPressing(things) && <Nothing>Nothing is due in the household.</Nothing>}
          {tanks.map((tank) => (
            <Item key={tank.id}>
              <Where>{tank.name}</Where>
              <Line $gap={20}>
                <QuickForms tank={tank} />
              </Line>
            </Item>
          ))}
        </>
      )}
      {due.map((one, i) => (
        <Item key={one.task.id}>
          <Where>{one.tank.name}</Where>
          {one.of === 'course' ? (
            <TaskCard
              plan={one.plan}
              task={one.task}
              next={i === 0}
              heading="h3"
              onForm={(form) => openBeside({ show: 'form', form, tankId: one.tank.id, day: null })}
            />
          ) : (
            <ArrivalTaskCard
              task={one.task}
              next={i === 0}
              onSeen={() => openBeside({ show: 'form', form: 'sighting', tankId: one.tank.id, day: null })}
            />
          )}
        </Item>
      ))}
    </Scroller>
  )
}

/** In which order to go round, where something is due in more than one tank. */
function RoundOrder({ due }: { due: readonly DueSomewhere[] }) {
  const { journal } = useHousehold()
  const ids = new Set(due.map(({ tank }) => tank.id))
  if (ids.size < 2) return null
  const order = roundOrder(journal, thisInstant()).filter(({ tank }) => ids.has(tank.id))
  return (
    <Small style={{ padding: '10px 0 2px' }}>
      Clean before dirty: {order.map(({ tank }) => tank.name).join(', then ')}. Hands, tools and water go that way only.
    </Small>
  )
}
