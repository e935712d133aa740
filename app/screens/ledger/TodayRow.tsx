import { useContext, type Ref } from 'react'
import { styled } from 'styled-components'
import { Link } from 'react-aria-components'
import { openCases, tankOfCase } from '../../../core/diagnosis/open-cases.ts'
import { linesOn } from '../../../core/ledger/days.ts'
import type { Thread } from '../../../core/ledger/threads.ts'
import { MS_PER_DAY, type Day } from '../../../core/time/zone.ts'
import { PARAMETERS_AS_ASKED } from '../../../core/catalogue/parameters-as-asked.ts'
import { lastValue } from '../../../core/readings/evidence.ts'
import { parameterValue } from '../../../core/words/quantities.ts'
import { useHousehold } from '../../journal/provider.tsx'
import { ButtonLink, PlainButton } from '../../look/buttons.ts'
import { dayAs, dayBeside, timeOf } from '../../../core/time/words.ts'
import { caseName } from '../../words/case-entries.ts'
import { contentMarks, marksText, newcomerName, wordingOf } from '../../words/entries.ts'
import { useNow } from '../../frame/now.tsx'
import { ArrivalTaskCard } from '../../arrivals/ArrivalTaskCard.tsx'
import { arrivalTasksOn } from '../../arrivals/useArrivalTasks.ts'
import { boxIdOf } from '../../../core/arrivals/box/boxes.ts'
import { TaskCard } from '../../courses/TaskCard.tsx'
import { dueOn, tankOfPlan } from '../../courses/usePlans.ts'
import { Bar } from '../../look/text.ts'
import { expectedIn, type Column } from './columns.ts'
import { ArrivalsContext, PlansContext } from './plans.ts'
import { cellId, GridActionsContext, type CellPlace } from './GridCell.tsx'
import { Marks } from './marks.tsx'
import { useBeside } from './opened.ts'
import { QuickForms } from './QuickForms.tsx'
import { Threads } from './Threads.tsx'

const Row = styled.div`
  position: absolute;
  left: 0;
  top: 0;
  display: flex;
  background: var(--sheet);
  border-top: 2px solid var(--ink);
  border-bottom: 2px solid var(--ink);
`

const Ruler = styled.div`
  position: sticky;
  left: 0;
  z-index: 2;
  flex: none;
  padding: 14px 0 14px 10px;
  background: var(--sheet);
  border-right: 1px solid var(--strong-rule);
  font-size: 13.5px;
  line-height: 1.2;
  strong {
    display: block;
    font-size: 32px;
    line-height: 1.1;
    font-weight: 750;
  }
  span {
    color: var(--quiet);
  }
`

const Cell = styled.div`
  position: relative;
  border-left: 1px solid var(--rule);
  flex: none;
  &:focus-visible {
    outline: 2.5px solid var(--second);
    outline-offset: -3px;
  }
`

const Inside = styled.div<{ $gutter: number }>`
  padding: 14px 12px 16px ${({ $gutter }) => $gutter}px;
  display: flex;
  flex-direction: column;
  gap: 14px;
  min-height: 180px;
`

const When = styled.div`
  font-size: 14.5px;
  color: var(--quiet);
  b {
    color: var(--ink);
    font-weight: 650;
  }
`

const TaskPlace = styled.div<{ $first: boolean }>`
  ${({ $first }) => !$first && 'border-top: 1px dotted var(--strong-rule); padding-top: 12px;'}
`

const Due = styled.div`
  display: flex;
  flex-direction: column;
  gap: 4px;
  h2 {
    font-size: 17px;
    line-height: 1.25;
  }
`

const Done = styled.ul`
  display: flex;
  flex-direction: column;
  li button {
    display: block;
    width: 100%;
    min-height: 32px;
    padding: 4px 0;
    border: 0;
    background: none;
    text-align: start;
    font-size: 15px;
    line-height: 1.3;
    color: var(--ink);
    cursor: pointer;
    @media (max-width: 759px) {
      min-height: 44px;
    }
  }
  li button:hover {
    color: var(--second);
  }
  time {
    color: var(--quiet);
    margin-right: 7px;
  }
`

const Acts = styled.div`
  display: grid;
  grid-template-columns: repeat(2, max-content);
  gap: 0 22px;
  margin-top: auto;
`

interface TodayRowProps {
  day: Day
  columns: readonly Column[]
  threads: readonly Thread[]
  ruler: number
  width: number
  offset: number
  rowIndex: number
  index: number
  active: CellPlace | null
  measure: Ref<HTMLDivElement>
}

/** Today, open and wide: per tank what is due, and what was kept so far. */
export function TodayRow({
  day,
  columns,
  threads,
  ruler,
  width,
  offset,
  rowIndex,
  index,
  active,
  measure,
}: TodayRowProps) {
  const { settings } = useHousehold()
  const { clock } = settings
  return (
    <Row
      ref={measure}
      data-index={index}
      role="row"
      aria-rowindex={rowIndex}
      style={{ transform: `translateY(${offset}px)`, width: ruler + width }}
    >
      <Ruler role="rowheader" style={{ width: ruler }}>
        {dayAs(day, ruler < 80 ? 'EEE' : 'EEEE').replace(/^(.{9}).+/, '$1')}
        <strong>{dayAs(day, 'd')}</strong>
        <span>{dayAs(day, ruler < 80 ? 'MMM' : 'MMMM').slice(0, 9)}</span>
      </Ruler>
      <div style={{ position: 'relative', width, flex: 'none', display: 'flex' }} role="presentation">
        <Threads
          threads={threads}
          columns={columns}
          from={clock.instantAt(day)}
          to={clock.instantAt(day + 1)}
          width={width}
          crossing={7}
        />
        {columns.map((column, i) => (
          <TodayCell
            key={column.tank.id}
            day={day}
            column={column}
            colIndex={i}
            active={active?.day === day && active.column === i}
          />
        ))}
      </div>
    </Row>
  )
}

function TodayCell({ day, column, colIndex, active }: { day: Day; column: Column; colIndex: number; active: boolean }) {
  const { open, focused } = useContext(GridActionsContext)
  const { tank, folded, gutter, width } = column
  return (
    <Cell
      id={cellId(day, colIndex)}
      role="gridcell"
      aria-colindex={colIndex + 2}
      aria-label={`${tank.name}, today`}
      tabIndex={active ? 0 : -1}
      style={{ width }}
      onFocus={(event) => event.target === event.currentTarget && focused({ day, column: colIndex })}
      onKeyDown={(event) => {
        if (event.key !== 'Enter' || event.target !== event.currentTarget) return
        event.preventDefault()
        open(day, tank.id)
      }}
    >
      {!folded && <TodayInside day={day} column={column} gutter={gutter} />}
    </Cell>
  )
}

function TodayInside({ day, column: { tank }, gutter }: { day: Day; column: Column; gutter: number }) {
  const { journal, settings } = useHousehold()
  const now = useNow()
  const [, openBeside] = useBeside()
  const wording = wordingOf(journal, settings)
  const lines = linesOn(journal, tank.id, day, settings.clock)
  const expected = expectedIn(journal, tank.id).filter(({ dueAt }) => settings.clock.dayOf(dueAt) <= day)
  const plans = useContext(PlansContext)
  const due = dueOn(plans, tank.id, day, day, settings.clock)
  const arriving = arrivalTasksOn(useContext(ArrivalsContext), tank.id, day, day, settings.clock)
  const cases = openCases(journal).filter(({ start }) => tankOfCase(journal, start) === tank.id)
  const warnings = plans.filter((plan) => tankOfPlan(plan) === tank.id).flatMap((plan) => plan.warnings)
  return (
    <Inside $gutter={gutter}>
      {expected.map((arrival) => (
        <Due key={arrival.expectedId}>
          <When>
            {arrival.dueAt < now
              ? `expected since ${timeOf(arrival.dueAt, settings.clock)}`
              : `expected at ${timeOf(arrival.dueAt, settings.clock)}`}
          </When>
          <h2>{newcomerName(arrival)}</h2>
          <div>
            <ButtonLink href={`/arrivals/box/${boxIdOf(arrival)}/inspect`}>The box is here</ButtonLink>
          </div>
        </Due>
      ))}
      {warnings.map(({ id, tone, text }) => (
        <Bar key={id} $tone={tone}>
          {text}
        </Bar>
      ))}
      {cases.map(({ id, start }) => (
        <Link key={id} href={`/diagnose/${id}`}>
          Open case: {caseName(start)}
        </Link>
      ))}
      {due.map(({ plan, task }, i) => (
        <TaskPlace key={task.id} $first={i === 0}>
          <TaskCard
            plan={plan}
            task={task}
            next={i === 0}
            heading="h2"
            onForm={(form) => openBeside({ show: 'form', form, tankId: tank.id, day: null })}
          />
        </TaskPlace>
      ))}
      {arriving.map((task, i) => (
        <TaskPlace key={task.id} $first={due.length + i === 0}>
          <ArrivalTaskCard
            task={task}
            next={due.length + i === 0}
            onSeen={() => openBeside({ show: 'form', form: 'sighting', tankId: tank.id, day: null })}
          />
        </TaskPlace>
      ))}
      {warnings.length + cases.length + expected.length + due.length + arriving.length + lines.length === 0 && (
        <When>Nothing due.</When>
      )}
      <LastReadings tankId={tank.id} today={day} />
      {lines.length > 0 && (
        <Done>
          {lines.map((line) => (
            <li key={line.id}>
              <button type="button" onClick={() => openBeside({ show: 'entry', id: line.id })}>
                <time>✓ {timeOf(line.at, settings.clock)}</time>{' '}
                {line.struck ? (
                  <s>{marksText(contentMarks(line.content, wording, tank.id))}</s>
                ) : (
                  <Marks marks={contentMarks(line.content, wording, tank.id)} />
                )}
              </button>
            </li>
          ))}
        </Done>
      )}
      <Acts>
        <QuickForms tank={tank} />
        <PlainButton
          onPress={() => openBeside({ show: 'day', tankId: tank.id, day })}
          aria-label={`more, ${tank.name}`}
        >
          more
        </PlainButton>
      </Acts>
    </Inside>
  )
}

/** How many parameters the last readings are told of; the rest stand on the tank's page. */
const LAST_SHOWN = 4
const RECENT_DAYS = 10

/** Since when the readings beside it are: "today", "yesterday", "since Friday". */
const sinceWords = (oldest: Day, today: Day): string =>
  oldest >= today - 1 ? dayBeside(oldest, today) : `since ${dayBeside(oldest, today)}`

/** The newest value of what was tested lately. */
function LastReadings({ tankId, today }: { tankId: string; today: Day }) {
  const { journal, settings } = useHousehold()
  const { clock, units } = settings
  const now = useNow()
  const last = PARAMETERS_AS_ASKED.flatMap(({ id, short }) => {
    const value = lastValue(journal, tankId, id, now + 1)
    return value && now - value.at < RECENT_DAYS * MS_PER_DAY ? [{ id, short, ...value }] : []
  }).slice(0, LAST_SHOWN)
  if (last.length === 0) return null
  const oldest = Math.min(...last.map(({ at }) => at))
  return (
    <When>
      last{' '}
      {last.map(({ id, short, value }, i) => (
        <span key={id}>
          {i > 0 && ' · '}
          {short} <b>{parameterValue(id, value, units).value}</b>
        </span>
      ))}
      , {sinceWords(clock.dayOf(oldest), today)}
    </When>
  )
}
