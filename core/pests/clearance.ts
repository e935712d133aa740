import { wilson95 } from '../numbers/normal.ts'
import { randomStream } from '../numbers/random.ts'
import { invalid, ok, type Result } from '../result/result.ts'
import type { PestClearance, PestClearanceInput } from './pests.schema.ts'

const CAP = 5000
const HOURS_PER_DAY = 24
/** More animals than this in all runs together are not worked through: about half a minute. */
const MOST_WORK = 200_000_000
const MOST_A_STRETCH = 2_000_000

/** A list of times that grows; reused from run to run so that nothing is allocated within one. */
class Times {
  at = new Float64Array(1024)
  length = 0
  push(time: number): void {
    if (this.length === this.at.length) {
      const larger = new Float64Array(2 * this.length)
      larger.set(this.at)
      this.at = larger
    }
    this.at[this.length++] = time
  }
}

/** What all runs share, taken out of the input once. */
interface Model {
  hatchMin: number
  hatchSpan: number
  matureMin: number
  matureSpan: number
  layPerHour: number
  survival: number
  cap: number
}

/** The living of one run. */
interface Population {
  /** When each egg hatches. */
  eggs: Times
  /** When each juvenile matures. */
  juveniles: Times
  adults: number
  /** Times of laying and of dying at the hatch within the stretch at hand, kept only where they could matter. */
  laid: Times
  died: Times
}

/** Whether the living were ever more than the cap, by the births and deaths of a stretch in time order. */
function passesCap(start: number, laid: Times, died: Times, cap: number): boolean {
  const births = laid.at.subarray(0, laid.length).sort()
  const deaths = died.at.subarray(0, died.length).sort()
  let living = start
  let next = 0
  for (const birth of births) {
    while (next < deaths.length && deaths[next]! <= birth) {
      living--
      next++
    }
    if (++living > cap) return true
  }
  return false
}

/**
 * Lives through a stretch without dips. Every animal's fate within it is its own, so each is followed to the stretch's end
 * in turn, its young with it; time order matters for the cap alone.
 * @returns how many were begun; −1 where the living passed the cap, −2 where they are too many to be worked through
 */
function live(population: Population, from: number, to: number, model: Model, random: () => number): number {
  const { hatchMin, hatchSpan, matureMin, matureSpan, layPerHour, survival, cap } = model
  const { eggs, juveniles, laid, died } = population
  const start = eggs.length + juveniles.length + population.adults
  const ordered = survival < 1
  laid.length = 0
  died.length = 0
  let gross = start
  let deaths = 0
  let grown = 0

  /** An adult from a time on: its eggs, and what becomes of them within the stretch. A stack of its own, in place of recursion. */
  const layFrom = (begin: number) => {
    ripe.length = 0
    let time = begin
    for (;;) {
      if (layPerHour > 0)
        for (;;) {
          time -= Math.log(1 - random()) / layPerHour
          if (time >= to) break
          gross++
          if (ordered) laid.push(time)
          const hatch = time + hatchMin + hatchSpan * random()
          if (hatch >= to) eggs.push(hatch)
          else hatchAt(hatch)
          // Without deaths the living only grow; with them, those that die at the hatch may make room again.
          if (gross - deaths > cap && !ordered) return false
          if (eggs.length + juveniles.length > cap) return false
          if (gross > MOST_A_STRETCH) return false
        }
      if (ripe.length === 0) return true
      time = ripe.at[--ripe.length]!
    }
  }
  const hatchAt = (hatch: number) => {
    if (ordered && random() >= survival) {
      deaths++
      died.push(hatch)
      return
    }
    const mature = hatch + matureMin + matureSpan * random()
    if (mature >= to) juveniles.push(mature)
    else {
      grown++
      ripe.push(mature)
    }
  }

  // Those that were there hatch and mature first; then every adult lays, the new ones from when they are ripe.
  const hadEggs = eggs.length
  const hadJuveniles = juveniles.length
  const before = population.adults
  let kept = 0
  ripe.length = 0
  for (let i = 0; i < hadJuveniles; i++) {
    const mature = juveniles.at[i]!
    if (mature >= to) juveniles.at[kept++] = mature
    else {
      grown++
      ripe.push(mature)
    }
  }
  juveniles.length = kept
  kept = 0
  const hatching: number[] = []
  for (let i = 0; i < hadEggs; i++) {
    const hatch = eggs.at[i]!
    if (hatch >= to) eggs.at[kept++] = hatch
    else hatching.push(hatch)
  }
  eggs.length = kept
  for (const hatch of hatching) hatchAt(hatch)
  const begins = Array.from(ripe.at.subarray(0, ripe.length))
  for (let i = 0; i < before; i++) begins.push(from)
  for (const begin of begins) if (!layFrom(begin)) return gross > MOST_A_STRETCH ? -2 : -1
  population.adults = before + grown
  if (gross > cap && (!ordered || passesCap(start, laid, died, cap))) return -1
  return gross
}

/** Adults that came of age within the stretch at hand and have not laid yet. */
const ripe = new Times()

function dip(times: Times, dies: number, random: () => number): void {
  let kept = 0
  for (let i = 0; i < times.length; i++) if (random() >= dies) times.at[kept++] = times.at[i]!
  times.length = kept
}

/**
 * How often a course of dips clears a pest, by simulating each animal in continuous time: eggs hatch, hatchlings mature if
 * they survive, adults lay as a Poisson process; a dip kills each mobile one with a chance and takes each egg with another.
 */
export function pestClearance(input: PestClearanceInput, progress?: (done: number) => void): Result<PestClearance> {
  const { hatchHours, maturationHours, eggsPerAdultPerDay, killMobile, removeEggs, horizonHours, runs, seed } = input
  for (const [path, { min, max }] of [
    ['/hatchHours', hatchHours],
    ['/maturationHours', maturationHours],
  ] as const)
    if (min > max) return invalid(`${path}/min`, `expected at most the maximum, ${max}; came ${min}`)
  const model: Model = {
    hatchMin: hatchHours.min,
    hatchSpan: hatchHours.max - hatchHours.min,
    matureMin: maturationHours.min,
    matureSpan: maturationHours.max - maturationHours.min,
    layPerHour: eggsPerAdultPerDay / HOURS_PER_DAY,
    survival: input.juvenileSurvival ?? 1,
    cap: input.cap ?? CAP,
  }
  const dips = input.dipsHours.filter((at) => at <= horizonHours).sort((a, b) => a - b)
  const random = randomStream(seed)
  const population: Population = {
    eggs: new Times(),
    juveniles: new Times(),
    adults: 0,
    laid: new Times(),
    died: new Times(),
  }
  const mobile = new Float64Array(dips.length)
  const seen = new Uint32Array(dips.length)
  let cleared = 0
  let work = 0
  for (let run = 0; run < runs; run++) {
    if (progress && run % PROGRESS_EVERY === 0) progress(run / runs)
    const { eggs, juveniles } = population
    eggs.length = 0
    juveniles.length = 0
    population.adults = input.adults
    if (input.adults + input.eggs > model.cap) continue
    for (let i = 0; i < input.eggs; i++) eggs.push(model.hatchMin + model.hatchSpan * random())
    let at = 0
    let stopped = false
    for (let i = 0; i <= dips.length; i++) {
      const to = i < dips.length ? dips[i]! : horizonHours
      if (to > at) {
        const begun = live(population, at, to, model, random)
        if (begun === -2) work = Infinity
        if (begun < 0) {
          stopped = true
          break
        }
        work += begun
        at = to
      }
      if (i === dips.length) break
      mobile[i]! += juveniles.length + population.adults
      seen[i]!++
      dip(eggs, removeEggs, random)
      dip(juveniles, killMobile, random)
      let left = 0
      for (let j = 0; j < population.adults; j++) if (random() >= killMobile) left++
      population.adults = left
    }
    if (!stopped && eggs.length + juveniles.length + population.adults === 0) cleared++
    if (work > MOST_WORK)
      return invalid(
        '/eggsPerAdultPerDay',
        'so many are born that they cannot be worked through; expected fewer eggs or runs',
      )
  }
  const { low, high } = wilson95(cleared, runs)
  return ok({
    clearedShare: cleared / runs,
    low,
    high,
    meanMobileBeforeDip: Array.from(mobile, (sum, i) => (seen[i]! > 0 ? sum / seen[i]! : 0)),
  })
}

const PROGRESS_EVERY = 64
