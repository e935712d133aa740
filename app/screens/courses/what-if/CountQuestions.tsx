import { useState } from 'react'
import { parameterById } from '../../../../core/catalogue/parameter.ts'
import {
  dosesToCome,
  ifDipped,
  ifDosedLate,
  ifSalinityRead,
  ifSeenNow,
  type CountOutcome,
} from '../../../../core/courses/outlook/count-what-if.ts'
import { ifRaised } from '../../../../core/courses/outlook/what-if.ts'
import type { CoursePlan } from '../../../../core/courses/plan.ts'
import type { DosesState } from '../../../../core/courses/tracks/doses.ts'
import { dayBeside } from '../../../../core/time/words.ts'
import { shownFigure, shownUnit, toKept } from '../../../../core/words/measure.ts'
import { useNow } from '../../../frame/now.tsx'
import { useHousehold } from '../../../journal/provider.tsx'
import { PlainButton } from '../../../look/buttons.ts'
import { Line } from '../../../look/text.ts'
import { Answer, AskDay, AskFigure, figureAsked, MOST_LATE_HOURS, Question } from './look.tsx'

const MOST_LATE_DAYS = Math.floor(MOST_LATE_HOURS / 24)

/** "full 12 December, not 5 December". */
function useFullWords(): (outcome: CountOutcome, atEarliest?: boolean) => string {
  const { settings } = useHousehold()
  const now = useNow()
  const { clock } = settings
  const day = (at: number) => dayBeside(clock.dayOf(at), clock.dayOf(now))
  return ({ fullAt, wasFullAt }, atEarliest = false) => {
    if (fullAt === null) return 'nobody can say when it is full'
    const isMoved = wasFullAt !== null && day(wasFullAt) !== day(fullAt)
    return `full ${day(fullAt)}${atEarliest ? ' at the earliest' : ''}${isMoved ? `, not ${day(wasFullAt)}` : ''}`
  }
}

/** Low salinity: the next reading, and bringing it up on another day. */
export function SalinityQuestions({ plan }: { plan: CoursePlan }) {
  const { settings } = useHousehold()
  const full = useFullWords()
  const { salinity, course } = plan
  const [text, setText] = useState('')
  if (!salinity || salinity.clock.state === 'complete') return null
  const { clock, limits } = salinity
  const say = (one: number) => shownFigure(one, 'psu', settings.units, 3)
  const [, most] = parameterById('salinity')!.plausible
  const typed = figureAsked(text)
  const psu = typed === null ? null : toKept(typed, 'psu', settings.units)
  const outcome = psu === null || !(psu >= 0 && psu <= most) ? null : ifSalinityRead(plan, psu)
  const unit = shownUnit('psu', settings.units)
  return (
    <>
      <Question>
        <AskFigure
          before="the next reading is"
          after={unit}
          name={`Next salinity, ${unit}`}
          text={text}
          onText={setText}
        />
        {text.trim() !== '' && (
          <Answer $tone={!outcome?.runs || outcome.begins ? 'act' : 'plain'}>
            {!outcome
              ? `a salinity, such as ${say(limits.target)} ${unit}`
              : !outcome.runs
                ? `over ${say(limits.high)}: the parasite lives there, the ${course.requiredDays} days begin again once it is back under; ${full(outcome, true)}`
                : outcome.begins
                  ? `the count begins again from then: ${full(outcome)}`
                  : `the count goes on: ${full(outcome)}`}
          </Answer>
        )}
      </Question>
      {clock.runFrom !== null && clock.completesAt !== null && ifRaised(plan, clock.completesAt).length > 0 && (
        <AskDay
          before="it is brought up on"
          name="Day it is brought up"
          daysBefore={7}
          runFrom={clock.runFrom}
          fullAt={clock.completesAt}
          risksAt={(at) => ifRaised(plan, at)}
        />
      )}
    </>
  )
}

/** The next dose of each count comes late. */
export function DoseQuestions({ plan }: { plan: CoursePlan }) {
  return dosesToCome(plan).map((state) => <IfDosedLate key={state.track.id} plan={plan} state={state} />)
}

function IfDosedLate({ plan, state }: { plan: CoursePlan; state: DosesState }) {
  const full = useFullWords()
  const [text, setText] = useState('')
  const typed = figureAsked(text)
  const hours = typed !== null && typed <= MOST_LATE_HOURS ? typed : null
  const outcome = hours === null ? null : ifDosedLate(plan, state.track.id, hours)
  const of = `${state.track.name} ${state.done.length + 1} of ${state.track.need}`
  return (
    <Question>
      <AskFigure before={`${of}, late by`} after="h" name={`${of}, hours late`} text={text} onText={setText} />
      {text.trim() !== '' && (
        <Answer $tone={!outcome || outcome.begins || outcome.isLater ? 'act' : 'plain'}>
          {!outcome
            ? 'hours, such as 12'
            : outcome.begins
              ? `too late: what hatched has grown up, it is number 1 again; ${full(outcome)}`
              : outcome.isLater
                ? `it ends later: ${full(outcome)}`
                : `in time, nothing changes: ${full(outcome)}`}
        </Answer>
      )}
    </Question>
  )
}

/** The next round of dips comes late, or brings something off. */
export function DipQuestions({ plan }: { plan: CoursePlan }) {
  const { settings } = useHousehold()
  const full = useFullWords()
  const [text, setText] = useState('')
  const typed = figureAsked(text)
  const days = typed !== null && typed <= MOST_LATE_DAYS ? typed : null
  const late = days === null ? null : ifDipped(plan, { lateDays: days }, settings)
  const off = ifDipped(plan, { cameOff: 1 }, settings)
  const clean = ifDipped(plan, {}, settings)
  if (!off || !clean) return null
  return (
    <>
      <Question>
        <AskFigure
          before="the next round comes"
          after="days late"
          name="Next round, days late"
          text={text}
          onText={setText}
        />
        {text.trim() !== '' && (
          <Answer $tone={!late || late.begins || late.isLater ? 'act' : 'plain'}>
            {!late
              ? `days, from 0 to ${MOST_LATE_DAYS}`
              : late.begins
                ? `what hatched may have laid: the clean dips begin again; ${full(late)}`
                : `${late.has} of ${late.need} clean, ${full(late)}`}
          </Answer>
        )}
      </Question>
      <Question>
        the next round is clean
        <Answer>
          {clean.has} of {clean.need} clean, {full(clean)}
        </Answer>
      </Question>
      <Question>
        one animal comes off
        <Answer $tone={off.begins || off.isLater ? 'act' : 'plain'}>
          {off.has} of {off.need} clean, {full(off)}
        </Answer>
      </Question>
    </>
  )
}

/** Watched without medicine: a sign is seen, or one dies of nobody knows what. */
export function WatchQuestions({ plan }: { plan: CoursePlan }) {
  const { journal, settings } = useHousehold()
  const full = useFullWords()
  const [what, setWhat] = useState<'sign' | 'death' | null>(null)
  if (!plan.observation) return null
  const outcome = what && ifSeenNow(journal, plan, what, settings)
  return (
    <Question>
      <Line>
        <PlainButton onPress={() => setWhat('sign')}>a sign is seen today?</PlainButton>
        <PlainButton onPress={() => setWhat('death')}>one dies, nobody knows of what?</PlainButton>
      </Line>
      {outcome && (
        <Answer $tone="act">
          {what === 'sign' ? 'A sign today' : 'A death today'}: {outcome.begins && 'the days begin again, '}
          {full(outcome)}
        </Answer>
      )}
    </Question>
  )
}
