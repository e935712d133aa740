import { memo, useContext, type CSSProperties } from 'react'
import { styled } from 'styled-components'
import { linesOn } from '../../../core/ledger/days.ts'
import type { Thread } from '../../../core/ledger/threads.ts'
import type { Day } from '../../../core/time/zone.ts'
import { useHousehold } from '../../journal/provider.tsx'
import { dayAs } from '../../../core/time/words.ts'
import { wordingOf } from '../../words/entries.ts'
import { expectedIn, type Column } from './columns.ts'
import { arrivalTasksOn } from '../../arrivals/useArrivalTasks.ts'
import { dueOn } from '../../courses/usePlans.ts'
import { LineOfMarks, lineText, shownInLine } from './marks.tsx'
import { ArrivalsContext, lowReadings, PlansContext } from './plans.ts'
import { Threads } from './Threads.tsx'
import { GridCell, type CellPlace } from './GridCell.tsx'

const Row = styled.div<{ $ahead: boolean }>`
  position: absolute;
  left: 0;
  top: 0;
  display: flex;
  background: var(--ground);
  border-bottom: 1px solid var(--rule);
  ${({ $ahead }) => $ahead && 'background-image: var(--hatch); color: var(--ink);'}
`

export const RulerCell = styled.div<{ $ahead?: boolean }>`
  position: sticky;
  left: 0;
  z-index: 2;
  flex: none;
  padding: 0 4px 0 10px;
  background: inherit;
  border-right: 1px solid var(--strong-rule);
  color: var(--quiet);
  font-size: 14.5px;
  display: flex;
  align-items: center;
  white-space: nowrap;
  &[data-month='true'] {
    color: var(--ink);
    font-weight: 600;
  }
`

const Words = styled.div<{ $gutter: number; $ahead: boolean }>`
  position: absolute;
  inset: 0 6px 0 ${({ $gutter }) => $gutter}px;
  display: flex;
  align-items: center;
  font-size: 14.5px;
  & > span {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
    ${({ $ahead }) => $ahead && 'background: var(--ground); padding: 0 5px; margin-left: -5px; border-radius: 2px;'}
  }
`

const Dot = styled.span`
  position: absolute;
  left: 50%;
  top: 50%;
  width: 5px;
  height: 5px;
  margin: -2.5px;
  border-radius: 50%;
  background: var(--quiet);
`

interface DayRowProps {
  day: Day
  today: Day
  columns: readonly Column[]
  threads: readonly Thread[]
  ruler: number
  width: number
  height: number
  offset: number
  rowIndex: number
  active: CellPlace | null
  /** The journal's revision: the row is drawn again when an entry comes. */
  revision: number
}

/** A past day, one line of small marks a tank; or a day to come, hatched, with what is due. */
export const DayRow = memo(function DayRow({
  day,
  today,
  columns,
  threads,
  ruler,
  width,
  height,
  offset,
  rowIndex,
  active,
}: DayRowProps) {
  const { settings } = useHousehold()
  const { clock } = settings
  const ahead = day > today
  const place: CSSProperties = { transform: `translateY(${offset}px)`, height, width: ruler + width }
  const firstOfMonth = dayAs(day, 'd') === '1'
  return (
    <Row role="row" aria-rowindex={rowIndex} style={place} $ahead={ahead}>
      <RulerCell role="rowheader" style={{ width: ruler }} data-month={firstOfMonth}>
        {dayAs(day, firstOfMonth ? 'd MMM' : 'EEE d')}
      </RulerCell>
      <div style={{ position: 'relative', width, flex: 'none' }} role="presentation">
        <Threads
          threads={threads}
          columns={columns}
          from={clock.instantAt(day)}
          to={clock.instantAt(day + 1)}
          width={width}
          crossing={height - 5}
          ahead={ahead}
        />
        {columns.map((column, index) => (
          <DayCell
            key={column.tank.id}
            day={day}
            today={today}
            column={column}
            colIndex={index}
            active={active?.day === day && active.column === index}
          />
        ))}
      </div>
    </Row>
  )
})

function DayCell({
  day,
  today,
  column,
  colIndex,
  active,
}: {
  day: Day
  today: Day
  column: Column
  colIndex: number
  active: boolean
}) {
  const { journal, settings } = useHousehold()
  const wording = wordingOf(journal, settings)
  const { tank, folded, gutter } = column
  const plans = useContext(PlansContext)
  const arriving = useContext(ArrivalsContext)
  const ahead = day > today
  const lines = ahead ? [] : linesOn(journal, tank.id, day, settings.clock)
  const due = ahead ? expectedIn(journal, tank.id).filter(({ dueAt }) => settings.clock.dayOf(dueAt) === day) : []
  const tasks = ahead ? dueOn(plans, tank.id, day, today, settings.clock) : []
  const dueText = [
    ...due.map(({ name, species, count }) => `${name ?? (count > 1 ? `${count} ${species}` : species)} expected`),
    ...tasks.map(({ task }) => task.title),
    ...(ahead ? arrivalTasksOn(arriving, tank.id, day, today, settings.clock).map(({ title }) => title) : []),
  ].join(' · ')
  const has = dueText !== '' || shownInLine(lines).length > 0
  const label = has ? `${tank.name}: ${dueText || lineText(lines, wording, tank.id)}` : `${tank.name}: nothing`
  return (
    <GridCell
      day={day}
      tankId={tank.id}
      colIndex={colIndex}
      active={active}
      left={column.left}
      width={column.width}
      label={label}
    >
      {folded ? (
        has && <Dot />
      ) : (
        <Words $gutter={gutter} $ahead={ahead && dueText !== ''}>
          <span>
            {ahead ? (
              dueText
            ) : (
              <LineOfMarks lines={lines} wording={wording} tankId={tank.id} low={lowReadings(plans)} />
            )}
          </span>
        </Words>
      )}
    </GridCell>
  )
}
