import type { Step } from '../../catalogue/courses/definitions.ts'
import { gravityOfPsu, psuOfGravity } from '../../salinity/gravity.ts'
import { swapSalinity } from '../../salinity/salinity.ts'
import { MS_PER_HOUR } from '../../time/zone.ts'
import { measureText } from '../../words/measure.ts'
import type { PlannedChange } from '../amounts/planned-dose.ts'
import { LOWERING, loweringSteps, RAISING, raisingDays, type SalinityState } from '../tracks/salinity.ts'
import { evaporationOf } from '../../water/level-line.ts'
import { SALT_G_PER_L_PSU } from '../../catalogue/procedures/limits.data.ts'
import { plural } from '../../words/numbers.ts'
import { addSchedule } from './late-schedules.ts'
import { base, dayNumber, unreadAfterTopOff, waitsForOf, type Draft, type TaskInput } from './step-input.ts'

/** A step this near its gravity is done: a refractometer reads to 0.001. */
const STEP_SLACK = 0.0005
/** Water for raising is mixed so much stronger than the sea water it goes back to, psu: else the last step would swap it all (EA). */
const STRONGER_PSU = 10
/** A reading is due every twelve hours, quarantine.md 5.2; early and late by so much. */
const READ_EVERY_HOURS = 12
const READ_WINDOW_HOURS = 3

/** Before salinity is read: what evaporated makes it read high. */
const LEVEL_FIRST = 'Is the level down? Fill up to the line with fresh water first, stir, wait ten minutes, then read.'

/** Any step down or up is one swap; what limits it is the schedule. */
const ONE_SWAP_PSU = 100

function swap(volumeL: number, fromPsu: number, toPsu: number, replacementPsu: number): PlannedChange | null {
  const result = swapSalinity({ volumeL, fromPsu, toPsu, replacementPsu, maxStepPsu: ONE_SWAP_PSU, hoursBetween: 0 })
  const [one] = result.ok ? result.value.steps : []
  return one
    ? { litres: one.replaceL, times: 1, fromMgPerL: 0, toMgPerL: 0, salinity: { fromPsu, toPsu, replacementPsu } }
    : null
}

const gravityText = (psu: number): string => gravityOfPsu(psu).toFixed(4)

interface Swap {
  change: PlannedChange
  notBefore: number
  best: number
  notAfter: number
}

function swapDrafts(
  input: TaskInput,
  step: Step,
  swaps: readonly Swap[],
  alsoWaitsFor: readonly string[],
  why: (index: number) => string,
): Draft[] {
  const { facts, settings } = input
  const waitsFor = [...waitsForOf(input, step), ...alsoWaitsFor]
  return swaps.map(({ change, ...window }, i) => {
    const { toPsu, replacementPsu } = change.salinity!
    return {
      ...base(input, step, facts.swaps.length + i),
      title: `${step.title}${replacementPsu > 0 ? ` of ${gravityText(replacementPsu)}` : ''}, to ${gravityText(toPsu)}: ${measureText(change.litres, 'L', settings.units, 3)}`,
      why: why(i),
      ...window,
      change,
      ...(i === 0 && waitsFor.length > 0 && { waitsFor }),
    }
  })
}

/** The steps down to the target, and the one that puts it back after it has risen. */
function lowerTasks(input: TaskInput, step: Step): Draft[] {
  const { facts, salinity } = input
  const { volumeL, course } = facts
  if (!salinity || volumeL === null || input.observation || salinity.clock.state === 'complete') return []
  const { psu, limits, swappedAt } = salinity
  const from = psu ?? salinity.startPsu
  // Once it was low it is left alone until it has risen over the high.
  const isBack = salinity.clock.breaks.length > 0
  const enough = isBack ? limits.high : psuOfGravity(salinity.track.target + STEP_SLACK)
  if (from <= enough) return []
  const steps = isBack
    ? [salinity.track.target]
    : loweringSteps(salinity).filter((sg) => sg < gravityOfPsu(from) - STEP_SLACK)
  const [least, best, most] = LOWERING.hours.map((hours) => hours * MS_PER_HOUR) as [number, number, number]
  const swaps: Swap[] = []
  let level = from
  let last = swappedAt
  // One step is open at a time: what was missed moves those after it.
  for (const sg of steps) {
    const to = psuOfGravity(sg)
    const change = swap(volumeL, level, to, 0)
    if (!change) continue
    const window = isBack
      ? { notBefore: facts.now, best: facts.now, notAfter: facts.now + most }
      : last === null
        ? { notBefore: course.startedAt, best: course.startedAt, notAfter: course.startedAt + most }
        : { notBefore: last + least, best: last + best, notAfter: last + most }
    swaps.push({ change, ...window })
    level = to
    last = Math.max(window.best, facts.now)
  }
  return swapDrafts(input, step, swaps, unreadAfterTopOff(input, salinity.readAt), (i) =>
    isBack
      ? 'it has risen over 1.010: the days start over once it is back'
      : i === 0 && swappedAt === null
        ? 'the course begins'
        : `${LOWERING.hours[0]} to ${LOWERING.hours[2]} h after the step before`,
  )
}

/** The steps up again, a day apart and 0.002 at most: after the full count, told as they would be before it. */
function raiseTasks(input: TaskInput, step: Step): Draft[] {
  const { facts, salinity, settings } = input
  const { volumeL } = facts
  if (!salinity || volumeL === null || input.observation || salinity.clock.completesAt === null) return []
  const { clock, startPsu, limits, swappedAt } = salinity
  const isFull = clock.state === 'complete'
  const from = isFull ? (salinity.psu ?? limits.target) : limits.target
  const replacementPsu = startPsu + STRONGER_PSU
  const day = RAISING.hours * MS_PER_HOUR
  const lastUp = swappedAt !== null && isFull && swappedAt > clock.completesAt! ? swappedAt : null
  const begin = lastUp === null ? clock.completesAt! : lastUp + day
  const days = raisingDays(from, startPsu)
  const swaps: Swap[] = []
  let level = from
  for (let i = 0; i < days; i++) {
    const to = i + 1 === days ? startPsu : psuOfGravity(gravityOfPsu(level) + RAISING.sgADay)
    const change = swap(volumeL, level, to, replacementPsu)
    if (change)
      swaps.push({ change, notBefore: begin + i * day, best: begin + i * day, notAfter: begin + (i + 1) * day })
    level = to
  }
  // Each step up is reckoned from a reading: what the last one made of it is read first.
  const isUnread = lastUp !== null && (salinity.readAt ?? -Infinity) < lastUp
  const waits = isUnread ? ['a reading after the last swap'] : unreadAfterTopOff(input, salinity.readAt)
  const total = swaps.reduce((sum, { change }) => sum + change.litres, 0)
  const { units } = settings
  const how = [
    step.how,
    `Mix each swap to ${measureText(replacementPsu, 'psu', units, 3)}, the refractometer decides: for all ${plural(swaps.length, 'swap')} ${measureText(total, 'L', units, 3)} with about ${measureText((total * replacementPsu * SALT_G_PER_L_PSU) / 1000, 'kg', units, 2)} of sea salt.`,
  ]
    .filter(Boolean)
    .join(' ')
  return swapDrafts(input, swaps.length > 0 ? { ...step, how } : step, swaps, waits, () =>
    isFull ? 'at most 0.002 a day' : 'when the days are full; at most 0.002 a day',
  )
}

/** Two readings a day until the salinity is back up; of missed ones the newest alone is told. */
function readSalinityTasks(input: TaskInput, step: Step): Draft[] {
  const { facts, settings, salinity, horizon } = input
  if (!salinity || input.observation) return []
  const { clock } = settings
  const { course, now, salinities } = facts
  const learnt = evaporationOf(input.journal, course.tankId, now)
  const lost = learnt ? `, about ${measureText(learnt.litresADay, 'L', settings.units, 2)} a day here` : ''
  const read = { ...step, how: [LEVEL_FIRST, step.how].filter(Boolean).join(' ') }
  const drafts: Draft[] = []
  let missed: Draft | null = null
  const half = (READ_EVERY_HOURS / 2) * MS_PER_HOUR
  const window = READ_WINDOW_HOURS * MS_PER_HOUR
  for (let day = clock.dayOf(Math.max(course.startedAt, now - 2 * half)); day <= horizon; day++)
    for (const part of [0, 1]) {
      const best = clock.instantAt(day, (course.readAtMinute + part * READ_EVERY_HOURS * 60) % (24 * 60))
      const isDone = salinities.some(({ ms }) => ms >= best - half && ms < best + half)
      if (best < course.startedAt || isDone) continue
      const draft: Draft = {
        ...base(input, read, 2 * dayNumber(input, day) + part),
        title: step.title,
        why: isRisen(salinity) ? 'it is over 1.010' : `every twelve hours: what evaporates raises it${lost}`,
        notBefore: best - window,
        best,
        notAfter: best + window,
      }
      // A reading after it makes good for a missed one.
      if (draft.notAfter < now) missed = salinities.some(({ ms }) => ms >= draft.notBefore) ? null : draft
      else drafts.push(draft)
    }
  const isDue = drafts.some(({ notBefore }) => notBefore <= now)
  return missed && !isDue ? [missed, ...drafts] : drafts
}

const isRisen = ({ clock }: SalinityState): boolean => clock.state === 'broken'

addSchedule('lower-salinity', lowerTasks)
addSchedule('raise-salinity', raiseTasks)
addSchedule('read-salinity', readSalinityTasks)
