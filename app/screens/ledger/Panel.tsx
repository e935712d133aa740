import { useContext } from 'react'
import { styled } from 'styled-components'
import { linesOn } from '../../../core/ledger/days.ts'
import { tankById, type Tank } from '../../../core/household/tanks.ts'
import type { Day } from '../../../core/time/zone.ts'
import { arrivalTasksOn } from '../../arrivals/useArrivalTasks.ts'
import { dueOn } from '../../courses/usePlans.ts'
import { amountText, makesText } from '../../courses/words.ts'
import { useNow } from '../../frame/now.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { Button } from '../../look/buttons.ts'
import { Heading, Line as Row, Quiet, Rows, Small, Stack } from '../../look/text.ts'
import { dayAs, dayBeside, timeOf } from '../../../core/time/words.ts'
import { contentMarks, marksText, wordingOf } from '../../words/entries.ts'
import { EntryFields, FORM_TITLES } from './EntryFields.tsx'
import { EntryPanel } from './EntryPanel.tsx'
import { Marks } from './marks.tsx'
import type { FormKind } from './opened.ts'
import { Shell, type PanelProps } from './PanelShell.tsx'
import { ArrivalsContext, PlansContext } from './plans.ts'

/** What stands open beside the ledger: a day, an entry, or a form. */
export function Panel({ beside, onOpen, onClose }: PanelProps) {
  const { journal } = useHousehold()
  const line = beside.show === 'entry' ? journal.line(beside.id) : undefined
  if (beside.show === 'entry')
    return line ? (
      <EntryPanel key={line.id} line={line} onOpen={onOpen} onClose={onClose} />
    ) : (
      <Shell title="No such entry" onClose={onClose}>
        <Small>The journal holds no entry of this name: it may be in the other household.</Small>
      </Shell>
    )
  const tank = tankById(journal, beside.tankId)
  if (!tank)
    return (
      <Shell title="No such tank" onClose={onClose}>
        <Small>The journal holds no tank of this name: it may be in the other household.</Small>
      </Shell>
    )
  if (beside.show === 'day') return <DayPanel tank={tank} day={beside.day} onOpen={onOpen} onClose={onClose} />
  const back = beside.day === null ? null : ({ show: 'day', tankId: tank.id, day: beside.day } as const)
  return (
    <Shell title={`${FORM_TITLES[beside.form]}, ${tank.name}`} onClose={onClose}>
      <EntryFields
        key={`${beside.form}-${tank.id}`}
        form={beside.form}
        tank={tank}
        day={beside.day}
        onDone={() => (back ? onOpen(back) : onClose())}
      />
    </Shell>
  )
}

/** What is due on a day to come, as far as it is known today. */
function DueAhead({ tankId, day, today }: { tankId: string; day: Day; today: Day }) {
  const { settings } = useHousehold()
  const due = dueOn(useContext(PlansContext), tankId, day, today, settings.clock)
  const arriving = arrivalTasksOn(useContext(ArrivalsContext), tankId, day, today, settings.clock)
  if (due.length + arriving.length === 0) return <Small>Nothing is due on this day, as far as is known.</Small>
  return (
    <Rows>
      {due.map(({ task }) => (
        <li key={task.id}>
          <strong>{task.title}</strong>
          {task.dose && `, ${amountText(task.dose)}, ${makesText(task.dose)}`}
          <br />
          <Quiet>
            {timeOf(task.best, settings.clock)}, {task.why}
            {task.waitsFor && `; waits for: ${task.waitsFor.join('; ')}`}
          </Quiet>
        </li>
      ))}
      {arriving.map((task) => (
        <li key={task.id}>
          <strong>{task.title}</strong>
          <br />
          <Quiet>
            {timeOf(task.best, settings.clock)}, {task.why}
          </Quiet>
        </li>
      ))}
    </Rows>
  )
}

const DayLine = styled.button`
  display: grid;
  grid-template-columns: 52px 1fr;
  width: 100%;
  min-height: 44px;
  align-items: center;
  padding: 0;
  border: 0;
  background: none;
  text-align: start;
  font-size: 16px;
  line-height: 1.3;
  color: var(--ink);
  cursor: pointer;
  &:hover {
    color: var(--second);
  }
  time {
    color: var(--quiet);
    font-size: 15px;
  }
`

function DayPanel({
  tank,
  day,
  onOpen,
  onClose,
}: {
  tank: Tank
  day: Day
  onOpen: PanelProps['onOpen']
  onClose: () => void
}) {
  const { journal, settings } = useHousehold()
  const wording = wordingOf(journal, settings)
  const today = settings.clock.dayOf(useNow())
  const ahead = day > today
  const lines = ahead ? [] : linesOn(journal, tank.id, day, settings.clock)
  return (
    <Shell title={`${tank.name}, ${dayAs(day, 'EEEE d MMMM')}`} onClose={onClose}>
      <Stack $gap={20}>
        {ahead && <DueAhead tankId={tank.id} day={day} today={today} />}
        {lines.length === 0 ? (
          !ahead && <Small>Nothing was written down on this day.</Small>
        ) : (
          <Rows>
            {lines.map((line) => (
              <li key={line.id} style={{ padding: 0 }}>
                <DayLine type="button" onClick={() => onOpen({ show: 'entry', id: line.id })}>
                  <time>{timeOf(line.at, settings.clock)}</time>
                  <span>
                    {line.struck ? (
                      <s>{marksText(contentMarks(line.content, wording, tank.id))}</s>
                    ) : (
                      <Marks marks={contentMarks(line.content, wording, tank.id)} />
                    )}
                    {line.corrected && <Quiet> corrected</Quiet>}
                    {line.content.note && <Quiet> · {line.content.note}</Quiet>}
                  </span>
                </DayLine>
              </li>
            ))}
          </Rows>
        )}
        {!ahead && (
          <Stack $gap={10}>
            <Heading>Add to {dayBeside(day, today)}</Heading>
            <Row>
              {(Object.keys(FORM_TITLES) as FormKind[]).map((form) => (
                <Button key={form} onPress={() => onOpen({ show: 'form', form, tankId: tank.id, day })}>
                  {FORM_TITLES[form]}
                </Button>
              ))}
            </Row>
          </Stack>
        )}
      </Stack>
    </Shell>
  )
}
