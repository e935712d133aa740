import { invalid, ok, type Result } from '../result/result.ts'
import { isInstantMs, iso, MS_PER_HOUR } from '../time/zone.ts'
import type { Clock, ClockInput } from './clock.schema.ts'
import { LEVEL_SLACK, levelPath, stretches, type LevelReading, type Piece, type Stretch } from './level-path.ts'

/** An hour's ten-thousandth of a second: times are told to the second, and sums of hours come out a hair off. */
const HOURS_SLACK = 1e-6 / 3600

/** Hours a path spends over a level. */
function hoursAbove(pieces: readonly Piece[], level: number): number {
  const ceiling = level + LEVEL_SLACK
  let ms = 0
  for (const { from, to, a, b } of pieces) {
    if (a <= ceiling && b <= ceiling) continue
    if (a > ceiling && b > ceiling) ms += to - from
    else ms += ((Math.max(a, b) - level) / Math.abs(b - a)) * (to - from)
  }
  return ms / MS_PER_HOUR
}

/** The readings in time order with their instants; a fault when two share an instant or one lies ahead. */
export function orderedReadings(readings: ClockInput['readings'], now: number): Result<LevelReading[]> {
  const ordered = readings
    .map((reading, index) => ({ ...reading, ms: Date.parse(reading.at), index }))
    .sort((a, b) => a.ms - b.ms)
  for (const [i, reading] of ordered.entries()) {
    if (reading.ms > now)
      return invalid(`/readings/${reading.index}/at`, `expected at or before now; ${reading.at} lies ahead`)
    if (i > 0 && ordered[i - 1]!.ms === reading.ms)
      return invalid(`/readings/${reading.index}/at`, `two readings at ${reading.at}: a path needs one at an instant`)
  }
  return ok(ordered)
}

/** Times without a reading that are longer than allowed: between readings, and from the last one to now. */
export function gapsBetween(readings: readonly LevelReading[], now: number, maxGapHours: number): Clock['gaps'] {
  const ends = [...readings.map(({ ms }) => ms), now]
  return readings.flatMap(({ ms }, i) => {
    const hours = (ends[i + 1]! - ms) / MS_PER_HOUR
    return hours > maxGapHours + HOURS_SLACK ? [{ from: iso(ms), to: iso(ends[i + 1]!), hours }] : []
  })
}

/**
 * How long a level has provably stayed in its band. The path through readings and events is `levelPath`'s; below is under
 * low − tolerance; a run is a stretch not below, up to the last reading, and the clock starts over at each. The first run
 * that lasted as long as required completes the clock.
 */
export function therapeuticClock(input: ClockInput): Result<Clock> {
  const { band, toleranceMgPerL = 0, requiredHours, maxGapHours, volumeL } = input
  if (band.lowMgPerL > band.highMgPerL)
    return invalid('/band/lowMgPerL', `expected at most the high, ${band.highMgPerL}; came ${band.lowMgPerL}`)
  const now = Date.parse(input.now)
  const ordered = orderedReadings(input.readings, now)
  if (!ordered.ok) return ordered
  const readings = ordered.value
  const limit = band.lowMgPerL - toleranceMgPerL
  const pieces = levelPath(readings, input.events, volumeL)
  const cut = stretches(readings, pieces, limit)
  const hours = ({ from, to }: Stretch) => (to - from) / MS_PER_HOUR
  const runs = cut.filter(({ below }) => !below)
  const completed = runs.find((run) => hours(run) >= requiredHours - HOURS_SLACK)
  const last = cut.at(-1)
  const reported = completed ?? (last && !last.below ? last : undefined)
  if (reported && !isInstantMs(reported.from + requiredHours * MS_PER_HOUR))
    return invalid('/requiredHours', `leads past every calendar; expected hours of a course, came ${requiredHours}`)
  const state = completed ? 'complete' : reported ? 'running' : runs.length > 0 ? 'broken' : 'not-started'
  const verifiedHours = reported ? hours(reported) : 0
  const firstRun = runs[0]
  const inReported = readings.filter(
    ({ ms, mgPerL }) => reported && ms >= reported.from && ms <= reported.to && mgPerL >= limit - LEVEL_SLACK,
  )
  const weakest = inReported
    .flatMap(({ ms, mgPerL, sdMgPerL }) =>
      sdMgPerL !== undefined && sdMgPerL > 0 ? [{ at: iso(ms), mgPerL, z: (mgPerL - band.lowMgPerL) / sdMgPerL }] : [],
    )
    .reduce<Clock['weakest']>((least, one) => (least && least.z <= one.z ? least : one), null)
  const levels = [...pieces.flatMap(({ a, b }) => [a, b]), ...readings.map(({ mgPerL }) => mgPerL)]
  return ok({
    state,
    startedAt: reported ? iso(reported.from) : null,
    verifiedHours,
    remainingHours: Math.max(0, requiredHours - verifiedHours),
    completesAt: reported ? iso(reported.from + requiredHours * MS_PER_HOUR) : null,
    breaks: cut
      .filter(({ below, from }) => below && firstRun && from >= firstRun.from)
      .map((stretch) => ({
        from: iso(stretch.from),
        to: stretch === last ? null : iso(stretch.to),
        lowestMgPerL: stretch.lowest,
      })),
    hoursAboveHigh: hoursAbove(pieces, band.highMgPerL),
    highestMgPerL: levels.length > 0 ? levels.reduce((most, level) => Math.max(most, level)) : null,
    gaps: gapsBetween(readings, now, maxGapHours),
    weakest,
  })
}
