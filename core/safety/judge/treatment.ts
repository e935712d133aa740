import type { Dose } from '../../catalogue/treatments/treatments.ts'

/** What is given, as far as tolerance and interactions go. */
export interface Treatment {
  agent: string
  /** The dose's row, where it is known which: a band may matter. */
  dose?: Dose
  /** Straight to the dose; steps closer than a day. */
  direct?: boolean
  rampHours?: number
  /** Its own course, which does not speak against itself. */
  courseId?: string
  /** The level it makes in the water, in the unit of its rows; null where that is not known, left out where a course says its row. */
  makesMgPerL?: number | null
  /** The level a day before: what a ramp is measured from. */
  dayBeforeMgPerL?: number
  /** With the food: what binds it in the water is not asked about. */
  isFed?: boolean
  /** In water of its own, for minutes. */
  isBath?: boolean
  /** The product is carried in alcohol or glycol. */
  isSolvent?: boolean
  /** Nobody is in the tank and the filter media are out. */
  isMediaOut?: boolean
}
