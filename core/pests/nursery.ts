import { RandomStream } from '../numbers/random.ts'

/** A list of times that grows, and is used again from run to run: nothing is allocated within one. */
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
  /** Drops each with a chance. */
  thin(dies: number, random: RandomStream): void {
    const { at, length } = this
    let kept = 0
    for (let i = 0; i < length; i++) if (random.next() >= dies) at[kept++] = at[i]!
    this.length = kept
  }
}

/** How a pest lives; hours. */
export interface Life {
  hatchMin: number
  hatchSpan: number
  matureMin: number
  matureSpan: number
  layPerHour: number
  /** Share of hatchlings that live to mature. */
  survival: number
  /** More living than this, and the run is over. */
  cap: number
}

export type Outcome = 'lived' | 'over-cap' | 'too-many'

/** So many born within one stretch between dips are not worked through. */
const MOST_A_STRETCH = 2_000_000

/** The living of one run, in continuous time, stretch by stretch between dips. */
export class Nursery {
  /** When each egg hatches and each juvenile matures. */
  readonly eggs = new Times()
  readonly juveniles = new Times()
  adults = 0
  /** Animals begun in the last stretch: the work it was. */
  begun = 0
  private readonly ripe = new Times()
  private readonly laying = new Times()
  private readonly hatching = new Times()
  private readonly laid = new Times()
  private readonly died = new Times()
  private grown = 0

  constructor(
    private readonly life: Life,
    private readonly random: RandomStream,
  ) {}

  start(adults: number, eggs: number): void {
    this.adults = adults
    this.juveniles.length = 0
    this.eggs.length = 0
    for (let i = 0; i < eggs; i++) this.eggs.push(this.life.hatchMin + this.life.hatchSpan * this.random.next())
  }

  get living(): number {
    return this.eggs.length + this.juveniles.length + this.adults
  }

  get mobile(): number {
    return this.juveniles.length + this.adults
  }

  dip(killMobile: number, removeEggs: number): void {
    this.eggs.thin(removeEggs, this.random)
    this.juveniles.thin(killMobile, this.random)
    let left = 0
    for (let i = 0; i < this.adults; i++) if (this.random.next() >= killMobile) left++
    this.adults = left
  }

  /** An egg hatches within the stretch: it dies, is still a juvenile at the stretch's end, or ripens within it. */
  private hatch(at: number, to: number): void {
    const { survival, matureMin, matureSpan } = this.life
    if (survival < 1 && this.random.next() >= survival) {
      this.died.push(at)
      return
    }
    const mature = at + matureMin + matureSpan * this.random.next()
    if (mature >= to) this.juveniles.push(mature)
    else {
      this.grown++
      this.ripe.push(mature)
    }
  }

  /**
   * Lives through a stretch without dips. Every animal's fate within it is its own, so each is followed to the stretch's end
   * in turn, its young with it; the order of times matters for the cap alone.
   */
  live(from: number, to: number): Outcome {
    const { eggs, juveniles, ripe, laying, hatching, laid, died, life, random } = this
    const { hatchMin, hatchSpan, layPerHour, cap } = life
    const ordered = life.survival < 1
    const start = this.living
    const before = this.adults
    let gross = start
    this.grown = 0
    ripe.length = laying.length = hatching.length = laid.length = died.length = 0

    // Those that were there hatch and mature first; then every adult lays, the new ones from when they are ripe.
    let kept = 0
    for (let i = 0, n = juveniles.length; i < n; i++) {
      const mature = juveniles.at[i]!
      if (mature >= to) juveniles.at[kept++] = mature
      else {
        this.grown++
        ripe.push(mature)
      }
    }
    juveniles.length = kept
    kept = 0
    for (let i = 0, n = eggs.length; i < n; i++) {
      const hatch = eggs.at[i]!
      if (hatch >= to) eggs.at[kept++] = hatch
      else hatching.push(hatch)
    }
    eggs.length = kept
    for (let i = 0; i < hatching.length; i++) this.hatch(hatching.at[i]!, to)
    if (layPerHour > 0) {
      for (let i = 0; i < ripe.length; i++) laying.push(ripe.at[i]!)
      for (let i = 0; i < before; i++) laying.push(from)
    }
    for (let i = 0; i < laying.length; i++) {
      ripe.length = 0
      let time = laying.at[i]!
      for (;;) {
        for (;;) {
          time -= Math.log(1 - random.next()) / layPerHour
          if (time >= to) break
          gross++
          if (ordered) laid.push(time)
          const hatch = time + hatchMin + hatchSpan * random.next()
          if (hatch >= to) eggs.push(hatch)
          else this.hatch(hatch, to)
          if (gross > cap) {
            // Without deaths the living only grow; what lives on past the stretch lives at its end in any case.
            if (!ordered || eggs.length + juveniles.length > cap) return 'over-cap'
            if (gross > MOST_A_STRETCH) return 'too-many'
          }
        }
        if (ripe.length === 0) break
        time = ripe.at[--ripe.length]!
      }
    }
    this.adults = before + this.grown
    this.begun = gross
    return gross > cap && this.passedCap(start) ? 'over-cap' : 'lived'
  }

  /** Whether the living were ever more than the cap, by the births and deaths of the stretch in the order of time. */
  private passedCap(start: number): boolean {
    const births = this.laid.at.subarray(0, this.laid.length).sort()
    const deaths = this.died.at.subarray(0, this.died.length).sort()
    let living = start
    let next = 0
    for (const birth of births) {
      while (next < deaths.length && deaths[next]! <= birth) {
        living--
        next++
      }
      if (++living > this.life.cap) return true
    }
    return false
  }
}
