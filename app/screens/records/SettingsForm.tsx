import { useState } from 'react'
import { Form } from 'react-aria-components'
import { useForm } from 'react-hook-form'
import type { UnitHabits } from '../../../core/household/settings.ts'
import { isZone } from '../../../core/time/zone.ts'
import { TextField } from '../../fields/fields.tsx'
import type { Problems } from '../../fields/shell.tsx'
import { UnitFields } from '../../fields/UnitFields.tsx'
import { useKeeping, UnkeptNote } from '../../journal/keeping.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { Button } from '../../look/buttons.ts'
import { Line, Quiet, Stack } from '../../look/text.ts'

/** The household's time zone and unit habits; a change is an entry of the journal. */
export function SettingsForm() {
  const { settings } = useHousehold()
  const { keep, busy, unkept } = useKeeping()
  const [problems, setProblems] = useState<Problems>({})
  const [done, setDone] = useState(false)
  const form = useForm<UnitHabits & { timeZone: string }>({
    defaultValues: { timeZone: settings.timeZone, ...settings.units },
  })
  const send = form.handleSubmit(async ({ timeZone, ...units }) => {
    setDone(false)
    if (!isZone(timeZone.trim()))
      return setProblems({ timeZone: { message: 'a time zone by its name, such as Europe/Lisbon or America/Denver' } })
    setProblems({})
    if (await keep([{ kind: 'household', happened: new Date().toISOString(), timeZone: timeZone.trim(), units }]))
      setDone(true)
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
        <UnitFields control={form.control} />
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
