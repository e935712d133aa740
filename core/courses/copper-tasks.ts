import { rampOf } from '../catalogue/treatments/treatments.ts'
import { animalGroupById } from '../catalogue/animal-group.ts'
import { animalById, animalLabel, residentsBetween } from '../household/animals.ts'
import { readingsOf } from '../readings/latest.ts'
import { productById } from '../household/shelf.ts'
import { dayText, MS_PER_DAY, MS_PER_HOUR, type Day } from '../time/zone.ts'
import { momentBeside, spanText } from '../time/words.ts'
import { measureText } from '../words/measure.ts'

import { dilute, doseToward } from './planned-dose.ts'
import { clearTask, finishTask, moveTask } from './copper-end-tasks.ts'
import { base, type Draft, type TaskInput } from './copper-task-input.ts'
import { asItStands } from '../schedule/task.ts'
import { byKindAndUrgency, type CourseTask } from './tasks.ts'

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
const WATCH = { from: 6 * 60, best: 19 * 60, until: 23 * 60 + 59 }

const fixed = (mgPerL: number) => mgPerL.toFixed(2)
const litresText = ({ settings }: TaskInput, litres: number) => measureText(litres, 'L', settings.units, 3)

const productOf = ({ journal, facts }: TaskInput) =>
  facts.course.productId === null ? null : productById(journal, facts.course.productId)

const ORDINALS = ['First', 'Second', 'Third', 'Fourth', 'Fifth', 'Sixth']

/** The next step up to the dose: its window counts from the step before, so a late step moves what follows. */
function rampTask(input: TaskInput): Draft | null {
  const { facts, known, ramp } = input
  const { course, volumeL, events } = facts
  if (ramp.next === null || volumeL === null) return null
  const level = ramp.levels[ramp.next]!
  const [least, most] = rampOf(course.dose.agent).intervalHours ?? [12, 24]
  const last = events.findLast(({ event }) => event.kind === 'dose')
  const begin = Math.max(course.startedAt, course.direct ? 0 : settledAt(input))
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
    ...base(input, 'ramp', String(ramp.next)),
    title: `${ORDINALS[ramp.next] ?? 'Next'} step${count > 1 ? ` of ${count}` : ''}: copper to ${fixed(level)}`,
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

/** In the thirty-day school a newcomer is watched for a day before the first dose, unless it shows signs: quarantine.md 7.2. */
function settledAt({ journal, facts, seen }: TaskInput): number {
  const { course } = facts
  if (course.length !== 'thirty' || seen.signs.length > 0) return 0
  const entries = course.animalIds.flatMap(
    (id) =>
      animalById(journal, id)?.stays.find(
        ({ tankId, to }) => tankId === course.tankId && (to === null || to > course.startedAt),
      )?.from ?? [],
  )
  return Math.max(0, ...entries.map((from) => from + MS_PER_DAY))
}

/** Putting the level back: at once where it is under the range, within the day after a change, gently where it has drifted. */
function redoseTask(input: TaskInput): Draft | null {
  const { facts, known, ramp } = input
  const { course, volumeL } = facts
  if (ramp.next !== null || volumeL === null || !known || input.observation) return null
  const { low, target, high } = course.dose
  const level = known.mgPerL
  const changes = known.since.filter(({ event }) => event.kind === 'water-change')
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
    ...base(input, 'redose', cause?.entryId ?? known.reading?.entryId ?? 'start'),
    title: isLow || cause ? 'Redose copper' : 'Top copper up',
    why,
    notBefore: from,
    best: from,
    notAfter: from + (isLow ? AT_ONCE_MS : SAME_DAY_MS),
    dose,
  }
}

/** A level over the band is brought down to the target by a matched change; the count goes on: quarantine.md 7.4. */
function diluteTask(input: TaskInput): Draft | null {
  const { known, facts } = input
  const { course, volumeL } = facts
  if (!known || volumeL === null || known.mgPerL <= course.dose.high + 1e-9 || input.observation) return null
  const change = dilute(known.mgPerL, course.dose.target, volumeL)
  if (!change) return null
  const from = known.since.findLast(({ event }) => event.kind === 'dose')?.at ?? known.reading?.ms ?? course.startedAt
  return {
    ...base(input, 'dilute', known.reading?.entryId ?? 'start'),
    title: `Change ${litresText(input, change.litres)}${change.times > 1 ? `, ${change.times} times` : ''}: copper is over the range`,
    why: `${fixed(known.mgPerL)} is over ${fixed(course.dose.high)}; the change brings it to ${fixed(change.toMgPerL)}. The count goes on. Watch for fast breath, dashing, hiding`,
    notBefore: from,
    best: from,
    notAfter: from + AT_ONCE_MS,
    change,
  }
}

/** Readings: daily on the wall clock, copper sulphate every twelve hours, and again within twelve hours of a low one. */
function readTasks(input: TaskInput, horizon: Day): Draft[] {
  const { facts, settings, observation } = input
  const { course, readings, otherTests, now } = facts
  if (observation) return []
  const { clock } = settings
  const last = Math.max(...readings.map(({ ms }) => ms), ...otherTests, -Infinity)
  const lastReading = readings.at(-1)
  const drafts: Draft[] = []
  const lastWords = lastReading
    ? `last ${fixed(lastReading.mgPerL)}, ${momentBeside(lastReading.ms, now, clock)}`
    : 'none yet'
  const read = (occasion: string, best: number, notBefore: number, notAfter: number, why: string) =>
    drafts.push({ ...base(input, 'read', occasion), title: 'Read copper', why, best, notBefore, notAfter })
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
    read(dayText(day), best, best - READING_LATE_MS, best + READING_LATE_MS, day === today ? lastWords : 'daily')
  }
  return drafts
}

/** Days after the start on which ammonia is tested daily, both ways: quarantine.md 1. */
const AMMONIA_DAYS = 14

/** Total ammonia by kit and free ammonia by a badge, daily for the first fourteen days: quarantine.md 1 and 8. */
function ammoniaTasks(input: TaskInput, horizon: Day): Draft[] {
  const { facts, settings, journal, observation } = input
  const { course, now } = facts
  if (observation) return []
  const { clock } = settings
  const startDay = clock.dayOf(course.startedAt)
  const testedOn = (parameter: string, day: Day) =>
    readingsOf(journal, course.tankId, parameter).some(({ at }) => at <= now && clock.dayOf(at) === day)
  const drafts: Draft[] = []
  for (let day = Math.max(startDay, clock.dayOf(now)); day <= Math.min(horizon, startDay + AMMONIA_DAYS - 1); day++) {
    const missing = [
      ...(testedOn('tan', day) ? [] : ['total ammonia by kit']),
      ...(testedOn('nh3', day) ? [] : ['free ammonia by a badge']),
    ]
    const best = clock.instantAt(day, course.readAtMinute)
    if (missing.length === 0 || best < course.startedAt) continue
    drafts.push({
      ...base(input, 'ammonia', dayText(day)),
      title: 'Test ammonia',
      why: `${missing.join(', and ')}: one method alone misreads or sticks`,
      notBefore: best - READING_LATE_MS,
      best,
      notAfter: clock.instantAt(day + 1),
    })
  }
  return drafts
}

/** After carbon or resin came out of the water the level is not known until it is read. */
function readAfterCarbon(input: TaskInput): Draft | null {
  const { facts } = input
  const last = facts.restarts.findLast(({ event, ongoing }) => event === 'carbon-left-in' && !ongoing)
  const tested = Math.max(...facts.readings.map(({ ms }) => ms), ...facts.otherTests, -Infinity)
  if (!last || tested >= last.at || input.observation) return null
  return {
    ...base(input, 'read', `after-carbon-${facts.restarts.filter(({ event }) => event === 'carbon-left-in').length}`),
    title: 'Read copper',
    why: 'carbon or resin ran in this water: how much copper is left only a reading tells',
    notBefore: last.at,
    best: last.at,
    notAfter: last.at + AT_ONCE_MS,
  }
}

/** Fish that live in the course's water and are not of it: each joins it, or goes. */
function joinTasks(input: TaskInput): Draft[] {
  const { facts, journal, observation } = input
  const { course, now } = facts
  if (observation) return []
  return residentsBetween(journal, course.tankId, now, now)
    .filter(({ id, group }) => animalGroupById(group)?.kind === 'fish' && !course.animalIds.includes(id))
    .map((animal) => {
      const came = animal.stays.findLast(({ tankId }) => tankId === course.tankId)!.from
      return {
        ...base(input, 'join', animal.id),
        title: `Does ${animalLabel(animal)} join the course?`,
        why: 'it is in the medicine: it is dosed, watched and moved with the others, or it goes to other water',
        notBefore: came,
        best: came,
        notAfter: came + MS_PER_DAY,
        animalIds: [animal.id],
      }
    })
}

/** Half an hour of watching a day, quarantine.md 1; a sighting of any of the animals that day is the watch. */
function watchTasks(input: TaskInput, horizon: Day): Draft[] {
  const { facts, settings, seen, living } = input
  const { clock } = settings
  const today = clock.dayOf(facts.now)
  const drafts: Draft[] = []
  const lastLook = seen.looks.at(-1)
  if (living.length === 0) return drafts
  for (let day = Math.max(today, clock.dayOf(facts.course.startedAt)); day <= horizon; day++) {
    if (lastLook !== undefined && clock.dayOf(lastLook) >= day) continue
    const at = (minute: number) => clock.instantAt(day, minute)
    drafts.push({
      ...base(input, 'watch', dayText(day)),
      tankId: input.observation?.tankId ?? facts.course.tankId,
      title: 'Watch half an hour',
      why: 'in several sessions at different hours; breathing, eating, signs',
      notBefore: at(WATCH.from),
      best: at(WATCH.best),
      notAfter: at(WATCH.until),
      animalIds: living,
    })
  }
  return drafts
}

/**
 * Everything due in a copper course up to a day, as it stands now: what is done is gone, late work has moved what depends
 * on it.
 * @param horizon last local day to look at
 */
export function copperTasks(input: TaskInput, horizon: Day): CourseTask[] {
  const { journal, facts, clock, observation } = input
  if (facts.course.ended) return []
  const drafts = [
    rampTask(input),
    redoseTask(input),
    diluteTask(input),
    readAfterCarbon(input),
    ...joinTasks(input),
    ...readTasks(input, horizon),
    ...ammoniaTasks(input, horizon),
    ...watchTasks(input, horizon),
    moveTask(input),
    clearTask(input),
    finishTask(input),
  ].filter((draft) => draft !== null)
  // What belongs to holding the level ends with it.
  const until =
    observation || clock.completesAt === null ? Infinity : Math.max(clock.completesAt, facts.now + MS_PER_DAY)
  return drafts
    .filter(({ kind, best }) => (kind !== 'read' && kind !== 'ammonia') || best <= until)
    .flatMap((draft) => asItStands(journal, draft, facts.now) ?? [])
    .sort(byKindAndUrgency)
}
