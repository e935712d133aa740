import type { ContentOf } from '../../journal/entry.ts'
import type { Journal } from '../../journal/journal.ts'
import { animalById, animalsOf, type Animal } from '../../household/animals.ts'
import { tankById } from '../../household/tanks.ts'
import { MS_PER_DAY } from '../../time/zone.ts'
import { runById, runsOf, type Run } from '../run/runs.ts'

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

type Came = Pick<ContentOf<'arrival'>, 'tankId' | 'source' | 'hoursInTransit' | 'noQuarantine' | 'runId'>

/** How an animal came into its first tank: by an arrival, or, of a part of a group, from the tank where the rest stayed. */
function cameBy(journal: Journal, animalId: string): Came | null {
  const arrival = journal.ofKind('arrival').findLast(({ content }) => content.animalId === animalId)?.content
  if (arrival) return arrival
  const parted = journal.ofKind('move').findLast(({ content }) => content.newAnimalId === animalId)?.content
  if (!parted) return null
  const source = tankById(journal, parted.fromTankId)?.name
  const run = runsOf(journal).find(({ start }) => start.animals.some((one) => one.animalId === animalId))
  return { tankId: parted.toTankId, ...(source !== undefined && { source }), ...(run && { runId: run.id }) }
}

function recordOf(journal: Journal, animal: Animal, arrival: Came): ArrivalRecord {
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

/** The arrival ledger of one animal; null when the journal does not say how it came. */
export function arrivalOf(journal: Journal, animalId: string): ArrivalRecord | null {
  const animal = animalById(journal, animalId)
  const came = cameBy(journal, animalId)
  return animal && came ? recordOf(journal, animal, came) : null
}
