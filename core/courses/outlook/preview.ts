import type { Definition } from '../../catalogue/courses/definitions.ts'
import { rampOf, type Dose } from '../../catalogue/treatments/treatments.ts'
import type { ShelfProduct } from '../../household/shelf.ts'
import { MS_PER_DAY, MS_PER_HOUR } from '../../time/zone.ts'
import { rampLevels } from '../amounts/ramp.ts'
import { OBSERVATION_DAYS } from '../course.ts'
import { doseToward, type PlannedDose } from '../amounts/planned-dose.ts'

/** Rest after dewormings that go before a drug: their bloom takes 24 to 48 h (quarantine.md 6, prazi-any). */
export const REST_AFTER_DEWORMING_HOURS = 48

/**
 * Hours that the drug of a course waits for dewormings that go before it, if they are given at their best times.
 * @param definition with the parts that were chosen
 */
export function hoursBeforeDrug({ tracks }: Definition): number {
  const track = tracks.find(({ id }) => id === 'dewormings')
  if (track?.kind !== 'rounds' || track.of !== 'dose' || track.first.after !== 'start') return 0
  return track.first.hours[1] + (track.need - 1) * track.apart[0]![1] + REST_AFTER_DEWORMING_HOURS
}

/** A course before it starts: what its first days and its end would be if all goes by the book. */
export interface CoursePreview {
  steps: { at: number; dose: PlannedDose }[]
  /** When the level would be in range, and when the count would be full from there. */
  inRangeAt: number
  fullAt: number
  observedFrom: { least: number; preferred: number }
}

/**
 * The schedule of a course that is not yet in the journal.
 * @param startAt       ms, the first step
 * @param startMgPerL   copper in the water already
 */
export function coursePreview({
  dose,
  direct,
  rampHours,
  requiredDays,
  volumeL,
  product,
  startAt,
  startMgPerL = 0,
}: {
  dose: Dose
  direct: boolean
  rampHours: number
  requiredDays: number
  volumeL: number
  product: ShelfProduct | null
  startAt: number
  startMgPerL?: number
}): CoursePreview {
  const [least, most] = rampOf(dose.agent).intervalHours ?? [rampHours, rampHours]
  const apart = Math.min(most, Math.max(least, rampHours)) * MS_PER_HOUR
  const steps: CoursePreview['steps'] = []
  let level = startMgPerL
  for (const target of rampLevels({ dose, direct })) {
    const step = doseToward(level, target, dose.high, volumeL, product)
    if (!step) continue
    steps.push({ at: startAt + steps.length * apart, dose: step })
    level = step.makesMgPerL
  }
  // In range with the step that first reaches the low; it is proven by the readings after it.
  const inRangeAt = steps.find((step) => step.dose.makesMgPerL >= dose.low)?.at ?? steps.at(-1)?.at ?? startAt
  const fullAt = inRangeAt + requiredDays * MS_PER_DAY
  return {
    steps,
    inRangeAt,
    fullAt,
    observedFrom: {
      least: fullAt + OBSERVATION_DAYS.least * MS_PER_DAY,
      preferred: fullAt + OBSERVATION_DAYS.preferred * MS_PER_DAY,
    },
  }
}
