import { MS_PER_DAY, MS_PER_HOUR } from '../../time/zone.ts'

/** What a pump has brought into the stand-ins' tank up to an instant. */
export interface Brought {
  parameter: string
  /** In the parameter's unit. */
  rise: number
}

/** A parameter of the stand-ins' tank: a level, and how it swings in a day. Made up for Brinvo. */
interface Course {
  level: number
  swing: number
  /** Hour of the day, UTC, at which it is highest. */
  peakHour: number
  /** One standard deviation of a probe's noise. */
  noise: number
  /** How far it drifts in an hour where that fault is played. */
  driftPerHour: number
  /** How far a spike jumps. */
  spike: number
}

const COURSES: Readonly<Record<string, Course>> = {
  temp: { level: 25.2, swing: 0.3, peakHour: 18, noise: 0.03, driftPerHour: 0.1, spike: 4 },
  ph: { level: 8.12, swing: 0.12, peakHour: 17, noise: 0.012, driftPerHour: 0.02, spike: 1.2 },
  salinity: { level: 35, swing: 0.12, peakHour: 7, noise: 0.04, driftPerHour: 0.1, spike: 6 },
  'alk-kh': { level: 8, swing: 0, peakHour: 0, noise: 0.05, driftPerHour: 0.05, spike: 3 },
  k: { level: 352, swing: 0, peakHour: 0, noise: 3, driftPerHour: 2, spike: 80 },
  ca: { level: 425, swing: 0, peakHour: 0, noise: 3, driftPerHour: 2, spike: 80 },
  no3: { level: 6, swing: 0, peakHour: 0, noise: 0.2, driftPerHour: 0.1, spike: 5 },
  po4: { level: 0.06, swing: 0, peakHour: 0, noise: 0.004, driftPerHour: 0.002, spike: 0.2 },
}

/** How a parameter of the stand-ins' tank goes; undefined for one that the tank does not know. */
export const courseOf = (parameter: string): Course | undefined => COURSES[parameter]

/**
 * What a parameter of the stand-ins' tank really is at an instant.
 * @param at ms
 * @param brought by the pump up to then
 * @returns in the parameter's unit; null for a parameter that the tank does not know
 */
export function trueLevel(parameter: string, at: number, brought: readonly Brought[]): number | null {
  const course = COURSES[parameter]
  if (!course) return null
  const hour = (at % MS_PER_DAY) / MS_PER_HOUR
  const swing = course.swing * Math.cos((2 * Math.PI * (hour - course.peakHour)) / 24)
  const risen = brought.reduce((sum, one) => (one.parameter === parameter ? sum + one.rise : sum), 0)
  return course.level + swing + risen
}
