import { wilson95 } from '../numbers/normal.ts'
import { RandomStream } from '../numbers/random.ts'
import { invalid, ok, type Result } from '../result/result.ts'
import { Nursery } from './nursery.ts'
import type { PestClearance, PestClearanceInput } from './pests.schema.ts'

const CAP = 5000
const HOURS_PER_DAY = 24
/** More animals than this in all runs together are not worked through: some seconds of work. */
const MOST_WORK = 200_000_000
const PROGRESS_EVERY = 64

const tooMany = () =>
  invalid('/eggsPerAdultPerDay', 'so many are born that they cannot be worked through; expected fewer eggs or runs')

/**
 * How often a course of dips clears a pest, by simulating each animal in continuous time: eggs hatch, hatchlings mature if
 * they survive, adults lay as a Poisson process; a dip kills each mobile one with a chance and takes each egg with another.
 * @param progress told the share done from time to time
 */
export function pestClearance(input: PestClearanceInput, progress?: (done: number) => void): Result<PestClearance> {
  const { hatchHours, maturationHours, killMobile, removeEggs, horizonHours, runs } = input
  for (const [path, { min, max }] of [
    ['/hatchHours', hatchHours],
    ['/maturationHours', maturationHours],
  ] as const)
    if (min > max) return invalid(`${path}/min`, `expected at most the maximum, ${max}; came ${min}`)
  const cap = input.cap ?? CAP
  const nursery = new Nursery(
    {
      hatchMin: hatchHours.min,
      hatchSpan: hatchHours.max - hatchHours.min,
      matureMin: maturationHours.min,
      matureSpan: maturationHours.max - maturationHours.min,
      layPerHour: input.eggsPerAdultPerDay / HOURS_PER_DAY,
      survival: input.juvenileSurvival ?? 1,
      cap,
    },
    new RandomStream(input.seed),
  )
  const dips = input.dipsHours.filter((at) => at <= horizonHours).sort((a, b) => a - b)
  const mobile = new Float64Array(dips.length)
  const seen = new Uint32Array(dips.length)
  let cleared = 0
  let work = 0
  for (let run = 0; run < runs; run++) {
    if (progress && run % PROGRESS_EVERY === 0) progress(run / runs)
    if (input.adults + input.eggs > cap) continue
    nursery.start(input.adults, input.eggs)
    let at = 0
    let isOver = false
    for (let i = 0; i <= dips.length && !isOver; i++) {
      const to = i < dips.length ? dips[i]! : horizonHours
      if (to > at) {
        const outcome = nursery.live(at, to)
        if (outcome === 'too-many') return tooMany()
        isOver = outcome === 'over-cap'
        work += nursery.begun
        at = to
      }
      if (isOver || i === dips.length) continue
      mobile[i]! += nursery.mobile
      seen[i]!++
      nursery.dip(killMobile, removeEggs)
    }
    if (!isOver && nursery.living === 0) cleared++
    if (work > MOST_WORK) return tooMany()
  }
  return ok({
    clearedShare: cleared / runs,
    ...wilson95(cleared, runs),
    meanMobileBeforeDip: Array.from(mobile, (sum, i) => (seen[i]! > 0 ? sum / seen[i]! : 0)),
  })
}
