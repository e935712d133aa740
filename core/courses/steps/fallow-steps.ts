import type { Step } from '../../catalogue/courses/definitions.ts'
import { MS_PER_DAY } from '../../time/zone.ts'
import { base, dayNumber, waitsForOf, type Draft, type TaskInput } from './step-input.ts'

/** A tiny feed every local day that no fish eats from: quarantine.md 7.5, fallow rules. */
export function ghostFeedTasks(input: TaskInput, step: Step): Draft[] {
  const { facts, settings, fishless, horizon } = input
  if (!fishless || fishless.state === 'full') return []
  const { clock } = settings
  const { course, feeds, now } = facts
  const end = fishless.fullAt === null ? horizon : Math.min(horizon, clock.dayOf(fishless.fullAt) - 1)
  const drafts: Draft[] = []
  for (let day = Math.max(clock.dayOf(course.startedAt), clock.dayOf(now)); day <= end; day++) {
    if (feeds.some((at) => clock.dayOf(at) === day)) continue
    drafts.push({
      ...base(input, step, dayNumber(input, day)),
      title: step.title,
      why: 'every day: without fish nothing else feeds them',
      notBefore: clock.instantAt(day),
      best: clock.instantAt(day, course.readAtMinute),
      notAfter: clock.instantAt(day + 1),
    })
  }
  return drafts
}

/** The end of the days without fish; told as it would be if nothing sets them back. */
export function closeCountTask(input: TaskInput, step: Step): Draft | null {
  const { fishless } = input
  if (!fishless || fishless.fullAt === null) return null
  const waitsFor = fishless.state === 'full' ? waitsForOf(input, step) : []
  return {
    ...base(input, step, 0),
    title: step.title,
    why:
      fishless.state === 'full'
        ? 'the days are full: restock slowly, ammonia tested daily for a week'
        : `if nothing sets back the ${fishless.needsDays} days`,
    notBefore: fishless.fullAt,
    best: fishless.fullAt,
    notAfter: fishless.fullAt + 30 * MS_PER_DAY,
    ...(waitsFor.length > 0 && { waitsFor }),
  }
}
