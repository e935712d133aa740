import { lazy, Suspense, useState } from 'react'
import { styled } from 'styled-components'
import { ingredientById } from '../../core/catalogue/ingredient.ts'
import { TRANSFER_RULES } from '../../core/catalogue/treatments/treatments.ts'
import { doseContent, taskContents } from '../../core/courses/task-contents.ts'
import type { CoursePlan } from '../../core/courses/plan.ts'
import type { CourseTask } from '../../core/courses/tasks.ts'
import { wordContent } from '../../core/schedule/task.ts'
import { tankById } from '../../core/household/tanks.ts'
import { timeOf } from '../../core/time/words.ts'
import { thisInstant, useNow } from '../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../journal/keeping.tsx'
import { useHousehold } from '../journal/provider.tsx'
import { Button, ButtonLink, PlainButton, PrimaryButton } from '../look/buttons.ts'
import { Bar, Figure, Line, Small, Stack } from '../look/text.ts'
import { measureText } from '../../core/words/measure.ts'
import { figures } from '../../core/words/numbers.ts'
import { DoubtList, useDoubts } from '../safety/Doubts.tsx'
import { ReadInPlace } from './ReadInPlace.tsx'
import { dueWords } from '../schedule/words.ts'
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
  onForm: (form: 'dose' | 'sighting' | 'water-change' | 'reading' | 'move') => void
}

/** Something due in a course, ready to be done in place: its amount, what that makes, and its caution before it is done. */
export function TaskCard({ plan, task, next, heading, onForm }: TaskCardProps) {
  const { journal, settings } = useHousehold()
  const now = useNow()
  const [asking, setAsking] = useState<'skipped' | 'postponed' | null>(null)
  const tank = tankById(journal, task.tankId)
  if (!tank) return null
  const { dose, change } = task
  const canWait = task.kind !== 'move' && task.kind !== 'finish' && task.kind !== 'dilute' && task.kind !== 'join'
  // A step up that is left out would leave the course without its dose: it can only wait.
  const canSkip = canWait && task.kind !== 'ramp' && task.kind !== 'clear'
  return (
    <Stack $gap={6} data-task={task.kind}>
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
        {dose && <Small>{makesText(dose)}</Small>}
        {change && (
          <Small>
            {change.fromMgPerL.toFixed(2)} → {change.toMgPerL.toFixed(2)} mg/L
          </Small>
        )}
        <Small>{task.why}</Small>
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

/** The doing of a task. */
function TaskAct({ plan, task, next, onForm }: Omit<TaskCardProps, 'heading'>) {
  const { journal, settings } = useHousehold()
  const now = useNow()
  const { keep, busy, unkept } = useKeeping()
  const { course } = plan
  const Act = next ? PrimaryButton : Button
  const tank = tankById(journal, task.tankId)!
  const doIt = (withWord: boolean) => {
    const at = thisInstant()
    return keep([...taskContents(journal, task, course, at), ...(withWord ? [wordContent(task, 'done', at)] : [])])
  }
  const note = unkept && <UnkeptNote unkept={unkept} />
  switch (task.kind) {
    case 'read':
      return <ReadInPlace tank={tank} dose={course.dose} primary={next} />
    case 'ramp':
    case 'redose':
      return <DoseAct plan={plan} task={task} next={next} onForm={onForm} />
    case 'dilute':
      return (
        <>
          <Bar $tone="soon">Water matched in temperature and salinity, in slowly; extra air.</Bar>
          <Line>
            <Act onPress={() => void doIt(false)} isDisabled={busy}>
              Log the {measureText(task.change!.litres, 'L', settings.units, 3)} change
            </Act>
            <PlainButton onPress={() => onForm('water-change')}>another amount</PlainButton>
          </Line>
          {note}
        </>
      )
    case 'ammonia':
      return (
        <Line>
          <Act onPress={() => onForm('reading')}>Log what was tested</Act>
        </Line>
      )
    case 'join':
      return (
        <>
          <Line>
            <Act onPress={() => void doIt(false)} isDisabled={busy}>
              It joins
            </Act>
            <PlainButton onPress={() => onForm('move')}>it goes to other water</PlainButton>
          </Line>
          {note}
        </>
      )
    case 'watch':
      return (
        <>
          <Line>
            <Act onPress={() => void doIt(false)} isDisabled={busy}>
              Nothing seen, all ate
            </Act>
            <PlainButton onPress={() => onForm('sighting')}>something seen</PlainButton>
          </Line>
          {note}
        </>
      )
    case 'move':
      return (
        <>
          <Bar $tone="soon">{TRANSFER_RULES.find(({ id }) => id === 'tr-1')!.rule}.</Bar>
          {task.waitsFor && <Small>Waits for: {task.waitsFor.join('; ')}.</Small>}
          {course.moveToTankId === null ? (
            <Small>No tank to move to is set: choose one on the course’s page.</Small>
          ) : (
            <Act
              onPress={() => void doIt(false)}
              isDisabled={busy || task.waitsFor !== undefined || task.state === 'ahead'}
            >
              {task.title} to {tankById(journal, course.moveToTankId)?.name ?? 'a tank not on record'}
            </Act>
          )}
          {note}
        </>
      )
    case 'clear':
      return (
        <>
          <Bar $tone="soon">
            Used carbon and copper water are household waste where local law says so; never into nature.
          </Bar>
          <Act onPress={() => void doIt(false)} isDisabled={busy || task.state === 'ahead'}>
            Carbon is in
          </Act>
          {note}
        </>
      )
    case 'finish':
      return (
        <>
          <Act onPress={() => void doIt(true)} isDisabled={busy || now < task.notBefore}>
            Finish the course
          </Act>
          {now < task.notBefore && <Small>from {timeOf(task.notBefore, settings.clock)} on that day</Small>}
          {note}
        </>
      )
  }
}

/** A dose: its caution first, then the button with the amount; what must never meet it stops it. */
function DoseAct({ plan, task, next, onForm }: Omit<TaskCardProps, 'heading'>) {
  const now = useNow()
  const { keep, busy, unkept } = useKeeping()
  const { course } = plan
  const ingredient = ingredientById(course.dose.agent)
  const content = doseContent(task, course, now)
  const doubts = useDoubts(content ? [content] : [])
  const Act = next ? PrimaryButton : Button
  const log = () => {
    const kept = doseContent(task, course, thisInstant())
    return kept && keep(doubts.answered([kept]))
  }
  return (
    <>
      <Bar $tone="soon">
        {ingredient?.caution} Follow the label; ask a licensed aquatic veterinarian for weak or scaleless fish.
      </Bar>
      <DoubtList doubts={doubts} />
      {task.dose?.belowMeasurable ? (
        <Small>
          {figures(task.dose.massMg)} mg is less than the product’s own measure can tell: make up a thinner stock, or a
          finer syringe.
        </Small>
      ) : content === null ? (
        <div>
          <ButtonLink href="/shelf">Choose a product on the shelf</ButtonLink>
        </div>
      ) : (
        <Line>
          <Act onPress={() => void log()} isDisabled={busy || !doubts.isClear || task.state === 'ahead'}>
            Log {figures(content.amount, 4)} {content.unit}
          </Act>
          <PlainButton onPress={() => onForm('dose')}>other amount</PlainButton>
        </Line>
      )}
      {unkept && <UnkeptNote unkept={unkept} />}
    </>
  )
}
