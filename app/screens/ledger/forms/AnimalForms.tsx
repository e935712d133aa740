import { WORDS_LETTERS } from '../../../../core/journal/contents/text-limits.ts'
import { useForm } from 'react-hook-form'
import { SIGNS } from '../../../../core/catalogue/sign.ts'
import { animalById, animalLabel, residentsOf, tankOfAnimal, type Animal } from '../../../../core/household/animals.ts'
import { tanksOf, type Tank } from '../../../../core/household/tanks.ts'
import type { Content, ContentOf } from '../../../../core/journal/entry.ts'
import { AreaField, CheckField, ChipsField, SelectField, TextField } from '../../../fields/fields.tsx'
import type { Problem } from '../../../fields/shell.tsx'
import type { WhenValues } from '../../../fields/when.tsx'
import { useHousehold } from '../../../journal/provider.tsx'
import { newId } from '../../../journal/opened.ts'
import { Small } from '../../../look/text.ts'
import { figures } from '../../../../core/words/numbers.ts'
import { APPETITES } from '../../../fields/appetites.ts'
import { EntryForm, useStartWhen, type FormProps, type FormRead } from './EntryForm.tsx'

/** The animals a form can be about: who lives in the tank, and whoever the corrected entry names. */
function useAnimals(tank: Tank, named: readonly string[]): Animal[] {
  const { journal } = useHousehold()
  const residents = residentsOf(journal, tank.id)
  const others = named
    .filter((id) => !residents.some((animal) => animal.id === id))
    .flatMap((id) => animalById(journal, id) ?? [])
  return [...residents, ...others]
}

const animalOptions = (animals: readonly Animal[]) =>
  animals.map((animal) => ({ value: animal.id, label: animalLabel(animal) }))

interface SightingValues extends WhenValues {
  animalIds: string[]
  appetite: string[]
  physical: string[]
  behaviour: string[]
  breaths: string
  affected: string
  words: string
}

/** What was seen: who, eating, signs, breaths, and in words. */
export function SightingForm({ tank, day, correcting, onDone }: FormProps<ContentOf<'sighting'>>) {
  const old = correcting?.content
  const animals = useAnimals(tank, old?.animalIds ?? [])
  const start = useStartWhen({ day, ...(correcting && { correcting }) })
  const scope = tank.water === 'marine' ? 'm' : 'f'
  const signs = SIGNS.filter(
    (sign) => sign.scope.includes(scope) && sign.kind !== 'context' && sign.id !== 'not-eating',
  )
  const of = (kind: 'physical' | 'behaviour') =>
    signs.filter((sign) => sign.kind === kind).map(({ id, label }) => ({ value: id, label }))
  const seenBefore = (kind: 'physical' | 'behaviour') =>
    (old?.signs ?? [])
      .filter(({ sign, present }) => present && of(kind).some(({ value }) => value === sign))
      .map(({ sign }) => sign)
  const form = useForm<SightingValues>({
    defaultValues: {
      animalIds: old ? [...old.animalIds] : animals.length === 1 ? [animals[0]!.id] : [],
      appetite: old?.appetite === undefined ? [] : [String(old.appetite)],
      physical: seenBefore('physical'),
      behaviour: seenBefore('behaviour'),
      affected: old?.affected === undefined ? '' : String(old.affected),
      breaths: old?.breathsPerMinute === undefined ? '' : figures(old.breathsPerMinute),
      words: old?.words ?? '',
      ...start,
    },
  })
  const picked = form.watch('animalIds')
  const group = picked.length === 1 ? animals.find(({ id, count }) => id === picked[0] && count > 1) : undefined
  const read = (values: SightingValues, happened: string): FormRead => {
    const problems: Record<string, Problem> = {}
    const breaths = Number(values.breaths)
    if (values.breaths.trim() !== '' && !(breaths >= 5 && breaths <= 400))
      problems['breaths'] = { message: 'a count a minute, 5 to 400: gill beats in 15 seconds, times 4' }
    const affected = values.affected.trim() === '' || !group ? undefined : Number(values.affected)
    if (affected !== undefined && !(Number.isInteger(affected) && affected >= 1 && affected <= group!.count))
      problems['affected'] = { message: `a whole number from 1 to ${group!.count}` }
    const denied = (old?.signs ?? []).filter(({ present }) => !present)
    const present = [...values.physical, ...values.behaviour].map((sign) => ({ sign, present: true }))
    const appetite = values.appetite[0]
    if (appetite === '0') present.push({ sign: 'not-eating', present: true })
    if (
      present.length === 0 &&
      denied.length === 0 &&
      appetite === undefined &&
      values.breaths.trim() === '' &&
      values.words.trim() === ''
    )
      problems['words'] = { message: 'something that was seen: a sign, an appetite, or your own words' }
    if (Object.keys(problems).length > 0) return { problems }
    const content: Content = {
      kind: 'sighting',
      happened,
      tankId: tank.id,
      animalIds: values.animalIds,
      signs: [...present, ...denied],
      ...(appetite !== undefined && { appetite: Number(appetite) }),
      ...(values.breaths.trim() !== '' && { breathsPerMinute: breaths }),
      ...(affected !== undefined && { affected }),
      ...(old?.lesion !== undefined && { lesion: old.lesion }),
      ...(values.words.trim() !== '' && { words: values.words.trim() }),
      ...(old?.seen !== undefined && { seen: old.seen }),
      ...(old?.seenCount !== undefined && { seenCount: old.seenCount }),
    }
    return { contents: [content] }
  }
  return (
    <EntryForm
      draft={`sighting-${tank.id}`}
      animals={animals}
      form={form}
      correcting={correcting}
      read={read}
      act="Log what was seen"
      onDone={onDone}
    >
      {(problems) => (
        <>
          {animals.length > 0 && (
            <ChipsField control={form.control} name="animalIds" label="Who" options={animalOptions(animals)} />
          )}
          <ChipsField control={form.control} name="appetite" label="Eating" options={APPETITES} single />
          <ChipsField control={form.control} name="behaviour" label="Behaviour" options={of('behaviour')} />
          <ChipsField control={form.control} name="physical" label="On the body" options={of('physical')} />
          {group && (
            <TextField
              control={form.control}
              name="affected"
              label="How many show it"
              after={`of ${group.count}`}
              figure
              problem={problems['affected']}
              hint="all of them if left empty"
            />
          )}
          <TextField
            control={form.control}
            name="breaths"
            label="Gill beats"
            after="a minute"
            figure
            problem={problems['breaths']}
            hint="at rest: beats in 15 seconds, times 4"
          />
          <AreaField control={form.control} name="words" label="In your words" problem={problems['words']} />
        </>
      )}
    </EntryForm>
  )
}

interface MoveValues extends WhenValues {
  animalIds: string[]
  toTankId: string
  part: string
  clean: boolean
}

/** Animals to another tank. A group of which only some move becomes two. */
export function MoveForm({ tank, day, correcting, onDone }: FormProps<ContentOf<'move'>>) {
  const { journal } = useHousehold()
  const old = correcting?.content
  const animals = useAnimals(tank, old ? [old.animalId] : [])
  const start = useStartWhen({ day, ...(correcting && { correcting }) })
  const targets = tanksOf(journal).filter(({ id }) => id !== tank.id || old?.toTankId === id)
  const form = useForm<MoveValues>({
    defaultValues: {
      animalIds: old ? [old.animalId] : animals.length === 1 ? [animals[0]!.id] : [],
      toTankId: old?.toTankId ?? targets[0]?.id ?? '',
      part: old?.count === undefined ? '' : String(old.count),
      clean: old?.cleanTransfer ?? false,
      ...start,
    },
  })
  const picked = form.watch('animalIds')
  const group = picked.length === 1 ? animals.find(({ id }) => id === picked[0]) : undefined
  const read = (values: MoveValues, happened: string): FormRead => {
    if (values.animalIds.length === 0) return { problems: { animalIds: { message: 'who moves' } } }
    if (values.toTankId === '') return { problems: { toTankId: { message: 'another tank: set one up first' } } }
    const count = values.part.trim() === '' ? undefined : Number(values.part)
    if (count !== undefined && !(Number.isInteger(count) && count >= 1 && (!group || count <= group.count)))
      return { problems: { part: { message: `a whole number from 1 to ${group?.count ?? 1}` } } }
    const partial = group && count !== undefined && count < group.count
    return {
      contents: values.animalIds.map((animalId): Content => {
        const animal = animals.find(({ id }) => id === animalId)!
        return {
          kind: 'move',
          happened,
          animalId,
          fromTankId: old?.fromTankId ?? tankOfAnimal(animal) ?? tank.id,
          toTankId: values.toTankId,
          ...(partial && { count, newAnimalId: old?.newAnimalId ?? newId() }),
          ...(values.clean && { cleanTransfer: true }),
        }
      }),
    }
  }
  if (animals.length === 0) return <Small>Nobody lives in {tank.name}.</Small>
  return (
    <EntryForm
      draft={`move-${tank.id}`}
      animals={animals}
      form={form}
      correcting={correcting}
      read={read}
      act={picked.length > 1 ? `Move ${picked.length} animals` : 'Move'}
      onDone={onDone}
    >
      {(problems) => (
        <>
          <ChipsField
            control={form.control}
            name="animalIds"
            label="Who"
            options={animalOptions(animals)}
            single={Boolean(old)}
            problem={problems['animalIds']}
          />
          <SelectField
            control={form.control}
            name="toTankId"
            label="To"
            options={targets.map(({ id, name }) => ({ value: id, label: name }))}
            problem={problems['toTankId']}
          />
          {group && group.count > 1 && (
            <TextField
              control={form.control}
              name="part"
              label="How many of them"
              figure
              hint={`all ${group.count} if left empty`}
              problem={problems['part']}
            />
          )}
          <CheckField
            control={form.control}
            name="clean"
            label="Only the animal moved: no water, net or decor went with it"
          />
        </>
      )}
    </EntryForm>
  )
}

interface LossValues extends WhenValues {
  animalId: string
  how: string
  count: string
  cause: string
}

/** A death, or an animal that left the household alive. */
export function LossForm({ tank, day, correcting, onDone }: FormProps<ContentOf<'death'> | ContentOf<'departure'>>) {
  const old = correcting?.content
  const animals = useAnimals(tank, old ? [old.animalId] : [])
  const start = useStartWhen({ day, ...(correcting && { correcting }) })
  const form = useForm<LossValues>({
    defaultValues: {
      animalId: old?.animalId ?? animals[0]?.id ?? '',
      how: old?.kind ?? 'death',
      count: old?.count === undefined ? '' : String(old.count),
      cause: (old?.kind === 'death' ? old.cause : old?.to) ?? '',
      ...start,
    },
  })
  const [animalId, how] = form.watch(['animalId', 'how'])
  const animal = animals.find(({ id }) => id === animalId)
  const died = how === 'death'
  const most = (animal?.count ?? 0) + (old ? (old.count ?? 1) : 0)
  const read = (values: LossValues, happened: string): FormRead => {
    if (!animal) return { problems: { animalId: { message: 'which animal' } } }
    const count = values.count.trim() === '' ? undefined : Number(values.count)
    if (count !== undefined && !(Number.isInteger(count) && count >= 1 && count <= most))
      return { problems: { count: { message: `a whole number from 1 to ${most}` } } }
    const words = values.cause.trim()
    const shared = {
      happened,
      animalId: animal.id,
      tankId: old?.tankId ?? tank.id,
      ...(count !== undefined && { count }),
    }
    return {
      contents: [
        died
          ? { kind: 'death', ...shared, ...(words && { cause: words }) }
          : { kind: 'departure', ...shared, ...(words && { to: words }) },
      ],
    }
  }
  if (animals.length === 0) return <Small>Nobody lives in {tank.name}.</Small>
  return (
    <EntryForm
      draft={`loss-${tank.id}`}
      animals={animals}
      form={form}
      correcting={correcting}
      read={read}
      act={died ? 'Log the death' : 'Log that it left'}
      onDone={onDone}
    >
      {(problems) => (
        <>
          <SelectField
            control={form.control}
            name="animalId"
            label="Who"
            options={animalOptions(animals)}
            problem={problems['animalId']}
          />
          {!old && (
            <SelectField
              control={form.control}
              name="how"
              label="What happened"
              options={[
                { value: 'death', label: 'died' },
                { value: 'departure', label: 'left the household alive' },
              ]}
            />
          )}
          {most > 1 && (
            <TextField
              control={form.control}
              name="count"
              label="How many"
              figure
              hint={died ? 'one if left empty' : `all ${most} if left empty`}
              problem={problems['count']}
            />
          )}
          <TextField
            control={form.control}
            most={WORDS_LETTERS}
            name="cause"
            label={died ? 'Cause, if known' : 'To whom'}
          />
        </>
      )}
    </EntryForm>
  )
}

interface NoteValues extends WhenValues {
  animalIds: string[]
  text: string
}

/** Free words on a tank and, if they are about them, its animals. */
export function NoteForm({ tank, day, correcting, onDone }: FormProps<ContentOf<'note'>>) {
  const old = correcting?.content
  const animals = useAnimals(tank, old?.animalIds ?? [])
  const start = useStartWhen({ day, ...(correcting && { correcting }) })
  const form = useForm<NoteValues>({
    defaultValues: { animalIds: [...(old?.animalIds ?? [])], text: old?.text ?? '', ...start },
  })
  const read = (values: NoteValues, happened: string): FormRead => {
    const text = values.text.trim()
    if (text === '') return { problems: { text: { message: 'the words of the note' } } }
    return {
      contents: [
        {
          kind: 'note',
          happened,
          text,
          tankId: tank.id,
          ...(values.animalIds.length > 0 && { animalIds: values.animalIds }),
        },
      ],
    }
  }
  return (
    <EntryForm
      draft={`note-${tank.id}`}
      animals={animals}
      form={form}
      correcting={correcting}
      read={read}
      act="Keep the note"
      onDone={onDone}
    >
      {(problems) => (
        <>
          <AreaField control={form.control} name="text" label="Note" problem={problems['text']} />
          {animals.length > 0 && (
            <ChipsField control={form.control} name="animalIds" label="About" options={animalOptions(animals)} />
          )}
        </>
      )}
    </EntryForm>
  )
}
