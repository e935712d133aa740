import { useState } from 'react'
import { Form } from 'react-aria-components'
import { useForm } from 'react-hook-form'
import { ANIMAL_GROUPS } from '../../../core/catalogue/animal-group.ts'
import type { Water } from '../../../core/catalogue/parameter.types.ts'
import type { Animal } from '../../../core/household/animals.ts'
import { SelectField, TextField, type Option } from '../../fields/fields.tsx'
import type { Problems } from '../../fields/shell.tsx'
import { useKeeping, UnkeptNote } from '../../journal/keeping.tsx'
import { PlainButton, PrimaryButton } from '../../look/buttons.ts'
import { Line, Stack } from '../../look/text.ts'

const KINDS = { fish: 'Fish', coral: 'Corals', invertebrate: 'Invertebrates' } as const

/** The species groups of a kind of water, fish first. */
export const groupOptions = (water?: Water): Option[] =>
  ANIMAL_GROUPS.filter((group) => water === undefined || group.water === water).map(({ id, name, kind }) => ({
    value: id,
    label: name,
    group: KINDS[kind],
  }))

interface Values {
  name: string
  species: string
  group: string
}

/** Puts an animal's name, species or group right. */
export function AnimalForm({ animal, onDone }: { animal: Animal; onDone: () => void }) {
  const { keep, busy, unkept } = useKeeping()
  const [problems, setProblems] = useState<Problems>({})
  const form = useForm<Values>({
    defaultValues: { name: animal.name ?? '', species: animal.species, group: animal.group },
  })
  const send = form.handleSubmit(async ({ name, species, group }) => {
    if (species.trim() === '') return setProblems({ species: { message: 'what it is, as you call it' } })
    setProblems({})
    const changes = { species: species.trim(), group, ...(name.trim() && { name: name.trim() }) }
    if (await keep([{ kind: 'animal-change', happened: new Date().toISOString(), animalId: animal.id, changes }]))
      onDone()
  })
  return (
    <Form onSubmit={(event) => void send(event)}>
      <Stack $gap={12}>
        <TextField control={form.control} name="name" label="Name" autoFocus />
        <TextField control={form.control} name="species" label="Species" problem={problems['species']} />
        <SelectField control={form.control} name="group" label="Group" options={groupOptions()} />
        {unkept && <UnkeptNote unkept={unkept} />}
        <Line>
          <PrimaryButton type="submit" isDisabled={busy}>
            Keep the change
          </PrimaryButton>
          <PlainButton onPress={onDone}>cancel</PlainButton>
        </Line>
      </Stack>
    </Form>
  )
}
