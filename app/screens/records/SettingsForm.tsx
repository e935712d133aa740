import { useState } from 'react'
import { Form } from 'react-aria-components'
import { useForm } from 'react-hook-form'
import { wakingOf, type UnitHabits } from '../../../core/household/settings.ts'
import { timeOfMinute } from '../../../core/time/wall-time.ts'
import { isZone, minuteOfTime } from '../../../core/time/zone.ts'
import { TextField } from '../../fields/fields.tsx'
import type { Problems } from '../../fields/shell.tsx'
import { UnitFields } from '../../fields/UnitFields.tsx'
import { useKeeping, UnkeptNote } from '../../journal/keeping.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { Button } from '../../look/buttons.ts'
import { Line, Quiet, Small, Stack } from '../../look/text.ts'

/** The household's time zone and unit habits; a change is an entry of the journal. */
export function SettingsForm() {
  const { settings } = useHousehold()
  const { keep, busy, unkept } = useKeeping()
  const [problems, setProblems] = useState<Problems>({})
  const [done, setDone] = useState(false)
  const waking = wakingOf(settings)
  const form = useForm<UnitHabits & { timeZone: string; upFrom: string; upUntil: string }>({
    defaultValues: {
      timeZone: settings.timeZone,
      upFrom: timeOfMinute(waking.from),
      upUntil: timeOfMinute(waking.until),
      ...settings.units,
    },
  })
  const send = form.handleSubmit(async ({ timeZone, upFrom, upUntil, ...units }) => {
    setDone(false)
    if (!isZone(timeZone.trim()))
      return setProblems({ timeZone: { message: 'a time zone by its name, such as Europe/Lisbon or America/Denver' } })
    if (!(minuteOfTime(upFrom) < minuteOfTime(upUntil)))
      return setProblems({ upUntil: { message: 'later on the same day, such as 22:00' } })
    setProblems({})
    const happened = new Date().toISOString()
    const content = { kind: 'household' as const, happened, timeZone: timeZone.trim(), units }
    if (await keep([{ ...content, waking: { from: upFrom, until: upUntil } }])) setDone(true)
  })
  return (
    <Form onSubmit={(event) => void send(event)}>
      <Stack $gap={16}>
        <TextField
          control={form.control}
          name="timeZone"
          label="Time zone"
          hint="The ledger’s days are days of this zone."
          problem={problems['timeZone']}
        />
        <Line $gap={14}>
          <TextField control={form.control} name="upFrom" label="Someone is awake from" type="time" />
          <TextField control={form.control} name="upUntil" label="until" type="time" problem={problems['upUntil']} />
        </Line>
        <Small>Moves and baths are planned within these hours when their time windows allow it.</Small>
        <UnitFields control={form.control as never} />
        {unkept && <UnkeptNote unkept={unkept} />}
        <Line>
          <Button type="submit" isDisabled={busy}>
            Keep these
          </Button>
          {done && <Quiet role="status">Kept.</Quiet>}
        </Line>
      </Stack>
    </Form>
  )
}
