import type { LevelReading, stretches } from '../../clock/level-path.ts'
import { MS_PER_HOUR } from '../../time/zone.ts'
import type { Restart } from '../record/record.ts'

/** Longest time between readings that is proven whole, and the longest after which the count goes on: quarantine.md 7.4. */
export const GAP_HOURS = { proven: 48, most: 96 } as const

/** A stretch of the course's time as the clock strip draws it. */
export interface ClockStretch {
  from: number
  to: number
  /**
   * `before`: not yet in range; `proven`: counts; `superseded`: was in range and no longer counts; `broken`: under the range;
   * `unknown`: too long without a reading; `reckoned-broken`: under the range by what was dosed and changed since the last
   * reading; `expected`: hoped for.
   */
  kind: 'before' | 'proven' | 'superseded' | 'broken' | 'unknown' | 'reckoned-broken' | 'expected'
}

export interface ClockBreak {
  from: number
  /** Null while the level is under the range. */
  to: number | null
  lowestMgPerL: number
  /** By what was dosed and changed since the last reading: no reading has shown it yet. */
  isReckoned?: true
}

export interface ClockGap {
  from: number
  to: number
  hours: number
  effect: 'paused' | 'restart'
  /** From the last reading to now: a reading ends it. */
  open: boolean
}

/** The count of a course: how much of it is proven, and when it would be done. */
export interface HoldCount {
  state: 'not-started' | 'running' | 'broken' | 'lost' | 'complete'
  /** Beginning of the run that counts. */
  runFrom: number | null
  /** Which run it is: 0 for the first, one more with each break and restart. */
  run: number
  provenHours: number
  requiredHours: number
  remainingHours: number
  /** The last reading: proof ends there. */
  provenUntil: number | null
  /** When the count is or would be full, if every reading from here on is in range and in time. */
  completesAt: number | null
  stretches: ClockStretch[]
  breaks: ClockBreak[]
  gaps: ClockGap[]
  /** What made it start over, the latest first. */
  restarts: Restart[]
  hoursAboveHigh: number
}

interface Run {
  from: number
  to: number
  /** Parts of gaps that are not counted. */
  unknown: { from: number; to: number }[]
}

/** Gaps between readings within a stretch that are longer than is proven whole. */
function gapsIn(readings: HoldInput['proofs'], from: number, to: number): ClockGap[] {
  return readings.flatMap(({ ms }, i) => {
    const next = readings[i + 1]
    const hours = next ? (next.ms - ms) / MS_PER_HOUR : 0
    if (!next || hours <= GAP_HOURS.proven || ms < from || next.ms > to) return []
    return [
      {
        from: ms,
        to: next.ms,
        hours,
        effect: hours > GAP_HOURS.most ? ('restart' as const) : ('paused' as const),
        open: false,
      },
    ]
  })
}

/** A stretch in range cut at restarts and at gaps too long to go on after; the last piece is the one that could count. */
function runsIn(
  from: number,
  to: number,
  restarts: readonly number[],
  readings: HoldInput['proofs'],
): { runs: Run[]; lost: { from: number; to: number }[] } {
  const gaps = gapsIn(readings, from, to)
  const lost = gaps.filter(({ effect }) => effect === 'restart')
  const starts = [...restarts.filter((at) => at > from && at < to), ...lost.map((gap) => gap.to)].sort((a, b) => a - b)
  const runs: Run[] = []
  let begin = from
  for (const start of [...starts, Infinity]) {
    const end = Math.min(to, start)
    // A run before a lost gap ends at the gap's first reading.
    const cut = lost.find((gap) => gap.to === start)?.from ?? end
    if (cut > begin || end === to)
      runs.push({
        from: begin,
        to: Math.max(begin, cut),
        unknown: gaps
          .filter((gap) => gap.effect === 'paused' && gap.to > begin && gap.to <= cut)
          // A run that began within the gap is only proven for as long after its beginning as after a reading.
          .map((gap) => ({ from: Math.max(begin, gap.from) + GAP_HOURS.proven * MS_PER_HOUR, to: gap.to }))
          .filter((part) => part.from < part.to),
      })
    begin = start
  }
  return { runs, lost: lost.map((gap) => ({ from: gap.from, to: gap.to })) }
}

const countedMs = ({ from, to, unknown }: Run) =>
  to - from - unknown.reduce((sum, part) => sum + part.to - part.from, 0)

/** When a run had counted so long; null when it never has. */
function reachedAt(run: Run, requiredMs: number): number | null {
  if (countedMs(run) < requiredMs) return null
  let at = run.from + requiredMs
  for (const part of run.unknown) if (part.from < at) at += part.to - part.from
  return at
}

/** What a hold is counted from: when it held or broke, and what proves it. */
export interface HoldInput {
  startedAt: number
  endedAt: number | null
  now: number
  requiredHours: number
  /** Stretches in which it held (`below` false) or did not, in order and without gaps. */
  cut: readonly ReturnType<typeof stretches>[number][]
  /** Instants that prove it: readings; for what has no test, the present alone. */
  proofs: readonly Pick<LevelReading, 'ms' | 'mgPerL'>[]
  restarts: readonly Restart[]
  /** Breaks since the last proof that no reading has shown yet. */
  reckoned: readonly ClockBreak[]
  hoursAboveHigh: number
}

/**
 * The count of anything that has to hold for some time, with the events of quarantine.md 7.4: what breaks it, carbon left in, a
 * new fish or a contact start it over; of a gap between two proofs the part beyond 48 h is not counted and added at the end, and
 * one over 96 h starts it over.
 */
export function countHold(input: HoldInput): HoldCount {
  const { now, requiredHours, cut, restarts, reckoned, hoursAboveHigh } = input
  const readings = input.proofs
  const requiredMs = requiredHours * MS_PER_HOUR
  const restartTimes = restarts.map(({ at }) => at)
  const inRange = cut.filter(({ below }) => !below)
  const split = inRange.map(({ from, to }) => runsIn(from, to, restartTimes, readings))
  const runs = split.flatMap(({ runs: parts }) => parts)
  const lost = split.flatMap(({ lost: parts }) => parts)
  const lastReading = readings.at(-1)
  const lastStretch = cut.at(-1)
  const sinceLast = lastReading ? (now - lastReading.ms) / MS_PER_HOUR : 0

  const lastReckoned = reckoned.at(-1)
  const completed = runs.find((run) => reachedAt(run, requiredMs) !== null)
  const later = restarts.findLast(({ at }) => lastReading !== undefined && at >= lastReading.ms)
  // A restart since the last reading: the count is at nothing, and begins with it.
  const beginsAt = Math.max(later?.at ?? -Infinity, lastReckoned?.to ?? -Infinity)
  const reported: Run | undefined =
    completed ??
    (lastStretch && !lastStretch.below && lastReckoned?.to !== null
      ? beginsAt > -Infinity
        ? { from: beginsAt, to: beginsAt, unknown: [] }
        : runs.at(-1)
      : undefined)
  const isLost = !completed && reported !== undefined && sinceLast > GAP_HOURS.most
  const state = completed
    ? 'complete'
    : isLost
      ? 'lost'
      : reported
        ? 'running'
        : inRange.length > 0
          ? 'broken'
          : 'not-started'
  const counts = completed ?? (state === 'running' ? reported : undefined)
  const provenMs = counts ? countedMs(counts) : 0
  const openPause = Math.max(0, sinceLast - GAP_HOURS.proven) * MS_PER_HOUR
  const completesAt = completed
    ? reachedAt(completed, requiredMs)
    : counts
      ? counts.to + (requiredMs - provenMs) + openPause
      : null

  const gaps = gapsIn(readings, readings[0]?.ms ?? 0, now)
  if (lastReading && sinceLast > GAP_HOURS.proven && input.endedAt === null)
    gaps.push({
      from: lastReading.ms,
      to: now,
      hours: sinceLast,
      effect: sinceLast > GAP_HOURS.most ? 'restart' : 'paused',
      open: true,
    })
  return {
    state,
    runFrom: counts?.from ?? null,
    run: Math.max(0, counts ? runs.filter(({ from }) => from < counts.from).length : runs.length),
    provenHours: provenMs / MS_PER_HOUR,
    requiredHours,
    remainingHours: Math.max(0, requiredMs - provenMs) / MS_PER_HOUR,
    provenUntil: counts?.to ?? null,
    completesAt,
    stretches: strip({
      start: input.startedAt,
      end: input.endedAt,
      now,
      cut,
      runs,
      lost,
      counts,
      reckoned: completed ? [] : reckoned,
      completesAt,
      isComplete: completed !== undefined,
    }),
    breaks: [
      ...cut
        .filter(({ below, from }) => below && inRange[0] !== undefined && from >= inRange[0].from)
        .map((stretch) => ({
          from: stretch.from,
          to: stretch === lastStretch ? null : stretch.to,
          lowestMgPerL: stretch.lowest,
        })),
      ...(completed ? [] : reckoned),
    ],
    gaps,
    restarts: [...restarts].reverse(),
    hoursAboveHigh,
  }
}

interface StripInput {
  start: number
  end: number | null
  now: number
  cut: HoldInput['cut']
  runs: readonly Run[]
  lost: readonly { from: number; to: number }[]
  counts: Run | undefined
  reckoned: readonly ClockBreak[]
  completesAt: number | null
  isComplete: boolean
}

/** The strip from the course's start to where it would be done: every stretch once, in order. */
function strip({
  start,
  end,
  now,
  cut,
  runs,
  lost,
  counts,
  reckoned,
  completesAt,
  isComplete,
}: StripInput): ClockStretch[] {
  const parts: ClockStretch[] = []
  const push = (from: number, to: number, kind: ClockStretch['kind']) => to > from && parts.push({ from, to, kind })
  const first = cut.find(({ below }) => !below)
  push(start, first?.from ?? cut.at(-1)?.to ?? start, 'before')
  for (const run of runs) {
    const kind =
      run === counts || (counts && run.to === counts.to && run.from === counts.from) ? 'proven' : 'superseded'
    let from = run.from
    for (const part of run.unknown) {
      push(from, part.from, kind)
      push(part.from, part.to, 'unknown')
      from = part.to
    }
    push(from, run.to, kind)
  }
  for (const gap of lost) push(gap.from, gap.to, 'unknown')
  for (const { from, to, below } of cut) if (below && first && from >= first.from) push(from, to, 'broken')
  parts.sort((a, b) => a.from - b.from)
  let hopeFrom = parts.at(-1)?.to ?? start
  for (const { from, to } of reckoned) {
    push(hopeFrom, from, 'expected')
    push(from, to ?? now, 'reckoned-broken')
    hopeFrom = to ?? now
  }
  if (end === null && !isComplete) push(hopeFrom, Math.max(now, completesAt ?? now), 'expected')
  return parts
}
