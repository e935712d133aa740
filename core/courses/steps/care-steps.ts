import { animalGroupById } from '../../catalogue/animal-group.ts'
import type { Step } from '../../catalogue/courses/definitions.ts'
import { animalLabel, residentsBetween } from '../../household/animals.ts'
import { dayOfLooks, WATCH_MINUTES } from '../../watching/short-looks.ts'
import { trustedReadingsOf } from '../../readings/doubtful.ts'
import { dayText, MS_PER_DAY, MS_PER_HOUR, type Day } from '../../time/zone.ts'
import { base, dayNumber, type Draft, type TaskInput } from './step-input.ts'

/** What is daily is late so long after its time. */
const READING_LATE_MS = 3 * MS_PER_HOUR
const WATCH = { from: 6 * 60, best: 19 * 60, until: 23 * 60 + 59 }

/** Days after the start on which ammonia is tested daily, both ways: quarantine.md 1. */
const AMMONIA_DAYS = 14

/** Total ammonia by kit and free ammonia by a badge, daily for the first fourteen days: quarantine.md 1 and 8. */
export function ammoniaTasks(input: TaskInput, step: Step): Draft[] {
  if (input.observation) return []
  const startDay = input.settings.clock.dayOf(input.facts.course.startedAt)
  return ammoniaOnDays(input, step, startDay, startDay + AMMONIA_DAYS - 1)
}

/** Both tests of ammonia on each local day from one to another, today at the soonest, where they were not done yet. */
export function ammoniaOnDays(input: TaskInput, step: Step, from: Day, until: Day): Draft[] {
  const { facts, settings, journal, horizon, rounds } = input
  const tankId = rounds?.tankId ?? facts.course.tankId
  const { course, now } = facts
  const { clock } = settings
  const testedOn = (parameter: string, day: Day) =>
    trustedReadingsOf(journal, tankId, parameter).some(({ at }) => at <= now && clock.dayOf(at) === day)
  const drafts: Draft[] = []
  for (let day = Math.max(from, clock.dayOf(now)); day <= Math.min(horizon, until); day++) {
    const missing = [
      ...(testedOn('tan', day) ? [] : ['total ammonia by kit']),
      ...(testedOn('nh3', day) ? [] : ['free ammonia by a badge']),
    ]
    const best = clock.instantAt(day, course.readAtMinute)
    if (missing.length === 0 || best < course.startedAt) continue
    drafts.push({
      ...base(input, step, dayNumber(input, day), [`${step.id}/${dayText(day)}`]),
      title: 'Test ammonia',
      why: `${missing.join(', and ')}: one method alone misreads or sticks`,
      notBefore: best - READING_LATE_MS,
      best,
      notAfter: clock.instantAt(day + 1),
    })
  }
  return drafts
}

/** Fish that live in the course's water and are not of it: each joins it, or goes. */
export function joinTasks(input: TaskInput, step: Step): Draft[] {
  const { facts, journal, observation, rounds } = input
  const tankId = rounds?.tankId ?? facts.course.tankId
  const { course, now } = facts
  if (observation) return []
  return residentsBetween(journal, tankId, now, now)
    .filter(({ id, group }) => animalGroupById(group)?.kind === 'fish' && !course.animalIds.includes(id))
    .map((animal) => {
      const came = animal.stays.findLast((stay) => stay.tankId === tankId)!.from
      return {
        ...base(input, step, animal.id),
        title: `Does ${animalLabel(animal)} join the course?`,
        why: rounds
          ? 'it is in their water: it is moved and watched with the others, or it goes to other water'
          : 'it is in the medicine: it is dosed, watched and moved with the others, or it goes to other water',
        notBefore: came,
        best: came,
        notAfter: came + MS_PER_DAY,
        animalIds: [animal.id],
      }
    })
}

/** Half an hour of watching a day, quarantine.md 1; a sighting of any of the animals that day is the watch. */
export function lookTasks(input: TaskInput, step: Step): Draft[] {
  const { facts, settings, seen, living, horizon, rounds } = input
  const { clock } = settings
  const today = clock.dayOf(facts.now)
  const drafts: Draft[] = []
  if (living.length === 0) return drafts
  for (let day = Math.max(today, clock.dayOf(facts.course.startedAt)); day <= horizon; day++) {
    const { minutes, next } = dayOfLooks(seen.watching.filter((look) => clock.dayOf(look.at) === day))
    if (minutes >= WATCH_MINUTES) continue
    const at = (minute: number) => clock.instantAt(day, minute)
    drafts.push({
      ...base(input, step, dayNumber(input, day), [`watch/${dayText(day)}`, `look/${dayText(day)}`]),
      tankId: input.observation?.tankId ?? rounds?.tankId ?? facts.course.tankId,
      title: minutes === 0 ? 'Watch half an hour' : `Watch ${WATCH_MINUTES - minutes} min more`,
      why:
        minutes === 0 || next === null
          ? 'in several sessions at different hours; breathing, eating, signs'
          : `next: ${next.name.toLowerCase()}, ${next.minutes} min`,
      notBefore: at(WATCH.from),
      best: at(WATCH.best),
      notAfter: at(WATCH.until),
      animalIds: living,
    })
  }
  return drafts
}

/** Halves of a day in which a resting fish is looked at, minutes since midnight. */
const HALVES = [
  { from: 0, until: 14 * 60 },
  { from: 14 * 60, best: WATCH.best, until: 24 * 60 - 1 },
] as const

/** A look in the morning and one in the evening: further-schools.md 10, rest. */
export function lookTwiceTasks(input: TaskInput, step: Step): Draft[] {
  const { facts, settings, seen, living, horizon } = input
  const { clock } = settings
  const { course, now } = facts
  const drafts: Draft[] = []
  for (let day = Math.max(clock.dayOf(now), clock.dayOf(course.startedAt)); day <= horizon; day++)
    HALVES.forEach((half, part) => {
      const [from, until] = [clock.instantAt(day, half.from), clock.instantAt(day, half.until)]
      const best = clock.instantAt(day, 'best' in half ? half.best : course.readAtMinute)
      if (until < course.startedAt || seen.looks.some((at) => at >= from && at <= until)) return
      drafts.push({
        ...base(input, step, 2 * dayNumber(input, day) + part),
        title: step.title,
        why: part === 0 ? 'in the morning' : 'in the evening',
        notBefore: from,
        best,
        notAfter: until,
        animalIds: living,
      })
    })
  // Of two halves that passed today the newest alone is told.
  const late = drafts.filter(({ notAfter }) => notAfter < now)
  return drafts.filter((draft) => draft.notAfter >= now || draft === late.at(-1))
}
