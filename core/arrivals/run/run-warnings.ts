import type { WordUnits } from '../../acclimation/acclimation.schema.ts'
import { targetOf, type Followed } from '../../acclimation/follow.ts'
import { offBy } from '../../acclimation/trials.ts'
import { degreesWords, freeWords, minutesWords, psuWords } from '../../acclimation/words.ts'
import { momentBeside, timeOf } from '../../time/words.ts'
import { isForgotten } from './run-now.ts'
import type { Settings } from '../../household/settings.ts'
import { offWords } from './release.ts'
import { instantOf, minuteOf, type Run } from './runs.ts'

/** Something that changes what to do in a run. */
export interface RunWarning {
  id: string
  tone: 'act' | 'soon'
  text: string
  /** Whether another way should be looked for. */
  isWayWrong: boolean
}

/** Why the water never comes within reach: the room that takes its warmth, or what is off at the end. */
function neverWords({ setup }: Run, { ahead, off: now }: Followed, units: WordUnits): string {
  if (!setup.method && now.every(({ what }) => what === 'temperature'))
    return `Not near enough: ${offWords(now, units)}. An opened bag is not floated: warm packs, or a bowl of warm water round it.`
  if (!setup.method)
    return `Nothing is mixed on this way, and it is not near enough: ${offWords(now, units)}. Another way from here, or across knowing it.`
  const off = offBy(ahead.at(-1)!, targetOf(setup), setup.limits)
  const [only] = off
  return off.length === 1 && only!.what === 'temperature'
    ? `As it goes now the container stays ${degreesWords(Math.abs(only!.by), units)} off: it loses its warmth to the room. A float collar, warm packs, or set it in a bowl of warm water.`
    : `As it goes now the water would not come within reach in five hours${off.length > 0 ? `: ${offWords(off, units)}` : ''}.`
}

/** What speaks against going on as it goes: the animal's limits, passed or about to be. */
export function runWarnings(
  run: Run,
  followed: Followed,
  now: number,
  { clock, units }: Pick<Settings, 'clock' | 'units'>,
): RunWarning[] {
  const { limits } = run.setup
  const { now: water, ahead, readyAt, psuPerHour, openedAt } = followed
  const warnings: RunWarning[] = []
  const add = (id: string, tone: RunWarning['tone'], text: string, isWayWrong = false) =>
    warnings.push({ id, tone, text, isWayWrong })
  if (isForgotten(run, now)) {
    add(
      'forgotten',
      'act',
      `This acclimation was begun ${momentBeside(run.startedAt, now, clock)} and never ended. Where it ended long ago, end it: released, or stopped.`,
    )
    return warnings
  }
  if (openedAt === null) return warnings
  const limit = limits.maxFreeAmmoniaMgPerL
  const minute = minuteOf(run, now)
  const passes = ahead.find(
    (point) => point.freeAmmoniaMgPerL > limit && (readyAt === null || point.minute < Math.max(readyAt, minute + 1)),
  )
  if (water.freeAmmoniaMgPerL > limit)
    add(
      'ammonia',
      'act',
      `Free ammonia is ${freeWords(water.freeAmmoniaMgPerL)}, over the limit of ${freeWords(limit)}: waiting is the danger now. Across as soon as can be, or the tank’s water in faster.`,
      true,
    )
  else if (passes)
    add(
      'ammonia-ahead',
      'soon',
      `Free ammonia would pass ${freeWords(limit)} about ${timeOf(instantOf(run, passes.minute), clock)}, before it is near enough.`,
      true,
    )
  if (psuPerHour > limits.maxPsuPerHour * 1.02)
    add(
      'pace',
      'act',
      `Salinity has moved ${psuWords(psuPerHour, units)} an hour in the last quarter of an hour; it bears ${psuWords(limits.maxPsuPerHour, units)}. Leave the next scoop out, or slow the drip.`,
    )
  if (minute > limits.maxMinutes)
    add(
      'time',
      'act',
      `It has waited ${minutesWords(minute)}; ${minutesWords(limits.maxMinutes)} is the longest it should.`,
    )
  else if (readyAt === null) add('never', 'act', neverWords(run, followed, units), true)
  else if (readyAt > limits.maxMinutes + 0.5)
    add(
      'late',
      'soon',
      `By what is known it would be near enough at ${timeOf(instantOf(run, readyAt), clock)}, ${minutesWords(readyAt - limits.maxMinutes)} past the longest it should wait.`,
      true,
    )
  return warnings
}
