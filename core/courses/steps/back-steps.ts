import type { Step } from '../../catalogue/courses/definitions.ts'
import { animalLabel } from '../../household/animals.ts'
import { MS_PER_DAY } from '../../time/zone.ts'
import { dayOfLooks, WATCH_MINUTES } from '../../watching/short-looks.ts'
import { figures, listed, plural } from '../../words/numbers.ts'
import { comingBackOf, WATCHED_DAYS, type ComingBack } from '../outlook/restocking.ts'
import { ammoniaOnDays } from './care-steps.ts'
import { closeCountTask } from './fallow-steps.ts'
import { addSchedule } from './late-schedules.ts'
import { base, dayNumber, type Draft, type TaskInput } from './step-input.ts'

/** How the fish come back; null before the days are full, and where nobody comes back. */
const backOf = ({ journal, facts, fishless, settings }: TaskInput): ComingBack | null =>
  fishless?.state === 'full' && fishless.fullAt !== null
    ? comingBackOf(journal, facts, fishless.fullAt, settings.clock)
    : null

/** What of the coming back is not over yet, in words. */
function stillToCome({ facts, settings }: TaskInput, back: ComingBack | null): string[] {
  if (!back) return []
  const { clock } = settings
  const last = back.returned.at(-1)
  const watched = last === undefined ? null : clock.dayOf(last.at) + WATCHED_DAYS
  return [
    ...(watched !== null && clock.dayOf(facts.now) <= watched
      ? [`${plural(WATCHED_DAYS, 'day')} of looks and ammonia tests after the last fish`]
      : []),
    ...(back.returned.length > 0 && back.next.length > 0 ? ['the fish that are not back yet'] : []),
  ]
}

/** The next fish that may come back: proven ones, lightest first, no more at once than the filter bears. */
function bringBackTask(input: TaskInput, step: Step): Draft | null {
  const back = backOf(input)
  if (!back || back.next.length === 0) return null
  const { next, nextG, returned, from, best, unproven, fed } = back
  const names = next.map(animalLabel)
  const mass = nextG === null ? plural(next.length, 'fish', 'fish') : `${figures(nextG, 2)} g`
  const waiting = unproven.length > 0 ? `; not proven yet: ${listed(unproven.map(animalLabel))}` : ''
  return {
    ...base(input, step, returned.length),
    title: `Bring back ${listed(names)}`,
    why: `${mass}, step ${returned.length + 1}; fed on ${fed.days} of ${fed.of} days without fish${waiting}`,
    notBefore: from,
    best,
    notAfter: best + 14 * MS_PER_DAY,
    animalIds: next.map(({ id }) => id),
    toTankId: input.facts.course.tankId,
  }
}

/** Half an hour of watching a day for a week after each fish that came back. */
function backLookTasks(input: TaskInput, step: Step): Draft[] {
  const back = backOf(input)
  const last = back?.returned.at(-1)
  if (!back || !last) return []
  const { clock } = input.settings
  const { now } = input.facts
  const since = clock.dayOf(last.at)
  const drafts: Draft[] = []
  for (let day = Math.max(clock.dayOf(now), since + 1); day <= Math.min(since + WATCHED_DAYS, input.horizon); day++) {
    const { minutes } = dayOfLooks(back.looks.filter((look) => clock.dayOf(look.at) === day))
    if (minutes >= WATCH_MINUTES) continue
    drafts.push({
      ...base(input, step, dayNumber(input, day)),
      title: minutes === 0 ? 'Watch half an hour' : `Watch ${WATCH_MINUTES - minutes} min more`,
      why: `day ${day - since} of ${WATCHED_DAYS} after fish came back: breathing, eating, chasing, spots`,
      notBefore: clock.instantAt(day, 6 * 60),
      best: clock.instantAt(day, 19 * 60),
      notAfter: clock.instantAt(day + 1),
      animalIds: back.here,
    })
  }
  return drafts
}

/** Ammonia by kit and by a badge every day for a week after each fish that came back: quarantine.md 7.5. */
function backAmmoniaTasks(input: TaskInput, step: Step): Draft[] {
  const last = backOf(input)?.returned.at(-1)
  if (!last) return []
  const since = input.settings.clock.dayOf(last.at)
  return ammoniaOnDays(input, step, since + 1, since + WATCHED_DAYS)
}

/** The end of the days without fish, and of the coming back that they end with. */
function closeBackTask(input: TaskInput, step: Step): Draft | null {
  const draft = closeCountTask(input, step)
  const waits = draft ? stillToCome(input, backOf(input)) : []
  return draft && waits.length > 0 ? { ...draft, waitsFor: [...(draft.waitsFor ?? []), ...waits] } : draft
}

addSchedule('bring-back', bringBackTask)
addSchedule('back-looks', backLookTasks)
addSchedule('back-ammonia', backAmmoniaTasks)
addSchedule('close-back', closeBackTask)
