import { animalById, animalLabel, isFish, type Animal } from '../../household/animals.ts'
import { tankAt, tankById, type Tank } from '../../household/tanks.ts'
import type { ContentOf } from '../../journal/entry.ts'
import type { Journal } from '../../journal/journal.ts'
import { coursesOf } from '../../courses/course.ts'
import { MS_PER_DAY } from '../../time/zone.ts'
import { concern, type Asking, type Concern } from '../concern.ts'
import { doorConcerns, type Newcomer } from '../judge/door.ts'
import { movedAwayConcerns, newFishConcerns, newWetItemConcerns } from '../judge/moves.ts'
import { newcomerWaterConcerns } from '../judge/newcomer.ts'
import { unknownConcerns } from '../judge/sensitivities.ts'
import { troubleConcerns } from '../judge/trouble.ts'
import { matchConcerns, waterToCompare, wrongWaterConcerns, type OtherWater } from '../judge/water-match.ts'
import { coursesIn } from '../water/contexts.ts'
import { residentOf, type Resident } from '../water/residents.ts'
import { waterBetween } from '../water/state.ts'

type Coming = Pick<ContentOf<'arrival'>, 'animalId' | 'name' | 'species' | 'group' | 'count' | 'tankId'>

/** An animal that is not in the journal yet, as its arrival describes it. */
function newAnimal({ animalId, name, species, group, count, tankId }: Coming, at: number): Animal {
  return {
    id: animalId,
    name: name ?? null,
    species,
    group,
    count,
    firstCount: count,
    sizeCm: null,
    arrivedAt: at,
    stays: [{ tankId, from: at, to: null }],
    changes: [],
    end: null,
  }
}

/** An acclimation that brings an animal to a tank looks after salinity, temperature and pH itself. */
const isAcclimated = (journal: Journal, ids: readonly (string | undefined)[], tankId: string, at: number): boolean =>
  journal
    .ofKind('acclimation-start')
    .some(
      ({ content, at: startedAt }) =>
        content.tankId === tankId &&
        startedAt <= at &&
        at - startedAt < MS_PER_DAY &&
        content.animals.some((one) => ids.includes(one.animalId)),
    )

/** A choice of a running course that is not for some groups: nine days in the dark with anemones. */
const choiceConcerns = (journal: Journal, resident: Resident, tankId: string, at: number): Concern[] =>
  coursesIn(journal, tankId, at).flatMap(({ definition, options }) =>
    definition.options.flatMap(({ id, choices }) => {
      const choice = choices.find((one) => one.id === options[id])
      return resident.group && choice?.notWith?.includes(resident.group.id)
        ? [
            concern(
              'choice-not-with',
              'block',
              `${choice.label} with ${resident.label}`,
              choice.notWithWhy ?? 'not for them',
              'reason',
            ),
          ]
        : []
    }),
  )

/** What the tank that somebody comes into speaks against it, wherever it comes from. */
function tankConcerns(
  journal: Journal,
  resident: Resident,
  tank: Tank,
  at: number,
  { now, except }: Asking,
): Concern[] {
  const water = waterBetween(journal, tank.id, at, Math.max(at, now), except)
  if (!water) return []
  return [
    ...(water.agents.length === 0 ? unknownConcerns([resident], 'this water') : []),
    ...wrongWaterConcerns(resident, tank),
    ...newcomerWaterConcerns(journal, resident, water),
    ...choiceConcerns(journal, resident, tank.id, at),
    ...troubleConcerns(journal, resident, tank, at),
  ]
}

/** What speaks against an animal that comes from outside. */
export function arrivalConcerns(journal: Journal, arrival: ContentOf<'arrival'>, asking: Asking): Concern[] {
  const at = Date.parse(arrival.happened)
  const tank = tankAt(journal, arrival.tankId, at)
  if (!tank) return []
  const animal = newAnimal(arrival, at)
  const resident = residentOf(animal)
  const sellerPsu =
    arrival.expectedId === undefined
      ? undefined
      : journal.ofKind('expected').findLast(({ content }) => content.expectedId === arrival.expectedId)?.content
          .sellerPsu
  const from: OtherWater = { psu: sellerPsu ?? null, temperatureC: null, pH: null }
  const isRun =
    arrival.runId !== undefined || isAcclimated(journal, [arrival.animalId, arrival.expectedId], arrival.tankId, at)
  return [
    ...tankConcerns(journal, resident, tank, at, asking),
    ...(isRun ? [] : matchConcerns(journal, resident, from, tank, at)),
    ...orDoor(doorConcerns(journal, newcomerOf(animal), tank.id, at), [
      ...newFishConcerns(journal, tank.id, animal, at),
      ...newWetItemConcerns(journal, tank.id, resident, at),
    ]),
  ]
}

const newcomerOf = (animal: Animal): Newcomer => ({
  animalId: animal.id,
  label: animalLabel(animal),
  kind: isFish(animal) ? 'fish' : 'other',
})

/** What the door says of days without fish stands for the rules that only say that they begin again. */
function orDoor(door: readonly Concern[], others: readonly Concern[]): Concern[] {
  const isSaid = door.length > 0
  return [...door, ...others.filter(({ rule }) => !isSaid || (rule !== 'new-wet-item' && rule !== 'new-fish'))]
}

/** What speaks against an animal that moves between two tanks of the household. */
export function moveConcerns(journal: Journal, move: ContentOf<'move'>, asking: Asking): Concern[] {
  const at = Date.parse(move.happened)
  const animal = animalById(journal, move.animalId)
  const tank = tankAt(journal, move.toTankId, at)
  if (!animal || !tank || move.fromTankId === move.toTankId) return []
  const resident = { ...residentOf(animal), count: move.count ?? animal.count }
  // From set to set of one course the new water is made for it.
  const isWithinCourse = coursesOf(journal).some(
    ({ tanks, definition, startedAt, ended }) =>
      definition.ends === 'rounds' &&
      startedAt <= at &&
      (ended === null || ended.at > at) &&
      Object.values(tanks).includes(move.fromTankId) &&
      Object.values(tanks).includes(move.toTankId),
  )
  return [
    ...tankConcerns(journal, resident, tank, at, asking),
    ...(isAcclimated(journal, [move.animalId, move.newAnimalId], move.toTankId, at)
      ? []
      : matchConcerns(journal, resident, waterToCompare(journal, move.fromTankId, at), tank, at)),
    ...orDoor(isWithinCourse ? [] : doorConcerns(journal, newcomerOf(animal), move.toTankId, at, move.fromTankId), [
      ...(isWithinCourse ? [] : newFishConcerns(journal, move.toTankId, animal, at)),
      ...newWetItemConcerns(journal, move.toTankId, resident, at, move.fromTankId),
    ]),
    ...movedAwayConcerns(journal, move, animal, at),
  ]
}

/** What speaks against an animal that is awaited: what may have changed by the time it comes is asked again then. */
export function expectedConcerns(journal: Journal, expected: ContentOf<'expected'>, asking: Asking): Concern[] {
  if (expected.cancelled === true) return []
  const at = Date.parse(expected.happened)
  const tank = tankById(journal, expected.tankId)
  if (!tank) return []
  const resident = residentOf(newAnimal({ ...expected, animalId: expected.expectedId }, at))
  return tankConcerns(journal, resident, tank, at, asking).map((one): Concern => {
    const isNow = one.severity === 'never' || (one.severity === 'block' && one.rule !== 'wrong-water')
    return isNow
      ? {
          ...one,
          severity: 'caution',
          override: 'confirm',
          reason: `${one.reason}. As the tank is now: not before this has changed`,
        }
      : one
  })
}
