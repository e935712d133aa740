import { useMemo } from 'react'
import { courseFrom } from '../../../../core/courses/course.ts'
import { coursePlan } from '../../../../core/courses/plan.ts'
import type { CoursePreview } from '../../../../core/courses/outlook/preview.ts'
import type { ContentOf } from '../../../../core/journal/entry.ts'
import { dayAs, dayBeside, timeOf } from '../../../../core/time/words.ts'
import { MS_PER_DAY } from '../../../../core/time/zone.ts'
import { amountText, taskAmountText } from '../../../courses/words.ts'
import { useNow } from '../../../frame/now.tsx'
import { useHousehold } from '../../../journal/provider.tsx'
import { Figure, Heading, Line, Rows, Small } from '../../../look/text.ts'

/** The course of a held drug before it starts: its first days and its end. */
export function DrugCalendar({ preview, isMoving }: { preview: CoursePreview; isMoving: boolean }) {
  const { settings } = useHousehold()
  const now = useNow()
  const { clock } = settings
  const day = (ms: number) => dayAs(clock.dayOf(ms), 'EEEE d MMMM')
  const rows = useMemo(
    () => [
      { when: preview.fullAt, what: isMoving ? 'the count is full: the fish move' : 'the count is full: carbon in' },
      { when: preview.observedFrom.least, what: 'watched without any drug, 14 days at least' },
      { when: preview.observedFrom.preferred, what: '28 days are better' },
    ],
    [preview, isMoving],
  )
  return (
    <section>
      <Heading>If all goes by the book</Heading>
      <Rows>
        {preview.steps.map(({ at, dose }, i) => (
          <li key={at}>
            <Line style={{ justifyContent: 'space-between' }}>
              <span>
                <Figure $size={i === 0 ? 26 : 18}>{amountText(dose)}</Figure> → {dose.makesMgPerL.toFixed(2)} mg/L
              </span>
              <Small>
                {at <= now ? 'now' : `${dayBeside(clock.dayOf(at), clock.dayOf(now))} ${timeOf(at, clock)}`}
              </Small>
            </Line>
          </li>
        ))}
        <li>in range from {day(preview.inRangeAt)}, if a reading says so; read daily</li>
        {rows.map(({ when, what }) => (
          <li key={what}>
            {day(when)}: {what}
          </li>
        ))}
      </Rows>
    </section>
  )
}

const MOST_ROWS = 14
/** What is shown of a calendar: not what comes every day. */
const SHOWN = new Set(['move', 'bath', 'dose', 'change', 'tick', 'close'])

/** A course of moves, or a plan, before it starts: what would be due when, if all goes by the book. */
export function StepsCalendar({ start }: { start: ContentOf<'course-start'> }) {
  const { journal, settings } = useHousehold()
  const { clock } = settings
  const at = Date.parse(start.happened)
  const course = courseFrom(start, at)
  const plan = course && coursePlan(journal, course, settings, at, clock.dayOf(at + 60 * MS_PER_DAY))
  if (!plan) return null
  const shown = [...plan.tasks]
    .filter(({ act, step }) => SHOWN.has(act) && step !== 'join')
    .sort((a, b) => a.best - b.best)
    .slice(0, MOST_ROWS)
  return (
    <section>
      <Heading>If all goes by the book</Heading>
      <Rows>
        {shown.map((task) => (
          <li key={task.id}>
            <Line style={{ justifyContent: 'space-between' }}>
              <span>
                {task.title} {taskAmountText(task) && <Figure $size={18}>{taskAmountText(task)}</Figure>}
              </span>
              <Small>
                {dayAs(clock.dayOf(task.best), 'EEE d MMM')} {timeOf(task.best, clock)}
              </Small>
            </Line>
          </li>
        ))}
      </Rows>
    </section>
  )
}
