import { useState } from 'react'
import { useQueryClient } from '@tanstack/react-query'
import { parameterById } from '../../../../core/catalogue/parameter.ts'
import type { DeviceOffered } from '../../../../core/devices/messages.ts'
import { devicesOf, type AttachedDevice } from '../../../../core/household/devices.ts'
import { tankById, type Tank } from '../../../../core/household/tanks.ts'
import { spanText } from '../../../../core/time/words.ts'
import { iso, MS_PER_HOUR } from '../../../../core/time/zone.ts'
import { CLOCK_OFF_MS } from '../../../../core/devices/alarms.ts'
import { usePump } from '../../../devices/usePump.ts'
import { DEVICES_KEY, useDeviceList } from '../../../devices/useDeviceList.ts'
import { thisInstant, useNow } from '../../../frame/now.tsx'
import { newId } from '../../../journal/opened.ts'
import { PairingField } from './PairingField.tsx'
import { UnkeptNote, useKeeping } from '../../../journal/keeping.tsx'
import { useHousehold } from '../../../journal/provider.tsx'
import { Button, PlainButton } from '../../../look/buttons.ts'
import { CheckChip } from '../../../look/CheckChip.ts'
import { Bar, Heading, Line, Quiet, Small, Stack } from '../../../look/text.ts'
import { useTankOfPage } from '../useTankOfPage.tsx'
import { CameraView } from './CameraView.tsx'
import { PhotometerView } from './PhotometerView.tsx'
import { ProbeView } from './ProbeView.tsx'
import { PumpView } from './PumpView.tsx'
import { StandInFaults } from './StandInFaults.tsx'

const TYPES: Record<DeviceOffered['type'], string> = {
  probe: 'probe',
  photometer: 'photometer',
  pump: 'dosing pump',
  camera: 'camera',
}

/** Meters, pumps and cameras that a server beside Brinvo speaks for: attached to a tank, seen, and written down. */
export function Devices() {
  const { journal, which } = useHousehold()
  const { tank, field } = useTankOfPage()
  const { list, problem } = useDeviceList()
  const queries = useQueryClient()
  const [isMadeUpKnown, setIsMadeUpKnown] = useState(false)
  const now = useNow()
  const attached = devicesOf(journal)
  const free = (list?.devices ?? []).filter(({ id }) => !attached.some(({ channel }) => channel === id))
  const needsTick = list?.standIns === true && which === 'mine'
  const off = list ? Date.parse(list.now) - now : 0
  return (
    <Stack $gap={26}>
      {problem && (
        <Bar $tone="soon">
          <Stack $gap={8}>
            <span>{problem} Brinvo works without devices.</span>
            <div>
              <Button onPress={() => void queries.invalidateQueries({ queryKey: DEVICES_KEY })}>Ask again</Button>
            </div>
          </Stack>
        </Bar>
      )}
      {Math.abs(off) > CLOCK_OFF_MS && (
        <Bar $tone="act">
          The devices’ clock is {spanText(Math.abs(off) / MS_PER_HOUR)} {off > 0 ? 'ahead' : 'behind'}: what they send
          would be dated wrongly. Set it before you attach one.
        </Bar>
      )}
      {list?.standIns === false && which === 'sample' && (
        <Bar $tone="soon">
          This is the sample household: it shows your devices, and commands none of them. Open your own household to
          attach them.
        </Bar>
      )}
      {list?.standIns === true && (
        <Small>
          These devices are stand-ins at a made-up tank: they show what a real one would do, and what Brinvo does when
          one fails. Nothing of them is your water.
        </Small>
      )}
      <PairingField />
      {attached.map((device) => (
        <AttachedView
          key={device.deviceId}
          device={device}
          offered={list?.devices.find(({ id }) => id === device.channel) ?? null}
          isStandIn={list?.standIns === true}
        />
      ))}
      {free.length > 0 && (
        <section>
          <Heading>{attached.length === 0 ? 'Attach a device' : 'More devices'}</Heading>
          <Stack $gap={14} style={{ paddingTop: 14 }}>
            <Line>{field}</Line>
            {needsTick && (
              <Bar $tone="act">
                <Stack $gap={8}>
                  <span>
                    This is your own journal, and these devices are stand-ins: what they send would stand among your
                    real readings, noted as made up, and a course would count it. Try them in the sample household
                    instead.
                  </span>
                  <CheckChip isSelected={isMadeUpKnown} onChange={setIsMadeUpKnown}>
                    attach them here all the same
                  </CheckChip>
                </Stack>
              </Bar>
            )}
            {free.map((offered) => (
              <Offer
                key={offered.id}
                offered={offered}
                tank={tank}
                isStandIn={list?.standIns === true}
                isAllowed={(list?.standIns === true || which === 'mine') && (!needsTick || isMadeUpKnown)}
              />
            ))}
          </Stack>
        </section>
      )}
    </Stack>
  )
}

function Offer({
  offered,
  tank,
  isStandIn,
  isAllowed,
}: {
  offered: DeviceOffered
  tank: Tank
  isStandIn: boolean
  isAllowed: boolean
}) {
  const { keep, busy, unkept } = useKeeping()
  const measures = offered.measures.map(({ parameter }) => parameterById(parameter)?.name ?? parameter)
  const attach = () =>
    void keep([
      {
        kind: 'device',
        happened: iso(thisInstant()),
        deviceId: newId(),
        name: offered.name,
        type: offered.type,
        tankId: tank.id,
        channel: offered.id,
        ...(isStandIn && { standIn: true }),
        ...(offered.type === 'probe' && { keeps: offered.measures.map(({ parameter }) => parameter) }),
      },
    ])
  return (
    <Line style={{ justifyContent: 'space-between' }}>
      <div>
        <strong>{offered.name}</strong>
        <Small>
          {TYPES[offered.type]}
          {measures.length > 0 && `: ${measures.join(', ')}`}
        </Small>
      </div>
      <Button isDisabled={busy || !isAllowed} onPress={attach}>
        Attach to {tank.name}
      </Button>
      {unkept && <UnkeptNote unkept={unkept} />}
    </Line>
  )
}

function AttachedView({
  device,
  offered,
  isStandIn,
}: {
  device: AttachedDevice
  offered: DeviceOffered | null
  isStandIn: boolean
}) {
  const { journal } = useHousehold()
  const [isOpen, setIsOpen] = useState(false)
  const tankName = tankById(journal, device.tankId)?.name ?? device.tankId
  return (
    <section aria-label={device.name}>
      <Heading>
        <span>{device.name}</span>
        <Quiet>
          {TYPES[device.type]} at {tankName}
        </Quiet>
      </Heading>
      <Stack $gap={14} style={{ paddingTop: 14 }}>
        {!offered && <Bar $tone="act">It is not there: the device server does not offer it now.</Bar>}
        {offered && device.type === 'probe' && <ProbeView device={device} offered={offered} />}
        {offered && device.type === 'photometer' && <PhotometerView device={device} offered={offered} />}
        {device.type === 'pump' && <PumpView device={device} isOffered={offered !== null} />}
        {offered && device.type === 'camera' && <CameraView device={device} />}
        <Line $gap={18}>
          {device.type === 'pump' ? <TakeOffPump device={device} /> : <TakeOff device={device} />}
          {isStandIn && offered && device.type !== 'camera' && (
            <PlainButton aria-expanded={isOpen} onPress={() => setIsOpen(!isOpen)}>
              play a fault
            </PlainButton>
          )}
        </Line>
        {isOpen && offered && <StandInFaults offered={offered} />}
      </Stack>
    </section>
  )
}

/** Takes a device off its tank. @param label what is pressed */
function TakeOff({ device, label = 'take it off' }: { device: AttachedDevice; label?: string }) {
  const { keep, busy } = useKeeping()
  return (
    <PlainButton
      isDisabled={busy}
      onPress={() => void keep([{ kind: 'device', happened: iso(thisInstant()), ...device, retired: true }])}
    >
      {label}
    </PlainButton>
  )
}

/** A pump that runs is stopped before it is taken off: nobody would stop it after. */
function TakeOffPump({ device }: { device: AttachedDevice }) {
  const { runs, stop, refused, isBusy } = usePump(device)
  const { keep } = useKeeping()
  const [isAsked, setIsAsked] = useState(false)
  if (!runs) return <TakeOff device={device} />
  if (!isAsked) return <PlainButton onPress={() => setIsAsked(true)}>take it off</PlainButton>
  return (
    <Bar $tone="act" role="alert">
      <Stack $gap={8}>
        <span>
          {device.name} is running. Taken off, it would go on giving and nothing would say so. {refused?.words}
        </span>
        <Line>
          <Button
            isDisabled={isBusy}
            onPress={() =>
              void stop().then((hasStopped) =>
                hasStopped ? keep([{ kind: 'device', happened: iso(thisInstant()), ...device, retired: true }]) : null,
              )
            }
          >
            Stop it and take it off
          </Button>
          {refused && <TakeOff device={device} label="its plug is pulled: take it off" />}
          <PlainButton onPress={() => setIsAsked(false)}>leave it</PlainButton>
        </Line>
      </Stack>
    </Bar>
  )
}
