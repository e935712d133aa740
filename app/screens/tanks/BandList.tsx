import { BAND_PROFILES, bandFor, PARAMETERS } from '../../../core/catalogue/parameter.ts'
import type { Tank } from '../../../core/household/tanks.ts'
import { useHousehold } from '../../journal/provider.tsx'
import { HandbookLink } from '../../look/HandbookLink.tsx'
import { Facts, Figure, Heading, Small } from '../../look/text.ts'
import { parameterValue } from '../../../core/words/quantities.ts'
import type { UnitHabits } from '../../../core/household/settings.ts'

/** A band as it is printed: "7.5–10.0 dKH", "up to 50 mg/L", "0". */
export function bandText(
  parameterId: string,
  band: readonly [number | null, number | null],
  units: UnitHabits,
): string {
  const [low, high] = band
  const of = (value: number) => parameterValue(parameterId, value, units)
  if (low !== null && high !== null) return `${of(low).value}–${of(high).value} ${of(high).unit}`.trim()
  if (low !== null) return `at least ${of(low).value} ${of(low).unit}`.trim()
  return high === 0 ? 'none' : `up to ${of(high!).value} ${of(high!).unit}`.trim()
}

/** The comfort bands a tank is read against. */
export function BandList({ tank }: { tank: Tank }) {
  const { settings } = useHousehold()
  const profile = BAND_PROFILES.find(({ id }) => id === tank.profile)
  const bands = PARAMETERS.flatMap((parameter) => {
    const band = bandFor(parameter, tank.profile)
    return band ? [{ parameter, band }] : []
  })
  return (
    <section>
      <Heading>Comfort bands</Heading>
      {profile ? (
        <>
          <Facts>
            {bands.map(({ parameter, band }) => (
              <div key={parameter.id}>
                <dt>
                  <HandbookLink to={`parameters#${parameter.id}`}>{parameter.name}</HandbookLink>
                </dt>
                <dd>
                  <Figure>{bandText(parameter.id, band, settings.units)}</Figure>
                </dd>
              </div>
            ))}
          </Facts>
          <Small style={{ paddingTop: 8 }}>
            Everyday ranges for a {profile.name}, hobby practice. Steadiness matters more than the exact value.
          </Small>
        </>
      ) : (
        <Small style={{ paddingTop: 10 }}>None chosen.</Small>
      )}
    </section>
  )
}
