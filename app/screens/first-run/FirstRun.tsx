import { useState } from 'react'
import { Form } from 'react-aria-components'
import { useForm } from 'react-hook-form'
import { useNavigate } from 'react-router'
import type { UnitHabits } from '../../../core/household/settings.ts'
import { isZone } from '../../../core/time/zone.ts'
import { plural } from '../../../core/words/numbers.ts'
import { TextField } from '../../fields/fields.tsx'
import { UnitFields } from '../../fields/UnitFields.tsx'
import type { Problems } from '../../fields/shell.tsx'
import { useKeeping, UnkeptNote } from '../../journal/keeping.tsx'
import { useHousehold, useShown } from '../../journal/provider.tsx'
import { PlainButton, PrimaryButton } from '../../look/buttons.ts'
import { Narrow, Page } from '../../look/page.ts'
import { Bar, Heading, Line, Small, Stack, Title } from '../../look/text.ts'
import { ImportFile } from '../../journal/bring-in/ImportFile.tsx'
import { PutAside } from '../../journal/PutAside.tsx'

type Values = UnitHabits & { timeZone: string }

/** Units as a country's keepers are used to; anything can be changed after. */
function habitsOf(locale: string): UnitHabits {
  if (locale.endsWith('-US'))
    return { volume: 'us-gal', length: 'in', temperature: 'F', salinity: 'sg', alkalinity: 'dKH' }
  return { volume: 'L', length: 'cm', temperature: 'C', salinity: 'psu', alkalinity: 'dKH' }
}

/** The first run of an own household: where it is and how it measures; or a journal brought along. */
export function FirstRun() {
  const { keep, busy, unkept } = useKeeping()
  const { show } = useShown()
  const { clearedEntries } = useHousehold()
  const navigate = useNavigate()
  const [problems, setProblems] = useState<Problems>({})
  const form = useForm<Values>({
    defaultValues: {
      timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC',
      ...habitsOf(navigator.language),
    },
  })
  const send = form.handleSubmit(async ({ timeZone, ...units }) => {
    if (!isZone(timeZone.trim()))
      return setProblems({ timeZone: { message: 'a time zone by its name, such as Europe/Lisbon or America/Denver' } })
    setProblems({})
    const kept = await keep([
      { kind: 'household', happened: new Date().toISOString(), timeZone: timeZone.trim(), units },
    ])
    if (kept) void navigate('/tanks/new')
  })
  const { control } = form
  return (
    <Page>
      <Narrow>
        <Stack $gap={28}>
          <Stack $gap={8}>
            <Title>Your household</Title>
            <p>
              Brinvo keeps its journal in this browser, on this device; nothing is sent anywhere. Two questions first,
              both can be changed later.
            </p>
          </Stack>
          {clearedEntries > 0 && (
            <Bar $tone="act" role="alert">
              <Stack $gap={8}>
                <span>
                  This browser has cleared the journal: it held {plural(clearedEntries, 'entry', 'entries')} when Brinvo
                  was last open here. Browsers do that when site data is deleted, or to make room. If you have an
                  exported file, import it before you begin; it brings everything back.
                </span>
                <ImportFile />
              </Stack>
            </Bar>
          )}
          <Form onSubmit={(event) => void send(event)}>
            <Stack $gap={22}>
              <Heading>Where and how you measure</Heading>
              <TextField
                control={control}
                name="timeZone"
                label="Time zone"
                hint="The ledger’s days are days of this zone."
                problem={problems['timeZone']}
              />
              <UnitFields control={control} />
              {unkept && <UnkeptNote unkept={unkept} />}
              <Line>
                <PrimaryButton type="submit" isDisabled={busy}>
                  Begin the journal
                </PrimaryButton>
                <PlainButton onPress={() => show('sample')}>look at the sample household instead</PlainButton>
              </Line>
            </Stack>
          </Form>
          <Stack $gap={10}>
            <Heading>You have a journal file already</Heading>
            <Small>From another device or an earlier export: it is read and shown before anything is kept.</Small>
            {clearedEntries === 0 && <ImportFile />}
            <PutAside />
          </Stack>
        </Stack>
      </Narrow>
    </Page>
  )
}
