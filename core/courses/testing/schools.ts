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

const PRODUCTS: readonly [id: string, ingredient: string, strength: ContentOf<'product-setup'>['strength']][] = [
  ['prazi', 'praziquantel', { kind: 'powder', activeFraction: 1 }],
  ['metro', 'metronidazole', { kind: 'powder', activeFraction: 1 }],
  ['fenben', 'fenbendazole', { kind: 'powder', activeFraction: 1 }],
  ['kana', 'kanamycin', { kind: 'powder', activeFraction: 1 }],
  ['form', 'formalin', { kind: 'solution', mgPerMl: 1000 }],
  ['copper', 'cu-chelated', { kind: 'solution', mgPerMl: 10 }],
]

/** What each dose of the catalogue is measured from in these tests. */
const SHELF: Record<string, string> = {
  'praziquantel-tank': 'prazi',
  'praziquantel-food': 'prazi',
  'metronidazole-uronema': 'metro',
  'metronidazole-prophylactic': 'metro',
  'metronidazole-food': 'metro',
  'fenbendazole-food': 'fenben',
  'kanamycin-tank': 'kana',
  'formalin-bath': 'form',
  'cu-chelated-std': 'copper',
}

/**
 * A quarantine of exactly 60 L with a damsel and a clownfish, written for tests of any school or add-on. Times are on the wall of the
 * zone, as days from the start and a time of day: `at(3, '08:00')`.
 */
export function quarantine({
  definition,
  zone = 'UTC',
  day = '2026-11-01',
  startAt = '08:00',
  start = {},
  before = [],
}: {
  definition: string
  zone?: string
  day?: string
  startAt?: string
  start?: Partial<Omit<ContentOf<'course-start'>, 'kind' | 'happened'>>
  /** Written before the course begins. */
  before?: readonly Content[]
}) {
  const clock = zoneClock(zone)
  const settings: Settings = { timeZone: zone, units: METRIC, clock }
  const firstDay = Date.parse(`${day}T00:00:00Z`) / 86_400_000
  const journal = new Journal()
  const { record } = scribe('2020-01-01T00:00:00Z')
  const ms = (days: number, time: string) => {
    const [hours, minutes] = time.split(':').map(Number) as [number, number]
    return clock.instantAt(firstDay + days, hours * 60 + minutes)
  }
  const at = (days: number, time: string) => ({ happened: new Date(ms(days, time)).toISOString() })
  const write = (content: Content) => {
    const entry = record(content)
    journal.add([entry])
    return entry
  }
  write({ kind: 'household', ...at(-9, '08:00'), timeZone: zone, units: METRIC })
  for (const tankId of ['quar', 'obs'] as const)
    write({
      kind: 'tank-setup',
      ...at(-9, '08:00'),
      tankId,
      name: tankId === 'quar' ? 'Quarantine' : 'Observation',
      water: 'marine',
      role: 'quarantine',
      sheet: { shape: { kind: 'known', litres: 60 } },
    })
  for (const [animalId, group] of [
    ['cobalt', 'damsel-chromis'],
    ['ash', 'clownfish'],
  ] as const)
    write({
      kind: 'arrival',
      ...at(-2, '12:00'),
      animalId,
      tankId: 'quar',
      name: animalId,
      species: group,
      group,
      count: 1,
    })
  for (const [productId, ingredient, strength] of PRODUCTS)
    write({
      kind: 'product-setup',
      ...at(-9, '08:00'),
      productId,
      name: productId,
      ingredient,
      strength,
      measure: { tool: 'scale', step: 0.01 },
    })
  for (const content of before) write(content)
  write({
    kind: 'course-start',
    ...at(0, startAt),
    courseId: 'c',
    definition,
    tanks: { main: 'quar', other: 'obs', observe: 'obs' },
    animalIds: ['cobalt', 'ash'],
    products: SHELF,
    ...start,
  })
  const reading = (days: number, time: string, parameter: string, value: number) =>
    write({
      kind: 'reading',
      ...at(days, time),
      tankId: 'quar',
      parameter,
      result: { kind: 'value', value },
      unit: parameter === 'salinity' ? 'psu' : parameter === 'ph' ? 'pH' : 'mg/L',
    })
  const standing = (days: number, time: string, horizonDays = 21): CourseStanding => {
    const file = {
      format: FORMAT_NAME,
      version: FORMAT_VERSION,
      exported: '2030-12-31T00:00:00Z',
      entries: journal.entries(),
    }
    const result = runOperation('courses.standing', { journal: file, now: at(days, time).happened, horizonDays })
    if (!result.ok) throw new Error(JSON.stringify(result.error))
    return result.value.courses.find(({ courseId }) => courseId === 'c')!
  }
  /** An instant on the wall: "3 08:00". */
  const wall = (instant: string | number | null): string | null => {
    if (instant === null) return null
    const value = typeof instant === 'string' ? Date.parse(instant) : instant
    const minute = clock.minuteOf(value)
    return `${clock.dayOf(value) - firstDay} ${String(Math.floor(minute / 60)).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')}`
  }
  return {
    journal,
    settings,
    ms,
    at,
    write,
    reading,
    wall,
    dose: (days: number, time: string, ingredient: string, massMg: number, tankId = 'quar') =>
      write({ kind: 'dose', ...at(days, time), tankId, ingredient, amount: massMg / 1000, unit: 'g', massMg }),
    feed: (days: number, time: string, ingredient: string, mgPerG: number) =>
      write({ kind: 'feed', ...at(days, time), tankId: 'quar', foodG: 2, ingredient, mgPerG }),
    look: (days: number, time: string, extra: Partial<ContentOf<'sighting'>> = {}) =>
      write({
        kind: 'sighting',
        ...at(days, time),
        tankId: 'quar',
        animalIds: ['cobalt', 'ash'],
        signs: [],
        appetite: 4,
        ...extra,
      }),
    plan: (days: number, time: string): CoursePlan =>
      coursePlan(journal, courseById(journal, 'c')!, settings, ms(days, time)),
    standing,
    count: (days: number, time: string, track: string) =>
      standing(days, time).counts.find((one) => one.track === track)!,
    /** The tasks of a step: its window on the wall, and its amount. */
    tasks: (days: number, time: string, step: string, horizonDays = 21) =>
      standing(days, time, horizonDays)
        .tasks.filter((task) => task.step === step)
        .map(({ notBefore, best, notAfter, amount, state }) => ({
          window: [wall(notBefore), wall(best), wall(notAfter)],
          amount: amount ? `${Number(amount.value.toFixed(3))} ${amount.unit}` : null,
          state,
        })),
  }
}

export type Quarantine = ReturnType<typeof quarantine>
