import { LEVEL_SLACK, levelPath, stretches, type Piece, type Stretch } from '../../clock/level-path.ts'
import { isCopper } from '../../catalogue/treatments/groups.ts'
import { levelAfter } from '../../concentration/events.ts'
import { MS_PER_HOUR } from '../../time/zone.ts'
import type { CourseRecord, DrugRecord } from '../record/record.ts'
import { countHold, type ClockBreak, type HoldCount, type HoldInput } from './hold.ts'

/** Whether a test at home proves the level of a course's drug: quarantine.md 5.4. What has none is logged, not proven. */
export const isTested = ({ course }: DrugRecord): boolean => isCopper(course.dose.agent)

/**
 * The count of a drug held in its range: by readings where a test exists (`clock.therapeutic`'s path), else by what was dosed
 * and changed, reckoned without decay.
 */
export const countLevel = (record: DrugRecord): HoldCount =>
  countHold(isTested(record) ? testedHold(record) : loggedHold(record))

function baseOf({
  course,
  restarts,
  now,
}: DrugRecord): Omit<HoldInput, 'cut' | 'proofs' | 'reckoned' | 'hoursAboveHigh'> {
  return {
    startedAt: course.startedAt,
    endedAt: course.ended?.at ?? null,
    now,
    requiredHours: course.requiredDays * 24,
    restarts,
  }
}

function testedHold(record: DrugRecord): HoldInput {
  const { course, volumeL, readings, events, now } = record
  const { low, high } = course.dose
  const pieces =
    volumeL === null
      ? []
      : levelPath(
          readings,
          events.map(({ event }) => event),
          volumeL,
        )
  return {
    ...baseOf(record),
    cut: volumeL === null ? [] : stretches(readings, pieces, low),
    proofs: readings,
    reckoned: volumeL === null ? [] : reckonedBreaks({ readings, events, volumeL, now, low }),
    hoursAboveHigh: hoursOver(pieces, high),
  }
}

const hoursOver = (pieces: readonly Piece[], high: number): number =>
  pieces.reduce((sum, { from, to, a, b }) => sum + shareAbove(a, b, high) * (to - from), 0) / MS_PER_HOUR

/** The level after each thing that was dosed or changed, held until the next, up to now. */
function loggedHold(record: DrugRecord): HoldInput {
  const { course, volumeL, events, now } = record
  const { low, high } = course.dose
  const pieces: Piece[] = []
  let level = 0
  if (volumeL !== null)
    for (const [i, { event, at }] of events.entries()) {
      level = levelAfter(level, event, volumeL)
      // Those of one instant are one jump.
      const next = events[i + 1]?.at ?? now
      if (next > at || i + 1 === events.length) pieces.push({ from: at, to: next, a: level, b: level })
    }
  const cut: Stretch[] = []
  for (const { from, to, a } of pieces) {
    const below = a < low - LEVEL_SLACK
    const last = cut.at(-1)
    if (last?.below === below) {
      last.to = to
      last.lowest = Math.min(last.lowest, a)
      last.highest = Math.max(last.highest, a)
    } else cut.push({ from, to, below, lowest: a, highest: a })
  }
  return {
    ...baseOf(record),
    cut,
    // What was dosed is known up to the present; no reading is waited for.
    proofs: pieces.length === 0 ? [] : [{ ms: now, mgPerL: level }],
    reckoned: [],
    hoursAboveHigh: hoursOver(pieces, high),
  }
}

/**
 * Times since the last reading at which the level was, or is, under the range by reckoning: the reading held, with what was
 * changed and dosed after it. Empty while the last reading itself is under the range.
 */
function reckonedBreaks({
  readings,
  events,
  volumeL,
  now,
  low,
}: Pick<CourseRecord, 'readings' | 'events' | 'now'> & { volumeL: number; low: number }): ClockBreak[] {
  const last = readings.at(-1)
  const floor = low - LEVEL_SLACK
  if (!last || last.mgPerL < floor) return []
  const breaks: ClockBreak[] = []
  let level = last.mgPerL
  // An event at the instant of the reading follows it; those of one instant are one jump.
  const since = events.filter(({ at }) => at >= last.ms && at <= now)
  since.forEach(({ event, at }, i) => {
    level = levelAfter(level, event, volumeL)
    if (since[i + 1]?.at === at) return
    const open = breaks.at(-1)
    if (level < floor) {
      if (open && open.to === null) open.lowestMgPerL = Math.min(open.lowestMgPerL, level)
      else breaks.push({ from: at, to: null, lowestMgPerL: level, isReckoned: true })
    } else if (open && open.to === null) open.to = at
  })
  return breaks
}

/** Share of a straight piece that lies over a level. */
function shareAbove(a: number, b: number, level: number): number {
  const ceiling = level + LEVEL_SLACK
  if (a <= ceiling && b <= ceiling) return 0
  if (a > ceiling && b > ceiling) return 1
  return (Math.max(a, b) - level) / Math.abs(b - a)
}
