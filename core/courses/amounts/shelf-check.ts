import { COPPER_HALF_LIFE } from '../../catalogue/treatments/decay.data.ts'
import type { ConcentrationFit } from '../../concentration/concentration.schema.ts'
import { productById, type ShelfProduct } from '../../household/shelf.ts'
import { dayFromText, MS_PER_HOUR, type Day } from '../../time/zone.ts'
import type { Journal } from '../../journal/journal.ts'
import type { DrugPlan } from '../plan.ts'
import { drugStillNeeded } from './drug-still-needed.ts'

/** What a course will still need of its product, and whether the shelf holds it. */
export interface ShelfCheck {
  product: ShelfProduct
  /** In the product's unit: ramp to come, what decays, and what water changes at the pace so far take out. */
  needed: number
  /** Null where what is left was never counted. */
  left: number | null
  enough: boolean | null
  /** The product's last day falls before the course's end. */
  expires: boolean
}

/** The whole course with its redoses against the shelf. */
export function shelfCheck(
  journal: Journal,
  { course, facts, known, clock }: DrugPlan,
  fit: ConcentrationFit | null,
  lastDay: Day,
): ShelfCheck | null {
  const product = course.productId === null ? null : productById(journal, course.productId)
  const { volumeL, events, now } = facts
  if (!product || volumeL === null) return null
  const needed = drugStillNeeded({
    targetMgPerL: course.dose.target,
    volumeL,
    levelMgPerL: known?.mgPerL ?? 0,
    hours: clock.remainingHours,
    mgPerUnit: product.mgPerUnit,
    halfLifeHours: fit?.halfLifeHours ?? COPPER_HALF_LIFE[course.dose.agent]?.medianHours ?? null,
    changed: {
      share: events.reduce((sum, { event }) => sum + (event.kind === 'water-change' ? event.fraction : 0), 0),
      overHours: (now - course.startedAt) / MS_PER_HOUR,
    },
  })
  const useBy = product.useBy === null ? null : dayFromText(product.useBy)
  return {
    product,
    needed,
    left: product.left,
    enough: product.left === null ? null : product.left >= needed,
    expires: useBy !== null && useBy < lastDay,
  }
}
