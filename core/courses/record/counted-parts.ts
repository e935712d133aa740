import { coralsOf } from '../../household/corals.ts'
import { partsOf, type Part } from '../../household/parts.ts'
import type { Journal } from '../../journal/journal.ts'
import type { Course } from '../course.ts'

/**
 * The parts of a course that are counted one by one: those named at its start, else all of its tank.
 * @param what rocks, corals, jars …
 */
export function countedParts(journal: Journal, { tankId, partIds }: Course, what: Part['what']): Part[] {
  const all =
    what === 'coral'
      ? coralsOf(journal, tankId)
      : partsOf(journal, tankId).filter((part) => part.what === what && !part.gone)
  return partIds.length === 0 ? all : all.filter(({ id }) => partIds.includes(id))
}
