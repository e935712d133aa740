import type { Hours, Track } from '../../catalogue/courses/definitions.ts'
import { MS_PER_HOUR } from '../../time/zone.ts'
import type { CourseRecord, GivenDose } from '../record/record.ts'

export type DoseTrack = Extract<Track, { of: 'dose' }>

/** A dose to come and its window, ms. */
export interface ExpectedDose {
  /** Counts every round that was given in the course, whether it counts or not. */
  ordinal: number
  notBefore: number
  best: number
  notAfter: number
}

/** Doses of one medicine some hours apart, as they stand. */
export interface DosesState {
  track: DoseTrack
  /** Those that count, ms, in order. */
  done: readonly number[]
  /** Given in all, those too early, too weak or of an older pair too. */
  givenInAll: number
  state: 'waiting' | 'running' | 'broken' | 'full'
  /** When the last was given, or would be; null while nobody can say when the first is due. */
  fullAt: number | null
  /** What began a new set: a round that came too late. */
  restarts: readonly { at: number; why: 'deworm-spacing'; hoursOff: number }[]
  /** Doses that were not given in their time, and so are given later. */
  missed: number
  /** The last one that was given too early or too weak to count. */
  notCounted: { at: number; why: 'early' | 'weak' } | null
  ahead: readonly ExpectedDose[]
}

/** Hours from a round to the next. */
const gapAfter = ({ apart }: DoseTrack, index: number): Hours => apart[Math.min(index, apart.length - 1)]!

interface Anchors {
  startedAt: number
  /** When the drug-free time begins or would begin; null while nobody can say. */
  watchFrom: number | null
  /** When other counts are or would be full, by track. */
  fullAt: ReadonlyMap<string, number | null>
}

function anchorOf({ first }: DoseTrack, anchors: Anchors): number | null {
  if (first.after === 'start') return anchors.startedAt
  if (first.after === 'watch') return anchors.watchFrom
  return anchors.fullAt.get(first.after.full) ?? null
}

function countGiven(
  track: DoseTrack,
  given: readonly GivenDose[],
): Pick<DosesState, 'restarts' | 'missed' | 'notCounted'> & {
  done: number[]
  /** One that came too early since the last that counts, ms. */
  early: number | null
} {
  const restarts: { at: number; why: 'deworm-spacing'; hoursOff: number }[] = []
  let done: number[] = []
  let missed = 0
  let notCounted: DosesState['notCounted'] = null
  let early: number | null = null
  for (const { at, isWhole } of given) {
    if (done.length >= track.need) break
    if (!isWhole) {
      notCounted = { at, why: 'weak' }
      continue
    }
    const last = done.at(-1)
    if (last !== undefined) {
      const [least, best, most] = gapAfter(track, done.length - 1)
      const hours = (at - last) / MS_PER_HOUR
      const sinceEarly: number = early === null ? Infinity : (at - early) / MS_PER_HOUR
      if (Math.min(hours, sinceEarly) < least - 1e-9) {
        notCounted = { at, why: 'early' }
        early = at
        continue
      }
      if (hours > most + 1e-9 && early !== null && sinceEarly <= most + 1e-9) {
        // The one that came too early and this one are right for each other.
        done.pop()
        done.push(early)
      } else if (hours > most + 1e-9) {
        if (track.missed === 'redo') {
          restarts.push({ at, why: 'deworm-spacing', hoursOff: hours - best })
          done = []
        } else missed += Math.max(1, Math.round(hours / best) - 1)
      }
    }
    done.push(at)
    early = null
  }
  return { done, restarts, missed, notCounted, early }
}

function aheadOf(
  track: DoseTrack,
  {
    done,
    early,
    givenInAll,
    anchor,
    now,
  }: { done: readonly number[]; early: number | null; givenInAll: number; anchor: number | null; now: number },
): ExpectedDose[] {
  const ahead: ExpectedDose[] = []
  let last = done.at(-1) ?? null
  if (last === null && anchor === null) return ahead
  for (let i = done.length; i < track.need; i++) {
    const hours = i === 0 ? track.first.hours : gapAfter(track, i - 1)
    const windowFrom = (from: number) => hours.map((one) => from + one * MS_PER_HOUR) as [number, number, number]
    let [notBefore, best, notAfter] = windowFrom(last ?? anchor!)
    if (early !== null && i === done.length) {
      // No sooner after one that came too early than after one that counts.
      const [fromEarly, , untilEarly] = windowFrom(early)
      if (fromEarly > notAfter) notAfter = untilEarly
      notBefore = Math.max(notBefore, fromEarly)
      best = Math.max(best, notBefore)
    }
    ahead.push({ ordinal: givenInAll + i - done.length, notBefore, best, notAfter })
    // What is overdue is done now at the earliest, and the rest follows from there.
    last = notAfter < now ? now : best
  }
  return ahead
}

/**
 * A count of doses: of dewormings, of metronidazole, of soaked food. One given too early or too weak does not count. One given too
 * late begins a new pair where eggs live through it (`redo`); elsewhere the count only ends later, one dose for each that was missed
 * (quarantine.md 7.4).
 */
export function countDoses(track: DoseTrack, record: CourseRecord, anchors: Anchors): DosesState {
  const given = record.given.filter((one) => one.track === track.id)
  const { early, ...counted } = countGiven(track, given)
  const { done } = counted
  const isFull = done.length >= track.need
  const last = done.at(-1)
  const ahead = isFull
    ? []
    : aheadOf(track, { done, early, givenInAll: given.length, anchor: anchorOf(track, anchors), now: record.now })
  const lateMs = last === undefined ? 0 : record.now - (ahead[0]?.notAfter ?? record.now)
  const isBroken = lateMs > 0 && track.missed === 'redo'
  // A pair that is broken begins again with the round that is overdue.
  const [gapLeast, gapBest, gapMost] = gapAfter(track, 0)
  const overdue = ahead[0]
  const again =
    isBroken && overdue
      ? [
          overdue,
          ...Array.from({ length: track.need - 1 }, (_, i): ExpectedDose => ({
            ordinal: given.length + 1 + i,
            notBefore: record.now + (i * gapBest + gapLeast) * MS_PER_HOUR,
            best: record.now + (i + 1) * gapBest * MS_PER_HOUR,
            notAfter: record.now + (i * gapBest + gapMost) * MS_PER_HOUR,
          })),
        ]
      : ahead
  return {
    track,
    ...counted,
    done: isBroken ? [] : done,
    missed:
      counted.missed +
      (lateMs > 0 && track.missed === 'extend'
        ? Math.max(1, Math.round((record.now - last!) / MS_PER_HOUR / gapAfter(track, done.length - 1)[1]) - 1)
        : 0),
    givenInAll: given.length,
    state: isFull ? 'full' : isBroken ? 'broken' : done.length > 0 ? 'running' : 'waiting',
    fullAt: isFull ? last! : isBroken ? null : (ahead.at(-1)?.best ?? null),
    ahead: again,
  }
}

/** All counts of doses of a course, in the order of its definition: later ones may begin with the end of earlier ones. */
export function countAllDoses(record: CourseRecord, watchFrom: number | null): DosesState[] {
  const fullAt = new Map<string, number | null>()
  return record.course.definition.tracks
    .filter((track): track is DoseTrack => track.kind === 'rounds' && track.of === 'dose')
    .map((track) => {
      const state = countDoses(track, record, { startedAt: record.course.startedAt, watchFrom, fullAt })
      fullAt.set(track.id, state.fullAt)
      return state
    })
}
