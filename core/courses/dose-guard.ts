import { isCopper } from '../catalogue/treatments/groups.ts'
import { DOSES, type Dose } from '../catalogue/treatments/treatments.ts'
import type { ShelfProduct } from '../household/shelf.ts'
import type { Tank } from '../household/tanks.ts'
import type { ContentOf } from '../journal/entry.ts'
import type { Journal } from '../journal/journal.ts'
import { concernsOf } from './checks.ts'
import { copperFacts, knownLevel } from './copper-facts.ts'
import { runningIn } from './course.ts'
import { doseToward } from './planned-dose.ts'

/** Why a dose about to be kept should be asked about, and what would be right. */
export interface DoseDoubt {
  question: string
  /** The amount that would be right, in the product's unit; null where none would. */
  rather: { amount: number; makesMgPerL: number } | null
}

type DoseContent = ContentOf<'dose'>

/** A level counts as over a band's high by more than a kit could ever tell. */
const SLACK = 1e-6

/**
 * Whether a dose, typed or planned, would take a copper course over its band, or put copper where it must never go.
 * @param except an entry this dose stands in for: the one being corrected
 * @returns null when nothing speaks against it
 */
export function doubtOf(
  journal: Journal,
  tank: Tank,
  { massMg, happened, ingredient }: Pick<DoseContent, 'massMg' | 'happened' | 'ingredient'>,
  product: ShelfProduct | null,
  except?: string,
): DoseDoubt | null {
  if (!isCopper(ingredient)) return null
  const at = Date.parse(happened)
  const course = runningIn(journal, tank.id).find(({ startedAt, dose }) => startedAt <= at && isCopper(dose.agent))
  if (!course) return doubtWithoutCourse(journal, tank, ingredient, at)
  if (course.dose.agent !== ingredient)
    return {
      question: `The course in ${tank.name} is of another form of copper: two forms are never mixed.`,
      rather: null,
    }
  const facts = copperFacts(journal, course, at)
  const known = knownLevel({ ...facts, events: facts.events.filter(({ entryId }) => entryId !== except) })
  if (!known || tank.volume === null || massMg === undefined) return null
  const { target, high } = course.dose
  const makes = known.mgPerL + massMg / tank.volume.netL
  if (makes <= high + SLACK) return null
  const right = doseToward(known.mgPerL, target, high, tank.volume.netL, product)
  return {
    question: `That makes ${makes.toFixed(2)} mg/L, over the ${high.toFixed(2)} this course may reach.`,
    rather: right?.amount ? { amount: right.amount, makesMgPerL: right.makesMgPerL } : null,
  }
}

const tankDose = (agent: string): Dose | undefined =>
  DOSES.find((dose) => dose.agent === agent && dose.route === 'tank')

/** Copper outside a course: what must never meet it is said before it is kept. */
function doubtWithoutCourse(journal: Journal, tank: Tank, agent: string, at: number): DoseDoubt | null {
  const dose = tankDose(agent)
  const never =
    dose &&
    concernsOf(journal, tank.id, { dose, direct: false, rampHours: 24 }, at).find(
      ({ severity }) => severity === 'never',
    )
  return never ? { question: `${never.what} in ${tank.name}: ${never.reason}.`, rather: null } : null
}
