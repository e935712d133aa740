import type { Settings } from '../../household/settings.ts'
import { METRIC } from '../../household/settings.ts'
import type { Content, ContentOf } from '../../journal/entry.ts'
import { Journal } from '../../journal/journal.ts'
import { scribe } from '../../journal/testing.ts'
import { zoneClock } from '../../time/zone.ts'
import { courseById } from '../course.ts'
import { coursePlan, type DrugPlan } from '../plan.ts'
import type { CourseTask } from '../tasks.ts'

/** What a ward may be made with. */
interface WardChoice {
  zone?: string
  doseId?: string
  protocol?: string
  start?: Partial<Omit<ContentOf<'course-start'>, 'kind' | 'happened'>>
  day?: string
}

/** Strength of the bottle by copper form, mg in a mL, and the step its syringe measures. */
const BOTTLES: Record<string, { mgPerMl: number; step: number }> = {
  'cu-chelated': { mgPerMl: 10, step: 0.1 },
  'cu-amine': { mgPerMl: 2, step: 0.1 },
  'cu-ion': { mgPerMl: 1, step: 0.1 },
  chloroquine: { mgPerMl: 10, step: 0.1 },
}

/**
 * A quarantine of exactly 60 L with a hawkfish and a filefish under copper, written for tests: times are on the wall of
 * the zone, days from the first of November 2026.
 */
export function ward({
  zone = 'UTC',
  doseId = 'cu-chelated-std',
  protocol = 'qt-b-drug14',
  start = {},
  day = '2026-11-01',
}: WardChoice = {}) {
  const clock = zoneClock(zone)
  const settings: Settings = { timeZone: zone, units: METRIC, clock }
  const firstDay = Date.parse(`${day}T00:00:00Z`) / 86_400_000
  const journal = new Journal()
  const { record } = scribe('2026-01-01T00:00:00Z')
  const ms = (dayNumber: number, time: string) => {
    const [hours, minutes, seconds = 0] = time.split(':').map(Number) as [number, number, number?]
    return clock.instantAt(firstDay + dayNumber, hours * 60 + minutes) + seconds * 1000
  }
  const happened = (dayNumber: number, time: string) => new Date(ms(dayNumber, time)).toISOString()
  const write = (content: Content) => {
    const entry = record(content)
    journal.add([entry])
    return entry
  }
  const agent = doseId.replace(/-(std|gentle)$/, '')
  const bottle = BOTTLES[agent]!
  const at = (dayNumber: number, time: string) => ({ happened: happened(dayNumber, time) })
  write({ kind: 'household', ...at(-3, '08:00'), timeZone: zone, units: METRIC })
  for (const [tankId, name] of [
    ['quar', 'Quarantine'],
    ['obs', 'Observation'],
  ] as const)
    write({
      kind: 'tank-setup',
      ...at(-3, '08:00'),
      tankId,
      name,
      water: 'marine',
      role: 'quarantine',
      sheet: { shape: { kind: 'known', litres: 60 } },
    })
  for (const [animalId, name, group] of [
    ['needle', 'Needle', 'hawkfish'],
    ['burr', 'Burr', 'filefish'],
  ] as const)
    write({ kind: 'arrival', ...at(-2, '12:00'), animalId, tankId: 'quar', name, species: group, group, count: 1 })
  write({
    kind: 'product-setup',
    ...at(-3, '08:00'),
    productId: 'bottle',
    name: 'copper bottle',
    ingredient: agent,
    strength: { kind: 'solution', mgPerMl: bottle.mgPerMl },
    measure: { tool: 'syringe', step: bottle.step },
    left: 500,
  })
  write({
    kind: 'course-start',
    ...at(0, '18:00'),
    courseId: 'c',
    tankId: 'quar',
    protocol,
    doseId,
    animalIds: ['needle', 'burr'],
    productId: 'bottle',
    moveToTankId: 'obs',
    ...start,
  })
  return {
    journal,
    settings,
    ms,
    write,
    at,
    read: (dayNumber: number, time: string, value: number) =>
      write({
        kind: 'reading',
        ...at(dayNumber, time),
        tankId: 'quar',
        parameter: 'copper',
        result: { kind: 'value', value },
        unit: 'mg/L',
        uncertainty: 0.05 + 0.05 * value,
      }),
    dose: (dayNumber: number, time: string, amount: number) =>
      write({
        kind: 'dose',
        ...at(dayNumber, time),
        tankId: 'quar',
        ingredient: agent,
        productId: 'bottle',
        amount,
        unit: 'mL',
        massMg: amount * bottle.mgPerMl,
      }),
    change: (dayNumber: number, time: string, litres: number) =>
      write({ kind: 'water-change', ...at(dayNumber, time), tankId: 'quar', litres }),
    look: (dayNumber: number, time: string, ...signs: string[]) =>
      write({
        kind: 'sighting',
        ...at(dayNumber, time),
        tankId: 'quar',
        animalIds: ['needle', 'burr'],
        signs: signs.map((sign) => ({ sign, present: true })),
        appetite: 3,
      }),
    /** The plan at a wall time. */
    plan(dayNumber: number, time: string): DrugPlan {
      return coursePlan(journal, courseById(journal, 'c')!, settings, ms(dayNumber, time)) as DrugPlan
    },
  }
}

export type Ward = ReturnType<typeof ward>

/** The ramp to 2.25 mg/L, done by the book, in range from day 1 on: 6 mL, 3, 3 and 1.5 every 12 h. */
export function ramped(options: WardChoice = {}): Ward {
  const it = ward(options)
  it.dose(0, '18:00', 6)
  it.dose(1, '06:00', 3)
  it.dose(1, '18:00', 3)
  it.dose(2, '06:00', 1.5)
  return it
}

/** A wall time as a test says it: "4 08:00". */
export const wall = (it: Ward, ms: number): string => {
  const { clock } = it.settings
  const day = clock.dayOf(ms) - clock.dayOf(it.ms(0, '12:00'))
  const minute = clock.minuteOf(ms)
  return `${day} ${String(Math.floor(minute / 60)).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')}`
}

/** A task's dose and what it makes, mg/L. */
export const amount = ({ dose }: CourseTask) =>
  dose ? `${Number(dose.amount!.toFixed(3))} ${dose.unit} → ${dose.makesMgPerL.toFixed(3)}` : ''
const tasksOf = (it: Ward, day: number, time: string) => it.plan(day, time).tasks
/** The tasks of some kinds as they stand at a time. */
export const ofKind = (it: Ward, day: number, time: string, ...kinds: string[]) =>
  tasksOf(it, day, time).filter(({ step }) => kinds.includes(step))
/** The first task of a kind. */
export const one = (it: Ward, day: number, time: string, kind: string) => ofKind(it, day, time, kind)[0]
/** From when, best when and until when a task can be done, on the wall. */
export const window = (it: Ward, task: CourseTask | undefined) =>
  task && [task.notBefore, task.best, task.notAfter].map((ms) => wall(it, ms))
