import { useForm } from 'react-hook-form'
import { drawnAmount } from '../../../../core/dosing/drawn-amount.ts'
import { ingredientById } from '../../../../core/catalogue/ingredient.ts'
import { parameterById } from '../../../../core/catalogue/parameter.ts'
import type { UnitHabits } from '../../../../core/household/settings.ts'
import { measureText } from '../../../../core/words/measure.ts'
import { typedNumber } from '../../../../core/numbers/typed.ts'
import { readTyped, typedUnit } from '../../../../core/readings/typed-reading.ts'
import { isUnderCopper } from '../../../../core/safety/water/state.ts'
import { shelfOf } from '../../../../core/household/shelf.ts'
import type { ContentOf } from '../../../../core/journal/entry.ts'
import { readDose, readWaterChange } from '../../../../core/logline/water.ts'
import { tokenize } from '../../../../core/logline/tokens.ts'
import { isStop } from '../../../../core/logline/types.ts'
import { AreaField, SelectField, TextField } from '../../../fields/fields.tsx'
import type { WhenValues } from '../../../fields/when.tsx'
import { thisInstant, useNow } from '../../../frame/now.tsx'
import { useHousehold } from '../../../journal/provider.tsx'
import { ButtonLink } from '../../../look/buttons.ts'
import { Bar, Stack } from '../../../look/text.ts'
import { figures } from '../../../../core/words/numbers.ts'
import { changeVolume, parameterValue, quantityText, volume } from '../../../../core/words/quantities.ts'
import { EntryForm, problemOf, useStartWhen, type FormProps, type FormRead } from './EntryForm.tsx'

/** What of the new water is kept, by the parameter that it is typed as. */
const NEW_WATER = [
  { field: 'salinity', parameter: parameterById('salinity')!, held: 'salinityPsu', label: 'Salinity of the new water' },
  {
    field: 'temperature',
    parameter: parameterById('temp')!,
    held: 'temperatureC',
    label: 'Temperature of the new water',
  },
] as const

interface ChangeValues extends WhenValues {
  amount: string
  copper: string
  salinity: string
  temperature: string
  unit: string
  note: string
}

/** A water change in litres, gallons or a share of the tank. */
export function ChangeForm({ tank, day, correcting, onDone }: FormProps<ContentOf<'water-change'>>) {
  const { journal, settings } = useHousehold()
  const start = useStartWhen({ day, ...(correcting && { correcting }) })
  const now = useNow()
  const hasCopper = isUnderCopper(journal, tank.id, now)
  const own = settings.units.volume === 'us-gal' ? 'usgal' : settings.units.volume === 'uk-gal' ? 'ukgal' : 'L'
  const form = useForm<ChangeValues>({
    defaultValues: {
      amount: correcting ? changeVolume(correcting.content.litres, settings.units).value : '',
      unit: own,
      copper: correcting?.content.replacement?.copperMgPerL?.toString() ?? '',
      ...Object.fromEntries(
        NEW_WATER.map(({ field, parameter, held }) => {
          const kept = correcting?.content.replacement?.[held]
          return [field, kept === undefined ? '' : parameterValue(parameter.id, kept, settings.units).value]
        }),
      ),
      note: correcting?.content.note ?? '',
      ...start,
    },
  })
  const read = (values: ChangeValues, happened: string): FormRead => {
    const text = values.amount.trim()
    if (text === '') return { problems: { amount: { message: 'how much water was changed' } } }
    const line = `${text}${/^[\d.,]+$/.test(text) ? values.unit : ''}`
    const change = readWaterChange(line, tokenize(line), tank, happened, { journal, settings, now: thisInstant() })
    if (isStop(change))
      return {
        problems: {
          amount: { ...problemOf(change), choices: change.choices.map(({ label, text: value }) => ({ label, value })) },
        },
      }
    const copper = values.copper.trim() === '' ? null : typedNumber(values.copper)
    if (copper && !('value' in copper && copper.value >= 0))
      return { problems: { copper: 'choices' in copper ? copper : { message: 'mg/L of copper, 0 or more' } } }
    const replacement: NonNullable<ContentOf<'water-change'>['replacement']> = {
      ...(copper && 'value' in copper && { copperMgPerL: copper.value }),
    }
    for (const { field, parameter, held } of NEW_WATER) {
      const typed = values[field].trim()
      if (typed === '') continue
      const one = readTyped(parameter, typed, tank, happened, { journal, settings, now: thisInstant() })
      if ('message' in one) return { problems: { [field]: one } }
      if (one.content.result.kind !== 'value') return { problems: { [field]: { message: 'one number' } } }
      replacement[held] = one.content.result.value
    }
    return {
      contents: [
        {
          ...change.content,
          ...(Object.keys(replacement).length > 0 && { replacement }),
          ...(values.note.trim() && { note: values.note.trim() }),
        },
      ],
    }
  }
  return (
    <EntryForm
      draft={`change-${tank.id}`}
      form={form}
      correcting={correcting}
      read={read}
      act="Log the change"
      onDone={onDone}
    >
      {(problems) => (
        <>
          <TextField
            control={form.control}
            name="amount"
            label="Water changed"
            figure
            autoFocus
            problem={problems['amount']}
            hint={
              tank.volume
                ? `${tank.name} holds ${quantityText(volume(tank.volume.netL, settings.units))} net`
                : `the net volume of ${tank.name} is not worked out yet`
            }
          />
          <SelectField
            control={form.control}
            name="unit"
            label="of"
            options={[
              { value: own, label: own === 'L' ? 'litres' : own === 'usgal' ? 'US gallons' : 'UK gallons' },
              { value: '%', label: '% of the net volume' },
              ...(own === 'L' ? [] : [{ value: 'L', label: 'litres' }]),
            ]}
          />
          {(hasCopper || correcting?.content.replacement?.copperMgPerL !== undefined) && (
            <TextField
              control={form.control}
              name="copper"
              label="Copper mixed into the new water"
              after="mg/L"
              figure
              problem={problems['copper']}
              hint="empty: none; the level falls by what was changed"
            />
          )}
          {NEW_WATER.filter(({ held }) => held !== 'salinityPsu' || tank.water === 'marine').map(
            ({ field, parameter, label }) => (
              <TextField
                key={field}
                control={form.control}
                name={field}
                label={label}
                after={typedUnit(journal, tank.id, parameter, settings.units)}
                figure
                problem={problems[field]}
                hint="empty: as the tank’s"
              />
            ),
          )}
          <AreaField control={form.control} name="note" label="Note" />
        </>
      )}
    </EntryForm>
  )
}

interface DoseValues extends WhenValues {
  productId: string
  amount: string
  note: string
}

/** A dose of a product from the shelf, in what it is measured in, with its caution beside it. */
export function DoseForm({ tank, day, correcting, onDone }: FormProps<ContentOf<'dose'>>) {
  const { journal, settings } = useHousehold()
  const start = useStartWhen({ day, ...(correcting && { correcting }) })
  const shelf = shelfOf(journal)
  const form = useForm<DoseValues>({
    defaultValues: {
      productId: correcting?.content.productId ?? shelf[0]?.id ?? '',
      amount: correcting ? figures(correcting.content.amount, 6) : '',
      note: correcting?.content.note ?? '',
      ...start,
    },
  })
  const [productId, amount] = form.watch(['productId', 'amount'])
  const product = shelf.find(({ id }) => id === productId)
  const ingredient = product && ingredientById(product.ingredient)
  const massMg = product && Number(amount) > 0 ? drawnAmount(product, Number(amount)).massMg : null
  if (shelf.length === 0)
    return (
      <Stack>
        <p>A dose is of a product on the shelf, with its strength. The shelf is empty.</p>
        <div>
          <ButtonLink href="/shelf/new">Put a product on the shelf</ButtonLink>
        </div>
      </Stack>
    )
  const read = (values: DoseValues, happened: string): FormRead => {
    if (!product) return { problems: { productId: { message: 'which product was dosed' } } }
    const text = values.amount.trim()
    if (text === '') return { problems: { amount: { message: `how many ${product.unit}` } } }
    const line = `${product.name} ${text}${/[a-z]$/i.test(text) ? '' : product.unit}`
    const dose = readDose(line, tokenize(line), tank, happened, {
      journal,
      settings,
      now: thisInstant(),
      ...(correcting && { correcting: correcting.id }),
    })
    if (isStop(dose))
      return {
        problems: {
          amount: {
            ...problemOf(dose),
            choices: dose.choices.map(({ label, text: whole }) => ({
              label,
              value: whole.slice(product.name.length).trim(),
            })),
          },
        },
      }
    return { contents: [{ ...dose.content, ...(values.note.trim() && { note: values.note.trim() }) }] }
  }
  return (
    <EntryForm
      draft={`dose-${tank.id}`}
      form={form}
      correcting={correcting}
      read={read}
      act={product && Number(amount) > 0 ? `Log ${amount} ${product.unit}` : 'Log the dose'}
      onDone={onDone}
    >
      {(problems) => (
        <>
          <SelectField
            control={form.control}
            name="productId"
            label="Product"
            problem={problems['productId']}
            options={shelf.map(({ id, name }) => ({ value: id, label: name }))}
          />
          {ingredient?.caution && (
            <Bar $tone="soon">
              {ingredient.caution} {ingredient.law} Follow the label; ask a licensed aquatic veterinarian when in doubt.
            </Bar>
          )}
          <TextField
            control={form.control}
            name="amount"
            label="Amount"
            after={product?.unit ?? ''}
            figure
            autoFocus
            problem={problems['amount']}
            hint={doseHint(massMg, ingredient?.strengthOf, tank.volume?.netL ?? null, settings.units)}
          />
          <AreaField control={form.control} name="note" label="Note" />
        </>
      )}
    </EntryForm>
  )
}

function doseHint(
  massMg: number | null,
  of: string | undefined,
  netL: number | null,
  units: UnitHabits,
): string | undefined {
  if (massMg === null || of === undefined) return undefined
  return netL === null
    ? `${figures(massMg)} mg of ${of}`
    : `${figures(massMg)} mg of ${of}: adds ${figures(massMg / netL)} mg/L to ${measureText(netL, 'L', units, 3)} net`
}
