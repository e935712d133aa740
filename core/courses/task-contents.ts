import { animalById, tankOfAnimal } from '../household/animals.ts'
import type { Content, ContentOf } from '../journal/entry.ts'
import type { Journal } from '../journal/journal.ts'
import { iso } from '../time/zone.ts'
import type { Course } from './course.ts'
import { ruleWordId } from './copper-rules.ts'
import { wordContent } from '../schedule/task.ts'
import type { CourseTask } from './tasks.ts'

/** The dose of a task as the journal keeps it; null where there is nothing measurable to keep. */
export function doseContent(task: CourseTask, course: Course, at: number): ContentOf<'dose'> | null {
  const { dose } = task
  if (!dose || dose.productId === null || dose.amount === null || dose.unit === null || dose.amount <= 0) return null
  return {
    kind: 'dose',
    happened: iso(at),
    tankId: task.tankId,
    ingredient: course.dose.agent,
    productId: dose.productId,
    amount: Number(dose.amount.toPrecision(8)),
    unit: dose.unit,
    massMg: (dose.makesMgPerL - dose.fromMgPerL) * dose.volumeL,
  }
}

/** Everything a task's own button keeps, apart from doses and readings; empty for those. */
export function taskContents(journal: Journal, task: CourseTask, course: Course, now: number): Content[] {
  const happened = iso(now)
  const { tankId } = task
  switch (task.kind) {
    case 'dilute':
      return task.change ? [{ kind: 'water-change', happened, tankId, litres: task.change.litres }] : []
    case 'watch':
      return [
        {
          kind: 'sighting',
          happened,
          tankId,
          animalIds: [...(task.animalIds ?? [])],
          signs: [],
          appetite: ATE,
          words: 'watched half an hour, nothing seen',
        },
      ]
    case 'move':
      return course.moveToTankId === null
        ? []
        : (task.animalIds ?? []).flatMap((animalId): Content[] => {
            const animal = animalById(journal, animalId)
            const from = animal && tankOfAnimal(animal)
            return from ? [{ kind: 'move', happened, animalId, fromTankId: from, toTankId: course.moveToTankId! }] : []
          })
    case 'clear':
      return [{ kind: 'equipment', happened, tankId: course.tankId, item: 'carbon', running: true }]
    case 'join':
      return [
        {
          kind: 'course-change',
          happened,
          courseId: course.id,
          changes: { animalIds: [...course.animalIds, ...(task.animalIds ?? [])] },
        },
      ]
    case 'finish':
      return [{ kind: 'course-end', happened, courseId: course.id, outcome: 'finished' }]
    default:
      return []
  }
}

/** Appetite "ate" on the scale of sightings. */
const ATE = 3

/** The keeper's word that a rule only they can answer holds. */
export const ruleWord = (course: Course, rule: string, run: number, now: number): ContentOf<'task'> =>
  wordContent({ id: ruleWordId(course.id, rule, run), tankId: course.tankId, courseId: course.id }, 'done', now)
