import { animalGroupById } from '../catalogue/animal-group.ts'
import type { Definition } from '../catalogue/courses/definitions.ts'
import { coursesOf } from '../courses/course.ts'
import { residentsOf } from '../household/animals.ts'
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

export const ROUND_WORDS: Record<RoundPlace, string> = {
  'without-fish': 'kept without fish',
  settled: 'settled',
  'corals-in-quarantine': 'corals in quarantine',
  observed: 'watched',
  treated: 'under treatment',
  'new-fish': 'new fish',
}

const isCountedWithoutFish = ({ tracks }: Definition): boolean =>
  tracks.some((track) => track.kind === 'hold' && track.by === 'no-fish')

/** Where a tank comes in the round. */
export function roundPlaceOf(journal: Journal, tankId: string, now: number): RoundPlace {
  const running = coursesOf(journal).filter(
    ({ tanks, startedAt, ended }) => startedAt <= now && ended === null && Object.values(tanks).includes(tankId),
  )
  const kinds = new Set(running.map(({ definition }) => definition.kind))
  const hasNewFish = residentsOf(journal, tankId).some(
    ({ group, arrivedAt }) => animalGroupById(group)?.kind === 'fish' && now - arrivedAt < NEW_DAYS * MS_PER_DAY,
  )
  if (hasNewFish) return 'new-fish'
  if (running.some(({ definition }) => definition.kind === 'school' && definition.id === 'qt-f-observe'))
    return 'observed'
  if (kinds.has('school') || kinds.has('add-on')) return 'treated'
  if (kinds.has('coral')) return 'corals-in-quarantine'
  if (running.some(({ definition }) => isCountedWithoutFish(definition))) return 'without-fish'
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
