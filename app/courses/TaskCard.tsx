import { Suspense } from 'react'
import { lazyWhenIdle } from '../frame/when-idle.ts'
import { benchAddress, benchProcedureFor } from '../../core/bench/for-task.ts'
import { takesTool } from '../../core/biosecurity/tools.ts'
import type { PlanPage } from '../../core/catalogue/courses/definitions.ts'
import type { CoursePlan } from '../../core/courses/plan.ts'
import type { CourseTask } from '../../core/courses/tasks.ts'
import { tankById } from '../../core/household/tanks.ts'
import { useHousehold } from '../journal/provider.tsx'
import { PlainLink } from '../look/buttons.ts'
import { Figure, Small } from '../look/text.ts'
import { TaskShell } from '../schedule/TaskShell.tsx'
import { measureText } from '../../core/words/measure.ts'
import { figures } from '../../core/words/numbers.ts'
import type { FormName } from './acts/act-props.ts'
import { TaskAct } from './acts/TaskAct.tsx'
import { alsoForWords } from '../../core/courses/board/also-for-words.ts'
import { waitingOf } from '../../core/courses/warnings/waiting.ts'
import { amountText, makesText } from './words.ts'

const ToolChoice = lazyWhenIdle(async () => ({ default: (await import('../safety/ToolChoice.tsx')).ToolChoice }))

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
  const { journal } = useHousehold()
  if (!tankById(journal, task.tankId)) return null
  const procedure = benchProcedureFor(task)
  return (
    <TaskShell
      task={task}
      kind={task.step}
      heading={heading}
      {...waitingOf(task)}
      figures={<Amount task={task} />}
      notes={
        <>
          {task.how && <Small>{task.how}</Small>}
          {task.alsoFor && <Small>{alsoForWords(journal, task.alsoFor)}</Small>}
          {task.waitsFor && <Small>Waits for: {task.waitsFor.join('; ')}.</Small>}
        </>
      }
    >
      {takesTool(task.act) && task.state !== 'ahead' && (
        <Suspense fallback={null}>
          <ToolChoice task={task} />
        </Suspense>
      )}
      <TaskAct plan={plan} task={task} next={next} onForm={onForm} />
      {task.page !== undefined && (
        <PlainLink href={pageAddress(task.page, task.tankId)}>{PAGE_WORDS[task.page]}</PlainLink>
      )}
      {procedure !== null && <PlainLink href={benchAddress(procedure, task)}>step by step at the bench</PlainLink>}
    </TaskShell>
  )
}

/** Where a step of a plan is worked out, in a few words. */
const PAGE_WORDS: Record<PlanPage, string> = {
  correct: 'work it out by what is taken up',
  uv: 'work it out on the Dose page',
  tally: 'count under the microscope',
  corals: 'the corals of this tank',
  devices: 'hand it to a pump',
}

const PAGE_PATHS: Record<PlanPage, (tankId: string) => string> = {
  correct: (tankId) => `/water/correct?tank=${tankId}`,
  uv: (tankId) => `/dose/uv?tank=${tankId}`,
  tally: (tankId) => `/diagnose/microscope/tally?tank=${tankId}`,
  corals: (tankId) => `/tanks/${tankId}/corals`,
  devices: (tankId) => `/water/devices?tank=${tankId}`,
}

const pageAddress = (page: PlanPage, tankId: string): string => PAGE_PATHS[page](tankId)

/** The number that is acted on, the largest thing of its card, and what it makes. */
function Amount({ task: { dose, makes, change, session, bath, food } }: { task: CourseTask }) {
  const { settings } = useHousehold()
  const number = dose
    ? amountText(dose)
    : change
      ? `${measureText(change.litres, 'L', settings.units, 3)}${change.times > 1 ? ` × ${change.times}` : ''}`
      : session
        ? amountText({ amount: session.amount, unit: session.unit, massMg: session.capMg })
        : bath
          ? `${figures(bath.mgPerL)} ${bath.levelUnit}`
          : food
            ? `${figures(food.mgPerG)} mg in a gram of food`
            : null
  return (
    <>
      {number !== null && (
        <div>
          <Figure $size={30}>{number}</Figure>
        </div>
      )}
      {dose && <Small>{makes ?? makesText(dose)}</Small>}
      {session && (
        <Small>
          at most, for all patches together: {session.tier.label}, {figures(session.capMgPerL)} mg/L in the tank
        </Small>
      )}
      {change?.salinity && (
        <Small>
          {measureText(change.salinity.fromPsu, 'psu', settings.units, 3)} →{' '}
          {measureText(change.salinity.toPsu, 'psu', settings.units, 3)},{' '}
          {change.salinity.replacementPsu === 0
            ? 'fresh water in'
            : `salt water of ${measureText(change.salinity.replacementPsu, 'psu', settings.units, 3)} in`}
        </Small>
      )}
      {change && change.toMgPerL > 0 && (
        <Small>
          {change.fromMgPerL.toFixed(2)} → {change.toMgPerL.toFixed(2)} mg/L
        </Small>
      )}
    </>
  )
}
