import { useState } from 'react'
import { isActOff } from '../../../core/courses/acts/act-off.ts'
import { USUAL_MEAL_G } from '../../../core/courses/amounts/planned-food.ts'
import { foodContent, pumpsOffContent } from '../../../core/courses/acts/task-contents.ts'
import { wordContent } from '../../../core/schedule/task.ts'
import { figures } from '../../../core/words/numbers.ts'
import { FigureField } from '../../fields/plain.tsx'
import type { Problem } from '../../fields/shell.tsx'
import { thisInstant, useNow } from '../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../journal/keeping.tsx'
import { Button, PrimaryButton } from '../../look/buttons.ts'
import { Bar, Figure, Line, Small } from '../../look/text.ts'
import { DoubtList, useDoubts } from '../../safety/Doubts.tsx'
import { numberIn } from '../../fields/number-in.ts'
import type { ActProps } from './act-props.ts'

/** A meal: a plain one is ticked, a medicated one is weighed, with its caution first. */
export function FeedAct({ plan, task, next }: ActProps) {
  const now = useNow()
  const { keep, busy, unkept } = useKeeping()
  const [text, setText] = useState(String(USUAL_MEAL_G))
  const [problem, setProblem] = useState<Problem | undefined>()
  const { food } = task
  const foodG = numberIn(text)
  const content = (at: number) => (foodG === null ? null : foodContent(task, plan.course, at, foodG))
  const proposed = content(now)
  const doubts = useDoubts(proposed ? [proposed] : [])
  const Do = next ? PrimaryButton : Button
  const isOff = busy || isActOff(task, now)
  // The timer that calls for the pumps again is a step of its own.
  const hasPumps = plan.course.definition.steps.some(({ id }) => id === 'pumps-on')
  const Fed = hasPumps ? Button : Do
  if (!food)
    return (
      <>
        {task.caution && <Bar $tone="soon">{task.caution}</Bar>}
        <Line>
          {hasPumps && (
            <Do
              onPress={() =>
                void keep([pumpsOffContent(plan.course, thisInstant()), wordContent(task, 'done', thisInstant())])
              }
              isDisabled={isOff}
            >
              Pumps off, fed
            </Do>
          )}
          <Fed onPress={() => void keep([wordContent(task, 'done', thisInstant())])} isDisabled={isOff}>
            Fed
          </Fed>
        </Line>
        {unkept && <UnkeptNote unkept={unkept} />}
      </>
    )
  const send = async () => {
    const kept = content(thisInstant())
    setProblem(kept ? undefined : { message: 'grams of food, such as 2' })
    if (kept) await keep(doubts.answered([kept]))
  }
  return (
    <>
      <Bar $tone="soon">{task.caution}</Bar>
      <FigureField label="Food" value={text} onChange={setText} after="g" problem={problem} />
      {foodG !== null && foodG > 0 && (
        <Small>
          <Figure $size={22}>
            {food.amountPerG === null
              ? `${figures(food.mgPerG * foodG, 3)} mg`
              : `${figures(food.amountPerG * foodG, 3)} ${food.unit}`}
          </Figure>{' '}
          bound to {figures(foodG, 3)} g of food: {figures(food.mgPerG)} mg a gram
        </Small>
      )}
      <DoubtList doubts={doubts} />
      <Line>
        <Do onPress={() => void send()} isDisabled={isOff || !doubts.isClear}>
          Fed
        </Do>
      </Line>
      {unkept && <UnkeptNote unkept={unkept} />}
    </>
  )
}
