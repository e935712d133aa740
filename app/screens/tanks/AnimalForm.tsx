import { useState } from 'react'
import { Form } from 'react-aria-components'
import { useForm } from 'react-hook-form'
import { ANIMAL_GROUPS, animalGroupById } from '../../../core/catalogue/animal-group.ts'
import type { Water } from '../../../core/catalogue/parameter.types.ts'
import type { Animal } from '../../../core/household/animals.ts'
import { shownFigure, shownUnit, toKept } from '../../../core/words/measure.ts'
import { SelectField, TextField, type Option } from '../../fields/fields.tsx'
import { numberIn } from '../../fields/number-in.ts'
import type { Problems } from '../../fields/shell.tsx'
import { useKeeping, UnkeptNote } from '../../journal/keeping.tsx'
import { useHousehold } from '../../journal/provider.tsx'
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
  size: string
}

/** Puts an animal's name, species or group right. */
export function AnimalForm({ animal, onDone }: { animal: Animal; onDone: () => void }) {
  const { keep, busy, unkept } = useKeeping()
  const { units } = useHousehold().settings
  const [problems, setProblems] = useState<Problems>({})
  const form = useForm<Values>({
    defaultValues: {
      name: animal.name ?? '',
      species: animal.species,
      group: animal.group,
      size: animal.sizeCm === null ? '' : shownFigure(animal.sizeCm, 'cm', units, 3),
    },
  })
  const group = form.watch('group')
  const send = form.handleSubmit(async ({ name, species, group, size }) => {
    if (species.trim() === '') return setProblems({ species: { message: 'what it is, as you call it' } })
    const typed = numberIn(size)
    const sizeCm = typed === null ? null : toKept(typed, 'cm', units)
    if (size.trim() !== '' && !(sizeCm !== null && sizeCm >= 0.5 && sizeCm <= 200))
      return setProblems({
        size: { message: `${shownUnit('cm', units)}, nose to tail, such as ${shownFigure(8, 'cm', units, 2)}` },
      })
    setProblems({})
    const changes = {
      species: species.trim(),
      group,
      ...(name.trim() && { name: name.trim() }),
      ...(sizeCm !== null && { sizeCm }),
    }
    if (await keep([{ kind: 'animal-change', happened: new Date().toISOString(), animalId: animal.id, changes }]))
      onDone()
  })
  return (
    <Form onSubmit={(event) => void send(event)}>
      <Stack $gap={12}>
        <TextField control={form.control} name="name" label="Name" autoFocus />
        <TextField control={form.control} name="species" label="Species" problem={problems['species']} />
        <SelectField control={form.control} name="group" label="Group" options={groupOptions()} />
        {animalGroupById(group)?.kind === 'fish' && (
          <TextField
            control={form.control}
            name="size"
            label="Length"
            after={shownUnit('cm', units)}
            figure
            hint="Nose to tail: its mass is what a filter bears after days without fish."
            problem={problems['size']}
          />
        )}
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
