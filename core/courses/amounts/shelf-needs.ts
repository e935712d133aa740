import { doseById } from '../../catalogue/treatments/treatments.ts'
import { productById, type ShelfProduct } from '../../household/shelf.ts'
import type { Journal } from '../../journal/journal.ts'
import type { Course } from '../course.ts'
import type { DoseTrack } from '../tracks/doses.ts'
import { plannedBath } from './planned-bath.ts'
import { USUAL_MEAL_G } from './planned-food.ts'
import { sessionCap, tierOf } from './planned-session.ts'

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

/** Water changes before a course are taken as a fifth of the water a week (EA). */
const WEEKLY_SHARE = 0.2

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
        needed: (dose.target * volumeL * (1 + (WEEKLY_SHARE * course.requiredDays) / 7)) / mgPerUnit,
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
      const step = definition.steps.find(({ amount }) => amount === 'session-cap')
      const sessions =
        step && !('by' in step.due)
          ? (typeof step.due.until === 'number' ? step.due.until : step.due.day) - step.due.day + 1
          : 0
      return { needed: (sessionCap(tierOf(course.options['tier']), volumeL, product).amount ?? 0) * sessions }
    })
  })
  return [...drug, ...rest]
}
