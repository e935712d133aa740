import { useState } from 'react'
import { Form } from 'react-aria-components'
import { useForm } from 'react-hook-form'

import { calendarEvents } from '../../../core/schedule/calendar-events.ts'
import { householdTasks } from '../../../core/schedule/household-tasks.ts'
import { tankById } from '../../../core/household/tanks.ts'
import { dayAs, dayBeside } from '../../../core/time/words.ts'
import { dayFromText, dayText, iso } from '../../../core/time/zone.ts'
import { plural } from '../../../core/words/numbers.ts'
import { TextField } from '../../fields/fields.tsx'
import type { Problem } from '../../fields/shell.tsx'
import { thisInstant, useNow } from '../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../journal/keeping.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { Button } from '../../look/buttons.ts'
import { Heading, Line, Rows, Small, Stack } from '../../look/text.ts'
import { downloadText } from '../../storage/download.ts'

/** Days of the plan that a calendar is given. */
const CALENDAR_DAYS = 90

/** The plan as a calendar file. */
export function PlanOut() {
  const { journal, settings } = useHousehold()
  const save = async () => {
    const { calendarOf } = await import('../../calendar/ics.ts')
    const now = thisInstant()
    const horizon = settings.clock.dayOf(now) + CALENDAR_DAYS
    const events = calendarEvents(
      householdTasks(journal, settings, now, horizon),
      (tankId) => tankById(journal, tankId)?.name ?? null,
      now,
    )
    downloadText('brinvo-plan.ics', calendarOf(events, 'Brinvo', now, settings.timeZone), 'text/calendar')
  }
  return (
    <Stack $gap={12} as="section">
      <Heading>The plan as a calendar</Heading>
      <Small>
        What is due in the next {CALENDAR_DAYS} days, with an alarm each; what is late has none. Taken out again, each
        task is found by its own name: late work has moved it, not doubled it.
      </Small>
      <div>
        <Button onPress={() => void save()}>Save the plan as a calendar</Button>
      </div>
    </Stack>
  )
}

/** Stretches in which nobody is at home: known to every schedule. */
export function DaysAway() {
  const { journal, settings } = useHousehold()
  const now = useNow()
  const { keep, busy, unkept } = useKeeping()
  const [problems, setProblems] = useState<Record<string, Problem>>({})
  const { clock } = settings
  const today = clock.dayOf(now)
  const form = useForm({ defaultValues: { from: dayText(today), until: dayText(today + 1) } })
  const stretches = journal
    .ofKind('away')
    .map(({ id, content }) => ({ id, from: Date.parse(content.from), until: Date.parse(content.until) }))
    .filter(({ until }) => until > now)
  const send = form.handleSubmit(async ({ from, until }) => {
    const [first, last] = [dayFromText(from), dayFromText(until)]
    const found: Record<string, Problem> = {}
    if (first === null) found['from'] = { message: 'a day, such as 2026-12-24' }
    if (last === null) found['until'] = { message: 'a day, such as 2026-12-27' }
    else if (first !== null && last <= first) found['until'] = { message: 'a day after the leaving' }
    setProblems(found)
    if (first === null || last === null || last <= first) return
    await keep([
      {
        kind: 'away',
        happened: iso(thisInstant()),
        from: iso(clock.instantAt(first)),
        until: iso(clock.instantAt(last)),
      },
    ])
  })
  return (
    <Stack $gap={12} as="section">
      <Heading>Days away</Heading>
      {stretches.length > 0 && (
        <Rows>
          {stretches.map(({ id, from, until }) => (
            <li key={id}>
              {dayAs(clock.dayOf(from), 'EEEE d MMMM')}, back {dayBeside(clock.dayOf(until), today)}
            </li>
          ))}
        </Rows>
      )}
      <Small>
        {stretches.length > 0 ? `${plural(stretches.length, 'stretch', 'stretches')} known. ` : ''}What may move is
        moved to before or after; what cannot be kept is said on its course.
      </Small>
      <Form onSubmit={(event) => void send(event)}>
        <Stack $gap={10}>
          <Line $gap={14}>
            <TextField control={form.control} name="from" label="Away from" type="date" problem={problems['from']} />
            <TextField control={form.control} name="until" label="Back on" type="date" problem={problems['until']} />
          </Line>
          {unkept && <UnkeptNote unkept={unkept} />}
          <div>
            <Button type="submit" isDisabled={busy}>
              Nobody is at home then
            </Button>
          </div>
        </Stack>
      </Form>
    </Stack>
  )
}
