import type { ContentOf } from '../journal/entry.ts'
import type { Journal } from '../journal/journal.ts'
import { animalById, animalsOf, type Animal } from '../household/animals.ts'
import { MS_PER_DAY } from '../time/zone.ts'
import { runById, type Run } from './runs.ts'

/** The arrival ledger of one animal: acclimation.md 9. */
export interface ArrivalRecord {
  animal: Animal
  arrivedAt: number
  tankId: string
  source: string | null
  hoursInTransit: number | null
  noQuarantine: boolean
  run: Run | null
  /** When it was first seen eating. */
  firstMealAt: number | null
  /** The first signs seen after it came, with when. */
  firstSigns: { at: number; signs: string[] } | null
  /** What was found in its bag, before it was released. */
  found: string[]
}

/** What is seen later than this is no first meal and no first sign any more. */
const FIRST_MS = 30 * MS_PER_DAY

function recordOf(journal: Journal, animal: Animal, arrival: ContentOf<'arrival'>): ArrivalRecord {
  let firstMealAt: number | null = null
  let firstSigns: ArrivalRecord['firstSigns'] = null
  const found: string[] = []
  for (const { content, at, struck } of journal.about(`animal:${animal.id}`)) {
    if (struck || (content.kind !== 'sighting' && content.kind !== 'training')) continue
    const appetite = content.kind === 'sighting' ? (content.appetite ?? 0) : content.mark
    if (firstMealAt === null && at >= animal.arrivedAt && at < animal.arrivedAt + FIRST_MS && appetite >= 3)
      firstMealAt = at
    const signs =
      content.kind === 'sighting' ? content.signs.filter(({ present }) => present).map(({ sign }) => sign) : []
    if (signs.length === 0) continue
    if (at < animal.arrivedAt) found.push(...signs)
    else if (at < animal.arrivedAt + FIRST_MS) firstSigns ??= { at, signs }
  }
  return {
    animal,
    arrivedAt: animal.arrivedAt,
    tankId: arrival.tankId,
    source: arrival.source ?? null,
    hoursInTransit: arrival.hoursInTransit ?? null,
    noQuarantine: arrival.noQuarantine ?? false,
    run: arrival.runId === undefined ? null : runById(journal, arrival.runId),
    firstMealAt,
    firstSigns,
    found: [...new Set(found)],
  }
}

/** The arrivals there were, latest first; none of an animal whose arrival was struck. */
export function arrivalsOf(journal: Journal): ArrivalRecord[] {
  const arrivals = new Map(journal.ofKind('arrival').map(({ content }) => [content.animalId, content]))
  return animalsOf(journal)
    .flatMap((animal) => {
      const arrival = arrivals.get(animal.id)
      return arrival ? [recordOf(journal, animal, arrival)] : []
    })
    .reverse()
}

/** The arrival ledger of one animal; null when the journal holds no arrival of it. */
export function arrivalOf(journal: Journal, animalId: string): ArrivalRecord | null {
  const animal = animalById(journal, animalId)
  const arrival = journal.ofKind('arrival').findLast(({ content }) => content.animalId === animalId)?.content
  return animal && arrival ? recordOf(journal, animal, arrival) : null
}
