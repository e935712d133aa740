import { changeForTarget } from '../../water-change/water-change.ts'
import { LET_PASS, type JudgedElement } from './judge.ts'

/** Of the water that is changed in a week: the handbook of elements’ tenth. */
export const WEEKLY_SHARE = 0.1

/** Where an element that is off is let pass again, mg/L; null where it is judged by the tank's band, whose own page plans it. */
function passesAt({ element, state, seaMgPerL, isByBand }: JudgedElement): number | null {
  if (isByBand) return null
  if (element.group === 'main' || element.group === 'minor') {
    const { under, over } = LET_PASS[element.group]
    return seaMgPerL * (state === 'low' ? 1 - under : 1 + over)
  }
  return element.highMgPerL
}

/** What changes of new water do to an element: how many weeks, or why they cannot. */
export type ChangesToPass = { weeks: number; toMgPerL: number } | { cannot: string }

/**
 * How many weekly changes of a tenth bring an element back to where it is let pass.
 * @param newMgPerL what the new water holds
 * @returns null where it is not judged so, or was not found at all
 * @example
 * changesToPass(copperAt40µg, 0) // { weeks: 7, toMgPerL: 0.02 }
 */
export function changesToPass(one: JudgedElement, newMgPerL: number): ChangesToPass | null {
  const toMgPerL = passesAt(one)
  const from = one.mgPerL ?? (one.below === null ? 0 : one.below)
  if (toMgPerL === null) return null
  const planned = changeForTarget({
    startMgPerL: from,
    targetMgPerL: toMgPerL,
    replacementMgPerL: newMgPerL,
    maxFraction: WEEKLY_SHARE,
  })
  return planned.ok
    ? { weeks: planned.value.changes, toMgPerL }
    : { cannot: 'this new water cannot bring it there: it holds too much, or too little, of it itself' }
}
