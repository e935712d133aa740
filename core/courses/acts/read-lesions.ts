import type { Content } from '../../journal/entry.ts'
import type { LesionChange } from '../../watching/lesion-words.ts'
import { iso } from '../../time/zone.ts'
import type { CourseTask } from '../tasks.ts'
import type { ActRead } from './act-read.ts'

/** What was seen of one lesion: millimetres, a word, or both. */
export interface LesionAnswer {
  /** Null for text that is no number; left out where it was not measured. */
  mm?: number | null
  change?: LesionChange
}

/** Wider than any fish of a home tank, mm. */
const MOST_MM = 300

/**
 * The looks at the lesions of a task's fish, an entry a fish that was looked at.
 * @param lesions by animal; who is left out was not looked at
 * @param at      ms
 * @returns with a problem under the animal whose figure cannot be
 */
export function readLesions(
  { tankId, animalIds = [], courseId, id: taskId }: CourseTask,
  lesions: Readonly<Record<string, LesionAnswer>>,
  at: number,
): ActRead {
  const seen = animalIds.filter((id) => lesions[id]?.mm !== undefined || lesions[id]?.change !== undefined)
  const wrong = seen.find((id) => {
    const { mm } = lesions[id]!
    return mm === null || (mm !== undefined && !(mm >= 0 && mm <= MOST_MM))
  })
  if (wrong !== undefined) return { problems: { [wrong]: { message: `millimetres, 0 to ${MOST_MM}` } } }
  if (seen.length === 0)
    return { problems: { [animalIds[0] ?? 'lesions']: { message: 'worse, the same or better, or how wide it is' } } }
  return {
    contents: seen.map((animalId): Content => {
      const { mm, change } = lesions[animalId]!
      return {
        kind: 'sighting',
        happened: iso(at),
        tankId,
        animalIds: [animalId],
        signs: [],
        lesion: { ...(mm != null && { mm }), ...(change !== undefined && { change }) },
        courseId,
        taskId,
      }
    }),
  }
}
