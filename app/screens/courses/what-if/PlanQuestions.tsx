import { useId, useMemo, useState } from 'react'
import { styled } from 'styled-components'
import { measureScale } from '../../../../core/catalogue/measures.ts'
import {
  askedBy,
  canBeEnded,
  canBePaused,
  ifEnded,
  ifFound,
  ifPaused,
  MOST_PAUSE_DAYS,
  type Asked,
  type RuleChange,
} from '../../../../core/courses/outlook/plans/plan-what-if.ts'
import type { CoursePlan } from '../../../../core/courses/plan.ts'
import { dayBeside } from '../../../../core/time/words.ts'
import { shownUnit, toKept } from '../../../../core/words/measure.ts'
import { figures, listed, plural } from '../../../../core/words/numbers.ts'
import { figureShown, figureTyped } from '../../../fields/figure-text.ts'
import { FIGURE_LETTERS, inputShape } from '../../../fields/shell.tsx'
import { useNow } from '../../../frame/now.tsx'
import { useHousehold } from '../../../journal/provider.tsx'
import { PlainButton } from '../../../look/buttons.ts'
import { Small } from '../../../look/text.ts'
import { Answer, Ask, AskFigure, figureAsked, Question, Short } from './look.tsx'

const Pick = styled.select`
  ${inputShape}
  width: auto;
  max-width: 220px;
`

const AnswerLine = styled.span`
  display: block;
`

/** What is asked of a plan: answered in rules, in dates, and in how many there would be. */
export function PlanQuestions({ plan }: { plan: CoursePlan }) {
  const asked = useMemo(() => askedBy(plan.course.definition), [plan.course.definition])
  return (
    <>
      {asked.length > 0 && <IfFound plan={plan} asked={asked} />}
      {canBePaused(plan.course.definition) && <IfPaused plan={plan} />}
      {canBeEnded(plan) && <IfEnded plan={plan} />}
    </>
  )
}

const ROLES: Partial<Record<RuleChange['role'], string>> = { stop: 'stop', escalate: 'lead on', success: 'reached' }

function changeWords({ role, rule, then, holds }: RuleChange): string {
  const word = ROLES[role] ?? ''
  return holds ? `${word}: ${rule}${then === undefined ? '' : `, ${then}`}` : `no longer: ${rule}`
}

function IfFound({ plan, asked }: { plan: CoursePlan; asked: readonly Asked[] }) {
  const { journal, settings, revision } = useHousehold()
  const id = useId()
  const [chosen, setChosen] = useState(asked[0]!.id)
  const [text, setText] = useState('')
  const one = asked.find((it) => it.id === chosen) ?? asked[0]!
  const typed = figureAsked(text)
  const most = one.what === 'count' ? measureScale(one.id).most : null
  const value = typed === null || (most !== null && typed > most) ? null : toKept(typed, one.unit, settings.units)
  const minute = plan.facts.now
  // The journal is copied for it: once an answer, not with every drawing.
  const changes = useMemo(
    () => (value === null ? null : ifFound(journal, plan, one, value, settings)),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the revision says when the journal has grown, the minute how late it is
    [value, one, revision, minute, settings],
  )
  return (
    <Question>
      <Ask as="div">
        <Pick value={chosen} onChange={(event) => setChosen(event.target.value)} aria-label="What is found next">
          {asked.map((it) => (
            <option key={it.id} value={it.id}>
              {it.name}
            </option>
          ))}
        </Pick>
        <label htmlFor={id}>comes to</label>
        <Short
          id={id}
          value={figureShown(text)}
          maxLength={FIGURE_LETTERS}
          onChange={(event) => setText(figureTyped(event.target.value))}
          inputMode="decimal"
        />
        {shownUnit(one.unit, settings.units)}
      </Ask>
      {text.trim() !== '' && (
        <Answer $tone={changes?.some(({ role, holds }) => role === 'stop' && holds) ? 'act' : 'plain'}>
          {changes === null
            ? `a number from 0${most === null ? '' : ` to ${most}`}`
            : changes.length === 0
              ? 'No rule changes: go on.'
              : changes.map(changeWords).join('; ')}
        </Answer>
      )}
    </Question>
  )
}

function IfPaused({ plan }: { plan: CoursePlan }) {
  const { journal, settings, revision } = useHousehold()
  const [text, setText] = useState('')
  const days = figureAsked(text)
  const isAsked = days !== null && days > 0 && days <= MOST_PAUSE_DAYS
  const minute = plan.facts.now
  const pause = useMemo(
    () => (isAsked ? ifPaused(journal, plan, days, settings) : null),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- as above
    [isAsked, days, revision, minute, settings],
  )
  return (
    <Question>
      <AskFigure
        before="nobody works at it for"
        after="days"
        name="nobody works at it for"
        text={text}
        onText={setText}
      />
      {text.trim() !== '' && (
        <Answer $tone={pause && (pause.missed.length > 0 || pause.grows) ? 'act' : 'plain'}>
          {!pause && `days, more than 0 and up to ${MOST_PAUSE_DAYS}`}
          {pause?.missed.map(({ title, times, of }) => (
            <AnswerLine key={title}>
              {times} of {of} fall away: {title}
            </AnswerLine>
          ))}
          {pause?.grows && (
            <AnswerLine>
              {pause.grows.name}: {figures(pause.grows.from, 3)} would be about {figures(pause.grows.to, 2)}, doubled in{' '}
              {plural(Math.max(1, Math.round(pause.grows.doublingDays)), 'day')}
            </AnswerLine>
          )}
          {pause && !pause.grows && (
            <Small style={{ display: 'block' }}>
              How fast it grows back nobody knows: two counts that rise say it.
            </Small>
          )}
        </Answer>
      )}
    </Question>
  )
}

function IfEnded({ plan }: { plan: CoursePlan }) {
  const { journal, settings, revision } = useHousehold()
  const now = useNow()
  const minute = plan.facts.now
  const [isAsked, setIsAsked] = useState(false)
  const ended = useMemo(
    () => (isAsked ? ifEnded(journal, plan, settings) : null),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- as above
    [isAsked, revision, minute, settings],
  )
  if (!ended)
    return (
      <Question>
        <PlainButton onPress={() => setIsAsked(true)}>the treatment ends now?</PlainButton>
      </Question>
    )
  const { clock } = settings
  const day = (at: number) => dayBeside(clock.dayOf(at), clock.dayOf(now))
  const moved = ended.dates.flatMap((one) => (one.is === null ? [] : [{ ...one, is: one.is }]))
  const over = ended.dates.filter(({ is }) => is === null)
  return (
    <Question>
      the treatment ends now
      <Answer>
        {!ended.isReached && (
          <AnswerLine style={{ color: 'var(--act)' }}>What it is for is not reached: what hides comes back.</AnswerLine>
        )}
        {moved.map(({ step, title, was, is }) => (
          <AnswerLine key={step}>
            {title}: {day(is)}
            {was !== null && `, not ${day(was)}`}
          </AnswerLine>
        ))}
        {over.length > 0 && <AnswerLine>No more: {listed(over.map(({ title }) => title))}</AnswerLine>}
      </Answer>
    </Question>
  )
}
