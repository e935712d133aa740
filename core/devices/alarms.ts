import type { AttachedDevice } from '../household/devices.ts'
import { dayBeside, momentBeside, spanText, timeOf } from '../time/words.ts'
import { MS_PER_HOUR, MS_PER_MINUTE, type ZoneClock } from '../time/zone.ts'
import { figures, listed, plural } from '../words/numbers.ts'
import type { DeviceList } from './messages.ts'
import type { ProbeState } from './probe-watch.ts'
import type { PumpState } from './pump-shots.ts'

/** Something of a device that has to be seen to. */
export interface DeviceAlarm {
  /** Acted on now, or soon. */
  tone: 'act' | 'soon'
  words: string
}

/** A bottle that runs dry within 48 hours is said (EA): time to mix the next. */
const DRY_SOON_MS = 48 * 3_600_000
/** Shots missed in the last 36 hours are an alarm; older ones stand on the pump’s own page (EA). */
const MISSED_SAID_MS = 36 * 3_600_000

/** What is wrong with a probe’s channel, in words; null where nothing is. @param since ms, of a stuck one */
export function probeAlarm(
  name: string,
  parameterName: string,
  state: ProbeState,
  since: number | null,
  clock: ZoneClock,
): DeviceAlarm | null {
  if (state === 'stuck')
    return {
      tone: 'act',
      words: `${name}: ${parameterName} has stood still since ${since === null ? 'a while' : timeOf(since, clock)}. Nothing of it is written down; test by hand, clean the probe.`,
    }
  if (state === 'silent')
    return { tone: 'act', words: `${name}: ${parameterName} sends nothing. Test by hand; look at its cable and power.` }
  if (state === 'spike')
    return {
      tone: 'soon',
      words: `${name}: ${parameterName} jumps. Jumps are passed over; look for stray current or air at the probe.`,
    }
  return null
}

/** Clocks that differ by less are set against each other, ms; by more, what comes is dated wrongly. */
export const CLOCK_OFF_MS = 5 * MS_PER_MINUTE

/**
 * What is wrong with the device server as a whole: it is away, one of the devices is not there, or its clock is off.
 * @param devices attached ones
 * @param list what the server offers; null while it is asked
 * @param problem why it did not answer; null where it did
 * @param now ms
 */
export function serverAlarms(
  devices: readonly Pick<AttachedDevice, 'name' | 'channel'>[],
  list: DeviceList | null,
  problem: string | null,
  now: number,
): DeviceAlarm[] {
  if (devices.length === 0) return []
  const names = listed(devices.map(({ name }) => name))
  if (problem !== null)
    return [
      {
        tone: 'act',
        words: `The device server does not answer: nothing that ${names} ${devices.length === 1 ? 'sends' : 'send'} is written down. Test by hand, and start the server.`,
      },
    ]
  if (list === null) return []
  const alarms = devices
    .filter(({ channel }) => !list.devices.some(({ id }) => id === channel))
    .map(({ name }): DeviceAlarm => ({
      tone: 'act',
      words: `${name} is not there: its server does not offer it now. Look at its power and its cable.`,
    }))
  const off = Date.parse(list.now) - now
  if (Math.abs(off) > CLOCK_OFF_MS)
    alarms.push({
      tone: 'act',
      words: `The devices’ clock is ${spanText(Math.abs(off) / MS_PER_HOUR)} ${off > 0 ? 'ahead' : 'behind'}: what they send is dated wrongly. Set it.`,
    })
  return alarms
}

/** What is wrong with a pump, the gravest first. */
export function pumpAlarms(name: string, state: PumpState, now: number, clock: ZoneClock): DeviceAlarm[] {
  const missed = state.missed.filter(({ at }) => now - at <= MISSED_SAID_MS)
  const alarms: DeviceAlarm[] = []
  if (state.isEnded) return alarms
  if (state.isDry)
    alarms.push({
      tone: 'act',
      words: `${name} has run dry: it turns and gives nothing. Fill the bottle, and set its content again.`,
    })
  if (missed.length > 0 && !state.isDry)
    alarms.push({
      tone: 'act',
      words: `${name} missed ${plural(missed.length, 'shot')}, the last ${momentBeside(missed.at(-1)!.at, now, clock)}: ${figures(
        missed.reduce((sum, one) => sum + one.ml - one.gaveMl, 0),
        3,
      )} mL short. Do not make up for them at once; look at the hose and the head.`,
    })
  if (!state.isDry && state.dryAt !== null && state.dryAt - now <= DRY_SOON_MS)
    alarms.push({
      tone: 'soon',
      words: `${name} runs dry ${dayBeside(clock.dayOf(state.dryAt), clock.dayOf(now))}, ${timeOf(state.dryAt, clock)}: mix the next bottle.`,
    })
  return alarms
}
