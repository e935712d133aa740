import { memo, useId } from 'react'
import { shownUnit } from '../../../../core/words/measure.ts'
import { styled } from 'styled-components'
import {
  bagField,
  isOn,
  limitField,
  tankField,
  type BagContext,
  type BagReading,
  limitTyped,
  limitUnit,
} from '../../../../core/arrivals/box/bag-form.ts'
import { BAG_FIGURES, figureLabel, figureUnit, typedFigure } from '../../../../core/arrivals/run/figures.ts'
import { limitsFor, mindsSalinity } from '../../../../core/acclimation/limits.ts'
import { psuWords } from '../../../../core/acclimation/words.ts'
import type { Limits } from '../../../../core/acclimation/trials.ts'
import type { Fault, Values } from '../../../../core/calculators/calculator.ts'
import { gallonsOf } from '../../../../core/household/settings.ts'
import { momentBeside } from '../../../../core/time/words.ts'
import type { WaterFigure } from '../../../../core/arrivals/run/water.ts'
import { figureShown, figureTyped } from '../../../fields/figure-text.ts'
import { FIGURE_LETTERS, described, FieldShell, inputShape } from '../../../fields/shell.tsx'
import { useNow } from '../../../frame/now.tsx'
import { useHousehold } from '../../../journal/provider.tsx'
import { HandbookLink } from '../../../look/HandbookLink.tsx'
import { Heading, Quiet, Small, Stack } from '../../../look/text.ts'

const Input = styled.input`
  ${inputShape}
  font-family: var(--mono);
  font-size: 17px;
  min-width: 0;
  &::placeholder {
    color: var(--quiet);
    opacity: 1;
  }
`

const Row = styled.div`
  display: flex;
  align-items: center;
  gap: 8px;
  & > span {
    color: var(--quiet);
    font-size: 14px;
    min-width: 34px;
  }
`

const Pair = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(132px, 1fr));
  gap: 12px;
  align-items: start;
`

const Tick = styled.label`
  display: flex;
  align-items: center;
  gap: 10px;
  min-height: 44px;
  line-height: 1.3;
  cursor: pointer;
  input {
    width: 20px;
    height: 20px;
    flex: none;
    margin: 0;
    accent-color: var(--second);
  }
`

const More = styled.details`
  summary {
    cursor: pointer;
    min-height: 44px;
    display: flex;
    align-items: center;
    gap: 8px;
    font-weight: 600;
    font-size: 15px;
  }
  summary::before {
    content: '+';
    width: 12px;
    font-family: var(--mono);
  }
  &[open] summary::before {
    content: '−';
  }
`

interface FieldProps {
  /** Of the field among the form's. */
  name: string
  label: string
  value: string
  unit: string
  fault: Fault | undefined
  /** What stands for an empty field, and why. */
  taken?: string | undefined
  why?: string | undefined
  /** Stands under a field that nothing is assumed for. */
  note?: string | undefined
  onChange: (name: string, value: string) => void
}

/** Drawn again only when something of its own is new: there may be forty of them, and a key changes one. */
const FigureInput = memo(function FigureInput({
  name,
  label,
  value,
  unit,
  fault,
  taken,
  why,
  note,
  onChange,
}: FieldProps) {
  const id = useId()
  const hint = taken === undefined ? note : value.trim() === '' ? why : undefined
  return (
    <FieldShell id={id} label={label} problem={fault} hint={hint} onPick={(picked) => onChange(name, picked)}>
      <Row>
        <Input
          {...described(id, hint, fault)}
          value={figureShown(value)}
          maxLength={FIGURE_LETTERS}
          placeholder={taken}
          inputMode="decimal"
          autoComplete="off"
          onChange={(event) => onChange(name, figureTyped(event.target.value))}
        />
        {unit && <span>{unit}</span>}
      </Row>
    </FieldShell>
  )
})

const ASSUMED = 'assumed'

interface BagFieldsProps {
  values: Values
  context: BagContext
  read: BagReading
  touched: ReadonlySet<string>
  onChange: (id: string, value: string) => void
  /** On the phone the answer stands between the bag and everything else. */
  part: 'bag' | 'rest' | 'all'
}

/** Everything a plan rests on: hours and litres first, then what is assumed until somebody measures it. */
export function BagFields({ values, context, read, touched, onChange, part }: BagFieldsProps) {
  const { settings } = useHousehold()
  const now = useNow()
  const { animals, tank, water, from, units } = context
  const figures = BAG_FIGURES.filter((id) => tank.water === 'marine' || id !== 'salinityPsu')
  const field = (id: string) => ({
    name: id,
    value: values[id] ?? '',
    // A needed field that nobody has come to yet is not scolded.
    fault: touched.has(id) || (values[id] ?? '') !== '' ? read.faults[id] : undefined,
    onChange,
  })
  const taken = (id: string, why = ASSUMED) =>
    read.assumed[id] === undefined ? undefined : { taken: read.assumed[id], why }
  const readWhen = (figure: WaterFigure) => {
    const at = water[figure].readAt
    return at === null
      ? taken(tankField(figure))
      : { taken: typedFigure(figure, water[figure].value, units), why: `read ${momentBeside(at, now, settings.clock)}` }
  }
  const tick = (id: string, start: boolean, words: string) => (
    <Tick>
      <input
        type="checkbox"
        checked={isOn(values, id, start)}
        onChange={(event) => onChange(id, event.target.checked ? 'yes' : 'no')}
      />
      <span>{words}</span>
    </Tick>
  )
  const ofBag = (
    <>
      {!from && (
        <FigureInput
          label="Hours on the way"
          unit="h"
          {...field('hours')}
          {...(context.hours !== null && { taken: String(context.hours), why: 'as announced' })}
        />
      )}
      {animals.map((animal) => (
        <Stack $gap={12} key={animal.id} role="group" aria-label={`Bag of ${animal.name}`}>
          <Heading as="h2">
            {from ? `${animal.name}, in water of ${from.tank.name}` : `${animal.name}, the bag`}
          </Heading>
          <FigureInput
            label="Water round it"
            unit={shownUnit('L', units)}
            note={gallonsOf(units) ? 'or with its unit: 1.5 qt, 40 fl oz' : undefined}
            {...field(bagField(animal.id, 'litres'))}
          />
          <Pair>
            {figures.map((id) => (
              <FigureInput
                key={id}
                label={figureLabel(id, tank.water)}
                unit={figureUnit(id, units)}
                {...field(bagField(animal.id, id))}
                {...taken(
                  bagField(animal.id, id),
                  from ? (from.water[id].readAt === null ? ASSUMED : `read in ${from.tank.name}`) : ASSUMED,
                )}
              />
            ))}
          </Pair>
        </Stack>
      ))}
    </>
  )
  const ofRest = (
    <>
      <Stack $gap={12} role="group" aria-label={tank.name}>
        <Heading as="h2">{tank.name}</Heading>
        <Pair>
          {figures.map((id) => (
            <FigureInput
              key={id}
              label={figureLabel(id, tank.water)}
              unit={figureUnit(id, units)}
              {...field(tankField(id))}
              {...readWhen(id)}
            />
          ))}
        </Pair>
        {tick('match', context.canBeMatched, `${tank.name} can be set to the bag beforehand: nobody in it would mind`)}
      </Stack>
      <Stack $gap={12} role="group" aria-label="Container and room">
        <Heading as="h2">Container and room</Heading>
        <Pair>
          <FigureInput label="Holds" unit={shownUnit('L', units)} {...field('capacity')} {...taken('capacity')} />
          <FigureInput label="Poured off to" unit={shownUnit('L', units)} {...field('leave')} {...taken('leave')} />
          <FigureInput label="Room" unit={figureUnit('temperatureC', units)} {...field('room')} {...taken('room')} />
          <FigureInput label="Float" unit="min" {...field('float')} {...taken('float')} />
        </Pair>
        {tick('warm', false, 'Kept warm: a float collar, or warm packs')}
        {tick('air', false, 'An air stone in the container: oxygen in, but the gas out sooner')}
      </Stack>
      {animals.map((animal) => (
        <LimitFields key={animal.id} animal={animal} context={context} read={read} field={field} />
      ))}
    </>
  )
  return (
    <Stack $gap={18}>
      {part !== 'rest' && ofBag}
      {part !== 'bag' && ofRest}
    </Stack>
  )
}

const LIMITS: readonly { id: keyof Limits; label: string; salt?: true }[] = [
  { id: 'maxPsuPerHour', label: 'Salinity, at most', salt: true },
  { id: 'matchPsu', label: 'Ends within', salt: true },
  { id: 'matchC', label: 'Ends within' },
  { id: 'matchDkh', label: 'Hardness ends within' },
  { id: 'maxFreeAmmoniaMgPerL', label: 'Free ammonia, at most' },
  { id: 'maxMinutes', label: 'Longest wait' },
]

function LimitFields({
  animal,
  context,
  read,
  field,
}: {
  animal: BagContext['animals'][number]
  context: BagContext
  read: BagReading
  field: (id: string) => Pick<FieldProps, 'name' | 'value' | 'fault' | 'onChange'>
}) {
  const own = read.limits.get(animal.id)
  if (!own) return null
  const { units } = context
  const bag = read.question?.animals.find(({ id }) => id === animal.id)?.bag
  const known = limitsFor(animal.group, bag?.salinityPsu ?? 0, context.water.salinityPsu.value)!
  return (
    <More>
      <summary>
        What {animal.name} bears
        <Quiet>
          {mindsSalinity(own) ? `${psuWords(own.maxPsuPerHour, units)}/h, ` : ''}
          {own.maxMinutes} min
        </Quiet>
      </summary>
      <Stack $gap={10}>
        <Small>
          <HandbookLink to={`acclimation#${known.row}`}>The handbook’s row: {known.name}</HandbookLink>, hobby practice
          in the main. Change what you know better.
        </Small>
        <Pair>
          {LIMITS.filter(({ id, salt }) => (!salt || mindsSalinity(own)) && known.limits[id] !== undefined).map(
            ({ id, label }) => (
              <FigureInput
                key={id}
                label={label}
                unit={limitUnit(id, units)}
                {...field(limitField(animal.id, id))}
                taken={limitTyped(id, known.limits[id]!, units)}
                why="handbook"
              />
            ),
          )}
        </Pair>
      </Stack>
    </More>
  )
}
