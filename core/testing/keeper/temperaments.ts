import type { CoursePlan } from '../../courses/plan.ts'
import type { CourseTask } from '../../courses/tasks.ts'
import type { ContentOf } from '../../journal/entry.ts'
import { RandomStream } from '../../numbers/random.ts'
import { iso, MS_PER_DAY, MS_PER_MINUTE } from '../../time/zone.ts'
import { MAIN } from './household.ts'
import type { Keeper } from './keeper.ts'

export type TemperamentId = 'steady' | 'latest' | 'a-day-late' | 'twice' | 'blind' | 'unlucky' | 'dry-air'

/** How a simulated keeper goes about a course. */
export interface Temperament {
  id: TemperamentId
  /** When a task is done, ms. */
  timeFor: (task: CourseTask, seed: number) => number
  /** Tasks that are never done. @param day of the course */
  skips?: (task: CourseTask, day: number) => boolean
  /** Whether its button is pressed a second time at once. */
  pressesTwice?: (task: CourseTask) => boolean
  /** What is counted gets worse. */
  isFailing?: boolean
  /** Something that befalls the course. @returns whether anything was written */
  happens?: (keeper: Keeper, plan: CoursePlan, now: number) => boolean
  /** The last day that is lived; twice the course's days and 60 where it is left out. */
  untilDay?: number
}

const bestOf = ({ notBefore, best }: CourseTask): number => Math.max(notBefore, best)

/** One task in five is a day late, the same ones for the same seed. */
const LATE_SHARE = 0.2
const isForgotten = (taskId: string, seed: number): boolean =>
  new RandomStream([...taskId].reduce((sum, letter) => (sum * 31 + letter.charCodeAt(0)) % 1e9, seed)).next() <
  LATE_SHARE

/** What a second press adds nothing to: a test that is logged twice, a word, a look, a mark. What goes into the water goes in twice. */
const ADDS_NOTHING: ReadonlySet<CourseTask['act']> = new Set([
  'read',
  'count',
  'look',
  'tick',
  'bench',
  'mark',
  'switch',
])

/** Days on which a blind keeper still tests. */
const SEEING_DAYS = 1

const sees =
  (seen: Partial<ContentOf<'sighting'>>) =>
  (keeper: Keeper, now: number): void =>
    keeper.write({ kind: 'sighting', happened: iso(now), tankId: MAIN, animalIds: ['ash'], signs: [], ...seen })

/** The misfortunes of an unlucky life, one for each seed, and the log line or entry that tells of them. */
export const MISFORTUNES: readonly { id: string; write: (keeper: Keeper, now: number) => void }[] = [
  { id: 'a death without a cause', write: (keeper, now) => void keeper.line('ash died', now) },
  { id: 'a sign by the log line', write: (keeper, now) => void keeper.line('ash gasping', now) },
  {
    id: 'a sign in a case',
    write: (keeper, now) => {
      const on = { happened: iso(now), caseId: 'case', tankId: MAIN }
      keeper.write({ kind: 'case-start', ...on, table: 'marine-fish', animalIds: ['ash'] })
      keeper.write({ kind: 'case-mark', ...on, mark: 'signs', signs: [{ sign: 'surface-gasping', answer: 'present' }] })
    },
  },
  {
    id: 'a sign in a short look',
    write: sees({ signs: [{ sign: 'surface-gasping', present: true }], session: 'morning', minutes: 5 }),
  },
  { id: 'breaths over the alarm', write: sees({ breathsPerMinute: 140 }) },
  { id: 'ammonia as a limit', write: (keeper, now) => void keeper.line('tank nh4 >2', now) },
]

/** Day of the misfortune. */
const UNLUCKY_DAY = 1

function befall(keeper: Keeper, plan: CoursePlan, now: number): boolean {
  keeper.seen.push({ at: now, plan })
  if (keeper.day(now) !== UNLUCKY_DAY || keeper.isBefallen) return false
  keeper.isBefallen = true
  MISFORTUNES[keeper.seed % MISFORTUNES.length]!.write(keeper, now)
  return true
}

/** Litres that a dry room takes from 60 L in a day. */
const DRY_AIR_L = 0.6
/** The level is filled up once so much is missing, by the form beside the test. */
const FILL_FROM_L = 1

function fillUp(keeper: Keeper, _plan: CoursePlan, now: number): boolean {
  const water = keeper.waterOf(MAIN)
  water.evaporatesPerDayL = DRY_AIR_L
  water.tested('salinity', now)
  if (water.missingL < FILL_FROM_L) return false
  const litres = Number(water.missingL.toFixed(2))
  keeper.write({
    kind: 'top-off',
    happened: iso(now - 10 * MS_PER_MINUTE),
    tankId: MAIN,
    litres,
    downL: litres,
    salinityPsu: 0,
  })
  // Stirred, and read ten minutes later.
  keeper.test(MAIN, 'salinity', now)
  return true
}

export const TEMPERAMENTS: Readonly<Record<TemperamentId, Temperament>> = {
  steady: { id: 'steady', timeFor: bestOf },
  latest: {
    id: 'latest',
    timeFor: (task) =>
      Number.isFinite(task.notAfter) ? Math.max(bestOf(task), task.notAfter - MS_PER_MINUTE) : bestOf(task),
  },
  'a-day-late': {
    id: 'a-day-late',
    timeFor: (task, seed) => bestOf(task) + (isForgotten(task.id, seed) ? MS_PER_DAY : 0),
  },
  twice: { id: 'twice', timeFor: bestOf, pressesTwice: ({ act }) => ADDS_NOTHING.has(act) },
  blind: {
    id: 'blind',
    timeFor: bestOf,
    happens: (keeper, plan, now) => {
      keeper.seen.push({ at: now, plan })
      return false
    },
    skips: ({ act }, day) => day > SEEING_DAYS && (act === 'read' || act === 'count'),
    untilDay: 14,
  },
  'dry-air': { id: 'dry-air', timeFor: bestOf, happens: fillUp },
  unlucky: { id: 'unlucky', timeFor: bestOf, happens: befall, untilDay: 3 },
}
