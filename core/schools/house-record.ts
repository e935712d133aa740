import { animalGroupById } from '../catalogue/animal-group.ts'
import { definitionById } from '../catalogue/courses/definitions.ts'
import { coursesOf } from '../courses/course.ts'
import { animalsOf, type Animal } from '../household/animals.ts'
import type { ContentOf } from '../journal/entry.ts'
import type { Journal } from '../journal/journal.ts'
import { wilson95 } from '../numbers/normal.ts'
import { MS_PER_DAY } from '../time/zone.ts'

/** Survival is told to this many days after the arrival: further-schools.md 9. */
export const SURVIVAL_DAYS = 30
/** Under so many nothing is concluded. */
export const LEAST_FOR_A_VERDICT = 10
/** A school belongs to an arrival if it began within so many days of it (EA). */
const SCHOOL_WITHIN_DAYS = 14

export type HouseKey = 'school' | 'source' | 'transit' | 'group'

/** How those of one kind fared in this house. */
export interface HouseRow {
  by: HouseKey
  /** Of the catalogue, or as it was written. */
  key: string
  label: string
  n: number
  survived: number
  /** Wilson's 95 % interval. */
  low: number
  high: number
  /** Enough of them to say anything. */
  isTelling: boolean
}

/** Bands of hours in transit: a night, a day, longer (EA). */
function transitBand(hours: number | undefined): { key: string; label: string } {
  if (hours === undefined) return { key: 'unknown', label: 'hours in transit not written' }
  if (hours <= 24) return { key: 'to-24', label: 'up to 24 h in transit' }
  return hours <= 48
    ? { key: 'to-48', label: '24 to 48 h in transit' }
    : { key: 'over-48', label: 'over 48 h in transit' }
}

function schoolOf(journal: Journal, animal: Animal, arrival: ContentOf<'arrival'>): { key: string; label: string } {
  const course = coursesOf(journal)
    .filter(
      ({ definition, animalIds, startedAt }) =>
        definition.kind === 'school' &&
        animalIds.includes(animal.id) &&
        startedAt - animal.arrivedAt < SCHOOL_WITHIN_DAYS * MS_PER_DAY,
    )
    .at(-1)
  const id = course?.definition.id ?? (arrival.noQuarantine === true ? 'qt-g-none' : undefined)
  return id === undefined
    ? { key: 'none-told', label: 'no school on record' }
    : { key: id, label: definitionById(id)?.name ?? id }
}

/** How many of an arrival were alive after the days, and of how many that is known. */
function fate(animal: Animal, now: number): { n: number; survived: number } {
  const end = animal.arrivedAt + SURVIVAL_DAYS * MS_PER_DAY
  const within = animal.changes.filter(({ at }) => at <= Math.min(end, now))
  const died = within.filter(({ why }) => why === 'died').reduce((sum, { by }) => sum + Math.abs(by), 0)
  // Those that left alive are not known of; those split off go on under a name of their own.
  const gone = within.filter(({ why }) => why !== 'died').reduce((sum, { by }) => sum + Math.abs(by), 0)
  if (now < end) return { n: 0, survived: 0 }
  const n = Math.max(0, animal.firstCount - gone)
  return { n, survived: Math.max(0, n - died) }
}

/**
 * Survival to thirty days of the fish that came into this house, by school, source, hours in transit and group.
 * @param now ms; arrivals younger than the days are left out
 */
export function houseRecord(journal: Journal, now: number): HouseRow[] {
  const rows = new Map<string, { by: HouseKey; key: string; label: string; n: number; survived: number }>()
  const arrivals = new Map(journal.ofKind('arrival').map(({ content }) => [content.animalId, content]))
  for (const animal of animalsOf(journal)) {
    const arrival = arrivals.get(animal.id)
    const group = animalGroupById(animal.group)
    if (!arrival || group?.kind !== 'fish') continue
    const { n, survived } = fate(animal, now)
    if (n === 0) continue
    const of: Record<HouseKey, { key: string; label: string }> = {
      school: schoolOf(journal, animal, arrival),
      source: { key: arrival.source ?? 'unknown', label: arrival.source ?? 'source not written' },
      transit: transitBand(arrival.hoursInTransit),
      group: { key: animal.group, label: group.name },
    }
    for (const by of ['school', 'source', 'transit', 'group'] as const) {
      const { key, label } = of[by]
      const row = rows.get(`${by}/${key}`) ?? { by, key, label, n: 0, survived: 0 }
      rows.set(`${by}/${key}`, { ...row, n: row.n + n, survived: row.survived + survived })
    }
  }
  return [...rows.values()]
    .map((row) => ({ ...row, ...wilson95(row.survived, row.n), isTelling: row.n >= LEAST_FOR_A_VERDICT }))
    .sort((a, b) => b.n - a.n || a.label.localeCompare(b.label))
}
