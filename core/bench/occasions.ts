import { coralDipById } from '../catalogue/corals/coral-dips.data.ts'
import { AIR_LIMITS } from '../catalogue/procedures/limits.data.ts'
import type { ChecklistItem, OnlyWhere, Procedure, ProcedureStep } from '../catalogue/procedures/procedure.types.ts'
import { doseById } from '../catalogue/treatments/treatments.ts'
import type { ContentOf } from '../journal/entry.ts'

/** What was chosen and asked before a procedure began. */
export type BenchStart = ContentOf<'bench-start'>
export type BenchChoices = Pick<BenchStart, 'choices'>

/** One thing that a run asks for: an item of a list, or a step, of one subject where it is done subject by subject. */
export interface Occasion {
  place: 'before' | 'step' | 'after'
  /** What a mark names it by. */
  step: string
  /** The part or animal that it is done to; null where it is done once. */
  subjectId: string | null
  title: string
  /** Minutes that it lasts; null where it has no timer. */
  timer: TimerMinutes | null
  /** The clock that begins with it; null where none does. */
  begins: ClockLimits | null
  item: ChecklistItem | ProcedureStep
}

/** Minutes of a timed step. */
export interface TimerMinutes {
  minutes: number
  leastMinutes: number
  /** Over this it harms; null where it does not. */
  stopMinutes: number | null
  /** Another subject may be begun while it lasts. */
  meanwhile: boolean
}

/** A clock that a step begins. */
export interface ClockLimits {
  clock: string
  label: string
  warnMinutes: number
  stopMinutes: number
  /** It rings each so many minutes too: the coral is dipped. */
  wetEveryMinutes: number | null
}

/** What was chosen, or the first option; undefined where a procedure has no such choice. */
export const chosenOption = (
  { choices }: Pick<Procedure, 'choices'>,
  { choices: chosen = [] }: BenchChoices,
  id: string,
): string | undefined =>
  chosen.find((one) => one.id === id)?.option ?? choices.find((choice) => choice.id === id)?.options[0]?.id

/** Whether something that depends on a choice is asked for. */
export const isAskedFor = (procedure: Procedure, chosen: BenchChoices, only: OnlyWhere | undefined): boolean =>
  only === undefined || only.is.includes(chosenOption(procedure, chosen, only.choice) ?? '')

function timerOf(procedure: Procedure, chosen: BenchChoices, { timer }: ProcedureStep): TimerMinutes | null {
  if (!timer) return null
  const meanwhile = timer.meanwhile ?? false
  if ('minutes' in timer)
    return {
      minutes: timer.minutes,
      leastMinutes: timer.leastMinutes ?? timer.minutes,
      stopMinutes: timer.stopMinutes ?? null,
      meanwhile,
    }
  const out = procedure.measuredOut
  const minutes =
    out?.for === 'bath'
      ? doseById(out.dose)?.bathMinutes
      : out?.for === 'dip'
        ? coralDipById(chosenOption(procedure, chosen, 'dip')).minutes
        : null
  return minutes ? { minutes: minutes[0], leastMinutes: minutes[0], stopMinutes: minutes[1], meanwhile } : null
}

function clockOf(procedure: Procedure, chosen: BenchChoices, { begins }: ProcedureStep): ClockLimits | null {
  if (!begins) return null
  const { clock, label } = begins
  if ('warnMinutes' in begins)
    return { clock, label, warnMinutes: begins.warnMinutes, stopMinutes: begins.stopMinutes, wetEveryMinutes: null }
  const { warnMinutes, stopMinutes, wetEveryMinutes } =
    AIR_LIMITS.find(({ id }) => id === chosenOption(procedure, chosen, begins.limits)) ?? AIR_LIMITS[0]!
  return { clock, label, warnMinutes, stopMinutes, wetEveryMinutes }
}

/**
 * All that a procedure asks for in its order: the list before, the steps, subject by subject where they are, the list after.
 * @param chosen     what was chosen before it began; the first options where left out
 * @param subjectIds parts or animals, in the order in which they are dealt with
 * @example
 * occasionsOf(procedureById('coral-dip')!, {}, ['zoa', 'mont']).map(({ step }) => step)
 */
export function occasionsOf(procedure: Procedure, chosen: BenchChoices, subjectIds: readonly string[]): Occasion[] {
  const isIn = ({ only }: { only?: OnlyWhere }) => isAskedFor(procedure, chosen, only)
  const listed = (place: 'before' | 'after', items: readonly ChecklistItem[]): Occasion[] =>
    items.filter(isIn).map((item) => ({
      place,
      step: `${place}-${item.id}`,
      subjectId: null,
      title: item.words,
      timer: null,
      begins: null,
      item,
    }))
  const once = (item: ProcedureStep, subjectId: string | null): Occasion => ({
    place: 'step',
    step: item.id,
    subjectId,
    title: item.title,
    timer: timerOf(procedure, chosen, item),
    begins: clockOf(procedure, chosen, item),
    item,
  })
  const steps = procedure.steps.filter(isIn)
  const done: Occasion[] = []
  for (let i = 0; i < steps.length; i++) {
    const step = steps[i]!
    if (!step.each) {
      done.push(once(step, null))
      continue
    }
    // Steps of each subject stand together: the first subject through all of them, then the second.
    let last = i
    while (steps[last + 1]?.each) last++
    const together = steps.slice(i, last + 1)
    for (const subjectId of subjectIds) done.push(...together.map((one) => once(one, subjectId)))
    i = last
  }
  return [...listed('before', procedure.before), ...done, ...listed('after', procedure.after)]
}
