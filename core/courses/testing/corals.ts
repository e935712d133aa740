import { METRIC, type Settings } from '../../household/settings.ts'
import type { Content, ContentOf } from '../../journal/entry.ts'
import { FORMAT_NAME, FORMAT_VERSION } from '../../journal/format.ts'
import { Journal } from '../../journal/journal.ts'
import { scribe } from '../../journal/testing.ts'
import { runOperation } from '../../operations/run.ts'
import { zoneClock } from '../../time/zone.ts'
import { courseById } from '../course.ts'
import { coursePlan, type CoursePlan } from '../plan.ts'
import type { CourseStanding } from '../standing/standing.schema.ts'

const FIRST_DAY = Date.parse('2026-11-01T00:00:00Z') / 86_400_000
const HOSTS = ['zoa', 'psammo']

/**
 * A frag tub of 45 L with zoanthids and a Psammocora under a course of dips, written for tests: times are days from the start, the
 * first of November 2026, and a time of day in UTC.
 */
export function fragTub({
  definition = 'coral-dip-cycle',
  options = { pest: 'zoa-nudi', dip: 'iodine' },
}: { definition?: string; options?: Record<string, string> } = {}) {
  const clock = zoneClock('UTC')
  const settings: Settings = { timeZone: 'UTC', units: METRIC, clock }
  const journal = new Journal()
  const { record } = scribe('2026-01-01T00:00:00Z')
  const ms = (day: number, time: string) => {
    const [hours, minutes] = time.split(':').map(Number) as [number, number]
    return clock.instantAt(FIRST_DAY + day, hours * 60 + minutes)
  }
  const at = (day: number, time: string) => ({ happened: new Date(ms(day, time)).toISOString() })
  const write = (content: Content) => journal.add([record(content)])
  write({ kind: 'household', ...at(-9, '08:00'), timeZone: 'UTC', units: METRIC })
  for (const tankId of ['frag', 'hall'])
    write({
      kind: 'tank-setup',
      ...at(-9, '08:00'),
      tankId,
      name: tankId,
      water: 'marine',
      role: tankId === 'hall' ? 'display' : 'frag',
      sheet: { shape: { kind: 'known', litres: 45 } },
    })
  write({
    kind: 'product-setup',
    ...at(-9, '08:00'),
    productId: 'iodine',
    name: 'iodine 5 %',
    ingredient: 'iodine-dip',
    strength: { kind: 'solution', mgPerMl: 50 },
  })
  for (const [partId, group] of [
    ['zoa', 'coral-soft'],
    ['psammo', 'coral-sps'],
  ] as const)
    write({
      kind: 'part-setup',
      ...at(-1, '08:00'),
      partId,
      tankId: 'frag',
      what: 'coral',
      name: partId,
      group,
      pieces: 2,
    })
  write({
    kind: 'course-start',
    ...at(0, '07:00'),
    courseId: 'c',
    definition,
    tanks: { main: 'frag' },
    animalIds: [],
    partIds: HOSTS,
    options,
    products: { 'iodine-coral': 'iodine' },
  })
  return {
    journal,
    settings,
    ms,
    at,
    write,
    /** A dip of all hosts, or of some. */
    dip: (day: number, time: string, partIds: readonly string[] = HOSTS, extra: Partial<ContentOf<'bath'>> = {}) =>
      write({
        kind: 'bath',
        ...at(day, time),
        tankId: 'frag',
        animalIds: [],
        partIds: [...partIds],
        ingredient: 'iodine-dip',
        amount: 0.4,
        unit: 'mL',
        massMg: 20,
        litres: 1,
        water: 'new',
        minutes: 8,
        courseId: 'c',
        ...extra,
      }),
    /** Counts by host, in the order of the hosts. */
    count: (day: number, time: string, measure: 'came-off' | 'eggs' | 'pest-count', values: readonly number[]) =>
      write({
        kind: 'count',
        ...at(day, time),
        tankId: 'frag',
        measure,
        parts: values.map((value, i) => ({ partId: HOSTS[i]!, value })),
        courseId: 'c',
      }),
    plan: (day: number, time: string): CoursePlan =>
      coursePlan(journal, courseById(journal, 'c')!, settings, ms(day, time)),
    standing(day: number, time: string, horizonDays = 21): CourseStanding {
      const file = {
        format: FORMAT_NAME,
        version: FORMAT_VERSION,
        exported: '2027-12-31T00:00:00Z',
        entries: journal.entries(),
      }
      const result = runOperation('courses.standing', { journal: file, now: at(day, time).happened, horizonDays })
      if (!result.ok) throw new Error(JSON.stringify(result.error))
      return result.value.courses[0]!
    },
    /** Task ids of a step with the day on which each is best. */
    windows(day: number, time: string, step: string, horizonDays = 21): [id: string, day: number][] {
      return this.standing(day, time, horizonDays)
        .tasks.filter((task) => task.step === step)
        .map(({ id, best }) => [id, clock.dayOf(Date.parse(best)) - FIRST_DAY])
    },
  }
}
