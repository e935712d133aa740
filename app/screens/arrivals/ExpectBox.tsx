import { useState } from 'react'
import { Form } from 'react-aria-components'
import { useFieldArray, useForm, type Control } from 'react-hook-form'
import { useNavigate, useParams, useSearchParams } from 'react-router'
import { ANIMAL_GROUPS, animalGroupById } from '../../../core/catalogue/animal-group.ts'
import { boxById, type Box } from '../../../core/arrivals/boxes.ts'
import { tanksOf, type Tank } from '../../../core/household/tanks.ts'
import type { Content, ContentOf } from '../../../core/journal/entry.ts'
import { dateInput, timeOf } from '../../../core/time/words.ts'
import { dayFromText, iso, MS_PER_HOUR, type ZoneClock } from '../../../core/time/zone.ts'
import { CheckField, SelectField, TextField, type Option } from '../../fields/fields.tsx'
import type { Problem, Problems } from '../../fields/shell.tsx'
import { thisInstant, useNow } from '../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../journal/keeping.tsx'
import { newId } from '../../journal/opened.ts'
import { useHousehold } from '../../journal/provider.tsx'
import { Button, ButtonLink, PlainButton, PrimaryButton } from '../../look/buttons.ts'
import { FieldGrid, Page } from '../../look/page.ts'
import { Heading, Line, Small, Stack, Title } from '../../look/text.ts'

interface AnimalValues {
  expectedId: string
  species: string
  name: string
  count: string
  group: string
  tankId: string
  sizeCm: string
  sellerPsu: string
  lightUmol: string
  dip: boolean
}

interface Values {
  date: string
  time: string
  hours: string
  source: string
  animals: AnimalValues[]
}

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
const GROUP_OPTIONS: readonly Option[] = ANIMAL_GROUPS.map(({ id, name, kind }) => ({
  value: id,
  label: name,
  group: KINDS[kind],
}))

const text = (value: number | undefined) => (value === undefined ? '' : String(value))

function emptyAnimal(tanks: readonly Tank[], tankId: string | null): AnimalValues {
  return {
    expectedId: newId(),
    species: '',
    name: '',
    count: '1',
    group: 'marine-fish',
    tankId: tankId ?? tanks.find(({ role }) => role === 'quarantine' || role === 'tub')?.id ?? tanks[0]!.id,
    sizeCm: '',
    sellerPsu: '',
    lightUmol: '',
    dip: false,
  }
}

function BoxForm({ box, tanks }: { box: Box | null; tanks: readonly Tank[] }) {
  const { settings } = useHousehold()
  const { keep, busy, unkept } = useKeeping()
  const [search] = useSearchParams()
  const navigate = useNavigate()
  const now = useNow()
  const [problems, setProblems] = useState<Problems>({})
  const due = box?.dueAt ?? now + 18 * MS_PER_HOUR
  const form = useForm<Values>({
    defaultValues: {
      date: dateInput(due, settings.clock),
      time: box ? timeOf(due, settings.clock) : '10:30',
      hours: text(box?.hoursInTransit ?? undefined),
      source: box?.source ?? '',
      animals: box
        ? box.animals.map((animal) => ({
            expectedId: animal.expectedId,
            species: animal.species,
            name: animal.name ?? '',
            count: String(animal.count),
            group: animal.group,
            tankId: animal.tankId,
            sizeCm: text(animal.sizeCm),
            sellerPsu: text(animal.sellerPsu),
            lightUmol: text(animal.lightUmol),
            dip: animal.dip ?? false,
          }))
        : [emptyAnimal(tanks, search.get('tank'))],
    },
  })
  const { fields, append, remove } = useFieldArray({ control: form.control, name: 'animals', keyName: 'key' })
  const send = form.handleSubmit(async (values) => {
    const read = readBox(values, tanks, settings.clock, box)
    setProblems('problems' in read ? read.problems : {})
    if (!('contents' in read)) return
    if (await keep(read.contents)) void navigate(`/arrivals/box/${read.boxId}`)
  })
  const cancelAll = async () => {
    const happened = iso(thisInstant())
    const kept = await keep(
      box!.animals.map((animal): Content => {
        const { dueAt: _dueAt, ...expected } = animal
        const content: ContentOf<'expected'> = { kind: 'expected', happened, ...expected, cancelled: true }
        return content
      }),
    )
    if (kept) void navigate('/arrivals')
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
              group={form.watch(`animals.${i}.group`)}
              onRemove={fields.length > 1 ? () => remove(i) : null}
            />
          ))}
          <div>
            <Button onPress={() => append(emptyAnimal(tanks, form.getValues(`animals.${fields.length - 1}.tankId`)))}>
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
  group,
  onRemove,
}: {
  control: Control<Values>
  index: number
  tanks: readonly Tank[]
  problems: Problems
  group: string
  onRemove: (() => void) | null
}) {
  const known = animalGroupById(group)
  const at = (field: keyof AnimalValues) => `animals.${index}.${field}` as const
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
          problem={problems[at('species')]}
        />
        <TextField control={control} name={at('name')} label="Name, if it has one" />
        <TextField control={control} name={at('count')} label="How many" figure problem={problems[at('count')]} />
      </FieldGrid>
      <FieldGrid>
        <SelectField control={control} name={at('group')} label="Group" options={GROUP_OPTIONS} />
        <SelectField
          control={control}
          name={at('tankId')}
          label="Goes to"
          options={tanks.map(({ id, name }) => ({ value: id, label: name }))}
          problem={problems[at('tankId')]}
        />
        {known?.kind === 'fish' && (
          <TextField
            control={control}
            name={at('sizeCm')}
            label="Size"
            after="cm"
            figure
            hint="for the room it needs"
            problem={problems[at('sizeCm')]}
          />
        )}
        {known?.water === 'marine' && (
          <TextField
            control={control}
            name={at('sellerPsu')}
            label="Seller’s salinity"
            after="psu"
            figure
            hint="ask: then the tank can wait for it set"
            problem={problems[at('sellerPsu')]}
          />
        )}
        {known?.kind === 'coral' && (
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
      {known?.kind !== 'fish' && (
        <CheckField control={control} name={at('dip')} label="A dip is planned before it goes across" />
      )}
    </Stack>
  )
}

/** Reads the form: contents to keep, or what is wrong beside which field. */
function readBox(
  values: Values,
  tanks: readonly Tank[],
  clock: ZoneClock,
  box: Box | null,
): { boxId: string; contents: Content[] } | { problems: Problems } {
  const problems: Record<string, Problem> = {}
  const day = dayFromText(values.date)
  const time = /^(\d{1,2}):(\d{2})$/.exec(values.time)
  if (day === null) problems['date'] = { message: 'a day that exists, such as 2026-11-26' }
  if (!time || Number(time[1]) > 23 || Number(time[2]) > 59) problems['time'] = { message: 'a time such as 10:30' }
  const number = (field: string, typed: string, least: number, most: number, words: string): number | undefined => {
    if (typed.trim() === '') return undefined
    const value = Number(typed.trim().replace(',', '.'))
    if (Number.isFinite(value) && value >= least && value <= most) return value
    problems[field] = { message: `${words}, ${least} to ${most}` }
    return undefined
  }
  const hours = number('hours', values.hours, 0, 120, 'hours on the way')
  const boxId = box?.id ?? newId()
  const happened = iso(thisInstant())
  const due = day !== null && time ? iso(clock.instantAt(day, Number(time[1]) * 60 + Number(time[2]))) : ''
  const contents = values.animals.map((animal, i): Content => {
    const at = (field: keyof AnimalValues) => `animals.${i}.${field}`
    if (animal.species.trim() === '') problems[at('species')] = { message: 'what it is, as you call it' }
    const count = Number(animal.count)
    if (!Number.isInteger(count) || count < 1 || count > 10_000)
      problems[at('count')] = { message: 'a whole number, 1 or more' }
    const group = animalGroupById(animal.group)
    const tank = tanks.find(({ id }) => id === animal.tankId)
    if (tank && group && tank.water !== group.water)
      problems[at('tankId')] = {
        message: `${tank.name} is ${tank.water === 'marine' ? 'salt' : 'fresh'} water; ${group.name} need ${group.water === 'marine' ? 'salt' : 'fresh'} water`,
      }
    const sizeCm = number(at('sizeCm'), animal.sizeCm, 0.5, 200, 'centimetres, nose to tail')
    const sellerPsu = number(at('sellerPsu'), animal.sellerPsu, 0, 45, 'psu')
    const lightUmol = number(at('lightUmol'), animal.lightUmol, 1, 1500, 'µmol photons a square metre and second')
    const before = box?.animals.find(({ expectedId }) => expectedId === animal.expectedId)
    return {
      kind: 'expected',
      happened,
      expectedId: animal.expectedId,
      boxId,
      tankId: animal.tankId,
      species: animal.species.trim(),
      group: animal.group,
      count: Number.isInteger(count) && count > 0 ? count : 1,
      due,
      ...(animal.name.trim() && { name: animal.name.trim() }),
      ...(hours !== undefined && { hoursInTransit: hours }),
      ...(values.source.trim() && { source: values.source.trim() }),
      ...(group?.kind === 'fish' && sizeCm !== undefined && { sizeCm }),
      ...(sellerPsu !== undefined && { sellerPsu }),
      ...(group?.kind === 'coral' && lightUmol !== undefined && { lightUmol }),
      ...(group?.kind !== 'fish' && animal.dip && { dip: true }),
      ...(before?.noQuarantine && before.tankId === animal.tankId && { noQuarantine: true }),
    }
  })
  if (Object.keys(problems).length > 0) return { problems }
  const gone = (box?.animals ?? []).filter(
    ({ expectedId }) => !values.animals.some((animal) => animal.expectedId === expectedId),
  )
  return {
    boxId,
    contents: [
      ...contents,
      ...gone.map((animal): Content => {
        const { dueAt: _dueAt, ...expected } = animal
        const content: ContentOf<'expected'> = { kind: 'expected', happened, ...expected, cancelled: true }
        return content
      }),
    ],
  }
}
