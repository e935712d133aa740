import { useState } from 'react'
import { Form } from 'react-aria-components'
import { useFieldArray, useForm, type Control } from 'react-hook-form'
import { useNavigate, useParams, useSearchParams } from 'react-router'
import { ANIMAL_GROUPS } from '../../../core/catalogue/animal-group.ts'
import { figureUnit } from '../../../core/arrivals/run/figures.ts'
import {
  boxAsTyped,
  cancelled,
  EMPTY_BOX,
  emptyAnimal,
  readBox,
  type AnimalValues,
  askedOf,
  animalField,
  type BoxValues,
} from '../../../core/arrivals/box/box-form.ts'
import { boxById, type Box } from '../../../core/arrivals/box/boxes.ts'
import { tanksOf, type Tank } from '../../../core/household/tanks.ts'
import { dateInput } from '../../../core/time/words.ts'
import { MS_PER_HOUR } from '../../../core/time/zone.ts'
import { CheckField, SelectField, TextField, type Option } from '../../fields/fields.tsx'
import { useMeantGroup } from '../../fields/meant-group.ts'
import type { Problems } from '../../fields/shell.tsx'
import { thisInstant, useNow } from '../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../journal/keeping.tsx'
import { newId } from '../../journal/opened.ts'
import { useHousehold } from '../../journal/provider.tsx'
import { Button, ButtonLink, PlainButton, PrimaryButton } from '../../look/buttons.ts'
import { FieldGrid, Page } from '../../look/page.ts'
import { Heading, Line, Small, Stack, Title } from '../../look/text.ts'

/** A box announced, or its announcement put right. */
export function ExpectBox() {
  const { boxId } = useParams()
  const { journal } = useHousehold()
  const tanks = tanksOf(journal)
  const box = boxId === undefined ? null : boxById(journal, boxId)
  if (tanks.length === 0)
    return (
      <Page>
        <Stack>
          <Title>Set up a tank first</Title>
          <Small>An arrival needs a tank to go to; a quarantine tub of known volume is enough.</Small>
          <div>
            <ButtonLink href="/tanks/new">Set up a tank</ButtonLink>
          </div>
        </Stack>
      </Page>
    )
  if (boxId !== undefined && !box)
    return (
      <Page>
        <Title>Nothing awaited here</Title>
      </Page>
    )
  return <BoxForm key={boxId ?? 'new'} box={box} tanks={tanks} />
}

const KINDS = { fish: 'Fish', coral: 'Corals', invertebrate: 'Invertebrates' } as const
const GROUP_OPTIONS: readonly Option[] = [
  { value: '', label: 'choose' },
  ...ANIMAL_GROUPS.map(({ id, name, kind }) => ({ value: id, label: name, group: KINDS[kind] })),
]

function BoxForm({ box, tanks }: { box: Box | null; tanks: readonly Tank[] }) {
  const { settings } = useHousehold()
  const { keep, busy, unkept } = useKeeping()
  const [search] = useSearchParams()
  const navigate = useNavigate()
  const now = useNow()
  const [problems, setProblems] = useState<Problems>({})
  const due = now + 18 * MS_PER_HOUR
  const form = useForm<BoxValues>({
    defaultValues: box
      ? boxAsTyped(box, settings)
      : {
          ...EMPTY_BOX,
          date: dateInput(due, settings.clock),
          animals: [emptyAnimal(tanks, search.get('tank'), newId())],
        },
  })
  const { fields, append, remove } = useFieldArray({ control: form.control, name: 'animals', keyName: 'key' })
  const send = form.handleSubmit(async (values) => {
    const read = readBox(values, { tanks, settings, box, boxId: box?.id ?? newId(), now: thisInstant() })
    setProblems('problems' in read ? read.problems : {})
    if (!('contents' in read)) return
    if (await keep(read.contents)) void navigate(`/arrivals/box/${read.boxId}`)
  })
  const cancelAll = async () => {
    if (await keep(cancelled(box!.animals, thisInstant()))) void navigate('/arrivals')
  }
  const { control } = form
  return (
    <Page>
      <Form onSubmit={(event) => void send(event)} style={{ maxWidth: 820 }}>
        <Stack $gap={24}>
          <div>
            <Title>{box ? 'Change what is awaited' : 'A box is on its way'}</Title>
            <Small>What comes in one box is announced together. Each animal names the tank it goes to.</Small>
          </div>
          <FieldGrid>
            <TextField control={control} name="date" label="Due on" type="date" problem={problems['date']} />
            <TextField control={control} name="time" label="About" type="time" problem={problems['time']} />
            <TextField
              control={control}
              name="hours"
              label="Hours on the way"
              figure
              hint="door to door; it decides how it is done"
              problem={problems['hours']}
            />
            <TextField control={control} name="source" label="From" placeholder="mail order" />
          </FieldGrid>
          {fields.map((field, i) => (
            <AnimalFields
              key={field.key}
              control={control}
              index={i}
              tanks={tanks}
              problems={problems}
              animal={form.watch(`animals.${i}`)}
              onGroup={(id) => form.setValue(`animals.${i}.group`, id)}
              onRemove={fields.length > 1 ? () => remove(i) : null}
            />
          ))}
          <div>
            <Button
              onPress={() => append(emptyAnimal(tanks, form.getValues(`animals.${fields.length - 1}.tankId`), newId()))}
            >
              Another animal in the box
            </Button>
          </div>
          {unkept && <UnkeptNote unkept={unkept} />}
          <Line $gap={16}>
            <PrimaryButton type="submit" isDisabled={busy}>
              {box ? 'Keep the change' : 'Expect it'}
            </PrimaryButton>
            <PlainButton onPress={() => void navigate(box ? `/arrivals/box/${box.id}` : '/arrivals')}>
              cancel
            </PlainButton>
            {box && (
              <PlainButton onPress={() => void cancelAll()} isDisabled={busy}>
                it is not coming any more
              </PlainButton>
            )}
          </Line>
        </Stack>
      </Form>
    </Page>
  )
}

function AnimalFields({
  control,
  index,
  tanks,
  problems,
  animal,
  onGroup,
  onRemove,
}: {
  control: Control<BoxValues>
  index: number
  tanks: readonly Tank[]
  problems: Problems
  animal: AnimalValues
  onGroup: (id: string) => void
  onRemove: (() => void) | null
}) {
  const { units } = useHousehold().settings
  const asked = askedOf(animal.group)
  const water = tanks.find(({ id }) => id === animal.tankId)?.water ?? 'marine'
  const onChosen = useMeantGroup(animal.species, water, animal.group, onGroup)
  const at = <F extends keyof AnimalValues>(field: F) => animalField(index, field)
  return (
    <Stack $gap={14} role="group" aria-label={`Animal ${index + 1}`}>
      <Heading>
        Animal {index + 1}
        {onRemove && <PlainButton onPress={onRemove}>take it out</PlainButton>}
      </Heading>
      <FieldGrid>
        <TextField
          control={control}
          name={at('species')}
          label="What it is"
          placeholder="orchid dottyback"
          problem={animal.species.trim() === '' ? problems[at('species')] : undefined}
        />
        <TextField control={control} name={at('name')} label="Name, if it has one" />
        <TextField control={control} name={at('count')} label="How many" figure problem={problems[at('count')]} />
      </FieldGrid>
      <FieldGrid>
        <SelectField
          control={control}
          name={at('group')}
          label="Group"
          options={GROUP_OPTIONS}
          onPick={onChosen}
          hint={animal.group === '' ? 'decides how it is brought across' : undefined}
          // Chosen by the name meanwhile, it is missing no more.
          problem={animal.group === '' ? problems[at('group')] : undefined}
        />
        <SelectField
          control={control}
          name={at('tankId')}
          label="Goes to"
          options={tanks.map(({ id, name }) => ({ value: id, label: name }))}
          problem={problems[at('tankId')]}
        />
        {asked.sizeCm && (
          <TextField
            control={control}
            name={at('sizeCm')}
            label="Size"
            after={units.length}
            figure
            hint="for the room it needs"
            problem={problems[at('sizeCm')]}
          />
        )}
        {asked.sellerPsu && (
          <TextField
            control={control}
            name={at('sellerPsu')}
            label="Seller’s salinity"
            after={figureUnit('salinityPsu', units)}
            figure
            hint="ask: then the tank can wait for it set"
            problem={problems[at('sellerPsu')]}
          />
        )}
        {asked.lightUmol && (
          <TextField
            control={control}
            name={at('lightUmol')}
            label="Light it comes from"
            after="µmol"
            figure
            hint="ask the seller; the start is half of it"
            problem={problems[at('lightUmol')]}
          />
        )}
      </FieldGrid>
      {asked.dip && <CheckField control={control} name={at('dip')} label="A dip is planned before it goes across" />}
    </Stack>
  )
}
