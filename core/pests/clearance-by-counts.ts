import { RandomStream } from '../numbers/random.ts'
import { invalid, noSolution, ok, type Result } from '../result/result.ts'
import { Nursery } from './nursery.ts'
import type { PestByCounts, PestByCountsInput } from './pests.schema.ts'

const HOURS_PER_DAY = 24
const CAP = 2000
/** More animals and eggs than this in all runs together are not worked through: about a second of work. */
const MOST_WORK = 20_000_000

const tooMany = () =>
  invalid('/eggsMean', 'so many are born that they cannot be worked through; expected fewer eggs or runs')

/**
 * How likely a pest is gone after the last of some clean dips, by what came off before: the animals that the last dip with a catch left
 * are drawn from its count, its eggs from a guess, they live on, and each run counts as much as it makes a dip that brings nothing off likely,
 * `(1 − killMobile)` to the number of animals out of the egg. Over means nothing living is left, no egg either. (C)
 * @returns no-solution where no run explains dips that brought nothing off
 */
export function pestClearanceByCounts(input: PestByCountsInput): Result<PestByCounts> {
  const { hatchHours, maturationHours, killMobile, removeEggs, cameOff, eggsMean, runs } = input
  for (const [path, { min, max }] of [
    ['/hatchHours', hatchHours],
    ['/maturationHours', maturationHours],
  ] as const)
    if (min > max) return invalid(`${path}/min`, `expected at most the maximum, ${max}; came ${min}`)
  const random = new RandomStream(input.seed)
  const nursery = new Nursery(
    {
      hatchMin: hatchHours.min,
      hatchSpan: hatchHours.max - hatchHours.min,
      matureMin: maturationHours.min,
      matureSpan: maturationHours.max - maturationHours.min,
      layPerHour: input.eggsPerAdultPerDay / HOURS_PER_DAY,
      survival: 1,
      cap: CAP,
    },
    random,
  )
  const dips = [...input.cleanDipsHours].sort((a, b) => a - b)
  const lives = 1 - killMobile
  // One that came off stands for those the dip missed: failures before a success.
  const missed = (): number =>
    lives <= 0 ? 0 : lives >= 1 ? 1 : Math.floor(Math.log(1 - random.next()) / Math.log(lives))
  // Nobody knows how many eggs there are: geometric about the guess, so that none is likelier than any other number.
  const drawnEggs = (): number =>
    eggsMean === 0 ? 0 : Math.floor(Math.log(1 - random.next()) / Math.log(eggsMean / (1 + eggsMean)))
  let over = 0
  let all = 0
  let squares = 0
  let work = 0
  for (let run = 0; run < runs; run++) {
    // Where only eggs were seen, what laid them was missed with the chance that a dip misses one.
    let left = cameOff === 0 && random.next() < lives ? 1 : 0
    for (let i = 0; i < cameOff; i++) left += missed()
    const eggs = drawnEggs()
    work += left + eggs
    if (work > MOST_WORK) return tooMany()
    nursery.start(left, eggs)
    nursery.dip(0, removeEggs)
    let at = 0
    let weight = 1
    for (const to of dips) {
      if (to > at) {
        const outcome = nursery.live(at, to)
        if (outcome === 'too-many') return tooMany()
        work += nursery.begun
        // So many would have been seen.
        if (outcome === 'over-cap') weight = 0
      }
      at = Math.max(at, to)
      weight *= lives ** nursery.mobile
      if (weight === 0) break
      nursery.dip(0, removeEggs)
    }
    all += weight
    squares += weight * weight
    if (weight > 0 && nursery.living === 0) over += weight
  }
  if (!(all > 0))
    return noSolution('/cleanDipsHours', 'no run brings nothing off in these dips; expected a smaller kill')
  return ok({ overShare: over / all, effectiveRuns: (all * all) / squares })
}
