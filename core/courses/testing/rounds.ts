import { METRIC, type Settings } from '../../household/settings.ts'
import type { Content, ContentOf } from '../../journal/entry.ts'
import { FORMAT_NAME, FORMAT_VERSION } from '../../journal/format.ts'
import { Journal } from '../../journal/journal.ts'
import { scribe } from '../../journal/testing.ts'
import { runOperation } from '../../operations/run.ts'
import { MS_PER_HOUR, zoneClock } from '../../time/zone.ts'
import { courseById } from '../course.ts'
import { coursePlan, type CoursePlan } from '../plan.ts'
import type { CourseStanding } from '../standing/standing.schema.ts'

const START = '2026-11-01T12:00:00Z'

/**
 * Two tank sets and two fish under a transfer school, written for tests: times are hours from the start, the first of November
 * 2026 at noon, UTC unless a zone and a start are given.
 */
export function twoSets({
  definition = 'qt-c-ttm',
  zone = 'UTC',
  startAt = START,
  start = {},
}: {
  definition?: string
  zone?: string
  startAt?: string
  start?: Partial<Omit<ContentOf<'course-start'>, 'kind' | 'happened'>>
} = {}) {
  const clock = zoneClock(zone)
  const settings: Settings = { timeZone: zone, units: METRIC, clock }
  const origin = Date.parse(startAt)
  const journal = new Journal()
  const { record } = scribe('2026-01-01T00:00:00Z')
  const ms = (hours: number) => origin + hours * MS_PER_HOUR
  const at = (hours: number) => ({ happened: new Date(ms(hours)).toISOString() })
  const write = (content: Content) => {
    const entry = record(content)
    journal.add([entry])
    return entry
  }
  write({ kind: 'household', ...at(-100), timeZone: zone, units: METRIC })
  for (const [tankId, name] of [
    ['a', 'Set A'],
    ['b', 'Set B'],
    ['hall', 'Hall'],
  ] as const)
    write({
      kind: 'tank-setup',
      ...at(-100),
      tankId,
      name,
      water: 'marine',
      role: tankId === 'hall' ? 'display' : 'quarantine',
      sheet: { shape: { kind: 'known', litres: 40 } },
    })
  for (const [animalId, name] of [
    ['needle', 'Needle'],
    ['burr', 'Burr'],
  ] as const)
    write({ kind: 'arrival', ...at(-1), animalId, tankId: 'a', name, species: 'fish', group: 'hawkfish', count: 1 })
  write({
    kind: 'product-setup',
    ...at(-100),
    productId: 'perox',
    name: 'peroxide 3 %',
    ingredient: 'peroxide',
    strength: { kind: 'solution', mgPerMl: 30 },
    measure: { tool: 'syringe', step: 0.5 },
  })
  write({
    kind: 'course-start',
    ...at(0),
    courseId: 'c',
    definition,
    tanks: { main: 'a', other: 'b' },
    animalIds: ['needle', 'burr'],
    products: { 'peroxide-bath': 'perox' },
    ...start,
  })
  let side: 'a' | 'b' = 'a'
  return {
    journal,
    settings,
    ms,
    at,
    write,
    /** Both fish move to the other set; the later one decides. */
    move(hours: number, animals: readonly string[] = ['needle', 'burr'], to: string = side === 'a' ? 'b' : 'a') {
      for (const animalId of animals)
        write({ kind: 'move', ...at(hours), animalId, fromTankId: side, toTankId: to, cleanTransfer: true })
      side = to as 'a' | 'b'
    },
    bath: (hours: number, animalIds: string[] = ['needle', 'burr'], extra: Partial<ContentOf<'bath'>> = {}) =>
      write({
        kind: 'bath',
        ...at(hours),
        tankId: side,
        animalIds,
        ingredient: 'peroxide',
        productId: 'perox',
        amount: 10,
        unit: 'mL',
        massMg: 300,
        litres: 4,
        minutes: 30,
        courseId: 'c',
        ...extra,
      }),
    plan: (hours: number): CoursePlan => coursePlan(journal, courseById(journal, 'c')!, settings, ms(hours)),
    standing(hours: number, horizonDays = 21): CourseStanding {
      const file = {
        format: FORMAT_NAME,
        version: FORMAT_VERSION,
        exported: '2027-12-31T00:00:00Z',
        entries: journal.entries(),
      }
      const result = runOperation('courses.standing', { journal: file, now: at(hours).happened, horizonDays })
      if (!result.ok) throw new Error(JSON.stringify(result.error))
      return result.value.courses[0]!
    },
    /** Hours of an instant from the start. */
    hours: (instant: string | null) => (instant === null ? null : (Date.parse(instant) - origin) / MS_PER_HOUR),
  }
}

export type TwoSets = ReturnType<typeof twoSets>

/** The windows of the tasks of a step, in hours from the start. */
export const windowsOf = (it: TwoSets, hours: number, step: string, horizonDays = 30) =>
  it
    .standing(hours, horizonDays)
    .tasks.filter((task) => task.step === step)
    .map(({ notBefore, best, notAfter }) => [notBefore, best, notAfter].map((one) => it.hours(one)))

/** A count of a standing. */
export const countAt = (it: TwoSets, hours: number, track: string) =>
  it.standing(hours).counts.find((one) => one.track === track)!
