import { lazy, Suspense, useState } from 'react'
import { styled } from 'styled-components'
import type { CoursePlan } from '../../core/courses/plan.ts'
import type { CourseTask } from '../../core/courses/tasks.ts'
import { tankById } from '../../core/household/tanks.ts'
import { useNow } from '../frame/now.tsx'
import { useHousehold } from '../journal/provider.tsx'
import { PlainButton } from '../look/buttons.ts'
import { Figure, Line, Small, Stack } from '../look/text.ts'
import { measureText } from '../../core/words/measure.ts'
import { figures } from '../../core/words/numbers.ts'
import { dueWords } from '../schedule/words.ts'
import { TaskAct, type FormName } from './acts/TaskAct.tsx'
import { waitingOf } from './acts/waiting.ts'
import { amountText, makesText } from './words.ts'

const TaskWordForm = lazy(async () => ({ default: (await import('../schedule/TaskWordForm.tsx')).TaskWordForm }))

const Due = styled.div<{ $late: boolean }>`
  font-size: 14.5px;
  color: var(--quiet);
  ${({ $late }) => $late && 'color: var(--act); font-weight: 700;'}
`

const Name = styled.h3`
  font-size: 17px;
  line-height: 1.25;
`

interface TaskCardProps {
  plan: CoursePlan
  task: CourseTask
  /** The level its name has among the page's headings. */
  heading: 'h2' | 'h3'
  /** Whether it is the one to do next: its button stands out. */
  next: boolean
  /** Opens a form for another amount, or for what was seen. */
  onForm: (form: FormName) => void
}

/** Something due in a course, ready to be done in place: its amount, what that makes, and its caution before it is done. */
export function TaskCard({ plan, task, next, heading, onForm }: TaskCardProps) {
  const { journal, settings } = useHousehold()
  const now = useNow()
  const [asking, setAsking] = useState<'skipped' | 'postponed' | null>(null)
  const tank = tankById(journal, task.tankId)
  if (!tank) return null
  const { dose, change, session, bath } = task
  const { canWait, canSkip } = waitingOf(task)
  return (
    <Stack $gap={6} data-task={task.step}>
      <div>
        <Due $late={task.state === 'late'}>{dueWords(task, now, settings.clock)}</Due>
        <Name as={heading}>{task.title}</Name>
        {dose && (
          <div>
            <Figure $size={30}>{amountText(dose)}</Figure>
          </div>
        )}
        {change && (
          <div>
            <Figure $size={30}>
              {measureText(change.litres, 'L', settings.units, 3)}
              {change.times > 1 && ` × ${change.times}`}
            </Figure>
          </div>
        )}
        {session && (
          <div>
            <Figure $size={30}>
              {session.amount === null
                ? `${figures(session.capMg)} mg`
                : `${figures(session.amount, 4)} ${session.unit}`}
            </Figure>
          </div>
        )}
        {bath && (
          <div>
            <Figure $size={30}>{figures(bath.mgPerL)} mg/L</Figure>
          </div>
        )}
        {dose && <Small>{makesText(dose)}</Small>}
        {session && (
          <Small>
            at most, for all patches together: {session.tier.label}, {figures(session.capMgPerL)} mg/L in the tank
          </Small>
        )}
        {change && change.toMgPerL > 0 && (
          <Small>
            {change.fromMgPerL.toFixed(2)} → {change.toMgPerL.toFixed(2)} mg/L
          </Small>
        )}
        <Small>{task.why}</Small>
        {task.how && <Small>{task.how}</Small>}
        {task.waitsFor && <Small>Waits for: {task.waitsFor.join('; ')}.</Small>}
      </div>
      {asking ? (
        <Suspense fallback={null}>
          <TaskWordForm task={task} state={asking} onDone={() => setAsking(null)} />
        </Suspense>
      ) : (
        <>
          <TaskAct plan={plan} task={task} next={next} onForm={onForm} />
          {canWait && (
            <Line $gap={18}>
              <PlainButton onPress={() => setAsking('postponed')} aria-label={`Put off: ${task.title}`}>
                put off
              </PlainButton>
              {canSkip && (
                <PlainButton onPress={() => setAsking('skipped')} aria-label={`Skip: ${task.title}`}>
                  skip
                </PlainButton>
              )}
            </Line>
          )}
        </>
      )}
    </Stack>
  )
}
