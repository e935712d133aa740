import { CORAL_DIPS } from '../../catalogue/corals/coral-dips.data.ts'
import { dipPaceOf, dipPestById, type DipPace, type PaceChoice } from '../../catalogue/corals/dip-pace.ts'
import type { Track } from '../../catalogue/courses/definitions.ts'
import type { Part } from '../../household/parts.ts'
import { MS_PER_DAY, MS_PER_HOUR, type ZoneClock } from '../../time/zone.ts'
import { WHOLE_SHARE } from '../record/record-doses.ts'
import type { CourseRecord, LoggedCount } from '../record/record.ts'

export type DipTrack = Extract<Track, { of: 'dip' }>

/** Dips so close together are one round (EA): the least interval between two rounds is three days. */
const ONE_ROUND_MS = MS_PER_DAY
/** A host that is dipped again within this is in the same round, in two kinds of dip; later it is the next round (EA). */
const SAME_SESSION_MS = 3 * MS_PER_HOUR
/** What came off is counted from shortly before the dip is logged until the next day's look. */
const COUNT_EARLY_MS = MS_PER_HOUR
const COUNT_LATE_MS = 36 * MS_PER_HOUR
/** The window of a step that comes every few days: courses.md. */
export const DIP_EARLY_MS = 12 * MS_PER_HOUR
export const DIP_LATE_MS = 24 * MS_PER_HOUR

/**
 * What came of a round. Only `clean` counts: every host dipped, every host counted, nothing seen. `open`: it began less than a day
 * ago and hosts are left.
 */
export type RoundState = 'open' | 'clean' | 'pest' | 'not-all' | 'not-counted' | 'too-soon'

/** One round of dips of all hosts. */
export interface DipRound {
  ordinal: number
  at: number
  /** The last dip of it. */
  until: number
  doneIds: readonly string[]
  left: readonly Part[]
  /** Live animals that came off all hosts; null while no host was counted. */
  cameOff: number | null
  uncounted: readonly Part[]
  eggs: number
  /** By part: what came off, eggs, and whether its edges were brushed; undefined where it was not counted. */
  byPart: Readonly<Record<string, { cameOff?: number; eggs?: number; brushed?: boolean }>>
  state: RoundState
}

/** What set the clean dips back to none. */
export interface DipRestart {
  at: number
  why: 'pest-seen' | 'late-dip' | 'suspicion'
}

/** The dips of a course as they stand. */
export interface DipsState {
  track: DipTrack
  pace: DipPace
  hosts: readonly Part[]
  rounds: readonly DipRound[]
  /** Clean rounds on end. */
  has: number
  state: 'waiting' | 'running' | 'broken' | 'full'
  /** The next round: its best time on the wall clock; null once full. */
  nextAt: number | null
  /** Expected, or when the last clean round was counted. */
  fullAt: number | null
  restarts: readonly DipRestart[]
  /** When an animal or eggs were last seen; null for never. */
  seenAt: number | null
}

/**
 * The pace of a course's dips, by its options.
 * @param at ms; the options that were in effect then, today's where it is left out
 */
export function paceOf(course: CourseRecord['course'], at = Infinity): DipPace {
  const { definition, earlierOptions } = course
  const options = earlierOptions.find(({ until }) => at < until)?.options ?? course.options
  const chosen = (id: string) => options[id] ?? definition.options.find((one) => one.id === id)?.choices[0]?.id
  return dipPaceOf(dipPestById(chosen('pest')), (chosen('pace') ?? 'by-maturity') as PaceChoice)
}

/** Whether a bath was a whole dip: as long as its kind asks, as strong as it asks where the strength is known, not ended early. */
export function isWholeDip({
  ingredient,
  minutes,
  stopped,
  massMg,
  litres,
}: {
  ingredient: string
  minutes: number
  stopped?: string | undefined
  massMg?: number | undefined
  litres: number
}): boolean {
  const dip = CORAL_DIPS.find((one) => one.ingredient === ingredient)
  if (stopped !== undefined) return false
  if (!dip) return true
  const isStrong = dip.mgPerL === null || massMg === undefined || massMg / litres >= WHOLE_SHARE * dip.mgPerL.low
  return minutes >= WHOLE_SHARE * dip.minutes[0] && isStrong
}

function roundsOf({ course, dips, counts, parts }: CourseRecord): Omit<DipRound, 'state'>[] {
  const groups: { at: number; until: number; ids: Set<string>; isOfAll: boolean }[] = []
  for (const { at, partIds, isWhole } of dips) {
    if (!isWhole) continue
    const last = groups.at(-1)
    const isAgain =
      last !== undefined &&
      at - last.until > SAME_SESSION_MS &&
      (partIds.length === 0 || last.isOfAll || partIds.some((id) => last.ids.has(id)))
    const group =
      last && at - last.at <= ONE_ROUND_MS && !isAgain
        ? last
        : { at, until: at, ids: new Set<string>(), isOfAll: false }
    if (group !== last) groups.push(group)
    group.until = at
    partIds.forEach((id) => group.ids.add(id))
    if (partIds.length === 0) group.isOfAll = true
  }
  return groups.map(({ at, until, ids, isOfAll }, ordinal) => {
    const hosts = parts.filter(({ since }) => since <= at + ONE_ROUND_MS)
    const next = groups[ordinal + 1]?.at ?? Infinity
    // A count says which round it is of; else its time does.
    const own = `${course.id}/count/${ordinal}`
    const counted = counts.filter((count) =>
      count.taskId?.startsWith(`${course.id}/count/`)
        ? count.taskId === own
        : count.at >= at - COUNT_EARLY_MS && count.at <= until + COUNT_LATE_MS && count.at < next - COUNT_EARLY_MS,
    )
    const byPart: Record<string, { cameOff?: number; eggs?: number; brushed?: boolean }> = {}
    let whole: number | null = null
    for (const { measure, parts: scored, total } of counted) {
      if (measure === 'came-off' && total !== undefined) whole = (whole ?? 0) + total
      for (const { partId, value } of scored) {
        const of = (byPart[partId] ??= {})
        if (measure === 'came-off') of.cameOff = value
        if (measure === 'eggs') of.eggs = value
        if (measure === 'brushed') of.brushed = value > 0
      }
    }
    const values = Object.values(byPart)
    const perHost = values.flatMap(({ cameOff }) => (cameOff === undefined ? [] : [cameOff]))
    return {
      ordinal,
      at,
      until,
      doneIds: isOfAll ? hosts.map(({ id }) => id) : [...ids],
      left: isOfAll ? [] : hosts.filter(({ id }) => !ids.has(id)),
      cameOff:
        whole === null && perHost.length === 0 ? null : (whole ?? 0) + perHost.reduce((sum, value) => sum + value, 0),
      uncounted: whole === null ? hosts.filter(({ id }) => byPart[id]?.cameOff === undefined) : [],
      eggs: values.reduce((sum, { eggs = 0 }) => sum + eggs, 0),
      byPart,
    }
  })
}

/** Animals or eggs seen at an inspection, apart from what came off in a dip. */
const seenBetweenDips = ({ counts }: CourseRecord): LoggedCount[] =>
  counts.filter(
    ({ measure, parts, total = 0 }) => measure === 'pest-count' && (total > 0 || parts.some(({ value }) => value > 0)),
  )

/**
 * The dips of all hosts of a course: outbreaks.md 6.1, further-schools.md 3. A round is clean only when every host was dipped and
 * counted and nothing was seen; an animal or eggs seen, a suspicion, or a gap in which a hatchling may have laid, sets the clean rounds back.
 */
export function countDips(record: CourseRecord, clock: ZoneClock): DipsState | null {
  const { course, parts, now } = record
  const track = course.definition.tracks.find((one): one is DipTrack => one.kind === 'rounds' && one.of === 'dip')
  if (!track) return null
  const pace = paceOf(course)
  const bestAfter = (at: number, rounds = 1, by = pace): number =>
    clock.instantAt(clock.dayOf(at) + rounds * by.intervalDays, course.readAtMinute)
  // A pest that was found in a round sets the pace from that round on: it is written down until a day after it.
  const paceSince = (from: number, to: number): DipPace => paceOf(course, Math.min(to, from + COUNT_LATE_MS))
  const rounds: DipRound[] = []
  const restarts: DipRestart[] = []
  let has = 0
  let seenAt: number | null = null
  let fullAt: number | null = null
  /** The last round of all hosts, which the next interval counts from. */
  let whole: number | null = null
  const setBack = (at: number, why: DipRestart['why']): void => {
    if (has > 0) restarts.push({ at, why })
    has = 0
    fullAt = null
  }
  const setBacks = [
    ...seenBetweenDips(record).map(({ at }) => ({ at, why: 'pest-seen' as const })),
    ...record.suspectedAt.map((at) => ({ at, why: 'suspicion' as const })),
  ].sort((a, b) => a.at - b.at)
  const takeSetBacks = (until: number): void => {
    while (setBacks.length > 0 && setBacks[0]!.at <= until) {
      const { at, why } = setBacks.shift()!
      if (why === 'pest-seen') seenAt = at
      setBack(at, why)
    }
  }
  const isLate = (from: number, to: number): boolean => {
    const { mostDays } = paceSince(from, to)
    return mostDays !== null && to - from > mostDays * MS_PER_DAY
  }
  for (const round of roundsOf(record)) {
    takeSetBacks(round.at)
    const isAll = round.left.length === 0
    const isSeen = (round.cameOff ?? 0) > 0 || round.eggs > 0
    const isSoon = whole !== null && round.at < bestAfter(whole, 1, paceSince(whole, round.at)) - DIP_EARLY_MS
    const state: RoundState = isSeen
      ? 'pest'
      : !isAll
        ? now - round.at <= ONE_ROUND_MS
          ? 'open'
          : 'not-all'
        : isSoon
          ? 'too-soon'
          : round.uncounted.length > 0
            ? 'not-counted'
            : 'clean'
    rounds.push({ ...round, state })
    if (isAll && whole !== null && has > 0 && fullAt === null && isLate(whole, round.at)) setBack(round.at, 'late-dip')
    if (isSeen) {
      seenAt = round.until
      setBack(round.until, 'pest-seen')
    } else if (state === 'clean') {
      has++
      if (has >= pace.need) fullAt ??= round.until
    }
    if (isAll && !isSoon) whole = round.at
  }
  takeSetBacks(now)
  const isFull = fullAt !== null
  const isOverdue = !isFull && whole !== null && isLate(whole, now)
  const nextAt = isFull
    ? null
    : whole === null
      ? clock.instantAt(clock.dayOf(course.startedAt), course.readAtMinute)
      : bestAfter(whole)
  const left = pace.need - (isOverdue ? 0 : has)
  return {
    track,
    pace,
    hosts: parts,
    rounds,
    has: isFull ? pace.need : isOverdue ? 0 : has,
    state: isFull ? 'full' : isOverdue ? 'broken' : rounds.length > 0 ? 'running' : 'waiting',
    nextAt,
    fullAt: isFull ? fullAt : left > 1 ? bestAfter(Math.max(nextAt!, now), left - 1) : Math.max(nextAt!, now),
    restarts,
    seenAt,
  }
}
