import { coralDipById } from '../../catalogue/corals/coral-dips.data.ts'
import { headCountContents, headsIn, type Heads } from '../../household/head-count.ts'
import type { Journal } from '../../journal/journal.ts'
import { wordContent } from '../../schedule/task.ts'
import { LESION_STEP } from '../../watching/lesion-words.ts'
import { USUAL_MEAL_G } from '../amounts/planned-food.ts'
import type { CoursePlan } from '../plan.ts'
import type { Course } from '../course.ts'
import type { CourseTask } from '../tasks.ts'
import { iso } from '../../time/zone.ts'
import { readSwitches, type SwitchAnswer } from './read-switches.ts'
import type { ActRead } from './act-read.ts'
import { readBath } from './read-bath.ts'
import { readDipCount, readMeasure, readPatchScores, type Counted, type HostCount } from './read-count.ts'
import { readDip } from './read-dip.ts'
import { readLesions, type LesionAnswer } from './read-lesions.ts'
import { doseContent, foodContent, pumpsOffContent, taskContents } from './task-contents.ts'

/** What a task's form holds when its button is pressed; what is left out stands as the form opens. */
export interface ActAnswer {
  /** Of the tub's or the dip's water. */
  litres?: number
  minutes?: number
  /** Which coral dip; the planned one where it is left out. */
  dipId?: string
  /** By the label, in the product's unit, for a dip. */
  amount?: number
  /** Of food, g. */
  foodG?: number
  /** Whether the pumps were put off for the meal. */
  arePumpsOff?: boolean
  /** Counts or scores, by part or under WHOLE_TANK. */
  counted?: Counted
  /** Of a round of dips, by coral; nothing on any where it is null. */
  hosts?: Readonly<Record<string, HostCount>> | null
  /** Which pest was found in a round or at a look. */
  pest?: string
  heads?: Heads
  /** Of a look at lesions, by animal. */
  lesions?: Readonly<Record<string, LesionAnswer>>
  /** What was switched, and who was moved, with a tick that asks for it. */
  switches?: SwitchAnswer
  /** Why something is finished that is not reached. */
  why?: string
}

/** The end of a course that is not reached: its reason is kept with it. */
function closeByReason(task: CourseTask, course: Course, why: string, at: number): ActRead {
  const reason = why.trim()
  return reason === ''
    ? { problems: { why: { message: 'a reason: why it is over' } } }
    : {
        contents: [
          { kind: 'course-end', happened: iso(at), courseId: course.id, outcome: 'finished', why: reason },
          wordContent(task, 'done', at),
        ],
      }
}

const contentsOr = <T>(content: T | null, field: string, message: string) =>
  content === null ? { problems: { [field]: { message } } } : { contents: [content] }

function readCount(journal: Journal, plan: CoursePlan, task: CourseTask, answer: ActAnswer, at: number): ActRead {
  const { tankId, id: courseId } = plan.course
  const { counted = {} } = answer
  if (task.measure === 'patch-stage') return readPatchScores(plan, task, counted, at)
  const animalIds = task.measure === 'head-count' ? headsIn(journal, tankId) : []
  if (animalIds.length > 0) {
    const heads = answer.heads ?? { seen: animalIds, seenCounts: {} }
    return { contents: headCountContents(journal, { tankId, courseId, taskId: task.id }, animalIds, heads, at) }
  }
  return plan.dips && task.measure !== 'head-count'
    ? readDipCount(plan, task, answer.hosts ?? null, at, answer.pest)
    : readMeasure(journal, plan, task, counted, at)
}

/**
 * What the button of a task's card keeps for what its form holds. Readings, and changes of an amount that the course does not name, are kept
 * by the log line or the ledger's forms instead: for those it holds nothing.
 * @param at ms
 * @example
 * readAct(journal, plan, bathTask, { litres: 4, minutes: 30 }, now) // { contents: [{ kind: 'bath', … }] }
 */
export function readAct(journal: Journal, plan: CoursePlan, task: CourseTask, answer: ActAnswer, at: number): ActRead {
  const { course } = plan
  switch (task.act) {
    case 'dose':
      return contentsOr(doseContent(task, course, at), 'product', 'a product from the shelf that its tool can measure')
    case 'bath': {
      const { litres = null, minutes, amount = null } = answer
      const { dip, bath } = task
      if (dip) {
        const chosen = answer.dipId === undefined ? dip.dip : coralDipById(answer.dipId)
        return readDip(
          journal,
          plan,
          task,
          { dipId: chosen.id, partIds: null, litres, minutes: minutes ?? chosen.minutes[0], amount },
          at,
        )
      }
      return readBath(
        task,
        course,
        { litres: answer.litres ?? bath?.litres ?? null, minutes: minutes ?? bath?.minutes[0] ?? null },
        at,
      )
    }
    case 'feed':
      if (task.food)
        return contentsOr(
          foodContent(task, course, at, answer.foodG ?? USUAL_MEAL_G),
          'foodG',
          'grams of food, such as 2',
        )
      return {
        contents: [...(answer.arePumpsOff ? [pumpsOffContent(course, at)] : []), wordContent(task, 'done', at)],
      }
    case 'count':
      return readCount(journal, plan, task, answer, at)
    case 'look':
      return task.step === LESION_STEP
        ? readLesions(task, answer.lesions ?? {}, at)
        : { contents: taskContents(journal, task, course, at) }
    case 'tick':
      return task.switches || task.moves
        ? readSwitches(journal, task, answer.switches ?? {}, at)
        : { contents: taskContents(journal, task, course, at) }
    case 'close':
      if (task.needsReason) return closeByReason(task, course, answer.why ?? '', at)
      return { contents: [...taskContents(journal, task, course, at), wordContent(task, 'done', at)] }
    default:
      return { contents: taskContents(journal, task, course, at) }
  }
}
