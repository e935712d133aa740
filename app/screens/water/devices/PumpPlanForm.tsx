import { useState } from 'react'
import { useForm } from 'react-hook-form'
import { useSearchParams } from 'react-router'
import type { PumpOrder } from '../../../../core/devices/messages.ts'
import { dayRises } from '../../../../core/devices/pump-check.ts'
import { pumpCautions } from '../../../../core/devices/pump-doses.ts'
import { proposePump } from '../../../../core/devices/pump-proposal.ts'
import { shotsByHour } from '../../../../core/devices/pump-shots.ts'
import type { AttachedDevice } from '../../../../core/household/devices.ts'
import { shelfOf } from '../../../../core/household/shelf.ts'
import { tankById } from '../../../../core/household/tanks.ts'
import type { ContentOf } from '../../../../core/journal/entry.ts'
import { CORRECTION_SALTS } from '../../../../core/water/correction/salts.ts'
import { momentBeside } from '../../../../core/time/words.ts'
import { iso } from '../../../../core/time/zone.ts'
import { figures } from '../../../../core/words/numbers.ts'
import { parameterDifference, parameterValue, quantityText } from '../../../../core/words/quantities.ts'
import { StopPump } from '../../../devices/StopPump.tsx'
import { usePump } from '../../../devices/usePump.ts'
import { useDraft } from '../../../fields/draft.ts'
import { SelectField } from '../../../fields/fields.tsx'
import { numberIn } from '../../../fields/number-in.ts'
import { FigureField } from '../../../fields/plain.tsx'
import { thisInstant, useNow } from '../../../frame/now.tsx'
import { useHousehold } from '../../../journal/provider.tsx'
import { ButtonLink, PrimaryButton } from '../../../look/buttons.ts'
import { CheckChip } from '../../../look/CheckChip.ts'
import { FieldGrid } from '../../../look/page.ts'
import { Bar, Figure, Small, Stack } from '../../../look/text.ts'
import { DoubtList, useDoubts } from '../../../safety/Doubts.tsx'
import { HourBars } from '../../../water/HourBars.tsx'

/** Shots a day that are offered first: outbreaks.md 5.2, element-correct, four portions or more. */
const FIRST_PORTIONS = '6'
/** What a hose leaves at the bottom of a bottle (EA). */
const FIRST_RESIDUE_ML = '10'

/** A pump's plan: what is in its bottle, how much a day and in how many shots, held against the day's caps before it is given. */
export function PumpPlanForm({
  device,
  running,
}: {
  device: AttachedDevice
  /** An order that the pump runs by already, and that this journal does not know of. */
  running: PumpOrder | null
}) {
  const { journal, settings, which } = useHousehold()
  const { start, refused, isBusy } = usePump(device)
  const [isReplacing, setIsReplacing] = useState(false)
  const now = useNow()
  const [params] = useSearchParams()
  const [values, change, forget] = useDraft(`${which}-pump-${device.deviceId}`)
  const [isKnown, setIsKnown] = useState(false)
  const tank = tankById(journal, device.tankId)
  const solutions = shelfOf(journal).filter(({ unit }) => unit === 'mL')
  // What “Put right” handed over: a salt, its rise a day, the days.
  const asked = CORRECTION_SALTS.find(({ id }) => id === params.get('salt'))
  const handed = solutions.find(({ ingredient }) => ingredient === asked?.id)
  const form = useForm({ values: { productId: values['productId'] ?? handed?.id ?? '' } })
  const product = solutions.find(({ id }) => id === form.watch('productId'))
  const residue = values['residue'] ?? FIRST_RESIDUE_ML
  const days = values['days'] ?? params.get('days') ?? ''
  const netL = tank?.volume?.netL
  const proposal =
    asked && product && netL !== undefined && product.ingredient === asked.id
      ? proposePump(
          {
            parameter: asked.parameter,
            risePerDay: Number(params.get('rise') ?? NaN),
            netL,
            days: numberIn(days) ?? 1,
            residueMl: numberIn(residue) ?? 0,
          },
          product,
        )
      : null
  const texts = {
    ml: values['ml'] ?? (proposal ? String(proposal.mlPerDay) : ''),
    portions: values['portions'] ?? FIRST_PORTIONS,
    days,
    bottle: values['bottle'] ?? (proposal ? String(proposal.bottleMl) : ''),
    residue,
  }
  const [ml, portions, bottle, left] = [texts.ml, texts.portions, texts.bottle, texts.residue].map(numberIn) as [
    number | null,
    number | null,
    number | null,
    number | null,
  ]
  const length = texts.days.trim() === '' ? null : numberIn(texts.days)
  const faults = {
    ml: ml !== null && ml > 0 ? undefined : { message: 'mL a day, over 0' },
    portions:
      portions !== null && portions >= 1 && portions <= 24 ? undefined : { message: 'from 1 to 24 shots a day' },
    days:
      texts.days.trim() === '' || (length !== null && length > 0)
        ? undefined
        : { message: 'days, or empty for no end' },
    bottle:
      bottle !== null && left !== null && bottle > left
        ? undefined
        : { message: 'mL in it, more than what it cannot draw' },
    residue: left !== null && left >= 0 ? undefined : { message: 'mL, 0 or more' },
  }
  const isReady = product !== undefined && Object.values(faults).every((fault) => fault === undefined)
  const plan: Omit<ContentOf<'pump-plan'>, 'happened'> | null = isReady
    ? {
        kind: 'pump-plan',
        deviceId: device.deviceId,
        tankId: device.tankId,
        productId: product.id,
        mlByHour: shotsByHour(ml!, portions!),
        ...(length !== null && { days: length }),
        bottleMl: bottle!,
        residueMl: left!,
      }
    : null
  const rises = tank && product && ml !== null ? dayRises(journal, tank, product, ml, now) : []
  const isOver = rises.some((one) => one.isOver)
  const doubts = useDoubts(plan ? [{ ...plan, happened: iso(now) }] : [])
  const send = async () => {
    if (!plan) return
    const [content] = doubts.answered<ContentOf<'pump-plan'>>([{ ...plan, happened: iso(thisInstant()) }])
    if (content && (await start(content))) forget()
  }
  if (solutions.length === 0)
    return (
      <Stack $gap={10}>
        <p>A pump gives a solution: put what is in its bottle on the shelf first, with its strength.</p>
        <div>
          <ButtonLink href="/shelf">To the shelf</ButtonLink>
        </div>
      </Stack>
    )
  const width = (id: string, value: number) =>
    quantityText({
      value: figures(parameterDifference(id, value, value, settings.units), 3),
      unit: parameterValue(id, value, settings.units).unit,
    })
  return (
    <Stack $gap={16}>
      <FieldGrid>
        <SelectField
          control={form.control}
          name="productId"
          label="In its bottle"
          options={[{ value: '', label: 'choose' }, ...solutions.map(({ id, name }) => ({ value: id, label: name }))]}
          onPick={(id) => change('productId', id)}
        />
        <FigureField
          label="A day"
          after="mL"
          value={texts.ml}
          onChange={(text) => change('ml', text)}
          problem={texts.ml === '' ? undefined : faults.ml}
        />
        <FigureField
          label="Shots"
          after="a day"
          value={texts.portions}
          onChange={(text) => change('portions', text)}
          problem={faults.portions}
        />
        <FigureField
          label="For"
          after="days"
          value={texts.days}
          onChange={(text) => change('days', text)}
          problem={faults.days}
          hint="empty: until it is stopped"
        />
        <FigureField
          label="The bottle holds"
          after="mL"
          value={texts.bottle}
          onChange={(text) => change('bottle', text)}
          problem={texts.bottle === '' ? undefined : faults.bottle}
        />
        <FigureField
          label="It cannot draw the last"
          after="mL"
          value={texts.residue}
          onChange={(text) => change('residue', text)}
          problem={faults.residue}
        />
      </FieldGrid>
      {asked && !handed && (
        <Bar $tone="soon">
          No solution of {asked.id.replaceAll('-', ' ')} stands on the shelf: make a stock and put it there with its
          strength.
        </Bar>
      )}
      {product &&
        pumpCautions(product.ingredient).map((caution, i) => (
          <Bar key={caution} $tone={i === 0 ? 'soon' : 'second'}>
            {caution}
          </Bar>
        ))}
      {plan && <HourBars mlByHour={plan.mlByHour} />}
      {plan && (
        <div>
          <Figure $size={24}>{figures(ml! / plan.mlByHour.filter((one) => one > 0).length, 3)} mL</Figure> a shot
          {rises.map(({ parameter, dosed, uptake, cap }) => (
            <Small key={parameter.id}>
              {parameter.name}: {width(parameter.id, dosed)} a day
              {uptake > 0 && `, of which the tank takes up ${width(parameter.id, uptake)}`}
              {cap !== null && `; at most ${width(parameter.id, cap)} up a day`}
            </Small>
          ))}
        </div>
      )}
      {isOver && (
        <Bar $tone="act">
          <Stack $gap={8}>
            <span>
              That is over the day’s cap:{' '}
              {rises
                .filter((one) => one.isOver)
                .map(({ parameter }) => parameter.name)
                .join(', ')}{' '}
              would rise faster than corals bear. Give less a day, over more days.
            </span>
            <CheckChip isSelected={isKnown} onChange={setIsKnown}>
              the tank takes it up, it does not rise so fast
            </CheckChip>
          </Stack>
        </Bar>
      )}
      <DoubtList doubts={doubts} />
      {running && (
        <Bar $tone="act">
          <Stack $gap={8}>
            <span>
              The pump runs by an order already:{' '}
              {figures(
                running.mlByHour.reduce((sum, one) => sum + one, 0),
                3,
              )}{' '}
              mL a day since {momentBeside(Date.parse(running.startsAt), now, settings.clock)}, which this journal does
              not hold. Stop it, or put this plan in its place.
            </span>
            <StopPump device={device} />
            <CheckChip isSelected={isReplacing} onChange={setIsReplacing}>
              put this plan in its place
            </CheckChip>
          </Stack>
        </Bar>
      )}
      {refused?.what === 'start' && (
        <Bar $tone="act" role="alert">
          {refused.words}
        </Bar>
      )}
      <div>
        <PrimaryButton
          isDisabled={isBusy || !plan || (isOver && !isKnown) || (running !== null && !isReplacing) || !doubts.isClear}
          onPress={() => void send()}
        >
          Start the pump
        </PrimaryButton>
      </div>
    </Stack>
  )
}
