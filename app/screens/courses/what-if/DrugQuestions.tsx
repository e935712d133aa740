import { useState } from 'react'
import { ingredientById } from '../../../../core/catalogue/ingredient.ts'
import { isCopper } from '../../../../core/catalogue/treatments/groups.ts'
import type { DrugPlan } from '../../../../core/courses/plan.ts'
import { ifChanged, ifMoved, ifNotRestarted, ifRead, ifStayed } from '../../../../core/courses/outlook/what-if.ts'
import { isTested } from '../../../../core/courses/tracks/level.ts'
import { dayBeside, momentBeside } from '../../../../core/time/words.ts'
import { amountText } from '../../../courses/words.ts'
import { useNow } from '../../../frame/now.tsx'
import { useHousehold } from '../../../journal/provider.tsx'
import { HandbookLink } from '../../../look/HandbookLink.tsx'
import { Small } from '../../../look/text.ts'
import { Answer, AskDay, AskFigure, figureAsked, Question, risksText } from './look.tsx'
import { measureText } from '../../../../core/words/measure.ts'

/** What is asked of a drug that is held: answered in doses, dates and the risk left. */
export function DrugQuestions({ plan }: { plan: DrugPlan }) {
  const { settings } = useHousehold()
  const now = useNow()
  const { course, clock } = plan
  const ignored = ifNotRestarted(plan)
  const { clock: zone } = settings
  return (
    <>
      <IfChanged plan={plan} />
      {isTested(plan.facts) && <IfRead plan={plan} />}
      {course.definition.ends === 'move' && clock.runFrom !== null && clock.completesAt !== null && (
        <AskDay
          before="move on"
          name="Day of the move"
          daysBefore={3}
          runFrom={clock.runFrom}
          fullAt={clock.completesAt}
          risksAt={(at) => ifMoved(plan, at)}
        />
      )}
      {course.definition.ends === 'clear' && clock.runFrom !== null && (
        <Question>
          it stays in range to the end<Answer>left: {risksText(ifStayed(plan))}</Answer>
        </Question>
      )}
      {ignored && (
        <Question>
          the break is not counted, and they move {dayBeside(zone.dayOf(ignored.movedAt), zone.dayOf(now))}
          <Answer $tone="act">left: {risksText(ignored.risks)}</Answer>
        </Question>
      )}
      <Small style={{ paddingTop: 8 }}>
        The risk is of one parasite being left, from a lightly infected newcomer; a model’s word, from assumptions{' '}
        <HandbookLink to="life-cycles#marine-ich-0">the handbook names</HandbookLink>.
        {isCopper(course.dose.agent) && ' Brooklynella, flukes and worms are not covered by copper.'}
      </Small>
    </>
  )
}

/** A figure as typed; NaN where it is none: the answer then says what would be. */
const numberIn = (text: string) => figureAsked(text) ?? NaN

function IfChanged({ plan }: { plan: DrugPlan }) {
  const { journal, settings } = useHousehold()
  const [text, setText] = useState('20')
  const percent = numberIn(text)
  const outcome = percent > 0 && percent <= 100 ? ifChanged(journal, plan, percent / 100) : null
  const agent = ingredientById(plan.course.dose.agent)
  return (
    <Question>
      <AskFigure before="change" after="% tonight" name="Share of the water changed, %" text={text} onText={setText} />
      {outcome ? (
        <Answer $tone={outcome.breaks ? 'act' : 'plain'}>
          {measureText(outcome.litres, 'L', settings.units, 3)}, leaves {outcome.afterMgPerL.toFixed(2)}
          {outcome.breaks && ', under the range'}
          {outcome.dose && `; mix ${amountText(outcome.dose)} into the new water and the level does not fall`}
        </Answer>
      ) : (
        <Answer $tone="act">a share over 0 and up to 100 %</Answer>
      )}
      {outcome?.dose && agent && (
        <Small>
          {agent.caution} {agent.law}
        </Small>
      )}
    </Question>
  )
}

function IfRead({ plan }: { plan: DrugPlan }) {
  const { settings } = useHousehold()
  const minute = useNow()
  const [text, setText] = useState(
    plan.course.dose.low.toFixed(2).replace(/.$/, '') === '2.0' ? '1.9' : (plan.course.dose.low * 0.95).toFixed(2),
  )
  const value = numberIn(text)
  const clock = value >= 0 && value < 20 * plan.course.dose.high ? ifRead(plan, value) : null
  const goesOn = clock && (clock.state === 'running' || clock.state === 'complete')
  const says = !clock
    ? 'a level such as 2.10'
    : goesOn && clock.runFrom === plan.clock.runFrom
      ? `the count goes on, full ${momentBeside(clock.completesAt!, minute, settings.clock)}`
      : goesOn
        ? `the count begins ${momentBeside(clock.runFrom!, minute, settings.clock)}, full ${momentBeside(clock.completesAt!, minute, settings.clock)}`
        : clock.state === 'broken'
          ? `the count starts over: full ${dayBeside(settings.clock.dayOf(minute) + plan.course.requiredDays, settings.clock.dayOf(minute))} at the earliest`
          : 'not in range yet'
  return (
    <Question>
      <AskFigure before="the next reading is" name="Next reading, mg/L" text={text} onText={setText} />
      <Answer $tone={goesOn ? 'plain' : 'act'}>{says}</Answer>
    </Question>
  )
}
