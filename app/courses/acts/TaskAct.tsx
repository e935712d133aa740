import { Suspense, type ReactNode } from 'react'
import type { Act } from '../../../core/catalogue/courses/definitions.ts'
import { TRANSFER_RULES } from '../../../core/catalogue/treatments/transfer-rules.data.ts'
import { isActOff } from '../../../core/courses/acts/act-off.ts'
import { taskContents } from '../../../core/courses/acts/task-contents.ts'
import { wordContent } from '../../../core/schedule/task.ts'
import { tankById } from '../../../core/household/tanks.ts'
import { countdownText, timeOf } from '../../../core/time/words.ts'
import { MS_PER_HOUR } from '../../../core/time/zone.ts'
import { LESION_STEP } from '../../../core/watching/lesion-words.ts'
import { measureText } from '../../../core/words/measure.ts'
import { lazyWhenIdle } from '../../frame/when-idle.ts'
import { thisInstant, useNow } from '../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../journal/keeping.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { Button, PlainButton, PrimaryButton } from '../../look/buttons.ts'
import { Bar, Figure, Line, Small } from '../../look/text.ts'
import { DoubtList, useDoubts } from '../../safety/Doubts.tsx'
import { ReadInPlace } from '../ReadInPlace.tsx'
import { DoseAct } from './DoseAct.tsx'
import { LookAct } from './LookAct.tsx'
import type { ActProps } from './act-props.ts'

const LazyBath = lazyWhenIdle(async () => ({ default: (await import('./BathAct.tsx')).BathAct }))
const LazyFeed = lazyWhenIdle(async () => ({ default: (await import('./FeedAct.tsx')).FeedAct }))
const LazyDip = lazyWhenIdle(async () => ({ default: (await import('./DipAct.tsx')).DipAct }))
const LazyDipCount = lazyWhenIdle(async () => ({ default: (await import('./DipCountAct.tsx')).DipCountAct }))
const LazyMeasure = lazyWhenIdle(async () => ({ default: (await import('./counting.ts')).MeasureAct }))
const LazyLevel = lazyWhenIdle(async () => ({ default: (await import('../../water/LevelLine.tsx')).LevelLine }))
const LazyHeads = lazyWhenIdle(async () => ({ default: (await import('./HeadCountAct.tsx')).HeadCountAct }))
const LazySwitches = lazyWhenIdle(async () => ({ default: (await import('./SwitchesAct.tsx')).SwitchesAct }))
const LazyReason = lazyWhenIdle(async () => ({ default: (await import('./CloseByReason.tsx')).CloseByReason }))
const LazyLesion = lazyWhenIdle(async () => ({ default: (await import('./LesionAct.tsx')).LesionAct }))
const LazyCount = lazyWhenIdle(async () => ({ default: (await import('./counting.ts')).CountAct }))

/** Where a button will stand: what is below it does not jump when it comes. */
const ROOM = <div style={{ minHeight: 44 }} />

/** The doing of each act. A test asks for one an act. */
export const ACTS: Record<Act, (props: ActProps) => ReactNode> = {
  dose: DoseAct,
  bath: (props) => (
    <Suspense fallback={ROOM}>{props.task.dip ? <LazyDip {...props} /> : <LazyBath {...props} />}</Suspense>
  ),
  feed: (props) => (
    <Suspense fallback={ROOM}>
      <LazyFeed {...props} />
    </Suspense>
  ),
  change: ChangeAct,
  read: ReadAct,
  count: (props) => (
    <Suspense fallback={ROOM}>
      {props.task.measure === 'patch-stage' ? (
        <LazyCount {...props} />
      ) : props.task.measure === 'head-count' ? (
        <LazyHeads {...props} />
      ) : props.plan.dips ? (
        <LazyDipCount {...props} />
      ) : (
        <LazyMeasure {...props} />
      )}
    </Suspense>
  ),
  look: (props) =>
    props.task.step === LESION_STEP ? (
      <Suspense fallback={ROOM}>
        <LazyLesion {...props} />
      </Suspense>
    ) : (
      <LookAct {...props} />
    ),
  move: MoveAct,
  switch: SwitchAct,
  bench: TickAct,
  tick: (props) =>
    props.task.switches || props.task.moves ? (
      <Suspense fallback={ROOM}>
        <LazySwitches {...props} />
      </Suspense>
    ) : (
      <TickAct {...props} />
    ),
  mark: TickAct,
  close: (props) =>
    props.task.needsReason ? (
      <Suspense fallback={ROOM}>
        <LazyReason {...props} />
      </Suspense>
    ) : (
      <CloseAct {...props} />
    ),
}

/** The doing of a task: its caution first, then its button. */
export function TaskAct(props: ActProps) {
  const Doing = ACTS[props.task.act]
  return <Doing {...props} />
}

/** Keeps what a task's own button stands for. */
function useDoing({ plan, task }: ActProps) {
  const { journal } = useHousehold()
  const { keep, busy, unkept } = useKeeping()
  const contents = (at: number, withWord: boolean) => [
    ...taskContents(journal, task, plan.course, at),
    ...(withWord ? [wordContent(task, 'done', at)] : []),
  ]
  const doIt = (withWord = false) => keep(contents(thisInstant(), withWord))
  return { doIt, contents, keep, busy, note: unkept && <UnkeptNote unkept={unkept} /> }
}

function ReadAct({ plan, task, next, onForm }: ActProps) {
  const { journal } = useHousehold()
  const tank = tankById(journal, task.tankId)
  const { dose } = plan.course
  const level =
    plan.salinity && tank ? (
      <Suspense fallback={null}>
        <LazyLevel tank={tank} />
      </Suspense>
    ) : null
  if (task.step === 'read' && dose && tank) return <ReadInPlace tank={tank} dose={dose} primary={next} />
  const Do = next ? PrimaryButton : Button
  return (
    <>
      {level}
      <Line>
        <Do onPress={() => onForm('reading')}>Log what was tested</Do>
      </Line>
    </>
  )
}

function ChangeAct(props: ActProps) {
  const { settings } = useHousehold()
  const { doIt, busy, note } = useDoing(props)
  const { task, next, onForm } = props
  const Do = next ? PrimaryButton : Button
  if (!task.change)
    return (
      <Line>
        <Do onPress={() => onForm('water-change')}>Log the change</Do>
      </Line>
    )
  return (
    <>
      <Bar $tone="soon">
        {task.change.salinity
          ? `Water of the same temperature, in slowly; extra air. ${task.caution ?? ''}`
          : 'Water matched in temperature and salinity, in slowly; extra air.'}
      </Bar>
      <Line>
        <Do onPress={() => void doIt()} isDisabled={busy || isActOff(task, thisInstant())}>
          Log the {measureText(task.change.litres, 'L', settings.units, 3)} change
        </Do>
        <PlainButton onPress={() => onForm('water-change')}>another amount</PlainButton>
      </Line>
      {note}
    </>
  )
}

function MoveAct(props: ActProps) {
  const { journal } = useHousehold()
  const now = useNow()
  const { contents, keep, busy, note } = useDoing(props)
  const { task } = props
  const isWaiting = isActOff(task, now)
  const doubts = useDoubts(isWaiting ? [] : contents(now, false))
  const Do = props.next ? PrimaryButton : Button
  const to = task.toTankId === undefined ? null : tankById(journal, task.toTankId)
  const title = to && !task.title.endsWith(to.name) ? `${task.title} to ${to.name}` : task.title
  return (
    <>
      <Bar $tone="soon">{task.caution ?? `${TRANSFER_RULES.find(({ id }) => id === 'tr-1')!.rule}.`}</Bar>
      <DoubtList doubts={doubts} />
      {task.toTankId === undefined ? (
        <Small>No tank to move to is set: choose one on the course’s page.</Small>
      ) : (
        <Do
          onPress={() => void keep(doubts.answered(contents(thisInstant(), false)))}
          isDisabled={busy || isWaiting || !doubts.isClear}
        >
          {to ? title : `${task.title} to a tank not on record`}
        </Do>
      )}
      {note}
    </>
  )
}

function SwitchAct(props: ActProps) {
  const { doIt, busy, note } = useDoing(props)
  const now = useNow()
  const Do = props.next ? PrimaryButton : Button
  if (props.task.step === 'pumps-on')
    return (
      <>
        <Figure $size={30} role="timer" style={now > props.task.notAfter ? { color: 'var(--act)' } : undefined}>
          {countdownText((props.task.notAfter - now) / MS_PER_HOUR)}
        </Figure>
        <Do onPress={() => void doIt()} isDisabled={busy}>
          Pumps are on
        </Do>
        {note}
      </>
    )
  return (
    <>
      <Bar $tone="soon">
        Used carbon and medicated water are household waste where local law says so; never into nature.
      </Bar>
      <Do onPress={() => void doIt()} isDisabled={busy || isActOff(props.task, now)}>
        {props.task.step === 'carbon-out' ? 'Carbon is out' : 'Carbon is in'}
      </Do>
      {note}
    </>
  )
}

function TickAct(props: ActProps) {
  const { doIt, busy, note } = useDoing(props)
  const { task, onForm } = props
  const Do = props.next ? PrimaryButton : Button
  if (task.step === 'join')
    return (
      <>
        <Line>
          <Do onPress={() => void doIt()} isDisabled={busy}>
            It joins
          </Do>
          <PlainButton onPress={() => onForm('move')}>it goes to other water</PlainButton>
        </Line>
        {note}
      </>
    )
  return (
    <>
      {task.caution && <Bar $tone="soon">{task.caution}</Bar>}
      <Line>
        <Do onPress={() => void doIt()} isDisabled={busy || isActOff(task, thisInstant())}>
          {task.step === 'sterilise'
            ? 'Bleached, rinsed, drying'
            : task.act === 'mark'
              ? 'The treatment is over'
              : 'Done'}
        </Do>
      </Line>
      {note}
    </>
  )
}

function CloseAct(props: ActProps) {
  const { settings } = useHousehold()
  const now = useNow()
  const { doIt, busy, note } = useDoing(props)
  const { task } = props
  const Do = props.next ? PrimaryButton : Button
  const isPlan = props.plan.course.definition.kind === 'plan'
  return (
    <>
      <Do onPress={() => void doIt(true)} isDisabled={busy || isActOff(task, now)}>
        {isPlan ? 'Finish the plan' : 'Finish the course'}
      </Do>
      {now < task.notBefore && <Small>from {timeOf(task.notBefore, settings.clock)} on that day</Small>}
      {note}
    </>
  )
}
