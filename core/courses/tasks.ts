import type { Act, CountMeasure, PlanPage, Step } from '../catalogue/courses/definitions.ts'
import type { Part } from '../household/parts.ts'
import { byUrgency, type Task } from '../schedule/task.ts'
import type { PlannedBath } from './amounts/planned-bath.ts'
import type { PlannedDip } from './amounts/planned-dip.ts'
import type { PlannedChange, PlannedDose } from './amounts/planned-dose.ts'
import type { PlannedFood } from './amounts/planned-food.ts'
import type { PlannedSession } from './amounts/planned-session.ts'

/** Something due in a course, worked out from its definition and the journal. */
export interface CourseTask extends Task {
  /** Ids that earlier versions gave the same occasion. */
  aliases?: readonly string[]
  courseId: string
  /** Other courses of the same tank that it serves as well. */
  alsoFor?: readonly string[]
  /** Step of the definition. */
  step: string
  act: Act
  /** Of a dose that is not of the course's held drug. */
  ingredient?: string
  dose?: PlannedDose
  /** What the dose makes of a tested value, where that is not the level of its ingredient. */
  makes?: string
  food?: PlannedFood
  change?: PlannedChange
  bath?: PlannedBath
  session?: PlannedSession
  /** The procedure of the bench that does it, where its step names one. */
  procedure?: string
  /** Where the animals go, for a move or after a bath. */
  toTankId?: string
  /** What is to be counted, for a count. */
  measure?: CountMeasure
  /** What is counted one by one; the whole tank where it is left out. */
  each?: Part['what']
  /** The rule that asks for it, for the end of a treatment. */
  rule?: string
  /** The page of the app where it is worked out. */
  page?: PlanPage
  /** What is to be tested, for a reading of several values. */
  parameters?: readonly string[]
  /** A round of dips: the corals that are still to be done. */
  dip?: PlannedDip
  /** Rules that do not hold yet: the task waits for them. */
  waitsFor?: readonly string[]
  /** How it is done, and what to look out for: stand beside it before it is done. */
  how?: string
  caution?: string
  /** What is switched with it. */
  switches?: NonNullable<Step['switches']>
  /** Snails, shrimp and urchins that it moves out, or back. */
  moves?: NonNullable<Step['moves']>
  /** It is finished only by a written reason. */
  needsReason?: true
  /** Nobody is at home in its whole window. */
  isAway?: true
}

/** What is dosed before what is read before what is watched, when both are due. */
const ACT_RANK: Record<Act, number> = {
  change: 0,
  switch: 4,
  dose: 1,
  bath: 1,
  bench: 1,
  feed: 2,
  move: 2,
  read: 3,
  count: 3,
  tick: 3,
  mark: 3,
  look: 5,
  close: 6,
}
/** What comes first whatever its act. */
const STEP_RANK: Readonly<Record<string, number>> = { join: 0, 'pumps-on': -1, 'step-1': 0 }

const rankOf = ({ step, act }: CourseTask): number => STEP_RANK[step] ?? ACT_RANK[act]

/** Late first, then due, then ahead; within each what is due sooner. */
export const byActAndUrgency = (a: CourseTask, b: CourseTask): number =>
  a.state === b.state && a.state !== 'ahead' ? rankOf(a) - rankOf(b) || a.best - b.best : byUrgency(a, b)
