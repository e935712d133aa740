import { useState } from 'react'
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
  const { journal, settings } = useHousehold()
  const now = useNow()
  const [text, setText] = useState('')
  const { rounds, course } = plan
  const move = plan.tasks.find(({ step }) => step === 'move')
  if (!rounds || rounds.dueBy === null || !move) return null
  const read = text.trim() === '' ? null : typedNumber(figureTyped(text))
  const hours = read && 'value' in read && read.value >= 0 && read.value <= MOST_HOURS ? read.value : null
  const at = hours === null ? null : Math.max(now, rounds.dueBy + hours * MS_PER_HOUR)
  const after =
    at === null ? null : ifHappened(journal, course.id, taskContents(journal, move, course, at), settings, at)
  return (
    <section>
      <Heading>What if</Heading>
      <Stack $gap={8} style={{ paddingTop: 10 }}>
        <FigureField label="The next move comes late by" value={text} onChange={setText} after="h" />
        {after?.rounds && at !== null && (
          <Small role="status">
            {after.rounds.restarts.length > rounds.restarts.length
              ? `It becomes hour 0: ${spanText((at - rounds.dueBy) / MS_PER_HOUR)} over ${rounds.track.rule.maxIntervalHours} h, cysts may have hatched in that water. The moves before it no longer count${rounds.baths ? ', nor do the baths' : ''}.`
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
