import type { CoralDip } from '../../catalogue/corals/coral-dips.data.ts'
import type { ShelfProduct } from '../../household/shelf.ts'
import { animalById, tankOfAnimal } from '../../household/animals.ts'
import { bindersAt } from '../../household/tanks.ts'
import type { Content, ContentOf } from '../../journal/entry.ts'
import type { Journal } from '../../journal/journal.ts'
import { iso } from '../../time/zone.ts'
import type { Course } from '../course.ts'
import { isCopper } from '../../catalogue/treatments/groups.ts'
import type { PlannedChange } from '../amounts/planned-dose.ts'
import { bathAmount } from '../amounts/planned-bath.ts'
import { ruleWordId } from '../rules/rules.ts'
import { wordContent } from '../../schedule/task.ts'
import type { CourseTask } from '../tasks.ts'

/** The dose of a task as the journal keeps it; null where there is nothing measurable to keep. */
export function doseContent(task: CourseTask, course: Course, at: number): ContentOf<'dose'> | null {
  const { dose, session } = task
  const shared = { kind: 'dose' as const, happened: iso(at), tankId: task.tankId }
  if (session) {
    const [product] = course.definition.products
    if (!product || session.productId === null || session.unit === null || !session.amount) return null
    return {
      ...shared,
      ingredient: product.ingredient,
      productId: session.productId,
      amount: session.amount,
      unit: session.unit,
      massMg: (session.capMg * session.makesMgPerL!) / session.capMgPerL,
      courseId: course.id,
      taskId: task.id,
    }
  }
  const ingredient = task.ingredient ?? course.dose?.agent
  if (
    ingredient === undefined ||
    !dose ||
    dose.productId === null ||
    dose.amount === null ||
    dose.unit === null ||
    dose.amount <= 0
  )
    return null
  return {
    ...shared,
    ingredient,
    productId: dose.productId,
    amount: Number(dose.amount.toPrecision(8)),
    unit: dose.unit,
    massMg: (dose.makesMgPerL - dose.fromMgPerL) * dose.volumeL,
    // The held drug's doses are its course's by their agent; all others say whose they are.
    ...(task.ingredient !== undefined && { courseId: course.id, taskId: task.id }),
  }
}

/**
 * The medicated meal of a task as the journal keeps it.
 * @param foodG g of food
 */
export const foodContent = (task: CourseTask, course: Course, at: number, foodG: number): ContentOf<'feed'> | null =>
  task.food && foodG > 0
    ? {
        kind: 'feed',
        happened: iso(at),
        tankId: task.tankId,
        ...(task.animalIds && task.animalIds.length > 0 && { animalIds: [...task.animalIds] }),
        foodG,
        ingredient: task.food.ingredient,
        mgPerG: task.food.mgPerG,
        courseId: course.id,
        taskId: task.id,
      }
    : null

/**
 * The bath of a task as the journal keeps it.
 * @param litres  of the tub's water
 * @param minutes that they were in it
 * @returns null where there is nothing measurable to keep
 */
export function bathContent(
  task: CourseTask,
  course: Course,
  at: number,
  { litres, minutes, stopped }: { litres: number; minutes: number; stopped?: string },
): ContentOf<'bath'> | null {
  const { bath } = task
  const measured = bath && bathAmount(bath, litres)
  if (!bath || !measured || bath.unit === null || !(measured.amount > 0)) return null
  return {
    kind: 'bath',
    happened: iso(at),
    tankId: task.tankId,
    animalIds: [...(task.animalIds ?? [])],
    ingredient: bath.ingredient,
    ...(bath.productId !== null && { productId: bath.productId }),
    amount: measured.amount,
    unit: bath.unit,
    massMg: measured.makesMgPerL * litres,
    litres,
    water: 'new',
    minutes,
    ...(stopped !== undefined && { stopped }),
    courseId: course.id,
    taskId: task.id,
  }
}

/**
 * A dip of some corals as the journal keeps it.
 * @param amount of the product, in its unit
 * @param massMg of what its strength is counted in; null where only the label says how strong it is
 */
export const dipContent = (
  task: CourseTask,
  course: Course,
  at: number,
  dipped: {
    dip: CoralDip
    product: ShelfProduct | null
    partIds: readonly string[]
    amount: number
    massMg: number | null
    litres: number
    minutes: number
  },
): ContentOf<'bath'> => ({
  kind: 'bath',
  happened: iso(at),
  tankId: task.tankId,
  animalIds: [],
  partIds: [...dipped.partIds],
  ingredient: dipped.dip.ingredient,
  ...(dipped.product && { productId: dipped.product.id }),
  amount: dipped.amount,
  unit: dipped.product?.unit ?? 'mL',
  ...(dipped.massMg !== null && { massMg: dipped.massMg }),
  litres: dipped.litres,
  water: 'tank',
  minutes: dipped.minutes,
  courseId: course.id,
  taskId: task.id,
})

/** The pumps of a tub are put off while its corals eat. */
export const pumpsOffContent = (course: Course, at: number): ContentOf<'equipment'> => ({
  kind: 'equipment',
  happened: iso(at),
  tankId: course.tankId,
  item: 'flow',
  running: false,
  courseId: course.id,
})

/** What the new water of a change holds, as it is kept. */
function replacementOf({ salinity, carried = [] }: PlannedChange): Pick<ContentOf<'water-change'>, 'replacement'> {
  const copper = carried.find(({ agent }) => isCopper(agent))?.dose.makesMgPerL
  return salinity || copper !== undefined
    ? {
        replacement: {
          ...(salinity && { salinityPsu: salinity.replacementPsu }),
          ...(copper !== undefined && { copperMgPerL: copper }),
        },
      }
    : {}
}

/** Everything a task's own button keeps, apart from doses, baths, readings and counts; empty for those. */
export function taskContents(journal: Journal, task: CourseTask, course: Course, now: number): Content[] {
  const happened = iso(now)
  const { tankId } = task
  if (task.step === 'join')
    return [
      {
        kind: 'course-change',
        happened,
        courseId: course.id,
        changes: { animalIds: [...course.animalIds, ...(task.animalIds ?? [])] },
      },
    ]
  if (task.step === 'sterilise')
    return [{ kind: 'gear-clean', happened, tankId, how: 'bleached', courseId: course.id, taskId: task.id }]
  switch (task.act) {
    case 'change':
      return task.change
        ? [
            {
              kind: 'water-change',
              happened,
              tankId,
              litres: task.change.litres,
              ...replacementOf(task.change),
            },
          ]
        : []
    case 'look':
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
      return task.toTankId === undefined
        ? []
        : (task.animalIds ?? []).flatMap((animalId): Content[] => {
            const animal = animalById(journal, animalId)
            const from = animal && tankOfAnimal(animal)
            return from && from !== task.toTankId
              ? [{ kind: 'move', happened, animalId, fromTankId: from, toTankId: task.toTankId!, cleanTransfer: true }]
              : []
          })
    case 'switch':
      if (task.step === 'pumps-on')
        return [
          { kind: 'equipment', happened, tankId: course.tankId, item: 'flow', running: true, courseId: course.id },
        ]
      if (task.step === 'carbon-out')
        return bindersAt(journal, tankId, now).map(({ item }) => ({
          kind: 'equipment',
          happened,
          tankId,
          item,
          running: false,
        }))
      return [{ kind: 'equipment', happened, tankId: course.tankId, item: 'carbon', running: true }]
    case 'mark':
      return [
        {
          kind: 'course-mark',
          happened,
          courseId: course.id,
          anchor: 'end',
          ...(task.rule !== undefined && { rule: task.rule }),
        },
      ]
    case 'feed':
    case 'bench':
    case 'tick':
      return [wordContent(task, 'done', now)]
    case 'close':
      return [{ kind: 'course-end', happened, courseId: course.id, outcome: 'finished' }]
    default:
      return []
  }
}

/** Appetite "ate" on the scale of sightings. */
const ATE = 3

/** The keeper's word that a rule only they can answer holds, or holds no longer (`skipped`). */
export const ruleWord = (
  course: Course,
  rule: string,
  run: number,
  now: number,
  state: 'done' | 'skipped' = 'done',
): ContentOf<'task'> =>
  wordContent({ id: ruleWordId(course.id, rule, run), tankId: course.tankId, courseId: course.id }, state, now)
