import { ingredientById } from '../../../core/catalogue/ingredient.ts'
import { isActOff } from '../../../core/courses/acts/act-off.ts'
import { doseContent } from '../../../core/courses/acts/task-contents.ts'
import { packStock, packStockWords } from '../../../core/dosing/pack-stock.ts'
import { capital, figures } from '../../../core/words/numbers.ts'
import { thisInstant, useNow } from '../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../journal/keeping.tsx'
import { Bar, Line, Small } from '../../look/text.ts'
import { Button, ButtonLink, PlainButton, PrimaryButton } from '../../look/buttons.ts'
import { DoubtList, useDoubts } from '../../safety/Doubts.tsx'
import type { ActProps } from './act-props.ts'

/** A dose: its caution first, then the button with the amount; what must never meet it stops it. */
export function DoseAct({ plan, task, next, onForm }: ActProps) {
  const now = useNow()
  const { keep, busy, unkept } = useKeeping()
  const { course } = plan
  const agent = task.ingredient ?? course.dose?.agent ?? course.definition.products[0]?.ingredient ?? ''
  const ingredient = ingredientById(agent)
  const content = doseContent(task, course, now)
  const doubts = useDoubts(content ? [content] : [])
  // Part of a packet is measured by a stock.
  const stock = content?.unit === 'pack' ? packStock(content.amount) : null
  const Do = next ? PrimaryButton : Button
  const log = () => {
    const kept = doseContent(task, course, thisInstant())
    return kept && keep(doubts.answered([kept]))
  }
  return (
    <>
      <Bar $tone="soon">
        {task.caution ?? ingredient?.caution} {task.caution === undefined ? '' : (ingredient?.law ?? '')} Follow the
        label
        {(course.dose || task.ingredient) && ingredient?.kind !== 'salt'
          ? '; ask a licensed aquatic veterinarian for weak or scaleless fish'
          : ''}
        .
      </Bar>
      {stock && <Small>{capital(packStockWords(stock))}</Small>}
      <DoubtList doubts={doubts} />
      {task.dose?.belowMeasurable ? (
        <Small>
          {figures(task.dose.massMg)} mg is less than the product’s own measure can tell: make up a thinner stock, or a
          finer syringe.
        </Small>
      ) : content === null ? (
        <div>
          <ButtonLink href={`/shelf/new?ingredient=${task.ingredient ?? course.dose?.agent ?? ''}`}>
            Add a product to the shelf
          </ButtonLink>
        </div>
      ) : (
        <Line>
          <Do onPress={() => void log()} isDisabled={busy || !doubts.isClear || isActOff(task, now)}>
            Log {figures(content.amount, 4)} {content.unit}
          </Do>
          <PlainButton onPress={() => onForm('dose')}>{task.session ? 'less was used' : 'other amount'}</PlainButton>
        </Line>
      )}
      {unkept && <UnkeptNote unkept={unkept} />}
    </>
  )
}
