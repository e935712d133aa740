import { doseById, DOSES, type Dose } from '../catalogue/treatments/treatments.ts'
import { isCopper } from '../catalogue/treatments/groups.ts'
import { COURSE_LENGTHS, type CourseLength } from './course.ts'
import { shortCourseName } from './names.ts'

/** A copper dose and how long it could be held, and whether the handbook holds it so long. */
export interface CopperChoice {
  dose: Dose
  length: CourseLength
  days: number
  allowed: boolean
  /** Why not, or what the dose's own row adds. */
  why: string
}

/** Every copper form with each length; only those the dose's row of the handbook allows are allowed. */
export function copperChoices(): CopperChoice[] {
  return DOSES.filter((dose) => dose.route === 'tank' && isCopper(dose.agent)).flatMap((dose) =>
    COURSE_LENGTHS.map(({ id, days }) => {
      const [least, most] = dose.courseDays!
      const allowed = days >= least && days <= most
      const held = least === most ? `${least} days` : `${least} to ${most} days`
      return {
        dose,
        length: id,
        days,
        allowed,
        why: allowed ? dose.source : `${shortCourseName(dose.id)} is held for ${held}, not ${days}`,
      }
    }),
  )
}

/** The choice of a dose and a length, or undefined where there is none of that name. */
export const copperChoice = (doseId: string, length: CourseLength): CopperChoice | undefined =>
  doseById(doseId) && copperChoices().find((choice) => choice.dose.id === doseId && choice.length === length)
