import { isDrugPlan, type CoursePlan, type DrugPlan } from '../../core/courses/plan.ts'
import { observedDays } from '../../core/courses/tracks/watch.ts'
import { isTested } from '../../core/courses/tracks/level.ts'
import type { SalinityState } from '../../core/courses/tracks/salinity.ts'
import { gravityOfPsu } from '../../core/salinity/gravity.ts'
import type { PlannedDose } from '../../core/courses/amounts/planned-dose.ts'
import type { CourseTask } from '../../core/courses/tasks.ts'
import { MS_PER_DAY } from '../../core/time/zone.ts'
import { figures } from '../../core/words/numbers.ts'

function drugPhaseWords({ phase, course, clock, ramp, facts }: DrugPlan): string {
  if (phase === 'ramp') return `step ${(ramp.next ?? 0) + 1} of ${ramp.levels.length}`
  if (phase === 'proven')
    return `${course.requiredDays} of ${course.requiredDays}, ${isTested(facts) ? 'proven' : 'logged'}`
  if (clock.state === 'broken') return clock.breaks.at(-1)?.isReckoned ? 'under range by reckoning' : 'under range'
  if (clock.state === 'lost') return 'count lost'
  if (clock.runFrom === null) return 'not in range yet'
  const again = clock.stretches.some(({ kind }) => kind === 'superseded') ? ', again' : ''
  return `day ${Math.floor((facts.now - clock.runFrom) / MS_PER_DAY)} of ${course.requiredDays}${again}`
}

function salinityWords({ clock, psu }: SalinityState, { phase, course, facts }: CoursePlan): string {
  if (phase === 'proven') return `${course.requiredDays} of ${course.requiredDays}, proven; coming up`
  if (clock.state === 'broken') return 'over 1.010'
  if (clock.state === 'lost') return 'count lost'
  if (clock.runFrom === null) return psu === null ? 'not lowered yet' : `going down, ${gravityOfPsu(psu).toFixed(4)}`
  return `day ${Math.floor((facts.now - clock.runFrom) / MS_PER_DAY)} of ${course.requiredDays}`
}

/** Where a course is, in a few words: "day 4 of 14, again", "move 2 of 4 made", "day 6 of 14". */
export function phaseWords(plan: CoursePlan): string {
  const { phase, course, observation, facts, rounds, series, fishless } = plan
  if (phase === 'ended') return course.ended!.outcome
  if (phase === 'ahead') return 'lies ahead'
  if (phase === 'observing')
    return `observed, day ${observedDays(observation!, facts.now)} of ${Math.ceil(observation!.leastDays)}`
  if (rounds)
    return rounds.state === 'broken'
      ? 'a move is late'
      : `${rounds.made.length} of ${rounds.needs} moves made${rounds.restarts.length > 0 ? ', again' : ''}`
  if (fishless)
    return fishless.state === 'waiting' || fishless.state === 'broken'
      ? 'fish are in'
      : `day ${fishless.days} of ${fishless.needsDays}`
  if (plan.dips)
    return plan.dips.state === 'full'
      ? 'clean, looked at weekly'
      : `${plan.dips.has} of ${plan.dips.pace.need} dips clean`
  if (series) return `day ${series.day} of ${course.requiredDays}`
  if (plan.measures.length > 0)
    return `day ${plan.measures[0]!.day} of ${course.requiredDays}${facts.endedTreatmentAt === null ? '' : ', treated'}`
  if (plan.elapsed) return `day ${plan.elapsed.days} of ${plan.elapsed.needsDays}`
  if (plan.salinity) return salinityWords(plan.salinity, plan)
  const doses = plan.doses.find(({ track }) => track.id === course.definition.lead)
  if (doses) return `${doses.done.length} of ${doses.track.need} given`
  return isDrugPlan(plan) ? drugPhaseWords(plan) : ''
}

/** "2.6 mL". */
export const amountText = ({ amount, unit, massMg }: Pick<PlannedDose, 'amount' | 'unit' | 'massMg'>): string =>
  amount === null ? `${figures(massMg)} mg` : `${figures(amount, 4)} ${unit}`

/** The amount of a task in a few words; null where it has none. */
export function taskAmountText({ dose, session, bath, food }: CourseTask): string | null {
  if (dose) return amountText(dose)
  if (food) return `${figures(food.mgPerG)} mg a gram`
  if (session) return `at most ${amountText({ amount: session.amount, unit: session.unit, massMg: session.capMg })}`
  if (bath) return `${figures(bath.mgPerL)} ${bath.levelUnit}`
  return null
}

/** "2.04 → 2.25 mg/L". */
export const makesText = ({ fromMgPerL, makesMgPerL }: PlannedDose): string =>
  `${fromMgPerL.toFixed(2)} → ${makesMgPerL.toFixed(2)} mg/L`

/** A risk as it may be shown: nothing under one in a thousand is a number. */
export function riskText(risk: number): string {
  if (risk < 0.001) return 'under 0.1 %'
  const percent = risk * 100
  return `${percent < 1 ? percent.toFixed(1) : percent.toFixed(0)} %`
}

export const PARASITE_NAMES: Record<string, string> = { 'marine-ich': 'marine ich', 'marine-velvet': 'velvet' }
