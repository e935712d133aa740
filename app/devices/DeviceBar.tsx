import { useEffect, useRef, type RefObject } from 'react'
import { Link } from 'react-aria-components'
import { styled } from 'styled-components'
import { parameterById } from '../../core/catalogue/parameter.ts'
import { probeAlarm, pumpAlarms, serverAlarms, type DeviceAlarm } from '../../core/devices/alarms.ts'
import { dueValue, lastKept, probeReading, valuesRemembered } from '../../core/devices/auto-log.ts'
import { orderOf, unwrittenDoses } from '../../core/devices/pump-doses.ts'
import { pumpState } from '../../core/devices/pump-shots.ts'
import { devicesOf, noteOf, pumpPlanOf, type AttachedDevice } from '../../core/household/devices.ts'
import type { ContentOf } from '../../core/journal/entry.ts'
import { iso } from '../../core/time/zone.ts'
import { thisInstant, useNow } from '../frame/now.tsx'
import { useKeeping } from '../journal/keeping.tsx'
import { useHousehold } from '../journal/provider.tsx'
import type { Which } from '../journal/which.ts'
import { AlarmBar } from '../look/AlarmBar.ts'
import { rememberedSamples } from './api.ts'
import { deviceStream } from './stream.ts'
import { StopPump } from './StopPump.tsx'
import { useDeviceList, useDeviceStream, useStreamReopened } from './useDeviceList.ts'
import { withoutSending } from './usePump.ts'
import { usePumpReport } from './usePumpReport.ts'
import { useWake } from './useWake.ts'

/**
 * The attached devices on every screen: what they send is written down here, thinned, and what is wrong with them stands at the top until it is seen to.
 */
export function DeviceBar() {
  const { journal, which } = useHousehold()
  const devices = devicesOf(journal)
  const isWriter = useIsWriter(which)
  const { list, problem } = useDeviceList()
  useWake()
  return (
    <div role="region" aria-label="Devices">
      <Alarms alarms={serverAlarms(devices, list, problem, thisInstant())} />
      {devices.some(({ type }) => type === 'probe') && (
        <Probes devices={devices.filter(({ type }) => type === 'probe')} isWriter={isWriter} />
      )}
      {devices
        .filter(({ type }) => type === 'pump')
        .map((device) => (
          <Pump key={device.deviceId} device={device} isWriter={isWriter} />
        ))}
    </div>
  )
}

function Alarms({ alarms }: { alarms: readonly DeviceAlarm[] }) {
  if (alarms.length === 0) return null
  return (
    <AlarmBar role="alert">
      {alarms.map(({ tone, words }) => (
        <Link key={words} href="/water/devices" data-tone={tone}>
          {words}
        </Link>
      ))}
    </AlarmBar>
  )
}

/** Only one tab writes down what the devices of a household send. */
const lockOf = (which: Which) => `brinvo-devices-${which}`

/** Whether this tab is the one that writes; a browser without locks has one tab as far as anyone knows. */
function useIsWriter(which: Which) {
  const isWriter = useRef(false)
  useEffect(() => {
    if (!('locks' in navigator)) {
      isWriter.current = true
      return
    }
    let letGo = () => {}
    const closed = new AbortController()
    void navigator.locks
      .request(lockOf(which), { signal: closed.signal }, () => {
        isWriter.current = true
        return new Promise<void>((resolve) => (letGo = resolve))
      })
      // Closed before it was this tab's turn.
      .catch(() => undefined)
    return () => {
      isWriter.current = false
      letGo()
      closed.abort()
    }
  }, [which])
  return isWriter
}

type Writer = RefObject<boolean>

function Probes({ devices, isWriter }: { devices: readonly AttachedDevice[]; isWriter: Writer }) {
  const { journal, settings } = useHousehold()
  const { keepUnasked, busy } = useKeeping()
  const { list } = useDeviceList()
  const version = useDeviceStream()
  const now = thisInstant()
  useEffect(() => {
    if (!list || busy || !isWriter.current) return
    const at = thisInstant()
    const due = devices.flatMap(({ deviceId, tankId, channel, standIn, keeps = [] }) =>
      keeps.flatMap((id): ContentOf<'reading'>[] => {
        const parameter = parameterById(id)
        const watch = deviceStream.channel(channel, id, at)?.watch
        const value =
          parameter && watch ? dueValue(watch, parameter, lastKept(journal, tankId, id, deviceId), at) : null
        return parameter && value ? [probeReading(parameter, { deviceId, tankId, standIn }, value)] : []
      }),
    )
    if (due.length > 0) void keepUnasked(due)
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the version says when something came
  }, [version, list, journal, busy, keepUnasked, devices])
  const isThere = list !== null
  const wakes = useWake()
  const reopened = useStreamReopened()
  const asked = useRef('')
  useEffect(() => {
    // Once at first, and again after a sleep or a break of the stream: what was sent meanwhile is with the device.
    const occasion = `${wakes} ${reopened}`
    if (!isThere || asked.current === occasion) return
    asked.current = occasion
    const catchUp = async () => {
      const found = await Promise.all(
        devices.map(async ({ deviceId, tankId, channel, standIn, keeps = [] }) => {
          const lasts = keeps.map((id) => lastKept(journal, tankId, id, deviceId))
          // What a device remembers of the time before it was attached is nobody's.
          if (lasts.every((one) => one === null)) return []
          const samples = await rememberedSamples(channel, Math.min(...lasts.map((one) => one?.at ?? Infinity)))
          return keeps.flatMap((id, i) => {
            const parameter = parameterById(id)
            const own = samples.filter((sample) => sample.parameter === id)
            return parameter && lasts[i]
              ? valuesRemembered(own, parameter, lasts[i]).map((value) =>
                  probeReading(parameter, { deviceId, tankId, standIn }, value),
                )
              : []
          })
        }),
      )
      const missed = found.flat()
      if (missed.length > 0 && isWriter.current) await keepUnasked(missed)
    }
    // A device that does not answer is said by its own alarm.
    void catchUp().catch(() => undefined)
  }, [isThere, devices, journal, keepUnasked, isWriter, wakes, reopened])
  const alarms = devices.flatMap(({ name, channel, keeps = [] }) =>
    keeps.flatMap((id) => {
      const one = deviceStream.channel(channel, id, now)
      const parameter = parameterById(id)
      return one && parameter ? (probeAlarm(name, parameter.name, one.state, one.stuckSince, settings.clock) ?? []) : []
    }),
  )
  return <Alarms alarms={alarms} />
}

function Pump({ device, isWriter }: { device: AttachedDevice; isWriter: Writer }) {
  const { journal, settings, correct } = useHousehold()
  const { keepUnasked, busy } = useKeeping()
  const now = useNow()
  const { report, problem } = usePumpReport(device.channel)
  const plan = pumpPlanOf(journal, device.deviceId)
  const shots = report?.shots
  useEffect(() => {
    if (!plan || !shots || busy || !isWriter.current) return
    const doses = unwrittenDoses(journal, plan, shots, settings.clock, thisInstant(), false, noteOf(device))
    if (doses.length > 0) void keepUnasked(doses)
  }, [plan, shots, busy, journal, settings, keepUnasked, now, isWriter, device])
  const isTaken = plan?.content.beingSent === true && report?.order?.startsAt === iso(plan.at)
  useEffect(() => {
    // The page was closed between the order and its being written as taken.
    if (plan && isTaken && isWriter.current) void correct(plan.id, withoutSending(plan.content)).catch(() => undefined)
  }, [plan, isTaken, isWriter, correct])
  const at = thisInstant()
  const isServerAway = useDeviceList().problem !== null
  const isMute = problem !== null && plan !== null
  const alarmsNow = (): DeviceAlarm[] => {
    // That the server is away is said once, for all devices.
    if (isMute)
      return isServerAway ? [] : [{ tone: 'act', words: `${device.name} does not answer as it should: ${problem}` }]
    if (!plan || !report) return []
    const order = orderOf(journal, plan, settings.timeZone)
    return pumpAlarms(device.name, pumpState(order, report.shots, at), at, settings.clock)
  }
  const alarms = alarmsNow()
  if (alarms.length === 0 && !isMute) return null
  return (
    <>
      <Alarms alarms={alarms} />
      <Stop>
        <StopPump device={device} />
      </Stop>
    </>
  )
}

const Stop = styled.div`
  padding: 6px 16px;
  background: var(--sheet);
  border-bottom: 1px solid var(--strong-rule);
`
