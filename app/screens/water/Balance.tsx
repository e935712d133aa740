import { useMemo } from 'react'
import type { Parameter } from '../../../core/catalogue/parameter.ts'
import type { UnitHabits } from '../../../core/household/settings.ts'
import type { Tank } from '../../../core/household/tanks.ts'
import { testedIn } from '../../../core/water/tests.ts'
import { isUptakeCertain, TAKEN_UP, UPTAKE_DAYS, uptakeOf, type TankUptake } from '../../../core/water/uptake.ts'
import { volumeByDoses } from '../../../core/water/volume-by-doses.ts'
import { figures, plural } from '../../../core/words/numbers.ts'
import { parameterDifference, parameterValue, parameterWidth, quantityText } from '../../../core/words/quantities.ts'
import { thisInstant, useNow } from '../../frame/now.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { PlainLink } from '../../look/buttons.ts'
import { Figure, Heading, Line, Quiet, Rows, Small, Stack } from '../../look/text.ts'
import { LearntVolumeOffer } from '../../water/LearntVolumeOffer.tsx'
import { SideRises } from '../../water/SideRises.tsx'
import { MixedWater } from './MixedWater.tsx'
import { TwoMethodsNote } from './TwoMethodsNote.tsx'
import { useTankOfPage } from './useTankOfPage.tsx'

/** What a tank takes up in a day, what creeps, whether two tests agree, and how much water it really is. */
export function Balance() {
  const { tank, field } = useTankOfPage()
  return (
    <Stack $gap={22}>
      <Line>{field}</Line>
      <BalanceOf key={tank.id} tank={tank} />
    </Stack>
  )
}

function BalanceOf({ tank }: { tank: Tank }) {
  const { journal, settings, revision } = useHousehold()
  const minute = useNow()
  const { uptakes, learnt } = useMemo(
    () => ({
      uptakes: testedIn(journal, tank)
        .filter(({ id }) => TAKEN_UP.includes(id))
        .flatMap((parameter) => {
          const uptake = uptakeOf(journal, tank.id, parameter, thisInstant())
          return uptake ? [{ parameter, uptake }] : []
        }),
      learnt: volumeByDoses(journal, tank, thisInstant()),
    }),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the revision says when the journal has grown
    [journal, revision, tank, minute],
  )
  return (
    <Stack $gap={22}>
      <TwoMethodsNote tank={tank} />
      <SideRises tank={tank} />
      {learnt && <LearntVolumeOffer tank={tank} learnt={learnt} />}
      <MixedWater />
      <section>
        <Heading>
          What it takes up in a day <Quiet>by the tests, doses and changes of {UPTAKE_DAYS} days</Quiet>
        </Heading>
        {uptakes.length === 0 && (
          <Small style={{ paddingTop: 10 }}>
            Two tests of the same thing within {UPTAKE_DAYS} days tell what the tank takes up between them.
          </Small>
        )}
        <Rows>
          {uptakes.map(({ parameter, uptake }) => (
            <li key={parameter.id}>
              <Line style={{ justifyContent: 'space-between', alignItems: 'baseline' }}>
                <div>
                  <strong>{parameter.name}</strong>
                  <Small>
                    {plural(uptake.tests.length, 'test')} over {Math.round(uptake.days)} days
                    {uptake.assumed &&
                      `; ${plural(uptake.assumed.changes, 'change')} with water that nobody tested, taken to hold ${quantityText(parameterValue(parameter.id, uptake.assumed.value, settings.units))}`}
                  </Small>
                </div>
                <Line $gap={18} style={{ alignItems: 'baseline' }}>
                  <UptakeFigure parameter={parameter} uptake={uptake} units={settings.units} />
                  <PlainLink href={`/water/correct?tank=${tank.id}&of=${parameter.id}`}>put right</PlainLink>
                </Line>
              </Line>
            </li>
          ))}
        </Rows>
      </section>
    </Stack>
  )
}

function UptakeFigure({ parameter, uptake, units }: { parameter: Parameter; uptake: TankUptake; units: UnitHabits }) {
  const { value } = uptake.tests.at(-1)!
  const { unit } = parameterValue(parameter.id, value, units)
  const said = figures(Math.abs(parameterDifference(parameter.id, value, uptake.perDay, units)), 2)
  return (
    <span style={{ textAlign: 'right' }}>
      {isUptakeCertain(uptake) ? (
        <>
          {uptake.perDay < 0 ? 'rises by itself ' : ''}
          <Figure $size={20}>{quantityText({ value: said, unit })}</Figure>
        </>
      ) : (
        <Quiet>none that the tests can tell</Quiet>
      )}
      <Quiet> ± {parameterWidth(parameter.id, value, uptake.error, units)}</Quiet>
    </span>
  )
}
