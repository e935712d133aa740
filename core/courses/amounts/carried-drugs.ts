import { productById } from '../../household/shelf.ts'
import { bindersAt } from '../../household/tanks.ts'
import type { Journal } from '../../journal/journal.ts'
import { levelOf } from '../../safety/water/level.ts'
import { listed } from '../../words/numbers.ts'
import { runningIn } from '../course.ts'
import { drugWord } from '../steps/step-input.ts'
import { doseToLevel, type PlannedDose } from './planned-dose.ts'

/** A drug that new water has to bring, so that a change does not lower what a course of that tank holds. */
export interface CarriedDrug {
  agent: string
  /** What it is called in a sentence: "copper" for all its forms. */
  word: string
  productName: string | null
  /** What goes into the new water, never more than makes the tank's own level. */
  dose: PlannedDose
}

/**
 * What is mixed into the new water of a change: every drug that a course holds in the tank, at the level that the tank is at; the course's target where
 * it is over its range.
 * @param litres of the change
 * @param now ms
 * @example
 * carriedInto(journal, 'quar', 40, now)[0]?.dose.amount // 8.4 mL of a bottle of 10 mg/mL, at 2.10 mg/L
 */
export function carriedInto(journal: Journal, tankId: string, litres: number, now: number): CarriedDrug[] {
  // Carbon in the water: the drug is being taken out.
  if (!(litres > 0) || bindersAt(journal, tankId, now).length > 0) return []
  return runningIn(journal, tankId).flatMap((course): CarriedDrug[] => {
    const { dose, productId, tankId: where, startedAt } = course
    if (!dose || where !== tankId || startedAt > now) return []
    const { mgPerL } = levelOf(journal, tankId, dose.agent, now, { isHeld: true })
    if (mgPerL === null || mgPerL <= 0) return []
    const product = productId === null ? null : productById(journal, productId)
    const planned = doseToLevel(mgPerL > dose.high ? dose.target : mgPerL, litres, product)
    return planned
      ? [{ agent: dose.agent, word: drugWord({ dose }), productName: product?.name ?? null, dose: planned }]
      : []
  })
}

/** What goes into the new water, in a sentence: "mixed with 8.4 mL of copper bottle, 2.10 mg/L of copper". */
export const carriedWords = (carried: readonly CarriedDrug[]): string =>
  listed(
    carried.map(({ word, productName, dose: { amount, unit, makesMgPerL } }) =>
      amount === null
        ? `mixed to ${makesMgPerL.toFixed(2)} mg/L of ${word}`
        : `mixed with ${Number(amount.toFixed(3))} ${unit} of ${productName ?? word}, ${makesMgPerL.toFixed(2)} mg/L of ${word}`,
    ),
  )
