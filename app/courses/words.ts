import type { CoursePlan } from '../../core/courses/plan.ts'
import { observedDays } from '../../core/courses/observation.ts'
import type { PlannedDose } from '../../core/courses/planned-dose.ts'
import { MS_PER_DAY } from '../../core/time/zone.ts'
import { figures } from '../../core/words/numbers.ts'

/** Where a course is, in a few words: "day 4 of 14, again", "ramp, step 2 of 4". */
export function phaseWords({ phase, course, clock, ramp, observation, facts }: CoursePlan): string {
  switch (phase) {
    case 'ramp':
      return `step ${(ramp.next ?? 0) + 1} of ${ramp.levels.length}`
    case 'observing':
      return `observed, day ${observedDays(observation!, facts.now)} of ${observation!.leastDays}`
    case 'proven':
      return `${course.requiredDays} of ${course.requiredDays}, proven`
    case 'ended':
      return course.ended!.outcome
    case 'hold': {
      if (clock.state === 'broken') return clock.breaks.at(-1)?.isReckoned ? 'under range by reckoning' : 'under range'
      if (clock.state === 'lost') return 'count lost'
      if (clock.runFrom === null) return 'not in range yet'
      const again = clock.stretches.some(({ kind }) => kind === 'superseded') ? ', again' : ''
      return `day ${Math.floor((facts.now - clock.runFrom) / MS_PER_DAY)} of ${course.requiredDays}${again}`
    }
  }
}

/** "2.6 mL". */
export const amountText = ({ amount, unit, massMg }: PlannedDose): string =>
  amount === null ? `${figures(massMg)} mg` : `${figures(amount, 4)} ${unit}`

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
