import type { Track } from '../../catalogue/courses/definitions.ts'
import { levelPath, stretches, type Piece, type Stretch } from '../../clock/level-path.ts'
import { gravityOfPsu, psuOfGravity } from '../../salinity/gravity.ts'
import { iso, MS_PER_HOUR } from '../../time/zone.ts'
import type { CourseRecord } from '../record/record.ts'
import { countHold, type HoldCount } from './hold.ts'

export type SalinityTrack = Extract<Track, { by: 'salinity' }>

/** Low salinity as it stands. */
export interface SalinityState {
  track: SalinityTrack
  clock: HoldCount
  /** The last reading, at the full line, with what was swapped since, psu; null before the first. */
  psu: number | null
  /** The last reading, ms. */
  readAt: number | null
  /** What the water had before it was lowered, psu. */
  startPsu: number
  /** The limits of the track, psu at 25 °C. */
  limits: { low: number; target: number; high: number }
  /** The last swap, ms. */
  swappedAt: number | null
}

/** Sea water where no reading was taken before the first swap, psu. */
const USUAL_PSU = 35
/** Levels are mirrored about this, so that "over the high" is counted as "under the low" of a drug is. */
const MIRROR_PSU = 100

const mirrored = (psu: number): number => MIRROR_PSU - psu

/**
 * The count of low salinity: the drug's count with its sides exchanged (quarantine.md 7.4, salinity-high). It is broken over the
 * high alone; the path between two readings jumps with each swap whose water has a salinity on record.
 */
export function countSalinity(record: CourseRecord): SalinityState | null {
  const { course, salinities, swaps, now, restarts, volumeL } = record
  const track = course.definition.tracks.find(
    (one): one is SalinityTrack => one.kind === 'hold' && one.by === 'salinity',
  )
  if (!track) return null
  const limits = {
    low: psuOfGravity(track.low),
    target: psuOfGravity(track.target),
    high: psuOfGravity(track.high),
  }
  const since = salinities.filter(({ ms }) => ms >= course.startedAt)
  const readings = since.map(({ ms, psu }) => ({ ms, mgPerL: mirrored(psu) }))
  const pieces: Piece[] = levelPath(
    readings,
    swaps.map(({ at, fraction, psu }) => ({
      at: iso(at),
      kind: 'water-change' as const,
      fraction,
      replacementMgPerL: mirrored(psu),
    })),
    volumeL ?? 1,
  )
  const cut: Stretch[] = stretches(readings, pieces, mirrored(limits.high))
  const clock = countHold({
    startedAt: course.startedAt,
    endedAt: course.ended?.at ?? null,
    now,
    requiredHours: track.days * 24,
    restarts,
    cut,
    proofs: readings,
    reckoned: [],
    hoursAboveHigh: 0,
  })
  const last = salinities.at(-1) ?? null
  const later = swaps.filter(({ at }) => last === null || at >= last.ms)
  const before = salinities.findLast(({ ms }) => ms <= course.startedAt) ?? since[0]
  return {
    track,
    clock,
    psu: last && later.reduce((psu, swap) => psu + swap.fraction * (swap.psu - psu), last.fullPsu),
    readAt: last?.ms ?? null,
    startPsu: before === undefined || before.psu < limits.high ? USUAL_PSU : before.psu,
    limits,
    swappedAt: swaps.at(-1)?.at ?? null,
  }
}

/** Steps down: four to eight equal ones, 6 to 12 h apart, over 24 to 48 h (quarantine.md 5.5). */
export const LOWERING = { steps: 6, hours: [6, 8, 12] } as const
/** Up again at most so much specific gravity a day: quarantine.md 7.2. */
export const RAISING = { sgADay: 0.002, hours: 24 } as const
/** Raised again means within so much of what it was, psu (EA: a refractometer reads to 1). */
const RAISED_WITHIN_PSU = 1

/** Gravities of the steps down, the target last. */
export function loweringSteps({ startPsu, track }: SalinityState): number[] {
  const from = gravityOfPsu(startPsu)
  return Array.from({ length: LOWERING.steps }, (_, i) => from + ((track.target - from) * (i + 1)) / LOWERING.steps)
}

/** Days of raising still to come from a salinity. */
export const raisingDays = (psu: number, startPsu: number): number =>
  Math.max(0, Math.ceil((gravityOfPsu(startPsu) - gravityOfPsu(psu)) / RAISING.sgADay - 1e-9))

/** When the salinity was back up after the full count, ms; null before. */
export function raisedAt({ salinities }: CourseRecord, { clock, startPsu }: SalinityState): number | null {
  if (clock.state !== 'complete' || clock.completesAt === null) return null
  return salinities.find(({ ms, psu }) => ms >= clock.completesAt! && psu >= startPsu - RAISED_WITHIN_PSU)?.ms ?? null
}

/** When the drug-free time would begin: once the count is full and the salinity is back up. */
export const expectedRaisedAt = ({ clock, psu, startPsu, swappedAt }: SalinityState): number | null =>
  clock.completesAt === null
    ? null
    : // Of the days up those still to come count from the last step.
      Math.max(clock.completesAt, clock.state === 'complete' ? (swappedAt ?? -Infinity) : -Infinity) +
      raisingDays(psu ?? startPsu, startPsu) * RAISING.hours * MS_PER_HOUR
