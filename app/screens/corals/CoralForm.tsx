import { useState } from 'react'
import { Form } from 'react-aria-components'
import { useForm } from 'react-hook-form'
import { ANIMAL_GROUPS } from '../../../core/catalogue/animal-group.ts'
import { FLOWS } from '../../../core/catalogue/corals/condition.ts'
import type { Part, Place } from '../../../core/household/parts.ts'
import { iso } from '../../../core/time/zone.ts'
import { figures } from '../../../core/words/numbers.ts'
import { SelectField, TextField } from '../../fields/fields.tsx'
import { numberIn } from '../../fields/number-in.ts'
import type { Problem, Problems } from '../../fields/shell.tsx'
import { thisInstant } from '../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../journal/keeping.tsx'
import { newId } from '../../journal/opened.ts'
import { Button, PlainButton } from '../../look/buttons.ts'
import { FieldGrid } from '../../look/page.ts'
import { Line, Stack } from '../../look/text.ts'

interface Values {
  name: string
  group: string
  pieces: string
  elsewhere: string
  compartment: string
  flow: string
  lightHours: string
  lightPercent: string
}

const GROUPS = ANIMAL_GROUPS.filter(
  ({ kind, water, id }) => water === 'marine' && (kind === 'coral' || id === 'anemone'),
)

const text = (value: number | undefined): string => (value === undefined ? '' : figures(value, 3))

/** A number from a field, or what is wrong with it; null where nothing was typed. */
function read(
  typed: string,
  { most, what }: { most: number; what: string },
): { value: number | null; problem?: Problem } {
  if (typed.trim() === '') return { value: null }
  const value = numberIn(typed)
  return value === null || value < 0 || value > most ? { value: null, problem: { message: what } } : { value }
}

/** Naming a coral or changing what is known of it; another place is kept as a move of its own. */
export function CoralForm({ tankId, coral, onDone }: { tankId: string; coral: Part | null; onDone: () => void }) {
  const { keep, busy, unkept } = useKeeping()
  const [problems, setProblems] = useState<Problems>({})
  const place: Place = coral?.place ?? {}
  const form = useForm<Values>({
    defaultValues: {
      name: coral?.name ?? '',
      group: coral?.group ?? '',
      pieces: String(coral?.pieces ?? 1),
      elsewhere: coral?.elsewhere ?? '',
      compartment: place.compartment ?? '',
      flow: place.flow ?? '',
      lightHours: text(place.lightHours),
      lightPercent: text(place.lightShare === undefined ? undefined : 100 * place.lightShare),
    },
  })
  const send = form.handleSubmit(async (values) => {
    const pieces = numberIn(values.pieces)
    const hours = read(values.lightHours, { most: 24, what: 'hours a day, 0 to 24' })
    const percent = read(values.lightPercent, { most: 100, what: 'of full light, 0 to 100 %' })
    const found: Problems = {
      ...(values.name.trim() === '' && { name: { message: 'what you call it, such as “green zoanthids”' } }),
      ...((pieces === null || pieces < 1 || !Number.isInteger(pieces)) && {
        pieces: { message: 'how many pieces, 1 or more' },
      }),
      ...(hours.problem && { lightHours: hours.problem }),
      ...(percent.problem && { lightPercent: percent.problem }),
    }
    setProblems(found)
    if (Object.keys(found).length > 0) return
    const next: Place = {
      ...(values.compartment.trim() !== '' && { compartment: values.compartment.trim() }),
      ...(values.flow !== '' && { flow: values.flow as NonNullable<Place['flow']> }),
      ...(hours.value !== null && { lightHours: hours.value }),
      ...(percent.value !== null && { lightShare: percent.value / 100 }),
    }
    const isMoved = JSON.stringify(next) !== JSON.stringify(place) && Object.keys(next).length > 0
    const properties = {
      name: values.name.trim(),
      pieces: pieces!,
      ...(values.group !== '' && { group: values.group }),
      ...((values.elsewhere.trim() !== '' || coral?.elsewhere) && { elsewhere: values.elsewhere.trim() }),
      ...(isMoved && { place: next }),
    }
    const happened = iso(thisInstant())
    const kept = await keep([
      coral
        ? { kind: 'part-change', happened, partId: coral.id, changes: properties }
        : { kind: 'part-setup', happened, partId: newId(), tankId, what: 'coral', ...properties },
    ])
    if (kept) onDone()
  })
  return (
    <Form onSubmit={(event) => void send(event)}>
      <Stack $gap={14}>
        <FieldGrid>
          <TextField control={form.control} name="name" label="Coral" problem={problems['name']} autoFocus />
          <SelectField
            control={form.control}
            name="group"
            label="Kind"
            options={[{ value: '', label: 'not said' }, ...GROUPS.map(({ id, name }) => ({ value: id, label: name }))]}
            hint="which dips it must not have"
          />
          <TextField control={form.control} name="pieces" label="Pieces" figure problem={problems['pieces']} />
          <TextField
            control={form.control}
            name="elsewhere"
            label="Who else holds a piece"
            hint="a neighbour, a shop; empty for nobody"
          />
          <TextField control={form.control} name="compartment" label="Place" hint="such as left rack, high" />
          <SelectField
            control={form.control}
            name="flow"
            label="Flow there"
            options={[{ value: '', label: 'not said' }, ...FLOWS.map((flow) => ({ value: flow, label: flow }))]}
          />
          <TextField
            control={form.control}
            name="lightHours"
            label="Light a day"
            figure
            after="h"
            problem={problems['lightHours']}
          />
          <TextField
            control={form.control}
            name="lightPercent"
            label="Of full light"
            figure
            after="%"
            problem={problems['lightPercent']}
          />
        </FieldGrid>
        {unkept && <UnkeptNote unkept={unkept} />}
        <Line>
          <Button type="submit" isDisabled={busy}>
            {coral ? 'Keep the change' : 'Keep the coral'}
          </Button>
          <PlainButton onPress={onDone}>cancel</PlainButton>
        </Line>
      </Stack>
    </Form>
  )
}
