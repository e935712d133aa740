import { coralDipById } from '../../catalogue/corals/coral-dips.data.ts'
import type { Journal } from '../../journal/journal.ts'
import { bathAmount } from '../amounts/planned-bath.ts'
import { plannedDip, type PlannedDip } from '../amounts/planned-dip.ts'
import type { CoursePlan } from '../plan.ts'
import type { CourseTask } from '../tasks.ts'
import type { ActRead } from './act-read.ts'
import { dipContent } from './task-contents.ts'

/** A dip as it is filled in; null where nothing that is a number was typed. */
export interface DipAnswer {
  dipId: string
  /** Corals in it; all that may have it where it is null. */
  partIds: readonly string[] | null
  /** Of the dip's water. */
  litres: number | null
  minutes: number | null
  /** By the label, in the product's unit, where only the label knows. */
  amount: number | null
}

/** A round's dip by the dip that was chosen: what may be in it, and how much of the product a litre takes. */
export const dipOf = (journal: Journal, plan: CoursePlan, task: CourseTask, dipId: string): PlannedDip =>
  plannedDip(
    journal,
    plan.course,
    plan.facts.parts.filter(({ id }) => task.dip!.hosts.some(({ partId }) => partId === id)),
    coralDipById(dipId),
  )

/** Corals that this dip may have. */
export const mayHaveDip = ({ hosts }: PlannedDip): string[] =>
  hosts.filter(({ mustNot }) => mustNot === null).map(({ partId }) => partId)

/** A round's dip as its form reads it. */
export function readDip(journal: Journal, plan: CoursePlan, task: CourseTask, answer: DipAnswer, at: number): ActRead {
  const { litres, minutes } = answer
  const planned = dipOf(journal, plan, task, answer.dipId)
  const { dip, product } = planned
  const mayHave = mayHaveDip(planned)
  const partIds = (answer.partIds ?? mayHave).filter((id) => mayHave.includes(id))
  const measured = planned.bath && product && litres !== null ? bathAmount(planned.bath, litres) : null
  const amount = measured ? measured.amount : answer.amount
  const problems: Record<string, { message: string }> = {}
  if (litres === null || !(litres > 0)) problems['litres'] = { message: 'the water in the dip, such as 2' }
  if (minutes === null || !(minutes > 0)) problems['minutes'] = { message: `minutes, ${dip.minutes[0]} at least` }
  else if (minutes > dip.minutes[1])
    problems['minutes'] = { message: `at most ${dip.minutes[1]} min in this dip: longer burns tissue` }
  if (amount === null || !(amount > 0)) problems['amount'] = { message: 'as much as its label says for that water' }
  if (partIds.length === 0) problems['hosts'] = { message: 'which corals were in it' }
  const isTooLong = minutes !== null && minutes > dip.minutes[1]
  if (Object.keys(problems).length > (isTooLong ? 1 : 0)) return { problems }
  const content = dipContent(task, plan.course, at, {
    dip,
    product,
    partIds,
    amount: amount!,
    massMg: measured ? measured.makesMgPerL * litres! : null,
    litres: litres!,
    minutes: minutes!,
  })
  return isTooLong ? { problems, proposed: [content] } : { contents: [content] }
}
