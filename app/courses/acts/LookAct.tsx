import { lazy, Suspense, useState } from 'react'
import { taskContents } from '../../../core/courses/acts/task-contents.ts'
import type { CoursePlan } from '../../../core/courses/plan.ts'
import { thisInstant, useNow } from '../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../journal/keeping.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { Button, PlainButton, PrimaryButton } from '../../look/buttons.ts'
import { Line, Small } from '../../look/text.ts'
import type { ActProps } from './act-props.ts'

// The ledger opens with this card: what is filled in of a look comes once it is opened.
const LazyLooks = lazy(async () => ({ default: (await import('./ShortLooks.tsx')).ShortLooks }))

/** Whether what a resting fish eats is the measure: it is scored at the meal, never taken for granted. */
export const isRest = ({ course }: CoursePlan): boolean =>
  course.definition.steps.some(({ due }) => 'by' in due && due.by === 'look-twice')

/** Half an hour of watching: as one, or as short looks spread over the day, each with what to look for. */
export function LookAct(props: ActProps) {
  const { plan, task, next, onForm } = props
  const { journal, settings } = useHousehold()
  const now = useNow()
  const { keep, busy, unkept } = useKeeping()
  const { clock } = settings
  const isResting = isRest(plan)
  const [isOpen, setOpen] = useState(isResting)
  const isToday = clock.dayOf(task.best) === clock.dayOf(now)
  const Do = next ? PrimaryButton : Button
  return (
    <>
      <Line $gap={14}>
        {!isResting && (
          <Do onPress={() => void keep(taskContents(journal, task, plan.course, thisInstant()))} isDisabled={busy}>
            Nothing seen, all ate
          </Do>
        )}
        <PlainButton onPress={() => onForm('sighting')}>something seen</PlainButton>
        {isToday && !isResting && (
          <PlainButton onPress={() => setOpen(!isOpen)} aria-expanded={isOpen}>
            in short looks
          </PlainButton>
        )}
      </Line>
      {unkept && <UnkeptNote unkept={unkept} />}
      {isToday && isOpen && !(isResting && task.state === 'ahead') && (
        <>
          <Small>{isResting ? 'What it eats, how it breathes:' : 'Spread over the day, half an hour together:'}</Small>
          <Suspense fallback={null}>
            <LazyLooks {...props} />
          </Suspense>
        </>
      )}
    </>
  )
}
