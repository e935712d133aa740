import { useState } from 'react'
import { Form } from 'react-aria-components'
import { useForm } from 'react-hook-form'
import { useNavigate, useParams, useSearchParams } from 'react-router'
import { expectedOf, type ExpectedArrival } from '../../../core/household/expected.ts'
import type { ContentOf } from '../../../core/journal/entry.ts'
import { iso } from '../../../core/time/zone.ts'
import { tankById, type Tank } from '../../../core/household/tanks.ts'
import { SelectField, TextField } from '../../fields/fields.tsx'
import { useMeantGroup } from '../../fields/meant-group.ts'
import type { Problem, Problems } from '../../fields/shell.tsx'
import { readWhenFields, WhenFields, whenOf, type WhenValues } from '../../fields/when.tsx'
import { thisInstant, useNow } from '../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../journal/keeping.tsx'
import { newId } from '../../journal/opened.ts'
import { useHousehold } from '../../journal/provider.tsx'
import { PlainButton, PrimaryButton } from '../../look/buttons.ts'
import { FieldGrid, Narrow, Page } from '../../look/page.ts'
import { Line, Small, Stack, Title } from '../../look/text.ts'
import { DoubtList, useDoubts } from '../../safety/Doubts.tsx'
import { groupOptions } from './AnimalForm.tsx'

interface Values extends WhenValues {
  name: string
  species: string
  group: string
  count: string
  source: string
  hours: string
}

/** An animal, or a group counted as one, into a tank. */
export function AddAnimal() {
  const { tankId = '' } = useParams()
  const [search] = useSearchParams()
  const { journal } = useHousehold()
  const tank = tankById(journal, tankId)
  if (!tank)
    return (
      <Page>
        <Title>No such tank</Title>
      </Page>
    )
  const expected = expectedOf(journal).find(({ expectedId }) => expectedId === search.get('expected'))
  return <AddToTank tank={tank} expected={expected} />
}

function AddToTank({ tank, expected }: { tank: Tank; expected: ExpectedArrival | undefined }) {
  const { settings } = useHousehold()
  const { keep, busy, unkept } = useKeeping()
  const navigate = useNavigate()
  const now = useNow()
  const [problems, setProblems] = useState<Problems>({})
  const groups = groupOptions(tank.water)
  const form = useForm<Values>({
    defaultValues: {
      name: expected?.name ?? '',
      species: expected?.species ?? '',
      group: expected?.group ?? '',
      count: String(expected?.count ?? 1),
      source: expected?.source ?? '',
      hours: expected?.hoursInTransit === undefined ? '' : String(expected.hoursInTransit),
      ...whenOf(now, settings.clock),
    },
  })
  const onChosen = useMeantGroup(form.watch('species'), tank.water, form.watch('group'), (id) =>
    form.setValue('group', id),
  )
  const [animalId] = useState(newId)
  const group = form.watch('group')
  // What the water speaks against is shown as soon as the group is known, before the button.
  const doubts = useDoubts(
    group === ''
      ? []
      : [{ kind: 'arrival', happened: iso(now), animalId, tankId: tank.id, species: 'it', group, count: 1 }],
  )
  const send = form.handleSubmit(async (values) => {
    const found: Record<string, Problem | undefined> = {}
    const species = values.species.trim()
    const count = Number(values.count)
    const hours = values.hours.trim() === '' ? undefined : Number(values.hours)
    if (species === '') found['species'] = { message: 'what it is, as you call it' }
    if (values.group === '') found['group'] = { message: 'which group: it decides what the animal does not tolerate' }
    if (!Number.isInteger(count) || count < 1 || count > 10_000)
      found['count'] = { message: 'a whole number, 1 or more' }
    if (hours !== undefined && !(hours >= 0 && hours <= 240)) found['hours'] = { message: 'hours on the way, 0 to 240' }
    const when = readWhenFields(values, settings.clock, thisInstant())
    if ('problems' in when) Object.assign(found, when.problems)
    setProblems(found)
    if (Object.values(found).some(Boolean) || !('happened' in when)) return
    const contents: ContentOf<'arrival'>[] = [
      {
        kind: 'arrival',
        happened: when.happened,
        animalId,
        tankId: tank.id,
        species,
        group: values.group,
        count,
        ...(values.name.trim() && { name: values.name.trim() }),
        ...(values.source.trim() && { source: values.source.trim() }),
        ...(hours !== undefined && { hoursInTransit: hours }),
        ...(expected?.sizeCm !== undefined && { sizeCm: expected.sizeCm }),
        ...(expected && { expectedId: expected.expectedId }),
      },
    ]
    if (!doubts.isClearFor(contents)) return setProblems({ group: { message: 'answer what stands below first' } })
    const kept = await keep(doubts.answered(contents))
    if (kept) void navigate(`/tanks/${tank.id}`)
  })
  const { control } = form
  return (
    <Page>
      <Narrow>
        <Form onSubmit={(event) => void send(event)}>
          <Stack $gap={22}>
            <div>
              <Title>Into {tank.name}</Title>
              <Small>One animal with its name, or a group that is counted together: “9 ember tetras”.</Small>
            </div>
            <FieldGrid>
              <TextField
                control={control}
                name="species"
                label="What it is"
                problem={problems['species']}
                autoFocus
                placeholder="royal gramma"
              />
              <TextField control={control} name="name" label="Name, if it has one" />
              <TextField control={control} name="count" label="How many" figure problem={problems['count']} />
            </FieldGrid>
            <SelectField
              control={control}
              name="group"
              label="Group"
              options={[{ value: '', label: 'choose' }, ...groups]}
              onPick={onChosen}
              problem={problems['group']}
              hint="Decides how it is acclimated and what it does not tolerate."
            />
            <FieldGrid>
              <TextField control={control} name="source" label="From" />
              <TextField control={control} name="hours" label="Hours in transit" figure problem={problems['hours']} />
            </FieldGrid>
            <WhenFields control={control} problems={problems} />
            <DoubtList doubts={doubts} />
            {unkept && <UnkeptNote unkept={unkept} />}
            <Line>
              <PrimaryButton type="submit" isDisabled={busy}>
                Log the arrival
              </PrimaryButton>
              <PlainButton onPress={() => void navigate(`/tanks/${tank.id}`)}>cancel</PlainButton>
            </Line>
          </Stack>
        </Form>
      </Narrow>
    </Page>
  )
}
