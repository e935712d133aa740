import { readTyped, typedUnit } from '../../../core/readings/typed-reading.ts'
import { LOWER_CAPS, planChanges } from '../../../core/water/correction/lower.ts'
import { LOWER_CAUTIONS } from '../../../core/water/correction/words.ts'
import { iso } from '../../../core/time/zone.ts'
import { percentText, plural } from '../../../core/words/numbers.ts'
import { changeVolume, parameterValue, quantityText } from '../../../core/words/quantities.ts'
import { numberIn } from '../../fields/number-in.ts'
import { FigureField } from '../../fields/plain.tsx'
import { useNow } from '../../frame/now.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { FieldGrid } from '../../look/page.ts'
import { Bar, Figure, Quiet, Ruled, Stack } from '../../look/text.ts'
import { KeepOne } from '../../safety/KeepOne.tsx'
import type { CorrectionViewProps } from './RaisePlanView.tsx'

/** Share of the water in one change that is offered first, %: a matched change that animals hardly feel (EA). */
const FIRST_SHARE = '20'

/** A level brought to a target by water changes: how much each day, no faster than its animals bear. */
export function ChangePlanView({ tank, start, netL, from, to, values, change }: CorrectionViewProps) {
  const { journal, settings } = useHousehold()
  const now = useNow()
  const { parameter } = start
  const { units } = settings
  const usual = start.newWater.value
  const texts = {
    newWater: values['newWater'] ?? (usual === null ? '' : parameterValue(parameter.id, usual, units).value),
    share: values['share'] ?? FIRST_SHARE,
  }
  const read =
    texts.newWater.trim() === ''
      ? null
      : readTyped(parameter, texts.newWater, tank, iso(now), { journal, settings, now })
  const replacement =
    read && 'content' in read && read.content.result.kind === 'value' ? read.content.result.value : null
  const share = numberIn(texts.share)
  const isShare = share !== null && share > 0 && share <= 100
  const planned =
    replacement === null || !isShare
      ? null
      : planChanges({
          parameter: parameter.id,
          now: from,
          target: to,
          netL,
          replacement,
          maxFraction: share / 100,
          hasSmallPolyps: start.hasSmallPolyps,
        })
  const cap = LOWER_CAPS.find((one) => one.parameter === parameter.id)
  const { floor } = start
  const say = (value: number) => quantityText(parameterValue(parameter.id, value, units))
  return (
    <Stack $gap={20}>
      <FieldGrid>
        <FigureField
          label="In the new water"
          after={typedUnit(journal, tank.id, parameter, units)}
          value={texts.newWater}
          onChange={(text) => change('newWater', text)}
          problem={read && 'message' in read ? read : undefined}
          hint={start.newWater.isTested ? 'by the record of what was mixed last' : 'not tested: test what you mix'}
        />
        <FigureField
          label="At most in one change"
          after="%"
          value={texts.share}
          onChange={(text) => change('share', text)}
          problem={isShare ? undefined : { message: 'a share of the water, over 0 and up to 100 %' }}
        />
      </FieldGrid>
      {LOWER_CAUTIONS.map((caution) => (
        <Bar key={caution} $tone="second">
          {caution}
        </Bar>
      ))}
      {floor !== null && to < floor && (
        <Bar $tone="soon">
          {say(to)} is under the floor of {say(floor)}: at nothing, corals pale and dinoflagellates come.
        </Bar>
      )}
      {planned &&
        (planned.ok ? (
          <>
            <div>
              <p>
                <Figure $size={40}>{quantityText(changeVolume(planned.value[0]!.litres, units))}</Figure> today
                {planned.value.length > 1 && `, ${plural(planned.value.length, 'change')} in all, one a day`}
              </p>
              <Quiet>
                {to < from && cap ? `At most ${cap.words} a day. ` : ''}
                {to < from && !cap ? 'No daily cap is known: the size of a change decides. ' : ''}
                Test before the next: the plan follows what was read.
              </Quiet>
            </div>
            <Ruled>
              <thead>
                <tr>
                  <th scope="col">Day</th>
                  <th scope="col">Change</th>
                  <th scope="col">{parameter.name} then</th>
                </tr>
              </thead>
              <tbody>
                {planned.value.map(({ day, litres, fraction, reaches }) => (
                  <tr key={day}>
                    <td>{day + 1}</td>
                    <td>
                      {quantityText(changeVolume(litres, units))} ({percentText(fraction)})
                    </td>
                    <td>
                      <Figure>{say(reaches)}</Figure>
                    </td>
                  </tr>
                ))}
              </tbody>
            </Ruled>
            <KeepOne
              tank={tank}
              contentAt={(at) => ({
                kind: 'water-change',
                happened: iso(at),
                tankId: tank.id,
                litres: Number(planned.value[0]!.litres.toPrecision(4)),
              })}
              label={`Log the change of ${quantityText(changeVolume(planned.value[0]!.litres, units))}`}
            />
          </>
        ) : (
          <Bar $tone="soon">
            {planned.error.code === 'no-solution'
              ? `Water with ${say(replacement!)} does not bring it to ${say(to)}: use water that holds less.`
              : planned.error.message}
          </Bar>
        ))}
    </Stack>
  )
}
