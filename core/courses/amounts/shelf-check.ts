import type { ConcentrationFit } from '../../concentration/concentration.schema.ts'
import { productById, type ShelfProduct } from '../../household/shelf.ts'
import { dayFromText, type Day } from '../../time/zone.ts'
import type { Journal } from '../../journal/journal.ts'
import type { DrugPlan } from '../plan.ts'

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

/** Water changes are taken to go on as over the course so far; before any, a fifth of the water a week (EA). */
const USUAL_WEEKLY_SHARE = 0.2
const HOURS_PER_WEEK = 168

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
  const { target } = course.dose
  const climb = Math.max(0, target - (known?.mgPerL ?? 0)) * volumeL
  const hours = clock.remainingHours
  const decay = fit ? target * volumeL * (Math.LN2 / fit.halfLifeHours) * hours : 0
  const elapsed = Math.max(1, (now - course.startedAt) / 3_600_000)
  const changed = events.reduce((sum, { event }) => sum + (event.kind === 'water-change' ? event.fraction : 0), 0)
  const perHour = changed > 0 ? changed / Math.max(elapsed, HOURS_PER_WEEK) : USUAL_WEEKLY_SHARE / HOURS_PER_WEEK
  const needed = (climb + decay + perHour * hours * target * volumeL) / product.mgPerUnit
  const useBy = product.useBy === null ? null : dayFromText(product.useBy)
  return {
    product,
    needed,
    left: product.left,
    enough: product.left === null ? null : product.left >= needed,
    expires: useBy !== null && useBy < lastDay,
  }
}
