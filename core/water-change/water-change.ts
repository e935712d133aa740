import { MAX_POINTS } from '../numbers/limits.ts'
import { withinLimit } from '../numbers/rounding.ts'
import { invalid, noSolution, ok, type Result } from '../result/result.ts'
import type {
  ChangeForTarget,
  ChangeForTargetInput,
  ChangeSequence,
  ChangeSequenceInput,
} from './water-change.schema.ts'

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

/**
 * How much water to change so that a level falls (or rises) to a target: the one change that would do it,
 * (start − target)/(start − replacement), and the fewest equal changes none of which is larger than allowed.
 * @returns `no-solution` for a target that the new water cannot bring about
 */
export function changeForTarget(input: ChangeForTargetInput): Result<ChangeForTarget> {
  const { startMgPerL, targetMgPerL, replacementMgPerL = 0, maxFraction } = input
  if (startMgPerL === replacementMgPerL)
    return noSolution(
      '/replacementMgPerL',
      `the new water holds as much as the old, ${startMgPerL} mg/L: no change of it alters anything`,
    )
  const single = (startMgPerL - targetMgPerL) / (startMgPerL - replacementMgPerL)
  if (!(single > 0) || single > 1)
    return noSolution(
      '/targetMgPerL',
      `${targetMgPerL} mg/L does not lie between the present ${startMgPerL} and the new water’s ${replacementMgPerL} mg/L`,
    )
  const share = (changes: number) => 1 - (1 - single) ** (1 / changes)
  if (single === 1 && maxFraction < 1)
    return noSolution('/maxFraction', 'the new water’s own level is reached only by changing all of it at once')
  // The logarithm gives the count but for rounding; the definition decides.
  let changes = maxFraction === 1 ? 1 : Math.max(1, Math.floor(Math.log1p(-single) / Math.log1p(-maxFraction)) - 1)
  if (changes > MAX_POINTS) return invalid('/maxFraction', `gives over ${MAX_POINTS} changes; allow larger ones`)
  while (!withinLimit(share(changes), maxFraction)) changes++
  return ok({ singleFraction: single, changes, equalFraction: share(changes) })
}
