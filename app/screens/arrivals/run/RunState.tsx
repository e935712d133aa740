import { useRef } from 'react'
import { measureText } from '../../../../core/words/measure.ts'
import { styled } from 'styled-components'
import { targetOf, type Followed } from '../../../../core/acclimation/follow.ts'
import { minuteOf, instantOf, type Run } from '../../../../core/arrivals/run/runs.ts'
import { timeOf } from '../../../../core/time/words.ts'
import { useHousehold } from '../../../journal/provider.tsx'
import { useWidth } from '../../../look/useWidth.ts'
import { Figure, Quiet, Small, Stack } from '../../../look/text.ts'
import { CurveColumn } from '../ways/CurveColumn.tsx'
import { domainOf, quantitiesOf } from '../ways/curves.ts'

const Now = styled.dl`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(98px, 1fr));
  gap: 10px 16px;
  dt {
    font-size: 14px;
    color: var(--quiet);
  }
  dd span:first-child {
    white-space: nowrap;
  }
`

/** The water in the container: as it is, and how it came and will go; measured points where there are any. */
export function RunState({ run, followed, now }: { run: Run; followed: Followed; now: number }) {
  const { settings } = useHousehold()
  const { units, clock } = settings
  const box = useRef<HTMLDivElement>(null)
  const width = useWidth(box)
  const { limits, setting } = run.setup
  const target = targetOf(run.setup)
  const quantities = quantitiesOf(target, limits, units)
  const minute = run.ended ? minuteOf(run, run.ended.at) : minuteOf(run, now)
  const hoped = run.ended ? NONE : followed.ahead
  const until = Math.max(
    setting.float.minutes + 20,
    minute + 5,
    Math.min((followed.readyAt ?? minute + 60) + 8, minute + 120),
  )
  const inView = (points: typeof hoped) => points.filter((point) => point.minute <= until)
  const domains = quantities.map((quantity) => domainOf(quantity, [followed.past, inView(hoped)]))
  const measured = followed.measured.map(({ minute: at, temperatureC, salinityPsu, pH }) => ({
    minute: at,
    values: {
      ...(temperatureC !== undefined && { temperatureC }),
      ...(salinityPsu !== undefined && { salinityPsu }),
      ...(pH !== undefined && { pH }),
    },
  }))
  const said = (id: string) => quantities.find((quantity) => quantity.id === id)
  return (
    <Stack $gap={14}>
      <Now aria-label="The water now">
        {quantities.map((quantity) => {
          const value = quantity.of(followed.now)
          const isOff = quantity.band !== null && (value < quantity.band[0] - 1e-9 || value > quantity.band[1] + 1e-9)
          return (
            <div key={quantity.id}>
              <dt>{quantity.name}</dt>
              <dd>
                <Figure $size={22} style={isOff && followed.openedAt !== null ? { color: 'var(--act)' } : undefined}>
                  {quantity.text(value)}
                </Figure>{' '}
                <Quiet style={{ fontSize: 14 }}>{quantity.unit.replace(/ N$/, '')}</Quiet>
                <Small>
                  {quantity.tank !== null
                    ? `tank ${quantity.text(quantity.tank)}`
                    : quantity.band
                      ? `at most ${quantity.text(quantity.band[1])}`
                      : `${measureText(followed.now.volumeL, 'L', settings.units, 3)} in all`}
                </Small>
              </dd>
            </div>
          )
        })}
      </Now>
      <div ref={box}>
        {width > 0 && (
          <CurveColumn
            label={`The water over the minutes: salinity ${said('salinityPsu')?.text(followed.now.salinityPsu) ?? ''}, temperature ${measureText(followed.now.temperatureC, '°C', settings.units, 3)}, pH ${followed.now.pH.toFixed(2)}, free ammonia ${followed.now.freeAmmoniaMgPerL.toFixed(3)} mg/L, ${Math.round(followed.now.bagWaterFraction * 100)} % bag water`}
            width={width}
            quantities={quantities}
            domains={domains}
            until={until}
            known={followed.past}
            hoped={inView(hoped)}
            beyond={NONE}
            openAt={followed.openedAt ?? setting.float.minutes}
            moveAt={run.ended ? minute : followed.readyAt}
            now={minute}
            measured={measured}
            named
            rowHeight={46}
          />
        )}
      </div>
      <Small style={{ fontSize: 15 }}>
        {run.ended
          ? 'Solid is what was done and reckoned from it; rings are what was measured.'
          : followed.readyAt === null
            ? 'Solid is done, hatched is expected: it does not come within reach as it goes now.'
            : followed.openedAt !== null && followed.off.length === 0
              ? 'Within reach. Solid is what was done; rings are what was measured.'
              : `Solid is done, hatched is expected: within reach about ${timeOf(instantOf(run, followed.readyAt), clock)}.`}
      </Small>
    </Stack>
  )
}

const NONE: never[] = []
