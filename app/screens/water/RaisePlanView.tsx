import { useForm } from 'react-hook-form'
import { styled } from 'styled-components'
import { ingredientById } from '../../../core/catalogue/ingredient.ts'
import { parameterById } from '../../../core/catalogue/parameter.ts'
import type { Values } from '../../../core/calculators/calculator.ts'
import { shelfOf } from '../../../core/household/shelf.ts'
import type { Tank } from '../../../core/household/tanks.ts'
import { measuredDown } from '../../../core/dosing/measured-down.ts'
import { comesAlong } from '../../../core/readings/comes-along.ts'
import { measureText } from '../../../core/words/measure.ts'
import { raisedBy } from '../../../core/readings/raises.ts'
import { planRaise } from '../../../core/water/correction/raise.ts'
import { preferredSalt, raiseCap, saltsFor, type Pace } from '../../../core/water/correction/salts.ts'
import type { CorrectionStart } from '../../../core/water/correction/situation.ts'
import { raiseCautions } from '../../../core/water/correction/words.ts'
import { isUptakeCertain } from '../../../core/water/uptake.ts'
import { bandState } from '../../../core/water/tests.ts'
import { figures, plural } from '../../../core/words/numbers.ts'
import { raiseCourse } from '../../../core/water/correction/raise-course.ts'
import { parameterDifference, parameterValue, quantityText } from '../../../core/words/quantities.ts'
import { SelectField } from '../../fields/fields.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { ButtonLink } from '../../look/buttons.ts'
import { Bar, Figure, Line, Quiet, Ruled, Small, Stack } from '../../look/text.ts'
import { LogDose } from '../../safety/LogDose.tsx'

/** Choices whose words are long: as wide as there is room. */
const Choices = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 300px), 1fr));
  gap: 16px 18px;
  max-width: 960px;
`

/** What both ways of correcting share. */
export interface CorrectionViewProps {
  tank: Tank
  start: CorrectionStart
  netL: number
  from: number
  to: number
  values: Values
  change: (id: string, value: string) => void
}

/** A level raised by a salt: which salt, how fast, and today's dose. */
export function RaisePlanView({ tank, start, netL, from, to, values, change }: CorrectionViewProps) {
  const { journal, settings } = useHousehold()
  const { parameter } = start
  const { units } = settings
  const course = raiseCourse(parameter.id)
  const salts = saltsFor(parameter.id)
  const shelf = shelfOf(journal)
  const form = useForm({
    values: {
      salt: values['salt'] ?? preferredSalt(parameter.id, shelf)?.id ?? '',
      pace: values['pace'] ?? 'careful',
      uptake: values['uptake'] ?? (start.uptake && isUptakeCertain(start.uptake) ? 'with' : 'without'),
    },
  })
  const picked = form.watch()
  const salt = salts.find(({ id }) => id === picked.salt)
  if (!salt) return null
  const uptakePerDay = picked.uptake === 'with' ? (start.uptake?.perDay ?? 0) : 0
  const sideNow = salt.side ? start.levelOf(salt.side.parameter) : undefined
  const planned = planRaise({
    salt,
    now: from,
    target: to,
    netL,
    uptakePerDay,
    pace: picked.pace as Pace,
    hasSmallPolyps: start.hasSmallPolyps,
    ...(sideNow !== undefined && { sideNow }),
  })
  const unitOf = (value: number) => parameterValue(parameter.id, value, units).unit
  const width = (value: number) =>
    quantityText({ value: figures(parameterDifference(parameter.id, from, value, units), 3), unit: unitOf(from) })
  const paceWords = (pace: Pace) => {
    const cap = raiseCap(parameter.id, pace, start.hasSmallPolyps)
    return cap === null ? '' : `at most ${width(cap)} a day`
  }
  const product = shelf.find(({ ingredient }) => ingredient === salt.id)
  const today =
    product && planned.ok
      ? measuredDown((planned.value.dosedPerDay * netL) / raisedBy(salt.id, parameter.id, 1), product)
      : null
  const side = salt.side && parameterById(salt.side.parameter)
  const along = planned.ok
    ? comesAlong(salt.id, planned.value.dosedPerDay / raisedBy(salt.id, parameter.id, 1), parameter.id)
    : []
  const say = (value: number) => quantityText(parameterValue(parameter.id, value, units))
  const hasPaces =
    raiseCap(parameter.id, 'careful', start.hasSmallPolyps) !== raiseCap(parameter.id, 'usual', start.hasSmallPolyps)
  return (
    <Stack $gap={20}>
      <Choices>
        <SelectField
          control={form.control}
          name="salt"
          label="With"
          options={salts.map(({ id, sideEffect }) => ({
            value: id,
            label: `${ingredientById(id)?.name ?? id}${sideEffect === 'none' ? '' : ` (${sideEffect})`}`,
          }))}
          onPick={(id) => change('salt', id)}
        />
        {hasPaces && (
          <SelectField
            control={form.control}
            name="pace"
            label="How fast"
            options={(['careful', 'usual'] as const).map((pace) => ({ value: pace, label: paceWords(pace) }))}
            onPick={(pace) => change('pace', pace)}
          />
        )}
        {start.uptake && (
          <SelectField
            control={form.control}
            name="uptake"
            label="What the tank takes up"
            options={[
              { value: 'with', label: `dose it too: ${width(Math.max(0, start.uptake.perDay))} a day` },
              { value: 'without', label: 'leave it out' },
            ]}
            onPick={(way) => change('uptake', way)}
          />
        )}
      </Choices>
      {raiseCautions(salt).map((caution, i) => (
        <Bar key={caution} $tone={i === 0 ? 'soon' : 'second'}>
          {caution}
        </Bar>
      ))}
      {!planned.ok ? (
        <Bar $tone="soon">{planned.error.message}</Bar>
      ) : (
        <>
          <div>
            <p>
              <Figure $size={40}>
                {product && today
                  ? `${figures(today.amount, 4)} ${product.unit}`
                  : `${figures(planned.value.gramsPerDay, 3)} g`}
              </Figure>{' '}
              {product && today && <>of {product.name} </>}a day for {plural(planned.value.days, 'day')}
              {planned.value.portions > 1 && `, in ${planned.value.portions} portions, hours apart`}
            </p>
            <Quiet>
              {product && today && `${figures(planned.value.gramsPerDay, 3)} g of the dry salt a day, `}
              {figures(planned.value.gramsInAll, 3)} g in all · {width(planned.value.risePerDay)} up a day, at most{' '}
              {width(planned.value.capPerDay)}
              {planned.value.capBy === 'side' && `: what it brings of ${side?.name} holds it back`}
              {start.hasSmallPolyps && ' · small-polyp corals live here'}
              {along.length > 0 &&
                ` · brings along ${along.map(({ name, value, unit }) => `${measureText(value, unit, units, 2)} of ${name}`).join(' and ')} a day`}
            </Quiet>
          </div>
          <Ruled>
            <thead>
              <tr>
                <th scope="col">After day</th>
                <th scope="col">{parameter.name}</th>
                {side && <th scope="col">{side.name}, brought along</th>}
              </tr>
            </thead>
            <tbody>
              {planned.value.levels.map((level, i) => {
                const other = planned.value.side?.levels[i]
                const isHigh =
                  side &&
                  other !== undefined &&
                  sideNow !== undefined &&
                  bandState(side, tank.profile, other) === 'high'
                return (
                  <tr key={i}>
                    <td>{i + 1}</td>
                    <td>
                      <Figure>{say(level)}</Figure>
                    </td>
                    {side && other !== undefined && (
                      <td style={isHigh ? { color: 'var(--act)', fontWeight: 700 } : undefined}>
                        {sideNow === undefined ? '+ ' : ''}
                        {quantityText(parameterValue(side.id, other, units))}
                        {isHigh && ', over its band'}
                      </td>
                    )}
                  </tr>
                )
              })}
            </tbody>
          </Ruled>
          <Line $gap={14}>
            {product && today ? (
              <LogDose tank={tank} product={product} {...today} />
            ) : (
              <Small>
                {product
                  ? 'The product’s tool cannot measure so little: make a weaker stock.'
                  : `To log today’s dose, put ${ingredientById(salt.id)?.name ?? salt.id} on the shelf, as dry salt or a stock.`}
              </Small>
            )}
            <ButtonLink
              href={`/water/devices?tank=${tank.id}&salt=${salt.id}&rise=${planned.value.dosedPerDay}&days=${planned.value.days}`}
            >
              Hand it to a dosing pump
            </ButtonLink>
            {course !== null && (
              <ButtonLink href={`/courses/new?definition=${course.definition}&tank=${tank.id}&for=${course.choice}`}>
                Follow it as a course
              </ButtonLink>
            )}
          </Line>
        </>
      )}
    </Stack>
  )
}
