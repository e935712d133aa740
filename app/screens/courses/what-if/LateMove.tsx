import { useMemo, useState } from 'react'
import { ifHappened } from '../../../../core/courses/outlook/what-if-entry.ts'
import type { CoursePlan } from '../../../../core/courses/plan.ts'
import { taskContents } from '../../../../core/courses/acts/task-contents.ts'
import { momentBeside, spanText } from '../../../../core/time/words.ts'
import { MS_PER_HOUR } from '../../../../core/time/zone.ts'
import { useNow } from '../../../frame/now.tsx'
import { useHousehold } from '../../../journal/provider.tsx'
import { Answer, AskFigure, figureAsked, MOST_LATE_HOURS, Question } from './look.tsx'

/** "The next move comes so late": what becomes of the chain, and when it would be full. */
export function LateMove({ plan }: { plan: CoursePlan }) {
  const { journal, settings, revision } = useHousehold()
  const now = useNow()
  const [text, setText] = useState('')
  const { rounds, course } = plan
  const move = plan.tasks.find(({ step }) => step === 'move')
  const dueBy = rounds?.dueBy ?? null
  const typed = figureAsked(text)
  const hours = typed !== null && typed <= MOST_LATE_HOURS ? typed : null
  const at = hours === null || dueBy === null ? null : Math.max(now, dueBy + hours * MS_PER_HOUR)
  // The journal is copied for it: once an answer, not with every drawing.
  const after = useMemo(
    () =>
      at === null || !move
        ? null
        : ifHappened(journal, course.id, taskContents(journal, move, course, at), settings, at),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the revision says when the journal has grown; the move's id which it is
    [at, journal, revision, course.id, move?.id, settings],
  )
  if (!rounds || dueBy === null || !move) return null
  return (
    <Question>
      <AskFigure
        before="the next move comes late by"
        after="h"
        name="The next move comes late by"
        text={text}
        onText={setText}
      />
      {after?.rounds && at !== null && (
        <Answer $tone={after.rounds.restarts.length > rounds.restarts.length ? 'act' : 'plain'}>
          {after.rounds.restarts.length > rounds.restarts.length
            ? `It becomes hour 0: ${spanText((at - dueBy) / MS_PER_HOUR)} over ${rounds.track.rule.maxIntervalHours} h, cysts may have hatched in that water. The moves before it no longer count${rounds.baths ? ', nor do the baths' : ''}.`
            : 'It is in time: nothing changes.'}{' '}
          Full {after.rounds.fullAt === null ? 'later' : momentBeside(after.rounds.fullAt, now, settings.clock)}
          {rounds.fullAt !== null && `, instead of ${momentBeside(rounds.fullAt, now, settings.clock)}`}.
        </Answer>
      )}
      {text.trim() !== '' && hours === null && <Answer $tone="act">hours, such as 11</Answer>}
    </Question>
  )
}
