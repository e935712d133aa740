import { useMemo, useState } from 'react'
import { targetOf, type Followed } from '../../../../core/acclimation/follow.ts'
import type { BoxQuestion } from '../../../../core/acclimation/together.ts'
import type { Way } from '../../../../core/acclimation/ways.ts'
import { runLabel, type Run } from '../../../../core/arrivals/run/runs.ts'
import { WAY_NAMES } from '../../../../core/arrivals/run/step-words.ts'
import { psuWords } from '../../../../core/acclimation/words.ts'
import { matchingSwap, swapContent } from '../../../../core/arrivals/matching.ts'
import { changeVolume, quantityText } from '../../../../core/words/quantities.ts'
import { canBeMatched } from '../../../../core/arrivals/run/water-checks.ts'
import { tankById } from '../../../../core/household/tanks.ts'
import type { Content } from '../../../../core/journal/entry.ts'
import { iso } from '../../../../core/time/zone.ts'
import { thisInstant } from '../../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../../journal/keeping.tsx'
import { useHousehold } from '../../../journal/provider.tsx'
import { Button, PlainButton } from '../../../look/buttons.ts'
import { Bar, Figure, Heading, Line, Quiet, Rows, Small, Stack } from '../../../look/text.ts'
import { useComparison } from './useComparison.ts'
import { wayFigure } from './way-words.ts'

/** The ways on from here, by what is known now: asked for when the way taken will not do, or by the keeper. */
export function OtherWays({ run, followed, isAsked }: { run: Run; followed: Followed; isAsked: boolean }) {
  const [wanted, setWanted] = useState(false)
  if (!isAsked && !wanted)
    return (
      <div>
        <PlainButton onPress={() => setWanted(true)}>other ways from here</PlainButton>
      </div>
    )
  return <WaysFromHere run={run} followed={followed} />
}

function WaysFromHere({ run, followed }: { run: Run; followed: Followed }) {
  const { journal, settings } = useHousehold()
  const { keep, busy, unkept } = useKeeping()
  const { setting, limits } = run.setup
  // The tank as it stands: as it was read since the start, or as it was matched.
  const target = targetOf(run.setup)
  const tank = tankById(journal, run.start.tankId)
  const question = useMemo((): BoxQuestion => {
    const { now } = followed
    const left = Math.max(1, Math.round(limits.maxMinutes - now.minute))
    return {
      animals: [
        {
          id: 'here',
          name: runLabel(run),
          bag: {
            volumeL: now.volumeL,
            temperatureC: now.temperatureC,
            salinityPsu: now.salinityPsu,
            pH: now.pH,
            tanMgPerL: now.tanMgPerL,
            alkalinityDkh:
              setting.tank.alkalinityDkh +
              (setting.bag.alkalinityDkh - setting.tank.alkalinityDkh) * now.bagWaterFraction,
          },
          limits: { ...limits, maxMinutes: left },
        },
      ],
      tank: target.tank,
      container: { ...setting.container, capacityL: Math.max(setting.container.capacityL, now.volumeL) },
      room: setting.room,
      float: { minutes: 0 },
      ...(setting.gasExchangePerHour !== undefined && { gasExchangePerHour: setting.gasExchangePerHour }),
      shippingHours: run.start.shippingHours,
      tankCanBeMatched: tank !== null && canBeMatched(journal, tank),
      units: { salinity: settings.units.salinity, temperature: settings.units.temperature },
    }
    // eslint-disable-next-line react-hooks/exhaustive-deps -- only what was done and measured asks again, not each second
  }, [run, followed.measured.length, followed.scoops, followed.mlPerMinute])
  const { answered, isBehind } = useComparison(question)
  const comparison = answered?.plan.containers[0]?.comparison
  const take = ({ kind, method }: Way) => {
    const happened = iso(thisInstant())
    const contents: Content[] = [
      ...(followed.mlPerMinute > 0
        ? [{ kind: 'acclimation-event' as const, happened, runId: run.id, event: 'drip' as const, mlPerMinute: 0 }]
        : []),
      { kind: 'acclimation-event', happened, runId: run.id, event: 'way', way: kind, ...(method && { method }) },
    ]
    return keep(contents)
  }
  if (!comparison) return <Small role="status">Looking for other ways from here …</Small>
  return (
    <section aria-label="Other ways from here" aria-busy={isBehind}>
      <Stack $gap={8}>
        <Heading>Other ways from here</Heading>
        {comparison.advised === null && (
          <Bar $tone="act">
            None keeps all its limits in the minutes that are left
            {comparison.keptWarm ? '; with the container kept warm one would' : ''}. The least that is broken stands
            first.
          </Bar>
        )}
        <Rows>
          {comparison.ways.map((way) => {
            const { figure, how } = wayFigure(way)
            return (
              <li key={way.kind}>
                <Line style={{ justifyContent: 'space-between' }}>
                  <div>
                    <strong>{WAY_NAMES[way.kind]}</strong> {way.kind === comparison.advised && <Quiet>advised</Quiet>}
                    <div>
                      {way.method && <Figure $size={20}>{figure}</Figure>}{' '}
                      <Quiet>{way.method ? how.replace(/at minute (\d+)$/, 'in $1 minutes') : 'across now'}</Quiet>
                    </div>
                    {way.kind === 'match-and-release' && (
                      <SwapFirst run={run} tankPsu={target.tank} toPsu={followed.now.salinityPsu} />
                    )}
                    {way.broken.slice(0, 2).map(({ words }) => (
                      <Small key={words} style={{ color: 'var(--act)' }}>
                        {words}
                      </Small>
                    ))}
                  </div>
                  <Button
                    onPress={() => void take(way)}
                    isDisabled={busy}
                    aria-label={`Go on by ${WAY_NAMES[way.kind]}`}
                  >
                    Go on so
                  </Button>
                </Line>
              </li>
            )
          })}
        </Rows>
        {unkept && <UnkeptNote unkept={unkept} />}
      </Stack>
    </section>
  )
}

/** What brings the tank to the water the animal is in now, before it goes across. */
function SwapFirst({ run, tankPsu, toPsu }: { run: Run; tankPsu: Parameters<typeof matchingSwap>[1]; toPsu: number }) {
  const { journal, settings } = useHousehold()
  const { keep, busy, unkept } = useKeeping()
  const tank = tankById(journal, run.start.tankId)
  const swap = tank ? matchingSwap(tank.volume?.netL ?? null, tankPsu, toPsu) : null
  if (!tank || !swap) return null
  if (swap.withWhat === 'salt')
    return (
      <Small>
        first raise {tank.name} by {psuWords(swap.apart, settings.units)} with mixed salt water
      </Small>
    )
  const litres = quantityText(changeVolume(swap.litres, settings.units))
  return (
    <>
      <Small>
        first swap <strong>{litres}</strong> of {tank.name} for fresh water of its warmth, then measure it
      </Small>
      <PlainButton onPress={() => void keep([swapContent(tank.id, swap.litres, thisInstant())])} isDisabled={busy}>
        log the swap of {litres}
      </PlainButton>
      {unkept && <UnkeptNote unkept={unkept} />}
    </>
  )
}
