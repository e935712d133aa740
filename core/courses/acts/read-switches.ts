import { animalGroupById } from '../../catalogue/animal-group.ts'
import { animalsOf, residentsOf, tankOfAnimal, type Animal } from '../../household/animals.ts'
import type { EquipmentItem } from '../../household/tanks.ts'
import type { Content } from '../../journal/entry.ts'
import type { Journal } from '../../journal/journal.ts'
import { wordContent } from '../../schedule/task.ts'
import { iso } from '../../time/zone.ts'
import type { CourseTask } from '../tasks.ts'
import type { ActRead } from './act-read.ts'

/** Where snails, shrimp and urchins go with a step, and which of them. */
export interface CrewAnswer {
  animalIds: readonly string[]
  /** The tank that they go to; the course's own where they come back. */
  toTankId: string
}

/** What a tick that switches something, or moves somebody, holds when its button is pressed. */
export interface SwitchAnswer {
  /** What was switched of what the step asks; all of it where it is left out. */
  switched?: readonly EquipmentItem[]
  crew?: CrewAnswer
}

const isCrew = ({ group }: Pick<Animal, 'group'>): boolean => animalGroupById(group)?.kind === 'invertebrate'

/** Snails, shrimp, crabs and urchins that a step may move: those that live in its tank, or that lived there and are elsewhere now. */
export function crewFor(journal: Journal, { moves, tankId }: Pick<CourseTask, 'moves' | 'tankId'>): Animal[] {
  if (moves === 'crew-out') return residentsOf(journal, tankId).filter(isCrew)
  if (moves !== 'crew-back') return []
  return animalsOf(journal).filter((animal) => {
    const at = tankOfAnimal(animal)
    return (
      isCrew(animal) &&
      animal.count > 0 &&
      at !== null &&
      at !== tankId &&
      animal.stays.some((stay) => stay.tankId === tankId)
    )
  })
}

/**
 * What a tick with switches or moves keeps: what was switched, who was moved, and that it is done.
 * @param at ms
 * @returns with a problem where somebody is to move and no tank is named
 */
export function readSwitches(
  journal: Journal,
  task: CourseTask,
  { switched, crew }: SwitchAnswer,
  at: number,
): ActRead {
  const happened = iso(at)
  const { tankId, courseId, switches = [] } = task
  if (crew && crew.animalIds.length > 0 && crew.toTankId === '')
    return { problems: { toTankId: { message: 'which tank they go to' } } }
  const moved = crewFor(journal, task).filter(({ id }) => crew?.animalIds.includes(id))
  const contents: Content[] = [
    ...switches
      .filter(({ item }) => switched?.includes(item) ?? true)
      .map(({ item, running }): Content => ({
        kind: 'equipment',
        happened,
        tankId,
        item,
        running,
        courseId,
        taskId: task.id,
      })),
    ...moved.map((animal): Content => ({
      kind: 'move',
      happened,
      animalId: animal.id,
      fromTankId: tankOfAnimal(animal)!,
      toTankId: task.moves === 'crew-back' ? tankId : crew!.toTankId,
    })),
    wordContent(task, 'done', at),
  ]
  return { contents }
}
