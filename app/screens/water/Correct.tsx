import { useForm } from 'react-hook-form'
import { useSearchParams } from 'react-router'
import type { Parameter } from '../../../core/catalogue/parameter.ts'
import type { Tank } from '../../../core/household/tanks.ts'
import { expectedReading } from '../../../core/readings/expected.ts'
import { readTyped, typedUnit } from '../../../core/readings/typed-reading.ts'
import { reachedAt } from '../../../core/water/forecast.ts'
import { saltsFor } from '../../../core/water/correction/salts.ts'
import { CORRECTABLE, correctionStart } from '../../../core/water/correction/situation.ts'
import { sayPrediction } from '../../../core/water/prediction-words.ts'
import { dayBeside } from '../../../core/time/words.ts'
import { iso } from '../../../core/time/zone.ts'
import { parameterValue, quantityText } from '../../../core/words/quantities.ts'
import { useDraft } from '../../fields/draft.ts'
import { SelectField } from '../../fields/fields.tsx'
import { FigureField } from '../../fields/plain.tsx'
import { useNow } from '../../frame/now.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { Button, ButtonLink } from '../../look/buttons.ts'
import { FieldGrid } from '../../look/page.ts'
import { Bar, Line, Small, Stack } from '../../look/text.ts'
import { SideRises } from '../../water/SideRises.tsx'
import { ChangePlanView } from './ChangePlanView.tsx'
import { RaisePlanView } from './RaisePlanView.tsx'
import { useTankOfPage } from './useTankOfPage.tsx'

const WAYS = [
  { way: 'salt', label: 'With a salt' },
  { way: 'changes', label: 'With water changes' },
] as const

/** A level brought to where it should be: up by a salt under the day's cap, down by water changes. */
export function Correct() {
  const { tank, field } = useTankOfPage()
  const [params, setParams] = useSearchParams()
  const parameter = CORRECTABLE.find(({ id }) => id === params.get('of')) ?? CORRECTABLE[0]!
  const form = useForm({ values: { of: parameter.id } })
  return (
    <Stack $gap={22}>
      <Line $gap={16} style={{ alignItems: 'end' }}>
        {field}
        <SelectField
          control={form.control}
          name="of"
          label="What"
          options={CORRECTABLE.map(({ id, name }) => ({ value: id, label: name }))}
          onPick={(of) =>
            setParams((before) => {
              before.set('of', of)
              return before
            })
          }
        />
      </Line>
      <SideRises tank={tank} />
      <CorrectOne key={`${tank.id} ${parameter.id}`} tank={tank} parameter={parameter} />
    </Stack>
  )
}

function CorrectOne({ tank, parameter }: { tank: Tank; parameter: Parameter }) {
  const { journal, settings, which } = useHousehold()
  const now = useNow()
  const { units, clock } = settings
  const [values, change] = useDraft(`${which}-correct-${tank.id}-${parameter.id}`)
  const start = correctionStart(journal, tank, parameter, now)
  const shown = (value: number | null | undefined) =>
    value === null || value === undefined ? '' : parameterValue(parameter.id, value, units).value.replace('−', '-')
  // A level is typed as the household measures it; the tank's kit prints readings, not targets.
  const unit = typedUnit(journal, tank.id, parameter, units)
  const read = (text: string) =>
    text.trim() === '' ? null : readTyped(parameter, text, tank, iso(now), { journal, settings, now })
  const texts = {
    now: values['now'] ?? shown(start.last?.value),
    target: values['target'] ?? shown(start.middle),
  }
  const [level, target] = [read(texts.now), read(texts.target)]
  const valueOf = (one: ReturnType<typeof read>) =>
    one && 'content' in one && one.content.result.kind === 'value' ? one.content.result.value : null
  const [from, to] = [valueOf(level), valueOf(target)]
  const hasSalt = saltsFor(parameter.id).length > 0
  const byWay = hasSalt ? (values['way'] ?? 'salt') : 'changes'
  const expected = expectedReading(journal, tank.id, parameter.id, now + 1)
  const problem = (one: ReturnType<typeof read>) => (one && 'message' in one ? one : undefined)
  if (start.netL === null)
    return (
      <Stack $gap={10}>
        <p>Without its net volume nothing can be reckoned for {tank.name}.</p>
        <div>
          <ButtonLink href={`/tanks/${tank.id}`}>Fill in the volume sheet</ButtonLink>
        </div>
      </Stack>
    )
  return (
    <Stack $gap={20}>
      <FieldGrid>
        <FigureField
          label={`${parameter.name} now`}
          after={unit}
          value={texts.now}
          onChange={(text) => change('now', text)}
          problem={problem(level)}
          hint={
            start.last
              ? `last ${quantityText(parameterValue(parameter.id, start.last.value, units))} ${dayBeside(clock.dayOf(start.last.at), clock.dayOf(now))}`
              : 'not tested here yet: test it twice'
          }
        />
        <FigureField
          label="Wanted"
          after={unit}
          value={texts.target}
          onChange={(text) => change('target', text)}
          problem={problem(target)}
          hint={start.middle === null ? undefined : 'the middle of this tank’s band'}
        />
      </FieldGrid>
      {start.floor !== null && from !== null && from < start.floor && (
        <Bar $tone="soon">
          Under its floor of {quantityText(parameterValue(parameter.id, start.floor, units))}: bring it over that first,
          and test daily.
        </Bar>
      )}
      {start.note && <Small>The handbook on it: {start.note}.</Small>}
      {from !== null && to !== null && from === to && <Bar $tone="second">It is there already.</Bar>}
      {expected && expected.since.length > 0 && (
        <Bar $tone="soon">
          {sayPrediction(expected, parameter, settings, now) ??
            'Something was dosed or water changed since the last test.'}{' '}
          Test again before you correct it.
        </Bar>
      )}
      {target !== null && to !== null && <Reaches tank={tank} parameter={parameter} target={to} />}
      {from !== null && to !== null && to > from && hasSalt && (
        <Line $gap={8} role="group" aria-label="By what">
          {WAYS.map(({ way, label }) => (
            <Button key={way} aria-pressed={byWay === way} onPress={() => change('way', way)}>
              {label}
            </Button>
          ))}
        </Line>
      )}
      {from !== null && to !== null && to > from && byWay === 'salt' && (
        <RaisePlanView
          tank={tank}
          start={start}
          netL={start.netL}
          from={from}
          to={to}
          values={values}
          change={change}
        />
      )}
      {from !== null && to !== null && (to < from || (to > from && byWay === 'changes')) && (
        <ChangePlanView
          tank={tank}
          start={start}
          netL={start.netL}
          from={from}
          to={to}
          values={values}
          change={change}
        />
      )}
      {(from === null || to === null) && <Small>With both figures the plan stands here, day by day.</Small>}
    </Stack>
  )
}

/** Whether the pace of the last weeks leads to a target by itself. */
function Reaches({ tank, parameter, target }: { tank: Tank; parameter: Parameter; target: number }) {
  const { journal, settings } = useHousehold()
  const now = useNow()
  const reaches = reachedAt(journal, tank.id, parameter, target, now)
  if (reaches === null) return null
  const { clock, units } = settings
  return (
    <Small>
      At the pace of its last tests it is at {quantityText(parameterValue(parameter.id, target, units))} about{' '}
      {dayBeside(clock.dayOf(reaches), clock.dayOf(now))} by itself.
    </Small>
  )
}
