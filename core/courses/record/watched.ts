import { signById } from '../../catalogue/sign.ts'
import { animalGroupById } from '../../catalogue/animal-group.ts'
import { animalById, animalLabel, residentsBetween, tankOfAnimal } from '../../household/animals.ts'
import { livingCorals } from '../../household/corals.ts'
import type { ContentOf } from '../../journal/entry.ts'
import type { Journal } from '../../journal/journal.ts'
import { signsOfCases, signsOfSighting, type SeenSign } from '../../watching/seen-signs.ts'
import { lookedOf, type Looked } from '../../watching/short-looks.ts'
import type { Course } from '../course.ts'

/** Signs that say nothing of disease: a shy fish and a bully's victim may move. */
const NOT_OF_DISEASE = new Set(['hides-corner', 'chased'])

/** What was seen of a course's animals, from its start. */
export interface Watched {
  /** Signs of disease seen, in order. */
  signs: SeenSign[]
  /** When any of them was looked at, in order. */
  looks: number[]
  /** The same with the minutes of each. */
  watching: Looked[]
  /** Deaths with no cause given, in order. */
  unexplainedDeaths: { at: number; animalId: string }[]
}

/** The animals that a course watches: its own; a plan, that names none, watches all that live in its tank but corals. */
const watchedBy = (
  journal: Journal,
  { animalIds, definition, tankId, startedAt }: Course,
  now: number,
): readonly string[] =>
  definition.kind !== 'plan' || animalIds.length > 0
    ? animalIds
    : residentsBetween(journal, tankId, startedAt, now).flatMap(({ id, group }) =>
        animalGroupById(group)?.kind === 'coral' ? [] : [id],
      )

/** Gathers the sightings of a course's animals, wherever they are by now. */
export function watched(journal: Journal, course: Course, now: number): Watched {
  const signs: SeenSign[] = []
  const looks = new Map<string, Looked>()
  const unexplainedDeaths: Watched['unexplainedDeaths'] = []
  const ofDisease = (sign: string) => signById(sign)?.kind !== 'context' && !NOT_OF_DISEASE.has(sign)
  const animalIds = watchedBy(journal, course, now)
  for (const animalId of animalIds) {
    for (const { content, at, struck, id } of journal.about(`animal:${animalId}`)) {
      if (struck || at < course.startedAt || at > now) continue
      if (content.kind === 'sighting') {
        looks.set(id, lookedOf(at, content))
        for (const sign of signsOfSighting(content)) if (ofDisease(sign)) signs.push({ at, animalId, sign })
      } else if (content.kind === 'death' && content.cause === undefined) unexplainedDeaths.push({ at, animalId })
    }
  }
  const own = new Set(animalIds)
  const isOwn = (start: ContentOf<'case-start'>) => start.animalIds.some((id) => own.has(id))
  for (const seen of signsOfCases(journal, isOwn, course.startedAt, now))
    if (own.has(seen.animalId) && ofDisease(seen.sign)) signs.push(seen)
  const watching = [...looks.values()].sort((a, b) => a.at - b.at)
  return {
    watching,
    signs: signs.sort((a, b) => a.at - b.at),
    looks: [...new Set(watching.map(({ at }) => at))],
    unexplainedDeaths: unexplainedDeaths.sort((a, b) => a.at - b.at),
  }
}

/** Whether somebody is in none of a course's tanks any more. */
const isElsewhere = ({ tanks }: Pick<Course, 'tanks'>, tankId: string | null): boolean =>
  tankId !== null && !Object.values(tanks).includes(tankId)

/** The course's animals that are alive and in one of its tanks. */
export const livingOf = (journal: Journal, course: Course): string[] =>
  course.animalIds.filter((id) => {
    const animal = animalById(journal, id)
    return animal !== null && animal.count > 0 && !isElsewhere(course, tankOfAnimal(animal))
  })

/** Somebody of a course who lives in another tank now. */
export interface Left {
  label: string
  tankId: string
  /** ms; null where the journal does not say when. */
  at: number | null
}

/** Fish and corals of a course that live in another tank now: they are not counted any more. */
export function leftOf(journal: Journal, course: Course): Left[] {
  const fish = course.animalIds.flatMap((id): Left[] => {
    const animal = animalById(journal, id)
    const tankId = animal && tankOfAnimal(animal)
    return tankId && isElsewhere(course, tankId)
      ? [{ label: animalLabel(animal), tankId, at: animal.stays.at(-1)!.from }]
      : []
  })
  const corals = livingCorals(journal, course.partIds)
    .filter(({ tankId }) => isElsewhere(course, tankId))
    .map(({ name, tankId, animalId }): Left => {
      const animal = animalId === undefined ? null : animalById(journal, animalId)
      return { label: name, tankId, at: animal?.stays.at(-1)?.from ?? null }
    })
  return [...fish, ...corals]
}
