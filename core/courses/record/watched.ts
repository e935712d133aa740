import { signById } from '../../catalogue/sign.ts'
import { animalById } from '../../household/animals.ts'
import type { Journal } from '../../journal/journal.ts'
import { lookedOf, type Looked } from '../../watching/short-looks.ts'
import type { Course } from '../course.ts'

/** Signs that say nothing of disease: a shy fish and a bully's victim may move. */
const NOT_OF_DISEASE = new Set(['hides-corner', 'chased'])

export interface SeenSign {
  at: number
  animalId: string
  sign: string
}

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

/** Gathers the sightings of a course's animals, wherever they are by now. */
export function watched(journal: Journal, course: Course, now: number): Watched {
  const signs: SeenSign[] = []
  const looks = new Map<string, Looked>()
  const unexplainedDeaths: Watched['unexplainedDeaths'] = []
  for (const animalId of course.animalIds) {
    for (const { content, at, struck, id } of journal.about(`animal:${animalId}`)) {
      if (struck || at < course.startedAt || at > now) continue
      if (content.kind === 'sighting') {
        looks.set(id, lookedOf(at, content))
        for (const { sign, present } of content.signs)
          if (present && signById(sign)?.kind !== 'context' && !NOT_OF_DISEASE.has(sign))
            signs.push({ at, animalId, sign })
      } else if (content.kind === 'death' && content.cause === undefined) unexplainedDeaths.push({ at, animalId })
    }
  }
  const watching = [...looks.values()].sort((a, b) => a.at - b.at)
  return {
    watching,
    signs: signs.sort((a, b) => a.at - b.at),
    looks: [...new Set(watching.map(({ at }) => at))],
    unexplainedDeaths: unexplainedDeaths.sort((a, b) => a.at - b.at),
  }
}

/** The course's animals that are alive. */
export const livingOf = (journal: Journal, course: Course): string[] =>
  course.animalIds.filter((id) => (animalById(journal, id)?.count ?? 0) > 0)
