import { WORDS_LETTERS } from '../../core/journal/contents/text-limits.ts'
import { useForm } from 'react-hook-form'
import { Form } from 'react-aria-components'
import { wordContent } from '../../core/schedule/task.ts'
import { dayBeside, timeOf } from '../../core/time/words.ts'
import { MS_PER_HOUR, type ZoneClock } from '../../core/time/zone.ts'
import { useState } from 'react'
import { SelectField, TextField } from '../fields/fields.tsx'
import type { Problem } from '../fields/shell.tsx'
import { thisInstant, useNow } from '../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../journal/keeping.tsx'
import { useHousehold } from '../journal/provider.tsx'
import { Button, PlainButton } from '../look/buttons.ts'
import { Line, Stack } from '../look/text.ts'

const EVENING = 20 * 60
const MORNING = 8 * 60

/** Times a task can be put off to. */
function laterTimes(now: number, clock: ZoneClock): { ms: number; label: string }[] {
  const today = clock.dayOf(now)
  const say = (ms: number) => `${dayBeside(clock.dayOf(ms), today)} ${timeOf(ms, clock)}`
  return [
    now + MS_PER_HOUR,
    now + 3 * MS_PER_HOUR,
    clock.instantAt(today, EVENING),
    clock.instantAt(today + 1, MORNING),
  ]
    .filter((ms, i, all) => ms > now && all.indexOf(ms) === i)
    .sort((a, b) => a - b)
    .map((ms) => ({ ms, label: say(ms) }))
}

/** Skipping or putting off a task: with a word why, which the journal keeps. */
export function TaskWordForm({
  task,
  state,
  onDone,
}: {
  task: { id: string; tankId: string; courseId?: string }
  state: 'skipped' | 'postponed'
  onDone: () => void
}) {
  const { settings } = useHousehold()
  const now = useNow()
  const { keep, busy, unkept } = useKeeping()
  const [problem, setProblem] = useState<Problem | undefined>()
  const times = laterTimes(now, settings.clock)
  const form = useForm({ defaultValues: { why: '', until: String(times[0]!.ms) } })
  const send = form.handleSubmit(async ({ why, until }) => {
    if (why.trim() === '') return setProblem({ message: 'a word why, such as “no test strips left”' })
    const word = wordContent(task, state, thisInstant(), {
      why: why.trim(),
      ...(state === 'postponed' && { until: Number(until) }),
    })
    if (await keep([word])) onDone()
  })
  return (
    <Form onSubmit={(event) => void send(event)}>
      <Stack $gap={10}>
        {state === 'postponed' && (
          <SelectField
            control={form.control}
            name="until"
            label="Until"
            options={times.map(({ ms, label }) => ({ value: String(ms), label }))}
          />
        )}
        <TextField control={form.control} most={WORDS_LETTERS} name="why" label="Why" problem={problem} autoFocus />
        {unkept && <UnkeptNote unkept={unkept} />}
        <Line>
          <Button type="submit" isDisabled={busy}>
            {state === 'skipped' ? 'Skip it' : 'Put it off'}
          </Button>
          <PlainButton onPress={onDone}>cancel</PlainButton>
        </Line>
      </Stack>
    </Form>
  )
}
