import { useState } from 'react'
import { Form } from 'react-aria-components'
import { useForm, type Control } from 'react-hook-form'
import type { Tank, TankRole } from '../../../core/household/tanks.ts'
import { tanksOf } from '../../../core/household/tanks.ts'
import type { ContentOf } from '../../../core/journal/entry.ts'
import type { Water } from '../../../core/catalogue/parameter.types.ts'
import { CheckField, ChipsField, SelectField, TextField } from '../../fields/fields.tsx'
import { DraftNote, useFormDraft } from '../../fields/form-draft.tsx'
import type { Problem, Problems } from '../../fields/shell.tsx'
import { useKeeping, UnkeptNote } from '../../journal/keeping.tsx'
import { newId } from '../../journal/opened.ts'
import { useHousehold } from '../../journal/provider.tsx'
import { PlainButton, PrimaryButton } from '../../look/buttons.ts'
import { FieldGrid } from '../../look/page.ts'
import { Heading, Line, Stack } from '../../look/text.ts'
import { profileOptions, ROLE_OPTIONS, WATER_OPTIONS } from './names.ts'
import { readSheet, sheetValues, type SheetValues } from './sheet.ts'
import { SheetForm } from './SheetForm.tsx'

interface Values extends SheetValues {
  name: string
  short: string
  water: string
  role: string
  profile: string
  contents: string[]
  near: string[]
  lightsOn: string
  lightsOff: string
  retired: boolean
}

/** Setting a tank up, or putting one right: what it is, and its volume sheet. */
export function TankForm({
  tank,
  onDone,
  onCancel,
}: {
  tank: Tank | null
  onDone: (tankId: string) => void
  onCancel: () => void
}) {
  const { journal, settings } = useHousehold()
  const { keep, busy, unkept } = useKeeping()
  const [problems, setProblems] = useState<Problems>({})
  const form = useForm<Values>({
    defaultValues: {
      name: tank?.name ?? '',
      short: tank?.hasOwnShort ? tank.short : '',
      water: tank?.water ?? 'marine',
      role: tank?.role ?? 'display',
      profile: tank?.profile ?? '',
      contents: [...(tank?.contents ?? [])],
      near: [...(tank?.near ?? [])],
      lightsOn: tank?.lightsOn ?? '',
      lightsOff: tank?.lightsOff ?? '',
      retired: tank?.retired ?? false,
      ...sheetValues(tank?.sheet ?? null, settings.units),
    },
  })
  const { control, watch } = form
  const others = tanksOf(journal).filter(({ id }) => id !== tank?.id)
  const draft = useFormDraft(form, `tank-${tank?.id ?? 'new'}`)
  const send = form.handleSubmit(async (values) => {
    const found: Record<string, Problem | undefined> = {}
    const name = values.name.trim()
    const short = values.short.trim().toLowerCase()
    const taken = (word: string) =>
      tanksOf(journal).some(
        (other) => other.id !== tank?.id && (other.short === word || other.name.toLowerCase() === word),
      )
    if (name === '') found['name'] = { message: 'a name, as you call it' }
    else if (name.length > 80) found['name'] = { message: 'a shorter name, up to 80 letters' }
    else if (taken(name.toLowerCase())) found['name'] = { message: 'another tank has this name' }
    if (short !== '' && !/^[a-z0-9_-]{1,20}$/.test(short))
      found['short'] = { message: 'one word of up to 20 letters and digits' }
    else if (short !== '' && taken(short)) found['short'] = { message: 'another tank is called this' }
    if ((values.lightsOn === '') !== (values.lightsOff === ''))
      found[values.lightsOn === '' ? 'lightsOn' : 'lightsOff'] = { message: 'both times, or neither' }
    const { sheet, problems: inSheet } = readSheet(values, settings.units)
    Object.assign(found, inSheet)
    setProblems(found)
    if (Object.values(found).some(Boolean)) return
    const properties = {
      name,
      ...(short && { short }),
      water: values.water as Water,
      role: values.role as TankRole,
      ...(values.profile && { profile: values.profile }),
      ...(sheet && { sheet }),
      contents: values.contents as ContentOf<'tank-setup'>['contents'] & string[],
      ...(values.lightsOn !== '' && { lightsOn: values.lightsOn, lightsOff: values.lightsOff }),
      ...((values.near.length > 0 || (tank?.near.length ?? 0) > 0) && { near: values.near }),
    }
    const tankId = tank?.id ?? newId()
    const happened = new Date().toISOString()
    const kept = await keep([
      tank
        ? { kind: 'tank-change', happened, tankId, changes: { ...properties, retired: values.retired } }
        : { kind: 'tank-setup', happened, tankId, ...properties },
    ])
    if (!kept) return
    draft.forget()
    onDone(tankId)
  })
  return (
    <Form onSubmit={(event) => void send(event)}>
      <Stack $gap={26}>
        <DraftNote draft={draft} />
        <FieldGrid>
          <TextField control={control} name="name" label="Name" problem={problems['name']} autoFocus={!tank} />
          <TextField
            control={control}
            name="short"
            label="Short name for the log line"
            problem={problems['short']}
            hint="the first word of the name if left empty"
          />
          <SelectField control={control} name="water" label="Water" options={WATER_OPTIONS} />
          <SelectField control={control} name="role" label="Used as" options={ROLE_OPTIONS} />
          <SelectField
            control={control}
            name="profile"
            label="Comfort bands of"
            options={profileOptions(watch('water'))}
          />
          <TextField
            control={control}
            name="lightsOn"
            label="Lights on"
            type="time"
            problem={problems['lightsOn']}
            hint="rounds that hang on the light are due by it"
          />
          <TextField
            control={control}
            name="lightsOff"
            label="Lights off"
            type="time"
            problem={problems['lightsOff']}
          />
        </FieldGrid>
        <ChipsField
          control={control}
          name="contents"
          label="In it"
          options={[
            { value: 'rock', label: 'rock' },
            { value: 'sand', label: 'sand' },
            { value: 'plants', label: 'plants' },
          ]}
        />
        {others.length > 0 && (
          <ChipsField
            control={control}
            name="near"
            label="Less than 3 m (10 ft) away"
            options={others.map(({ id, name }) => ({ value: id, label: name }))}
          />
        )}
        <SheetForm control={control as unknown as Control<SheetValues>} watch={watch as never} problems={problems} />
        {tank && (
          <section>
            <Heading>Taken down</Heading>
            <CheckField control={control} name="retired" label="This tank is not in use any more; its history stays" />
          </section>
        )}
        {unkept && <UnkeptNote unkept={unkept} />}
        <Line>
          <PrimaryButton type="submit" isDisabled={busy}>
            {tank ? 'Keep the changes' : 'Set up the tank'}
          </PrimaryButton>
          <PlainButton
            onPress={() => {
              draft.forget()
              onCancel()
            }}
          >
            cancel
          </PlainButton>
        </Line>
      </Stack>
    </Form>
  )
}
