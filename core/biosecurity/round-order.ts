import { animalGroupById } from '../catalogue/animal-group.ts'
import type { Definition } from '../catalogue/courses/definitions.ts'
import { coursesOf } from '../courses/course.ts'
import { fishlessTrackOf } from '../courses/tracks/fishless.ts'
import { residentsOf, type Animal } from '../household/animals.ts'
import { tanksOf, type Tank } from '../household/tanks.ts'
import type { Journal } from '../journal/journal.ts'
import { MS_PER_DAY } from '../time/zone.ts'

/** A fish is a new one for so long (EA): its tank comes last. */
const NEW_DAYS = 14

/** Why a tank has its place in the round: the cleanest first, new fish last (quarantine.md 8). */
export type RoundPlace = 'without-fish' | 'settled' | 'corals-in-quarantine' | 'observed' | 'treated' | 'new-fish'

const ORDER: readonly RoundPlace[] = [
  'without-fish',
  'settled',
  'corals-in-quarantine',
  'observed',
  'treated',
  'new-fish',
]

const isCountedWithoutFish = (definition: Definition): boolean => fishlessTrackOf(definition) !== undefined

/** Where a tank comes in the round. */
export function roundPlaceOf(journal: Journal, tankId: string, now: number): RoundPlace {
  const residents = residentsOf(journal, tankId)
  const isNew = ({ group, arrivedAt }: Animal) =>
    animalGroupById(group)?.kind === 'fish' && now - arrivedAt < NEW_DAYS * MS_PER_DAY
  if (residents.some(isNew)) return 'new-fish'
  const running = coursesOf(journal).filter(({ startedAt, ended }) => startedAt <= now && ended === null)
  const here = running.filter(({ tanks: { observe: _sterile, ...others } }) => Object.values(others).includes(tankId))
  const kinds = new Set(here.map(({ definition }) => definition.kind))
  if (here.some(({ definition: { kind, ends } }) => kind === 'add-on' || (kind === 'school' && ends !== 'watch')))
    return 'treated'
  // A sterile tank is clean until the fish of its course are in it.
  const isObserving = running.some(({ tanks }) => tanks.observe === tankId) && residents.length > 0
  if (kinds.has('school') || isObserving) return 'observed'
  if (kinds.has('coral')) return 'corals-in-quarantine'
  if (here.some(({ definition }) => isCountedWithoutFish(definition))) return 'without-fish'
  return 'settled'
}

/**
 * The tanks in the order of the round, clean to dirty: what is wet goes from the first to the last and never back.
 * @example
 * roundOrder(journal, Date.now()).map(({ tank }) => tank.name) // Hall reef, Frag tub, Quarantine
 */
export function roundOrder(journal: Journal, now: number): { tank: Tank; place: RoundPlace }[] {
  return tanksOf(journal)
    .map((tank) => ({ tank, place: roundPlaceOf(journal, tank.id, now) }))
    .sort((a, b) => ORDER.indexOf(a.place) - ORDER.indexOf(b.place))
}
