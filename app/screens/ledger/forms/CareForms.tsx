import { useForm } from 'react-hook-form'
import { ingredientById } from '../../../../core/catalogue/ingredient.ts'
import { HIGHEST_PATCH_STAGE, STAGE_WORDS } from '../../../../core/catalogue/patch-stage.ts'
import { animalLabel, residentsOf } from '../../../../core/household/animals.ts'
import { partsOf } from '../../../../core/household/parts.ts'
import { shelfOf } from '../../../../core/household/shelf.ts'
import { tanksOf } from '../../../../core/household/tanks.ts'
import type { ContentOf } from '../../../../core/journal/entry.ts'
import { typedNumber } from '../../../../core/numbers/typed.ts'
import { shownFigure, shownUnit, toKept } from '../../../../core/words/measure.ts'
import { figures } from '../../../../core/words/numbers.ts'
import { figureTyped } from '../../../fields/figure-text.ts'
import { ChipsField, SelectField, TextField } from '../../../fields/fields.tsx'
import type { Problem, Problems } from '../../../fields/shell.tsx'
import type { WhenValues } from '../../../fields/when.tsx'
import { useHousehold } from '../../../journal/provider.tsx'
import { ButtonLink } from '../../../look/buttons.ts'
import { Bar, Small, Stack } from '../../../look/text.ts'
import { CONTACT_WORDS } from '../../../words/entries.ts'
import { EntryForm, useStartWhen, type FormProps } from './EntryForm.tsx'

/** A field's number over a limit, or what would be right beside it. */
function numberOf(
  text: string,
  field: string,
  problems: Record<string, Problem>,
  rather: string,
  { least = 0, isOver = true, most = Infinity }: { least?: number; isOver?: boolean; most?: number } = {},
): number {
  const read = typedNumber(figureTyped(text))
  const value = 'value' in read ? read.value : NaN
  if (!(isOver ? value > least : value >= least) || value > most)
    problems[field] = 'choices' in read && read.choices ? read : { message: rather }
  return value
}

const found = <C,>(problems: Record<string, Problem>, contents: C[]): { contents: C[] } | { problems: Problems } =>
  Object.keys(problems).length > 0 ? { problems } : { contents }

interface BathValues extends WhenValues {
  animalIds: string[]
  productId: string
  amount: string
  litres: string
  minutes: string
}

/** A bath or a dip in water of its own. */
export function BathForm({ tank, day, correcting, onDone }: FormProps<ContentOf<'bath'>>) {
  const { journal, settings } = useHousehold()
  const start = useStartWhen({ day, ...(correcting && { correcting }) })
  const shelf = shelfOf(journal)
  const residents = residentsOf(journal, tank.id)
  const old = correcting?.content
  const form = useForm<BathValues>({
    defaultValues: {
      animalIds: old?.animalIds ?? residents.map(({ id }) => id),
      productId: old?.productId ?? shelf[0]?.id ?? '',
      amount: old ? figures(old.amount, 6) : '',
      litres: old ? shownFigure(old.litres, 'L', settings.units) : '',
      minutes: old ? figures(old.minutes, 4) : '',
      ...start,
    },
  })
  const productId = form.watch('productId')
  const product = shelf.find(({ id }) => id === productId)
  if (shelf.length === 0)
    return (
      <Stack>
        <p>A bath is of a product on the shelf, with its strength. The shelf is empty.</p>
        <div>
          <ButtonLink href="/shelf/new">Put a product on the shelf</ButtonLink>
        </div>
      </Stack>
    )
  return (
    <EntryForm
      draft={`bath-${tank.id}`}
      form={form}
      correcting={correcting}
      animals={residents}
      act="Log the bath"
      onDone={onDone}
      read={(values, happened) => {
        const problems: Record<string, Problem> = {}
        if (!product) problems['productId'] = { message: 'what was in the bath' }
        if (values.animalIds.length === 0) problems['animalIds'] = { message: 'who was in it' }
        const amount = numberOf(values.amount, 'amount', problems, `how many ${product?.unit ?? 'mL'}, such as 2`)
        const litres = toKept(
          numberOf(values.litres, 'litres', problems, 'the water of the bath, such as 4'),
          'L',
          settings.units,
        )
        const minutes = numberOf(values.minutes, 'minutes', problems, 'minutes, such as 8')
        return found(problems, [
          {
            kind: 'bath',
            happened,
            tankId: tank.id,
            animalIds: values.animalIds,
            ...(old?.partIds && { partIds: old.partIds }),
            ingredient: product?.ingredient ?? '',
            productId: product?.id ?? '',
            amount,
            unit: product?.unit ?? 'mL',
            massMg: amount * (product?.mgPerUnit ?? 0),
            litres,
            minutes,
            ...(old?.courseId && { courseId: old.courseId }),
            ...(old?.taskId && { taskId: old.taskId }),
          },
        ])
      }}
    >
      {(problems) => (
        <>
          <ChipsField
            control={form.control}
            name="animalIds"
            label="Who"
            problem={problems['animalIds']}
            options={residents.map((animal) => ({ value: animal.id, label: animalLabel(animal) }))}
          />
          <SelectField
            control={form.control}
            name="productId"
            label="In the bath"
            problem={problems['productId']}
            options={shelf.map(({ id, name }) => ({ value: id, label: name }))}
          />
          {product && ingredientById(product.ingredient)?.caution && (
            <Bar $tone="soon">
              {ingredientById(product.ingredient)!.caution} Stay beside it; out at once at loss of balance. Never poured
              into the tank.
            </Bar>
          )}
          <TextField
            control={form.control}
            name="amount"
            label="How much of it"
            after={product?.unit ?? 'mL'}
            figure
            problem={problems['amount']}
          />
          <TextField
            control={form.control}
            name="litres"
            label="Water of the bath"
            after={shownUnit('L', settings.units)}
            figure
            problem={problems['litres']}
          />
          <TextField
            control={form.control}
            name="minutes"
            label="Minutes"
            after="min"
            figure
            problem={problems['minutes']}
          />
        </>
      )}
    </EntryForm>
  )
}

const COUNTED: readonly { value: NonNullable<ContentOf<'count'>['measure']>; label: string }[] = [
  { value: 'patch-stage', label: 'stage of each patch' },
  { value: 'came-off', label: 'came off in a dip' },
  { value: 'eggs', label: 'eggs' },
  { value: 'alive', label: 'alive in the jar' },
  { value: 'cells', label: 'cells' },
  { value: 'coverage', label: 'coverage, %' },
  { value: 'pest-count', label: 'pests' },
  { value: 'removed', label: 'removed' },
  { value: 'left', label: 'left' },
]

/** What format 1 called a measure. */
const measureOf = (what: ContentOf<'count'>['what']): ContentOf<'count'>['measure'] =>
  what === 'dip-count' ? 'came-off' : what === 'jar' ? 'alive' : what

interface CountValues extends WhenValues {
  measure: string
  value: string
  stages: Record<string, string>
}

/** A count, or the stage of each patch. */
export function CountForm({ tank, day, correcting, onDone }: FormProps<ContentOf<'count'>>) {
  const { journal } = useHousehold()
  const start = useStartWhen({ day, ...(correcting && { correcting }) })
  const parts = partsOf(journal, tank.id)
  const old = correcting?.content
  const form = useForm<CountValues>({
    defaultValues: {
      measure: old?.measure ?? measureOf(old?.what) ?? (parts.length > 0 ? 'patch-stage' : 'came-off'),
      value: old?.values ? old.values.join(' ') : '',
      stages: Object.fromEntries((old?.parts ?? []).map(({ partId, value }) => [partId, String(value)])),
      ...start,
    },
  })
  const measure = form.watch('measure')
  const byPart = measure === 'patch-stage'
  return (
    <EntryForm
      draft={`count-${tank.id}`}
      form={form}
      correcting={correcting}
      act={byPart ? 'Log the stages' : 'Log the count'}
      onDone={onDone}
      read={(values, happened) => {
        const problems: Record<string, Problem> = {}
        const rather = `a stage from 0, living colour, to ${HIGHEST_PATCH_STAGE}, detached`
        const scored = parts.flatMap(({ id }) => {
          const text = values.stages[id]?.trim() ?? ''
          if (!byPart || text === '') return []
          const value = numberOf(text, `stages.${id}`, problems, rather, { isOver: false, most: HIGHEST_PATCH_STAGE })
          if (!Number.isInteger(value)) problems[`stages.${id}`] = { message: rather }
          return [{ partId: id, value }]
        })
        if (byPart && scored.length === 0)
          problems[parts[0] ? `stages.${parts[0].id}` : 'measure'] = { message: rather }
        const value = byPart
          ? 0
          : numberOf(values.value, 'value', problems, 'one plain number, 0 or more', { isOver: false })
        return found(problems, [
          {
            kind: 'count',
            happened,
            tankId: tank.id,
            measure: values.measure as NonNullable<ContentOf<'count'>['measure']>,
            ...(byPart ? { parts: scored } : { values: [value] }),
            ...(old?.courseId && { courseId: old.courseId }),
            ...(old?.taskId && { taskId: old.taskId }),
            ...(old?.of && { of: old.of }),
          },
        ])
      }}
    >
      {(problems) => (
        <>
          <SelectField
            control={form.control}
            name="measure"
            label="What is counted"
            problem={problems['measure']}
            options={COUNTED.map(({ value, label }) => ({ value, label }))}
          />
          {byPart ? (
            parts.length === 0 ? (
              <Small>No patch is on record here: name them on the page of the course.</Small>
            ) : (
              parts.map(({ id, name, control }) => (
                <SelectField
                  key={id}
                  control={form.control}
                  name={`stages.${id}`}
                  label={control ? `${name}, left untreated` : name}
                  problem={problems[`stages.${id}`]}
                  options={[
                    { value: '', label: 'not scored' },
                    ...STAGE_WORDS.map((words, stage) => ({ value: String(stage), label: `${stage}, ${words}` })),
                  ]}
                />
              ))
            )
          ) : (
            <TextField control={form.control} name="value" label="How many" figure problem={problems['value']} />
          )}
        </>
      )}
    </EntryForm>
  )
}

interface FeedValues extends WhenValues {
  foodG: string
  ingredient: string
  mgPerG: string
}

/** Food, with a medicine in it where one was bound to it. */
export function FeedForm({ tank, day, correcting, onDone }: FormProps<ContentOf<'feed'>>) {
  const { journal } = useHousehold()
  const start = useStartWhen({ day, ...(correcting && { correcting }) })
  const old = correcting?.content
  const form = useForm<FeedValues>({
    defaultValues: {
      foodG: old ? figures(old.foodG, 4) : '',
      ingredient: old?.ingredient ?? '',
      mgPerG: old?.mgPerG === undefined ? '' : figures(old.mgPerG, 4),
      ...start,
    },
  })
  const ingredient = form.watch('ingredient')
  const medicines = [
    ...new Set(
      shelfOf(journal)
        .map((product) => product.ingredient)
        .filter((id) => ingredientById(id)?.kind === 'medicine'),
    ),
  ]
  return (
    <EntryForm
      draft={`feed-${tank.id}`}
      form={form}
      correcting={correcting}
      act="Log the food"
      onDone={onDone}
      read={(values, happened) => {
        const problems: Record<string, Problem> = {}
        const foodG = numberOf(values.foodG, 'foodG', problems, 'grams of food, such as 2')
        const mgPerG =
          values.ingredient === ''
            ? null
            : numberOf(values.mgPerG, 'mgPerG', problems, 'mg in a gram of food, such as 5')
        return found(problems, [
          {
            kind: 'feed',
            happened,
            tankId: tank.id,
            foodG,
            ...(old?.animalIds && { animalIds: old.animalIds }),
            ...(mgPerG !== null && { ingredient: values.ingredient, mgPerG }),
          },
        ])
      }}
    >
      {(problems) => (
        <>
          <TextField control={form.control} name="foodG" label="Food" after="g" figure problem={problems['foodG']} />
          <SelectField
            control={form.control}
            name="ingredient"
            label="Medicine in it"
            options={[
              { value: '', label: 'none' },
              ...medicines.map((id) => ({ value: id, label: ingredientById(id)?.name ?? id })),
            ]}
          />
          {ingredient !== '' && (
            <TextField
              control={form.control}
              name="mgPerG"
              label="How much of it"
              after="mg/g"
              figure
              problem={problems['mgPerG']}
              hint="milligrams of the medicine in a gram of food"
            />
          )}
        </>
      )}
    </EntryForm>
  )
}

interface TopOffValues extends WhenValues {
  litres: string
}

/** What evaporated, filled up with fresh water. */
export function TopOffForm({ tank, day, correcting, onDone }: FormProps<ContentOf<'top-off'>>) {
  const { settings } = useHousehold()
  const start = useStartWhen({ day, ...(correcting && { correcting }) })
  const form = useForm<TopOffValues>({
    defaultValues: {
      litres: correcting ? shownFigure(correcting.content.litres, 'L', settings.units) : '',
      ...start,
    },
  })
  return (
    <EntryForm
      draft={`top-off-${tank.id}`}
      form={form}
      correcting={correcting}
      act="Log the top-off"
      onDone={onDone}
      read={(values, happened) => {
        const problems: Record<string, Problem> = {}
        const most = tank.volume?.netL
        const litres = toKept(
          numberOf(values.litres, 'litres', problems, 'how much was filled up, such as 3'),
          'L',
          settings.units,
        )
        if (most !== undefined && litres > most) problems['litres'] = { message: `${tank.name} does not hold so much` }
        return found(problems, [
          {
            kind: 'top-off',
            happened,
            tankId: tank.id,
            litres,
            salinityPsu: correcting?.content.salinityPsu ?? 0,
          },
        ])
      }}
    >
      {(problems) => (
        <TextField
          control={form.control}
          name="litres"
          label="Fresh water filled up"
          after={shownUnit('L', settings.units)}
          figure
          autoFocus
          problem={problems['litres']}
        />
      )}
    </EntryForm>
  )
}

interface ContactValues extends WhenValues {
  what: string
  from: string
}

/** Something wet of another system that touched this water. */
export function ContactForm({ tank, day, correcting, onDone }: FormProps<ContentOf<'contact'>>) {
  const { journal } = useHousehold()
  const start = useStartWhen({ day, ...(correcting && { correcting }) })
  const form = useForm<ContactValues>({
    defaultValues: { what: correcting?.content.what ?? 'tool', from: correcting?.content.from ?? '', ...start },
  })
  return (
    <EntryForm
      draft={`contact-${tank.id}`}
      form={form}
      correcting={correcting}
      act="Log the contact"
      onDone={onDone}
      read={(values, happened) => ({
        contents: [
          {
            kind: 'contact',
            happened,
            tankId: tank.id,
            what: values.what as ContentOf<'contact'>['what'],
            ...(values.from !== '' && { from: values.from }),
          },
        ],
      })}
    >
      {() => (
        <>
          <SelectField
            control={form.control}
            name="what"
            label="What touched it"
            options={Object.entries(CONTACT_WORDS).map(([value, label]) => ({ value, label }))}
          />
          <SelectField
            control={form.control}
            name="from"
            label="From"
            options={[
              { value: '', label: 'outside, or not known' },
              ...tanksOf(journal)
                .filter(({ id }) => id !== tank.id)
                .map(({ id, name }) => ({ value: id, label: name })),
            ]}
          />
          <Small>Every count of this water starts over.</Small>
        </>
      )}
    </EntryForm>
  )
}
