import { pumpCautions } from '../../../../core/devices/pump-doses.ts'
import { pumpsInTank } from '../../../../core/devices/pumps-in-tank.ts'
import { devicesOf } from '../../../../core/household/devices.ts'
import type { Tank } from '../../../../core/household/tanks.ts'
import { momentBeside } from '../../../../core/time/words.ts'
import { figures } from '../../../../core/words/numbers.ts'
import { parameterDifference, parameterValue, quantityText } from '../../../../core/words/quantities.ts'
import { StopPump } from '../../../devices/StopPump.tsx'
import { useNow } from '../../../frame/now.tsx'
import { useHousehold } from '../../../journal/provider.tsx'
import { PlainLink } from '../../../look/buttons.ts'
import { Bar, Facts, Figure, Heading, Small, Stack } from '../../../look/text.ts'
import { HourBars } from '../../../water/HourBars.tsx'
import { SideRises } from '../../../water/SideRises.tsx'

/** The dosing pump of a course that brings an element back: its hours, what a day raises, when its bottle is empty. */
export function PumpPanel({ tank }: { tank: Tank }) {
  const { journal, settings } = useHousehold()
  const now = useNow()
  const pumps = pumpsInTank(journal, tank, settings.timeZone, now)
  const { clock, units } = settings
  return (
    <section>
      <Heading>Dosing pump</Heading>
      <Stack $gap={12} style={{ paddingTop: 10 }}>
        <SideRises tank={tank} />
        {pumps.length === 0 && (
          <Small>
            No pump doses {tank.name}. The page that{' '}
            <PlainLink href={`/water/correct?tank=${tank.id}`}>puts it right</PlainLink> works out a day’s portions, and
            hands them to one.
          </Small>
        )}
        {pumps.map(({ deviceId, product, mlByHour, mlPerDay, since, rises, dryAt, endsAt }) => (
          <Stack key={deviceId} $gap={6}>
            <span>
              <Figure $size={22}>{figures(mlPerDay, 3)} mL</Figure> a day of {product.name}, since{' '}
              {momentBeside(since, now, clock)}{' '}
              <PlainLink href={`/water/devices?tank=${tank.id}`}>
                {devicesOf(journal).find((one) => one.deviceId === deviceId)?.name ?? deviceId}
              </PlainLink>
            </span>
            {devicesOf(journal)
              .filter((one) => one.deviceId === deviceId)
              .map((device) => (
                <StopPump key={device.deviceId} device={device} />
              ))}
            {pumpCautions(product.ingredient).map((words) => (
              <Bar key={words} $tone="soon">
                {words}
              </Bar>
            ))}
            <HourBars mlByHour={mlByHour} />
            <Facts>
              {rises.map(({ parameter: { id, name }, dosed, cap, isOver }) => (
                <div key={id}>
                  <dt>{name}</dt>
                  <dd style={isOver ? { color: 'var(--act)' } : undefined}>
                    +
                    {quantityText({
                      value: figures(parameterDifference(id, 0, dosed, units), 2),
                      unit: parameterValue(id, dosed, units).unit,
                    })}{' '}
                    a day{cap === null ? '' : `, of ${figures(parameterDifference(id, 0, cap, units), 2)}`}
                    {isOver && ': over its cap'}
                  </dd>
                </div>
              ))}
              <div>
                <dt>runs dry</dt>
                <dd>{dryAt === null ? 'not before its plan ends' : momentBeside(dryAt, now, clock)}</dd>
              </div>
              {endsAt !== null && (
                <div>
                  <dt>ends</dt>
                  <dd>{momentBeside(endsAt, now, clock)}</dd>
                </div>
              )}
            </Facts>
            {rises.some(({ isOver }) => isOver) && <Bar $tone="act">A day of it is over a cap: give it less.</Bar>}
          </Stack>
        ))}
      </Stack>
    </section>
  )
}
