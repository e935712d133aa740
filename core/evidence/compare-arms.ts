import { median } from '../numbers/median.ts'

/** How much two arms of a comparison say: what was treated, and what was left untreated. */
export interface ArmComparison {
  treated: number
  untreated: number
  /** Median of the treated less median of the untreated, in the measure's own unit; positive where the treated stand higher. */
  difference: number
  /** How likely it is that chance alone gives the treated at least so much of the better values, 0 to 1. */
  chance: number
  /** Whether so many parts can ever rule chance out: with one untreated of five it stays 1 in 5, whatever is seen. */
  canBeSure: boolean
  verdict: 'works' | 'hints' | 'unclear' | 'no-better'
}

/** Under this a result is not put down to chance. */
const RARE = 0.05

/** Twice the rank of each value, ties in the middle of theirs: whole numbers, so that sums can be counted. */
function doubledRanks(values: readonly number[]): number[] {
  const sorted = [...values].sort((a, b) => a - b)
  return values.map((value) => sorted.indexOf(value) + 1 + sorted.lastIndexOf(value) + 1)
}

/** In how many choices of `size` of the ranks their sum comes to each figure: index is the sum. */
function sumsOf(ranks: readonly number[], size: number): number[] {
  const most = ranks.reduce((sum, rank) => sum + rank, 0)
  const ways = Array.from({ length: size + 1 }, () => new Array<number>(most + 1).fill(0))
  ways[0]![0] = 1
  for (const rank of ranks)
    for (let n = size; n >= 1; n--) for (let sum = most; sum >= rank; sum--) ways[n]![sum]! += ways[n - 1]![sum - rank]!
  return ways[size]!
}

/**
 * What was treated against what was left untreated: Wilcoxon’s rank sum, exact and one-sided, beside the measure’s own noise.
 * @param better which way the measure should go
 * @param noise  by how much two parts may differ for no reason, in the measure's unit (outbreaks.md 7)
 * @returns null with an empty arm
 * @example
 * compareArms([4, 4, 5, 4], [0], { better: 'higher', noise: 1 }) // verdict 'hints', chance 0.2: 1 of 5
 */
export function compareArms(
  treated: readonly number[],
  untreated: readonly number[],
  { better, noise }: { better: 'higher' | 'lower'; noise: number },
): ArmComparison | null {
  if (treated.length === 0 || untreated.length === 0) return null
  const sign = better === 'higher' ? 1 : -1
  const ranks = doubledRanks([...treated, ...untreated].map((value) => sign * value))
  const seen = ranks.slice(0, treated.length).reduce((sum, rank) => sum + rank, 0)
  const sums = sumsOf(ranks, treated.length)
  const all = sums.reduce((sum, ways) => sum + ways, 0)
  const chance = sums.slice(seen).reduce((sum, ways) => sum + ways, 0) / all
  const difference = median(treated) - median(untreated)
  const gain = sign * difference
  return {
    treated: treated.length,
    untreated: untreated.length,
    difference,
    chance,
    canBeSure: 1 / choices(treated.length + untreated.length, untreated.length) <= RARE,
    verdict: gain > noise ? (chance <= RARE ? 'works' : 'hints') : gain > 0 ? 'unclear' : 'no-better',
  }
}

/** n choose k. */
function choices(n: number, k: number): number {
  let ways = 1
  for (let i = 1; i <= k; i++) ways = (ways * (n - k + i)) / i
  return ways
}

/**
 * How many of the parts should be left untreated so that a clear result cannot be put down to chance.
 * @param parts all of them, treated or not
 * @returns null where there are too few for any split
 * @example untreatedNeeded(7) // 2: 1 in 21
 */
export function untreatedNeeded(parts: number): number | null {
  for (let untreated = 1; untreated <= parts / 2; untreated++)
    if (1 / choices(parts, untreated) <= RARE) return untreated
  return null
}
