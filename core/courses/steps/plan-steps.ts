import type { Definition, Step } from '../../catalogue/courses/definitions.ts'
import { WHITE_STAGE } from '../../catalogue/patch-stage.ts'
import { residentsOf } from '../../household/animals.ts'
import { tankById } from '../../household/tanks.ts'
import { asItStands } from '../../schedule/task.ts'
import { trustedReadingsOf } from '../../readings/doubtful.ts'
import { minuteOfTime, MS_PER_DAY, MS_PER_HOUR, type Day } from '../../time/zone.ts'
import { measureText } from '../../words/measure.ts'
import type { RuleState } from '../rules/rules.ts'
import { dilute } from '../amounts/planned-dose.ts'
import { tierOf } from '../amounts/planned-session.ts'
import { amountOf } from './plan-amounts.ts'
import { base, restoreWords, withHow, type Draft, type TaskInput } from './step-input.ts'

/** Windows of what comes again after two days or more: courses.md. */
const EARLY_HOURS = 12
const LATE_HOURS = 24

const SHRIMP = new Set(['shrimp', 'fw-shrimp', 'shrimp-crab-snail'])

/** Days between two occasions: every other day where the animals ask for it. */
function everyDays({ journal, facts }: TaskInput, due: { every?: number; alternateWith?: string }): number {
  const every = due.every ?? 0
  const isThere =
    due.alternateWith === 'shrimp' && residentsOf(journal, facts.course.tankId).some(({ group }) => SHRIMP.has(group))
  return isThere ? Math.max(2, every) : every
}

/** Whether an occasion's own entry is in the journal: a count, a session, a change within its days. */
function isDone(input: TaskInput, step: Step, from: number, until: number): boolean {
  const { facts, journal } = input
  const within = ({ at }: { at: number }) => at >= from && at < until
  if (step.act === 'count') return facts.counts.some((count) => count.measure === step.measure && within(count))
  if (step.act === 'dose') return facts.sessions.some(within)
  if (step.act === 'read')
    return (step.parameters ?? []).every((parameter) =>
      trustedReadingsOf(journal, facts.course.tankId, parameter).some((line) => within(line) && line.at <= facts.now),
    )
  if (step.act === 'change')
    return journal
      .ofKind('water-change')
      .some((line) => line.content.tankId === facts.course.tankId && within(line) && line.at <= facts.now)
  return false
}

/** The local day on which the treatment of a plan ends: as it was marked, else as planned. */
export function treatmentEnd({ facts, settings }: Pick<TaskInput, 'facts' | 'settings'>): {
  day: Day
  isMarked: boolean
} {
  const { clock } = settings
  const marked = facts.endedTreatmentAt
  return marked === null
    ? { day: clock.dayOf(facts.course.startedAt) + facts.course.requiredDays, isMarked: false }
    : { day: clock.dayOf(marked), isMarked: true }
}

/** Whether a rule stops a plan, or cannot see whether it should. */
export const isStopping = ({ role, state, blindSince }: RuleState): boolean =>
  role === 'stop' && (state === 'holds' || blindSince !== undefined)

/** Rules that stop a plan, or that cannot see whether they should, in words: doses wait for them. */
const stopsOf = ({ rules }: TaskInput): string[] => rules.filter(isStopping).map(({ rule }) => rule)

type DaysDue = Exclude<Step['due'], { by: unknown }>

/** Days of a step's occasions, counted from the day that it is anchored to, with the last one. */
function daysOf(input: TaskInput, due: DaysDue): { anchor: Day; last: number; why: (day: number) => string } {
  const startDay = input.settings.clock.dayOf(input.facts.course.startedAt)
  const end = treatmentEnd(input)
  if (due.of === 'end')
    return {
      anchor: end.day,
      last: typeof due.until === 'number' ? due.until : due.day,
      why: (day) => (day === 0 ? 'as it ends' : `${day} d after its end`),
    }
  return {
    anchor: startDay,
    last:
      due.until === 'end'
        ? // Past its planned day and not ended, it goes on: a dark tank is tested every day.
          Math.max(end.day, input.settings.clock.dayOf(input.facts.now)) - startDay
        : Math.max(
            due.until ?? due.day,
            due.goesOnTo === undefined
              ? -Infinity
              : Math.min(due.goesOnTo, input.settings.clock.dayOf(input.facts.now) - startDay),
          ),
    why: (day) => `day ${day}`,
  }
}

/** A look twice a day is counted in hours from the start: so much earlier, and so much later (EA). */
const HALF_DAY_EARLY_HOURS = 2
const HALF_DAY_LATE_HOURS = 6

/** The minute of the day that hangs on the tank's lights; null where the step does not, or nobody said when they come on. */
function lightMinute({ facts: { course }, journal }: TaskInput, { light }: DaysDue): number | null {
  if (!light) return null
  const tank = tankById(journal, course.tankId)
  const time = light.of === 'on' ? tank?.lightsOn : tank?.lightsOff
  return time === undefined ? null : (minuteOfTime(time) + light.hours * 60 + MINUTES_PER_DAY) % MINUTES_PER_DAY
}

const MINUTES_PER_DAY = 24 * 60

type DayWindow = ReturnType<typeof windowOf>

/** A daily dose is no sooner than a day after the one before: within it both would count together toward the cap. */
function afterLastDose({ facts }: TaskInput, { act, due, amount }: Step, window: DayWindow): DayWindow {
  const last = facts.sessions.at(-1)
  if (!last || act !== 'dose' || amount === 'silicate-loop' || !('every' in due) || due.every !== 1) return window
  const notBefore = last.at + MS_PER_DAY
  return last.at < window.dayFrom && notBefore > window.notBefore && notBefore <= window.notAfter
    ? { ...window, notBefore, best: Math.max(window.best, notBefore) }
    : window
}

/** When an occasion is due: by the hour where they are closer than a day, else on its local day: courses.md, windows. */
function windowOf(input: TaskInput, due: DaysDue, day: number, local: Day, every: number) {
  const {
    facts: { course },
    settings: { clock },
  } = input
  if (every > 0 && every < 1) {
    const best = course.startedAt + day * MS_PER_DAY
    const notBefore = best - HALF_DAY_EARLY_HOURS * MS_PER_HOUR
    return {
      best,
      notBefore,
      notAfter: best + HALF_DAY_LATE_HOURS * MS_PER_HOUR,
      dayFrom: notBefore,
      dayUntil: Math.min(best + (every * MS_PER_DAY) / 2, notBefore + every * MS_PER_DAY),
    }
  }
  const best = clock.instantAt(local, lightMinute(input, due) ?? course.readAtMinute)
  const isSpaced = every >= 2
  const firstDay = clock.dayOf(course.startedAt)
  // What belongs before the start can be done on the first day as well: it is never born late.
  if (due.of !== 'end' && local < firstDay)
    return {
      best,
      notBefore: clock.instantAt(local),
      notAfter: clock.instantAt(firstDay + 1),
      dayFrom: clock.instantAt(local),
      dayUntil: clock.instantAt(firstDay + 1),
    }
  // What is done before the next one's day, but in its window, is the next one: an entry is of one occasion only.
  const next = clock.instantAt(local + Math.max(1, Math.floor(every)))
  return {
    best,
    notBefore: isSpaced ? best - EARLY_HOURS * MS_PER_HOUR : clock.instantAt(local),
    notAfter: isSpaced ? best + LATE_HOURS * MS_PER_HOUR : clock.instantAt(local + 1),
    dayFrom: clock.instantAt(local),
    dayUntil: isSpaced ? Math.min(next, best + every * MS_PER_DAY - EARLY_HOURS * MS_PER_HOUR) : next,
  }
}

/** What treats: it waits for what has to be done before. */
const FIRST_ACTS: ReadonlySet<Step['act']> = new Set(['dose', 'bench'])

/** Titles of what belongs before a plan's start and is still open: shrimp and snails out, carbon out, the tests that later ones are held against. */
function preparationsOpen(input: TaskInput): string[] {
  const { facts, settings } = input
  const horizon = settings.clock.dayOf(facts.course.startedAt)
  return facts.course.definition.steps
    .filter(({ protects }) => protects)
    .flatMap((step) =>
      planTasks({ ...input, horizon }, step)
        .flatMap((draft) => asItStands(input.journal, draft, facts.now)?.title ?? [])
        .slice(-1),
    )
}

/** Since when every treated patch has been white; null while one is not, and where nothing is scored. */
function whiteSince(series: TaskInput['series']): number | null {
  const treated = series?.parts.filter(({ part }) => !part.control) ?? []
  const since = treated.map(({ scores }) => {
    const colored = scores.findLastIndex(({ value }) => value < WHITE_STAGE)
    return scores[colored + 1]?.at ?? null
  })
  return since.length === 0 || since.some((at) => at === null) ? null : Math.max(...since.map((at) => at!))
}

/** The occasions of a step of a plan, on days counted from its start or its end: outbreaks.md 5.2. */
export function planTasks(input: TaskInput, step: Step): Draft[] {
  const { due } = step
  if ('by' in due) return []
  const { facts, horizon, series, settings } = input
  // With the treatment over its steps are over, also those that nobody did.
  if (facts.endedTreatmentAt !== null && due.of !== 'end') return []
  const { clock } = settings
  const { course, now } = facts
  const every = everyDays(input, due)
  const { anchor, last, why } = daysOf(input, due)
  const drafts: Draft[] = []
  // What comes after the treatment waits for its end to be marked.
  const waitsForEnd = due.of === 'end' && facts.endedTreatmentAt === null && hasEndMark(course.definition)
  const waitsFor = [
    ...(step.act === 'dose' ? stopsOf(input) : []),
    ...(waitsForEnd ? ['the end of the treatment'] : []),
    ...(FIRST_ACTS.has(step.act) && due.of !== 'end' && due.day >= 0 ? preparationsOpen(input) : []),
  ]
  let latest: Draft | null = null
  for (let day = due.day, ordinal = 0; day <= last; day += every, ordinal++) {
    // Half days of a pace such as twice a week fall on the day before.
    const local = anchor + Math.floor(day)
    if (local > horizon) break
    const { best, notBefore, notAfter, dayFrom, dayUntil } = afterLastDose(
      input,
      step,
      windowOf(input, due, day, local, every),
    )
    const draft: Draft = {
      ...base(input, step, ordinal),
      title: step.title,
      why:
        every === 0
          ? why(day)
          : every === 1
            ? `${why(day)}, every day`
            : `${why(Math.floor(day))}, every ${every} days`,
      notBefore,
      best,
      notAfter,
      ...(step.measure && { measure: step.measure }),
      ...(step.each && { each: step.each }),
      ...(step.parameters && { parameters: step.parameters }),
      ...(step.procedure !== undefined && { procedure: step.procedure }),
      ...(step.page !== undefined && { page: step.page }),
      ...amountOf(input, step),
      ...(waitsFor.length > 0 && { waitsFor }),
    }
    // What is done once may be done late: it counts at any time from its window on.
    if (!isDone(input, step, Math.min(notBefore, dayFrom), every === 0 ? Infinity : dayUntil)) {
      // Of missed occasions only the newest is told; what waits for an end that has not come is not missed.
      const isPast =
        local < clock.dayOf(course.startedAt) && every > 0 ? clock.instantAt(local + 1) <= now : notAfter < now
      if (isPast && (every > 0 || waitsForEnd)) latest = waitsForEnd ? null : draft
      else drafts.push(draft)
    } else latest = null
    if (every === 0) break
  }
  // Done late, it counts for the one that was missed.
  if (latest && isDone(input, step, latest.notBefore, Infinity)) latest = null
  // With every patch white there is nothing left to dose.
  const white = step.act === 'dose' ? whiteSince(series) : null
  if (white !== null && (!step.onceMoreWhenWhite || facts.sessions.some(({ at }) => at > white))) return []
  const hasNext = drafts.some(({ notBefore }) => notBefore <= now)
  // A missed test is late until it is made: the next one makes good for both.
  if (latest && step.act === 'read') return [latest, ...drafts.filter(({ notBefore }) => notBefore > now)]
  return [...(latest && !hasNext ? [latest] : []), ...drafts]
}

/** A tier that asks for a change is not over before it: so soon after the session, and no later than this. */
const STILL_MS = 20 * 60_000
const CHANGE_LATE_HOURS = 2

/** After a session of a tier that leaves too much: the change that brings what is left down, further-schools.md 4. */
export function tierChangeTasks(input: TaskInput, step: Step): Draft[] {
  const { facts, journal, settings } = input
  const { course, volumeL, sessions, now } = facts
  const tier = tierOf(course.options['tier'])
  const last = sessions.at(-1)
  if (tier.leaveMgPerL === null || volumeL === null || !last) return []
  const dosed = last.massMg === null ? tier.capMgPerL : last.massMg / volumeL
  const change = dilute(dosed, tier.leaveMgPerL, volumeL)
  if (!change) return []
  const isChanged = journal
    .ofKind('water-change')
    .some(({ content, at }) => content.tankId === course.tankId && at >= last.at && at <= now)
  if (isChanged) return []
  const best = last.at + STILL_MS
  return [
    {
      ...base(input, step, last.entryId),
      title: `${step.title}: ${measureText(change.litres, 'L', settings.units, 3)}${change.times > 1 ? `, ${change.times} times` : ''}`,
      why: `${dosed.toFixed(2)} mg/L were dosed; at most ${tier.leaveMgPerL} may stay`,
      notBefore: last.at,
      best,
      notAfter: last.at + CHANGE_LATE_HOURS * MS_PER_HOUR,
      change,
    },
  ]
}

const hasEndMark = ({ steps }: Definition): boolean => steps.some(({ act }) => act === 'mark')

/** The end of the treatment of a plan, after which its last steps count: as planned, or at once when a stop or its success holds. */
export function endMarkTask(input: TaskInput, step: Step): Draft | null {
  const { facts, rules, settings } = input
  if (facts.endedTreatmentAt !== null) return null
  const { clock } = settings
  const ends = rules.find(({ role, state }) => (role === 'stop' || role === 'success') && state === 'holds')
  const planned = clock.instantAt(treatmentEnd(input).day, facts.course.readAtMinute)
  const at = ends ? Math.min(planned, facts.now) : planned
  return {
    ...base(input, step, 0),
    title: step.title,
    why: ends ? ends.rule : `day ${facts.course.requiredDays}, as planned`,
    notBefore: ends ? clock.instantAt(clock.dayOf(facts.now)) : clock.instantAt(treatmentEnd(input).day),
    best: at,
    notAfter: clock.instantAt(treatmentEnd(input).day + 1),
    ...(ends && { rule: ends.id }),
  }
}

/** The last local day of what follows the treatment of a plan; its usual last day where nothing does. */
function lastDay(input: TaskInput): Day {
  const { facts, settings } = input
  const { course } = facts
  const after = course.definition.steps.flatMap(({ due }) =>
    !('by' in due) && due.of === 'end' ? [typeof due.until === 'number' ? due.until : due.day] : [],
  )
  return after.length > 0
    ? treatmentEnd(input).day + Math.max(...after)
    : settings.clock.dayOf(course.startedAt) + course.requiredDays
}

/** The end of a plan: once its success rule holds, or its days are over. */
export function closePlanTask(input: TaskInput, step: Step): Draft | null {
  const { facts, rules, settings } = input
  const { course } = facts
  const success = rules.find(({ role }) => role === 'success')
  const isReached = success?.state === 'holds'
  const { clock } = settings
  const end = clock.instantAt(lastDay(input), course.readAtMinute)
  // Reached with the last score: from then on it can be finished, where nothing has to follow.
  const isFollowed = hasEndMark(course.definition)
  const at = isReached && !isFollowed ? Math.min(facts.counts.at(-1)?.at ?? end, end) : end
  const closing = base(input, withHow(step, restoreWords(input)), 0)
  // What the rules that lead on say is next, where one of them holds.
  const leadsOn =
    rules.find(({ role, state }) => role === 'escalate' && state === 'holds')?.then ?? course.definition.notReached
  return {
    ...closing,
    title: step.title,
    why: isReached
      ? 'what it was for is reached'
      : isFollowed
        ? 'what follows the treatment is over'
        : `day ${course.requiredDays}: its usual end`,
    ...(!isReached && leadsOn ? { how: [`Not reached: ${leadsOn}.`, closing.how].filter(Boolean).join(' ') } : {}),
    notBefore: at,
    best: at,
    notAfter: at + 7 * 24 * MS_PER_HOUR,
  }
}
