import type { Step } from '../../catalogue/courses/definitions.ts'
import { WHITE_STAGE } from '../../catalogue/patch-stage.ts'
import { residentsOf } from '../../household/animals.ts'
import { productById } from '../../household/shelf.ts'
import { readingsOf } from '../../readings/latest.ts'
import { MS_PER_HOUR } from '../../time/zone.ts'
import { measureText } from '../../words/measure.ts'
import { dilute } from '../amounts/planned-dose.ts'
import { sessionCap, tierOf } from '../amounts/planned-session.ts'
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
      readingsOf(journal, facts.course.tankId, parameter).some((line) => within(line) && line.at <= facts.now),
    )
  if (step.act === 'change')
    return journal
      .ofKind('water-change')
      .some((line) => line.content.tankId === facts.course.tankId && within(line) && line.at <= facts.now)
  return false
}

/** The occasions of a step of a plan, on days counted from its start: outbreaks.md 5.2. */
export function planTasks(input: TaskInput, step: Step): Draft[] {
  const { due } = step
  if ('by' in due) return []
  const { facts, settings, horizon, rules, series } = input
  const { clock } = settings
  const { course, now } = facts
  const startDay = clock.dayOf(course.startedAt)
  const every = everyDays(input, due)
  const until = due.until ?? due.day
  const drafts: Draft[] = []
  const stops = rules.filter(({ role, state }) => role === 'stop' && state === 'holds').map(({ rule }) => rule)
  const waitsFor = step.act === 'dose' ? stops : []
  let latest: Draft | null = null
  for (let day = due.day, ordinal = 0; day <= until; day += every, ordinal++) {
    // Half days of a pace such as twice a week fall on the day before.
    const local = startDay + Math.floor(day)
    if (local > horizon) break
    const best = clock.instantAt(local, course.readAtMinute)
    const isSpaced = every >= 2
    const notBefore = isSpaced ? best - EARLY_HOURS * MS_PER_HOUR : clock.instantAt(local)
    const notAfter = isSpaced ? best + LATE_HOURS * MS_PER_HOUR : clock.instantAt(local + 1)
    const [dayFrom, dayUntil] = [clock.instantAt(local), clock.instantAt(local + Math.max(1, Math.floor(every)))]
    const draft: Draft = {
      ...base(input, step, ordinal),
      title: step.title,
      why:
        every === 0
          ? `day ${day}`
          : every === 1
            ? `day ${day}, every day`
            : `day ${Math.floor(day)}, every ${every} days`,
      notBefore,
      best,
      notAfter,
      ...(step.measure && { measure: step.measure }),
      ...(step.parameters && { parameters: step.parameters }),
      ...amountOf(input, step),
      ...(waitsFor.length > 0 && { waitsFor }),
    }
    if (!isDone(input, step, Math.min(notBefore, dayFrom), dayUntil)) {
      // Of missed occasions only the newest is told.
      if (notAfter < now && every > 0) latest = draft
      else drafts.push(draft)
    } else latest = null
    if (every === 0) break
  }
  // With every patch white there is nothing left to dose.
  const treated = series?.parts.filter(({ part }) => !part.control) ?? []
  if (
    step.act === 'dose' &&
    treated.length > 0 &&
    treated.every(({ last }) => last !== null && last.value >= WHITE_STAGE)
  )
    return []
  const hasNext = drafts.some(({ notBefore }) => notBefore <= now)
  return [...(latest && !hasNext ? [latest] : []), ...drafts]
}

function amountOf({ facts, journal, settings }: TaskInput, step: Step): Partial<Draft> {
  const { course, volumeL } = facts
  if (volumeL === null) return {}
  if (step.amount === 'session-cap') {
    const [product] = course.definition.products
    const productId = product && course.products[product.dose]
    return {
      session: sessionCap(
        tierOf(course.options['tier']),
        volumeL,
        productId === undefined ? null : productById(journal, productId),
      ),
    }
  }
  if (step.amount === 'change-share' && step.share !== undefined)
    return {
      change: { litres: step.share * volumeL, times: 1, fromMgPerL: 0, toMgPerL: 0 },
      title: `${step.title}: ${measureText(step.share * volumeL, 'L', settings.units, 3)}`,
    }
  return {}
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

/** The end of a plan: once its success rule holds, or its days are over. */
export function closePlanTask(input: TaskInput, step: Step): Draft | null {
  const { facts, rules, settings } = input
  const { course } = facts
  const success = rules.find(({ role }) => role === 'success')
  const isReached = success?.state === 'holds'
  const { clock } = settings
  const endDay = clock.dayOf(course.startedAt) + course.requiredDays
  const end = clock.instantAt(endDay, course.readAtMinute)
  // Reached with the last score: from then on it can be finished.
  const at = isReached ? Math.min(facts.counts.at(-1)?.at ?? end, end) : end
  return {
    ...base(input, withHow(step, restoreWords(input)), 0),
    title: step.title,
    why: isReached ? 'what it was for is reached' : `day ${course.requiredDays}: its usual end`,
    notBefore: at,
    best: at,
    notAfter: at + 7 * 24 * MS_PER_HOUR,
  }
}
