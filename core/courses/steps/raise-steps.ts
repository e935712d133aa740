import type { Condition, Step } from '../../catalogue/courses/definitions.ts'
import { tankById } from '../../household/tanks.ts'
import { raiseCautions } from '../../water/correction/words.ts'
import { parameterValue, quantityText } from '../../words/quantities.ts'
import { raiseToday, saltName, type RaiseToday } from '../amounts/raise-today.ts'
import { addSchedule } from './late-schedules.ts'
import { isStopping } from './plan-steps.ts'
import { base, type Draft, type TaskInput } from './step-input.ts'

/** A scale of 0.01 g weighs less than this only to a tenth or worse, g (EA). */
const LEAST_WEIGHED_G = 0.1

/** Stops of a plan that hold what raises a parameter: one that is over its own limit holds no other. */
function stopsFor(input: TaskInput, parameterId: string): string[] {
  const { rules, steps } = input.facts.course.definition
  const raised = new Set(steps.flatMap(({ raises }) => raises?.parameter ?? []))
  const isOfAnother = (when: Condition | undefined): boolean =>
    when !== undefined &&
    'left' in when &&
    typeof when.left === 'object' &&
    'parameter' in when.left &&
    when.left.parameter !== parameterId &&
    raised.has(when.left.parameter)
  return input.rules.flatMap((rule) =>
    isStopping(rule) && !isOfAnother(rules.find(({ id }) => id === rule.id)?.when) ? [rule.rule] : [],
  )
}

const SIDE_FORBIDS = {
  'over-band': 'is over its band',
  rising: 'already rises by more than its daily cap',
  'not-tested': 'was not tested in the last two days',
} as const

/** Why the salt on the shelf is not dosed today: "0 g of potassium carbonate today: alkalinity is over its band; ". */
const insteadWords = ({ insteadOf }: RaiseToday): string =>
  insteadOf
    ? `0 of ${saltName(insteadOf.salt)} today: ${insteadOf.side.name.toLowerCase()} ${SIDE_FORBIDS[insteadOf.why]}; `
    : ''

/** What is dosed of an element or a nutrient today, by hand: from today's test, and not before it. */
function raiseTask(input: TaskInput, step: Step): Draft | null {
  const { facts, journal, settings } = input
  const { course, now } = facts
  const tank = tankById(journal, course.tankId)
  if (!tank || !step.raises || facts.endedTreatmentAt !== null) return null
  const raise = raiseToday(journal, tank, step.raises, settings, now, `${course.id}/${step.id}/`)
  const { clock, units } = settings
  const today = clock.dayOf(now)
  if (!raise || raise.notBefore >= clock.instantAt(today + 1)) return null
  const { parameter, salt, product, plan, dose, portion } = raise
  const say = (value: number) => quantityText(parameterValue(parameter.id, value, units))
  const isTooLittle = product === null && dose.amount !== null && dose.amount < LEAST_WEIGHED_G
  const waitsFor = stopsFor(input, parameter.id)
  return {
    // The day and the portion say which.
    ...base(
      input,
      { ...step, caution: raiseCautions(salt).join(' ') },
      portion.number === 1 ? today : `${today}.${portion.number}`,
    ),
    title: `${step.title}: ${product?.name ?? saltName(salt)}${portion.of > 1 ? `, portion ${portion.number} of ${portion.of}` : ''}`,
    why: `${insteadWords(raise)}${plan.days > 1 ? `by today’s test; ${plan.days} days like this make ${say(raise.aim)}` : 'by today’s test'}`,
    how: isTooLittle
      ? 'Too little to weigh dry: make a stock of it, and put that on the shelf.'
      : portion.of > 1
        ? 'One portion now, slowly, into strong flow; the next two hours later.'
        : 'At once, slowly, into strong flow.',
    ingredient: salt.id,
    dose,
    makes: `${say(raise.from)} → ${say(raise.to)}${plan.dosedPerDay - plan.risePerDay > 1e-9 ? ', of which the tank uses some' : ''}`,
    notBefore: raise.notBefore,
    best: Math.max(raise.testedAt, raise.notBefore),
    notAfter: clock.instantAt(today + 1),
    page: 'correct',
    ...(waitsFor.length > 0 && { waitsFor }),
  }
}

addSchedule('raise-today', raiseTask)
