import { useVirtualizer } from '@tanstack/react-virtual'
import {
  lazy,
  Suspense,
  useCallback,
  useEffect,
  useLayoutEffect,
  useMemo,
  useRef,
  useState,
  type KeyboardEvent,
  type RefObject,
} from 'react'
import { styled } from 'styled-components'
import { firstDay } from '../../../core/ledger/days.ts'
import { threadsOf } from '../../../core/ledger/threads.ts'
import { tanksOf } from '../../../core/household/tanks.ts'
import type { Day } from '../../../core/time/zone.ts'
import { arrivalTasksOn, useArrivalTasks } from '../../arrivals/useArrivalTasks.ts'
import { dueOn, tankOfPlan, useRunningCourses } from '../../courses/usePlans.ts'
import { Boundary } from '../../frame/boundary/Boundary.tsx'
import { useNow } from '../../frame/now.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { ButtonLink } from '../../look/buttons.ts'
import { Stack, Title } from '../../look/text.ts'
import { useIsPhone, useWidth } from '../../look/useWidth.ts'
import { dayAs } from '../../../core/time/words.ts'
import { ColumnHead } from './ColumnHead.tsx'
import { columnsOf, PHONE_RULER, phoneColumn, RULER, type Column } from './columns.ts'
import { DayRow } from './DayRow.tsx'
import { countsByTank, dueInHousehold } from './due.ts'
import { DueList } from './DueList.tsx'
import { LateBar } from './LateBar.tsx'
import { cellId, GridActionsContext, type CellPlace } from './GridCell.tsx'
import { useBeside } from './opened.ts'
import { ArrivalsContext, PlansContext } from './plans.ts'
import { pressingThings } from './PressingList.tsx'
import { TankTabs } from './TankTabs.tsx'
import { TodayRow } from './TodayRow.tsx'

const BrokenCourses = lazy(async () => ({
  default: (await import('../../courses/BrokenCourses.tsx')).BrokenCourses,
}))
const BackupLine = lazy(async () => ({ default: (await import('../../journal/BackupLine.tsx')).BackupLine }))
const Panel = lazy(async () => ({ default: (await import('./Panel.tsx')).Panel }))

const DAYS_AHEAD = 21
const PAST_SHOWN = 5
const ROW = 28
const PHONE_ROW = 44
const TODAY_GUESS = 300

const Layout = styled.div`
  height: 100%;
  display: flex;
  min-width: 0;
`

const Left = styled.div`
  flex: 1;
  min-width: 0;
  display: flex;
  flex-direction: column;
`

const Scroller = styled.div`
  flex: 1;
  min-height: 0;
  overflow: auto;
  position: relative;
  background: var(--ground);
`

const HeadRow = styled.div<{ $tall: boolean }>`
  position: sticky;
  top: 0;
  z-index: 4;
  display: flex;
  height: ${({ $tall }) => ($tall ? 106 : 66)}px;
  background: var(--sheet);
  border-bottom: 2px solid var(--ink);
`

const Corner = styled.div`
  position: sticky;
  left: 0;
  z-index: 3;
  flex: none;
  padding: 12px 2px 0 10px;
  background: var(--sheet);
  border-right: 1px solid var(--strong-rule);
  color: var(--quiet);
  font-size: 14px;
  line-height: 1.3;
`

const Count = styled.div<{ $late?: boolean }>`
  color: var(--ink);
  ${({ $late }) => $late && 'color: var(--act); font-weight: 700;'}
`

const Empty = styled.div`
  padding: 48px 24px;
  max-width: 560px;
`

/** The home of the app: days run down, tanks run across. */
export function Ledger() {
  const { journal } = useHousehold()
  if (tanksOf(journal).length === 0)
    return (
      <Empty>
        <Stack>
          <Title>The ledger is empty</Title>
          <p>
            Every tank gets a column here, every day a line. Set up the first tank: with its dimensions Brinvo works out
            how much water it really holds.
          </p>
          <div>
            <ButtonLink href="/tanks/new">Set up a tank</ButtonLink>
          </div>
        </Stack>
      </Empty>
    )
  return <LedgerGrid />
}

function useColumns(
  room: number,
  isPhone: boolean,
  phoneTank: string | null,
  endOfToday: number,
  waiting: ReadonlySet<string>,
): { columns: Column[]; unfold: (tankId: string) => void } {
  const { journal, revision } = useHousehold()
  const [opened, setOpened] = useState<ReadonlySet<string>>(new Set())
  const columns = useMemo(() => {
    if (!isPhone) return columnsOf(journal, room, opened, endOfToday, waiting)
    const tanks = tanksOf(journal)
    return [phoneColumn(journal, tanks.find(({ id }) => id === phoneTank) ?? tanks[0]!, room)]
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the revision says when the journal has grown
  }, [journal, revision, room, opened, isPhone, phoneTank, endOfToday, waiting])
  const unfold = useCallback((tankId: string) => setOpened((before) => new Set([...before, tankId])), [])
  return { columns, unfold }
}

function LedgerGrid() {
  const { journal, settings, revision, which } = useHousehold()
  const now = useNow()
  const isPhone = useIsPhone()
  const scroller = useRef<HTMLDivElement>(null)
  const ruler = isPhone ? PHONE_RULER : RULER
  const room = Math.max(0, useWidth(scroller) - ruler)
  const [phoneTank, setPhoneTank] = useState<string | null>(null)
  const [beside, openBeside] = useBeside()
  const { plans, broken } = useRunningCourses()
  const arriving = useArrivalTasks()
  const { threads } = threadsOf(journal)
  const { clock } = settings
  const today = clock.dayOf(now)
  const household = useMemo(
    () => dueInHousehold(journal, plans, arriving, today, clock, now),
    [journal, plans, arriving, today, clock, now],
  )
  const waitingIn = [...countsByTank(household).keys()].sort().join(' ')
  // Told by its words, so that a task done elsewhere does not lay the columns out again.
  const waiting = useMemo(() => new Set(waitingIn.split(' ')), [waitingIn])
  const { columns, unfold } = useColumns(room, isPhone, phoneTank, clock.instantAt(today + 1), waiting)
  const isDueShown = isPhone && phoneTank === null
  const lateHere = household.filter(({ urgency }) => urgency.state === 'late')
  const start = firstDay(journal, clock, today)
  const count = today - start + 1 + DAYS_AHEAD
  const todayIndex = today - start
  const rowHeight = isPhone ? PHONE_ROW : ROW
  const due = columns.flatMap(({ tank }) => [
    ...dueOn(plans, tank.id, today, today, clock).map(({ task }) => task),
    ...arrivalTasksOn(arriving, tank.id, today, today, clock),
  ])
  const late = due.filter(({ state }) => state === 'late').length
  const hasCourses = columns.some(({ tank }) => plans.some((plan) => tankOfPlan(plan) === tank.id))
  const width = columns.reduce((sum, column) => sum + column.width, 0)
  const pastShown = isPhone ? 1 : PAST_SHOWN

  // The same functions from render to render: new ones would have every day of the journal measured again.
  const sizeOf = useCallback(
    (index: number) => (index === todayIndex ? TODAY_GUESS : rowHeight),
    [todayIndex, rowHeight],
  )
  const keyOf = useCallback((index: number) => start + index, [start])
  const rows = useVirtualizer({
    count,
    getScrollElement: () => scroller.current,
    estimateSize: sizeOf,
    overscan: 8,
    getItemKey: keyOf,
  })
  useEffect(() => rows.measure(), [rows, rowHeight, todayIndex])
  useStartAtToday(scroller, room > 0, Math.max(0, todayIndex - pastShown) * rowHeight)

  const [active, setActive] = useState<CellPlace>({ day: today, column: 0 })
  const goTo = useCallback(
    (place: CellPlace) => {
      const index = Math.max(0, Math.min(count - 1, place.day - start))
      const column = Math.max(0, Math.min(columns.length - 1, place.column))
      const next = { day: start + index, column }
      setActive(next)
      rows.scrollToIndex(index, { align: 'auto' })
      // The row may only now come onto the page.
      requestAnimationFrame(() =>
        requestAnimationFrame(() => document.getElementById(cellId(next.day, next.column))?.focus()),
      )
    },
    [count, start, columns.length, rows],
  )
  useLedgerEvents((to) => {
    if (to.today) {
      rows.scrollToIndex(Math.max(0, todayIndex - pastShown), { align: 'start' })
      goTo({ day: today, column: active.column })
    } else if (to.column !== undefined && to.column < columns.length) goTo({ day: active.day, column: to.column })
  })

  const actions = useMemo(
    () => ({ open: (day: Day, tankId: string) => openBeside({ show: 'day', tankId, day }), focused: setActive }),
    [openBeside],
  )
  const onKeyDown = (event: KeyboardEvent) => {
    const step = ARROWS[event.key]
    if (step && (event.target as HTMLElement).getAttribute('role') === 'gridcell') {
      event.preventDefault()
      goTo({ day: active.day + step[0], column: active.column + step[1] })
    }
  }
  const close = () => {
    openBeside(null)
    document.getElementById(cellId(active.day, active.column))?.focus()
  }

  return (
    <GridActionsContext.Provider value={actions}>
      <PlansContext.Provider value={plans}>
        <ArrivalsContext.Provider value={arriving}>
          <Layout onKeyDown={(event) => event.key === 'Escape' && beside && close()}>
            <h1 className="visually-hidden">Ledger</h1>
            {!(isPhone && beside) && (
              <Left>
                {broken.length > 0 && (
                  <Suspense fallback={null}>
                    <BrokenCourses broken={broken} />
                  </Suspense>
                )}
                {which === 'mine' && (
                  <Suspense fallback={null}>
                    <BackupLine />
                  </Suspense>
                )}
                {isPhone && <TankTabs shown={phoneTank} due={household} onShow={setPhoneTank} />}
                {!isPhone && lateHere.length > 0 && width > room && (
                  <LateBar
                    late={lateHere}
                    onGo={(tankId) => goTo({ day: today, column: columns.findIndex(({ tank }) => tank.id === tankId) })}
                  />
                )}
                {isDueShown && (
                  <DueList
                    due={household}
                    tanks={columns.map(({ tank }) => tank)}
                    things={pressingThings(journal, plans, clock.instantAt(today + 1))}
                  />
                )}
                <Scroller
                  hidden={isDueShown}
                  ref={scroller}
                  role="grid"
                  aria-label="Ledger"
                  aria-rowcount={count + 1}
                  aria-colcount={columns.length + 1}
                  onKeyDown={onKeyDown}
                >
                  {room > 0 && (
                    <>
                      <HeadRow role="row" aria-rowindex={1} $tall={hasCourses} style={{ width: ruler + width }}>
                        <Corner role="columnheader" style={{ width: ruler }}>
                          {dayAs(today, 'MMMM').slice(0, ruler < 80 ? 3 : 9)}
                          <br />
                          {dayAs(today, 'yyyy')}
                          {due.length > 0 && <Count>{due.length} due</Count>}
                          {late > 0 && <Count $late>{late} late</Count>}
                        </Corner>
                        {columns.map((column) => (
                          <div key={column.tank.id} role="columnheader" style={{ width: column.width, flex: 'none' }}>
                            <ColumnHead column={column} onUnfold={() => unfold(column.tank.id)} />
                          </div>
                        ))}
                      </HeadRow>
                      <div
                        role="rowgroup"
                        style={{ position: 'relative', height: rows.getTotalSize(), width: ruler + width }}
                      >
                        {rows.getVirtualItems().map(({ index, start: offset, size }) => {
                          const shared = {
                            day: start + index,
                            columns,
                            threads,
                            ruler,
                            width,
                            offset,
                            rowIndex: index + 2,
                            active,
                          }
                          return index === todayIndex ? (
                            <TodayRow key="today" {...shared} index={index} measure={rows.measureElement} />
                          ) : (
                            <DayRow key={index} {...shared} today={today} height={size} revision={revision} />
                          )
                        })}
                      </div>
                    </>
                  )}
                </Scroller>
              </Left>
            )}
            {beside && (
              <Boundary name="This panel" extent="part" resets={[beside]}>
                <Suspense fallback={null}>
                  <Panel beside={beside} onOpen={openBeside} onClose={close} />
                </Suspense>
              </Boundary>
            )}
          </Layout>
        </ArrivalsContext.Provider>
      </PlansContext.Provider>
    </GridActionsContext.Provider>
  )
}

/** Opens the ledger with today in view, once there is something to scroll. */
function useStartAtToday(scroller: RefObject<HTMLElement | null>, isDrawn: boolean, offset: number): void {
  const begun = useRef(false)
  useLayoutEffect(() => {
    if (!isDrawn || begun.current || !scroller.current) return
    begun.current = true
    scroller.current.scrollTo({ top: offset })
  }, [scroller, isDrawn, offset])
}

const ARROWS: Record<string, readonly [days: number, columns: number]> = {
  ArrowUp: [-1, 0],
  ArrowDown: [1, 0],
  ArrowLeft: [0, -1],
  ArrowRight: [0, 1],
}

/** Hears of `.` and the digits, which are pressed anywhere. */
function useLedgerEvents(go: (to: { today?: boolean; column?: number }) => void): void {
  const latest = useRef(go)
  useEffect(() => {
    latest.current = go
  })
  useEffect(() => {
    const hear = (event: Event) => latest.current((event as CustomEvent<{ today?: boolean; column?: number }>).detail)
    window.addEventListener('brinvo-ledger', hear)
    return () => window.removeEventListener('brinvo-ledger', hear)
  }, [])
}
