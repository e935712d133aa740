import { ok, type Result } from '../result/result.ts'
import type { ChangeSequence, ChangeSequenceInput } from './water-change.schema.ts'

/**
 * Concentration after exchanging a share of well-mixed water.
 * @param mgPerL before the change
 * @param fraction share of the water exchanged, 0…1
 * @param replacementMgPerL level in the new water
 */
export const afterChange = (mgPerL: number, fraction: number, replacementMgPerL = 0): number =>
  mgPerL * (1 - fraction) + replacementMgPerL * fraction

/** Level after each of several water changes, mg/L, and the share of the first water that is left: Π(1 − fᵢ). */
export function changeSequence(input: ChangeSequenceInput): Result<ChangeSequence> {
  const { startMgPerL, replacementMgPerL = 0, fractions } = input
  const afterEach: number[] = []
  let level = startMgPerL
  let remainingFraction = 1
  for (const fraction of fractions) {
    level = afterChange(level, fraction, replacementMgPerL)
    remainingFraction *= 1 - fraction
    afterEach.push(level)
  }
  return ok({ afterEach, remainingFraction })
}
