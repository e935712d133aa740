import { useMemo, useState } from 'react'
import { ifHappened } from '../../../core/courses/outlook/what-if-entry.ts'
import type { CoursePlan } from '../../../core/courses/plan.ts'
import { taskContents } from '../../../core/courses/task-contents.ts'
import { typedNumber } from '../../../core/numbers/typed.ts'
import { momentBeside, spanText } from '../../../core/time/words.ts'
import { MS_PER_HOUR } from '../../../core/time/zone.ts'
import { figureTyped } from '../../fields/figure-text.ts'
import { FigureField } from '../../fields/plain.tsx'
import { useNow } from '../../frame/now.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { Heading, Small, Stack } from '../../look/text.ts'

/** More hours late than anybody asks about. */
const MOST_HOURS = 1000

/** "The next move comes so late": what becomes of the chain, and when it would be full. */
export function WhatIfLate({ plan }: { plan: CoursePlan }) {
  const { journal, settings, revision } = useHousehold()
  const now = useNow()
  const [text, setText] = useState('')
  const { rounds, course } = plan
  const move = plan.tasks.find(({ step }) => step === 'move')
  const dueBy = rounds?.dueBy ?? null
  const read = text.trim() === '' ? null : typedNumber(figureTyped(text))
  const hours = read && 'value' in read && read.value >= 0 && read.value <= MOST_HOURS ? read.value : null
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
    <section>
      <Heading>What if</Heading>
      <Stack $gap={8} style={{ paddingTop: 10 }}>
        <FigureField label="The next move comes late by" value={text} onChange={setText} after="h" />
        {after?.rounds && at !== null && (
          <Small role="status">
            {after.rounds.restarts.length > rounds.restarts.length
              ? `It becomes hour 0: ${spanText((at - dueBy) / MS_PER_HOUR)} over ${rounds.track.rule.maxIntervalHours} h, cysts may have hatched in that water. The moves before it no longer count${rounds.baths ? ', nor do the baths' : ''}.`
              : 'It is in time: nothing changes.'}{' '}
            Full {after.rounds.fullAt === null ? 'later' : momentBeside(after.rounds.fullAt, now, settings.clock)}
            {rounds.fullAt !== null && `, instead of ${momentBeside(rounds.fullAt, now, settings.clock)}`}.
          </Small>
        )}
        {read && hours === null && <Small role="alert">hours, such as 11</Small>}
      </Stack>
    </section>
  )
}
