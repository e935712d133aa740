import { styled } from 'styled-components'
import { parameterById } from '../../../../core/catalogue/parameter.ts'
import type { DeviceOffered } from '../../../../core/devices/messages.ts'
import type { ProbeState } from '../../../../core/devices/probe-watch.ts'
import type { AttachedDevice } from '../../../../core/household/devices.ts'
import { probeChecks } from '../../../../core/readings/doubtful.ts'
import { dayBeside, timeOf } from '../../../../core/time/words.ts'
import { iso } from '../../../../core/time/zone.ts'
import { parameterValue, quantityText } from '../../../../core/words/quantities.ts'
import { deviceStream } from '../../../devices/stream.ts'
import { useDeviceStream } from '../../../devices/useDeviceList.ts'
import { thisInstant } from '../../../frame/now.tsx'
import { useKeeping } from '../../../journal/keeping.tsx'
import { useHousehold } from '../../../journal/provider.tsx'
import { CheckChip } from '../../../look/CheckChip.ts'
import { Bar, Figure, Small } from '../../../look/text.ts'

const Channels = styled.ul`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(240px, 1fr));
  gap: 18px 28px;
`

const STATES: Record<ProbeState, string> = {
  starting: 'listening …',
  good: 'live',
  stuck: 'stands still',
  spike: 'jumps: passed over',
  silent: 'sends nothing',
}

/** A probe's values as they come, what is wrong with each, and how it stands against the tests by hand. */
export function ProbeView({ device, offered }: { device: AttachedDevice; offered: DeviceOffered }) {
  const { journal, settings } = useHousehold()
  const { keep, busy } = useKeeping()
  useDeviceStream()
  const now = thisInstant()
  const keeps = device.keeps ?? []
  return (
    <Channels>
      {offered.measures.map(({ parameter: id }) => {
        const parameter = parameterById(id)
        const one = deviceStream.channel(device.channel, id, now)
        if (!parameter) return null
        const state = one?.state ?? 'starting'
        const isWrong = state === 'stuck' || state === 'silent'
        const check = probeChecks(journal, device.tankId, parameter, device.deviceId).at(-1)
        const say = (value: number) => quantityText(parameterValue(id, value, settings.units))
        return (
          <li key={id} aria-label={parameter.name}>
            <strong>{parameter.name}</strong>
            <p>
              <Figure
                $size={32}
                style={isWrong ? { color: 'var(--quiet)', textDecoration: 'line-through' } : undefined}
              >
                {one?.last ? say(one.last.value) : '–'}
              </Figure>
            </p>
            <Small
              role="status"
              style={
                state === 'good' || state === 'starting'
                  ? undefined
                  : { color: `var(--${isWrong ? 'act' : 'soon'})`, fontWeight: 700 }
              }
            >
              {STATES[state]}
              {state === 'stuck' && one?.stuckSince != null && ` since ${timeOf(one.stuckSince, settings.clock)}`}
            </Small>
            {check?.differs && (
              <Bar $tone="act" style={{ marginTop: 8 }}>
                Off the test by hand of {dayBeside(settings.clock.dayOf(check.at), settings.clock.dayOf(now))}:{' '}
                {say(check.probe)} against {say(check.hand)}. Calibrate it; its values since the test before are not
                trusted.
              </Bar>
            )}
            {check && !check.differs && <Small>agrees with the test by hand, {say(check.hand)}</Small>}
            <CheckChip
              style={{ marginTop: 8 }}
              isSelected={keeps.includes(id)}
              isDisabled={busy}
              onChange={(isKept) =>
                void keep([
                  {
                    kind: 'device',
                    happened: iso(thisInstant()),
                    ...device,
                    keeps: isKept ? [...keeps, id] : keeps.filter((other) => other !== id),
                  },
                ])
              }
            >
              {keeps.includes(id) ? 'written down' : 'write it down'}
            </CheckChip>
          </li>
        )
      })}
    </Channels>
  )
}
