import { useState } from 'react'
import { ingredientById } from '../../../core/catalogue/ingredient.ts'
import { bathAmount } from '../../../core/courses/amounts/planned-bath.ts'
import { isActOff } from '../../../core/courses/acts/act-off.ts'
import { proposedRead, type ActProblems } from '../../../core/courses/acts/act-read.ts'
import { readBath } from '../../../core/courses/acts/read-bath.ts'
import { litresFrom } from '../../../core/words/quantities.ts'
import { shownFigure, shownUnit } from '../../../core/words/measure.ts'
import { figures } from '../../../core/words/numbers.ts'
import { FigureField } from '../../fields/plain.tsx'
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
  const [problems, setProblems] = useState<ActProblems>({})
  const bath = task.bath!
  const [litresText, setLitres] = useState(bath.litres === null ? '' : shownFigure(bath.litres, 'L', settings.units, 3))
  const [minutesText, setMinutes] = useState(String(bath.minutes[0]))
  const typed = numberIn(litresText)
  const litres = typed === null ? null : litresFrom(typed, settings.units)
  const minutes = numberIn(minutesText)
  const measured = litres === null ? null : bathAmount(bath, litres)
  const read = (at: number) => readBath(task, plan.course, { litres, minutes }, at)
  const doubts = useDoubts(proposedRead(read(now)))
  const Do = next ? PrimaryButton : Button
  const send = async () => {
    const answer = read(thisInstant())
    setProblems('problems' in answer ? answer.problems : {})
    if ('contents' in answer) await keep(doubts.answered(answer.contents))
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
            <Do onPress={() => void send()} isDisabled={busy || !doubts.isClear || isActOff(task, now)}>
              Log the bath
            </Do>
          </Line>
        </>
      )}
      {unkept && <UnkeptNote unkept={unkept} />}
    </>
  )
}
