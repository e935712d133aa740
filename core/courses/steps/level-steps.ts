import { rampOf } from '../../catalogue/treatments/treatments.ts'
import type { Step } from '../../catalogue/courses/definitions.ts'
import { animalById } from '../../household/animals.ts'
import { productById } from '../../household/shelf.ts'
import { dayText, MS_PER_DAY, MS_PER_HOUR } from '../../time/zone.ts'
import { momentBeside, spanText } from '../../time/words.ts'
import { measureText } from '../../words/measure.ts'
import { REST_AFTER_DEWORMING_HOURS } from '../outlook/preview.ts'
import { dilute, doseToward } from '../amounts/planned-dose.ts'
import { isTested } from '../tracks/level.ts'
import { base, dayNumber, drugWord, unreadAfterTopOff, type Draft, type DrugInput } from './step-input.ts'

/** A level this far under the target, as a share of the way down to the low, is topped up while it is still in range. */
const TOP_UP_SHARE = 0.5
/** How soon a level under its range has to be put back. */
const AT_ONCE_MS = MS_PER_HOUR
/** After a change that leaves the level in range, the redose can wait so long. */
const SAME_DAY_MS = 12 * MS_PER_HOUR
/** A daily reading is late so long after its time. */
const READING_LATE_MS = 3 * MS_PER_HOUR
/** Copper sulphate is tested every twelve hours (FA165), every form again within twelve of a low reading. */
const SHORT_INTERVAL_MS = 12 * MS_PER_HOUR
/** Copper that has just been dosed is tested once it has mixed. */
const MIXING_MS = MS_PER_HOUR

const fixed = (mgPerL: number) => mgPerL.toFixed(2)
const litresText = ({ settings }: DrugInput, litres: number) => measureText(litres, 'L', settings.units, 3)

const productOf = ({ journal, facts }: DrugInput) =>
  facts.course.productId === null ? null : productById(journal, facts.course.productId)

const ORDINALS = ['First', 'Second', 'Third', 'Fourth', 'Fifth', 'Sixth']

/** The next step up to the dose: its window counts from the step before, so a late step moves what follows. */
export function rampTask(input: DrugInput, step: Step): Draft | null {
  const { facts, known, ramp } = input
  const { course, volumeL, events } = facts
  if (ramp.next === null || volumeL === null) return null
  const level = ramp.levels[ramp.next]!
  const [least, most] = rampOf(course.dose.agent).intervalHours ?? [12, 24]
  const last = events.findLast(({ event }) => event.kind === 'dose')
  const begin = Math.max(course.startedAt, course.direct ? 0 : settledAt(input), dewormedAt(input))
  const window =
    last && ramp.next > 0
      ? {
          notBefore: last.at + least * MS_PER_HOUR,
          best: last.at + Math.min(most, Math.max(least, course.rampHours)) * MS_PER_HOUR,
          notAfter: last.at + most * MS_PER_HOUR,
        }
      : { notBefore: begin, best: begin, notAfter: begin + most * MS_PER_HOUR }
  const dose = doseToward(known?.mgPerL ?? 0, level, course.dose.high, volumeL, productOf(input))
  if (!dose) return null
  const lateBy = (facts.now - window.notAfter) / MS_PER_HOUR
  const count = ramp.levels.length
  return {
    ...base(input, step, ramp.next),
    title:
      count === 1 && !isTested(facts)
        ? `Dose ${drugWord(course)} to ${fixed(level)}`
        : `${ORDINALS[ramp.next] ?? 'Next'} step${count > 1 ? ` of ${count}` : ''}: ${drugWord(course)} to ${fixed(level)}`,
    why:
      lateBy > 0
        ? `${spanText(lateBy)} late: the steps after it, and the count, begin that much later`
        : last && ramp.next > 0
          ? `${least === most ? least : `${least} to ${most}`} h after the step before`
          : 'the course begins',
    ...window,
    dose,
  }
}

/** Where the dewormings go first the drug waits for them. */
function dewormedAt({ doses }: DrugInput): number {
  const first = doses.find(({ track }) => track.id === 'dewormings' && track.first.after === 'start')
  return first?.fullAt == null ? 0 : first.fullAt + REST_AFTER_DEWORMING_HOURS * MS_PER_HOUR
}

/** In the thirty-day school a newcomer is watched for a day before the first dose, unless it shows signs: quarantine.md 7.2. */
function settledAt({ journal, facts, seen }: DrugInput): number {
  const { course } = facts
  if (course.definition.ends !== 'clear' || seen.signs.length > 0) return 0
  const entries = course.animalIds.flatMap(
    (id) =>
      animalById(journal, id)?.stays.find(
        ({ tankId, to }) => tankId === course.tankId && (to === null || to > course.startedAt),
      )?.from ?? [],
  )
  return Math.max(0, ...entries.map((from) => from + MS_PER_DAY))
}

/** A tested level waits for its reading after a top-off; what nobody can test does not. */
function afterTopOff(input: DrugInput): Pick<Draft, 'waitsFor'> {
  if (!isTested(input.facts)) return {}
  const waitsFor = unreadAfterTopOff(input, input.known?.reading?.ms ?? null)
  return waitsFor.length > 0 ? { waitsFor } : {}
}

/** Putting the level back: at once where it is under the range, within the day after a change, gently where it has drifted. */
export function redoseTask(input: DrugInput, step: Step): Draft | null {
  const { facts, known, ramp } = input
  const { course, volumeL } = facts
  if (ramp.next !== null || volumeL === null || !known || input.observation) return null
  const { low, target, high } = course.dose
  const level = known.mgPerL
  // Without a test what was dosed is all that is known: a change before the last dose was made up for by it.
  const since = isTested(facts)
    ? known.since
    : known.since.slice(known.since.findLastIndex(({ event }) => event.kind === 'dose') + 1)
  const changes = since.filter(({ event }) => event.kind === 'water-change')
  const changed = changes.reduce(
    (sum, { event }) => sum + (event.kind === 'water-change' ? event.fraction * volumeL : 0),
    0,
  )
  const isLow = level < low - 1e-9
  const drifted = level < target - TOP_UP_SHARE * (target - low)
  const afterChange = changes.length > 0 && level < target * 0.97
  if (!isLow && !drifted && !afterChange) return null
  const dose = doseToward(level, target, high, volumeL, productOf(input))
  if (!dose) return null
  const cause = changes.at(-1) ?? null
  const from = cause?.at ?? known.reading?.ms ?? course.startedAt
  const why = cause
    ? `after the ${litresText(input, changed)} change${isLow ? `: the water is under ${fixed(low)}` : ''}`
    : isLow
      ? `the reading was under ${fixed(low)}`
      : `falling: ${fixed(level)}, nearer the low than the target`
  return {
    ...base(input, step, cause?.entryId ?? known.reading?.entryId ?? 'start'),
    title: isLow || cause ? `Redose ${drugWord(course)}` : `Top ${drugWord(course)} up`,
    why,
    notBefore: from,
    best: from,
    notAfter: from + (isLow ? AT_ONCE_MS : SAME_DAY_MS),
    dose,
    ...afterTopOff(input),
  }
}

/** A level over the band is brought down to the target by a matched change; the count goes on: quarantine.md 7.4. */
export function diluteTask(input: DrugInput, step: Step): Draft | null {
  const { known, facts } = input
  const { course, volumeL } = facts
  if (!known || volumeL === null || known.mgPerL <= course.dose.high + 1e-9 || input.observation) return null
  const change = dilute(known.mgPerL, course.dose.target, volumeL)
  if (!change) return null
  const from = known.since.findLast(({ event }) => event.kind === 'dose')?.at ?? known.reading?.ms ?? course.startedAt
  return {
    ...base(input, step, known.reading?.entryId ?? 'start'),
    title: `Change ${litresText(input, change.litres)}${change.times > 1 ? `, ${change.times} times` : ''}: ${drugWord(course)} is over the range`,
    why: `${fixed(known.mgPerL)} is over ${fixed(course.dose.high)}; the change brings it to ${fixed(change.toMgPerL)}. The count goes on. Watch for fast breath, dashing, hiding`,
    notBefore: from,
    best: from,
    notAfter: from + AT_ONCE_MS,
    change,
    ...afterTopOff(input),
  }
}

/** Readings: daily on the wall clock, copper sulphate every twelve hours, and again within twelve hours of a low one. */
export function readTasks(input: DrugInput, step: Step): Draft[] {
  const { facts, settings, observation, horizon } = input
  const { course, readings, otherTests, now } = facts
  if (observation || !isTested(facts)) return []
  const { clock } = settings
  const last = Math.max(...readings.map(({ ms }) => ms), ...otherTests, -Infinity)
  const lastReading = readings.at(-1)
  const drafts: Draft[] = []
  const lastWords = lastReading
    ? `last ${fixed(lastReading.mgPerL)}, ${momentBeside(lastReading.ms, now, clock)}`
    : 'none yet'
  const title = `Read ${drugWord(course)}`
  const read = (
    occasion: string | number,
    best: number,
    notBefore: number,
    notAfter: number,
    why: string,
    aliases: readonly string[] = [],
  ) => drafts.push({ ...base(input, step, occasion, aliases), title, why, best, notBefore, notAfter })
  const low =
    lastReading && lastReading.mgPerL < course.dose.low && last === lastReading.ms && input.ramp.next === null
      ? lastReading
      : null
  if (low)
    read(
      `low-${low.entryId}`,
      low.ms + SHORT_INTERVAL_MS / 2,
      low.ms + MIXING_MS,
      low.ms + SHORT_INTERVAL_MS,
      `again within 12 h of the low ${fixed(low.mgPerL)}`,
    )
  const end = clock.instantAt(horizon + 1)
  if (course.dose.agent === 'cu-ion') {
    const first = last === -Infinity ? course.startedAt : last
    for (let i = low ? 2 : 1; first + i * SHORT_INTERVAL_MS < end; i++) {
      const best = first + i * SHORT_INTERVAL_MS
      read(
        i === 1 ? `after-${lastReading?.entryId ?? 'start'}` : `at-${new Date(best).toISOString().slice(0, 13)}`,
        best,
        best - 2 * MS_PER_HOUR,
        best,
        i === 1 ? lastWords : 'every 12 h',
      )
    }
    return drafts
  }
  const today = clock.dayOf(now)
  const firstDay = Math.max(clock.dayOf(course.startedAt), last === -Infinity ? 0 : clock.dayOf(last) + 1, today)
  for (let day = firstDay; day <= horizon; day++) {
    const best = clock.instantAt(day, course.readAtMinute)
    if (best < course.startedAt) continue
    if (low && day === clock.dayOf(low.ms + SHORT_INTERVAL_MS / 2)) continue
    read(
      dayNumber(input, day),
      best,
      best - READING_LATE_MS,
      best + READING_LATE_MS,
      day === today ? lastWords : 'daily',
      [`${step.id}/${dayText(day)}`],
    )
  }
  return drafts
}

/** After carbon or resin came out of the water the level is not known until it is read. */
export function readAfterCarbon(input: DrugInput, step: Step): Draft | null {
  const { facts } = input
  const last = facts.restarts.findLast(({ event, ongoing }) => event === 'carbon-left-in' && !ongoing)
  const tested = Math.max(...facts.readings.map(({ ms }) => ms), ...facts.otherTests, -Infinity)
  if (!last || tested >= last.at || input.observation || !isTested(facts)) return null
  return {
    ...base(input, step, `after-carbon-${facts.restarts.filter(({ event }) => event === 'carbon-left-in').length}`),
    title: `Read ${drugWord(facts.course)}`,
    why: `carbon or resin ran in this water: how much ${drugWord(facts.course)} is left only a reading tells`,
    notBefore: last.at,
    best: last.at,
    notAfter: last.at + AT_ONCE_MS,
  }
}
