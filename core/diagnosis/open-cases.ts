import { animalById, tankOfAnimal } from '../household/animals.ts'
import type { ContentOf } from '../journal/entry.ts'
import type { Journal } from '../journal/journal.ts'

/** A case that is not closed. */
export interface OpenCase {
  id: string
  start: ContentOf<'case-start'>
}

function isOpen(journal: Journal, id: string): boolean {
  let open = true
  for (const { content, struck } of journal.about(`case:${id}`)) {
    if (struck) continue
    if (content.kind === 'case-end') open = false
    if (content.kind === 'case-mark' && content.mark === 'reopened') open = true
  }
  return open
}

/**
 * The cases that are open, in the order they were opened: by their entries alone, without what a case is judged by.
 * @example
 * openCases(journal).map(({ start }) => start.tankId)
 */
export const openCases = (journal: Journal): readonly OpenCase[] =>
  journal.derive('open-cases', ['kind:case-start', 'kind:case-end', 'kind:case-mark'], () => [
    ...new Map(
      journal
        .ofKind('case-start')
        .filter(({ content }) => isOpen(journal, content.caseId))
        .map(({ content }) => [content.caseId, { id: content.caseId, start: content }]),
    ).values(),
  ])

/** Where the fish of a case live now: the tank of the first that lives; where it showed, for what is of a tank. */
export function tankOfCase(
  journal: Journal,
  { animalIds, tankId }: Pick<ContentOf<'case-start'>, 'animalIds' | 'tankId'>,
): string {
  for (const id of animalIds) {
    const animal = animalById(journal, id)
    const lives = animal && animal.count > 0 ? tankOfAnimal(animal) : null
    if (lives !== null) return lives
  }
  return tankId
}
