import { METRIC, type Settings } from '../../household/settings.ts'
import type { Content, ContentOf } from '../../journal/entry.ts'
import { Journal } from '../../journal/journal.ts'
import { scribe } from '../../journal/testing.ts'
import { MS_PER_DAY, zoneClock } from '../../time/zone.ts'
import { courseById } from '../course.ts'
import { coursePlan, type CoursePlan } from '../plan.ts'
import type { RuleState } from '../rules/rules.ts'

const FIRST_DAY = Date.parse('2026-11-01T00:00:00Z')

/** Days in a few characters: "0–3", "0,7,14". */
function daysText(days: readonly number[]): string {
  const gaps = new Set(days.slice(1).map((day, i) => Math.round((day - days[i]!) * 100) / 100))
  if (days.length < 3 || gaps.size > 1) return days.join(',')
  const [gap] = gaps
  return `${days[0]}–${days.at(-1)}${gap === 1 ? '' : `/${gap}`}`
}

/**
 * A plan for an outbreak in a tank of 100 L, written for tests: days from the first of November 2026, times of day in UTC. It
 * begins at noon on day 0.
 */
export function planCourse(
  definition: string,
  {
    options = {},
    start = {},
    parts = [] as ContentOf<'part-setup'>[],
  }: {
    options?: Record<string, string>
    start?: Partial<ContentOf<'course-start'>>
    parts?: ContentOf<'part-setup'>[]
  } = {},
) {
  const clock = zoneClock('UTC')
  const settings: Settings = { timeZone: 'UTC', units: METRIC, clock }
  const journal = new Journal()
  const { record } = scribe('2026-01-01T00:00:00Z')
  const ms = (day: number) => FIRST_DAY + day * MS_PER_DAY
  const at = (day: number) => ({ happened: new Date(ms(day)).toISOString() })
  const write = (content: Content) => journal.add([record(content)])
  write({ kind: 'household', ...at(-20), timeZone: 'UTC', units: METRIC })
  write({
    kind: 'tank-setup',
    ...at(-20),
    tankId: 'tank',
    name: 'Tank',
    water: 'marine',
    role: 'display',
    sheet: { shape: { kind: 'known', litres: 100 } },
  })
  for (const part of parts) write(part)
  write({
    kind: 'course-start',
    ...at(0.5),
    courseId: 'p',
    definition,
    tanks: { main: 'tank' },
    animalIds: [],
    options,
    products: {},
    ...start,
  })
  const plan = (day: number, horizonDays = 21): CoursePlan =>
    coursePlan(journal, courseById(journal, 'p')!, settings, ms(day), clock.dayOf(ms(day)) + horizonDays)
  return {
    journal,
    settings,
    write,
    at,
    ms,
    plan,
    read: (day: number, parameter: string, value: number, unit = 'mg/L') =>
      write({
        kind: 'reading',
        ...at(day),
        tankId: 'tank',
        parameter,
        result: { kind: 'value', value },
        unit,
      }),
    count: (day: number, measure: NonNullable<ContentOf<'count'>['measure']>, value: number) =>
      write({ kind: 'count', ...at(day), tankId: 'tank', measure, values: [value], courseId: 'p' }),
    stage: (day: number, scores: Record<string, number>) =>
      write({
        kind: 'count',
        ...at(day),
        tankId: 'tank',
        measure: 'patch-stage',
        parts: Object.entries(scores).map(([partId, value]) => ({ partId, value })),
        courseId: 'p',
      }),
    rule: (id: string, day: number): RuleState => plan(day).rules.find((rule) => rule.id === id)!,
    /** Every step with the days on which it is best, counted from the start or, after `>`, from the end of the treatment. */
    schedule: (day = -2.5, horizonDays = 300): string => {
      const all = plan(day, horizonDays)
      const days = new Map<string, number[]>()
      for (const { step, best } of all.tasks) {
        const elapsed = (best - ms(0.5)) / MS_PER_DAY
        const local = Math.round((clock.dayOf(best) - clock.dayOf(ms(0.5))) * 100) / 100
        days.set(step, [
          ...(days.get(step) ?? []),
          Number.isInteger(elapsed * 2) && !Number.isInteger(elapsed) ? elapsed : local,
        ])
      }
      return all.course.definition.steps
        .flatMap(({ id }, i, steps) => (steps.findIndex((one) => one.id === id) === i ? [id] : []))
        .flatMap((id) => (days.has(id) ? [`${id} ${daysText(days.get(id)!.sort((a, b) => a - b))}`] : []))
        .join('; ')
    },
  }
}
