import { animalById, tankOfAnimal } from '../../household/animals.ts'
import type { Content, ContentOf } from '../../journal/entry.ts'
import type { Journal } from '../../journal/journal.ts'
import { iso } from '../../time/zone.ts'
import type { Introduction } from './introductions.ts'
import { liveRuns } from '../run/runs.ts'

/**
 * Moves of whoever of some animals lives elsewhere than in a tank. Who is on the way there by an acclimation moves when that
 * ends, not before.
 */
function movesTo(journal: Journal, animalIds: readonly string[], toTankId: string, happened: string): Content[] {
  const onTheWay = new Set(
    liveRuns(journal)
      .filter(({ start }) => start.tankId === toTankId)
      .flatMap(({ start }) => start.animals.map(({ animalId }) => animalId)),
  )
  return animalIds.flatMap((animalId): Content[] => {
    const animal = animalById(journal, animalId)
    const fromTankId = animal && tankOfAnimal(animal)
    return !fromTankId || fromTankId === toTankId || onTheWay.has(animalId)
      ? []
      : [{ kind: 'move', happened, animalId, fromTankId, toTankId }]
  })
}

/** Who meets where, as an introduction begins: a box hangs in the display's water; rivals meet in the neutral tank. */
export const meetingMoves = (
  journal: Journal,
  {
    way,
    tankId,
    neutralTankId,
    animalIds,
    rivalIds = [],
  }: Pick<ContentOf<'introduction-start'>, 'way' | 'tankId' | 'neutralTankId' | 'animalIds' | 'rivalIds'>,
  now: number,
): Content[] =>
  way === 'box'
    ? movesTo(journal, animalIds, tankId, iso(now))
    : way === 'neutral'
      ? movesTo(journal, [...animalIds, ...rivalIds], neutralTankId ?? tankId, iso(now))
      : []

/** Everything that opening the door, or going home together, keeps. @param why against the promise, and why it cannot wait */
export function openingContents(journal: Journal, intro: Introduction, now: number, why?: string): Content[] {
  const { id, way, tankId, animalIds, rivalIds } = intro
  const happened = iso(now)
  return [
    {
      kind: 'introduction-mark',
      happened,
      introId: id,
      tankId,
      mark: way === 'neutral' ? 'home' : 'opened',
      ...(why && { why }),
    },
    ...movesTo(journal, way === 'box' ? animalIds : [...animalIds, ...rivalIds], tankId, happened),
  ]
}
