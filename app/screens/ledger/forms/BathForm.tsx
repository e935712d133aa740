import { useForm } from 'react-hook-form'
import { ingredientById } from '../../../../core/catalogue/ingredient.ts'

import { animalLabel, residentsOf } from '../../../../core/household/animals.ts'

import { drawnAmount } from '../../../../core/dosing/drawn-amount.ts'
import { shelfOf } from '../../../../core/household/shelf.ts'

import type { ContentOf } from '../../../../core/journal/entry.ts'

import { shownFigure, shownUnit, toKept } from '../../../../core/words/measure.ts'
import { figures } from '../../../../core/words/numbers.ts'

import { ChipsField, SelectField, TextField } from '../../../fields/fields.tsx'
import type { Problem } from '../../../fields/shell.tsx'
import type { WhenValues } from '../../../fields/when.tsx'
import { useHousehold } from '../../../journal/provider.tsx'
import { ButtonLink } from '../../../look/buttons.ts'
import { Bar, Stack } from '../../../look/text.ts'

import { EntryForm, useStartWhen, type FormProps } from './EntryForm.tsx'

import { found, numberOf } from './number-of.ts'

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
            ...drawnAmount(product ?? { id: '', ingredient: '', unit: 'mL', mgPerUnit: 0 }, amount),
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
