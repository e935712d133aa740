import { useState } from 'react'
import { ingredientById } from '../../../core/catalogue/ingredient.ts'
import { bathAmount } from '../../../core/courses/amounts/planned-bath.ts'
import { bathContent } from '../../../core/courses/task-contents.ts'
import { litresFrom } from '../../../core/words/quantities.ts'
import { shownFigure, shownUnit } from '../../../core/words/measure.ts'
import { figures } from '../../../core/words/numbers.ts'
import { FigureField } from '../../fields/plain.tsx'
import type { Problem } from '../../fields/shell.tsx'
import { thisInstant, useNow } from '../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../journal/keeping.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { Button, ButtonLink, PrimaryButton } from '../../look/buttons.ts'
import { Bar, Figure, Line, Small } from '../../look/text.ts'
import { DoubtList, useDoubts } from '../../safety/Doubts.tsx'
import { numberIn } from '../../fields/number-in.ts'
import type { ActProps } from './act-props.ts'

/** A bath: its caution, how much of the product the tub's litres take, and how long they were in. */
export function BathAct({ plan, task, next }: ActProps) {
  const { settings } = useHousehold()
  const now = useNow()
  const { keep, busy, unkept } = useKeeping()
  const [problems, setProblems] = useState<Record<string, Problem>>({})
  const bath = task.bath!
  const [litresText, setLitres] = useState(bath.litres === null ? '' : shownFigure(bath.litres, 'L', settings.units, 3))
  const [minutesText, setMinutes] = useState(String(bath.minutes[0]))
  const typed = numberIn(litresText)
  const litres = typed === null ? null : litresFrom(typed, settings.units)
  const minutes = numberIn(minutesText)
  const measured = litres === null ? null : bathAmount(bath, litres)
  const content = (at: number) =>
    litres === null || minutes === null ? null : bathContent(task, plan.course, at, { litres, minutes })
  const proposed = content(now)
  const doubts = useDoubts(proposed ? [proposed] : [])
  const Do = next ? PrimaryButton : Button
  const send = async () => {
    const found: Record<string, Problem> = {}
    if (litres === null || !(litres > 0)) found['litres'] = { message: 'the water in the tub, such as 4' }
    if (minutes === null || !(minutes > 0))
      found['minutes'] = { message: `minutes, ${bath.minutes[0]} by the handbook` }
    else if (minutes > bath.minutes[1])
      found['minutes'] = { message: `at most ${bath.minutes[1]} min: longer harms the gills` }
    setProblems(found)
    const kept = content(thisInstant())
    if (Object.keys(found).length === 0 && kept) await keep(doubts.answered([kept]))
  }
  return (
    <>
      <Bar $tone="act">{task.caution}</Bar>
      {bath.productId === null ? (
        <div>
          <ButtonLink href={`/shelf/new?ingredient=${bath.ingredient}`}>
            Add {ingredientById(bath.ingredient)?.name ?? 'a product'} to the shelf, then choose it in the course
          </ButtonLink>
        </div>
      ) : (
        <>
          <Line $gap={14}>
            <FigureField
              label="Water in the tub"
              value={litresText}
              onChange={setLitres}
              after={shownUnit('L', settings.units)}
              problem={problems['litres']}
            />
            <FigureField
              label="They were in it"
              value={minutesText}
              onChange={setMinutes}
              after="min"
              problem={problems['minutes']}
            />
          </Line>
          {measured && (
            <Small>
              <Figure $size={26}>
                {figures(measured.amount, 4)} {bath.unit}
              </Figure>{' '}
              → {figures(measured.makesMgPerL, 3)} {bath.levelUnit} in new water of the same temperature and salinity
            </Small>
          )}
          <DoubtList doubts={doubts} />
          <Line>
            <Do
              onPress={() => void send()}
              isDisabled={busy || !doubts.isClear || task.state === 'ahead' || task.waitsFor !== undefined}
            >
              Log the bath
            </Do>
          </Line>
        </>
      )}
      {unkept && <UnkeptNote unkept={unkept} />}
    </>
  )
}
