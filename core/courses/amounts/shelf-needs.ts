import { COPPER_HALF_LIFE } from '../../catalogue/treatments/decay.data.ts'
import type { Step } from '../../catalogue/courses/definitions.ts'
import { procedureById } from '../../catalogue/procedures/procedures.ts'
import { doseById } from '../../catalogue/treatments/treatments.ts'
import { productById, type ShelfProduct } from '../../household/shelf.ts'
import type { Journal } from '../../journal/journal.ts'
import type { Course } from '../course.ts'
import type { DoseTrack } from '../tracks/doses.ts'
import { drugStillNeeded } from './drug-still-needed.ts'
import { plannedBath } from './planned-bath.ts'
import { USUAL_MEAL_G } from './planned-food.ts'
import { sessionCap, tierOf } from './planned-session.ts'
import { SILICATE_CAP_MG_PER_L } from './silicate-loop.ts'

const HOURS_A_DAY = 24

/** A half change takes half of what is in the water with it. */
const HALF = 0.5

/** What a course will take of one product in all, before it starts. */
export interface ShelfNeed {
  product: ShelfProduct
  /** In the product's unit; null where it depends on the litres of a tub that nobody has named. */
  needed: number | null
  /** In a litre of bath water, where that is all that can be said. */
  perLitre: number | null
  enough: boolean | null
}

/** All doses of a count; of baths by the litre where nobody has named a tub. */
function roundsNeed(track: DoseTrack, product: ShelfProduct, volumeL: number, tubL: number | null): Partial<ShelfNeed> {
  const dose = doseById(track.dose)!
  const perUnit = dose.target / product.mgPerUnit
  if (dose.route === 'food') return { needed: perUnit * USUAL_MEAL_G * track.need }
  if (dose.route === 'tank') return { needed: perUnit * volumeL * track.need }
  return { perLitre: perUnit, needed: tubL === null ? null : perUnit * tubL * track.need }
}

/** How often a step of a plan is done, at most. */
function occasionsOf({ due }: Step, planDays: number): number {
  if ('by' in due) return 0
  const until = typeof due.until === 'number' ? due.until : due.until === 'end' ? planDays : due.day
  return due.every === undefined ? 1 : Math.floor((until - due.day) / due.every) + 1
}

/** Whether a procedure puts back what a half change has taken out: it is dosed again. */
const isRedosed = ({ procedure }: Step): boolean =>
  procedure !== undefined && (procedureById(procedure)?.steps.some(({ amount }) => amount === 'redose') ?? false)

/** What all doses of a plan come to at most, in the product's unit: every session at its cap, every dose of a loop at its cap. */
function planNeed({ definition, options, requiredDays }: Course, product: ShelfProduct, volumeL: number): number {
  const units = (mgPerL: number) => (mgPerL * volumeL) / product.mgPerUnit
  const once = definition.steps.find(({ amount }) => amount === 'to-level')?.mgPerL ?? 0
  return definition.steps.reduce((sum, step) => {
    const times = occasionsOf(step, requiredDays)
    if (step.amount === 'session-cap')
      return sum + times * (sessionCap(tierOf(options['tier']), volumeL, product).amount ?? 0)
    if (step.amount === 'to-level') return sum + times * units(step.mgPerL ?? 0)
    if (step.amount === 'silicate-loop') return sum + times * units(SILICATE_CAP_MG_PER_L)
    if (isRedosed(step)) return sum + times * units(once) * (options['redose'] === 'full' ? 1 : HALF)
    return sum
  }, 0)
}

/**
 * What a course needs from the shelf in all: its drug up to the dose and what water changes take out of it, its baths, its sessions.
 * @param volumeL net litres of the tank
 * @param tubL    litres of the tub for baths; null where none is named
 */
export function shelfNeeds(journal: Journal, course: Course, volumeL: number, tubL: number | null): ShelfNeed[] {
  const need = (productId: string | undefined, units: (product: ShelfProduct) => Partial<ShelfNeed>): ShelfNeed[] => {
    const product = productId === undefined ? null : productById(journal, productId)
    if (!product) return []
    const told = { needed: null, perLitre: null, ...units(product) }
    return [
      {
        product,
        ...told,
        enough: product.left === null || told.needed === null ? null : product.left >= told.needed,
      },
    ]
  }
  const { dose, definition } = course
  const drug = dose
    ? need(course.products[dose.id] ?? course.productId ?? undefined, ({ mgPerUnit }) => ({
        needed: drugStillNeeded({
          targetMgPerL: dose.target,
          volumeL,
          levelMgPerL: 0,
          hours: course.requiredDays * HOURS_A_DAY,
          mgPerUnit,
          halfLifeHours: COPPER_HALF_LIFE[dose.agent]?.medianHours ?? null,
        }),
      }))
    : []
  const rest = definition.products.flatMap(({ dose: key }) => {
    const rounds = definition.tracks.find(
      (track): track is DoseTrack => track.kind === 'rounds' && track.of === 'dose' && track.dose === key,
    )
    const baths = definition.tracks.find(
      (track) => track.kind === 'rounds' && track.of === 'bath' && track.dose === key,
    )
    return need(course.products[key], (product) => {
      if (rounds) return roundsNeed(rounds, product, volumeL, tubL)
      if (baths?.kind === 'rounds' && baths.of === 'bath') {
        const perLitre = plannedBath(doseById(key)!, product, null).amountPerL!
        return { perLitre, needed: tubL === null ? null : perLitre * tubL * baths.need }
      }
      return { needed: planNeed(course, product, volumeL) }
    })
  })
  return [...drug, ...rest]
}
