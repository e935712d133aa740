import { useState } from 'react'
import { useForm } from 'react-hook-form'
import { ingredientById } from '../../../../core/catalogue/ingredient.ts'

import { shelfOf } from '../../../../core/household/shelf.ts'
import type { ContentOf } from '../../../../core/journal/entry.ts'

import { shownFigure, shownUnit, toKept } from '../../../../core/words/measure.ts'
import { figures } from '../../../../core/words/numbers.ts'

import { iso } from '../../../../core/time/zone.ts'
import { ContactFields } from '../../../courses/ContactFields.tsx'
import { CountEffects } from '../../../courses/CountEffects.tsx'
import { thisInstant } from '../../../frame/now.tsx'
import { SelectField, TextField } from '../../../fields/fields.tsx'
import type { Problem } from '../../../fields/shell.tsx'
import type { WhenValues } from '../../../fields/when.tsx'
import { useHousehold } from '../../../journal/provider.tsx'

import { EntryForm, useStartWhen, type FormProps } from './EntryForm.tsx'

import { found, numberOf } from './number-of.ts'

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
  const start = useStartWhen({ day, ...(correcting && { correcting }) })
  const form = useForm<ContactValues>({
    defaultValues: { what: correcting?.content.what ?? 'tool', from: correcting?.content.from ?? '', ...start },
  })
  const [openedAt] = useState(() => thisInstant())
  const [what, from] = form.watch(['what', 'from']) as [ContentOf<'contact'>['what'], string]
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
          <ContactFields control={form.control} tankId={tank.id} what={what} label="What touched it" />
          <CountEffects
            content={{
              kind: 'contact',
              happened: iso(openedAt),
              tankId: tank.id,
              what,
              ...(from !== '' && { from }),
            }}
            now={openedAt}
          />
        </>
      )}
    </EntryForm>
  )
}
